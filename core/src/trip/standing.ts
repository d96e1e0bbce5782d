import { loadOf, personsRule, PLANNED_SHARE } from '../boat';
import { forgottenBefore, forgottenKey } from '../kit';
import type { Figure, Finding, Person } from '../model';
import { phrase } from '../say';
import { finding, type Context } from './context';

type Figures = Record<string, Figure>;

/** Findings and figures that hold whenever the trip leaves: boat, crew, load, water, contacts, what was forgotten before. */
export function standing(context: Context): { findings: Finding[]; figures: Figures } {
  const figures: Figures = {};
  const findings = [...missingThings(context), ...crewFindings(context), ...loadFindings(context, figures), ...forgottenFindings(context)];
  return { findings, figures };
}

function missingThings({ trip, boat, water, launch, halts, people, speed }: Context): Finding[] {
  const found: Finding[] = [];
  const say = (id: string, section: Finding['section'], key: 'boat.none' | 'crew.none' | 'water.none' | 'launch.none' | 'route.none', pointer: string) =>
    found.push(finding({ id: `trip/${id}/${trip.id}`, level: 'fix', section, title: phrase(`${key}.title`), because: [phrase(`${key}.why`)], mend: { label: phrase(`${key}.mend`), go: { type: 'trip', id: trip.id, pointer } } }));
  if (!boat) say('no-boat', 'plan/boat', 'boat.none', '/boat');
  if (trip.crew.length === 0) say('no-crew', 'plan/boat', 'crew.none', '/crew');
  if (!water) say('no-water', 'plan/water', 'water.none', '/water');
  if (!launch) say('no-launch', 'plan/water', 'launch.none', '/launch');
  if (trip.halts.length === 0) say('no-route', 'plan/water', 'route.none', '/halts');
  const gone = halts.filter((h) => !h).length;
  if (gone > 0) found.push(finding({ id: `trip/route-gone/${trip.id}`, level: 'fix', section: 'plan/water', title: phrase('route.gone.title'), because: [phrase('route.gone.why', { n: gone })], mend: { label: phrase('route.none.mend'), go: { type: 'trip', id: trip.id, pointer: '/halts' } } }));
  const missing = trip.crew.length - people.length;
  if (missing > 0) found.push(finding({ id: `trip/crew-gone/${trip.id}`, level: 'fix', section: 'plan/boat', title: phrase('crew.gone.title'), because: [phrase('crew.gone.why', { n: missing })], mend: { label: phrase('crew.none.mend'), go: { type: 'trip', id: trip.id, pointer: '/crew' } } }));
  if (boat && boat.length === undefined) found.push(finding({ id: `boat/length/${boat.id}`, level: 'fix', section: 'plan/boat', title: phrase('boat.length.title', { boat: boat.name }), because: [phrase('boat.length.why')], mend: { label: phrase('boat.length.mend'), go: { type: 'boat', id: boat.id, pointer: '/length' } } }));
  if (boat && !speed) found.push(finding({ id: `boat/speed/${boat.id}`, level: 'fix', section: 'plan/day', title: phrase('speed.none.title'), because: [phrase('speed.none.why', { boat: boat.name })], mend: { label: phrase('speed.none.mend'), go: { type: 'trip', id: trip.id, pointer: '/speed' } } }));
  return found;
}

function crewFindings({ trip, people }: Context): Finding[] {
  const found: Finding[] = [];
  if (people.length === 1 && trip.crew.length === 1) found.push(finding({ id: `crew/alone/${trip.id}`, level: 'mind', section: 'plan/boat', title: phrase('crew.alone.title'), because: [phrase('crew.alone.why')], source: 'practice' }));
  for (const person of people) {
    if (person.swimming === undefined) found.push(finding({ id: `crew/swimming/${person.id}`, level: 'mind', section: 'plan/boat', title: phrase('crew.swim.unknown.title', { person: person.name }), because: [phrase('crew.swim.unknown.why')], source: 'practice', mend: { label: phrase('crew.swim.mend'), go: { type: 'person', id: person.id, pointer: '/swimming' } } }));
    else if (person.swimming === 'none' || person.swimming === 'weak') found.push(swimmer(person));
  }
  return found;
}

const swimmer = (person: Person) => finding({
  id: `crew/swimming/${person.id}`, level: 'mind', section: 'plan/boat', title: phrase('crew.swim.title', { person: person.name, how: phrase(person.swimming === 'none' ? 'crew.swims.none' : 'crew.swims.weak') }),
  because: [phrase('crew.swim.why')], source: 'practice',
});

