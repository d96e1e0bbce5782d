import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { aBoat, anItem, aPerson, inputOf } from '../../test/demo';
import { beachAt, gapOf, happens, scene, type Scene } from '../../test/what-if';
import { runs } from '../../test/runs';
import { CRAFT, type Craft, type IncidentKind } from '../model/lists';
import type { AssessInput } from '../trip';
import { render } from '../say';
import {
  ask,
  bestChanges,
  changed,
  changesOf,
  gapsOf,
  glance,
  incidentsFor,
  inStrides,
  momentAt,
  partOf,
  passes,
  reckon,
  sayGap,
  standingOf,
  worstInFull,
  worstMoments,
  type Column,
} from '.';

// What holds of every gap, whatever the trip: laws rather than values.

const reader = { units: 'us', zone: 'UTC', locale: 'en-US' } as const;
const LEAST = 1e-6;

/** The cautious end of each gap of each incident that the trip can meet. */
function ends(input: AssessInput, after = 3600): Map<string, number> {
  const standing = standingOf(input);
  const { schedule } = standing.assessment;
  const moment = schedule && momentAt(standing, schedule.leave + after * 1000);
  if (!moment) return new Map();
  return new Map(
    incidentsFor(standing.context).flatMap(({ id }) =>
      gapsOf(reckon(standing, moment, { id })).map(
        ({ measure, gap }) => [`${id}/${measure.id}`, gap.high] as const,
      ),
    ),
  );
}
const notWorse = (before: Map<string, number>, after: Map<string, number>) => {
  for (const [id, high] of after) {
    const was = before.get(id);
    if (was !== undefined && high > was + LEAST) return `${id}: ${was} became ${high}`;
  }
  return undefined;
};

const KIT = [
  anItem('whistle', { stowage: 'on-body' }),
  anItem('horn'),
  anItem('phone', { stowage: 'on-body', charge: 1 } as never),
  anItem('beacon', { stowage: 'on-body', registered: true, expires: '2028-01-01' } as never),
  anItem('hand-light', { stowage: 'on-body', charge: 1 } as never),
  anItem('hand-flare', { expires: '2028-01-01' }),
  anItem('compass'),
  anItem('anchor', { mass: 6 } as never),
  anItem('boarding-ladder'),
  anItem('re-entry-strap'),
  anItem('spare-paddle'),
];
const crews: Scene[] = [
  {},
  { people: [aPerson(), aPerson()], crew: [{ wearsJacket: true }, {}] },
  {
    boat: aBoat({
      kind: 'sit-on-top',
      length: 3.8,
      beam: 0.8,
      mass: 32,
      propulsion: [{ kind: 'paddle', cruise: 1.4 }],
    }),
  },
];

test('one thing more, or nearer to the body, never worsens a gap', () =>
  fc.assert(
    fc.property(
      fc.constantFrom(...crews),
      fc.subarray(KIT),
      fc.constantFrom(...KIT),
      fc.integer({ min: 0, max: 20 }),
      (crew, has, more, cold) => {
        const gear = has.filter(({ id }) => id !== more.id);
        const before = ends(scene({ ...crew, gear, cold }));
        expect(notWorse(before, ends(scene({ ...crew, gear: [...gear, more], cold })))).toBeUndefined();
        const away = [...gear, { ...more, stowage: 'hatch' as const }];
        expect(
          notWorse(
            ends(scene({ ...crew, gear: away, cold })),
            ends(scene({ ...crew, gear: [...gear, { ...more, stowage: 'on-body' as const }], cold })),
          ),
        ).toBeUndefined();
      },
    ),
    { numRuns: runs(12) },
  ));

test('a jacket that is worn, warmer clothes and a cord never worsen one', () => {
  const before = ends(scene({ crew: [{}] }));
  for (const crew of [{ wearsJacket: true }, { clothing: 'dry-suit' as const }, { cord: true }])
    expect(notWorse(before, ends(scene({ crew: [crew] })))).toBeUndefined();
});

test('warmer water never shortens what one has; it never worsens a gap', () =>
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 27, noNaN: true }),
      fc.double({ min: 0, max: 6, noNaN: true }),
      (cold, more) => {
        const [before, after] = [ends(scene({ cold })), ends(scene({ cold: cold + more }))];
        expect(notWorse(before, after)).toBeUndefined();
      },
    ),
    { numRuns: runs(15) },
  ));

test('a nearer haven never lengthens the way to it', () =>
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 30 }), fc.integer({ min: 0, max: 30 }), (far, nearer) => {
      // North of where they are after an hour, in thousandths of a degree.
      const high = (thousandths: number) =>
        gapOf(scene({ places: [beachAt(0.05 + thousandths / 1000)] }), 'thunder', 'open')!.gap.high;
      expect(high(Math.max(0, far - nearer))).toBeLessThanOrEqual(high(far) + LEAST);
    }),
    { numRuns: runs(12) },
  ));

