import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { aBoat, aPerson, inputOf, steady } from '../../test/demo';
import { Debrief, type Debrief as ADebrief, type Met } from '../model';
import { render } from '../say';
import { assess } from '../trip';
import { contextOf } from '../trip/context';
import { KNOT, NAUTICAL_MILE } from '../units';
import { asLearnt, lessonsOf } from '.';
import { bandOf, learntOf, meanOf, tripsIn } from './learnt';

const READER = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const [ada, ben] = [aPerson({ name: 'Ada' }), aPerson({ name: 'Ben' })];
const kayak = aBoat({ kind: 'sit-on-top', propulsion: [{ kind: 'paddle', cruise: 1.8 }] });
const skiff = aBoat({
  propulsion: [{ kind: 'outboard', cruise: 8, burn: 0.012 / 3600, log: [{ speed: 4, burn: 0.006 / 3600 }] }],
});
let n = 0;
const ID = (group: string) => `01890000-0000-7000-${group}-${String((n += 1)).padStart(12, '0')}`;
const debrief = (on: string, met: Met, more: Partial<ADebrief> = {}): ADebrief => ({
  id: ID('a000'),
  trip: ID('b000'),
  on,
  boat: kayak.id,
  who: [ada.id],
  forgotten: [],
  broken: [],
  met,
  ...more,
});
/** An hour at so many knots in so much wind. */
const hour = (knots: number, wind = 3, more: Met = {}): Met => ({
  metres: knots * NAUTICAL_MILE,
  moving: 3600,
  wind,
  ...more,
});
const three = ['2026-03-01', '2026-04-01', '2026-05-01'];
const speeds = (of: number[], wind?: number, more?: Partial<ADebrief>) =>
  of.map((knots, i) => debrief(three[i % 3], hour(knots, wind), more));
const learn = (debriefs: ADebrief[], boat = kayak, like = {}) =>
  lessonsOf(boat, debriefs, '2026-05-12', { people: [ada], wind: 3, ...like });

describe('what trips teach', () => {
  check(
    'closed form',
    { title: 'mean and standard deviation of a sample, by hand' },
    '2, 3 and 4: 3 ± 1',
    () => {
      const { speed } = learn(speeds([2, 3, 4]));
      expect(speed?.value).toBeCloseTo(3 * KNOT, 9);
      expect(speed?.spread).toBeCloseTo(1 * KNOT, 9);
      expect(speed?.from.map(({ on }) => on)).toEqual([...three].reverse());
    },
  );
  check('run here', { title: 'Welford’s running mean and variance' }, 'for any values', () =>
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.1, max: 30, noNaN: true }), { minLength: 2, maxLength: 30 }),
        (all) => {
          let [mean, squares] = [0, 0];
          all.forEach((value, i) => {
            const by = value - mean;
            mean += by / (i + 1);
            squares += by * (value - mean);
          });
          const found = meanOf(all.map((value) => ({ value, debrief: debrief('2026-01-01', {}) })));
          expect(found.value).toBeCloseTo(mean, 8);
          expect(found.spread).toBeCloseTo(Math.sqrt(squares / (all.length - 1)), 8);
        },
      ),
    ),
  );
  test('not two, not what was refused, guessed, too old, ahead, of another boat or of a few minutes', () => {
    expect(learn(speeds([2, 3])).speed).toBeUndefined();
    const two = speeds([2, 3]);
    const odd = (more: Partial<ADebrief>, met = hour(9)) => [...two, debrief('2026-04-20', met, more)];
    expect(learn(odd({})).speed?.from).toHaveLength(3);
    expect(learn(odd({ learn: false })).speed).toBeUndefined();
    expect(learn(odd({ basis: { '/met/metres': 'guessed' } })).speed).toBeUndefined();
    expect(learn(odd({ basis: { '/who': 'stated', '/boat': 'guessed' } })).speed).toBeUndefined();
    expect(learn(odd({ on: '2024-05-11' })).speed).toBeUndefined();
    expect(learn(odd({ on: '2024-05-12' })).speed?.from).toHaveLength(3);
    expect(learn(odd({ on: '2026-05-13' })).speed).toBeUndefined();
    expect(learn(odd({ boat: skiff.id })).speed).toBeUndefined();
    expect(learn(odd({}, { ...hour(9), moving: 599 })).speed).toBeUndefined();
    expect(learn(odd({}), { ...kayak, unlearnt: true })).toEqual({});
  });
  test('over a leap day a trip counts two years to the day', () => {
    const on = (day: string) => tripsIn([debrief('2026-02-28', hour(3))], kayak, day).length;
    expect([on('2028-02-28'), on('2028-02-29'), on('2028-03-01')]).toEqual([1, 1, 0]);
  });
  test('of arms only in light winds and by all who go: wind is reckoned apart there', () => {
    expect(bandOf(5.4)).toBe(0);
    expect(bandOf(5.5)).toBe(1);
    expect(learn(speeds([2, 3, 4], 6)).speed).toBeUndefined();
    // In a wind of the day that is more the light ones still teach.
    expect(learn(speeds([2, 3, 4]), kayak, { wind: 9 }).speed?.value).toBeCloseTo(3 * KNOT, 9);
    expect(learn(speeds([2, 3, 4]), kayak, { people: [ada, ben] }).speed).toBeUndefined();
    expect(
      learn(speeds([2, 3, 4], 3, { who: [ada.id, ben.id] }), kayak, { people: [ben] }).speed,
    ).toBeTruthy();
    expect(learn(speeds([2, 3, 4], undefined)).speed).toBeTruthy();
  });
  test('of a motor those of the same wind, of all where the wind is not known, and of the like load first', () => {
    const mine = { boat: skiff.id, who: [ben.id] };
    const all = [...speeds([16, 16, 16], 3, mine), ...speeds([10, 10, 10], 9, mine)];
    expect(learn(all, skiff).speed?.value).toBeCloseTo(16 * KNOT, 9);
    expect(learn(all, skiff, { wind: 9 }).speed?.value).toBeCloseTo(10 * KNOT, 9);
    expect(learn(all, skiff, { wind: undefined }).speed?.value).toBeCloseTo(13 * KNOT, 9);
    const laden = [14, 14, 14].map((knots, i) => debrief(three[i], hour(knots, 3, { load: 400 }), mine));
    expect(learn([...all, ...laden], skiff, { load: 330 }).speed).toMatchObject({ alike: true });
    expect(learn([...all, ...laden], skiff, { load: 330 }).speed?.value).toBeCloseTo(14 * KNOT, 9);
    expect(learn([...all, ...laden], skiff, { load: 200 }).speed?.from).toHaveLength(6);
  });
  test('what she burns is the fuel over the time under way: 12 litres in an hour and a half are 8 an hour', () => {
    const trips = three.map((on) =>
      debrief(on, { ...hour(16), moving: 5400 }, { boat: skiff.id, fuel: 0.012 }),
    );
    expect(learn(trips, skiff).burn?.value).toBeCloseTo(0.008 / 3600, 12);
    const electric = aBoat({ propulsion: [{ kind: 'electric', cruise: 2, battery: 3_600_000 }] });
    const drawn = three.map((on) => debrief(on, hour(4), { boat: electric.id, charge: 0.5 }));
    // Half of 1000 Wh in an hour.
    expect(learn(drawn, electric).draw?.value).toBeCloseTo(500, 9);
  });
});

