import { CATALOGUE } from '../kit/catalogue';
import type { Boat, Contact, Person, Phrase, Schedule, SheetRow } from '../model';
import { CRAFT } from '../model/lists';
import { phrase } from '../say';
import { format } from '../units';
import { worstWithin } from '../water';
import { positionText } from './position-text';
import type { SheetInput } from './sheet';

export type Say = (what: Phrase) => string;
type Row = SheetRow;
const LABELS = { radio: 'Radio', beacon: 'Beacon' } as const;

/** The whole of a row, as the crew reads it and whoever searches. */
export const wholeRow = ({ text, late, instead }: Row): string =>
  instead && late ? late : beside(text, late);
const row = (label: string, text: string | undefined): Row[] => (text ? [{ label, text }] : []);
/** Facts that stand beside each other. */
const beside = (...facts: (string | undefined)[]) => facts.filter(Boolean).join(' · ');

/** Facts for whoever searches. */
const later = (...facts: (string | undefined)[]): Pick<Row, 'late'> => {
  const late = beside(...facts);
  return late ? { late } : {};
};

/** Both units stand on the sheet: people from both worlds meet there. */
const bothUnits = (value: number, quantity: 'length' | 'mass' | 'power') =>
  `${format(value, quantity, 'metric')} (${format(value, quantity, 'us')})`;

export function peopleRows(
  { trip, people, gear, assessment }: SheetInput,
  skipper: Person | undefined,
  say: Say,
): Row[] {
  const uses = assessment.requirements.flatMap((r) => r.metBy);
  return trip.crew.flatMap(({ person, clothing }) => {
    const who = people.find((p) => p.id === person);
    if (!who) return [];
    const jacket = gear.find((g) => g.id === uses.find((u) => u.person === who.id)?.item);
    const { name, born, mass, swimming, phone, medical, medicalFor } = who;
    const notes = medical ? say(phrase('sheet.medical', { medical })) : undefined;
    return [
      {
        label: who === skipper ? say(phrase('sheet.skipper', { name })) : name,
        text: beside(
          swimming && say(phrase('sheet.swims', { swimming })),
          beside(jacket?.name, jacket?.colour),
          clothing && say(phrase(`wears.${clothing}`)),
          medicalFor === 'contact' ? notes : undefined,
        ),
        ...later(
          born && say(phrase('sheet.born', { born })),
          mass === undefined ? undefined : bothUnits(mass, 'mass'),
          phone,
          medicalFor === 'sealed' ? notes : undefined,
        ),
        ...(medicalFor === 'sealed' && notes ? { sealed: true as const } : {}),
      },
    ];
  });
}

export function boatRows(boat: Boat, say: Say): Row[] {
  const { hullColour, deckColour } = boat;
  const colours = [
    ...(hullColour ? [phrase('sheet.below', { colour: hullColour })] : []),
    ...(deckColour ? [phrase('sheet.above', { colour: deckColour })] : []),
  ];
  const moved = boat.propulsion.map((p) =>
    p.power === undefined
      ? phrase(`drive.${p.kind}`)
      : phrase('sheet.drive', { drive: phrase(`drive.${p.kind}`), power: bothUnits(p.power, 'power') }),
  );
  return [
    ...row('Kind', CRAFT[boat.kind]),
    ...row('Length', boat.length === undefined ? undefined : bothUnits(boat.length, 'length')),
    ...row('Colours', colours.length > 0 ? say(phrase('sheet.list', { all: colours })) : undefined),
    ...row('Name and marks', beside(boat.name, boat.marks)),
    ...row('Moved by', moved.length > 0 ? say(phrase('sheet.list', { all: moved })) : undefined),
  ];
}

