import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { useRouter } from 'expo-router';
import { isOpen } from '@escale/core/floatplan';
import type { PlanView, Shed, Trip } from '@escale/core/model';
import { saysTo } from '@escale/core/say';
import { nextTrip } from '@escale/core/trip/next';
import { Button } from '../../ui/button';
import { Fold } from '../../ui/fold';
import { later } from '../../ui/later';
import { Empty, Page, useWide } from '../../ui/page';
import { CardLink } from '../../ui/press';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { TOUCH } from '../../ui/tokens';
import { useCalls, useNow, usePlans, useThings } from '../../data/hooks';
import { enterDemo, inDemo } from '../../data/memory';
import { plainly, useReader } from '../../data/settings';
import { DEMO } from '../device/words';
import { InstallHint } from '../device/install';
import { OPENS } from './opens';
import { TRIPS } from './words';

const AfterLine = later(() => import('./after-line').then((m) => m.AfterLine));
const NextTrip = later(() => import('./next-trip').then((m) => m.NextTrip));

const GROUPS: { status: Trip['status']; title: string }[] = [
  { status: 'on', title: 'On now' },
  { status: 'planned', title: 'Planned' },
];
/** As many trips are seen at a glance; more can be searched. */
const AT_A_GLANCE = 5;
const HOUR = 3_600_000;

/** The place to begin a morning: the next trip with its answer and its day, the others, and those that are done, folded. */
export function TripsPage() {
  const router = useRouter();
  const wide = useWide();
  const { ready, trips, shed } = useThings();
  const invented = useCalls()?.simulated === true;
  const [find, setFind] = useState('');
  const next = nextTrip(trips, shed, useNow(HOUR));
  const begin = () => router.push('/begin');
  const wanted = find.trim().toLowerCase();
  const shown = trips.filter((t) => wanted === '' || namesOf(t, shed).includes(wanted));
  const list = (
    <View style={{ gap: 12, ...(wide ? { width: 380 } : {}) }}>
      {trips.length > AT_A_GLANCE ? (
        <TextInput
          mode="outlined"
          dense
          placeholder={TRIPS.find}
          style={{ minHeight: TOUCH }}
          accessibilityLabel={TRIPS.find}
          value={find}
          onChangeText={setFind}
        />
      ) : null}
      {wanted && shown.length === 0 ? <T as="soft">{TRIPS.found}</T> : null}
      {GROUPS.map(({ status, title }) => (
        <Group
          key={status}
          title={title}
          trips={soonest(shown.filter((t) => t.status === status && (wide || wanted !== '' || t !== next)))}
        />
      ))}
      <Done trips={soonest(shown.filter((t) => t.status === 'done')).reverse()} found={wanted !== ''} />
    </View>
  );
  return (
    <Page
      title="Trips"
      {...(wide && trips.length > 0 ? { style: { maxWidth: 1240 } } : {})}
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
          {inDemo || invented ? null : (
            <>
              <Button onPress={enterDemo}>{DEMO.open}</Button>
              <T as="small">{DEMO.why}</T>
            </>
          )}
        </Empty>
      ) : null}
      {trips.some(({ status }) => status === 'done') ? <AfterLine /> : null}
      <View style={wide ? { flexDirection: 'row', gap: 24, alignItems: 'flex-start' } : { gap: 12 }}>
        {wide ? list : null}
        {next ? (
          <View style={wide ? { flex: 1 } : {}}>
            <NextTrip key={next.id} id={next.id} />
          </View>
        ) : null}
        {wide ? null : list}
      </View>
      {trips.length > 0 ? <InstallHint /> : null}
      <T as="small">{invented ? TRIPS.demo : TRIPS.advises}</T>
    </Page>
  );
}

/** What a trip can be found by. */
const namesOf = (trip: Trip, { waters, boats, people, places }: Shed) =>
  [
    trip.title,
    waters.find((w) => w.id === trip.water)?.name,
    boats.find((b) => b.id === trip.boat)?.name,
    places.find((pl) => pl.id === trip.launch)?.name,
    ...trip.halts.map((h) => places.find((pl) => pl.id === h.place)?.name),
    ...trip.crew.map((c) => people.find((who) => who.id === c.person)?.name),
    trip.leave.date,
  ]
    .join(' ')
    .toLowerCase();

const soonest = (trips: Trip[]) =>
  [...trips].sort((a, b) =>
    `${a.leave.date} ${a.leave.time}`.localeCompare(`${b.leave.date} ${b.leave.time}`),
  );

function Group({ title, trips }: { title: string; trips: Trip[] }) {
  return trips.length === 0 ? null : (
    <View style={{ gap: 8 }}>
      <T as="caps">{title}</T>
      <Cards trips={trips} />
    </View>
  );
}

/** Trips that are over: a row with their count; what was searched for is shown at once. */
function Done({ trips, found }: { trips: Trip[]; found: boolean }) {
  if (trips.length === 0) return null;
  return (
    <Fold key={String(found)} title={plainly(TRIPS.done, { n: trips.length })} begin={found}>
      <View style={{ gap: 8, paddingTop: 8 }}>
        <Cards trips={trips} />
      </View>
    </Fold>
  );
}

function Cards({ trips }: { trips: Trip[] }) {
  const plans = usePlans();
  return trips.map((trip) => (
    <TripCard key={trip.id} trip={trip} plan={plans?.find((pl) => pl.trip === trip.id && isOpen(pl.state))} />
  ));
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
  const says = saysTo(useReader(plan?.zone ?? 'UTC'));
  const state = plan ? says(TRIPS.open, { home: plan.times.home }) : undefined;
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
