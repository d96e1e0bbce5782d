import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useRouter } from 'expo-router';
import {
  standsOf,
  steppingStone,
  stoneTrip,
  type PersonStands,
  type Stone,
} from '@escale/core/trip/stepping';
import type { Says } from '@escale/core/say';
import { Button } from '../../ui/button';
import { TextLink } from '../../ui/press';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { create, newId } from '../../data/outbox';
import { useTripView, type TripView } from '../trip/use-trip';
import { ENVELOPE } from './words';

/** The smaller trip before one that is a leap. */
export function StonePart({ id }: { id: string }) {
  const view = useTripView(id);
  return view === 'loading' || view === 'gone' ? null : <Found view={view} />;
}

function Found({ view }: { view: TripView }) {
  const { trip, input, says } = view;
  const router = useRouter();
  const p = usePalette();
  const [made, setMade] = useState(false);
  const { stone, people } = useMemo(() => {
    const stands = standsOf(input);
    return { stone: steppingStone(input, stands), people: stands.people };
  }, [input]);
  const lines = stone ? linesOf(stone, says) : [];
  const make = () => {
    if (!stone) return;
    setMade(true);
    const again = stoneTrip(trip, stone, {
      id: newId(),
      date: trip.leave.date,
      title: says(ENVELOPE.stoneTitle, { title: trip.title }).slice(0, LONGEST),
      notes: says(ENVELOPE.stoneNote, { what: lines }),
    });
    void create('trip', again, again.title);
    router.push(`/trips/${again.id}/plan/day`);
  };
  return (
    <View
      role="group"
      aria-label={says(ENVELOPE.plan, { title: trip.title })}
      style={{ borderWidth: 2, borderColor: p.ink, padding: 12, gap: 8 }}
    >
      <T as="section" heading={2}>
        {says(ENVELOPE.plan, { title: trip.title })}
      </T>
      {stone ? (
        <>
          <T>{ENVELOPE.planLeap}</T>
          <T as="strong">{says(ENVELOPE.stone, { axis: ENVELOPE.axis[stone.axis] })}</T>
          <View role="list" aria-label={ENVELOPE.planLeap}>
            {lines.map((line) => (
              <View role="listitem" key={line}>
                <T>{line}</T>
              </View>
            ))}
          </View>
          <T as="small">{ENVELOPE.made}</T>
          <Button kind="main" busy={made} onPress={make}>
            {ENVELOPE.stoneMake}
          </Button>
        </>
      ) : (
        <Stands people={people} says={says} />
      )}
      <TextLink href={`/trips/${trip.id}`}>{trip.title}</TextLink>
    </View>
  );
}
/** How the plan stands, for whom it is worst; and of what that is not known. */
function Stands({ people, says }: { people: readonly PersonStands[]; says: Says }) {
  const worst = ORDER.find((one) => people.some(({ is }) => is === one)) ?? 'never';
  const open = people.flatMap(({ person, beyond }) =>
    beyond
      .filter(({ steps }) => steps === undefined)
      .map(({ axis }) => says(ENVELOPE.planUnknown, { who: person.name, axis: ENVELOPE.axis[axis] })),
  );
  return (
    <>
      <T>{ENVELOPE.planIs[worst]}</T>
      {worst === 'unknown' ? open.map((line) => <T key={line}>{line}</T>) : null}
    </>
  );
}
const ORDER = ['leap', 'never', 'unknown', 'step', 'within'] as const;

/** Letters of a trip’s name. */
const LONGEST = 120;

/** What the smaller trip stays within, each in a few words. */
function linesOf({ limits, company, light, goes }: Stone, says: Says): string[] {
  const where =
    'place' in goes
      ? says(ENVELOPE.stonePlace, { place: goes.place.name, off: goes.off })
      : 'nowhere' in goes
        ? ENVELOPE.stoneNowhere
        : ENVELOPE.stoneSame;
  return [
    where,
    ...(limits.off === undefined ? [] : [says(ENVELOPE.stoneOff, { limit: limits.off })]),
    ...(limits.wind === undefined ? [] : [says(ENVELOPE.stoneWind, { limit: limits.wind })]),
    ...(limits.waterTemperature === undefined
      ? []
      : [says(ENVELOPE.stoneCold, { limit: limits.waterTemperature })]),
    ...(company ? [ENVELOPE.stoneCompany] : []),
    ...(light ? [ENVELOPE.stoneLight] : []),
  ];
}
