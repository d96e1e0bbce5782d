import type { Finding, Schedule } from '../model';
import type { Figures } from '../verdict';
import { streamFindings } from './find-stream';
import { tideFindings } from './find-tide';
import { weatherFindings } from './find-weather';
import type { Worst } from './weather';
import type { OnWater } from './on-water';

/**
 * Tide at the launch, streams, and wind, gusts, thunder and visibility over the hours of a trip, as far as they are forecast.
 * @param worst the worst of those hours; undefined where nothing of them is forecast
 */
export function waterFindings(
  on: OnWater,
  schedule: Schedule,
  worst: Worst | undefined,
  figures: Figures,
): Finding[] {
  return [
    ...tideFindings(on, schedule, figures),
    ...streamFindings(on, schedule),
    ...weatherFindings(on, schedule, worst, figures),
  ];
}
