import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { positionText } from '@escale/core/floatplan';
import type { Boat } from '@escale/core/model';
import { CRAFT } from '@escale/core/model/lists';
import { proceduresFor, stepStates, type Procedure, PROCEDURES } from '@escale/core/procedure';
import { plannedPosition } from '@escale/core/passage';
import { phrase, render } from '@escale/core/say';
import { jacketsOf, mayday, type Spot } from '@escale/core/signals';
import { MS } from '@escale/core/units';
import { useNow } from '../../data/hooks';
import { Button, Row } from '../../ui/button';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useTrip } from '../trip/use-trip';
import { useHere, type Here } from './here';
import { RampView } from './ramp-view';
import { useRun } from './use-run';
import { kindsSupplying } from '@escale/core/kit';
import { Phone } from '../../ui/phone';
import { GO } from './words';
import { plainly } from '../../data/settings';

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

/** Procedures of a group that suit this trip's boat. */
function useProcedures(group: Procedure['group']): Procedure[] {
  const { prepared, assessment } = useTrip();
  const { world, home, steps } = prepared.match(assessment.leave);
  return proceduresFor(
    PROCEDURES.filter((r) => r.group === group),
    group === 'home' ? home : world,
    steps,
  );
}

export const LaunchSection = () => (
  <View style={{ gap: 18 }}>
    <RampView />
    <Group group="go" none="Launching" />
  </View>
);
export const RetrieveSection = () => <Group group="home" none="Landing" />;

function Group({ group, none }: { group: Procedure['group']; none: string }) {
  const { trip, shed } = useTrip();
  const found = useProcedures(group);
  const boat = shed.boats.find((b) => b.id === trip.boat);
  if (!boat || found.length === 0)
    return (
      <T as="soft">
        {boat ? plainly(GO.noSteps, { none, craft: CRAFT[boat.kind].toLowerCase() }) : GO.noBoat}
      </T>
    );
  return (
    <View style={{ gap: 18 }}>
      {found.map((made) => (
        <ProcedureCard key={made.id} procedure={made} />
      ))}
    </View>
  );
}

function ProcedureCard({ procedure }: { procedure: Procedure }) {
  const p = usePalette();
  const router = useRouter();
  const { trip, reader, says } = useTrip();
  const { held, ticks } = useRun(procedure.id, trip.id);
  const states = stepStates(procedure.steps, ticks);
  const done = procedure.steps.filter((s) => states.get(s.id)?.done).length;
  return (
    <View style={{ gap: 8 }}>
      <T as="section" heading={3}>
        {procedure.title}
      </T>
      {procedure.stopIf ? <T as="soft">{says(GO.stayIf, { what: procedure.stopIf })}</T> : null}
      <Button kind="main" wet onPress={() => router.push(`/trips/${trip.id}/run/${procedure.id}`)}>
        {held ? says(GO.goOn, { done, all: procedure.steps.length }) : GO.start}
      </Button>
      {procedure.steps.map((step) => (
        <View
          key={step.id}
          style={{
            flexDirection: 'row',
            gap: 10,
            paddingVertical: 6,
            borderBottomWidth: 1,
            borderColor: p.line,
          }}
        >
          <T as="strong" style={{ width: 24 }}>
            {states.get(step.id)?.done ? '✓' : step.n}
          </T>
          <View style={{ flex: 1 }}>
            <T>{render(step.what, reader)}</T>
            <T as="small">
              {render(step.second ? phrase('procedure.twice', { why: step.why }) : step.why, reader)}
            </T>
          </View>
        </View>
      ))}
      {procedure.schools?.map((school) => (
        <View key={school.question} style={{ gap: 2 }}>
          <T as="strong">{school.question}</T>
          {school.sides.map((side) => (
            <T key={side} as="soft">
              {side}
            </T>
          ))}
        </View>
      ))}
    </View>
  );
}

/** What to do in the first ten seconds, and the words to say with boat, people and place filled in. */
export function TroubleSection() {
  const router = useRouter();
  const { trip, shed, assessment, reader } = useTrip();
  const p = usePalette();
  const found = useProcedures('trouble');
  const boat = shed.boats.find((b) => b.id === trip.boat);
  const used = new Set(
    assessment.requirements.filter((r) => r.applies !== 'no').flatMap((r) => r.metBy.map((u) => u.item)),
  );
  const signals = shed.gear
    .filter((g) => used.has(g.id) && SIGNALS.has(g.kind))
    .map((g) => g.name.toLowerCase());
  return (
    <View style={{ gap: 18 }}>
      <T as="section" heading={3}>
        People before gear. Stay with the boat. Call early.
      </T>
      {found.map((made) => (
        <View key={made.id} style={{ gap: 8, borderWidth: 2, borderColor: p.ink, padding: 12 }}>
          <T as="section" heading={3}>
            {made.title}
          </T>
          <T style={{ fontSize: 19, lineHeight: 26 }}>
            {made.steps[0] ? render(made.steps[0].what, reader) : null}
          </T>
          <Button kind="main" wet onPress={() => router.push(`/trips/${trip.id}/run/${made.id}`)}>
            All steps
          </Button>
        </View>
      ))}
      {found.length === 0 ? (
        <T as="soft">No steps for this kind of boat yet. Stay with her, get on her or into her, call.</T>
      ) : null}
      {boat ? <Words boat={boat} signals={signals} /> : null}
      <Numbers />
    </View>
  );
}

/** Whom to ring: who answers on this water, then those ashore who know of the trip. */
function Numbers() {
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
      {ashore.map((c) => (c.phone ? <Phone key={c.id} name={c.name} number={c.phone} /> : null))}
    </View>
  );
}

/** The words for the radio: the position is this device's where it may be read, else the plan's, said as such. */
function Words({ boat, signals }: { boat: Boat; signals: string[] }) {
  const { trip, shed, reader, says, assessment } = useTrip();
  const now = useNow(MS.minute);
  const { here, said, ask } = useHere();
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
        Say on the radio, channel 16
      </T>
      {mayday(boat, trip.crew.length, spot, jacketsOf(trip.crew), signals).map((line, i) => (
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
