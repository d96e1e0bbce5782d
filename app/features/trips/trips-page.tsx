import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { isOpen } from '@escale/core/floatplan';
import type { PlanView, Trip } from '@escale/core/model';
import { saysTo } from '@escale/core/say';
import { Button } from '../../ui/button';
import { Empty, Page } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useCalls, usePlans, useThings } from '../../data/hooks';
import { TRIPS } from './words';
import { plainly } from '../../data/settings';
import { CardLink } from '../../ui/press';

const GROUPS: { status: Trip['status']; title: string }[] = [
  { status: 'on', title: 'On now' },
  { status: 'planned', title: 'Planned' },
  { status: 'done', title: 'Done' },
];
/** Where a trip opens: on its answer before it, on what is next while it is on, on looking back after it. */
const OPENS: Record<Trip['status'], string> = { planned: '', on: '/go', done: '/home' };

/** All trips: on now, planned, done. */
export function TripsPage() {
  const router = useRouter();
  const { ready, trips } = useThings();
  const plans = usePlans();
  const invented = useCalls()?.simulated === true;
  const begin = () => router.push('/begin');

  return (
    <Page
      title="Trips"
      aside={
        ready && trips.length > 0 ? (
          <Button kind="main" onPress={begin}>
            New trip
          </Button>
        ) : null
      }
    >
      {ready && trips.length === 0 ? (
        <Empty title={TRIPS.none} why={TRIPS.what}>
          <Button kind="main" onPress={begin}>
            {TRIPS.begin}
          </Button>
        </Empty>
      ) : null}
      {GROUPS.map(({ status, title }) => {
        const some = trips
          .filter((t) => t.status === status)
          .sort((a, b) =>
            status === 'done'
              ? b.leave.date.localeCompare(a.leave.date)
              : a.leave.date.localeCompare(b.leave.date),
          );
        return some.length === 0 ? null : (
          <View key={status} style={{ gap: 8 }}>
            <T as="caps">{title}</T>
            {some.map((trip) => (
              <TripCard
                key={trip.id}
                trip={trip}
                plan={plans?.find((pl) => pl.trip === trip.id && isOpen(pl.state))}
              />
            ))}
          </View>
        );
      })}
      <T as="small">{invented ? TRIPS.invented : TRIPS.advises}</T>
    </Page>
  );
}

function TripCard({ trip, plan }: { trip: Trip; plan: PlanView | undefined }) {
  const p = usePalette();
  const { shed } = useThings();
  const boat = shed.boats.find((b) => b.id === trip.boat),
    water = shed.waters.find((w) => w.id === trip.water);
  const words = [
    plainly(TRIPS.when, { day: Date.parse(`${trip.leave.date}T12:00:00Z`), time: trip.leave.time }),
    water?.name,
    boat?.name,
    trip.crew.length === 1
      ? TRIPS.alone
      : trip.crew.length > 1
        ? plainly(TRIPS.aboard, { n: trip.crew.length })
        : TRIPS.nobody,
  ]
    .filter(Boolean)
    .join(' · ');
  const state = plan
    ? saysTo({ units: 'metric', zone: plan.zone, locale: 'en-GB' })(TRIPS.open, { home: plan.times.home })
    : undefined;
  return (
    <CardLink
      label={
        state
          ? plainly(TRIPS.cardOpen, { title: trip.title, words, state })
          : plainly(TRIPS.card, { title: trip.title, words })
      }
      href={`/trips/${trip.id}${OPENS[trip.status]}`}
      style={{
        borderWidth: 1,
        borderLeftWidth: trip.status === 'on' ? 8 : 1,
        borderColor: trip.status === 'done' ? p.line : p.ink,
        backgroundColor: p.raised,
        padding: 12,
        minHeight: 64,
        gap: 2,
      }}
    >
      <T as="section" heading={2}>
        {trip.title}
      </T>
      <T as="label" style={{ fontSize: 14 }}>
        {words}
      </T>
      {state ? <T as="strong">{state}</T> : null}
    </CardLink>
  );
}
