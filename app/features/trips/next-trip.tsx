import { useMemo } from 'react';
import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { isOpen } from '@escale/core/floatplan';
import { upAt } from '@escale/core/passage';
import { render } from '@escale/core/say';
import { answerOf, stripOf } from '@escale/core/trip';
import { MS } from '@escale/core/units';
import { Button, Row } from '../../ui/button';
import { CardLink, TextLink } from '../../ui/press';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useNow } from '../../data/hooks';
import { plainly } from '../../data/settings';
import { DayStrip } from '../strip/day-strip';
import { useTripView, type TripView } from '../trip/use-trip';
import { OPENS } from './opens';
import { RepeatButton } from '../trip/repeat-button';
import { byWhom } from '../trip/by-whom';
import { TRIPS } from './words';

/** The trip that comes next, as one wants it in the morning: when, whether, what the day does, and who watches. */
export function NextTrip({ id }: { id: string }) {
  const view = useTripView(id);
  if (typeof view === 'string') return null;
  return <Shown view={view} />;
}

function Shown({ view }: { view: TripView }) {
  const p = usePalette();
  const { trip, says, assessment, reader, plan, input, shed } = view;
  const { schedule, leave } = assessment;
  const issued = input.conditions.forecast?.issuedAt;
  const answer = answerOf(assessment, {
    issuedAt: issued === undefined ? undefined : Date.parse(issued),
  }).map((sentence) => render(sentence, reader));
  const open = plan !== undefined && isOpen(plan.state) ? plan : undefined;
  const place = [
    says(TRIPS.day, { at: leave ?? Date.parse(`${trip.leave.date}T12:00:00Z`) }),
    shed.waters.find((w) => w.id === trip.water)?.name,
    shed.boats.find((b) => b.id === trip.boat)?.name,
  ];
  return (
    <View
      role="region"
      aria-label={trip.title}
      style={{ borderWidth: 2, borderColor: p.ink, backgroundColor: p.raised }}
    >
      <CardLink
        href={`/trips/${trip.id}${OPENS[trip.status]}`}
        label={plainly(TRIPS.card, { title: trip.title, words: answer.join(' ') })}
        style={{ padding: 12, gap: 4 }}
      >
        <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 12 }}>
          <T as="caps">{trip.status === 'on' ? TRIPS.now : TRIPS.next}</T>
          <Countdown view={view} />
        </View>
        <T as="title" heading={2}>
          {trip.title}
        </T>
        <T as="label">{place.filter(Boolean).join(' · ')}</T>
        <T as="strong">{answer.join(' ')}</T>
      </CardLink>
      <View
        style={{
          flexDirection: 'row',
          paddingHorizontal: 12,
          paddingBottom: 8,
          columnGap: 14,
          flexWrap: 'wrap',
        }}
      >
        <Hour view={view} what={TRIPS.up} at={upAt(assessment.ready)} />
        <Hour view={view} what={TRIPS.leave} at={leave} />
        <Hour view={view} what={TRIPS.home} at={open?.times.home ?? schedule?.home} />
      </View>
      <Glance view={view} />
      <View style={{ padding: 12, gap: 8 }}>
        {open ? (
          <TextLink href={`/watch/${open.id}`}>{says(TRIPS.open, { home: open.times.home })}</TextLink>
        ) : (
          <T as="soft">{TRIPS.notFiled}</T>
        )}
        <Doors view={view} />
      </View>
    </View>
  );
}

function Hour({ view: { says }, what, at }: { view: TripView; what: string; at: number | undefined }) {
  return (
    <View>
      <T as="label">{what}</T>
      <T as="figure">{at === undefined ? TRIPS.noHour : says(TRIPS.at, { at })}</T>
    </View>
  );
}

/** Days are said from here on, ms. */
const DAYS_FROM = 2 * MS.day;

function Countdown({ view: { says, assessment } }: { view: TripView }) {
  const now = useNow(MS.minute);
  const { leave } = assessment;
  if (leave === undefined) return null;
  const left = leave - now;
  const span = Math.abs(left) / MS.second;
  return (
    <T as="label">
      {left >= DAYS_FROM
        ? says(TRIPS.inDays, { n: Math.floor(left / MS.day) })
        : says(left >= 0 ? TRIPS.inSpan : TRIPS.since, { span })}
    </T>
  );
}

/** The day in a strip that is only looked at. */
function Glance({ view: { input, assessment, axis, reader, says } }: { view: TripView }) {
  const { trip, shed, conditions } = input;
  const strip = useMemo(
    () => axis && stripOf({ trip, shed, conditions }, axis),
    [trip, shed, conditions, axis],
  );
  if (!strip) return null;
  return (
    <View>
      <T as="label" style={{ paddingHorizontal: 12 }}>
        {byWhom(conditions.forecast, says)}
      </T>
      <DayStrip
        small
        strip={strip}
        schedule={assessment.schedule}
        leave={assessment.leave}
        departures={[]}
        reader={reader}
      />
    </View>
  );
}

function Doors({ view: { trip } }: { view: TripView }) {
  const router = useRouter();
  const on = trip.status === 'on';
  return (
    <Row>
      <Button kind="main" onPress={() => router.push(`/trips/${trip.id}${on ? '/go/under-way' : ''}`)}>
        {on ? TRIPS.under : TRIPS.openTrip}
      </Button>
      <RepeatButton trip={trip} />
    </Row>
  );
}
