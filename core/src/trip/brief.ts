import data from '../../data/trip/brief.json';
import { hullOf, placed, startCard } from '../boat';
import { isOpen } from '../floatplan';
import type { Piece } from '../kit';
import type { Assessment, BriefData, Phrase } from '../model';
import type { Procedure } from '../procedure';
import { evaluate, type World } from '../rules';
import { own, phrase } from '../say';
import { MINUTE } from '../units';
import { contextOf, type AssessInput, type Context } from './context';

const BRIEF = data as unknown as BriefData;

export const BRIEF_PARTS = ['today', 'people', 'seats', 'hold', 'signs', 'if', 'start', 'things'] as const;
export type BriefPart = (typeof BRIEF_PARTS)[number];

export interface Brief {
  parts: { id: BriefPart; says: Phrase[] }[];
  /** Who has medical notes: for the leader alone, and never on paper. */
  medical: { name: string; says: string }[];
}

export interface Briefed {
  input: AssessInput;
  assessment: Pick<Assessment, 'schedule'>;
  world: World | Omit<World, 'questions'>;
  pieces: readonly Piece[];
  /** The cards of trouble that suit this trip. */
  cards: readonly Procedure[];
}

/** What is told of trouble before leaving: the first words of these, as far as they suit the boat. */
const TOLD_BEFORE = /^(capsize-|swamped$|overboard$|driver-gone$|engine-dead$)/;
/** Of the things aboard these are shown: a hand must find them without asking. */
const SHOWN: ReadonlySet<string> = new Set(['signal', 'light', 'call', 'water-out', 'tool', 'care']);

/** What a crew is told before it leaves, made from the trip: short enough to be listened to. */
export function briefOf({ input, assessment, world, pieces, cards }: Briefed): Brief {
  const context = contextOf(input);
  const rows = (part: 'hold' | 'signs' | 'who') =>
    BRIEF.rows.flatMap((row) =>
      row.part === part && (!row.for || evaluate(row.for, world).truth === 'yes') ? [own(row.says, {})] : [],
    );
  const start = context.boat && startCard(context.boat);
  const parts: Brief['parts'] = [
    { id: 'today', says: today(context, assessment) },
    { id: 'people', says: [...roles(context), ...rows('who')] },
    { id: 'seats', says: seats(context) },
    { id: 'hold', says: rows('hold') },
    { id: 'signs', says: rows('signs') },
    {
      id: 'if',
      says: cards
        .filter(({ id }) => TOLD_BEFORE.test(id))
        .map(({ title, card }) => phrase('brief.if', { title, first: card?.first ?? '' })),
    },
    { id: 'start', says: start && context.people.length > 1 ? start : [] },
    { id: 'things', says: things(context, pieces) },
  ];
  return {
    parts: parts.filter(({ says }) => says.length > 0),
    medical: context.people.flatMap(({ name, medical }) => (medical ? [{ name, says: medical }] : [])),
  };
}

/** How long it takes to read so much aloud, seconds; practice, no source. */
export const aloudSeconds = (texts: readonly string[]): number => {
  const words = texts.join(' ').split(/\s+/).filter(Boolean).length;
  return (words / BRIEF.aloud.value) * MINUTE;
};
/** After so long nobody listens, seconds. */
export const BRIEF_MOST = BRIEF.most.value * MINUTE;

function today({ launch, halts, plan }: Context, { schedule }: Briefed['assessment']): Phrase[] {
  const where = halts.flatMap((halt) => (halt ? [halt.name] : []));
  const who = plan && isOpen(plan.state) ? plan.contacts.filter((c) => c.accepted && !c.declined) : [];
  return [
    ...(launch
      ? [phrase(where.length > 0 ? 'brief.way' : 'brief.from', { launch: launch.name, where })]
      : []),
    ...(schedule?.home === undefined
      ? [phrase('brief.no-home')]
      : [phrase('brief.hours', { leave: schedule.leave, home: schedule.home })]),
    plan?.times.overdue !== undefined && who.length > 0
      ? phrase('brief.watched', { who: who.map((c) => c.name), overdue: plan.times.overdue })
      : phrase('brief.unwatched'),
  ];
}

function roles({ trip, people }: Context): Phrase[] {
  const name = (id: string | undefined) => people.find((p) => p.id === id)?.name;
  const of = (role: string) => trip.crew.flatMap((c) => (c.role === role ? (name(c.person) ?? []) : []));
  const [skipper] = of('skipper');
  const drivers = of('driver');
  const watched = trip.crew.flatMap((c) => {
    const [by, whom] = [name(c.person), name(c.buddy)];
    return by && whom ? [phrase('brief.buddy', { by, whom })] : [];
  });
  const weak = people.filter((p) => p.swimming === 'none' || p.swimming === 'weak').map((p) => p.name);
  return [
    skipper ? phrase('brief.skipper', { who: skipper }) : phrase('brief.no-skipper'),
    ...(drivers.length > 0 ? [phrase('brief.drivers', { who: drivers })] : []),
    ...watched,
    ...(weak.length > 0 && people.length > 1 ? [phrase('brief.weak', { who: weak })] : []),
  ];
}

/** Thirds of her length, and how far from the middle somebody sits at a side: words, not measures. */
const THIRD = 1 / 3,
  ASIDE = 0.2;

function seats({ trip, people, boat }: Context): Phrase[] {
  const hull = boat && hullOf(boat);
  if (!hull || people.length < 2) return [];
  return placed({ ...trip, load: [] }, people, hull).map(({ name, spot }) => {
    const along = spot.x > 1 - THIRD ? 'bow' : spot.x < THIRD ? 'stern' : 'middle';
    const side = spot.y > ASIDE ? 'port' : spot.y < -ASIDE ? 'starboard' : 'centre';
    return phrase('brief.seat', {
      who: name,
      where: phrase(`brief.along.${along}`),
      side: phrase(`brief.side.${side}`),
    });
  });
}

function things({ kinds }: Context, pieces: readonly Piece[]): Phrase[] {
  const at = (place: string) =>
    pieces
      .filter(
        (p) => p.place === place && p.faults.length === 0 && SHOWN.has(kinds.get(p.item.kind)?.group ?? ''),
      )
      .map((p) => p.item.name);
  return (['on-body', 'in-reach', 'hatch'] as const).flatMap((place) => {
    const names = at(place);
    return names.length > 0 ? [phrase(`brief.things.${place}`, { names })] : [];
  });
}
