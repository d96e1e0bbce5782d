import type { Finding, Shed, Water } from '../model';
import { packsOf } from '../rules';
import { phrase } from '../say';
import { goTo } from '../verdict';
import { KIT } from './limits';

/** A rule list of this water's country that was switched off is said: it never goes silently. */
export function offFindings(water: Water | undefined, shed: Pick<Shed, 'packs'>): Finding[] {
  const off = water?.without ?? [];
  if (!water || off.length === 0) return [];
  const all = packsOf(shed);
  const packs = off.map((id) => all.find((pack) => pack.id === id)?.title ?? id);
  return [
    KIT.finding('rules/off', 'off', water.id, {
      title: phrase('rules.off.title'),
      because: [phrase('rules.off.why', { packs })],
      mend: { label: phrase('rules.off.mend'), ...goTo.water(water.id, '/jurisdiction') },
    }),
  ];
}
