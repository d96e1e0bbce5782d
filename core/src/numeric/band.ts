/** A number that is known within limits. */
export interface Band {
  low: number;
  high: number;
}

export const exactly = (value: number): Band => ({ low: value, high: value });
export const plus = (...bands: Band[]): Band => ({
  low: bands.reduce((sum, b) => sum + b.low, 0),
  high: bands.reduce((sum, b) => sum + b.high, 0),
});
/** By a factor that is itself known within limits; all of them positive. */
export const times = (a: Band, b: Band): Band => ({ low: a.low * b.low, high: a.high * b.high });
/** A value give or take a share of it. */
export const around = (value: number, share: number): Band => ({
  low: value * (1 - share),
  high: value * (1 + share),
});
