/** The digits of an id after its last dash. */
const LAST = 12;

/**
 * The id of the debrief of a trip: it follows from the trip’s own, so that two phones without a signal that both begin it begin the
 * same one. The last twelve digits are turned over, each to what is missing to fifteen.
 * @example debriefIdOf('01890000-0000-7000-8000-000000000055') // '01890000-0000-7000-8000-ffffffffffaa'
 */
export const debriefIdOf = (trip: string): string =>
  trip.slice(0, -LAST) +
  [...trip.slice(-LAST)].map((digit) => (15 - Number.parseInt(digit, 16)).toString(16)).join('');
