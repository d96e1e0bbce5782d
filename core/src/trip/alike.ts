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
  findings
    .filter(({ varies }) => varies === 'hour')
    .map(({ id, level, open, section, title, because, varies }) => ({
      ...{ id, level, section, title, because },
      ...(open ? { open } : {}),
      ...(varies ? { varies } : {}),
    }));

/**
 * What stands at every departure alike: beside it no difference between the hours would be seen. What stops by the hours
 * themselves is never among it, even if it does so from the first to the last: there is no better hour then.
 */
export function alike(rows: readonly (readonly Standing[])[]): Standing[] {
  const levels = rows.map(
    (found) => new Map(found.map(({ id, level, open }) => [id, `${level} ${open === true}`])),
  );
  const [first = []] = rows;
  return first.filter(
    (f) =>
      f.level !== LEAST &&
      !(f.level === STOP && hangs(f)) &&
      levels.every((of) => of.get(f.id) === levels[0].get(f.id)),
  );
}
