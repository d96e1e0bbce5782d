import type { Level } from '../model';
import type { SourceId } from '../sources';
import { HOUR, MS, NAUTICAL_MILE } from '../units';

/** Thresholds of the day: the value in SI, what passing it means, and where it comes from. */
interface Threshold { value: number; level: Level; source: SourceId }

export const DAYLIGHT_LEAST: Threshold = { value: HOUR, level: 'mind', source: 'daylight' };
export const AFTER_SUNSET: Threshold = { value: 0, level: 'fix', source: 'daylight' };
export const FORECAST_AGE: Threshold = { value: 12 * HOUR, level: 'mind', source: 'practice' };
export const POOR_VISIBILITY: Threshold = { value: NAUTICAL_MILE, level: 'fix', source: 'own-estimate' };
/** Up before this hour of the clock is a short night. */
export const EARLY_HOUR: Threshold = { value: 4, level: 'mind', source: 'own-estimate' };
/** A filed home time this far from the trip's is a change that others must hear of. */
export const PLAN_DRIFT: Threshold = { value: 5 * MS.minute, level: 'fix', source: 'practice' };
/** Datums on which a chart's heights stand; only heights above one of these can be held against a launch's own. */
export const CHART_DATUMS: ReadonlySet<string> = new Set(['chart datum', 'LAT', 'MLLW']);
/** Kinds of water with a tide. */
export const TIDAL: ReadonlySet<string> = new Set(['sheltered-tidal', 'coastal', 'open-sea']);
/** Weight on the hitch, as a share of what is towed: lighter it snakes, heavier it lifts the car's front. */
export const TONGUE = { low: 0.05, high: 0.15, level: 'fix', source: 'tongue-weight' } as const satisfies { low: number; high: number; level: Level; source: SourceId };
/** Trim and heel at rest beyond which something should be moved, radians. */
export const LEVEL_ENOUGH = { trim: (3 * Math.PI) / 180, heel: (4 * Math.PI) / 180, level: 'mind', source: 'own-estimate' } as const satisfies { trim: number; heel: number; level: Level; source: SourceId };
/** One way home is a finding, two are usual, three are good on open water. */
export const WAYS_ENOUGH = { value: 2, level: 'mind', source: 'practice' } as const satisfies Threshold;
