/** A determinant under this says that the rows hang together. */
const SINGULAR = 1e-14;

/**
 * Three equations with three unknowns, by Cramer's rule: small, and without a loop in the middle of Newton's steps.
 * @param rows of the matrix, three by three @param right hand side
 * @returns undefined where the rows hang together
 * @example solve3([[2, 0, 0], [0, 4, 0], [0, 0, 5]], [2, 4, 10]) // [1, 1, 2]
 */
export function solve3(
  [[a, b, c], [d, e, f], [g, h, i]]: number[][],
  [p, q, r]: number[],
): [number, number, number] | undefined {
  const det = a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g);
  if (Math.abs(det) < SINGULAR) return undefined;
  return [
    (p * (e * i - f * h) - b * (q * i - f * r) + c * (q * h - e * r)) / det,
    (a * (q * i - f * r) - p * (d * i - f * g) + c * (d * r - q * g)) / det,
    (a * (e * r - q * h) - b * (d * r - q * g) + p * (d * h - e * g)) / det,
  ];
}
