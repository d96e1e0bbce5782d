import { renderHook, waitFor } from '@testing-library/react';
import { afloat, hullOf, placed } from '@escale/core/boat';
import { inputOf } from '../../core/test/demo';
import { MS } from '@escale/core/units';
import { run, useJob } from './jobs';
import { run as runHere } from '../workers/run';
import type { Piece } from '../workers/jobs';
import type { Departure } from '@escale/core/trip';

const input = inputOf(0);
const leave = Date.UTC(2026, 4, 12, 6);
const job = { input, from: leave, until: leave + 3 * MS.hour, step: 20 * MS.minute };

describe('one worker, one protocol', () => {
  test('a job tells how far it is and gives its answer', async () => {
    const pieces: Piece<Departure[]>[] = [];
    expect(await run('sweep', job, (piece) => pieces.push(piece))).toBe(true);
    const last = pieces.at(-1)!;
    expect([last.done, last.of, last.part?.length]).toEqual([10, 10, 10]);
    expect(pieces.map((p) => p.done)).toEqual([...pieces.map((p) => p.done)].sort((a, b) => a - b));
    expect(last.part?.every((d) => d.count === 0 || d.reason !== undefined)).toBe(true);
  });
  test('a newer one takes the place of an older: the older stops and says that it did not finish', async () => {
    const long = { ...job, until: leave + 200 * MS.hour };
    const older = run('sweep', long, () => undefined);
    const newer = run('sweep', job, () => undefined);
    expect(await Promise.all([older, newer])).toEqual([false, true]);
  });
  test('jobs of other names go on beside it; a leak comes opening by opening', async () => {
    const boat = input.shed.boats.find((b) => b.id === input.trip.boat)!;
    const hull = hullOf(boat)!;
    const { weight } = afloat(boat, hull, placed(input.trip, input.shed.people, hull), 1025);
    const leaks = { boat, weight, density: 1025, relief: { pump: 0, bailers: 0 }, sea: 0.3 };
    const { result, rerender } = renderHook(({ of }) => useJob('leaks', of), { initialProps: { of: leaks } });
    await run('sweep', job, () => undefined);
    await waitFor(() => expect(result.current.parts).toHaveLength(boat.openings.length));
    expect(result.current.done).toBe(boat.openings.length);
    // Under another input nothing of the old one is shown.
    rerender({ of: { ...leaks, sea: 0 } });
    expect(result.current.parts).toEqual([]);
    await waitFor(() => expect(result.current.parts).toHaveLength(boat.openings.length));
  });
  test('a job that throws is told where its answer would stand', async () => {
    const silent = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const broken = { ...job, input: null as unknown as typeof job.input };
    const { result } = renderHook(() => useJob('sweep', broken));
    await waitFor(() => expect(result.current.failed).toBe(true));
    expect(silent).toHaveBeenCalledWith(expect.stringContaining('sweep'), expect.anything());
    silent.mockRestore();
  });
  test('an old generation that starts late does not take the place of a newer', async () => {
    expect(await runHere('sweep', job, 1_000_001, () => undefined)).toBe(true);
    expect(await runHere('sweep', { ...job, until: leave + 100 * MS.hour }, 1_000_000, () => undefined)).toBe(
      false,
    );
  });
});
