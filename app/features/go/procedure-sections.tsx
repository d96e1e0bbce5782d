import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { CRAFT } from '@escale/core/model/lists';
import { proceduresFor, stepStates, type Procedure } from '@escale/core/procedure';
import { render } from '@escale/core/say';
import { Button, Row } from '../../ui/button';
import { Fold } from '../../ui/fold';
import { TextLink } from '../../ui/press';
import { T } from '../../ui/text';
import { goTo } from '@escale/core/verdict';
import { plainly } from '../../data/settings';
import { fieldHref } from '../../data/where';
import { useTrip } from '../trip/use-trip';
import { RampView } from './ramp-view';
import { Schools, StepList } from './step-list';
import { useRun } from './use-run';
import { GO } from './words';
import { procedures } from '../../data/procedures';

/** Procedures of a group that suit this trip's boat. */
function useProcedures(group: Procedure['group']): Procedure[] {
  const { prepared, assessment } = useTrip();
  const { world, home, steps } = prepared.match(assessment.leave);
  return proceduresFor(
    procedures().filter((r) => r.group === group),
    group === 'home' ? home : world,
    steps,
  );
}

export const LaunchSection = () => (
  <View style={{ gap: 18 }}>
    <BriefDoor />
    <RampView />
    <LaunchNotes />
    <Group group="go" none="Launching" />
  </View>
);
/** Hours, edge of the water, wind across, the car, and how she came off before: what is known of each. */
function LaunchNotes() {
  const { prepared, assessment, reader, trip, shed, says } = useTrip();
  const rules = shed.places.find((pl) => pl.id === trip.launch)?.rules;
  const { notes } = prepared.match(assessment.leave);
  if (notes.length === 0 && !rules) return null;
  return (
    <View role="list" aria-label={GO.atLaunch} style={{ gap: 6 }}>
      {notes.map((said, i) => (
        <T role="listitem" key={i}>
          {render(said, reader)}
        </T>
      ))}
      {rules ? <T role="listitem">{says(GO.placeRules, { rules })}</T> : null}
    </View>
  );
}

/** Before the boat goes in, whoever goes is told, and asked. */
function BriefDoor() {
  const { trip } = useTrip();
  return trip.crew.length > 0 ? (
    <Row style={{ columnGap: 20 }}>
      <TextLink href={`/trips/${trip.id}/brief`}>{GO.brief}</TextLink>
      <TextLink href={`/trips/${trip.id}/whatif`}>{GO.askCrew}</TextLink>
    </Row>
  ) : null;
}

/** Steps of holding her in a place, and of getting away from it. */
export function HoldSteps() {
  const found = useProcedures('hold');
  return (
    <View>
      {found.map((made) => (
        <Fold key={made.id} title={made.title}>
          <View style={{ padding: 12 }}>
            <ProcedureCard procedure={made} titled={false} />
          </View>
        </Fold>
      ))}
    </View>
  );
}

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
      {found.length > 1 ? <WhichWay /> : null}
      {found.map((made) => (
        <ProcedureCard key={made.id} procedure={made} />
      ))}
    </View>
  );
}

/** Several ways suit while nobody said from what she is launched, or whether she comes on a trailer. */
function WhichWay() {
  const { trip, shed } = useTrip();
  const place = shed.places.find((pl) => pl.id === trip.launch);
  const unsaid = place && place.launchFrom === undefined;
  const mend = unsaid ? goTo.place(place.id, '/launchFrom') : goTo.boat(trip.boat, '/trailer');
  return (
    <View style={{ gap: 2 }}>
      <T as="soft">{GO.several}</T>
      <TextLink href={fieldHref(mend.go) ?? `/trips/${trip.id}/plan/water`}>
        {unsaid ? GO.sayLaunch : GO.sayTrailer}
      </TextLink>
    </View>
  );
}

function ProcedureCard({ procedure, titled = true }: { procedure: Procedure; titled?: boolean }) {
  const router = useRouter();
  const { trip, says } = useTrip();
  const { held, ticks } = useRun(procedure.id, trip.id);
  const states = stepStates(procedure.steps, ticks);
  const done = procedure.steps.filter((s) => states.get(s.id)?.done).length;
  return (
    <View style={{ gap: 8 }}>
      {titled ? (
        <T as="section" heading={3}>
          {procedure.title}
        </T>
      ) : null}
      {procedure.stopIf ? (
        <T as="soft">{says(procedure.group === 'hold' ? GO.notIf : GO.stayIf, { what: procedure.stopIf })}</T>
      ) : null}
      <Button kind="main" wet onPress={() => router.push(`/trips/${trip.id}/run/${procedure.id}`)}>
        {held ? says(GO.goOn, { done, all: procedure.steps.length }) : GO.start}
      </Button>
      <StepList procedure={procedure} states={states} />
      <Schools procedure={procedure} />
    </View>
  );
}
