import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../../test/runs';
import { inputOf } from '../../test/demo';
import { applyPatch } from '../formats';
import { THINGS, type Assessment, type Finding, type Trip } from '../model';
import { render } from '../say';
import { sourceOf } from '../sources';
import { assess, type AssessInput } from '.';

const find = (a: Assessment, prefix: string): Finding | undefined =>
  a.findings.find((f) => f.id.startsWith(prefix));
const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;

describe('properties', () => {
  type Doc = Record<string, unknown>;
  const KEEP = new Set([
    'id',
    'name',
    'kind',
    'count',
    'stowage',
    'state',
    'propulsion',
    'openings',
    'position',
    'class',
    'zone',
    'jurisdiction',
    'title',
    'crew',
    'halts',
    'leave',
    'load',
    'limits',
    'contacts',
    'graceMinutes',
    'stow',
    'status',
    'on',
    'fittedTo',
    'owner',
    'homeBy',
    'basis',
  ]);
  /** Every optional fact of the demo's things and of a trip, as a place from which it can be taken away. */
  const facts = (input: AssessInput) =>
    [
      ...input.shed.boats,
      ...input.shed.people,
      ...input.shed.gear,
      ...input.shed.places,
      ...input.shed.waters,
      input.trip,
    ].flatMap((doc) =>
      Object.keys(doc)
        .filter((key) => !KEEP.has(key))
        .map((key) => ({ id: doc.id, key })),
    );
  const without = (input: AssessInput, gone: { id: string; key: string }[]): AssessInput => {
    const strip = <D extends { id: string }>(doc: D): D => {
      const copy: Doc = { ...doc };
      for (const g of gone) if (g.id === doc.id) delete copy[g.key];
      return copy as D;
    };
    const { boats, people, gear, places, waters } = input.shed;
    return {
      ...input,
      trip: strip(input.trip),
      shed: {
        ...input.shed,
        boats: boats.map(strip),
        people: people.map(strip),
        gear: gear.map(strip),
        places: places.map(strip),
        waters: waters.map(strip),
      },
    };
  };
  const ticks = new Map<string, number>();

  test('with any facts taken away nothing throws and every sentence is whole; what is not met is never Ready', () => {
    for (const n of [0, 1, 2]) {
      const input = { ...inputOf(n), ticks };
      const all = facts(input);
      fc.assert(
        fc.property(fc.subarray(all, { maxLength: 12 }), (gone) => {
          const less = assess(without(input, gone));
          for (const f of less.findings) {
            expect([f.title, ...f.because, ...f.assumed].map((p) => render(p, reader)).join(' ')).not.toMatch(
              /undefined|NaN|null/,
            );
          }
          for (const r of less.requirements)
            if (r.applies !== 'no' && r.met !== 'yes')
              expect(find(less, `kit/${r.rule}/`)?.level).not.toBe('ready');
        }),
        { numRuns: runs(120) },
      );
    }
  });
  test('assess never throws on a valid model: any departure, any speed, any mix of crew and halts', () => {
    const base = inputOf();
    const ids = {
      people: base.shed.people.map((p) => p.id),
      places: base.shed.places.map((p) => p.id),
      boats: base.shed.boats.map((b) => b.id),
    };
    const trip = fc.record({
      date: fc
        .integer({ min: 0, max: 4000 })
        .map((d) => new Date(Date.UTC(2020, 0, 1) + d * 86_400_000).toISOString().slice(0, 10)),
      time: fc
        .tuple(fc.integer({ min: 0, max: 23 }), fc.integer({ min: 0, max: 59 }))
        .map(([h, m]) => `${String(h).padStart(2, '0')}:${String(m).padStart(2, '0')}`),
      boat: fc.constantFrom(...ids.boats),
      crew: fc.uniqueArray(fc.constantFrom(...ids.people), { maxLength: 4 }),
      halts: fc.array(fc.constantFrom(...ids.places), { maxLength: 4 }),
      speed: fc.double({ min: 0.1, max: 40, noNaN: true }),
      minutes: fc.integer({ min: 0, max: 2880 }),
      grace: fc.integer({ min: 15, max: 1440 }),
      check: fc.integer({ min: 0, max: 1440 }),
    });
    fc.assert(
      fc.property(trip, (t) => {
        const made: Trip = {
          ...base.trip,
          boat: t.boat,
          crew: t.crew.map((person) => ({ person, role: 'crew' })),
          halts: t.halts.map((place) => ({ place, minutes: t.minutes })),
          speed: t.speed,
          leave: { date: t.date, time: t.time },
          graceMinutes: t.grace,
          checkInMinutes: t.check,
        };
        expect(THINGS.trip.safeParse(made).success).toBe(true);
        const a = assess({ ...base, trip: made });
        for (const f of a.findings) for (const p of [f.title, ...f.because]) render(p, reader);
        for (const figure of Object.values(a.figures)) expect(Number.isFinite(figure.value)).toBe(true);
      }),
      { numRuns: runs(120) },
    );
  });
  test('every finding leans on figures that are there and sources that are known; ids are never twice', () => {
    for (const n of [0, 1, 2]) {
      const a = assess(inputOf(n));
      expect(new Set(a.findings.map((f) => f.id)).size).toBe(a.findings.length);
      for (const f of a.findings) {
        for (const name of f.figures) expect(Object.keys(a.figures)).toContain(name);
        if (f.source) expect(sourceOf(f.source.id)).toBeDefined();
      }
      for (const figure of Object.values(a.figures)) expect(sourceOf(figure.source)).toBeDefined();
    }
  });
  test('every mend that is done on the spot leaves a valid thing', () => {
    let n = 0;
    for (const trip of [0, 1, 2]) {
      const input = inputOf(trip);
      for (const mend of assess(input).findings.flatMap((f) => [f.mend, ...(f.others ?? [])])) {
        if (!mend || !('do' in mend)) continue;
        const { type, id, patch } = mend.do;
        const doc = type === 'trip' ? input.trip : input.shed.gear.find((g) => g.id === id)!;
        expect(THINGS[type].safeParse(applyPatch(doc, patch)).success).toBe(true);
        n += 1;
      }
    }
    expect(n).toBeGreaterThan(4);
  });
});
