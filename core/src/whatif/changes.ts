import './words';
import data from '../../data/whatif/changes.json';
import { dressFor, warmEnough } from '../body/cold';
import { drives } from '../boat';
import { ageRange, civilDate, wallTime } from '../earth';
import { isOpen, SOONER, STEPS } from '../floatplan';
import { stowages, stowPatch } from '../kit';
import { CLOTHING } from '../model/lists';
import type { GearItem, Patch, Person, Phrase, Stowage, Trip } from '../model';
import { phrase } from '../say';
import { LAYERS } from '../signals';
import { MS } from '../units';
import { WHATIF } from './limits';
import type { Moment } from './moment';
import type { Standing } from './standing';

export type ChangeKind = keyof typeof data.costs;

/** Something to change before one leaves: one tap does it. */
export interface Change {
  /** What it is about, by what it changes: never a place in a list. */
  id: string;
  kind: ChangeKind;
  label: Phrase;
  /** Of the trip. */
  patch: Patch[];
  /** Who would have said yes to the plan, where that is what changes; it is asked of them, and done by nobody here. */
  accepted?: string;
  cost: number;
}

const COSTS: Record<ChangeKind, number> = data.costs;
export const MOST = data.most;

const change = (kind: ChangeKind, about: string, label: Phrase, patch: Patch[]): Change => ({
  id: `${kind}/${about}`,
  kind,
  label,
  patch,
  cost: COSTS[kind],
});
const set = (pointer: string, value: unknown): Patch => ({ op: 'set', pointer, value });

/** Everything that can be changed on this trip and may matter, the cheapest first. */
export function changesOf(standing: Standing, moment: Moment): Change[] {
  const all = [
    ...worn(standing, moment),
    ...stowed(standing),
    ...ashore(standing),
    ...hours(standing),
    ...besides(standing),
    ...mended(standing),
  ].sort((a, b) => a.cost - b.cost);
  const seen = new Set<string>();
  return all
    .filter(({ patch, accepted }) => {
      const key = JSON.stringify([patch, accepted]);
      return !seen.has(key) && seen.add(key);
    })
    .slice(0, MOST);
}

/** What each wears: the jacket, clothes for this water, the cord on whoever drives. */
function worn({ context, bodies }: Standing, { water }: Moment): Change[] {
  const { trip, boat } = context;
  const wanted = water && dressFor(water.low);
  return bodies.flatMap(({ person: { id, name }, clothing = 'light', jacket, cord, driver }, i) => [
    ...(jacket === 'yes' || trip.crew[i]?.wearsJacket
      ? []
      : [change('wear', id, phrase('change.wear', { who: name }), [set(`/crew/${i}/wearsJacket`, true)])]),
    ...(driver && cord !== true && boat && drives(boat).motor
      ? [change('cord', id, phrase('change.cord', { who: name }), [set(`/crew/${i}/cord`, true)])]
      : []),
    ...(wanted && !warmEnough(clothing, wanted)
      ? [
          change(
            'clothes',
            id,
            phrase('change.clothes', { who: name, clothing: CLOTHING[wanted].toLowerCase() }),
            [set(`/crew/${i}/clothing`, wanted)],
          ),
        ]
      : []),
  ]);
}

/** What is carried on a body at all: signals. */
const CARRIED: ReadonlySet<string> = new Set<string>(LAYERS.flatMap(({ capabilities }) => capabilities));
/** Capabilities that decide a gap: signals, and what one comes aboard, holds on or finds home by. */
const MATTERS: ReadonlySet<string> = new Set<string>([...CARRIED, ...data.matters]);
const NEARER: Partial<Record<Stowage, Stowage[]>> = {
  'in-reach': ['on-body'],
  hatch: ['on-body', 'in-reach'],
  buried: ['on-body', 'in-reach'],
  home: ['on-body', 'in-reach'],
};

/** Every thing of the shed that matters, nearer than it is. */
function stowed({ context }: Standing): Change[] {
  const { trip, shed, kinds, boat } = context;
  const places = stowages(shed.gear, trip);
  return shed.gear.flatMap((item) => {
    const supplies = kinds.get(item.kind)?.supplies ?? [];
    const matters = supplies.some(({ capability }) => MATTERS.has(capability));
    const hers = item.fittedTo === undefined || item.fittedTo === boat?.id;
    // What is fixed to another thing travels where that does.
    const free = item.on === undefined && item.count > 0;
    if (!matters || !hers || !free || GONE.has(item.state)) return [];
    const place = places.get(item.id) ?? item.stowage;
    const carried = supplies.some(({ capability }) => CARRIED.has(capability)) && item.fittedTo === undefined;
    return (NEARER[place] ?? [])
      .filter((to) => to !== 'on-body' || carried)
      .map((to) => moved(trip, item, place === 'home', to));
  });
}
const GONE: ReadonlySet<string> = new Set(['failed', 'used-up']);

