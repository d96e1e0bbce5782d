import type { Schedule } from '../model';
import type { StepFigures } from '../procedure';
import { OVER_FOOT, onRamp, runOut, type RampNeeds } from '../ramp';
import { guessed } from '../verdict';
import type { Context } from './context';

/**
 * What the steps of procedures name, as far as it is known and no guess: a step says in words what it has no number for.
 * Metres; `need` over the datum of the tide.
 */
export function stepFigures(
  { boat, launch, back, tide }: Context,
  needs: RampNeeds | undefined,
  schedule: Schedule | undefined,
): StepFigures {
  const at = boat && needs && onRamp(boat, launch, needs);
  const foot = back && !guessed(back, '/foot') ? back.foot : undefined;
  const slope = back && !guessed(back, '/slope') ? back.slope : undefined;
  const out = schedule && tide?.heightAt(schedule.leave);
  const home = schedule?.home === undefined ? undefined : tide?.heightAt(schedule.home);
  return {
    depth: needs?.known ? needs.depth.high : undefined,
    run: at?.known ? at.run.high : undefined,
    need: needs?.known && foot !== undefined ? foot + needs.depth.high + OVER_FOOT : undefined,
    back:
      slope === undefined || out === undefined || home === undefined
        ? undefined
        : Math.abs(runOut(home - out, slope)),
  };
}
