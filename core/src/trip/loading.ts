import { capacityEstimate, drives, hullOf, loadOf, personsRule, PLANNED_SHARE, plateOf, plated, powering, type LoadSum } from '../boat';
import type { Boat, Figure, Finding } from '../model';
import { phrase } from '../say';
import { finding, type Context } from './context';
import { TONGUE } from './limits';
import { HULLS, POWERING } from './shipped';

type Figures = Record<string, Figure>;

/** People and kit against plate, maker's figure or rule; power; the trailer. */
export function loadFindings({ trip, boat, people }: Context, figures: Figures): Finding[] {
  if (!boat || people.length === 0) return [];
  const sum = loadOf(boat, people, trip);
  const assumed = sum.guessed ? [phrase('load.guess', { what: phrase('load.guess.field') })] : [];
  const base = { section: 'pack/load' as const, assumed };
  const inputs = { people: { value: sum.people, quantity: 'mass' as const }, gear: { value: sum.gear, quantity: 'mass' as const } };
  figures.load = { value: sum.total, quantity: 'mass', inputs, formula: 'formula.load', source: 'your-word', ...(sum.guessed ? { guessed: true } : {}) };
  const found: Finding[] = [...personsFindings(trip.id, boat, sum, figures), ...plateFindings(trip.id, boat, sum), ...trailerFindings(boat, sum)];
  if (sum.unknown.length > 0) {
    const who = people.find((p) => p.mass === undefined);
    found.push(finding({ ...base, id: `load/unknown/${trip.id}`, level: 'fix', title: phrase('load.unknown.title'), because: [phrase('load.unknown.why', { who: sum.unknown })], mend: { label: phrase('load.unknown.mend'), go: { type: 'person', ...(who ? { id: who.id } : {}), pointer: '/mass' } } }));
  }
  if (!sum.limit) {
    const hull = hullOf(boat, HULLS);
    const estimate = hull && capacityEstimate(boat, hull);
    if (estimate) figures.estimate = { value: estimate.mass, quantity: 'mass', inputs: {}, formula: 'formula.capacity', source: 'cfr-33-183', guessed: true };
    const over = estimate !== undefined && sum.total > estimate.mass;
    found.push(finding({ ...base, id: `load/limit/${boat.id}`, level: over ? 'fix' : 'mind', title: phrase('load.limit.title'), because: [phrase('load.limit.why', { boat: boat.name, total: sum.total }), ...(estimate ? [phrase('load.limit.estimate', { most: estimate.mass, n: estimate.persons })] : [])], figures: estimate ? ['load', 'estimate'] : ['load'], mend: { label: phrase('load.limit.mend'), go: { type: 'boat', id: boat.id, pointer: boat.plate === 'none' ? '/advisedLoad' : '/plate' } } }));
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
  if (share > 1) found.push(finding({ ...base, id: `load/over/${trip.id}`, level: sum.guessed ? 'fix' : 'stop', title: phrase(`load.${from}.over.title`), because: [phrase('load.over', values)], figures: shown, source: from === 'plate' ? 'plate' : 'kayak-share', mend: lighten }));
  else if (from === 'advised' && share > PLANNED_SHARE) found.push(finding({ ...base, id: `load/share/${trip.id}`, level: 'fix', title: phrase('load.share.over.title'), because: [phrase('load.share.over', values)], figures: shown, source: 'kayak-share', mend: lighten }));
  else if (sum.unknown.length === 0) found.push(finding({ ...base, id: `load/total/${trip.id}`, level: 'set', title: phrase('load.total.title'), because: [phrase('load.within', values)], figures: shown, source: from === 'plate' ? 'plate' : 'kayak-share' }));
  return found;
}

function personsFindings(trip: string, boat: Boat, sum: LoadSum, figures: Figures): Finding[] {
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

/** Weight of people and power against the plate; where there is none, power against the federal table. */
function plateFindings(trip: string, boat: Boat, sum: LoadSum): Finding[] {
  const found: Finding[] = [];
  const base = { section: 'pack/load' as const };
  if (sum.personsMass !== undefined && sum.people > sum.personsMass) found.push(finding({ ...base, id: `load/people/${trip}`, level: 'stop', title: phrase('load.people.title'), because: [phrase('load.people.why', { people: sum.people, most: sum.personsMass })], source: 'plate', mend: { label: phrase('crew.none.mend'), go: { type: 'trip', id: trip, pointer: '/crew' } } }));
  const { power } = drives(boat);
  if (!power) return found;
  const mend = { label: phrase('load.power.mend'), go: { type: 'boat' as const, id: boat.id, pointer: '/propulsion' } };
  const most = plateOf(boat)?.power;
  if (most !== undefined) return power > most ? [...found, finding({ ...base, id: `load/power/${trip}`, level: 'stop', title: phrase('load.power.title'), because: [phrase('load.power.plate', { power, most })], source: 'plate', mend })] : found;
  const width = boat.transomWidth ?? boat.beam;
  if (plateOf(boat) || plated(boat) !== true || boat.length === undefined || width === undefined || !boat.propulsion.some((p) => p.kind === 'outboard')) return found;
  const rule = powering({ length: boat.length, width, flat: boat.bottom === 'flat', remote: boat.controls?.steering === 'wheel', transom: boat.transom ?? 0 }, POWERING);
  return power > rule ? [...found, finding({ ...base, id: `load/power/${trip}`, level: 'fix', title: phrase('load.power.title'), because: [phrase('load.power.rule', { power, most: rule })], source: 'cfr-33-183', mend })] : found;
}

/** On the road: trailer, boat, motor and what rides in her, against the plates; the weight on the hitch. */
function trailerFindings(boat: Boat, sum: LoadSum): Finding[] {
  const { trailer } = boat;
  if (trailer?.mass === undefined || boat.mass === undefined) return [];
  const mass = trailer.mass + boat.mass + sum.gear;
  const base = { section: 'pack/load' as const };
  const at = (pointer: string) => ({ label: phrase('trailer.mend'), go: { type: 'boat' as const, id: boat.id, pointer } });
  const found: Finding[] = [];
  for (const [key, most] of [['most', trailer.most], ['car', trailer.car]] as const)
    if (most !== undefined && mass > most) found.push(finding({ ...base, id: `trailer/${key}/${boat.id}`, level: 'stop', title: phrase('trailer.over.title'), because: [phrase(key === 'most' ? 'trailer.over.plate' : 'trailer.over.car', { mass, most })], source: 'plate', mend: at('/trailer') }));
  if (trailer.tongue === undefined) return found;
  const share = trailer.tongue / mass;
  const fits = share >= TONGUE.low && share <= TONGUE.high;
  return [...found, finding({ ...base, id: `trailer/tongue/${boat.id}`, level: fits ? 'set' : TONGUE.level, title: phrase('trailer.tongue.title'), because: [phrase(share < TONGUE.low ? 'trailer.tongue.light' : share > TONGUE.high ? 'trailer.tongue.heavy' : 'trailer.tongue.ok', { share, low: TONGUE.low, high: TONGUE.high })], source: TONGUE.source, ...(fits ? {} : { mend: at('/trailer') }) })];
}
