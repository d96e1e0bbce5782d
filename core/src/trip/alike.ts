import type { Finding } from '../model';
import { worstLevel } from '../verdict';

/** What of a finding tells departures apart. */
export type Standing = Pick<Finding, 'id' | 'level' | 'open' | 'section' | 'title' | 'because' | 'varies'>;

const STOP = 'stop',
  LEAST = worstLevel([]);

/** What belongs to the hours on the water; kit and papers are as they are, whatever the hour brings. */
export const hangs = ({ varies, section }: Pick<Standing, 'varies' | 'section'>): boolean =>
  varies === 'hour' && !section.startsWith('pack/');

/** What of an assessment the hour of leaving changes. */
export const ofTheHour = (findings: readonly Finding[]): Standing[] =>
  findings.filter(({ varies }) => varies === 'hour');

/**
 * Gathers what stands at every departure alike, one after the other: beside it no difference between the hours would be seen. What
 * stops by the hours themselves is never among it, even if it does so from the first to the last: there is no better hour then.
 */
export class Alike {
  #same: Standing[] | undefined;

  add(found: readonly Standing[]): void {
    if (!this.#same) {
      this.#same = found.filter((f) => f.level !== LEAST && !(f.level === STOP && hangs(f)));
      return;
    }
    const there = new Map(found.map((f) => [f.id, f]));
    this.#same = this.#same.filter(({ id, level, open }) => {
      const other = there.get(id);
      return other?.level === level && other.open === open;
    });
  }

  get all(): readonly Standing[] {
    return this.#same ?? [];
  }
}