function moved(trip: Trip, item: GearItem, taken: boolean, to: Stowage): Change {
  const body = to === 'on-body';
  const word = taken ? (body ? 'change.take.body' : 'change.take') : body ? 'change.body' : 'change.reach';
  return change(
    taken ? 'take' : body ? 'body' : 'reach',
    `${item.id}/${to}`,
    phrase(word, { item: item.name }),
    stowPatch(trip, item.id, to),
  );
}

const EVERY = WHATIF.limit('check-in-every');

/** Who ashore is told, and how soon. */
function ashore({ context }: Standing): Change[] {
  const { trip, shed } = context;
  const told = STEPS.told.least,
    alarm = STEPS.alarm.least;
  const others = shed.contacts.filter(({ id }) => !trip.contacts.includes(id));
  const filed = context.plan && isOpen(context.plan.state) ? context.plan.contacts : [];
  const waiting = filed.filter(({ accepted, declined, withdrawn }) => !accepted && !declined && !withdrawn);
  return [
    ...waiting.map(({ id, name }) => ({
      ...change('accept', id, phrase('change.accept', { who: name }), []),
      accepted: id,
    })),
    ...(trip.contacts.length > 0 && (trip.graceMinutes !== told || trip.alarmMinutes !== alarm)
      ? [
          change('sooner', 'home', phrase('change.sooner', { told, alarm }), [
            set('/graceMinutes', told),
            set('/alarmMinutes', alarm),
          ]),
        ]
      : []),
    ...(trip.contacts.length > 0 && !(trip.checkInMinutes && trip.checkInMinutes <= EVERY)
      ? [
          change('check-in', String(EVERY), phrase('change.check-in', { minutes: EVERY }), [
            set('/checkInMinutes', EVERY),
          ]),
        ]
      : []),
    ...others
      .slice(0, data.contacts)
      .map(({ id, name }) =>
        change('contact', id, phrase('change.contact', { who: name }), [
          { op: 'append', pointer: '/contacts', value: id },
        ]),
      ),
  ];
}

const HOURS = WHATIF.limit('change-hours') * MS.second;

/** An hour later, an hour earlier, the other way round. */
function hours({ context, assessment }: Standing): Change[] {
  const { trip, zone } = context;
  const { leave } = assessment;
  const at = (by: number): Change[] => {
    if (leave === undefined || zone === undefined) return [];
    const date = civilDate(leave + by, zone),
      time = wallTime(leave + by, zone);
    const word = by > 0 ? 'change.later' : 'change.earlier';
    return [
      change('hour', `${date}T${time}`, phrase(word, { time }), [
        set('/leave/date', date),
        set('/leave/time', time),
      ]),
    ];
  };
  const round = trip.return === undefined || trip.return === trip.launch;
  return [
    ...at(HOURS),
    // What is past already can't be left at.
    ...(leave !== undefined && leave - HOURS > context.now ? at(-HOURS) : []),
    ...(round && trip.halts.length > 1
      ? [change('way', 'round', phrase('change.way'), [set('/halts', trip.halts.toReversed())])]
      : []),
  ];
}

/** Another boat of the shed, with somebody of the household who is not in the crew yet. */
function besides({ context }: Standing): Change[] {
  const { trip, shed } = context;
  const aboard = new Set([
    ...trip.crew.map(({ person }) => person),
    ...(trip.company ?? []).flatMap(({ people }) => people),
  ]);
  const free = shed.people.find((person) => !aboard.has(person.id) && isGrown(person, trip.leave.date));
  const gone = new Set([trip.boat, ...(trip.company ?? []).map(({ boat }) => boat)]);
  const other = shed.boats.find(({ id }) => !gone.has(id));
  if (!free || !other || trip.boat === undefined) return [];
  const value = { boat: other.id, people: [free.id] };
  const patch: Patch = trip.company
    ? { op: 'append', pointer: '/company', value }
    : { op: 'set', pointer: '/company', value: [value] };
  return [change('boat', other.id, phrase('change.boat', { boat: other.name, who: free.name }), [patch])];
}

/** Nobody sends a child, or somebody of whom no age is known, along in a boat of their own. */
const isGrown = ({ born }: Person, on: string): boolean =>
  born !== undefined && ageRange(born, on)[0] >= SOONER.child.under;

/** What the findings of the trip themselves offer to do to it. */
function mended({ context, assessment }: Standing): Change[] {
  return assessment.findings.flatMap(({ mend, others = [] }) =>
    [...(mend ? [mend] : []), ...others].flatMap((each) =>
      'do' in each && each.do.type === 'trip' && each.do.id === context.trip.id
        ? [change('mend', JSON.stringify(each.do.patch), each.label, each.do.patch)]
        : [],
    ),
  );
}
