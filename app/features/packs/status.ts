import { monthsBetween } from '@escale/core/earth';
import type { Rule, RulePack } from '@escale/core/model';

const SURE: Record<Rule['confidence'], string> = {
  H: 'quite sure',
  M: 'fairly sure',
  L: 'a hint only: look it up',
};
export const sureWord = (rule: Rule) => SURE[rule.confidence];

/** Notes older than this want to be held against the text again, months. */
const STALE = 12;

/** The pack's worst: how sure, who checked it and when, how old its oldest note is on a day. */
export function statusOf(pack: RulePack, today: string): string {
  const worst = (['L', 'M', 'H'] as const).find((c) => pack.rules.some((r) => r.confidence === c)) ?? 'H';
  const oldest = pack.rules.map((r) => r.noted).sort()[0] ?? today;
  const checked = pack.checked
    ? `Checked by ${pack.checked.by} on ${pack.checked.on}`
    : pack.rules.every((r) => r.verified)
      ? 'Checked'
      : 'From memory, not verified';
  return `${checked}; at worst ${SURE[worst]}; noted ${oldest}${monthsBetween(oldest, today) >= STALE ? ', out of date' : ''}.`;
}
