/**
 * The least set of things that answers what is asked: an exact search with a stated cost, one connected group at a time.
 * Ours, because no library has alternatives, pools and an order of importance together. Small: a group of a day trip has
 * a handful of asks; the search is depth first, cheapest first, cut by the best found, and bounded by a number of nodes.
 */

/** One demand: so many units out of these things. */
export interface Row {
  need: number;
  /** `open`: it may count; a fact is missing. */
  from: { id: string; open: boolean }[];
  /** Units that serve a row of a pool serve no other row of that pool. */
  pool?: string;
}

export interface Ask {
  id: string;
  /** 0 law, 1 advice, 2 own: law is decided before advice, advice before one's own. */
  rank: number;
  /** Any one list of rows, whole. */
  alternatives: Row[][];
}

/** What there is of a thing, and what taking one of it costs: lower is preferred. */
export interface Unit {
  count: number;
  cost: number;
}

export interface Answered {
  alternative: number;
  uses: { id: string; count: number; open: boolean }[];
}
export interface Cover {
  /** By ask; one that can't be answered is left out. */
  answers: Map<string, Answered>;
  /** False when the bound on nodes was reached: then the answer holds, but a cheaper one may exist. */
  proved: boolean;
  nodes: number;
}

/** Nodes searched in a group before the best so far is taken: the groups of day trips take a dozen or so. */
export const MOST_NODES = 2_000;

export function cover(asks: Ask[], units: ReadonlyMap<string, Unit>, most = MOST_NODES): Cover {
  const answers = new Map<string, Answered>();
  let proved = true,
    nodes = 0;
  for (const group of groupsOf(asks)) {
    const found = alone(group, units) ?? solve(group, units, most);
    for (const [id, answer] of found.answers) answers.set(id, answer);
    proved &&= found.proved;
    nodes += found.nodes;
  }
  return { answers, proved, nodes };
}

/** An ask that shares nothing and whose ways are single rows needs no search: the cheapest of each row, and the cheapest row. */
function alone(group: Ask[], units: ReadonlyMap<string, Unit>): Cover | undefined {
  const [ask] = group;
  if (group.length > 1 || ask.alternatives.some((rows) => rows.length !== 1)) return undefined;
  let best: (Answered & { open: number; cost: number }) | undefined;
  ask.alternatives.forEach(([{ need, from }], alternative) => {
    const sorted =
      from.length < 2
        ? from
        : [...from].sort(
            (a, b) =>
              Number(a.open) - Number(b.open) ||
              units.get(a.id)!.cost - units.get(b.id)!.cost ||
              (a.id < b.id ? -1 : 1),
          );
    const uses: Answered['uses'] = [];
    let left = need,
      cost = 0;
    for (const { id, open } of sorted) {
      const unit = units.get(id);
      const n = Math.min(left, unit?.count ?? 0);
      if (n > 0) uses.push({ id, count: n, open });
      left -= n;
      cost += n * (unit?.cost ?? 0);
      if (left === 0) break;
    }
    if (left > 0) return;
    const open = uses.some((u) => u.open) ? 1 : 0;
    if (!best || open < best.open || (open === best.open && cost < best.cost))
      best = { alternative, uses, open, cost };
  });
  return {
    answers: new Map(best ? [[ask.id, { alternative: best.alternative, uses: best.uses }]] : []),
    proved: true,
    nodes: 1,
  };
}

/** Asks that share a thing or a pool hang together: disjoint sets, halving each path on the way up. */
function groupsOf(asks: Ask[]): Ask[][] {
  const parent = asks.map((_, i) => i);
  const root = (i: number): number => {
    let at = i;
    while (parent[at] !== at) at = parent[at] = parent[parent[at]];
    return at;
  };
  /** The first ask that named a thing, a pool or a whole list of things: rows of one demand share their list. */
  const first = new Map<string | Row['from'], number>();
  const meet = (key: string | Row['from'], i: number): boolean => {
    const met = first.get(key);
    if (met === undefined) first.set(key, i);
    else parent[root(i)] = root(met);
    return met !== undefined;
  };
  for (const [i, ask] of asks.entries())
    for (const row of ask.alternatives.flat()) {
      if (!meet(row.from, i)) for (const { id } of row.from) meet(`item ${id}`, i);
      if (row.pool) meet(`pool ${row.pool}`, i);
    }
  const groups = new Map<number, Ask[]>();
  for (const [i, ask] of asks.entries()) {
    const group = groups.get(root(i));
    if (group) group.push(ask);
    else groups.set(root(i), [ask]);
  }
  return [...groups.values()];
}

