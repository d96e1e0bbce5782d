import { useState } from 'react';
import { View } from 'react-native';
import { useRouter } from 'expo-router';
import type { RemovedThing, ThingType } from '@escale/core/model';
import { saysTo } from '@escale/core/say';
import { Button, Row } from '../../ui/button';
import { Confirm } from '../../ui/confirm';
import { Empty, Page } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { ask, Refusal } from '../../data/api';
import { useRemoved, useThings } from '../../data/hooks';
import { flush, restore } from '../../data/outbox';
import { plainly, useReader } from '../../data/settings';
import { REMOVED } from './words';

const KIND: Record<ThingType, string> = {
  boat: 'Boat',
  person: 'Person',
  gear: 'Kit',
  place: 'Place',
  water: 'Water',
  contact: 'Contact',
  trip: 'Trip',
  debrief: 'Debrief',
  run: 'Run of a procedure',
  drill: 'Drill',
  pack: 'Rule pack',
};

/** What was removed: each can be put back, or erased for good with what ended plans hold of it. */
export function RemovedPage() {
  const router = useRouter();
  const { removed, again } = useRemoved();
  const { again: readAgain } = useThings();
  const [said, setSaid] = useState<{ ok: boolean; text: string }>();
  const erase = async ({ id, name }: RemovedThing) => {
    try {
      // What waits here of it must not come after its end.
      await flush(true);
      await ask('/api/erase', { thing: id });
      setSaid({ ok: true, text: plainly(REMOVED.gone, { name }) });
    } catch (error) {
      const why = error instanceof Refusal ? error.title : REMOVED.unheard;
      setSaid({ ok: false, text: plainly(REMOVED.not, { name, why }) });
    }
    again();
    readAgain();
  };
  return (
    <Page
      title={REMOVED.title}
      lead={REMOVED.lead}
      aside={
        <Button kind="quiet" onPress={() => router.push('/shed')}>
          The shed
        </Button>
      }
    >
      {said ? (
        <T as="strong" role={said.ok ? 'status' : 'alert'}>
          {said.text}
        </T>
      ) : null}
      {removed === undefined ? <T as="soft">{REMOVED.unheard}</T> : null}
      {removed?.length === 0 ? <Empty title={REMOVED.none} why={REMOVED.noneWhy} /> : null}
      {removed?.map((one) => (
        <One key={one.id} one={one} erase={() => void erase(one)} done={again} />
      ))}
    </Page>
  );
}

/** What follows from erasing it: people and contacts stand in plans, and a trip has its own. */
function follows({ type, name }: RemovedThing): string {
  if (type === 'trip') return plainly(REMOVED.trip, { name });
  const named = type === 'person' || type === 'contact';
  return named ? plainly(REMOVED.plans, { name }) : plainly(REMOVED.thing, { name });
}

function One({ one, erase, done }: { one: RemovedThing; erase: () => void; done: () => void }) {
  const p = usePalette();
  const says = saysTo(useReader(Intl.DateTimeFormat().resolvedOptions().timeZone));
  const name = one.name || KIND[one.type];
  const back = async () => {
    await restore({ ...one, version: one.version - 1 }, plainly(REMOVED.backSaid, { name }));
    done();
  };
  return (
    <View style={{ gap: 4, borderBottomWidth: 1, borderColor: p.line, paddingVertical: 8 }}>
      <T as="strong">{name}</T>
      <T as="label">{says(REMOVED.line, { kind: KIND[one.type], at: one.at })}</T>
      <Row>
        <Button label={`${REMOVED.back}: ${name}`} onPress={() => void back()}>
          {REMOVED.back}
        </Button>
        <Confirm
          label={`${REMOVED.erase}: ${name}`}
          title={plainly(REMOVED.sure, { name })}
          follows={follows({ ...one, name })}
          also={REMOVED.copies}
          yes={REMOVED.yes}
          no={REMOVED.no}
          onYes={erase}
        >
          {REMOVED.erase}
        </Confirm>
      </Row>
    </View>
  );
}
