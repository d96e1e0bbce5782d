import { monthsBetween } from '@escale/core/earth';
import type { Rule, RulePack } from '@escale/core/model';

const SURE: Record<Rule['confidence'], string> = { H: 'quite sure', M: 'fairly sure', L: 'a hint only: look it up' };
export const sureWord = (rule: Rule) => SURE[rule.confidence];

/** Notes older than this want to be held against the text again, months. */
const STALE = 12;

/** The pack's worst: how sure, who checked it and when, how old its oldest note is on a day. */
export function statusOf(pack: RulePack, today: string): string {
  const worst = (['L', 'M', 'H'] as const).find((c) => pack.rules.some((r) => r.confidence === c)) ?? 'H';
  const oldest = pack.rules.map((r) => r.noted).sort()[0] ?? today;
  const checked = pack.checked ? `Checked by ${pack.checked.by} on ${pack.checked.on}` : pack.rules.every((r) => r.verified) ? 'Checked' : 'From memory, not verified';
  return `${checked}; at worst ${SURE[worst]}; noted ${oldest}${monthsBetween(oldest, today) >= STALE ? ', out of date' : ''}.`;
}

export interface RuleChange { id: string; what: 'new' | 'gone' | 'changed'; title: string; fields: string[] }

/** How one version differs from another, rule by rule. */
export function differences(before: RulePack, after: RulePack): RuleChange[] {
  const old = new Map(before.rules.map((r) => [r.id, r])), now = new Map(after.rules.map((r) => [r.id, r]));
  const fields = (a: Rule, b: Rule) => [...new Set([...Object.keys(a), ...Object.keys(b)])].filter((k) => JSON.stringify(a[k as keyof Rule]) !== JSON.stringify(b[k as keyof Rule]));
  return [
    ...after.rules.flatMap((r): RuleChange[] => {
      const was = old.get(r.id);
      if (!was) return [{ id: r.id, what: 'new', title: r.title, fields: [] }];
      const changed = fields(was, r);
      return changed.length > 0 ? [{ id: r.id, what: 'changed', title: r.title, fields: changed }] : [];
    }),
    ...before.rules.filter((r) => !now.has(r.id)).map((r): RuleChange => ({ id: r.id, what: 'gone', title: r.title, fields: [] })),
  ];
}
