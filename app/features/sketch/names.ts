/** A word that wants to stand beside a spot, in pixels. */
export interface Wanted {
  id: string;
  text: string;
  /** What is said where there is no room for all of it. */
  short?: string;
  x: number;
  y: number;
}
export interface Placed extends Wanted {
  /** Where the word’s box stands, from the spot. */
  dx: number;
  dy: number;
}

/** A letter of the condensed cut is about so wide, a line so high, and a mark keeps so much free, px. */
const LETTER = 7.4,
  LINE = 18,
  MARK = 13;

/** Pixels; what is looked at, or what a word takes. */
export interface Box {
  left: number;
  top: number;
  right: number;
  bottom: number;
}
export const meet = (a: Box, b: Box) =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

const within = (box: Box, view: Box) =>
  box.left >= view.left && box.right <= view.right && box.top >= view.top && box.bottom <= view.bottom;

/**
 * Where words stand so that none lies over another nor over a mark: each tries right, left, above and below of its spot, those
 * that stand first in the list first; what else takes room there is kept free. One that finds no room
 * is left out: its mark still says its name.
 */
export function placed(wanted: readonly Wanted[], view: Box, others: readonly Box[] = []): Placed[] {
  const marks = wanted.map(({ x, y }) => ({
    left: x - MARK,
    right: x + MARK,
    top: y - MARK,
    bottom: y + MARK,
  }));
  const taken: Box[] = [...marks, ...others];
  const standing = (one: Wanted, text: string): Placed | undefined => {
    const wide = text.length * LETTER;
    const sides = [
      { dx: MARK + 3, dy: -LINE / 2 },
      { dx: -MARK - 3 - wide, dy: -LINE / 2 },
      { dx: -wide / 2, dy: -MARK - LINE },
      { dx: -wide / 2, dy: MARK },
      { dx: MARK, dy: MARK - LINE / 2 },
      { dx: -MARK - wide, dy: MARK - LINE / 2 },
    ];
    for (const { dx, dy } of sides) {
      const box = { left: one.x + dx, right: one.x + dx + wide, top: one.y + dy, bottom: one.y + dy + LINE };
      if (!within(box, view) || taken.some((other) => meet(box, other))) continue;
      taken.push(box);
      return { ...one, text, dx, dy };
    }
    return undefined;
  };
  return wanted.flatMap(
    (one) => standing(one, one.text) ?? (one.short ? standing(one, one.short) : undefined) ?? [],
  );
}

/** The room that words take which stand in the middle of a spot, px. */
export const boxAround = (x: number, y: number, text: string): Box => {
  const wide = text.length * LETTER;
  return { left: x - wide / 2, right: x + wide / 2, top: y - LINE / 2, bottom: y + LINE / 2 };
};

/** The room that a word takes that was placed, and its mark with it. */
export const boxesOf = ({ x, y, dx, dy, text }: Placed): Box[] => [
  { left: x + dx, right: x + dx + text.length * LETTER, top: y + dy, bottom: y + dy + LINE },
  { left: x - MARK, right: x + MARK, top: y - MARK, bottom: y + MARK },
];
