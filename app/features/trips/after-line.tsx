import { afterListOf, ALL_DONE } from '@escale/core/logbook/after-list';
import { daysBetween } from '@escale/core/earth';
import type { Trip } from '@escale/core/model';
import { CardLink } from '../../ui/press';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useThings, useTicks, useToday } from '../../data/hooks';
import { plainly } from '../../data/settings';
import { TRIPS } from './words';

/** So long after a trip one is reminded of what was to be done then. */
const DAYS = 7;

/** What is still to be done after the last trip, until all of it is ticked. */
export function AfterLine() {
  const { trips } = useThings();
  const today = useToday();
  const last = trips
    .filter(({ status, leave }) => status === 'done' && leave.date <= today)
    .sort((a, b) => b.leave.date.localeCompare(a.leave.date))
    .at(0);
  return last && daysBetween(last.leave.date, today) <= DAYS ? <Line trip={last} /> : null;
}

function Line({ trip }: { trip: Pick<Trip, 'id' | 'title'> }) {
  const p = usePalette();
  if (useTicks(afterListOf(trip.id)).has(ALL_DONE)) return null;
  return (
    <CardLink
      href={`/trips/${trip.id}/home/after`}
      style={{ borderLeftWidth: 4, borderColor: p.ink, padding: 12, minHeight: 48 }}
    >
      <T as="strong">{plainly(TRIPS.after, { trip: trip.title })}</T>
    </CardLink>
  );
}
