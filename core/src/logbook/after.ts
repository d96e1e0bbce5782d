import file from '../../data/logbook/after.json';
import { slug } from '../kit';
import type { AfterRow, Became, Debrief } from '../model';
import { evaluate, type World } from '../rules';
import { HOUR, MS } from '../units';

const ROWS = file.rows as unknown as AfterRow[];

/** Something to do after a trip; its key is that of its tick. */
export interface AfterTask {
  key: string;
  group: AfterRow['group'];
  what: string;
  why?: string;
  /** What became of it, where it is a thing of the shed or a part of her, and of how many. */
  became?: Became['became'];
  of?: number;
  /** The thing itself, or the part. */
  item?: string;
  part?: string;
  /** Until when, epoch ms. */
  due: number;
}

export const AFTER_GROUPS = ['now', 'day', 'week'] as const satisfies readonly AfterRow['group'][];

const dueIn = (group: AfterRow['group'], home: number) => home + file.within[group] * HOUR * MS.second;

/** What things and parts are called. */
interface Named {
  item: (id: string) => string | undefined;
  part: (key: string) => string | undefined;
}

/**
 * What is to be done once a trip is over: made from boat and water, and a line for each thing that broke, was lost or used up. What
 * can’t be told whether it is needed stands with the word for when.
 * @param home when they came home, epoch ms
 * @param named what things of the shed and parts of her are called; what is gone from there is not asked for
 */
export function afterTrip(
  world: World,
  debrief: Pick<Debrief, 'broken' | 'things' | 'parts'> | undefined,
  home: number,
  named: Named = { item: () => undefined, part: () => undefined },
): AfterTask[] {
  const rows = ROWS.flatMap(({ id, group, what, unsettled, why, when }): AfterTask[] => {
    const truth = when ? evaluate(when, world).truth : 'yes';
    if (truth === 'no') return [];
    const said = truth === 'unknown' ? (unsettled ?? what) : what;
    return [{ key: id, group, what: said, why, due: dueIn(group, home) }];
  });
  const seen = new Set<string>();
  const broken = (debrief?.broken ?? []).flatMap((what): AfterTask[] => {
    const key = `broken:${slug(what)}`;
    if (seen.has(key)) return [];
    seen.add(key);
    return [{ key, group: 'week', what, due: dueIn('week', home) }];
  });
  const week = { group: 'week', due: dueIn('week', home) } as const;
  const things = Object.entries(debrief?.things ?? {}).flatMap(([item, { became, of }]): AfterTask[] => {
    const what = named.item(item);
    return what === undefined ? [] : [{ ...week, key: `thing:${item}`, what, became, of, item }];
  });
  const parts = (debrief?.parts ?? []).flatMap((part): AfterTask[] => {
    const what = named.part(part);
    return what === undefined ? [] : [{ ...week, key: `part:${part}`, what, became: 'broken', part }];
  });
  return [...rows, ...things, ...parts, ...broken].sort(
    (a, b) => AFTER_GROUPS.indexOf(a.group) - AFTER_GROUPS.indexOf(b.group),
  );
}
