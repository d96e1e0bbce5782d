import { HANDS } from '../body';
import { stepLengths } from '../hold/step-lengths';
import type { Schedule } from '../model';
import type { StepFigures } from '../procedure';
import { OVER_FOOT, onRamp, runOut, type RampNeeds } from '../ramp';
import { guessed } from '../verdict';
import { worstWithin } from '../water';
import type { Context } from './context';
import { holdOf } from './on-hold';

/**
 * What the steps of procedures name, as far as it is known and no guess: a step says in words what it has no number for.
 * Metres; `need` where she goes in and `needBack` where she comes out, over the datum of the tide.
 */
export function stepFigures(
  context: Context,
  needs: RampNeeds | undefined,
  schedule: Schedule | undefined,
): StepFigures {
  const { boat, launch, back, tide, forecast } = context;
  const at = boat && needs && onRamp(boat, launch, needs);
  const needAt = (place: typeof launch) =>
    needs?.known && place?.foot !== undefined && !guessed(place, '/foot')
      ? place.foot + needs.depth.high + OVER_FOOT
      : undefined;
  // Where the edge of the water will be is told of the place one stands at, if one comes back to it.
  const slope = back && back.id === launch?.id && !guessed(back, '/slope') ? back.slope : undefined;
  const out = schedule && tide?.heightAt(schedule.leave);
  const home = schedule?.home === undefined ? undefined : tide?.heightAt(schedule.home);
  const water =
    forecast &&
    schedule &&
    worstWithin(forecast, schedule.leave, schedule.home ?? schedule.leave)?.coldest?.water;
  const { rode, swing } = stepLengths(holdOf(context), schedule);
  return {
    rode,
    swing,
    // Stated for cold water and for no other: in warmer water the steps say so in words.
    hands: water !== undefined && water <= HANDS.upTo ? HANDS.seconds : undefined,
    depth: needs?.known ? needs.depth.high : undefined,
    run: at?.known ? at.run.high : undefined,
    need: needAt(launch),
    needBack: needAt(back),
    back:
      slope === undefined || out === undefined || home === undefined
        ? undefined
        : Math.abs(runOut(home - out, slope)),
  };
}
