import type { Phrase, PhraseValue } from '../model';
import { format, spanText, type Quantity, type UnitSystem } from '../units';
import { WORDS, type WordKey, type Words } from './words';

/** Who reads: which units they think in and in which zone the clock stands. */
export interface Reader {
  units: UnitSystem;
  zone: string;
  locale: string;
  /** Whose clock has twelve hours; else it has 24. */
  hours?: 12 | 24;
}

/** What a placeholder takes, by how it is printed. */
type Printed<As extends string> = As extends 'list' | 'or'
  ? (string | Phrase)[]
  : As extends 'date'
    ? string
    : number;
type Hole<H extends string> = H extends `${infer N}#${string}`
  ? { [K in N]: number }
  : H extends `${infer N}:${infer As}`
    ? { [K in N]: Printed<As> }
    : { [K in H]: string | number | Phrase };
/** All that a template's placeholders take. */
type Holes<T extends string> = T extends `${string}{${infer H}}${infer Rest}`
  ? Hole<H> & Holes<Rest>
  : unknown;

/** Of several templates all must be filled: what every one of them takes, together. */
type Together<U> = (U extends unknown ? (u: U) => void : never) extends (i: infer I) => void ? I : never;
type Takes<K extends WordKey> =
  Together<K extends WordKey ? { values: Holes<Words[K]> } : never> extends {
    values: infer V;
  }
    ? V
    : never;

/**
 * A sentence by its template's name. The type refuses a name that has no template, a value that the template does not take,
 * and a template whose values are missing: `phrase('load.unknown.why', { who: ['Ada'] })`.
 */
export function phrase<const K extends WordKey>(
  say: K,
  ...values: keyof Takes<K> extends never ? [] : [Takes<K>]
): Phrase {
  return phraseOf(say, values[0] as Record<string, PhraseValue> | undefined);
}

/** The same where data chooses the template, so that nobody knows beforehand what it takes; `render` throws on a hole. */
export function phraseOf(say: WordKey, values?: Record<string, PhraseValue>): Phrase {
  return values ? { say, with: values } : { say };
}

/** A sentence that stands in data (a step, a row of what is asked of a crew), filled like any other. */
export function own(template: string, values?: Record<string, PhraseValue>): Phrase {
  return { say: 'own', own: template, ...(values ? { with: values } : {}) };
}

/** A screen's way of speaking: a template of its own and what that takes, in words for the reader it was made for. */
export type Says = <const T extends string>(
  template: T,
  ...values: keyof Holes<T> extends never ? [] : [Holes<T>]
) => string;

/** Fills a screen's own templates for one reader; each is typed by what it takes, like a `phrase`. */
export const saysTo =
  (reader: Reader): Says =>
  (template, ...values) =>
    render(own(template, values[0] as Record<string, PhraseValue> | undefined), reader);

const formatters = new Map<string, Intl.DateTimeFormat>();
function formatter(
  zone: string,
  locale: string,
  options: Intl.DateTimeFormatOptions,
  key: string,
): Intl.DateTimeFormat {
  const name = `${key} ${locale} ${zone}`;
  let made = formatters.get(name);
  if (!made) formatters.set(name, (made = new Intl.DateTimeFormat(locale, { timeZone: zone, ...options })));
  return made;
}

