import { useState } from 'react';
import { View } from 'react-native';
import { getDocumentAsync } from 'expo-document-picker';
import { mutate } from 'swr';
import { Button, Row } from '../../ui/button';
import { THINGS, type ImportChange } from '@escale/core/model';
import { shapeOf } from '../forms/schema';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { ask, Refusal } from '../../data/api';
import { addressed } from '../../data/memory';
import { SHED } from './words';
import { plainly } from '../../data/settings';

interface Outcome {
  ok: boolean;
  said: string;
  faults: string[];
}

interface Waiting {
  bundle: unknown;
  changes: ImportChange[];
}

/** The whole shed and all trips as a file, out and in: what it would change is seen first, and it is taken whole or not at all. */
export function Exchange() {
  const [busy, setBusy] = useState(false);
  const [outcome, setOutcome] = useState<Outcome>();
  const [waiting, setWaiting] = useState<Waiting>();
  const during = async (work: () => Promise<void>) => {
    setBusy(true);
    setOutcome(undefined);
    try {
      await work();
    } catch (error) {
      setOutcome(
        error instanceof Refusal
          ? { ok: false, said: error.title, faults: error.faults }
          : { ok: false, said: 'No signal: nothing was loaded.', faults: [] },
      );
    } finally {
      setBusy(false);
    }
  };
  const load = async () => {
    const picked = await getDocumentAsync({ type: 'application/json' });
    const file = picked.canceled ? undefined : picked.assets[0]?.file;
    if (!file) return;
    await during(async () => {
      const bundle = parsed(await file.text());
      if (bundle instanceof Error)
        return setOutcome({
          ok: false,
          said: 'This file is no JSON. Nothing was changed.',
          faults: [bundle.message],
        });
      const { changes } = (await ask('/api/import/preview', bundle)) as { changes: ImportChange[] };
      if (changes.length > 0) setWaiting({ bundle, changes });
      else setOutcome({ ok: true, said: SHED.wouldNothing, faults: [] });
    });
  };
  const take = () =>
    during(async () => {
      const done = (await ask('/api/import', waiting?.bundle)) as {
        added: number;
        changed: number;
        same: number;
      };
      setWaiting(undefined);
      await mutate('/api/things');
      setOutcome({ ok: true, said: plainly(SHED.loaded, done), faults: [] });
    });
  return (
    <View style={{ gap: 8 }}>
      <T as="label">The shed and trips as a file</T>
      <Row>
        <Button onPress={() => window.open(addressed('/api/export'), '_blank')}>Save a file</Button>
        <Button busy={busy} onPress={() => void load()}>
          Load a file
        </Button>
      </Row>
      {waiting ? (
        <Preview
          changes={waiting.changes}
          busy={busy}
          take={() => void take()}
          leave={() => setWaiting(undefined)}
        />
      ) : null}
      {outcome ? (
        <View role={outcome.ok ? 'status' : 'alert'} style={{ gap: 2 }}>
          <T as="strong">{outcome.said}</T>
          {outcome.faults.map((fault) => (
            <T key={fault} as="small">
              {fault}
            </T>
          ))}
        </View>
      ) : null}
      <T as="small">A thing that is here already is replaced by the one in the file, where they differ.</T>
    </View>
  );
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return error instanceof Error ? error : new Error(String(error));
  }
}

/** A field by the name that its form gives it, and what becomes of it. */
function changeOf(
  type: ImportChange['type'],
  { field: key, was, is }: ImportChange['fields'][number],
): string {
  const schema = THINGS[type].shape[key as keyof (typeof THINGS)[typeof type]['shape']] as
    Parameters<typeof shapeOf>[0] | undefined;
  const field = (schema && shapeOf(schema).meta.title) ?? SHED.somethingElse;
  if (was !== undefined && is !== undefined) return plainly(SHED.changedFrom, { field, was, is });
  if (is !== undefined) return plainly(SHED.changedTo, { field, is });
  return was === undefined
    ? plainly(SHED.changedInside, { field })
    : plainly(SHED.changedGone, { field, was });
}

/** So many are named; of the others their number. */
const NAMED = 30;

/** What the file would change, contacts first, before anything is. */
function Preview({
  changes,
  busy,
  take,
  leave,
}: {
  changes: ImportChange[];
  busy: boolean;
  take: () => void;
  leave: () => void;
}) {
  const p = usePalette();
  const changed = changes.filter((c) => c.what === 'changed');
  const added = changes.length - changed.length;
  return (
    <View role="status" style={{ gap: 6, borderWidth: 2, borderColor: p.ink, padding: 12 }}>
      <T as="strong">{plainly(SHED.wouldChange, { n: changed.length, added })}</T>
      {changed.some((c) => c.type === 'contact') ? <T as="strong">{SHED.whoIsRung}</T> : null}
      {changes.slice(0, NAMED).map((change) => (
        <View key={change.id} style={{ gap: 2 }}>
          <T>{plainly(change.what === 'added' ? SHED.wouldAdd : SHED.wouldDiffer, { name: change.name })}</T>
          {change.fields.map((f) => (
            <T key={f.field} as="small">
              {changeOf(change.type, f)}
            </T>
          ))}
        </View>
      ))}
      {changes.length > NAMED ? <T as="small">{plainly(SHED.more, { n: changes.length - NAMED })}</T> : null}
      <Row>
        <Button kind="main" busy={busy} onPress={take}>
          Take it in
        </Button>
        <Button onPress={leave}>Leave it</Button>
      </Row>
    </View>
  );
}
