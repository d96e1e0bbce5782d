import { describe, expect, test } from '@jest/globals';
import { aPerson, inputOf, steady } from '../../test/demo';
import type { Boat, Finding } from '../model';
import { CRAFT, type Craft } from '../model/lists';
import { render } from '../say';
import { assess } from '../trip';
import { hullOf } from './hull';
import { startBoat, STARTING_POINTS } from './start';
import { stood } from './stand';
import { afloat, placed } from './stow';

const ID = '01900000-0000-7000-8000-00000000b001';
const RAD = Math.PI / 180;
const boatOf = (kind: Craft): Boat => {
  const { basis: _guesses, ...boat } = startBoat(
    STARTING_POINTS.find((s) => s.kind === kind)!,
    ID,
    'Heron',
  );
  return boat;
};

/** One person of 80 kg and 1.80 m alone in a boat of a kind. */
function alone(kind: Craft, more: Partial<Boat> = {}, tall: number | 'unsaid' = 1.8) {
  const boat = { ...boatOf(kind), ...more };
  const hull = hullOf(boat)!;
  const { height: _unsaid, ...body } = aPerson({ mass: 80 });
  const person = { ...body, ...(tall === 'unsaid' ? {} : { height: tall }) };
  const { trip } = inputOf();
  const spots = placed({ ...trip, crew: [{ person: person.id, role: 'skipper' }], load: [] }, [person], hull);
  const feet = new Map([['crew/0', { person, placed: false }]]);
  return { boat, hull, spots, found: stood(boat, hull, spots, feet, 'crew/0', 1025) };
}

describe('on one’s feet', () => {
  test.each(Object.keys(CRAFT) as Craft[])(
    '%s: heels more than seated with the same sway, in band and order',
    (kind) => {
      const { boat, hull, spots, found } = alone(kind);
      const seated = afloat(
        boat,
        hull,
        spots.map((s) => ({ ...s, y: hull.form.hulls ? s.y + (s.y < 0 ? -0.1 : 0.1) : 0.1 })),
        1025,
      ).outcome;
      if (found.over === 'over') return;
      expect(found.heel!.low).toBeLessThanOrEqual(found.heel!.high);
      expect(found.free!.low).toBeLessThanOrEqual(found.free!.high);
      if (seated.state === 'floats' && found.over === 'no')
        expect(found.heel!.high).toBeGreaterThan(Math.abs(seated.at.heel));
    },
  );
  // Small angles by hand: tan(heel) = w·y / (W·GM), with GM of the boat as she floats with who stands upright in the middle.
  test.each(['skiff', 'trailer-boat', 'raft', 'inflatable'] as Craft[])(
    '%s: the heel by the metacentre, within a fifth',
    (kind) => {
      const { boat, hull, spots, found } = alone(kind);
      const z = hull.depth * hull.form.stand + 1.8 * 0.56;
      const up = spots.map((s) => ({ ...s, z, y: 0, x: s.x }));
      const { outcome, weight } = afloat(boat, hull, up, 1025);
      if (outcome.state !== 'floats') throw new Error('she goes over');
      const aside = 0.1;
      const byHand = Math.atan((80 * aside) / (weight.mass * outcome.at.gm));
      expect(byHand).toBeGreaterThan(found.heel!.low * 0.8);
      expect(byHand).toBeLessThan(found.heel!.high * 1.2);
    },
  );
  test('what everybody knows: one stands in a flat wide skiff, and not in a sea kayak', () => {
    expect(alone('skiff').found.over).toBe('no');
    expect(alone('sit-inside').found.over).toBe('over');
  });
  test('the narrower, the taller and the heavier the swing, the more she heels', () => {
    const high = (beam: number, tall = 1.8) => alone('skiff', { beam }, tall).found.heel!.high;
    expect(high(1.3)).toBeGreaterThan(high(1.7));
    expect(high(1.5, 1.95)).toBeGreaterThan(high(1.5, 1.55));
  });
  test('who else is aboard lists her already: the worse of both sides counts', () => {
    const { boat, hull, spots } = alone('skiff');
    const other = { ...spots[0], id: 'crew/1', y: -0.15, mass: 60 };
    const feet = new Map([['crew/0', { person: { height: 1.8 }, placed: false }]]);
    const two = stood(boat, hull, [...spots, other], feet, 'crew/0', 1025);
    const still = afloat(boat, hull, [...spots, other], 1025).outcome;
    if (still.state !== 'floats') throw new Error('she goes over');
    expect(two.heel!.low).toBeGreaterThan(Math.abs(still.at.heel));
  });
  test('a height that nobody said widens the band, and is said', () => {
    const [known, taken] = [alone('skiff', {}, 1.75).found, alone('skiff', {}, 'unsaid').found];
    expect(taken.tallTaken).toBe(true);
    expect(taken.heel!.high - taken.heel!.low).toBeGreaterThan(known.heel!.high - known.heel!.low);
  });
});

