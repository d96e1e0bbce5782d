import type { Boat, Finding, Phrase, Trip } from '../model';
import { phrase } from '../say';
import { goTo } from '../verdict';
import { BOAT } from './limits';
import type { Laden } from './laden';
import { partsOf, partStands, type HerPart } from './parts';

export interface PartsOn {
  /** The civil days on which she leaves and is home; the later one may be all that is known to be possible. */
  on: string;
  endsOn: string;
  /** Does she go by road? */
  towed: boolean;
}

const nameOf = ({ title, count }: HerPart): Phrase =>
  count > 1 ? phrase('part.name.many', { title, n: count }) : phrase('part.name', { title });

const mendOf = (boat: Boat, key?: string) => ({
  label: phrase(key === undefined ? 'part.mend' : 'part.failed.mend'),
  ...goTo.boat(boat.id, key === undefined ? '/parts' : `/parts/${key}`),
});

/** What failed its test stands until it was mended and passed again, on every trip that she goes on. */
export function failedParts(boat: Boat, parts = partsOf(boat)): Finding[] {
  return parts
    .filter(({ record }) => record?.state === 'failed')
    .map((part) => {
      const last = part.record?.tests?.findLast((test) => !test.passed);
      const title = nameOf(part);
      return BOAT.finding('part/failed', 'failed', `${boat.id}.${part.key}`, {
        level: part.weight,
        title: phrase('part.failed.title', { boat: boat.name, part: title }),
        because: [
          last ? phrase('part.failed.on', { on: last.on }) : phrase('part.failed'),
          ...(last?.note ? [phrase('part.failed.note', { note: last.note })] : []),
        ],
        mend: mendOf(boat, part.key),
      });
    });
}

/** Was she looked over: what nobody tested, what is due again, and what is looked at before each trip and each tow. */
export function partFindings(boat: Boat | undefined): (days: PartsOn) => Finding[] {
  if (!boat) return () => [];
  const parts = partsOf(boat);
  const failed = failedParts(boat, parts);
  return (days) => [...failed, ...lookedOver(boat, parts, days)];
}

function lookedOver(boat: Boat, parts: HerPart[], { on, endsOn, towed }: PartsOn): Finding[] {
  const asked = parts.filter(({ each }) => each !== 'after' && (towed || each !== 'tow'));
  if (asked.length === 0) return [];
  const stands = asked.map((part) => ({
    part,
    // What lasts for months has to last until she is home; what is looked at before a trip is looked at before it.
    is: partStands(part, typeof part.each === 'string' ? on : endsOn).is,
  }));
  const those = (wanted: (one: (typeof stands)[number]) => boolean) =>
    stands.filter(wanted).map(({ part }) => nameOf(part));
  const soon = (each: string) =>
    those(({ part, is }) => part.each === each && (is === 'before' || is === 'never'));
  const long = ({ part }: { part: HerPart }) => typeof part.each !== 'string';
  const lists = [
    ['part.before.trip', soon('trip')],
    ['part.before.tow', soon('tow')],
    ['part.over', those((one) => one.is === 'over')],
    ['part.never', those((one) => long(one) && one.is === 'never')],
  ] as const;
  const n = lists.reduce((sum, [, parts]) => sum + parts.length, 0);
  if (n === 0) {
    const some = stands.some(({ is }) => is === 'fine');
    if (!some) return [];
    return [
      BOAT.finding('part/looked', 'fine', boat.id, {
        title: phrase('part.looked.title', { boat: boat.name }),
        because: [phrase('part.fine')],
      }),
    ];
  }
  return [
    BOAT.finding('part/looked', 'open', boat.id, {
      title: phrase('part.open.title', { boat: boat.name, n }),
      because: lists.flatMap(([key, parts]) => (parts.length > 0 ? [phrase(key, { parts })] : [])),
      mend: mendOf(boat),
    }),
  ];
}

/** What was said to lie on a hatch of this boat: what was said of another says nothing of her. */
export const onHatchOf = ({ onHatch }: Pick<Trip, 'onHatch'>, boat: Pick<Boat, 'id'>) =>
  onHatch?.boat === boat.id ? onHatch.lies : undefined;

/** Shut is not latched, and what lies on a hatch or its latch opens it: asked of every trip in a boat that has one. */
export function pressedFindings({ boat, trip }: Pick<Laden, 'boat' | 'trip'>): Finding[] {
  if (!boat?.openings.some(({ kind }) => kind === 'hatch')) return [];
  const mend = { label: phrase('hatch.mend'), ...goTo.trip(trip.id, '/onHatch') };
  const title = phrase('hatch.title');
  const on = onHatchOf(trip, boat);
  if (on === undefined)
    return [BOAT.finding('hatch/pressed', 'open', trip.id, { title, because: [phrase('hatch.open')], mend })];
  if (on.length === 0)
    return [BOAT.finding('hatch/pressed', 'clear', trip.id, { title, because: [phrase('hatch.clear')] })];
  return [
    BOAT.finding('hatch/pressed', 'pressed', trip.id, {
      title: phrase('hatch.pressed.title', { what: on }),
      because: [phrase('hatch.pressed')],
      mend: { ...mend, label: phrase('hatch.move') },
    }),
  ];
}
