import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { CRAFT } from '@escale/core/model/lists';
import { proceduresFor, stepStates, type Procedure } from '@escale/core/procedure';
import { Button } from '../../ui/button';
import { T } from '../../ui/text';
import { plainly } from '../../data/settings';
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
  const router = useRouter();
  const { trip, says } = useTrip();
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
      <StepList procedure={procedure} states={states} />
      <Schools procedure={procedure} />
    </View>
  );
}
