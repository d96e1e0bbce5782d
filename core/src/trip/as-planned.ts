import { darkWithin } from '../earth';
import type { Met, Schedule } from '../model';
import { MINUTE, MS } from '../units';
import { worstWithin } from '../water';
import { contextOf, type AssessInput } from './context';
import { farOffOn } from './find-limits';
import { loadKnown } from './learnt';

/**
 * How a trip was, if it went as it was planned and the weather as it was forecast, between the hours at which it really left and came
 * home: what a debrief offers to be taken with a tap. What can’t be told, or was invented, is left out.
 * @param left, home epoch ms
 */
export function asPlanned(
  input: AssessInput,
  schedule: Schedule | undefined,
  left: number | undefined,
  home: number | undefined,
): Met {
  const context = contextOf(input);
  const { trip, boat, people, launch, route, forecast } = context;
  const span = left !== undefined && home !== undefined && home > left;
  const worst = span && forecast && !forecast.invented ? worstWithin(forecast, left, home) : undefined;
  const off = schedule && farOffOn(context)(schedule);
  const halts = trip.halts.reduce((sum, { minutes }) => sum + minutes * MINUTE, 0);
  const out = span ? (home - left) / MS.second - halts : 0;
  const load = boat && loadKnown(boat, people, trip);
  const told: { [K in keyof Met]: Met[K] | undefined } = {
    wind: worst?.whole.wind ? worst.wind.wind : undefined,
    gust: worst?.whole.wind ? worst.gust.gust : undefined,
    waves: worst?.whole.waves ? worst.highest?.waves : undefined,
    waterTemperature: worst?.whole.water ? worst.coldest?.water : undefined,
    off: off !== undefined && off !== 'unknown' && off.sure ? off.metres : undefined,
    metres: route?.metres,
    moving: out > 0 ? out / (route?.rest ?? 1) : undefined,
    load,
    dark: span && launch ? darkWithin(launch.position, left, home) : undefined,
    company: (trip.company ?? []).length > 0,
  };
  return Object.fromEntries(Object.entries(told).filter(([, value]) => value !== undefined)) as Met;
}
