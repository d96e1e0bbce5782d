import type { Level } from '../model';
import type { SourceId } from '../sources';
import { HOUR, MS, NAUTICAL_MILE } from '../units';

/** Thresholds of the day: the value in SI, what passing it means, and where it comes from. */
interface Threshold {
  value: number;
  level: Level;
  source: SourceId;
}

export const DAYLIGHT_LEAST: Threshold = { value: HOUR, level: 'know', source: 'daylight' };
export const AFTER_SUNSET: Threshold = { value: 0, level: 'fix', source: 'daylight' };
/** Dark for no longer than this when leaving is only known; longer is as grave as landing in the dark. */
export const DARK_START: Threshold = { value: HOUR, level: 'know', source: 'own-estimate' };
export const FORECAST_AGE: Threshold = { value: 12 * HOUR, level: 'know', source: 'practice' };
export const POOR_VISIBILITY: Threshold = { value: NAUTICAL_MILE, level: 'fix', source: 'own-estimate' };
/** Who gets up between these hours of the clock has had a short night, or none. */
export const SHORT_NIGHT = { from: 18, until: 4, level: 'know', source: 'own-estimate' } as const satisfies {
  from: number;
  until: number;
  level: Level;
  source: SourceId;
};
/** A filed home time this far from the trip's is a change that others must hear of. */
export const PLAN_DRIFT: Threshold = { value: 5 * MS.minute, level: 'fix', source: 'practice' };
/** Datums on which a chart's heights stand; only heights above one of these can be held against a launch's own. */
export const CHART_DATUMS: ReadonlySet<string> = new Set(['chart datum', 'LAT', 'MLLW']);
/** Kinds of water with a tide. */
export const TIDAL: ReadonlySet<string> = new Set(['sheltered-tidal', 'coastal', 'open-sea']);
/** Weight on the hitch, as a share of what is towed: lighter it snakes, heavier it lifts the car's front. */
export const TONGUE = { low: 0.05, high: 0.15, level: 'fix', source: 'tongue-weight' } as const satisfies {
  low: number;
  high: number;
  level: Level;
  source: SourceId;
};
const degrees = (angle: number) => (angle * Math.PI) / 180;
/** Trim and heel at rest beyond which something should be moved, and beyond which it must be, radians. */
export const LEVEL_ENOUGH = {
  trim: { know: degrees(3), fix: degrees(8) },
  heel: { know: degrees(4), fix: degrees(8) },
  source: 'own-estimate',
} as const satisfies { trim: Grades; heel: Grades; source: SourceId };
interface Grades {
  know: number;
  fix: number;
}
/** Where nobody knows when a trip ends, it may last so many days: what ends within them is open. */
export const LONGEST_UNKNOWN = 2;
/** Kinds of boat that come on a trailer of their own. */
export const TRAILED: ReadonlySet<string> = new Set(['trailer-boat']);
/** One way home is a finding, two are usual, three are good on open water. */
export const WAYS_ENOUGH = { value: 2, level: 'know', source: 'practice' } as const satisfies Threshold;
/**
 * Boats narrower than this (metres) are told by a band, and tried with everyone a little off the middle: a list beyond `fix`
 * (radians) is more than hips can hold. Our own estimates.
 */
export const NARROW = 1;
export const TENDER = { off: 0.03, fix: degrees(25) } as const;

/** A last look at the boat holds for so long before leaving, ms: what was felt shut the day before may be open. Our own estimate. */
export const LOOK_HOLDS = 4 * MS.hour;