describe('what a trip is told of who stands', () => {
  const input = inputOf(1);
  const skipper = input.trip.crew[0].person;
  const world = ({
    wave = 0.1,
    water = 20,
    level = 'sure',
    tall = 1.8 as number | 'unsaid',
    stands = true,
    measured = true,
    hours = {} as { waves?: undefined; water?: undefined },
  } = {}) => ({
    ...input,
    conditions: { forecast: steady({ waves: wave, water, wind: 2, gust: 3, ...hours }) },
    trip: {
      ...input.trip,
      crew: input.trip.crew.map((c) => ({ ...c, stands: c.person === skipper && stands })),
    },
    shed: {
      ...input.shed,
      boats: input.shed.boats.map((b) =>
        measured ? { ...b, basis: {} } : { ...b, basis: { '/beam': 'guessed' as const } },
      ),
      people: input.shed.people.map((p) => ({
        ...p,
        mass: p.mass ?? 70,
        basis: {},
        height: tall === 'unsaid' ? undefined : tall,
        skills: [{ craft: 'trailer-boat' as const, level: level as 'sure' }],
      })),
    },
  });
  const of = (found: Finding[]) => found.filter((f) => f.id.startsWith('stand/'));
  const one = (more: Parameters<typeof world>[0] = {}) => of(assess(world(more) as typeof input).findings)[0];
  const words = (f: Finding) =>
    f.because.map((p) => render(p, { units: 'metric', zone: 'UTC', locale: 'en-GB' })).join(' ');
  test('measured, sure of her, small waves, mild water: Ready with heel and edge as bands', () => {
    expect(one().level).toBe('ready');
    expect(words(one())).toMatch(/heels her by [\d.]+° to [\d.]+° and leaves \d+ cm to \d+ cm/);
  });
  test('waves over thirty centimetres, new to the craft: each alone is a Fix that says why', () => {
    expect([one({ wave: 0.3 }).level, one({ wave: 0.31 }).level]).toEqual(['ready', 'fix']);
    expect(one({ level: 'new' }).level).toBe('fix');
    expect(words(one({ level: 'new' }))).toContain('New to this craft');
  });
  test('water under fifteen degrees: told where hardly anything tips her, a Fix where she heels', () => {
    expect([one({ water: 15 }).level, one({ water: 14.9 }).level]).toEqual(['ready', 'know']);
    expect(words(one({ water: 14.9 }))).toContain('14.9 °C');
    const tender = world({ water: 14.9 });
    const boats = tender.shed.boats.map((b) => ({ ...b, beam: 1.2 }));
    const [narrow] = of(assess({ ...tender, shed: { ...tender.shed, boats } } as typeof input).findings);
    expect([narrow.level, words(narrow)]).toEqual(['fix', expect.stringContaining('14.9 °C')]);
  });
  test('a guess, or anything not known, is open', () => {
    for (const more of [
      { measured: false },
      { hours: { waves: undefined } },
      { hours: { water: undefined } },
      { tall: 'unsaid' as const },
    ])
      expect(one(more)).toMatchObject({ level: 'know', open: true });
  });
  test('one tap makes them sit; nobody stands: nothing is said; not said where people fish or drive: asked', () => {
    const mend = one({ wave: 1 }).mend!;
    expect('do' in mend && mend.do.patch).toEqual([{ op: 'set', pointer: '/crew/0/stands', value: false }]);
    expect(of(assess(world({ stands: false }) as typeof input).findings)).toEqual([]);
    expect(of(assess(input).findings).map((f) => [f.id.split('/')[1], f.level])).toEqual([
      ['unsaid', 'know'],
    ]);
  });
  test('that one of four sits says nothing of the others: they are named; asked without a route too', () => {
    const crew = input.trip.crew.map((c, i) => (i === 0 ? { ...c, stands: false } : c));
    const asked = (halts: typeof input.trip.halts) =>
      of(assess({ ...input, trip: { ...input.trip, crew, halts } }).findings);
    for (const halts of [input.trip.halts, []]) {
      expect(asked(halts).map((f) => [f.level, f.open])).toEqual([['know', true]]);
      expect(words(asked(halts)[0])).toContain('Bram Tolley');
      expect(words(asked(halts)[0])).not.toContain('Rowan Pike');
    }
  });
  test('a heel over ten degrees is a Fix', () => {
    const tender = alone('sit-on-top');
    if (tender.found.over === 'no') expect(tender.found.heel!.high / RAD).toBeGreaterThan(10);
    else expect(tender.found.over).not.toBe('no');
  });
});
