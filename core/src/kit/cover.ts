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
export interface Unit { count: number; cost: number }

export interface Answered { alternative: number; uses: { id: string; count: number; open: boolean }[] }
export interface Cover {
  /** By ask; one that can't be answered is left out. */
  answers: Map<string, Answered>;
  /** False when the bound on nodes was reached: then the answer holds, but a cheaper one may exist. */
  proved: boolean;
  nodes: number;
}

const RANKS = 3;
/** Nodes searched in a group before the best so far is taken. */
export const MOST_NODES = 20_000;

/** Worse or better, in this order: law unmet, law open, advice unmet, advice open, own unmet, own open, cost. */
type Score = number[];
const COST = 2 * RANKS;
const worse = (a: Score, b: Score): boolean => {
  for (let i = 0; i < a.length; i += 1) if (a[i] !== b[i]) return a[i] > b[i];
  return true;
};

export function cover(asks: Ask[], units: ReadonlyMap<string, Unit>, most = MOST_NODES): Cover {
  const answers = new Map<string, Answered>();
  let proved = true, nodes = 0;
  for (const group of groupsOf(asks)) {
    const found = solve(group, units, most);
    for (const [id, answer] of found.answers) answers.set(id, answer);
    proved &&= found.proved;
    nodes += found.nodes;
  }
  return { answers, proved, nodes };
}

/** Asks that share a thing or a pool hang together. */
function groupsOf(asks: Ask[]): Ask[][] {
  const parent = new Map<string, string>();
  const root = (key: string): string => {
    let at = key;
    while (parent.get(at) !== undefined && parent.get(at) !== at) at = parent.get(at)!;
    return at;
  };
  const join = (a: string, b: string) => {
    const [x, y] = [root(a), root(b)];
    if (x !== y) parent.set(x, y);
  };
  for (const ask of asks) for (const row of ask.alternatives.flat()) {
    for (const { id } of row.from) join(`ask ${ask.id}`, `item ${id}`);
    if (row.pool) join(`ask ${ask.id}`, `pool ${row.pool}`);
  }
  const groups = new Map<string, Ask[]>();
  for (const ask of asks) {
    const key = root(`ask ${ask.id}`);
    groups.set(key, [...(groups.get(key) ?? []), ask]);
  }
  return [...groups.values()];
}

interface Take { id: string; count: number; open: boolean; pool?: string | undefined }

function solve(group: Ask[], units: ReadonlyMap<string, Unit>, most: number): Cover {
  // Law first, then what leaves least choice: a dead end is met early.
  const order = [...group].sort((a, b) => a.rank - b.rank || a.alternatives.length - b.alternatives.length || (a.id < b.id ? -1 : 1));
  const taken = new Map<string, number>();
  const pooled = new Map<string, number>();
  const score: Score = Array.from({ length: COST + 1 }, () => 0);
  const chosen = new Map<string, Answered>();
  let best: { score: Score; answers: Map<string, Answered> } | undefined;
  let nodes = 0;

  const cut = () => nodes >= most && best !== undefined;

  const ask = (i: number): void => {
    nodes += 1;
    if (cut() || (best && worse(score, best.score))) return;
    if (i === order.length) {
      best = { score: [...score], answers: new Map(chosen) };
      return;
    }
    const it = order[i];
    it.alternatives.forEach((rows, alternative) => row(i, rows, 0, alternative, []));
    // Unmet is always a way on, the dearest one.
    chosen.delete(it.id);
    score[2 * it.rank] += 1;
    ask(i + 1);
    score[2 * it.rank] -= 1;
  };

  const row = (i: number, rows: Row[], r: number, alternative: number, takes: Take[]): void => {
    if (cut()) return;
    const it = order[i];
    if (r === rows.length) {
      const open = takes.some((t) => t.open) ? 1 : 0;
      score[2 * it.rank + 1] += open;
      chosen.set(it.id, { alternative, uses: merged(takes) });
      ask(i + 1);
      chosen.delete(it.id);
      score[2 * it.rank + 1] -= open;
      return;
    }
    const { need, from, pool } = rows[r];
    const sorted = [...from].sort((a, b) => Number(a.open) - Number(b.open) || spare(b.id) - spare(a.id) || (units.get(a.id)?.cost ?? 0) - (units.get(b.id)?.cost ?? 0) || (a.id < b.id ? -1 : 1));
    fill(sorted, 0, need, pool, takes, (all) => row(i, rows, r + 1, alternative, all), leastFrom(sorted.map(({ id }) => (spare(id) > 0 ? 0 : (units.get(id)?.cost ?? 0)))));

    function spare(id: string): number {
      return Math.min(1, (taken.get(id) ?? 0) - (pool ? (pooled.get(`${pool} ${id}`) ?? 0) : 0));
    }
  };

  /** Every way of filling a row with `left` units from candidate `c` on: as many of it as may be, down to none. */
  const fill = (from: Row['from'], c: number, left: number, pool: string | undefined, takes: Take[], then: (takes: Take[]) => void, least: number[]): void => {
    if (left === 0) return then(takes);
    if (c === from.length || cut()) return;
    // Whatever comes, the units still to be found cost at least this.
    if (best && worse(score.with(COST, score[COST] + left * least[c]), best.score)) return;
    nodes += 1;
    const { id, open } = from[c];
    const unit = units.get(id) ?? { count: 0, cost: 0 };
    const key = `${pool} ${id}`;
    const before = taken.get(id) ?? 0, inPool = pool ? (pooled.get(key) ?? 0) : 0;
    for (let n = Math.min(left, unit.count - inPool); n >= 0; n -= 1) {
      const now = Math.max(before, inPool + n);
      const cost = (now - before) * unit.cost;
      taken.set(id, now);
      if (pool) pooled.set(key, inPool + n);
      score[COST] += cost;
      if (!(best && worse(score, best.score))) fill(from, c + 1, left - n, pool, n > 0 ? [...takes, { id, count: n, open, pool }] : takes, then, least);
      score[COST] -= cost;
      taken.set(id, before);
      if (pool) pooled.set(key, inPool);
    }
  };

  ask(0);
  return { answers: best?.answers ?? new Map(), proved: nodes < most, nodes };
}

/** The least cost from each place in a list to its end. */
function leastFrom(costs: number[]): number[] {
  const least = [...costs];
  for (let i = least.length - 2; i >= 0; i -= 1) least[i] = Math.min(least[i], least[i + 1]);
  return least;
}

function merged(takes: Take[]): Answered['uses'] {
  const byId = new Map<string, Take>();
  for (const take of takes) {
    const known = byId.get(take.id);
    // Rows share units, except within a pool.
    byId.set(take.id, known ? { ...known, count: take.pool && take.pool === known.pool ? known.count + take.count : Math.max(known.count, take.count), open: known.open || take.open } : take);
  }
  return [...byId.values()].map(({ id, count, open }) => ({ id, count, open }));
}