test('telling those ashore sooner never lengthens, later never shortens', () => {
  const known = (graceMinutes: number) =>
    happens(scene({ trip: { graceMinutes, alarmMinutes: 2 * graceMinutes } }), 'capsized').known;
  for (const [sooner, later] of [
    [15, 30],
    [30, 45],
    [45, 60],
  ]) {
    expect(known(sooner).high).toBeLessThanOrEqual(known(later).high);
    expect(known(sooner).low).toBeLessThanOrEqual(known(later).low);
  }
});

describe('a guess widens, and never narrows', () => {
  const guessed = (input: AssessInput, basis: Record<string, 'guessed'>): AssessInput => ({
    ...input,
    trip: { ...input.trip, basis },
  });
  test.each([
    ['jacket', scene({ cold: 8 }), { '/crew/0/wearsJacket': 'guessed' }, 'capsized'],
    [
      'clothes',
      scene({ cold: 8, crew: [{ clothing: 'dry-suit', wearsJacket: true }] }),
      { '/crew/0/clothing': 'guessed' },
      'capsized',
    ],
    ['speed', scene({ trip: { speed: 1.5 }, places: [beachAt(0.06)] }), { '/speed': 'guessed' }, 'thunder'],
  ] as [string, AssessInput, Record<string, 'guessed'>, IncidentKind][])(
    '%s',
    (_what, input, basis, incident) => {
      const [sure, guess] = [happens(input, incident), happens(guessed(input, basis), incident)];
      const [before, after] = [gapsOf(sure)[0], gapsOf(guess)[0]];
      expect(after.gap.high).toBeGreaterThanOrEqual(before.gap.high - LEAST);
      expect(after.gap.low).toBeLessThanOrEqual(before.gap.low + LEAST);
    },
  );
  test('a response time', () => {
    const help = { minutes: 40, source: 'Harbour', on: '2026-05-01' };
    const of = (basis?: Record<string, 'guessed'>) =>
      happens(scene({ water: { help, ...(basis ? { basis } : {}) } as never }), 'capsized');
    const [sure, guess] = [of().help!, of({ '/help/minutes': 'guessed' }).help!];
    expect([guess.low < sure.low, guess.high > sure.high]).toEqual([true, true]);
  });
  test('an opening', () => {
    const holed = (basis?: Record<string, 'guessed'>) =>
      happens(
        scene({
          boat: aBoat({
            length: 4.2,
            beam: 1.6,
            depth: 0.55,
            mass: 110,
            plate: 'none',
            flotation: 'none',
            propulsion: [{ kind: 'outboard', cruise: 5 }],
            openings: [{ name: 'Plug', kind: 'plug', diameter: 0.025 }],
            ...(basis ? { basis } : {}),
          } as never),
        }),
        'flooding',
      ).filling!.full;
    const [sure, guess] = [holed(), holed({ '/openings/0/diameter': 'guessed' })];
    expect(sure.low).toBe(sure.high);
    expect([guess.low < sure.low, guess.high > sure.high]).toEqual([true, true]);
  });
});

describe('the best change', () => {
  const input = scene({
    cold: 8,
    crew: [{}],
    gear: [
      anItem('beacon', { stowage: 'home', registered: true, expires: '2028-01-01' } as never),
      anItem('whistle', { stowage: 'hatch' }),
    ],
  });
  test('applied, yields the gap that it promised; each of them gains, the most first', () => {
    const standing = standingOf(input);
    const at = standing.assessment.schedule!.leave + 3_600_000;
    const moment = momentAt(standing, at)!;
    const steps = bestChanges({ standing, moment, incident: { id: 'capsized' } });
    let next = steps.next();
    while (!next.done) next = steps.next();
    expect(next.value.length).toBeGreaterThan(3);
    const before = gapsOf(reckon(standing, moment, { id: 'capsized' }))[0];
    let last: [grade: number, high: number] = [0, 0];
    for (const { change, then } of next.value) {
      const after = standingOf(changed(input, change));
      const there = passes(after, moment.here, partOf(standing, at)) ?? at;
      const [worst] = ask(after, { at: there, here: moment.here, incident: { id: 'capsized' } })!.gaps;
      if (then) expect([worst.measure.id, worst.gap]).toEqual([then.measure.id, then.gap]);
      else expect(worst.grade).toBe(0);
      const rank: typeof last = then ? [then.grade, then.gap.high] : [0, 0];
      expect(rank[0] > last[0] || (rank[0] === last[0] && rank[1] >= last[1] - LEAST)).toBe(true);
      expect(rank[0] < before.grade || rank[1] < before.gap.high || before.gap.high === Infinity).toBe(true);
      last = rank;
    }
    const kinds = new Set(next.value.map(({ change }) => change.kind));
    for (const kind of ['wear', 'take', 'check-in', 'sooner'] as const) expect(kinds).toContain(kind);
  });
  test('no child, and nobody of unknown age, is sent along in a boat of their own', () => {
    const mate = (born: string | undefined) => {
      const person = aPerson({ name: 'Mate', ...(born === undefined ? {} : { born }) });
      const { born: _, ...ageless } = person;
      const input = scene({ cold: 8 });
      const shed = {
        ...input.shed,
        boats: [...input.shed.boats, aBoat()],
        people: [...input.shed.people, born === undefined ? ageless : person],
      };
      const standing = standingOf({ ...input, shed });
      const moment = momentAt(standing, standing.assessment.schedule!.leave + 3_600_000)!;
      return changesOf(standing, moment).some(({ kind }) => kind === 'boat');
    };
    expect([mate('1990-01-01'), mate('2015-01-01'), mate(undefined)]).toEqual([true, false, false]);
  });
  test('nothing of it changes the trip that was asked', () => {
    const before = JSON.stringify(input.trip);
    const standing = standingOf(input);
    const moment = momentAt(standing, standing.assessment.schedule!.leave)!;
    for (const _ of bestChanges({ standing, moment, incident: { id: 'capsized' } }));
    expect(JSON.stringify(input.trip)).toBe(before);
  });
});

