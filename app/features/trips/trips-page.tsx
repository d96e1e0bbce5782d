import { useCallback, useEffect, useRef } from 'react';
import { Pressable, View } from 'react-native';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { civilDate, plusDays } from '@escale/core/earth';
import { isOpen } from '@escale/core/floatplan';
import type { PlanView, Trip } from '@escale/core/model';
import { clock, dayOf } from '@escale/core/say';
import { Button } from '../../ui/button';
import { Empty, Page } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useCalls, useNow, usePlans, useThings } from '../../data/hooks';
import { create, newId } from '../../data/outbox';

const GROUPS: { status: Trip['status']; title: string }[] = [
  { status: 'on', title: 'On now' },
  { status: 'planned', title: 'Planned' },
  { status: 'done', title: 'Done' },
];
const GRACE = 60;

/** All trips: on now, planned, done. */
export function TripsPage() {
  const router = useRouter();
  const { ready, trips, shed } = useThings();
  const plans = usePlans();
  const now = useNow(60_000);
  const invented = useCalls()?.simulated === true;
  const { new: wanted } = useLocalSearchParams<{ new?: string }>();
  const begin = useCallback(() => {
    const id = newId();
    // What a new trip most likely shares with the last one: the boat, the launch and its water, the contact.
    const last = trips.toSorted((a, b) => b.leave.date.localeCompare(a.leave.date))[0];
    const zone = shed.waters.find((w) => w.id === last?.water)?.zone ?? 'UTC';
    const trip: Trip = {
      id,
      title: 'A new trip',
      crew: [],
      halts: [],
      load: [],
      limits: last?.limits ?? {},
      contacts: last?.contacts ?? [],
      graceMinutes: GRACE,
      stow: [],
      status: 'planned',
      leave: { date: plusDays(civilDate(now, zone), 1), time: '08:00' },
      ...(last?.water ? { water: last.water } : {}),
      ...(last?.launch ? { launch: last.launch } : {}),
      ...(last?.driveMinutes === undefined ? {} : { driveMinutes: last.driveMinutes }),
    };
    void create('trip', trip, 'a new trip');
    router.replace(`/trips/${id}/plan/boat`);
  }, [trips, shed, now, router]);
  const begun = useRef(false);
  useEffect(() => {
    if (wanted !== '1' || !ready || begun.current) return;
    begun.current = true;
    begin();
  }, [wanted, ready, begin]);

  return (
    <Page
      title="Trips"
      aside={
        <Button kind="main" onPress={begin} disabled={!ready}>
          New trip
        </Button>
      }
    >
      {ready && trips.length === 0 ? (
        <Empty
          title="No trip yet"
          why="A trip holds one day on the water: boat, crew, way and time. Everything else is reckoned from it."
        />
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
      <T as="small">
        {invented ? 'The places that come with the demo do not exist. ' : ''}Escale advises; it never permits.
      </T>
    </Page>
  );
}

function TripCard({ trip, plan }: { trip: Trip; plan: PlanView | undefined }) {
  const p = usePalette();
  const router = useRouter();
  const { shed } = useThings();
  const boat = shed.boats.find((b) => b.id === trip.boat),
    water = shed.waters.find((w) => w.id === trip.water);
  const day = dayOf(Date.parse(`${trip.leave.date}T12:00:00Z`), { zone: 'UTC', locale: 'en-GB' });
  const words = [
    `${day}, ${trip.leave.time}`,
    water?.name,
    boat?.name,
    trip.crew.length === 1 ? 'alone' : trip.crew.length > 1 ? `${trip.crew.length} aboard` : 'nobody yet',
  ]
    .filter(Boolean)
    .join(' · ');
  const state = plan
    ? `float plan open: home ${clock(plan.times.home, { zone: plan.zone, locale: 'en-GB' })}`
    : undefined;
  return (
    <Pressable
      role="link"
      aria-label={`${trip.title}. ${words}${state ? `. ${state}` : ''}`}
      onPress={() =>
        router.push(
          `/trips/${trip.id}/${trip.status === 'on' ? 'go' : trip.status === 'done' ? 'home' : 'plan'}`,
        )
      }
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
    </Pressable>
  );
}
