import { describe, expect, test } from '@jest/globals';
import { check } from '../../test/check';
import { inputOf } from '../../test/demo';
import { distance } from '../earth';
import { assess } from '../trip';
import { plannedPosition } from '.';
import { floodedSpeed, havenCard, stays } from './haven-card';

const HALF = 1_800_000;
const input = inputOf(0);
const { schedule } = assess(input);
const { trip, shed } = input;
const speeds = { usual: 1.54, tired: 0.98 };
const card = (tideAt: (at: number) => number | undefined = () => 3, places = shed.places) =>
  havenCard(schedule!, trip.launch!, places, speeds, { water: trip.water!, tideAt });

describe('the haven card', () => {
  test('has a row for each half hour from leaving until home, where the plan has one then', () => {
    const rows = card();
    expect(rows[0].at).toBe(schedule!.leave);
    rows.slice(1).forEach((row, i) => expect(row.at - rows[i].at).toBe(HALF));
    expect(schedule!.home! - rows.at(-1)!.at).toBeLessThan(HALF);
    for (const { at, position } of rows)
      expect(position).toEqual(plannedPosition(schedule!, trip.launch!, shed.places, at));
  });
  check(
    'run here',
    { title: 'geographiclib, place by place' },
    'its landing is the nearest of those one can land at',
    () => {
      const lands = shed.places.filter(({ name }) => ['Gannow ramp', 'Tern Holm'].includes(name));
      for (const { position, usual } of card()) {
        const [nearest] = lands
          .map((place) => ({ place, ...distance(position, place.position) }))
          .sort((a, b) => a.metres - b.metres);
        expect(usual!.place.id).toBe(nearest.place.id);
        expect(usual!.metres).toBeCloseTo(nearest.metres, 6);
      }
    },
  );
  check('closed form', { title: 't = s/v' }, 'the slower, the longer, by their speeds', () => {
    for (const { usual, tired, flooded } of card()) {
      expect(usual!.seconds! * speeds.usual).toBeCloseTo(tired!.seconds! * speeds.tired, 6);
      expect(flooded!.seconds!).toBeGreaterThanOrEqual(tired!.seconds!);
    }
  });
  test('a ramp that has run dry when one gets there is none: who is slower has another', () => {
    const dry = schedule!.leave + 60 * 60_000;
    const rows = card((at) => (at < dry ? 3 : 0));
    const early = rows[1];
    expect([early.usual?.place.name, early.flooded?.place.name]).toEqual(['Gannow ramp', 'Tern Holm']);
  });
  test('flooded she is never faster than tired; without a tired speed none is told; without a landing none', () => {
    expect(floodedSpeed({ usual: 10, tired: 2 })).toBe(2);
    expect(floodedSpeed({ usual: 3 })).toBeCloseTo(0.99, 9);
    expect(havenCard(schedule!, trip.launch!, shed.places, { usual: 1.5 }, {})[0]).not.toHaveProperty(
      'tired',
    );
    const bare = card(
      undefined,
      shed.places.map((p) => (p.kind === 'haven' ? { ...p, shore: 'cliff' as const } : { ...p, works: 9 })),
    );
    expect(bare.every(({ usual }) => usual === undefined)).toBe(true);
  });
  test('half hours at one landing are one stay until its last; the way between stands row by row', () => {
    const rows = card();
    const at = (name: string) => shed.places.find((place) => place.name === name)!;
    const there = (hour: number, name: string, metres = 0) => ({
      ...rows[0],
      at: hour,
      usual: { ...rows[0].usual!, place: at(name), metres },
    });
    const [a, b] = ['Gannow ramp', 'Tern Holm'];
    const told = stays([
      there(1, a),
      there(2, a),
      there(3, a, 900),
      there(4, a, 800),
      there(5, b),
      there(6, b),
    ]);
    expect(told.map((row) => [row.at, row.until])).toEqual([
      [1, 2],
      [3, 3],
      [4, 4],
      [5, 6],
    ]);
    const { usual: _, ...bare } = rows[0];
    expect(stays([bare, bare])).toHaveLength(2);
    expect(stays([])).toEqual([]);
  });
});
