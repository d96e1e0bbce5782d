import { countryNames } from '@escale/core/rules';
import { View } from 'react-native';
import { civilDate } from '@escale/core/earth';
import type { Finding, Requirement } from '@escale/core/model';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useSince, type Since } from '../../data/seen';
import { Button, Row } from '../../ui/button';
import { Fold } from '../../ui/fold';
import { later } from '../../ui/later';
import { JacketsBlock } from './jackets-block';
import { WhatChanges } from './what-changes';
import { FindingList } from '../trip/finding-list';
import { findingsOf } from '../trip/sections';
import { toLookAt } from '@escale/core/kit';
import { LOOK } from '../shed/words';
import { useTrip } from '../trip/use-trip';
import { BODIES, LAYERS, RUNS } from './layer-words';
import { KIT } from './words';
import { plainly } from '../../data/settings';
import { TextLink } from '../../ui/press';

const OF_KIT: { id: Requirement['layer']; title: string; lead: string }[] = [
  {
    id: 'law',
    title: 'Law here',
    lead: 'What the rule list asks for at the least, written from memory: ask the local authority.',
  },
  { id: 'advice', title: 'Advised for this trip', lead: 'What practice carries, and why.' },
  { id: 'own', title: 'Your own', lead: 'What you noted yourself.' },
];

const BodiesBlock = later(() => import('./layers-part').then((m) => m.BodiesBlock));
const RunsBlock = later(() => import('./layers-part').then((m) => m.RunsBlock));
const SignalsBlock = later(() => import('./layers-part').then((m) => m.SignalsBlock));

/** Every requirement in three layers that are never mixed, open ones first. */
export function KitSection() {
  const { assessment, trip, shed } = useTrip();
  const since = useSince(trip.id, assessment, trip.crew.length);
  const asked = new Map(assessment.requirements.map((r) => [`kit/${r.rule}/${r.boat ?? trip.id}`, r]));
  const layerOf = new Map([...asked].map(([id, r]) => [id, r.layer]));
  const came = new Set(since.comes.map((a) => a.key));
  const fresh = ({ id }: Finding) => came.has(`${asked.get(id)?.pack}/${asked.get(id)?.rule}`);
  const found = findingsOf(assessment, 'pack/kit');
  const of = (layer: Requirement['layer']): Finding[] =>
    found.filter((f) => (layerOf.get(f.id) ?? (f.id.startsWith('own/') ? 'own' : 'advice')) === layer);
  const water = shed.waters.find((w) => w.id === trip.water);
  const { leave } = assessment;
  const waiting = toLookAt(shed.gear).length;
  const day = leave === undefined ? trip.leave.date : civilDate(leave, water?.zone ?? 'UTC');
  return (
    <View style={{ gap: 18, marginTop: -8 }}>
      <T as="label">
        {[{ layer: 'law', said: KIT.law } as const, { layer: 'advice', said: KIT.advised } as const]
          .filter(({ layer }) => of(layer).length > 0)
          .map(({ layer, said }) =>
            plainly(said, {
              ready: of(layer).filter((f) => f.level === 'ready').length,
              all: of(layer).length,
            }),
          )
          .join(' · ')}
      </T>
      <SinceLook since={since} />
      {OF_KIT.map(({ id, title, lead }) =>
        of(id).length === 0 && id !== 'law' ? null : (
          <View key={id} style={{ marginHorizontal: -12 }}>
            <View style={{ paddingHorizontal: 12, paddingBottom: 6 }}>
              <T as="section" heading={3}>
                {title}
              </T>
              <T as="small">
                {id === 'law' && water
                  ? water.jurisdiction.length > 0
                    ? plainly(KIT.asIf, { lead, rules: countryNames(water.jurisdiction) })
                    : plainly(KIT.noRules, { lead })
                  : lead}
              </T>
            </View>
            <FindingList findings={of(id)} fresh={fresh} />
          </View>
        ),
      )}
      {assessment.leastProved ? null : (
        <T as="small">
          Whether fewer things would do was not settled: so many could serve that the search was cut off. What
          is asked for is met all the same.
        </T>
      )}
      <JacketsBlock />
      <View>
        <Fold title={BODIES.title}>
          <BodiesBlock />
        </Fold>
        <Fold title={LAYERS.title}>
          <SignalsBlock />
        </Fold>
        <Fold title={RUNS.title}>
          <RunsBlock />
        </Fold>
      </View>
      <WhatChanges />
      {waiting > 0 ? (
        <TextLink href={`/shed/look?back=${encodeURIComponent(`/trips/${trip.id}/pack/kit`)}`}>
          {plainly(LOOK.way, { n: waiting })}
        </TextLink>
      ) : null}
      <TextLink href={`/trips/${trip.id}/check`}>Officer’s check: ask yourself first</TextLink>
      <TextLink href={`/shed/round?by=${day}&trip=${trip.id}`}>
        Inspection round: what is due before this trip
      </TextLink>
      <TextLink href={'/shed'}>The locker: all kit</TextLink>
    </View>
  );
}

/** What the last edits brought and took away, until it is marked as seen. What came is marked in the list as well. */
function SinceLook({ since: { comes, goes, packs, seen } }: { since: Since }) {
  const p = usePalette();
  if (comes.length + goes.length + packs.length === 0) return null;
  return (
    <View
      role="group"
      aria-label="Since your last look"
      style={{ borderWidth: 2, borderColor: p.ink, backgroundColor: p.raised, padding: 10, gap: 4 }}
    >
      <T as="section" heading={3}>
        Since your last look
      </T>
      {comes.length > 0 ? (
        <T>{comes.length === 1 ? KIT.one : plainly(KIT.more, { n: comes.length })}</T>
      ) : null}
      {goes.length > 0 ? (
        <T as="soft">{plainly(KIT.gone, { what: goes.map((a) => a.title).join(', ') })}</T>
      ) : null}
      {packs.map((pack) => (
        <T key={pack.id} as="soft">
          {plainly(KIT.packNow, pack)}
        </T>
      ))}
      <Row>
        <Button label="Mark what changed as seen" onPress={seen}>
          Seen
        </Button>
      </Row>
    </View>
  );
}
