import type { Rule, RulePack } from '../model';

export interface RuleChange {
  id: string;
  what: 'new' | 'gone' | 'changed';
  title: string;
  fields: string[];
}

/** How one version differs from another, rule by rule. */
export function differences(before: RulePack, after: RulePack): RuleChange[] {
  const old = new Map(before.rules.map((r) => [r.id, r])),
    now = new Map(after.rules.map((r) => [r.id, r]));
  const fields = (a: Rule, b: Rule) =>
    [...new Set([...Object.keys(a), ...Object.keys(b)])].filter(
      (k) => JSON.stringify(a[k as keyof Rule]) !== JSON.stringify(b[k as keyof Rule]),
    );
  return [
    ...after.rules.flatMap((r): RuleChange[] => {
      const was = old.get(r.id);
      if (!was) return [{ id: r.id, what: 'new', title: r.title, fields: [] }];
      const changed = fields(was, r);
      return changed.length > 0 ? [{ id: r.id, what: 'changed', title: r.title, fields: changed }] : [];
    }),
    ...before.rules
      .filter((r) => !now.has(r.id))
      .map((r): RuleChange => ({ id: r.id, what: 'gone', title: r.title, fields: [] })),
  ];
}