describe('the day at a glance', () => {
  test('every point once, the far ones first', () => {
    for (const count of [1, 2, 7, 200])
      expect([...inStrides(count)].sort((a, b) => a - b)).toEqual([...Array(count).keys()]);
    const [first, second] = inStrides(200);
    expect([first, second]).toEqual([0, 128]);
  });
  test('two hundred points, each with every incident; the worst, reckoned in full, are no better', () => {
    const standing = standingOf(inputOf(0));
    const columns: Column[] = [...glance(standing)].map(({ column }) => column);
    const rows = incidentsFor(standing.context).length;
    expect([columns.length, new Set(columns.map(({ cells }) => cells.length))]).toEqual([
      200,
      new Set([rows]),
    ]);
    const [fast, full] = [worstMoments(columns), worstInFull(standing, columns)];
    expect(full.map(({ incident }) => incident)).toEqual(fast.map(({ incident }) => incident));
    for (const [i, { high, grade }] of full.entries()) {
      expect(high).toBeGreaterThanOrEqual(fast[i].high);
      expect(grade).toBeGreaterThanOrEqual(fast[i].grade);
    }
    // The same twice.
    expect([...glance(standing)].map(({ column }) => column)).toEqual(columns);
  });
  test('without hours there is no day to look through', () => {
    expect([...glance(standingOf(scene({ trip: { halts: [] } })))]).toEqual([]);
  });
});

describe('every kind of boat', () => {
  test.each(Object.keys(CRAFT) as Craft[])(
    '%s: all is said, whatever is missing, and her finding and her timeline agree',
    (kind) => {
      const whole = aBoat({
        kind,
        length: 4,
        beam: 1.2,
        mass: 80,
        propulsion: [
          { kind: kind === 'catamaran' ? 'sail' : 'paddle', cruise: 1.5 },
          { kind: 'outboard', cruise: 4 },
        ],
        openings: [{ name: 'Plug', kind: 'plug', diameter: 0.02 }],
      } as never);
      const bare = aBoat({ kind, length: undefined, propulsion: [] } as never);
      const scenes: Scene[] = [
        { boat: whole },
        { boat: bare, trip: { speed: 2 } },
        { boat: whole, cold: null, trip: { contacts: [] } },
        { boat: whole, people: [aPerson({ mass: undefined }), aPerson()], crew: [{}, {}] },
      ];
      for (const each of scenes) {
        const input = scene(each);
        const standing = standingOf(input);
        const at = standing.assessment.schedule!.leave + 1_800_000;
        const swamped = standing.assessment.findings.find(({ id }) => id.startsWith('lie/swamped/'));
        for (const { id } of incidentsFor(standing.context)) {
          const answer = ask(standing, { at, incident: { id } })!;
          const all = answer.told
            .flatMap(({ says, why = [] }) => [...says, ...why])
            .map((phrase) => render(phrase, reader));
          expect(all.join(' ')).not.toMatch(/undefined|NaN|Infinity/);
          for (const gap of answer.gaps)
            expect(render(sayGap(gap), reader)).not.toMatch(/undefined|NaN|Infinity/);
          expect(new Set(answer.told.map((event) => event.id)).size).toBe(answer.told.length);
          const floats = answer.told.find((event) => event.id === 'floats');
          if (floats && swamped) expect(floats.says).toEqual(swamped.because);
        }
      }
    },
  );
});
