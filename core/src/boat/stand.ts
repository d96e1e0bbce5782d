import type { Boat, Person, Trip } from '../model';
import type { Band } from '../numeric';
import { guessed } from '../verdict';
import { hullFrom, type Hull } from './hull';
import { BOAT } from './limits';
import { afloat, OFF_BY, type Placed } from './stow';

/** Of a body that stands: its middle over the feet, as a share of its height (source `body-middle`). */
const MIDDLE = BOAT.limit('stand-middle');
const TALL = BOAT.limit('stand-tall'),
  TALL_OFF = BOAT.limit('stand-tall-off');
/** How far off the middle somebody who stands is again and again, metres; half and one and a half times of it in the band. */
export const SWAY = BOAT.limit('stand-sway');

/** The worse end of what is not known exactly, as it is told, and the better end. */
type End = -1 | 0 | 1;

/** What becomes of her when somebody stands in her, and sways. */
export interface Stood {
  /** `over`: she goes over, or her edge under; `maybe` so at the worse end of what is not known exactly. */
  over: 'no' | 'maybe' | 'over';
  /** Radians and metres, likely between these; absent where she goes over. */
  heel?: Band;
  free?: Band;
  /** The height was taken, because nobody said it. */
  tallTaken: boolean;
}

/** Who stands, and whether their place was chosen: otherwise feet are in the middle of the boat, not on her side. */
export interface Foot {
  person: Pick<Person, 'height' | 'basis'>;
  placed: boolean;
}

/**
 * Heel and freeboard with people on their feet, one of whom sways to the side: our own balance, for flat water and a boat at rest.
 * Six balances: as measured, and at either end of beam, depth, height and sway.
 * @param spots everyone seated, as `placed` gives them
 * @param feet ids of spots of those who stand
 * @param who the one who sways
 */
export function stood(
  boat: Boat,
  hull: Hull,
  spots: readonly Placed[],
  feet: ReadonlyMap<string, Foot>,
  who: string,
  density: number,
): Stood {
  const tallTaken = [...feet.values()].some(({ person }) => unsaid(person));
  const off = (pointer: '/beam' | '/depth') =>
    OFF_BY[
      boat[pointer === '/beam' ? 'beam' : 'depth'] === undefined
        ? 'guessed'
        : (boat.basis?.[pointer] ?? 'stated')
    ];
  /** With the sway to one side; undefined where she goes over. */
  const swayed = (sign: End, to: -1 | 1) => {
    const beam = hull.beam * (1 + sign * off('/beam'));
    const depth = hull.depth * (1 + sign * off('/depth'));
    const as = sign === 0 ? hull : hullFrom({ length: hull.length, beam, depth }, hull.form);
    const up = spots.map((spot) => {
      const foot = feet.get(spot.id);
      if (!foot) return spot;
      const tall = (foot.person.height ?? TALL) - (unsaid(foot.person) ? sign * TALL_OFF : 0);
      const middle = foot.placed || hull.form.hulls ? spot.y : 0;
      const z = as.depth * as.form.stand + tall * MIDDLE;
      return { ...spot, z, y: spot.id === who ? middle + to * SWAY * (1 - sign / 2) : middle };
    });
    const { outcome, free } = afloat(boat, as, up, density);
    if (outcome.state !== 'floats' || !free) return undefined;
    // Over a closed deck water runs off again; over an open edge it stays.
    if (hull.form.deck === 'open' && free.lowest <= 0) return undefined;
    return { heel: Math.abs(outcome.at.heel), free: Math.max(0, free.lowest) };
  };
  /** Who else is aboard lists her already: the worse of both sides counts. */
  const at = (sign: End) => {
    const [port, starboard] = [swayed(sign, 1), swayed(sign, -1)];
    if (!port || !starboard) return undefined;
    return { heel: Math.max(port.heel, starboard.heel), free: Math.min(port.free, starboard.free) };
  };
  const [worst, middle, best] = ([-1, 0, 1] as const).map(at);
  if (!middle) return { over: 'over', tallTaken };
  const ends = [worst, middle, best].filter((end) => end !== undefined);
  const band = (pick: (end: { heel: number; free: number }) => number): Band => ({
    low: Math.min(...ends.map(pick)),
    high: Math.max(...ends.map(pick)),
  });
  return {
    over: worst ? 'no' : 'maybe',
    heel: band((end) => end.heel),
    free: worst ? band((end) => end.free) : { ...band((end) => end.free), low: 0 },
    tallTaken,
  };
}
const unsaid = (person: Foot['person']) => person.height === undefined || guessed(person, '/height');

/** Who was said to stand, by the id of their spot. */
export const onFeet = (
  { crew }: Pick<Trip, 'crew'>,
  people: readonly Person[],
): Map<string, Foot & { person: Person }> =>
  new Map(
    crew.flatMap((member, n): [string, Foot & { person: Person }][] => {
      const person = people.find(({ id }) => id === member.person);
      return member.stands === true && person?.mass !== undefined
        ? [[`crew/${n}`, { person, placed: member.seat !== undefined }]]
        : [];
    }),
  );
