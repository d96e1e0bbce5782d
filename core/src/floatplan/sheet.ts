import type {
  Assessment,
  Boat,
  Contact,
  GearItem,
  Person,
  Phrase,
  Place,
  PlanEvent,
  PlanTimes,
  Schedule,
  Sheet,
  SheetRow,
  Trip,
  Water,
} from '../model';
import { CRAFT } from '../model/lists';
import { phrase, render, type Reader } from '../say';
import { format, MS } from '../units';

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
  /** The weather that the plan was reckoned with was made up by a stand-in. */
  inventedWeather?: boolean;
}

/** Both units stand on the sheet: people from both worlds meet there. */
const bothUnits = (value: number, quantity: 'length' | 'mass') =>
  `${format(value, quantity, 'metric')} (${format(value, quantity, 'us')})`;

/** Latitude and longitude as a radio operator reads them: degrees and decimal minutes. */
export function positionText({ lat, lon }: { lat: number; lon: number }): string {
  const part = (value: number, plus: string, minus: string) => {
    const whole = Math.abs(value),
      degrees = Math.floor(whole);
    const minutes = (whole - degrees) * 60;
    // Rounding must not print 60.000 minutes.
    const rounded = Number(minutes.toFixed(3));
    return rounded === 60
      ? `${degrees + 1}° 00.000′ ${value < 0 ? minus : plus}`
      : `${degrees}° ${minutes.toFixed(3).padStart(6, '0')}′ ${value < 0 ? minus : plus}`;
  };
  return `${part(lat, 'N', 'S')}, ${part(lon, 'E', 'W')}`;
}

/**
 * The complete sheet in words, rendered once when the plan is filed; pages show what was stored and never reckon again.
 * Only what the skipper chose to show: medical notes stay out. Lengths and masses stand in both units.
 * @throws Error for a trip without a time home: it can't be filed
 */
export function sheetOf(input: SheetInput): Sheet {
  const { trip, boat, people, water, places, assessment, filedAt } = input;
  const reader: Reader = { units: 'metric', zone: water.zone, locale: 'en-GB' };
  const { schedule } = assessment;
  if (!schedule?.home || !schedule.overdue) throw new Error('a trip without a time home can’t be filed');
  const { leave, home, overdue } = schedule;
  const say = (what: Phrase) => render(what, reader);
  const name = (id: string) => places.find((p) => p.id === id)?.name ?? phrase('sheet.place.gone');
  const skipperId = trip.crew.find((c) => c.role === 'skipper')?.person ?? trip.crew[0]?.person;
  const skipper = people.find((p) => p.id === skipperId);
  const launch = name(trip.launch ?? '');
  const halts = trip.halts.map((h) => name(h.place));
  const route = halts.length > 0 ? halts : [launch];
  const kind = CRAFT[boat.kind].toLowerCase();
  const common = { n: people.length, launch, leave, route, home };
  const phones = people.flatMap(({ name: who, phone }) =>
    phone ? [phrase('sheet.phone', { who, phone })] : [],
  );
  const car = trip.parked ? phrase('sheet.car.where', { parked: trip.parked }) : phrase('sheet.car');
  const called = boat.marks ? phrase('sheet.boat.marked', { kind, marks: boat.marks }) : kind;
  const call = () =>
    water.rescueNumber
      ? phrase('sheet.call', {
          ...common,
          kind,
          number: water.rescueNumber,
          who: water.rescueName ?? phrase('sheet.rescue'),
          water: water.name,
        })
      : phrase('sheet.norescue');
  return {
    title: trip.title,
    filedAt: new Date(filedAt).toISOString(),
    zone: water.zone,
    lines: [
      { head: 'People', rows: peopleRows(input, skipper, say) },
      { head: 'Boat', rows: boatRows(boat, say) },
      { head: HOURS, rows: hourRows(input, schedule, say) },
      { head: 'Carried', rows: carriedRows(input, say) },
      { head: 'Contacts', rows: input.contacts.map(contactRow) },
    ].filter((section) => section.rows.length > 0),
    expect: expectations({ leave, home, overdue }, say),
    ifLate: [
      say(
        phones.length > 0 ? phrase('sheet.first', { phones, car }) : phrase('sheet.first.nophone', { car }),
      ),
      say(call()),
    ],
    read: say(
      phrase('sheet.read', {
        ...common,
        boat: called,
        overdue,
        skipper: skipper?.name ?? phrase('crew.whole'),
      }),
    ),
  };
}

type Say = (what: Phrase) => string;
/** The part of the sheet in which the hours stand. */
const HOURS = 'Where and when';

/** What a contact has to expect, by the times that hold. */
const expectations = ({ leave, home, overdue }: Pick<PlanTimes, 'leave' | 'home' | 'overdue'>, say: Say) => [
  say(phrase('sheet.worry', { home })),
  say(phrase('sheet.page')),
  say(phrase('sheet.overdue', { span: (overdue - leave) / MS.second, overdue })),
];

/**
 * The sheet as it has to be read after home was put off under way: what was frozen stays, and beside every hour that no
 * longer holds stands the one that does.
 */
