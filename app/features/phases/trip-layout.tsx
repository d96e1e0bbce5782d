import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Link, Slot, useLocalSearchParams, usePathname, useRouter } from 'expo-router';
import { dayOf } from '@escale/core/say';
import { HOUR, MS } from '@escale/core/units';
import { Button } from '../../ui/button';
import { Logo } from '../../ui/logo';
import { Empty, Page, useWide } from '../../ui/page';
import { TextLink } from '../../ui/press';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { FONT } from '../../ui/tokens';
import { useNow } from '../../data/hooks';
import { plainly } from '../../data/settings';
import { DayProvider, Strip, useDepartures, useLeaveAt } from './day';
import { PHASES, PHASE_TITLE } from '../trip/sections';
import { TripContext, useTripView, type TripView } from '../trip/use-trip';
import { VerdictBar } from './verdict-bar';
import { TRIP } from '../trip/words';

/** Alone on the screen: no strip, no verdict, no tabs. */
const ALONE = /\/(run\/|trouble\/|under-way$|paper$|havens$|rig$|brief$|read$)/;

/** Pages of a phone at whose head the strip stands; elsewhere its hours stand in the header alone. */
const WITH_STRIP = /^\/trips\/[^/]+(\/findings|\/plan(\/(water|day))?)?$/;

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
  const departures = useDepartures(view, view.axis);
  const keep = useLeaveAt(view);
  const day = useMemo(() => {
    const leaveAt = (leave: number) => {
      setDraft(undefined);
      keep(leave);
    };
    const strip = view.axis ? (
      <Strip view={live} axis={view.axis} departures={departures} onMove={setDraft} leaveAt={leaveAt} />
    ) : null;
    return { departures, leaveAt, strip };
  }, [view.axis, live, departures, keep]);
  const here = !wide && WITH_STRIP.test(path);
  const phase = PHASES.find((ph) => path.includes(`/${ph}`)) ?? (path.endsWith('/check') ? 'pack' : '');
  return (
    <TripContext.Provider value={live}>
      <DayProvider value={here ? day : { ...day, strip: null }}>
        <View style={{ flex: 1, backgroundColor: p.paper }}>
          <Header view={live} />
          {wide ? (
            <>
              {day.strip}
              <View style={{ height: 2, backgroundColor: p.ink }} />
            </>
          ) : (
            <Tabs trip={view.trip.id} phase={phase} />
          )}
          <View style={{ flex: 1 }}>
            <Slot />
          </View>
          <VerdictBar />
        </View>
      </DayProvider>
    </TripContext.Provider>
  );
}

function Header({ view: { trip, shed, reader, says, assessment, input } }: { view: TripView }) {
  const wide = useWide();
  const now = useNow(MS.minute);
  const boat = shed.boats.find((b) => b.id === trip.boat),
    water = shed.waters.find((w) => w.id === trip.water);
  const crew =
    trip.crew.length === 1
      ? TRIP.alone
      : trip.crew.length > 1
        ? plainly(TRIP.aboard, { n: trip.crew.length })
        : undefined;
  const day = assessment.leave === undefined ? trip.leave.date : dayOf(assessment.leave, reader);
  const { leave, schedule } = assessment;
  const hours = [
    leave === undefined ? undefined : says(TRIP.leave, { at: leave }),
    schedule?.home && says(TRIP.home, { at: schedule.home }),
  ];
  const invented = input.conditions.forecast?.invented === true;
  const issued = input.conditions.forecast?.issuedAt,
    source = input.conditions.forecast?.source;
  const age = issued === undefined ? undefined : (now - Date.parse(issued)) / MS.second;
  return (
    <View
      role="banner"
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: 10,
        paddingHorizontal: wide ? 24 : 12,
        paddingVertical: wide ? 6 : 2,
      }}
    >
      {wide ? null : <Logo />}
      <View style={{ flex: 1 }}>
        <T as="title" heading={1} numberOfLines={1}>
          {trip.title}
        </T>
        <T as="label" numberOfLines={1}>
          {(wide ? [day, water?.name, boat?.name, crew] : [day, ...hours]).filter(Boolean).join(' · ')}
        </T>
      </View>
      {wide ? <TextLink href={`/trips/${trip.id}/go/trouble`}>{TROUBLE_TAB}</TextLink> : null}
      <T as="label" style={{ textAlign: 'right', ...(wide ? {} : { maxWidth: 68 }) }}>
        {invented ? 'invented weather' : age === undefined ? 'no forecast' : forecastAge(Math.max(0, age))}
        {wide && source !== undefined && !invented ? `, ${source}` : ''}
      </T>
    </View>
  );
}

/** How old a forecast is, in words that fit a corner: whole hours from the first. */
const forecastAge = (age: number) =>
  age < HOUR
    ? plainly(TRIP.forecastOld, { age })
    : plainly(TRIP.forecastHours, { hours: Math.floor(age / HOUR) });

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
              lineHeight: 44,
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
      <Link
        href={`/trips/${trip}/go/trouble`}
        style={{
          flex: 1,
          textAlign: 'center',
          lineHeight: 40,
          fontFamily: FONT.read,
          fontSize: 16,
          fontWeight: '800',
          color: p.ink,
          borderWidth: 2,
          borderColor: p.ink,
        }}
      >
        {TROUBLE_TAB}
      </Link>
    </View>
  );
}
/** From every screen of a trip, one tap away. */
const TROUBLE_TAB = 'Trouble';
