import { civilDate, daysBetween, distance } from '../earth';
import type { Finding, Schedule, Water } from '../model';
import { TIDAL } from '../model/lists';
import { phrase } from '../say';
import { MS } from '../units';
import { goTo, guessed } from '../verdict';
import { WATER } from './limits';
import type { OnWater } from './on-water';

/** A station further off than this is of another water, m. */
const FAR = WATER.limit('station-far');
/** The stream is looked for this often while one is out. */
const LOOK = 20 * MS.minute;

/** Is the stream known, over all the hours of the trip? */
export function streamFindings(
  { trip, water, stream, launch }: OnWater,
  { leave, home = leave }: Schedule,
): Finding[] {
  if (!water || !TIDAL.has(water.class)) return [];
  const mend = { label: phrase('stream.mend'), ...goTo.section('plan/water') };
  if (!stream)
    return [
      WATER.finding('day/stream', 'none', trip.id, {
        title: phrase('stream.none.title', { water: water.name }),
        because: [phrase('stream.none')],
        mend,
      }),
    ];
  const metres = launch && stream.position && distance(stream.position, launch.position).metres;
  if (metres !== undefined && metres > FAR) {
    const because = [phrase('stream.far', { name: stream.name, metres, place: launch?.name ?? water.name })];
    return [
      WATER.finding('day/stream', 'far', trip.id, { title: phrase('stream.far.title'), because, mend }),
    ];
  }
  for (let at = leave; at <= home; at += LOOK) {
    if (stream.at(at) !== undefined) continue;
    const because = [phrase('stream.part', { name: stream.name, at })];
    return [
      WATER.finding('day/stream', 'part', trip.id, { title: phrase('stream.part.title'), because, mend }),
    ];
  }
  return [];
}

/** Is a stream that may run there unknown, or that of another water, for part of the hours of which these were found? */
export const streamUnsure = (
  { water, stream }: Pick<OnWater, 'water' | 'stream'>,
  found: Finding[],
): boolean => (water?.class === 'river' && !stream) || found.some(({ id }) => id.startsWith(STREAM));
const STREAM = 'day/stream/';

/** How a river stands: nobody said, from another day, or rising. */
export function riverFindings({ trip, water, now }: OnWater): Finding[] {
  if (water?.class !== 'river') return [];
  const mend = { label: phrase('river.mend'), ...goTo.water(water.id, '/stage') };
  const { trend, on } = guessed(water, '/stage') || guessed(water, '/stage/trend') ? {} : (water.stage ?? {});
  const untold = (as: 'untold' | 'old', because: Finding['because']) => [
    WATER.finding('day/river', as, trip.id, {
      title: phrase(`river.${as}.title`, { water: water.name }),
      because,
      mend,
    }),
  ];
  if (trend === 'rising') {
    const because = [phrase('river.rising')];
    const title = phrase('river.rising.title');
    return [WATER.finding('day/river', 'rising', trip.id, { title, because, mend })];
  }
  if (trend === undefined) return untold('untold', [phrase('river.untold')]);
  return isOld(on, water, now)
    ? untold('old', on ? [phrase('river.old', { on }), phrase('river.untold')] : [phrase('river.untold')])
    : [];
}

const isOld = (on: string | undefined, { zone }: Water, now: number) =>
  on === undefined || daysBetween(on, civilDate(now, zone)) > WATER.at('day/river', 'old');