export function sheetNow(sheet: Sheet, events: PlanEvent[]): Sheet {
  const last = events.findLast((e) => e.times);
  if (last?.kind !== 'later' || !last.times) return sheet;
  const reader: Reader = { units: 'metric', zone: sheet.zone, locale: 'en-GB' };
  const say: Say = (what) => render(what, reader);
  const { home, overdue } = last.times;
  const moved = say(phrase('sheet.moved', { at: Math.min(last.madeAt ?? last.at, last.at), home, overdue }));
  return {
    ...sheet,
    lines: sheet.lines.map((part) =>
      part.head === HOURS
        ? { ...part, rows: [...part.rows, { label: say(phrase('sheet.since')), text: moved }] }
        : part,
    ),
    expect: expectations(last.times, say),
    ifLate: sheet.ifLate.map((line, i) => (i === 1 ? say(phrase('sheet.with', { line, moved })) : line)),
    read: say(phrase('sheet.with', { line: sheet.read, moved })),
  };
}

type Row = SheetRow;
/** The whole of a row, as the crew reads it and whoever searches. */
export const wholeRow = ({ text, late }: Row): string => beside(text, late);
const row = (label: string, text: string | undefined): Row[] => (text ? [{ label, text }] : []);
/** Facts that stand beside each other. */
const beside = (...facts: (string | undefined)[]) => facts.filter(Boolean).join(' · ');

/** Facts for whoever searches. */
const later = (...facts: (string | undefined)[]): Pick<Row, 'late'> => {
  const late = beside(...facts);
  return late ? { late } : {};
};

function peopleRows(
  { trip, people, gear, assessment }: SheetInput,
  skipper: Person | undefined,
  say: Say,
): Row[] {
  const uses = assessment.requirements.flatMap((r) => r.metBy);
  return trip.crew.flatMap(({ person, clothing }) => {
    const who = people.find((p) => p.id === person);
    if (!who) return [];
    const jacket = gear.find((g) => g.id === uses.find((u) => u.person === who.id)?.item);
    const { name, born, mass, swimming, phone } = who;
    return [
      {
        label: who === skipper ? say(phrase('sheet.skipper', { name })) : name,
        text: beside(
          swimming && say(phrase('sheet.swims', { swimming })),
          jacket?.name,
          clothing && say(phrase(`wears.${clothing}`)),
        ),
        ...later(
          born && say(phrase('sheet.born', { born })),
          mass === undefined ? undefined : bothUnits(mass, 'mass'),
          phone,
        ),
      },
    ];
  });
}

function boatRows(boat: Boat, say: Say): Row[] {
  const { hullColour, deckColour } = boat;
  const colours = [
    ...(hullColour ? [phrase('sheet.below', { colour: hullColour })] : []),
    ...(deckColour ? [phrase('sheet.above', { colour: deckColour })] : []),
  ];
  const moved = boat.propulsion.map((p) => phrase(`drive.${p.kind}`));
  return [
    ...row('Kind', CRAFT[boat.kind]),
    ...row('Length', boat.length === undefined ? undefined : bothUnits(boat.length, 'length')),
    ...row('Colours', colours.length > 0 ? say(phrase('sheet.list', { all: colours })) : undefined),
    ...row('Name and marks', beside(boat.name, boat.marks)),
    ...row('Moved by', moved.length > 0 ? say(phrase('sheet.list', { all: moved })) : undefined),
  ];
}

function hourRows({ trip, water, places, inventedWeather }: SheetInput, schedule: Schedule, say: Say): Row[] {
  const { leave, legs, turnBack, home, overdue, checkIns } = schedule;
  const place = (id: string) => places.find((p) => p.id === id);
  const when = (at: number | undefined) => (at === undefined ? undefined : say(phrase('sheet.when', { at })));
  const launch = place(trip.launch ?? '');
  const there = launch && phrase('sheet.at', { name: launch.name, position: positionText(launch.position) });
  const hours = checkIns.map((at) => phrase('sheet.hour', { at }));
  const leg = ({ to, arrives, metres, bearing }: Schedule['legs'][number]): Row => {
    const at = place(to);
    const position = at ? positionText(at.position) : phrase('sheet.place.gone');
    const text = say(phrase('sheet.leg', { arrives, metres, bearing, position }));
    return { label: at?.name ?? say(phrase('sheet.place.gone')), text };
  };
  return [
    ...row('Water', water.name),
    ...row('Launch', there && say(there)),
    ...row('Leave', when(leave)),
    ...legs.slice(0, -1).map(leg),
    ...row('Turn back', when(turnBack)),
    ...row('Home', when(home)),
    ...row('Overdue', when(overdue)),
    ...row('Check-ins', hours.length > 0 ? say(phrase('sheet.list', { all: hours })) : undefined),
    ...row('Car', trip.parked),
    ...row('If late', trip.ifLate),
    ...row('Weather', inventedWeather ? say(phrase('sheet.weather')) : undefined),
  ];
}

function carriedRows({ gear, assessment }: SheetInput, say: Say): Row[] {
  const asked = assessment.requirements.filter((r) => r.applies !== 'no');
  const used = new Set(asked.flatMap((r) => r.metBy.map((u) => u.item)));
  const carried = gear.filter((g) => used.has(g.id));
  const named = carried.map(({ count, name: item }) =>
    count > 1 ? say(phrase('kit.use.count', { count, item })) : item,
  );
  return row('Kit', beside(...named));
}

const contactRow = ({ name, relation, phone }: Contact): Row => ({
  label: name,
  text: beside(relation),
  ...later(phone),
});