/** Wall clock of an instant (epoch ms) in a zone: `06:10`, or `6:10 am` for whom the day has twice twelve hours. */
export function clock(at: number, reader: Pick<Reader, 'zone' | 'locale' | 'hours'>): string {
  if (reader.hours === 12)
    return formatter(
      reader.zone,
      reader.locale,
      { hour: 'numeric', minute: '2-digit', hourCycle: 'h12' },
      'clock-12',
    ).format(at);
  return formatter(
    reader.zone,
    reader.locale,
    { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' },
    'clock',
  ).format(at);
}

/** Day of an instant in a zone: `Tue 25 Nov`. */
export function dayOf(at: number, reader: Pick<Reader, 'zone' | 'locale'>): string {
  return formatter(reader.zone, reader.locale, { weekday: 'short', day: 'numeric', month: 'short' }, 'day')
    .format(at)
    .replace(',', '');
}

/** A civil date (`2026-05-12`) as people write it: `12 May 2026`. It has no zone. */
export function dateOf(date: string, reader: Pick<Reader, 'locale'>): string {
  return formatter('UTC', reader.locale, { day: 'numeric', month: 'short', year: 'numeric' }, 'date').format(
    Date.parse(`${date}T00:00:00Z`),
  );
}

const PLACEHOLDER = /\{(\w+)(?::([\w-]+)|#([^}|]*)\|([^}]*))?\}/g;

/**
 * A phrase in words. Placeholders: `{x}` text, `{x:mass}` a quantity in the reader's units, `{x:clock}` `{x:day}` an
 * instant, `{x:span}` seconds as hours and minutes, `{x:date}` a civil date, `{x:list}` an enumeration,
 * `{n#jacket|jackets}` a counted noun.
 * @throws Error for a missing value: a sentence with a hole never reaches a screen; for an unknown template see `saidInstead`.
 */
export function render(what: Phrase, reader: Reader): string {
  return templateOf(what).replace(
    PLACEHOLDER,
    (_whole, name: string, as: string | undefined, one: string | undefined, many: string | undefined) => {
      const value = what.with?.[name];
      if (value === undefined) throw new Error(`"${what.say}" needs a value for {${name}}`);
      if (one !== undefined) return `${Number(value)} ${Number(value) === 1 ? one : many}`;
      return word(value, as, reader);
    },
  );
}

function templateOf({ say, own: data }: Phrase): string {
  if (data !== undefined) return data;
  return words.get(say) ?? unknown(say);
}

const words = new Map<string, string>(Object.entries(WORDS));
/** Sentences that came with a room of their own can be said from now on. */
export function speak(more: Readonly<Record<string, string>>): void {
  for (const [say, template] of Object.entries(more)) words.set(say, template);
}

let unknown = (say: string): string => {
  throw new Error(`no words for "${say}"`);
};
/**
 * What is said for a template that is not there. It throws until an application says otherwise: on a screen its name, read
 * as words, is better than no page.
 */
export function saidInstead(of: (say: string) => string): void {
  unknown = of;
}
/** A template’s name as plain words: `light.dark.home` as “light, dark, home”. */
export const plainWords = (say: string): string => say.split('.').join(', ').replaceAll('-', ' ');

/** The placeholders of a template: what each is called, and as what it is printed. */
export function placeholdersOf(template: string): { name: string; as?: string }[] {
  return [...template.matchAll(PLACEHOLDER)].map(([, name, as]) => ({
    name,
    ...(as === undefined ? {} : { as }),
  }));
}

function word(value: PhraseValue, as: string | undefined, reader: Reader): string {
  if (Array.isArray(value))
    return listOf(
      value.map((v) => (typeof v === 'string' ? v : render(v, reader))),
      as,
      reader,
    );
  if (typeof value === 'object') return render(value, reader);
  if (typeof value === 'string') return as === 'date' ? dateOf(value, reader) : value;
  if (as === 'clock') return clock(value, reader);
  if (as === 'day') return dayOf(value, reader);
  if (as === 'span') return spanText(value);
  if (as === undefined) return String(value);
  return format(value, as as Quantity, reader.units);
}

const listers = new Map<string, Intl.ListFormat>();
function listOf(words: string[], as: string | undefined, reader: Reader): string {
  const type = as === 'or' ? 'disjunction' : 'conjunction';
  const key = `${reader.locale} ${type}`;
  let lister = listers.get(key);
  if (!lister) listers.set(key, (lister = new Intl.ListFormat(reader.locale, { type })));
  return lister.format(words);
}
