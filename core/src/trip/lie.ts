import { afloat, bearing, emptyWeight, ENDURANCE, floaters, hullOf, loadOf, maximumDisplacement, placed, plateOf, swamped, waysHome, type Hull } from '../boat';
import type { Boat, Figure, Finding } from '../model';
import { phrase } from '../say';
import { densityOf } from '../water';
import { finding, type Context } from './context';
import { LEVEL_ENOUGH, WAYS_ENOUGH } from './limits';
import { FLOTATION, HULLS } from './shipped';

type Figures = Record<string, Figure>;

/** How she lies under today's load: freeboard, trim, heel; and whether she floats when she is full of water. Our own sums: never a Stop. */
export function lieFindings(context: Context, figures: Figures): Finding[] {
  const { trip, boat, people, water } = context;
  if (!boat || people.length === 0) return [];
  const hull = hullOf(boat, HULLS);
  const base = { section: 'pack/load' as const };
  if (!hull) return [finding({ ...base, id: `lie/measures/${boat.id}`, level: 'mind', title: phrase('lie.measures.title'), because: [phrase('lie.measures.why', { boat: boat.name })], mend: { label: phrase('lie.measures.mend'), go: { type: 'boat', id: boat.id, pointer: boat.length === undefined ? '/length' : '/beam' } } })];
  const density = densityOf(water);
  const spots = placed(trip, people, hull);
  const { outcome, free } = afloat(boat, hull, spots, density);
  const guesses = hull.guessed.length + (boat.mass === undefined || boat.basis?.['/mass'] === 'guessed' ? 1 : 0);
  const unweighed = people.filter((p) => p.mass === undefined).map((p) => p.name);
  const assumed = [...(guesses > 0 ? [phrase('lie.assumed', { n: guesses })] : []), ...(unweighed.length > 0 ? [phrase('lie.unweighed', { people: unweighed })] : [])];
  const move = { label: phrase('lie.mend'), open: 'pack/load' as const };
  if (outcome.state !== 'floats' || !free) return [finding({ ...base, id: `lie/upright/${trip.id}`, level: 'fix', title: phrase('lie.upright.title'), because: [phrase(outcome.state === 'sinks' ? 'lie.sinks' : outcome.state === 'on-end' ? 'lie.on-end' : 'lie.capsizes')], assumed, source: 'own-estimate', mend: move })];
  lieFigures(hull, outcome.at, free, figures);
  const { least, source } = hull.form.edge;
  const found: Finding[] = [];
  const values = { free: free.lowest, least };
  const shown = ['freeLow', 'freeBow', 'freeStern', 'trim', 'heel'];
  if (free.lowest < least) found.push(finding({ ...base, id: `lie/edge/${trip.id}`, level: free.lowest < least / 2 ? 'fix' : 'mind', title: phrase('lie.edge.title'), because: [phrase('lie.edge.low', values)], figures: shown, assumed, source, mend: move }));
  // What rests on a guess, or leaves somebody out, is no pass.
  else found.push(finding({ ...base, id: `lie/edge/${trip.id}`, level: assumed.length > 0 ? 'mind' : 'set', title: phrase('lie.edge.title'), because: [phrase('lie.edge.ok', values)], figures: shown, assumed, source, ...(assumed.length > 0 ? { mend: guesses > 0 ? { label: phrase('lie.measures.mend'), go: { type: 'boat', id: boat.id, pointer: hull.guessed[0] ?? '/mass' } } : { label: phrase('load.unknown.mend'), go: { type: 'person', id: people.find((p) => p.mass === undefined)!.id, pointer: '/mass' } } } : {}) }));
  for (const [name, value] of [['trim', outcome.at.trim], ['heel', outcome.at.heel]] as const) {
    if (Math.abs(value) <= LEVEL_ENOUGH[name]) continue;
    const way = name === 'trim' ? (value > 0 ? 'lie.trim.stern' : 'lie.trim.bow') : value > 0 ? 'lie.heel.port' : 'lie.heel.starboard';
    found.push(finding({ ...base, id: `lie/${name}/${trip.id}`, level: LEVEL_ENOUGH.level, title: phrase(`lie.${name}.title`), because: [phrase(way, { angle: Math.abs(value) })], figures: [name], assumed, source: LEVEL_ENOUGH.source, mend: move }));
  }
  return [...found, ...contradiction(boat, hull), ...swampedFindings(context, boat, hull, density)];
}

function lieFigures(hull: Hull, { trim, heel, gm }: { trim: number; heel: number; gm: number }, free: { lowest: number; bow: number; stern: number }, figures: Figures): void {
  const inputs = { length: { value: hull.length, quantity: 'length' as const }, beam: { value: hull.beam, quantity: 'length' as const }, depth: { value: hull.depth, quantity: 'length' as const } };
  const guessed = hull.guessed.length > 0 ? { guessed: true } : {};
  const figure = (value: number, quantity: Figure['quantity'], formula: string) => ({ value, quantity, inputs, formula, source: 'archimedes', ...guessed });
  figures.freeLow = figure(free.lowest, 'shortLength', 'formula.freeboard');
  figures.freeBow = figure(free.bow, 'shortLength', 'formula.freeboard');
  figures.freeStern = figure(free.stern, 'shortLength', 'formula.freeboard');
  figures.trim = figure(trim, 'angle', 'formula.balance');
  figures.heel = figure(heel, 'angle', 'formula.balance');
  figures.gm = figure(gm, 'shortLength', 'formula.gm');
}