function loadFindings({ trip, boat, people }: Context, figures: Figures): Finding[] {
  if (!boat || people.length === 0) return [];
  const sum = loadOf(boat, people, trip);
  const assumed = sum.guessed ? [phrase('load.guess', { what: phrase('load.guess.field') })] : [];
  const base = { section: 'pack/load' as const, assumed };
  const inputs = { people: { value: sum.people, quantity: 'mass' as const }, gear: { value: sum.gear, quantity: 'mass' as const } };
  figures.load = { value: sum.total, quantity: 'mass', inputs, formula: 'formula.load', source: 'your-word', ...(sum.guessed ? { guessed: true } : {}) };
  const found: Finding[] = personsFindings(context(trip.id, boat, sum), figures);
  if (sum.unknown.length > 0) {
    const who = people.find((p) => p.mass === undefined);
    found.push(finding({ ...base, id: `load/unknown/${trip.id}`, level: 'fix', title: phrase('load.unknown.title'), because: [phrase('load.unknown.why', { who: sum.unknown })], mend: { label: phrase('load.unknown.mend'), go: { type: 'person', ...(who ? { id: who.id } : {}), pointer: '/mass' } } }));
  }
  if (!sum.limit) {
    found.push(finding({ ...base, id: `load/limit/${boat.id}`, level: 'mind', title: phrase('load.limit.title'), because: [phrase('load.limit.why', { boat: boat.name, total: sum.total })], figures: ['load'], mend: { label: phrase('load.limit.mend'), go: { type: 'boat', id: boat.id, pointer: boat.plate === 'none' ? '/advisedLoad' : '/plate' } } }));
    return found;
  }
  const { mass: limit, from } = sum.limit;
  const share = sum.total / limit;
  figures.limit = { value: limit, quantity: 'mass', inputs: {}, formula: from === 'plate' ? 'formula.plate-total' : 'formula.advised', source: from === 'plate' ? 'plate' : 'your-word', ...(sum.limit.guessed ? { guessed: true } : {}) };
  figures.share = { value: share, quantity: 'percent', inputs: { load: { value: sum.total, quantity: 'mass' }, limit: { value: limit, quantity: 'mass' } }, formula: 'formula.share', source: from === 'plate' ? 'plate' : 'kayak-share', ...(sum.guessed ? { guessed: true } : {}) };
  const shown = ['load', 'limit', 'share'];
  const values = { total: sum.total, limit, people: sum.people, gear: sum.gear, over: sum.total - limit, share, most: PLANNED_SHARE };
  const lighten = { label: phrase('load.mend'), go: { type: 'trip' as const, id: trip.id, pointer: '/load' } };
  // A maker's own figure that was only guessed is our estimate, and an estimate alone never makes a Stop.
  if (share > 1) found.push(finding({ ...base, id: `load/over/${trip.id}`, level: sum.guessed ? 'fix' : 'stop', title: phrase('load.plate.over.title'), because: [phrase('load.over', values)], figures: shown, source: from === 'plate' ? 'plate' : 'kayak-share', mend: lighten }));
  else if (from === 'advised' && share > PLANNED_SHARE) found.push(finding({ ...base, id: `load/share/${trip.id}`, level: 'fix', title: phrase('load.share.over.title'), because: [phrase('load.share.over', values)], figures: shown, source: 'kayak-share', mend: lighten }));
  else if (sum.unknown.length === 0) found.push(finding({ ...base, id: `load/total/${trip.id}`, level: 'set', title: phrase('load.total.title'), because: [phrase('load.within', values)], figures: shown, source: from === 'plate' ? 'plate' : 'kayak-share' }));
  return found;
}

const context = (trip: string, boat: NonNullable<Context['boat']>, sum: ReturnType<typeof loadOf>) => ({ trip, boat, sum });

function personsFindings({ trip, boat, sum }: ReturnType<typeof context>, figures: Figures): Finding[] {
  if (sum.personsLimit) {
    const most = sum.personsLimit.count;
    const over = sum.persons > most;
    figures.personsMost = { value: most, quantity: 'count', inputs: {}, formula: 'formula.plate-total', source: 'plate' };
    return [finding({ id: `load/persons/${trip}`, level: over ? 'stop' : 'set', section: 'pack/load', title: phrase(over ? 'load.persons.over.title' : 'load.persons.title'), because: [phrase(over ? 'load.persons.plate' : 'load.persons.within', { n: sum.persons, most })], source: 'plate', figures: ['personsMost'] })];
  }
  const most = boat.length !== undefined && boat.beam !== undefined ? personsRule(boat.kind, boat.length, boat.beam) : undefined;
  if (most === undefined || boat.length === undefined || boat.beam === undefined) return [];
  figures.personsMost = { value: most, quantity: 'count', inputs: { length: { value: boat.length, quantity: 'length' }, beam: { value: boat.beam, quantity: 'length' } }, formula: 'formula.persons-rule', source: 'no-plate-rule' };
  if (sum.persons <= most) return [];
  return [finding({ id: `load/persons/${trip}`, level: 'fix', section: 'pack/load', title: phrase('load.persons.over.title'), because: [phrase('load.persons.rule', { n: sum.persons, most })], source: 'no-plate-rule', figures: ['personsMost'] })];
}

function forgottenFindings({ trip, shed, ticks }: Context): Finding[] {
  return forgottenBefore(shed.debriefs.filter((d) => d.trip !== trip.id)).map(({ what, on }) => {
    const held = ticks?.has(forgottenKey(what)) ?? false;
    return finding({
      id: `own/${forgottenKey(what)}/${trip.id}`, level: held ? 'set' : 'mind', section: 'pack/kit', title: phrase('forgot.title', { what }),
      because: [held ? phrase('forgot.set', { what }) : phrase('forgot.why', { on })], source: 'your-word',
      ...(held ? {} : { mend: { label: phrase('forgot.mend'), open: 'pack/ready' as const } }),
    });
  });
}
