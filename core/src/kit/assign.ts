/**
 * Least-cost assignment of n rows to m ≥ n columns, exactly, in O(n²·m): the Hungarian method with potentials
 * (Kuhn 1955, Munkres 1957, in the form by successive shortest paths). Costs finite.
 * @returns for each row its column
 * @example assign([[4, 1, 3], [2, 0, 5], [3, 2, 2]]) // [1, 0, 2], cost 5
 */
export function assign(cost: number[][]): number[] {
  const n = cost.length,
    m = cost[0]?.length ?? 0;
  if (m < n) throw new RangeError('an assignment needs as many columns as rows');
  // One-based, as the method is usually written; column 0 stands for "none yet".
  const u = new Array<number>(n + 1).fill(0),
    v = new Array<number>(m + 1).fill(0);
  const rowOf = new Array<number>(m + 1).fill(0),
    way = new Array<number>(m + 1).fill(0);
  for (let i = 1; i <= n; i += 1) {
    rowOf[0] = i;
    let j0 = 0;
    const least = new Array<number>(m + 1).fill(Infinity),
      used = new Array<boolean>(m + 1).fill(false);
    do {
      used[j0] = true;
      const i0 = rowOf[j0];
      let delta = Infinity,
        j1 = 0;
      for (let j = 1; j <= m; j += 1) {
        if (used[j]) continue;
        const reduced = cost[i0 - 1][j - 1] - u[i0] - v[j];
        if (reduced < least[j]) {
          least[j] = reduced;
          way[j] = j0;
        }
        if (least[j] < delta) {
          delta = least[j];
          j1 = j;
        }
      }
      for (let j = 0; j <= m; j += 1) {
        if (used[j]) {
          u[rowOf[j]] += delta;
          v[j] -= delta;
        } else least[j] -= delta;
      }
      j0 = j1;
    } while (rowOf[j0] !== 0);
    do {
      const j1 = way[j0];
      rowOf[j0] = rowOf[j1];
      j0 = j1;
    } while (j0 !== 0);
  }
  const columns = new Array<number>(n).fill(-1);
  for (let j = 1; j <= m; j += 1) if (rowOf[j] > 0) columns[rowOf[j] - 1] = j - 1;
  return columns;
}