/** A plate that allows more than her hull could float with says that a measure, or the plate as it was read, is wrong. */
function contradiction(boat: Boat, hull: Hull): Finding[] {
  const most = plateOf(boat)?.totalMass;
  const bears = maximumDisplacement(hull) - emptyWeight(boat, hull).mass;
  if (most === undefined || most <= bears) return [];
  return [finding({ id: `lie/contradiction/${boat.id}`, level: 'mind', section: 'pack/load', title: phrase('lie.contradiction.title'), because: [phrase('lie.contradiction.why', { most, bears: Math.max(0, bears) })], source: 'archimedes', mend: { label: phrase('lie.measures.mend'), go: { type: 'boat', id: boat.id, pointer: boat.depth === undefined ? '/depth' : '/length' } } })];
}

/** Floating parts that are known to be there, but not how big. */
const unsized = (boat: Boat) => (boat.flotation === 'foam' || boat.flotation === 'bulkheads' || (boat.flotation === 'air-bags' && boat.kind !== 'inflatable' && boat.kind !== 'raft')) && (boat.reserve ?? []).length === 0;

function swampedFindings({ trip, people }: Context, boat: Boat, hull: Hull, density: number): Finding[] {
  const base = { section: 'pack/load' as const };
  const things = placed({ crew: [], load: trip.load }, [], hull);
  const full = swamped(hull, floaters(boat, hull, FLOTATION), emptyWeight(boat, hull), things, people.flatMap((p) => p.mass ?? []), density, FLOTATION);
  const id = `lie/swamped/${boat.id}`, mend = { label: phrase('swamped.mend'), go: { type: 'boat' as const, id: boat.id, pointer: boat.flotation === undefined ? '/flotation' : '/reserve' } };
  const assumed = [phrase('swamped.assumed')];
  if (boat.flotation === undefined) return [finding({ ...base, id, level: 'mind', title: phrase('swamped.unknown.title'), because: [phrase('swamped.unknown.why')], source: 'practice', mend })];
  if (full.spare < 0 && unsized(boat)) return [finding({ ...base, id, level: 'mind', title: phrase('swamped.unsized.title'), because: [phrase('swamped.unsized.why', { litres: full.lacking })], assumed, source: 'archimedes', mend })];
  if (full.spare < 0) return [finding({ ...base, id, level: 'fix', title: phrase('swamped.sinks.title'), because: [phrase('swamped.sinks.why', { litres: full.lacking })], assumed, source: 'archimedes', mend })];
  const level = full.outcome.state === 'floats';
  const carries = full.carries >= people.length;
  return [finding({ ...base, id, level: level && carries ? 'set' : 'mind', title: phrase('swamped.title'), because: [phrase(level ? 'swamped.level' : 'swamped.not-level'), bearing(full, people.length)], assumed, source: 'archimedes', ...(level && carries ? {} : { mend }) })];
}

/** The tick of the last look that says every opening was felt shut. */
const FELT_SHUT = 'last:plug';

/** Every plug, bung and hatch has to be felt shut at the water; one that is only reached from underneath is louder: forgetting it means a swim. */
export function openingFindings({ trip, boat, ticks }: Context): Finding[] {
  if (!boat || boat.openings.length === 0) return [];
  const under = boat.openings.filter((o) => o.worked === 'underneath').map((o) => o.name);
  const shut = ticks?.has(FELT_SHUT) ?? false;
  return [finding({
    id: `openings/shut/${trip.id}`, level: shut ? 'set' : under.length > 0 ? 'fix' : 'mind', section: 'go/launch', title: phrase('openings.title'),
    because: [phrase(shut ? 'openings.shut' : 'openings.why', { names: boat.openings.map((o) => o.name) }), ...(under.length > 0 ? [phrase('openings.under', { names: under })] : [])], source: 'practice',
    ...(shut ? {} : { mend: { label: phrase('openings.mend'), open: 'pack/ready' as const } }),
  })];
}

/** Ways home, counted; a kind that nobody says can move her far enough is named. */
export function wayFindings({ trip, boat, people, route }: Context): Finding[] {
  if (!boat || boat.propulsion.length === 0) return [];
  const hull = hullOf(boat, HULLS);
  const ways = waysHome(boat, (hull ? emptyWeight(boat, hull).mass : (boat.mass ?? 0)) + loadOf(boat, people, trip).total);
  const base = { section: 'pack/load' as const, source: WAYS_ENOUGH.source };
  const mend = { label: phrase('ways.mend'), go: { type: 'boat' as const, id: boat.id, pointer: '/propulsion' } };
  const enough = ways.length >= WAYS_ENOUGH.value;
  const found = [finding({ ...base, id: `ways/count/${boat.id}`, level: enough ? 'set' : WAYS_ENOUGH.level, title: phrase('ways.title'), because: [phrase(enough ? 'ways.enough' : 'ways.one', { n: ways.length, first: phrase(`drive.${ways[0].kind}`) })], ...(enough ? {} : { mend }) })];
  const far = route?.metres;
  if (far === undefined) return found;
  const [first] = ways;
  // The whole way out and home has to lie within what the tank gives with its reserve kept, or arms do.
  if (first.range && first.range[1] < far) {
    const arms = first.range[0] < first.range[1];
    found.push(finding({ ...base, id: `ways/range/${trip.id}`, level: 'fix', title: phrase(arms ? 'ways.range.arms.title' : 'ways.range.title'), because: [phrase(arms ? 'ways.range.arms' : 'ways.range.why', { range: first.range[1], far, drive: phrase(`drive.${first.kind}`), ...(arms ? { hours: ENDURANCE.high } : {}) })], source: arms ? 'paddle-pace' : 'thirds', mend }));
  }
  return found;
}
