import type {
  Assessment,
  Boat,
  Contact,
  EventKind,
  Forecast,
  GearItem,
  Person,
  Phrase,
  Place,
  PlanEvent,
  PlanTimes,
  Sheet,
  Trip,
  Water,
} from '../model';
import { CRAFT } from '../model/lists';
import { phrase, render, type Reader } from '../say';
import { MS } from '../units';
import { sortForecast, type SortedForecast } from '../water';
import { alarmAt } from './fold';
import {
  boatRows,
  carriedRows,
  companyRows,
  contactRow,
  hourRows,
  peopleRows,
  wholeRow,
  type Say,
} from './sheet-rows';

export interface SheetInput {
  trip: Trip;
  boat: Boat;
  people: Person[];
  water: Water;
  places: Place[];
  gear: GearItem[];
  contacts: Contact[];
  assessment: Assessment;
  filedAt: number;
  /** The other boats of the trip, each with who is in her. */
  company?: { boat: Boat; people: Person[] }[];
  /** The weather that the plan was reckoned with. */
  forecast?: SortedForecast;
}

/** The other boats of a trip, as far as they are in the shed. */
export const companyOf = (trip: Trip, boats: readonly Boat[], people: readonly Person[]) =>
  (trip.company ?? []).flatMap(({ boat: id, people: ids }) => {
    const boat = boats.find((b) => b.id === id);
    return boat && id !== trip.boat ? [{ boat, people: people.filter((who) => ids.includes(who.id)) }] : [];
  });

/** What a sheet takes, with the forecast as it came. */
export const sheetFrom = ({
  forecast,
  ...input
}: Omit<SheetInput, 'forecast'> & { forecast?: Forecast | undefined }): Sheet => {
  const at = input.water.forecastAt ?? input.places.find((p) => p.id === input.trip.launch)?.position;
  return sheetOf({ ...input, ...(forecast ? { forecast: sortForecast(forecast, at) } : {}) });
};

/**
 * The complete sheet in words, rendered once when the plan is filed; pages show what was stored and never reckon again.
 * Only what was chosen to be shown: medical notes by each one's own word, the way sealed where the crew wants it so. Lengths and
 * masses stand in both units.
 * @throws Error for a trip without a time home: it can't be filed
 */
export function sheetOf(input: SheetInput): Sheet {
  const { trip, boat, people, water, places, assessment, filedAt } = input;
  const reader: Reader = { units: 'metric', zone: water.zone, locale: 'en-GB' };
  const { schedule } = assessment;
  if (!schedule?.home || !schedule.overdue) throw new Error('a trip without a time home can’t be filed');
  const { leave, home, overdue, alarm } = schedule;
  const say = (what: Phrase) => render(what, reader);
  const name = (id: string) => places.find((p) => p.id === id)?.name ?? phrase('sheet.place.gone');
  const skipperId = trip.crew.find((c) => c.role === 'skipper')?.person ?? trip.crew[0]?.person;
  const skipper = people.find((p) => p.id === skipperId);
  const launch = name(trip.launch ?? '');
  const halts = trip.halts.map((h) => name(h.place));
  const whole = halts.length > 0 ? halts : [launch];
  const kind = CRAFT[boat.kind].toLowerCase();
  const common = { n: people.length, launch, leave, home };
  const phones = people.flatMap(({ name: who, phone }) =>
    phone ? [phrase('sheet.phone', { who, phone })] : [],
  );
  const car = trip.parked ? phrase('sheet.car.where', { parked: trip.parked }) : phrase('sheet.car');
  const called = boat.marks ? phrase('sheet.boat.marked', { kind, marks: boat.marks }) : kind;
  const call = (route: Phrase | (string | Phrase)[]) =>
    water.rescueNumber
      ? phrase('sheet.call', {
          ...common,
          route: [route].flat(),
          kind,
          number: water.rescueNumber,
          who: water.rescueName ?? phrase('sheet.rescue'),
          water: water.name,
        })
      : phrase('sheet.norescue');
  /** Who else is out there stands in every word that is read to somebody. */
  const others = (input.company ?? []).map((one) =>
    phrase('sheet.beside.one', { boat: CRAFT[one.boat.kind].toLowerCase(), n: one.people.length }),
  );
  const beside = (line: Phrase) =>
    others.length === 0
      ? say(line)
      : say(phrase('sheet.with', { line, moved: phrase('sheet.beside', { others }) }));
  const spoken = (route: Phrase | (string | Phrase)[]): Pick<Sheet, 'ifLate' | 'read'> => ({
    ifLate: [
      say(
        phones.length > 0 ? phrase('sheet.first', { phones, car }) : phrase('sheet.first.nophone', { car }),
      ),
      beside(call(route)),
    ],
    read: beside(
      phrase('sheet.read', {
        ...common,
        route: [route].flat(),
        boat: called,
        overdue,
        skipper: skipper?.name ?? phrase('crew.whole'),
      }),
    ),
  });
  const seals = trip.sealSpot === true;
  return {
    title: seals ? say(phrase('sheet.title.sealed', { water: water.name, leave })) : trip.title,
    filedAt: new Date(filedAt).toISOString(),
    zone: water.zone,
    lines: [
      { head: 'People', rows: peopleRows(input, skipper, say) },
      { head: 'Boat', rows: boatRows(boat, say) },
      { head: HOURS, rows: hourRows(input, schedule, say) },
      { head: 'In company', rows: companyRows(input, say) },
      { head: 'Carried', rows: carriedRows(input, say) },
      { head: 'Contacts', rows: input.contacts.map(contactRow) },
    ].filter((section) => section.rows.length > 0),
    expect: expectations({ leave, home, overdue, ...(alarm === undefined ? {} : { alarm }) }, say),
    ring: {
      ...(water.rescueNumber
        ? { rescue: { number: water.rescueNumber, who: water.rescueName ?? say(phrase('sheet.rescue')) } }
        : {}),
      crew: people.flatMap(({ name: who, phone }) => (phone ? [{ who, phone }] : [])),
    },
    ...spoken(seals ? phrase('sheet.spot.sealed') : whole),
    ...(seals ? { late: spoken(whole) } : {}),
  };
}