/** A row in numbers: things by their place in the group, sure ones before open ones, cheapest first. */
interface Line {
  need: number;
  from: Int32Array;
  sure: number;
  pool: number;
}

/** Unmet and open by rank as two whole numbers that compare as they should, up to 99,999 of each. */
const STEP = 1e5;
const UNMET = [
  [STEP * STEP, 0],
  [1, 0],
  [0, STEP],
] as const;
const OPEN = [
  [STEP, 0],
  [0, STEP * STEP],
  [0, 1],
] as const;

function solve(group: Ask[], units: ReadonlyMap<string, Unit>, most: number): Cover {
  // Law first, then what leaves least choice: a dead end is met early.
  const order = [...group].sort(
    (a, b) => a.rank - b.rank || a.alternatives.length - b.alternatives.length || (a.id < b.id ? -1 : 1),
  );
  const lists = [...new Set(order.flatMap((a) => a.alternatives.flatMap((rows) => rows.map((r) => r.from))))];
  const ids = [...new Set(lists.flatMap((list) => list.map((f) => f.id)))].sort();
  const place = new Map(ids.map((id, i) => [id, i]));
  const count = Int32Array.from(ids, (id) => units.get(id)?.count ?? 0),
    cost = Float64Array.from(ids, (id) => units.get(id)?.cost ?? 0);
  const pools = [...new Set(order.flatMap((a) => a.alternatives.flat().flatMap((r) => r.pool ?? [])))];
  const ranked = new Map(
    lists.map((list) => {
      const sorted = list
        .map((f) => ({ at: place.get(f.id)!, open: f.open }))
        .sort((x, y) => Number(x.open) - Number(y.open) || cost[x.at] - cost[y.at] || x.at - y.at);
      return [
        list,
        { from: Int32Array.from(sorted, (f) => f.at), sure: sorted.filter((f) => !f.open).length },
      ];
    }),
  );
  const lines = order.map((a) =>
    a.alternatives.map((rows) =>
      rows.map((r): Line => ({
        need: r.need,
        ...ranked.get(r.from)!,
        pool: r.pool === undefined ? -1 : pools.indexOf(r.pool),
      })),
    ),
  );

  const taken = new Int32Array(ids.length);
  const pooled = pools.map(() => new Int32Array(ids.length));
  /** What each pooled row was given, to be told at the end; rows without a pool are read off what was taken. */
  const given: { ask: number; at: number; n: number; open: boolean }[] = [];
  const chosen = new Int16Array(order.length).fill(-1);
  let a = 0,
    b = 0,
    c = 0,
    nodes = 0;
  let best:
    | { a: number; b: number; c: number; chosen: Int16Array; taken: Int32Array; given: typeof given }
    | undefined;
  /** Can nothing that follows be better than the best, at so much more cost? */
  const beaten = (more: number) =>
    best !== undefined &&
    (a > best.a || (a === best.a && (b > best.b || (b === best.b && c + more >= best.c))));
  const cut = () => nodes >= most && best !== undefined;

  const ask = (i: number): void => {
    nodes += 1;
    if (cut() || beaten(0)) return;
    if (i === order.length) {
      best = { a, b, c, chosen: chosen.slice(), taken: taken.slice(), given: [...given] };
      return;
    }
    for (let alternative = 0; alternative < lines[i].length; alternative += 1) {
      chosen[i] = alternative;
      row(i, lines[i][alternative], 0, false);
      if (cut()) return;
    }
    // Unmet is always a way on, the dearest one.
    chosen[i] = -1;
    const { rank } = order[i];
    a += UNMET[rank][0];
    b += UNMET[rank][1];
    ask(i + 1);
    a -= UNMET[rank][0];
    b -= UNMET[rank][1];
  };

  const row = (i: number, rows: Line[], r: number, open: boolean): void => {
    if (r === rows.length) {
      const { rank } = order[i];
      if (open) {
        a += OPEN[rank][0];
        b += OPEN[rank][1];
      }
      ask(i + 1);
      if (open) {
        a -= OPEN[rank][0];
        b -= OPEN[rank][1];
      }
      return;
    }
    const line = rows[r];
    let left = line.need;
    // Without a pool what is taken already serves here too, for nothing: there is no reason to look further.
    if (line.pool < 0) for (let k = 0; k < line.sure && left > 0; k += 1) left -= taken[line.from[k]];
    fill(i, rows, r, 0, Math.max(0, left), open);
  };

  /** Every way of finding `left` more units from candidate k on: as many of the cheapest as may be first, down to none. */
  const fill = (i: number, rows: Line[], r: number, k: number, left: number, open: boolean): void => {
    const { from, sure, pool } = rows[r];
    if (left === 0) return row(i, rows, r + 1, open);
    if (k === from.length || cut()) return;
    // Candidates stand by cost: whatever comes costs at least this, or is open where the best is not.
    if (pool < 0 && k < sure && beaten(left * cost[from[k]])) return;
    nodes += 1;
    const at = from[k],
      isOpen = k >= sure;
    const inPool = pool < 0 ? taken[at] : pooled[pool][at];
    // An open thing that is taken for something else may serve here too, and stays open.
    const free = pool < 0 ? (isOpen ? taken[at] : 0) : Math.max(0, taken[at] - inPool);
    for (let n = Math.min(left, count[at] - (pool < 0 && isOpen ? 0 : inPool)); n >= 0; n -= 1) {
      const extra = Math.max(0, n - free) * cost[at];
      if (beaten(extra)) continue;
      const before = taken[at];
      taken[at] += Math.max(0, n - free);
      c += extra;
      if (pool >= 0) {
        pooled[pool][at] += n;
        if (n > 0) given.push({ ask: i, at, n, open: isOpen });
      }
      fill(i, rows, r, k + 1, left - n, open || (isOpen && n > 0));
      if (pool >= 0) {
        pooled[pool][at] -= n;
        if (n > 0) given.pop();
      }
      c -= extra;
      taken[at] = before;
      if (cut()) return;
    }
  };

  ask(0);
  const answers = new Map<string, Answered>();
  if (best)
    order.forEach((it, i) => {
      const alternative = best!.chosen[i];
      if (alternative >= 0)
        answers.set(it.id, {
          alternative,
          uses: usesOf(
            lines[i][alternative],
            best!.taken,
            best!.given.filter((g) => g.ask === i),
            ids,
          ),
        });
    });
  return { answers, proved: nodes < most, nodes };
}

/** What serves an ask: pooled rows what they were given, the others the first of what was taken. */
function usesOf(
  rows: Line[],
  taken: Int32Array,
  given: { at: number; n: number; open: boolean }[],
  ids: string[],
): Answered['uses'] {
  const uses = new Map<number, { count: number; open: boolean }>();
  for (const { at, n, open } of given) uses.set(at, { count: (uses.get(at)?.count ?? 0) + n, open });
  for (const { need, from, sure, pool } of rows) {
    let left = pool < 0 ? need : 0;
    for (let k = 0; k < from.length && left > 0; k += 1) {
      const n = Math.min(left, taken[from[k]]);
      if (n === 0) continue;
      const known = uses.get(from[k]);
      uses.set(from[k], { count: Math.max(known?.count ?? 0, n), open: (known?.open ?? false) || k >= sure });
      left -= n;
    }
  }
  return [...uses].map(([at, use]) => ({ id: ids[at], ...use }));
}
