/** Area and first moments of a plane figure. */
export interface Moments {
  area: number;
  y: number;
  z: number;
}

/**
 * What of a closed outline lies under a line z = slope·y, added up: its area and first moments, the outline clipped edge by
 * edge (Sutherland and Hodgman 1974) and summed by Green's theorem as it goes. About a point on the line the parts along it
 * come to nothing, so an outline may cross it as often as it likes and no clipped outline is ever built.
 * @param ring flat list of pairs y, z, counter-clockwise for a positive area
 * @param lift is taken from each z first: where the line crosses y = 0
 * @param into is added to, so that a thousand rings need no object each
 * @example a unit square over the line z = ½: area ½, y-moment ¼, z-moment −⅛ about the line
 */
export function addUnder(ring: Float64Array, lift: number, slope: number, into: Moments): void {
  let area = 0,
    my = 0,
    mz = 0;
  let py = ring[ring.length - 2],
    pz = ring[ring.length - 1] - lift,
    pd = pz - slope * py;
  for (let i = 0; i < ring.length; i += 2) {
    const qy = ring[i],
      qz = ring[i + 1] - lift,
      qd = qz - slope * qy;
    if (pd <= 0 || qd <= 0) {
      const cut = pd > 0 || qd > 0 ? pd / (pd - qd) : 0;
      const cy = py + cut * (qy - py),
        cz = pz + cut * (qz - pz);
      const ay = pd > 0 ? cy : py,
        az = pd > 0 ? cz : pz,
        by = qd > 0 ? cy : qy,
        bz = qd > 0 ? cz : qz;
      const cross = ay * bz - by * az;
      area += cross;
      my += (ay + by) * cross;
      mz += (az + bz) * cross;
    }
    py = qy;
    pz = qz;
    pd = qd;
  }
  into.area += area / 2;
  into.y += my / 6;
  into.z += mz / 6;
}
