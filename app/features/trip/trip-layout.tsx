import { useCallback, useMemo, useState } from 'react';
import { View } from 'react-native';
import { Link, Slot, useLocalSearchParams, usePathname, useRouter } from 'expo-router';
import { civilDate, wallTime } from '@escale/core/earth';
import { dayOf, clock } from '@escale/core/say';
import { stripOf, type Departure } from '@escale/core/trip';
import { MS, spanText } from '@escale/core/units';
import { Button } from '../../ui/button';
import { Logo } from '../../ui/logo';
import { Empty, Page, useWide } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { FONT } from '../../ui/tokens';
import { change } from '../../data/outbox';
import { useNow } from '../../data/hooks';
import { useJob } from '../../data/jobs';
import { DayStrip } from '../strip/day-strip';
import { DayTable } from '../strip/day-table';
import { PHASES, PHASE_TITLE } from './sections';
import { TripContext, useTripView, type TripView } from './use-trip';
import { VerdictBar } from './verdict-bar';

/** Alone on the screen: no strip, no verdict, no tabs. */
const ALONE = /\/(run\/|under-way$)/;

/** Pages of a phone on which the whole strip stands; elsewhere it folds to a line. */
const WITH_STRIP = /\/plan(\/(water|day))?$/;

/** What all pages of a trip stand in: header, day strip, phases, verdict. */
export function TripLayout() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = useTripView(id);
  const router = useRouter();
  const alone = ALONE.test(usePathname());
  if (view === 'loading')
    return (
      <Page title="One moment">
        <T as="soft">The trip is being fetched.</T>
      </Page>
    );
  if (view === 'gone')
    return (
      <Page title="No such trip">
        <Empty title="This trip is not here" why="It was removed, or this device has not heard of it yet.">
          <Button onPress={() => router.replace('/trips')}>All trips</Button>
        </Empty>
      </Page>
    );
  return alone ? (
    <TripContext.Provider value={view}>
      <Slot />
    </TripContext.Provider>
  ) : (
    <Framed view={view} />
  );
}

function Framed({ view }: { view: TripView }) {
  const p = usePalette();
  const wide = useWide();
  const path = usePathname();
  const [draft, setDraft] = useState<number>();
  // While the departure is dragged everything below follows.
  const live = useMemo(
    () => (draft === undefined ? view : { ...view, assessment: view.prepared.at(draft) }),
    [view, draft],
  );
  const phase =
    PHASES.find((ph) => path.includes(`/${ph}`)) ??
    (path.endsWith('/check') ? 'pack' : path.endsWith('/findings') ? '' : 'plan');
  return (
    <TripContext.Provider value={live}>
      <View style={{ flex: 1, backgroundColor: p.paper }}>
        <Header view={live} />
        {view.axis ? (
          <Strip view={live} axis={view.axis} folded={!wide && !WITH_STRIP.test(path)} onMove={setDraft} />
        ) : null}
        {wide ? (
          <View style={{ height: 2, backgroundColor: p.ink }} />
        ) : (
          <Tabs trip={view.trip.id} phase={phase} />
        )}
        <View style={{ flex: 1 }}>
          <Slot />
        </View>
        <VerdictBar />
      </View>
    </TripContext.Provider>
  );
}

function Header({ view: { trip, shed, reader, assessment, input } }: { view: TripView }) {
  const wide = useWide();
  const now = useNow(MS.minute);
  const boat = shed.boats.find((b) => b.id === trip.boat),
    water = shed.waters.find((w) => w.id === trip.water);
  const crew =
    trip.crew.length === 1 ? 'alone' : trip.crew.length > 1 ? `${trip.crew.length} aboard` : undefined;
  const invented = input.conditions.forecast?.invented === true;
  const issued = input.conditions.forecast?.issuedAt;
  const age = issued === undefined ? undefined : (now - Date.parse(issued)) / MS.second;
  return (
    <View
      role="banner"
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: 10,
        paddingHorizontal: wide ? 24 : 12,
        paddingTop: 8,
        paddingBottom: 6,
      }}
    >
      {wide ? null : <Logo />}
      <View style={{ flex: 1 }}>
        <T as="title" heading={1} numberOfLines={1}>
          {trip.title}
        </T>
        <T as="label" numberOfLines={1}>
          {[
            assessment.leave === undefined ? trip.leave.date : dayOf(assessment.leave, reader),
            water?.name,
            boat?.name,
            crew,
          ]
            .filter(Boolean)
            .join(' · ')}
        </T>
      </View>
      <T as="label" style={{ textAlign: 'right', ...(wide ? {} : { maxWidth: 68 }) }}>
        {invented
          ? 'invented weather'
          : age === undefined
            ? 'no forecast'
            : `forecast ${spanText(Math.max(0, age)).replace(/ h \d\d$/, ' h')} old`}
      </T>
    </View>
  );
}

