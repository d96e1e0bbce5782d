import type { Boat, Contact, Finding, GearItem, GearKind, Mend, Person, Phrase, Trip } from '../model';
import { phrase } from '../say';
import { doTo, goTo } from '../verdict';
import { chosenLate, type Sooner } from './escalation';
import { isDialled, isIdentity, isMail } from './identity';
import { FLOATPLAN } from './limits';

/** What the sheet is made of. */
export interface OnSheet {
  trip: Trip;
  boat?: Boat;
  people: Person[];
  /** The household's things, and what the catalogue says of them. */
  gear?: GearItem[];
  kinds?: ReadonlyMap<string, GearKind>;
  contacts: Contact[];
}

/** Something whoever searches would ask for, that nobody has said yet. */
interface Lack {
  what: Phrase;
  mend: Mend;
}

const lack = (what: Phrase, at: Omit<Mend, 'label'>): Lack => ({
  what,
  mend: { label: phrase('plan.sheet.mend', { what }), ...at } as Mend,
});

/** What the sheet doesn't say, in the order in which a searcher asks. */
function lacksOf({ trip, boat, people, gear = [], kinds }: OnSheet): Lack[] {
  const lacks: Lack[] = [];
  const first = people.find((who) => !who.phone);
  if (people.length > 0 && people.every((who) => !who.phone) && first)
    lacks.push(lack(phrase('plan.sheet.phone'), goTo.person(first.id, '/phone')));
  if (boat && !boat.hullColour)
    lacks.push(lack(phrase('plan.sheet.colour'), goTo.boat(boat.id, '/hullColour')));
  if (!trip.parked) lacks.push(lack(phrase('plan.sheet.parked'), goTo.trip(trip.id, '/parked')));
  if (!trip.ifLate) lacks.push(lack(phrase('plan.sheet.late'), goTo.trip(trip.id, '/ifLate')));
  if (trip.provisionHours === undefined)
    lacks.push(lack(phrase('plan.sheet.provisions'), goTo.trip(trip.id, '/provisionHours')));
  if (trip.alternatives === undefined)
    lacks.push(lack(phrase('plan.sheet.alternatives'), goTo.trip(trip.id, '/alternatives')));
  for (const item of gear.filter(aboard(trip)))
    if (kinds?.get(item.kind)?.numbered && !item.identity)
      lacks.push(lack(phrase('plan.sheet.number', { item: item.name }), goTo.gear(item.id, '/identity')));
  return lacks;
}

/** Of the household's things those that go along, as far as anybody said whose they are. */
const aboard =
  ({ boat, crew, stow }: Trip) =>
  ({ id, owner, fittedTo, lentTo, count, stowage }: GearItem) =>
    count > 0 &&
    (stow.find((s) => s.item === id)?.place ?? stowage) !== 'home' &&
    !lentTo &&
    (fittedTo === undefined || fittedTo === boat) &&
    (owner === undefined || crew.some((c) => c.person === owner));

/** What the sheet lacks, what on it can't be right, and how late those ashore would act. */
export function sheetFindings(on: OnSheet, sooner: readonly Sooner[] = []): Finding[] {
  const { trip } = on;
  const lacks = lacksOf(on);
  const found: Finding[] = [
    ...stepFindings(trip, sooner),
    ...contactFaults(on.contacts),
    ...numberFaults(on),
  ];
  if (lacks.length === 0) return found;
  const [first, ...others] = lacks.map((l) => l.mend);
  return [
    ...found,
    FLOATPLAN.finding('plan/sheet', 'lacks', trip.id, {
      title: phrase('plan.sheet.title', { n: lacks.length }),
      because: [phrase('plan.sheet.why', { what: lacks.map((l) => l.what) })],
      mend: first,
      others,
    }),
  ];
}

/** A phone or an address that can't be one: the alarm would go nowhere. */
function contactFaults(contacts: Contact[]): Finding[] {
  return contacts.flatMap(({ id, name, phone, mail }) => [
    ...(phone && !isDialled(phone)
      ? [
          FLOATPLAN.finding('plan/dialled', 'phone', id, {
            title: phrase('plan.dialled.title', { contact: name, phone }),
            because: [phrase('plan.dialled.why')],
            mend: { label: phrase('plan.dialled.mend'), ...goTo.contact(id, '/phone') },
          }),
        ]
      : []),
    ...(mail && !isMail(mail)
      ? [
          FLOATPLAN.finding('plan/mail', 'mail', id, {
            title: phrase('plan.mail.title', { contact: name, mail }),
            because: [phrase('plan.mail.why')],
            mend: { label: phrase('plan.mail.mend'), ...goTo.contact(id, '/mail') },
          }),
        ]
      : []),
  ]);
}

/** Numbers of beacons and radios that can't be theirs: a searcher would ask a register for somebody else. */
function numberFaults({ trip, gear = [], kinds }: OnSheet): Finding[] {
  return gear.filter(aboard(trip)).flatMap(({ id, kind, name, identity }) => {
    const of = kinds?.get(kind)?.numbered;
    if (!of || !identity || isIdentity(of, identity)) return [];
    return [
      FLOATPLAN.finding('plan/number', 'wrong', id, {
        title: phrase('plan.number.title', { item: name, identity }),
        because: [phrase(`plan.number.${of}`)],
        mend: { label: phrase('plan.number.mend'), ...goTo.gear(id, '/identity') },
      }),
    ];
  });
}

/** Those ashore would act later than the bound, or than this crew and this water bear. */
function stepFindings(trip: Trip, sooner: readonly Sooner[]): Finding[] {
  const { bound, soon } = chosenLate(trip, sooner);
  const to = (value: number | undefined, alarm: boolean) =>
    doTo('trip', trip.id, [
      ...(value === undefined ? [] : [{ op: 'set' as const, pointer: '/graceMinutes', value }]),
      ...(alarm && trip.alarmMinutes !== undefined
        ? [{ op: 'unset' as const, pointer: '/alarmMinutes' }]
        : []),
    ]);
  return [
    ...(bound === undefined || trip.graceMinutes === undefined
      ? []
      : [
          FLOATPLAN.finding('plan/steps', 'bound', trip.id, {
            title: phrase('plan.steps.bound.title', { bound }),
            because: [phrase('plan.steps.bound.why', { chosen: trip.graceMinutes })],
            mend: { label: phrase('plan.steps.mend', { minutes: bound }), ...to(bound, false) },
          }),
        ]),
    ...(soon === undefined
      ? []
      : [
          FLOATPLAN.finding('plan/steps', 'soon', `${trip.id}.sooner`, {
            title: phrase('plan.steps.soon.title', { minutes: soon }),
            because: [
              phrase('plan.steps.soon.why', { why: sooner.map((reason) => phrase(`sooner.${reason}`)) }),
            ],
            mend: { label: phrase('plan.steps.mend', { minutes: soon }), ...to(soon, true) },
          }),
        ]),
  ];
}
