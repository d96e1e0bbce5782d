import type { Assessment, Boat, Contact, GearItem, Person, Place, Sheet, Trip, Water } from '../model';
import { CRAFT } from '../model/lists';
import { phrase, render, clock, dayOf, type Reader } from '../say';
import { format, spanText } from '../units';

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

/** Speed in the shed, both units on the sheet: people from both worlds meet there. */
const bothUnits = (value: number, quantity: 'length' | 'mass') => `${format(value, quantity, 'metric')} (${format(value, quantity, 'us')})`;

/** Latitude and longitude as a radio operator reads them: degrees and decimal minutes. */
export function positionText({ lat, lon }: { lat: number; lon: number }): string {
  const part = (value: number, plus: string, minus: string) => {
    const whole = Math.abs(value), degrees = Math.floor(whole);
    const minutes = (whole - degrees) * 60;
    // Rounding must not print 60.000 minutes.
    const rounded = Number(minutes.toFixed(3));
    return rounded === 60 ? `${degrees + 1}° 00.000′ ${value < 0 ? minus : plus}` : `${degrees}° ${minutes.toFixed(3).padStart(6, '0')}′ ${value < 0 ? minus : plus}`;
  };
  return `${part(lat, 'N', 'S')}, ${part(lon, 'E', 'W')}`;
}

/**
 * The complete sheet in words, rendered once when the plan is filed; pages show what was stored and never reckon again.
 * Only what the skipper chose to show: medical notes stay out.
 */
export function sheetOf({ trip, boat, people, water, places, gear, contacts, assessment, filedAt, inventedWeather }: SheetInput): Sheet {
  const reader: Reader = { units: 'metric', zone: water.zone, locale: 'en-GB' };
  const schedule = assessment.schedule;
  if (!schedule?.home || !schedule.overdue) throw new Error('a trip without a time home can’t be filed');
  const place = (id: string) => places.find((p) => p.id === id);
  const person = (id: string) => people.find((p) => p.id === id);
  const skipper = person(trip.crew.find((c) => c.role === 'skipper')?.person ?? trip.crew[0]?.person ?? '');
  const launch = place(trip.launch ?? '');
  const route = trip.halts.map((h) => place(h.place)?.name ?? '?');
  const used = new Set(assessment.requirements.filter((r) => r.applies !== 'no').flatMap((r) => r.metBy.map((u) => u.item)));
  const kind = CRAFT[boat.kind].toLowerCase();
  const say = (...args: Parameters<typeof phrase>) => render(phrase(...args), reader);
  const when = (at: number) => `${dayOf(at, reader)} ${clock(at, reader)}`;
  const phones = people.filter((p) => p.phone).map((p) => `${p.name} ${p.phone}`);
  const parked = trip.parked ? `: ${trip.parked}` : '';
  const common = { kind, n: people.length, launch: launch?.name ?? '?', leave: schedule.leave, route: route.length > 0 ? route : [launch?.name ?? '?'], home: schedule.home, overdue: schedule.overdue };
  const row = (label: string, text: string | undefined) => (text ? [{ label, text }] : []);
  return {
    title: trip.title, filedAt: new Date(filedAt).toISOString(), zone: water.zone,
    lines: [
      { head: 'People', rows: trip.crew.flatMap((c) => {
        const who = person(c.person);
        if (!who) return [];
        const jacket = gear.find((g) => g.id === assessment.requirements.flatMap((r) => r.metBy).find((u) => u.person === who.id)?.item);
        const facts = [who.born ? `born ${who.born}` : '', who.mass !== undefined ? bothUnits(who.mass, 'mass') : '', who.swimming ? `swimming ${who.swimming}` : '', jacket ? jacket.name : '', c.clothing ? say(`wears.${c.clothing}`) : '', who.phone ?? ''];
        return [{ label: who === skipper ? `${who.name}, skipper` : who.name, text: facts.filter(Boolean).join(' · ') }];
      }) },
      { head: 'Boat', rows: [
        ...row('Kind', CRAFT[boat.kind]), ...row('Length', boat.length === undefined ? undefined : bothUnits(boat.length, 'length')),
        ...row('Colours', [boat.hullColour && `below ${boat.hullColour}`, boat.deckColour && `above ${boat.deckColour}`].filter(Boolean).join(', ')),
        ...row('Name and marks', [boat.name, boat.marks].filter(Boolean).join(' · ')), ...row('Moved by', boat.propulsion.map((p) => p.kind).join(', ')),
      ] },
      { head: 'Where and when', rows: [
        ...row('Water', water.name), ...row('Launch', launch && `${launch.name}, ${positionText(launch.position)}`), ...row('Leave', when(schedule.leave)),
        ...schedule.legs.slice(0, -1).map((leg) => ({ label: place(leg.to)?.name ?? '?', text: `${clock(leg.arrives, reader)} · ${format(leg.metres, 'distance', 'metric')} on ${format(leg.bearing, 'bearing', 'metric')} · ${place(leg.to) ? positionText(place(leg.to)!.position) : ''}` })),
        ...row('Turn back', schedule.turnBack === undefined ? undefined : when(schedule.turnBack)), ...row('Home', when(schedule.home)), ...row('Overdue', when(schedule.overdue)),
        ...row('Check-ins', schedule.checkIns.map((t) => clock(t, reader)).join(', ')), ...row('Car', trip.parked), ...row('If late', trip.ifLate), ...row('Weather', inventedWeather ? say('sheet.weather') : undefined),
      ] },
      { head: 'Carried', rows: row('Kit', gear.filter((g) => used.has(g.id)).map((g) => (g.count > 1 ? `${g.count} × ${g.name}` : g.name)).join(' · ')) },
      { head: 'Contacts', rows: contacts.map((c) => ({ label: c.name, text: [c.relation, c.phone].filter(Boolean).join(' · ') })) },
    ].filter((section) => section.rows.length > 0),
    expect: [say('sheet.worry', { home: schedule.home }), say('sheet.page'), `Overdue in ${spanText((schedule.overdue - schedule.leave) / 1000)} from leaving: ${when(schedule.overdue)}.`],
    ifLate: [
      phones.length > 0 ? say('sheet.first', { phones, parked }) : say('sheet.first.nophone', { parked }),
      water.rescueNumber ? say('sheet.call', { ...common, number: water.rescueNumber, who: water.rescueName ?? 'the rescue service', water: water.name }) : say('sheet.norescue'),
    ],
    read: say('sheet.read', { ...common, skipper: skipper?.name ?? 'the crew', name: boat.marks ? `, marked ${boat.marks}` : '' }),
  };
}
