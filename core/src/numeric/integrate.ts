/**
 * One step of the classic fourth-order method for dy/dt = f(t, y) (Runge 1895, Kutta 1901). The error of a step goes with
 * dt⁵; a jump of f inside a step costs an order, so a caller whose rate jumps keeps steps short.
 * @param dt in the unit of t, any sign
 * @example rk4((_t, y) => -y, 0, 1, 0.1) // 0.9048375, e^−0.1 is 0.9048374
 */
export function rk4(f: (t: number, y: number) => number, t: number, y: number, dt: number): number {
  const k1 = f(t, y);
  const k2 = f(t + dt / 2, y + (dt / 2) * k1);
  const k3 = f(t + dt / 2, y + (dt / 2) * k2);
  const k4 = f(t + dt, y + dt * k3);
  return y + (dt / 6) * (k1 + 2 * k2 + 2 * k3 + k4);
}

/**
 * Area under f from a to b by Simpson's rule over `steps` equal steps; exact for cubics.
 * @param steps even, 2 or more; `b` may stand at `a`: then it is 0
 * @example simpson((x) => x ** 3, 0, 2, 2) // 4
 */
export function simpson(f: (x: number) => number, a: number, b: number, steps: number): number {
  const step = (b - a) / steps;
  let sum = 0;
  for (let i = 0; i <= steps; i += 1) {
    const weight = i === 0 || i === steps ? 1 : i % 2 === 1 ? 4 : 2;
    sum += weight * f(a + i * step);
  }
  return (sum * step) / 3;
}
