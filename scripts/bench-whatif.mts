// What it costs to ask what if: one incident at one moment, the whole day at two hundred points, and every change tried.
import { plannedMoment } from '../core/src/whatif/moment';
import { bestChanges, glance, incidentsFor, momentAt, standingOf, timelineOf } from '../core/src/whatif';
import { reckon } from '../core/src/whatif/reckon';
import type { AssessInput } from '../core/src/trip';

/** Named pieces of work for the bench, and how often each is done. */
export function whatIfWork(input: AssessInput): { name: string; n: number; work: () => unknown }[] {
  const standing = standingOf(input);
  const { leave, home = leave } = standing.assessment.schedule!;
  const rows = incidentsFor(standing.context);
  let n = 0;
  /** Another instant each time: nothing of a moment is reckoned before. */
  const at = () => leave + (((n += 1) % 97) / 97) * (home - leave);
  const middle = momentAt(standing, (leave + home) / 2)!;
  const through = (steps: Generator): unknown => {
    let last;
    for (const step of steps) last = step;
    return last;
  };
  return [
    {
      name: 'what if: one moment, one incident, with its words',
      n: 120,
      work: () =>
        timelineOf(standing, reckon(standing, plannedMoment(standing, at())!, rows[n % rows.length])),
    },
    {
      name: `what if: 200 points × ${String(rows.length)} incidents`,
      n: 5,
      work: () => through(glance(standing)),
    },
    {
      name: 'what if: every change tried at one moment',
      n: 5,
      work: () => through(bestChanges({ standing, moment: middle, incident: { id: 'capsized' } })),
    },
  ];
}
