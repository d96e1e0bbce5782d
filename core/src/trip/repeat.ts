import type { Trip } from '../model';

/**
 * The same trip on another day. What somebody said of that one day is left out (how they felt, what they wore, the forecast, what
 * they answered):
 * it holds for no other, and asking again is how it becomes known.
 * @param date civil date, `YYYY-MM-DD`
 */
export function repeatOf(trip: Trip, { id, date }: { id: string; date: string }): Trip {
  const { forecast: _forecast, asked: _asked, ...plan } = trip;
  return {
    ...plan,
    id,
    status: 'planned',
    leave: { ...trip.leave, date },
    crew: trip.crew.map(
      ({ today: _today, clothing: _clothing, wearsJacket: _jacket, cord: _cord, ...member }) => member,
    ),
    ...(trip.company ? { company: trip.company.map(({ wears: _wears, ...boat }) => boat) } : {}),
  };
}
