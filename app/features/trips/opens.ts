import type { Trip } from '@escale/core/model';

/** Where a trip opens: on its answer before it, on what is next while it is on, on looking back after it. */
export const OPENS: Record<Trip['status'], string> = { planned: '', on: '/go', done: '/home' };
