import { useState } from 'react';
import { View } from 'react-native';
import { getDocumentAsync } from 'expo-document-picker';
import { mutate } from 'swr';
import { Button, Row } from '../../ui/button';
import { T } from '../../ui/text';
import { ask, Refusal } from '../../data/api';
import { addressed } from '../../data/memory';
import { SHED } from './words';
import { plainly } from '../../data/settings';

interface Outcome {
  ok: boolean;
  said: string;
  faults: string[];
}

/** The whole shed and all trips as a file, out and in. Taken whole or not at all, by the server. */
export function Exchange() {
  const [busy, setBusy] = useState(false);
  const [outcome, setOutcome] = useState<Outcome>();
  const load = async () => {
    const picked = await getDocumentAsync({ type: 'application/json' });
    const file = picked.canceled ? undefined : picked.assets[0]?.file;
    if (!file) return;
    setBusy(true);
    setOutcome(await take(await file.text()).finally(() => setBusy(false)));
  };
  return (
    <View style={{ gap: 8 }}>
      <T as="label">The shed and trips as a file</T>
      <Row>
        <Button onPress={() => window.open(addressed('/api/export'), '_blank')}>Save a file</Button>
        <Button busy={busy} onPress={() => void load()}>
          Load a file
        </Button>
      </Row>
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

async function take(text: string): Promise<Outcome> {
  let bundle: unknown;
  try {
    bundle = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return {
      ok: false,
      said: 'This file is no JSON. Nothing was changed.',
      faults: error instanceof Error ? [error.message] : [],
    };
  }
  try {
    const { added, changed, same } = (await ask('/api/import', bundle)) as {
      added: number;
      changed: number;
      same: number;
    };
    await mutate('/api/things');
    return { ok: true, said: plainly(SHED.loaded, { added, changed, same }), faults: [] };
  } catch (error) {
    if (error instanceof Refusal) return { ok: false, said: error.title, faults: error.faults };
    return { ok: false, said: 'No signal: nothing was loaded.', faults: [] };
  }
}