export function hourRows(input: SheetInput, schedule: Schedule, say: Say): Row[] {
  const { trip, water, places } = input;
  const { leave, legs, turnBack, home, overdue, alarm, checkIns } = schedule;
  const place = (id: string) => places.find((p) => p.id === id);
  const when = (at: number | undefined) => (at === undefined ? undefined : say(phrase('sheet.when', { at })));
  const launch = place(trip.launch ?? '');
  const there = launch && phrase('sheet.at', { name: launch.name, position: positionText(launch.position) });
  const hours = checkIns.map((at) => phrase('sheet.when', { at }));
  const leg = ({ to, arrives, metres, bearing }: Schedule['legs'][number]): Row => {
    const at = place(to);
    const position = at ? positionText(at.position) : phrase('sheet.place.gone');
    const text = say(phrase('sheet.leg', { arrives, metres, bearing, position }));
    return { label: at?.name ?? say(phrase('sheet.place.gone')), text };
  };
  const others = (trip.alternatives ?? []).flatMap((id): Phrase[] => {
    const at = place(id);
    return at ? [phrase('sheet.at', { name: at.name, position: positionText(at.position) })] : [];
  });
  const ends = trip.return !== undefined && trip.return !== trip.launch ? place(trip.return) : undefined;
  const way = [
    ...legs.slice(0, -1).map(leg),
    ...row('Or instead', others.length > 0 ? say(phrase('sheet.list', { all: others })) : undefined),
  ];
  return [
    ...row('Water', water.name),
    ...row('Launch', there && say(there)),
    ...row('Leave', when(leave)),
    ...(trip.sealSpot ? sealed(way, say) : way),
    ...row('Turn back', trip.sealSpot ? undefined : when(turnBack)),
    ...row(
      'Lands at',
      ends && say(phrase('sheet.at', { name: ends.name, position: positionText(ends.position) })),
    ),
    ...row('Home', when(home)),
    ...row('Overdue', when(overdue)),
    ...row('Ring for help', when(alarm)),
    ...row('Check-ins', hours.length > 0 ? say(phrase('sheet.list', { all: hours })) : undefined),
    ...row('Car', trip.parked),
    // What one does then may name the very place.
    ...(trip.sealSpot && trip.ifLate
      ? [{ label: 'If late', text: say(phrase('sheet.sealed')), late: trip.ifLate, instead: true as const }]
      : row('If late', trip.ifLate)),
    ...row(
      'Food, water',
      trip.provisionHours === undefined ? undefined : say(provisions(trip.provisionHours)),
    ),
    ...row('Weather', say(weatherOf(input, schedule))),
  ];
}

const provisions = (hours: number) => phrase('sheet.provisions', { hours });

/** The way as one row that is sealed. */
function sealed(way: Row[], say: Say): Row[] {
  if (way.length === 0) return [];
  const late = way.map(({ label, text }) => say(phrase('sheet.sealed.part', { label, text }))).join('; ');
  return [{ label: 'The way', text: say(phrase('sheet.sealed')), late, instead: true as const }];
}

/** What is forecast for the hours, as it was when the plan was filed. */
function weatherOf({ forecast }: SheetInput, { leave, home = leave }: Schedule): Phrase {
  if (!forecast) return phrase('sheet.weather.none');
  if (forecast.invented) return phrase('sheet.weather');
  const worst = worstWithin(forecast, leave, home);
  if (!worst) return phrase('sheet.weather.outside');
  const { wind, gust, coldest, highest } = worst;
  const water = coldest?.water;
  const waves = highest?.waves;
  return phrase('sheet.list', {
    all: [
      phrase('sheet.wind', { wind: wind.wind, gust: gust.gust, from: wind.from }),
      ...(waves === undefined ? [] : [phrase('sheet.waves', { waves })]),
      ...(water === undefined ? [] : [phrase('sheet.water', { water })]),
      ...(worst.whole.wind ? [] : [phrase('sheet.weather.part')]),
      phrase('sheet.issued', { at: forecast.issuedAt }),
    ],
  });
}

export function carriedRows({ gear, assessment }: SheetInput, say: Say): Row[] {
  const asked = assessment.requirements.filter((r) => r.applies !== 'no');
  const used = new Set(asked.flatMap((r) => r.metBy.map((u) => u.item)));
  const carried = gear.filter((g) => used.has(g.id));
  const named = carried.map(({ count, name: item }) =>
    count > 1 ? say(phrase('kit.use.count', { count, item })) : item,
  );
  const numbered = carried.flatMap(({ kind, name: item, identity }): Row[] => {
    const of = NUMBERED.get(kind);
    return of && identity ? [{ label: of, text: beside(item, identity) }] : [];
  });
  return [...row('Kit', beside(...named)), ...numbered];
}

/** What calls for help by a number of its own, by its kind in the catalogue. */
const NUMBERED = new Map(
  CATALOGUE.kinds.flatMap(({ id, numbered }) => (numbered ? [[id, LABELS[numbered]] as const] : [])),
);

/** Who else goes along: a searcher counts boats and heads. */
export const companyRows = ({ company = [] }: SheetInput, say: Say): Row[] =>
  company.map(({ boat, people }) => ({
    label: boat.name,
    text: beside(
      boat.hullColour
        ? say(phrase('sheet.company', { kind: CRAFT[boat.kind], colour: boat.hullColour }))
        : CRAFT[boat.kind],
      say(
        people.length > 0
          ? phrase('sheet.company.who', { names: people.map((who) => who.name) })
          : phrase('sheet.company.alone'),
      ),
    ),
    ...later(...people.map((who) => who.phone)),
  }));

export const contactRow = ({ name, relation, phone, mail }: Contact): Row => ({
  label: name,
  text: beside(relation),
  ...later(phone, mail),
});
