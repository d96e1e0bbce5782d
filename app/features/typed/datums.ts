import { CHART_DATUMS } from '@escale/core/model/lists';

const OTHER = ['mean sea level', 'another datum'];
/** What heights of a table may stand over: chart datums, against which a launch can be held, and others, which only show. */
export const DATUMS = [...CHART_DATUMS, ...OTHER].map((value) => ({ value, label: value }));
