import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { LEVELS } from '@escale/core/model/lists';
import { bestOf, type Departure, type Span } from '@escale/core/trip';
import { MS } from '@escale/core/units';
import { Button, Row } from '../../ui/button';
import { TextLink } from '../../ui/press';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useJob } from '../../data/jobs';
import { useNow } from '../../data/hooks';
import { nearest, STEP, useDay } from './day';
import { useTrip } from '../trip/use-trip';
import { BETTER, WEEK } from './words';

const rank = ({ worst }: Pick<Departure, 'worst'>) => LEVELS.indexOf(worst);
/** A day is held against so many that follow it. */
const DAYS = 4;
const DAY = 24 * 60 * MS.minute;

/** Another hour of the day that does better, one tap away; or that none does, and which day would. */
export function Better() {
  const { trip, assessment, says } = useTrip();
  const { departures, leaveAt } = useDay();
  const now = useNow(STEP);
  const { leave } = assessment;
  if (leave === undefined || departures.length === 0) return null;
  const week = <TextLink href={`/trips/${trip.id}/week`}>{WEEK.open}</TextLink>;
  const mine = nearest(departures, leave);
  const best = bestOf(departures, now);
  const limits = mine.reason;
  if (best && rank(best) > rank(mine)) {
    const there = nearest(
      departures.filter((d) => d.leave >= now && rank(d) === rank(best)),
      leave,
    );
    return (
      <Block title={BETTER.title}>
        <T>
          {limits
            ? says(BETTER.without, { from: best.from, until: best.until, what: limits.title })
            : says(BETTER.hours, { from: best.from, until: best.until })}
        </T>
        <Row>
          <Button onPress={() => leaveAt(there.leave)}>{says(BETTER.leave, { at: there.leave })}</Button>
        </Row>
        {week}
      </Block>
    );
  }
  const hours = assessment.findings.find(
    (f) => f.varies === 'hour' && !f.open && (f.level === 'stop' || f.level === 'fix'),
  );
  return hours ? (
    <Block title={BETTER.none}>
      <T as="soft">{says(BETTER.same, { what: hours.alone ?? hours.title })}</T>
      <OtherDays />
      {week}
    </Block>
  ) : (
    <View style={{ paddingHorizontal: 12 }}>{week}</View>
  );
}

/** The days after this one, held against it when they are asked for. */
function OtherDays() {
  const { axis, input, says } = useTrip();
  const { leaveAt } = useDay();
  const now = useNow(STEP);
  const [asked, setAsked] = useState(false);
  const { trip, shed, conditions } = input;
  const job = useMemo(
    () =>
      asked && axis
        ? {
            input: { trip, shed, conditions, now },
            spans: Array.from({ length: DAYS + 1 }, (_, n): Span => shifted(axis, n * DAY)),
            step: STEP,
          }
        : undefined,
    [asked, axis, trip, shed, conditions, now],
  );
  const { parts, done, of, failed } = useJob('days', job);
  if (!asked) return <Button onPress={() => setAsked(true)}>{BETTER.look}</Button>;
  if (failed) return <T role="alert">{BETTER.failed}</T>;
  const rows = parts.at(-1);
  if (!rows) return <T role="status">{says(BETTER.looking, { done, of })}</T>;
  const [today, ...later] = rows.map((row) => bestOf(row, now));
  const least = today ? rank(today) : -1;
  const better = later.find((best) => best && rank(best) > least);
  if (!better) return <T>{says(BETTER.noDay, { days: DAYS })}</T>;
  return (
    <>
      <T>{says(BETTER.day, { day: better.from, from: better.from, until: better.until })}</T>
      <Row>
        <Button onPress={() => leaveAt(better.from)}>{says(BETTER.leaveDay, { at: better.from })}</Button>
      </Row>
    </>
  );
}

const shifted = ({ from, until }: Span, by: number): Span => ({ from: from + by, until: until + by });

function Block({ title, children }: { title: string; children: React.ReactNode }) {
  const p = usePalette();
  return (
    <View
      role="group"
      aria-label={title}
      style={{ borderTopWidth: 1, borderColor: p.line, padding: 12, gap: 6, alignItems: 'flex-start' }}
    >
      <T as="strong">{title}</T>
      {children}
    </View>
  );
}
