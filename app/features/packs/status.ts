import { monthsBetween } from '@escale/core/earth';
import type { Rule, RulePack } from '@escale/core/model';
import { STATUS } from './words';
import { plainly } from '../../data/settings';

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
    ? plainly(STATUS.by, pack.checked)
    : pack.rules.every((r) => r.verified)
      ? STATUS.checked
      : STATUS.memory;
  const old = monthsBetween(oldest, today) >= STALE;
  return plainly(old ? STATUS.stale : STATUS.whole, { checked, sure: SURE[worst], oldest });
}