/** The part of the sheet in which the hours stand. */
const HOURS = 'Where and when';

/** What a contact has to expect, by the times that hold. */
const expectations = (times: Omit<PlanTimes, 'checkIns' | 'turnBack'>, say: Say) => {
  const { leave, home, overdue } = times;
  return [
    say(phrase('sheet.worry', { home })),
    say(phrase('sheet.page')),
    say(phrase('sheet.overdue', { span: (overdue - leave) / MS.second, overdue })),
    say(phrase('sheet.ring', { alarm: alarmAt(times) })),
  ];
};

/**
 * The sheet as it has to be read after home was put off under way: what was frozen stays, and beside every hour that no
 * longer holds stands the one that does.
 */
export function sheetNow(sheet: Sheet, events: PlanEvent[]): Sheet {
  const last = events.findLast((e) => e.times);
  if (!last?.times || !PUT_OFF.has(last.kind)) return sheet;
  const reader: Reader = { units: 'metric', zone: sheet.zone, locale: 'en-GB' };
  const say: Say = (what) => render(what, reader);
  const { home, overdue } = last.times;
  const now = ({ ifLate, read }: Pick<Sheet, 'ifLate' | 'read'>) => ({
    ifLate: ifLate.map((line, i) => (i === 1 ? say(phrase('sheet.with', { line, moved })) : line)),
    read: say(phrase('sheet.with', { line: read, moved })),
  });
  const moved = say(phrase('sheet.moved', { at: Math.min(last.madeAt ?? last.at, last.at), home, overdue }));
  return {
    ...sheet,
    lines: sheet.lines.map((part) =>
      part.head === HOURS
        ? { ...part, rows: [...part.rows, { label: say(phrase('sheet.since')), text: moved }] }
        : part,
    ),
    expect: expectations(last.times, say),
    ...now(sheet),
    ...(sheet.late ? { late: now(sheet.late) } : {}),
  };
}
const PUT_OFF: ReadonlySet<EventKind> = new Set(['later', 'heard']);

/** The sheet as somebody reads it: with what is sealed in it, or without. */
export function asRead({ late, ...sheet }: Sheet, unsealed: boolean): Sheet {
  const lines = sheet.lines.map(({ head, rows }) => ({
    head,
    rows: rows.map((row) => ({ label: row.label, text: unsealed ? wholeRow(row) : row.text })),
  }));
  return { ...sheet, ...(unsealed ? late : {}), lines };
}

/** Is there something on it that is sealed by somebody's own word: the way, or an illness? */
export const hasSeals = ({ late, lines }: Sheet): boolean =>
  late !== undefined || lines.some(({ rows }) => rows.some((row) => row.sealed));
