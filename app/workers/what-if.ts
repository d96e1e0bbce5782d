import type { AssessInput } from '@escale/core/trip';
import { ask, momentAt, worstInFull } from '@escale/core/whatif/ask';
import { bestChanges } from '@escale/core/whatif/best';
import { glance, inWorse, type Column } from '@escale/core/whatif/glance';
import { replaySteps } from '@escale/core/whatif/replay';
import { standingOf, type Standing } from '@escale/core/whatif/standing';
import { SAYINGS } from '@escale/core/whatif/words';
import { CATALOGUE } from '@escale/core/kit';
import { packsOn } from '@escale/core/rules';
import type { GlanceJob, Working } from './jobs';

/** So many points of the day are told together. */
const AT_A_TIME = 10;

/** What a trip rests on is reckoned once and kept, until another one is asked of. */
let kept: { key: number; worse: boolean; now: number; standing: Standing } | undefined;

function standingFor({ key, input, worse }: GlanceJob): Standing {
  const { now } = input;
  if (kept?.key === key && kept.worse === worse && kept.now === now) return kept.standing;
  const water = input.shed.waters.find(({ id }) => id === input.trip.water);
  const whole: AssessInput = { ...input, packs: packsOn(water, input.shed), catalogue: CATALOGUE };
  kept = { key, worse, now, standing: standingOf(worse ? inWorse(whole) : whole) };
  return kept.standing;
}

/** What goes wrong: the day at a glance, one moment, and what would change it. */
export const WHAT_IF: {
  glance: Working<'glance'>;
  whatif: Working<'whatif'>;
  changes: Working<'changes'>;
  replay: Working<'replay'>;
} = {
  *glance(job) {
    if (job.stop) return;
    const standing = standingFor(job);
    const columns: Column[] = [];
    let at = { done: 0, of: 0 };
    let told = 0;
    for (const { column, ...progress } of glance(standing)) {
      columns.push(column);
      at = progress;
      // The first at once; then a few at a time, so that the page draws no more often than it has to.
      if (told > 0 && columns.length - told < AT_A_TIME) continue;
      yield { ...progress, part: { columns: columns.slice(told) } };
      told = columns.length;
    }
    yield {
      ...at,
      part: { columns: columns.slice(told), worst: worstInFull(standing, columns), sayings: SAYINGS },
    };
  },
  *whatif(job) {
    const answer = ask(standingFor(job), job);
    yield { done: 1, of: 1, part: { ...(answer ? { answer } : {}), sayings: SAYINGS } };
  },
  *changes(job) {
    const standing = standingFor(job);
    const moment = momentAt(standing, job.at, job.here);
    if (!moment) return;
    const steps = bestChanges({ standing, moment, incident: job.incident });
    let next = steps.next();
    let at = { done: 0, of: 0 };
    while (!next.done) {
      at = next.value;
      yield at;
      next = steps.next();
    }
    yield { ...at, part: { changes: next.value, sayings: SAYINGS } };
  },
  *replay({ miss, ...job }) {
    // Asked as it was before they left: what is past by now could still be changed then.
    const now = Math.min(job.input.now, Date.parse(miss.at));
    const steps = replaySteps(standingFor({ ...job, input: { ...job.input, now } }), miss);
    let next = steps.next();
    let at = { done: 0, of: 0 };
    while (!next.done) {
      at = next.value;
      yield at;
      next = steps.next();
    }
    yield { ...at, part: { ...(next.value ? { replay: next.value } : {}), sayings: SAYINGS } };
  },
};
