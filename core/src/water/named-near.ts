import { distance, type LatLon } from '../earth';

/** What lies somewhere and is called something: stations are looked for by both, without any network. */
export interface Named {
  id: string;
  name: string;
  where: string;
  zone: string;
  position: LatLon;
}

/** From where it was looked for, as far as that is known. Degrees true from there. */
export interface Found {
  metres?: number;
  bearing?: number;
}

/** Its words, ready to be compared. */
export interface Worded {
  /** Words of its name and of where it lies, without accents, in small letters. */
  words: string[];
  /** So many of them are its name. */
  named: number;
}

export function worded({ name, where }: Pick<Named, 'name' | 'where'>): Worded {
  const named = wordsOf(name);
  return { words: [...named, ...wordsOf(where)], named: named.length };
}

/** Words as they are compared: without accents and case. */
const wordsOf = (text: string): string[] =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);

/** So far off in a rough plane, squared: enough to order by. */
function roughly(a: LatLon, b: LatLon): number {
  const turn = Math.abs(a.lon - b.lon);
  const east = Math.min(turn, 360 - turn) * Math.cos((((a.lat + b.lat) / 2) * Math.PI) / 180);
  return (a.lat - b.lat) ** 2 + east ** 2;
}

/**
 * Those of whose name or place some word begins with each of those given; first those that are called just so, then those with
 * all of it in their name, then by nearness. Without words all, by nearness.
 */
export function found<H extends Named & Worded>(
  all: readonly H[],
  words: string,
  here: LatLon | undefined,
  most: number,
): (Omit<H, keyof Worded> & Found)[] {
  const wanted = wordsOf(words);
  if (wanted.length === 0 && !here) return [];
  return all
    .flatMap((one) => {
      const hits = wanted.map((word) => one.words.findIndex((has) => has.startsWith(word)));
      if (hits.includes(-1)) return [];
      const named = wanted.length > 0 && hits.every((hit) => hit < one.named);
      const whole = named && wanted.length === one.named && wanted.every((word) => one.words.includes(word));
      return [{ one, fits: Number(named) + Number(whole), far: here ? roughly(one.position, here) : 0 }];
    })
    .sort((a, b) => b.fits - a.fits || a.far - b.far || (a.one.name < b.one.name ? -1 : 1))
    .slice(0, most)
    .map(({ one: { words: _words, named: _named, ...head } }) => ({
      ...head,
      ...(here ? distance(here, head.position) : {}),
    }));
}
