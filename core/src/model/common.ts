import * as z from 'zod';
import type { Quantity } from '../units';

/**
 * What a form, a table and a message need to know about a field, kept beside the schema and nowhere else.
 */
export interface FieldMeta {
  title?: string;
  help?: string;
  /** Stored in SI, shown in the person's units. */
  quantity?: Quantity;
  /** The field holds the id of a thing of this type. */
  ref?: ThingType;
  /** Of a `ref`: things of these kinds are not offered. */
  without?: readonly string[];
  /** The field holds the id of a gear kind in the catalogue. */
  catalogue?: true;
  /** Words for the values of an enumeration. */
  words?: Record<string, string>;
  /** Free text of several lines. */
  long?: true;
  /** Picked from a calendar or a clock. */
  picks?: 'day' | 'time';
  /** Two numbers that are one position: written, read from the device or out of a file as one. */
  position?: true;
  /** A day that can't lie ahead. */
  past?: true;
  /** Kept out of generated forms: set by the program or by a page of its own. */
  hidden?: true;
}

export const THING_TYPES = [
  'boat',
  'person',
  'gear',
  'place',
  'water',
  'contact',
  'trip',
  'debrief',
  'run',
  'drill',
  'pack',
] as const;
export type ThingType = (typeof THING_TYPES)[number];

/** What each kind of value is called where something else was given. */
const KIND_WORDS: Record<string, string> = {
  string: 'text',
  number: 'a number',
  boolean: 'a yes or a no',
  array: 'a list',
  object: 'a group of answers',
  record: 'a group of answers',
};

/** What is wrong with a value, in plain words; undefined leaves it to the library. */
function plainFault(issue: z.core.$ZodRawIssue): string | undefined {
  if (issue.code === 'invalid_type')
    return issue.input === undefined ? 'is needed' : `is not ${KIND_WORDS[issue.expected] ?? issue.expected}`;
  if (issue.code === 'invalid_value')
    return issue.input === undefined ? 'is needed' : `is none of: ${issue.values.join(', ')}`;
  if (issue.code === 'unrecognized_keys') return `is not known here: ${issue.keys.join(', ')}`;
  if (issue.code === 'invalid_union' && issue.input === undefined) return 'is needed';
  if (issue.code === 'too_small')
    return issue.origin === 'number' ? `is less than ${issue.minimum}` : `needs at least ${issue.minimum}`;
  if (issue.code === 'too_big')
    return issue.origin === 'number' ? `is more than ${issue.maximum}` : `is at most ${issue.maximum} long`;
  return undefined;
}
z.config({ customError: plainFault });

export const Id = z.uuidv7();
export const Text = z.string().trim().min(1, 'needs a word or two').max(120, 'at most 120 characters');
export const Note = z.string().max(4000, 'at most 4,000 characters');
/** Years in which somebody alive was born or goes on the water: outside of them a date is a slip. */
const YEARS = { from: '1900', before: '2200' } as const;
/** What does not begin with a year is another fault, and told as that. */
const inYears = (text: string) => {
  const year = /^\d{4}(?=-)/.exec(text)?.[0];
  return year === undefined || (year >= YEARS.from && year < YEARS.before);
};
const YEARS_SAID = `is not between the years ${YEARS.from} and ${YEARS.before}`;

export const Instant = z.iso
  .datetime({ offset: false, message: 'an instant such as 2026-05-12T04:10:00Z' })
  .refine(inYears, YEARS_SAID);
export const CivilDate = z.iso
  .date('a date such as 2026-05-12')
  .refine(inYears, YEARS_SAID)
  .meta({ picks: 'day' } satisfies FieldMeta);
/** A birth date may be known as a year, a month or a day: age is then a range. */
export const PartialDate = z
  .string()
  .regex(
    /^(19|20)\d\d(-(0[1-9]|1[0-2])(-(0[1-9]|[12]\d|3[01]))?)?$/,
    'a year, a month or a day: 2014, 2014-06 or 2014-06-30',
  )
  .refine((text) => text.length < 10 || isDay(text), 'there is no such day');
export const WallTime = z
  .string()
  .regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'a time such as 06:10')
  .meta({ picks: 'time' } satisfies FieldMeta);
export const Zone = z.string().max(60).refine(isZone, 'a time zone by its name, such as Atlantic/Azores');
export const titled = <S extends z.ZodType>(schema: S, title: string, more: FieldMeta = {}): S =>
  schema.meta({ ...schema.meta(), title, ...more }) as S;

export const Position = z
  .strictObject({
    lat: titled(z.number().min(-90).max(90), 'Latitude in degrees, south of the equator negative'),
    lon: titled(z.number().min(-180).max(180), 'Longitude in degrees, west of Greenwich negative'),
  })
  .meta({ position: true } satisfies FieldMeta);

/** How sure we are of a value, by JSON pointer, beside the values so that formulas see plain numbers. */
export const Basis = z.record(z.string(), z.enum(['guessed', 'stated', 'measured']));

function isDay(text: string): boolean {
  const at = new Date(`${text}T00:00:00Z`);
  return !Number.isNaN(at.getTime()) && at.toISOString().slice(0, 10) === text;
}

function isZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false; // RangeError is the platform's answer for "no such zone"
  }
}

/** A number in SI with its quantity, limits and label. NaN and infinities are refused by `z.number()` itself. */
export function measure(quantity: Quantity, title: string, min: number, max: number, help?: string) {
  return z
    .number()
    .min(min)
    .max(max)
    .meta({ title, quantity, ...(help ? { help } : {}) } satisfies FieldMeta);
}

/** One of some words, with what the screen says for each. */
export function choice<const W extends Record<string, string>>(title: string, words: W, help?: string) {
  const keys = Object.keys(words) as [keyof W & string, ...(keyof W & string)[]];
  return z.enum(keys).meta({ title, words, ...(help ? { help } : {}) } satisfies FieldMeta);
}

export const ref = (type: ThingType, title: string) => Id.meta({ title, ref: type } satisfies FieldMeta);

/** What every stored thing carries. */
export const thing = {
  id: Id.meta({ hidden: true } satisfies FieldMeta),
  basis: Basis.optional().meta({ hidden: true } satisfies FieldMeta),
};
