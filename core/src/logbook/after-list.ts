/** The list that holds the ticks of a trip’s afterwards, and the tick that says that all of it was done. */
export const afterListOf = (trip: string): string => `after:${trip}`;
export const ALL_DONE = 'all-done';
