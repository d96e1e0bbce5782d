import { View } from 'react-native';
import { positionText } from '@escale/core/floatplan';
import { kindsSupplying } from '@escale/core/kit';
import type { Boat } from '@escale/core/model';
import { plannedPosition } from '@escale/core/passage';
import { render } from '@escale/core/say';
import { jacketsOf, mayday, type Matter, type Spot } from '@escale/core/signals';
import { MS } from '@escale/core/units';
import { useNow } from '../../data/hooks';
import { Button, Row } from '../../ui/button';
import { Phone } from '../../ui/phone';
import { T } from '../../ui/text';
import { GO } from '../go/words';
import type { Here, useHere } from '../../data/here';
import { useTrip } from '../trip/use-trip';
import { TROUBLE } from './words';

/** What a searcher can see, hear or receive. */
const SIGNALS = kindsSupplying(
  'sound',
  'pyro-day',
  'pyro-night',
  'flag-day',
  'electric-night',
  'locate',
  'mirror',
  'white-light',
);

/** Names of the signals that travel on this trip. */
export function useSignals(): string[] {
  const { shed, assessment } = useTrip();
  const used = new Set(
    assessment.requirements.filter((r) => r.applies !== 'no').flatMap((r) => r.metBy.map((u) => u.item)),
  );
  return shed.gear
    .filter((g) => used.has(g.id) && SIGNALS.has(g.kind))
    .map((g) => g.name.charAt(0).toLowerCase() + g.name.slice(1));
}

/** The words for the radio: the position is this device's where it may be read, else the plan's, said as such. */
export function Words({
  boat,
  signals,
  matter,
  where: { here, said, ask },
}: {
  boat: Boat;
  signals: string[];
  matter?: Matter;
  where: ReturnType<typeof useHere>;
}) {
  const { trip, shed, reader, says, assessment } = useTrip();
  const now = useNow(MS.minute);
  const spot = spotOf(
    here,
    () => {
      const { schedule } = assessment;
      const out = schedule?.home !== undefined && now >= schedule.leave && now <= schedule.home;
      return out && trip.launch ? plannedPosition(schedule, trip.launch, shed.places, now) : undefined;
    },
    shed.places.find((pl) => pl.id === trip.launch)?.position,
  );
  return (
    <View style={{ gap: 6 }}>
      <T as="section" heading={3}>
        {matter?.call === 'pan' ? TROUBLE.pan : TROUBLE.mayday}
      </T>
      {mayday(boat, trip.crew.length, spot, jacketsOf(trip.crew), signals, matter).map((line, i) => (
        <T key={i} style={{ fontSize: 18, lineHeight: 26 }}>
          {render(line, reader)}
        </T>
      ))}
      <T as="small">
        {here
          ? says(GO.read, { at: here.at, metres: Math.round(here.accuracy) })
          : says(spot.from === 'plan' ? GO.fromPlan : GO.sayWhere)}
      </T>
      {said ? (
        <T as="soft" role="status">
          {said}
        </T>
      ) : null}
      <Row>
        <Button wet onPress={ask}>
          {here ? 'Read the position again' : 'Use this device’s position'}
        </Button>
      </Row>
    </View>
  );
}

/** Whom to ring: who answers on this water, then those ashore who know of the trip. */
export function Numbers() {
  const { trip, shed } = useTrip();
  const water = shed.waters.find((w) => w.id === trip.water);
  const ashore = trip.contacts.flatMap((id) => shed.contacts.find((c) => c.id === id) ?? []);
  return (
    <View role="group" aria-label={GO.numbers} style={{ gap: 2 }}>
      <T as="section" heading={3}>
        {GO.numbers}
      </T>
      {water?.rescueNumber ? (
        <Phone name={water.rescueName ?? GO.rescue} number={water.rescueNumber} text={false} />
      ) : (
        <T as="soft">{GO.noRescue}</T>
      )}
      {(water?.numbers ?? []).map(({ who, number }) => (
        <Phone key={number} name={who} number={number} text={false} />
      ))}
      {ashore.map((c) => (c.phone ? <Phone key={c.id} name={c.name} number={c.phone} /> : null))}
    </View>
  );
}

function spotOf(
  here: Here | undefined,
  planned: () => { lat: number; lon: number } | undefined,
  launch: { lat: number; lon: number } | undefined,
): Spot {
  if (here) return { text: positionText(here), from: 'device' };
  const plan = planned();
  if (plan) return { text: positionText(plan), from: 'plan' };
  return launch ? { text: positionText(launch), from: 'launch' } : { text: '', from: 'none' };
}