describe('a boat as she was learnt', () => {
  const mine = { boat: skiff.id };
  test('goes by it, measured; what was said of another speed stays in her log', () => {
    const she = asLearnt(skiff, learn(speeds([14, 14, 14], 3, mine), skiff));
    expect(she.propulsion[0].cruise).toBeCloseTo(14 * KNOT, 9);
    expect(she.propulsion[0].burn).toBeUndefined();
    expect(she.propulsion[0].log).toEqual([
      { speed: 4, burn: 0.006 / 3600 },
      { speed: 8, burn: 0.012 / 3600 },
    ]);
    expect(she.basis).toMatchObject({ '/propulsion/0/cruise': 'measured' });
    expect(asLearnt(skiff, {})).toBe(skiff);
  });
  test('in a plan: the hours follow, the finding says from what, and refusing it brings back what was said', () => {
    const { trip, shed } = inputOf(0);
    const { speed: _day, ...undated } = trip;
    const debriefs = three.map((on) =>
      debrief(on, hour(2.4, 3), { boat: trip.boat, who: trip.crew.map((c) => c.person) }),
    );
    const input = { ...inputOf(0, { shed: { debriefs } }), trip: undated };
    expect(contextOf(input).speed).toEqual({ value: expect.closeTo(2.4 * KNOT, 9), guessed: false });
    const found = assess(input).findings.find(({ id }) => id.startsWith('learnt/speed'));
    expect(found?.because.map((line) => render(line, READER))).toEqual(
      expect.arrayContaining([
        'Over 3 trips she made 2.4 kn, give or take 0.0 kn.',
        'The trips are from 1 Mar 2026 to 1 May 2026.',
      ]),
    );
    const boats = shed.boats.map((boat) => (boat.id === trip.boat ? { ...boat, unlearnt: true } : boat));
    const refused = { ...inputOf(0, { shed: { debriefs, boats } }), trip: undated };
    expect(contextOf(refused).speed?.value).not.toBeCloseTo(2.4 * KNOT, 3);
    expect(assess(refused).findings.some(({ id }) => id.startsWith('learnt/'))).toBe(false);
    // A speed said for the day stands before it, and a trip does not teach itself.
    expect(contextOf({ ...input, trip: { ...undated, speed: 1 } }).speed?.value).toBe(1);
    const own = debriefs.map((d) => ({ ...d, trip: trip.id }));
    expect(contextOf({ ...inputOf(0, { shed: { debriefs: own } }), trip: undated }).lessons.size).toBe(0);
  });
  test('one spread slower: 2 h at 4 ± 1 are 2 h 40', () => {
    const lessons = [3, 4, 5].map((value) => ({ value, debrief: debrief('2026-01-01', {}) }));
    const { value, spread } = learntOf(lessons, skiff, { people: [] })!;
    expect(7200 * (value / (value - spread) - 1)).toBeCloseTo(2400, 6);
  });
  test('invented weather chooses no band of wind', () => {
    const input = inputOf(1, { forecast: { ...steady({ wind: 9 }), invented: true } });
    const trips = [...speeds([16, 16, 16], 3), ...speeds([10, 10, 10], 9)].map((d) => ({
      ...d,
      boat: input.trip.boat!,
    }));
    const { lessons } = contextOf({ ...input, shed: { ...input.shed, debriefs: trips } });
    expect(lessons.get(input.trip.boat!)?.speed?.from).toHaveLength(6);
  });
});

test('a debrief as it was kept before is one still', () =>
  expect(
    Debrief.safeParse({ id: ID('a000'), trip: ID('b000'), on: '2026-05-01', forgotten: ['Hat'], broken: [] })
      .success,
  ).toBe(true));