/** Departures of the row stand so far apart. */
const STEP = 20 * MS.minute;
/** How long an edit must rest before its day is swept, ms. */
const REST = 250;
const NONE: Departure[] = [];

function Strip({
  view,
  axis,
  folded,
  onMove,
}: {
  view: TripView;
  axis: { from: number; until: number };
  folded: boolean;
  onMove: (leave: number | undefined) => void;
}) {
  const { input, held, reader, shed, assessment } = view;
  const p = usePalette();
  const [table, setTable] = useState(false);
  const { trip, conditions } = input;
  // Core's own time stands still while nothing changes; which departures are past does not.
  const now = useNow(STEP);
  const strip = useMemo(() => stripOf({ trip, shed, conditions }, axis), [trip, shed, conditions, axis]);
  const job = useMemo(
    () => ({
      input: { trip, shed, conditions, now },
      from: axis.from,
      until: axis.until,
      step: STEP,
    }),
    [trip, shed, conditions, now, axis],
  );
  const swept = useJob('sweep', job, REST);
  const departures = swept.parts.at(-1) ?? NONE;
  const leaveAt = useCallback(
    (leave: number) => {
      onMove(undefined);
      const next = { date: civilDate(leave, reader.zone), time: wallTime(leave, reader.zone) };
      if (next.date !== held.doc.leave.date || next.time !== held.doc.leave.time)
        void change(held, [{ op: 'set', pointer: '/leave', value: next }], `leave at ${next.time}`);
    },
    [held, reader.zone, onMove],
  );
  const { schedule, leave } = assessment;
  if (folded) {
    return leave === undefined ? null : (
      <T as="label" style={{ paddingHorizontal: 12, paddingBottom: 6, color: p.ink }}>
        {[
          `leave ${clock(leave, reader)}`,
          schedule?.turnBack && `turn ${clock(schedule.turnBack, reader)}`,
          schedule?.home && `home ${clock(schedule.home, reader)}`,
          schedule?.overdue && `overdue ${clock(schedule.overdue, reader)}`,
        ]
          .filter(Boolean)
          .join(' · ')}
      </T>
    );
  }
  return (
    <View>
      {conditions.forecast?.invented ? (
        <T as="label" style={{ paddingHorizontal: 12 }}>
          Invented weather, for show: the wind below is no forecast.
        </T>
      ) : null}
      <DayStrip
        strip={strip}
        schedule={schedule}
        leave={leave}
        departures={departures}
        reader={reader}
        onMove={onMove}
        onLeave={leaveAt}
      />
      <View
        style={{
          flexDirection: 'row',
          justifyContent: 'space-between',
          alignItems: 'center',
          paddingHorizontal: 8,
        }}
      >
        <View style={{ flexDirection: 'row' }}>
          <Button
            kind="quiet"
            label="Leave ten minutes earlier"
            onPress={() => leave !== undefined && leaveAt(leave - 10 * MS.minute)}
          >
            − 10 min
          </Button>
          <Button
            kind="quiet"
            label="Leave ten minutes later"
            onPress={() => leave !== undefined && leaveAt(leave + 10 * MS.minute)}
          >
            + 10 min
          </Button>
        </View>
        <Button kind="quiet" onPress={() => setTable(!table)}>
          {table ? 'Close the table' : 'Read as a table'}
        </Button>
      </View>
      {table ? (
        <View style={{ paddingHorizontal: 12, maxHeight: 320, overflow: 'scroll' as 'hidden' }}>
          <DayTable
            strip={strip}
            schedule={schedule}
            departures={departures}
            reader={reader}
            name={(id) => shed.places.find((pl) => pl.id === id)?.name ?? '?'}
          />
        </View>
      ) : null}
    </View>
  );
}

function Tabs({ trip, phase }: { trip: string; phase: string }) {
  const p = usePalette();
  return (
    <View
      role="navigation"
      aria-label="Phases"
      style={{ flexDirection: 'row', borderBottomWidth: 2, borderColor: p.ink }}
    >
      {PHASES.map((ph) => {
        const here = ph === phase;
        return (
          <Link
            key={ph}
            href={`/trips/${trip}/${ph}`}
            aria-current={here ? 'page' : undefined}
            style={{
              flex: 1,
              textAlign: 'center',
              lineHeight: 46,
              fontFamily: FONT.read,
              fontSize: 16,
              fontWeight: '600',
              color: here ? p.paper : p.ink,
              backgroundColor: here ? p.ink : 'transparent',
            }}
          >
            {PHASE_TITLE[ph]}
          </Link>
        );
      })}
    </View>
  );
}
