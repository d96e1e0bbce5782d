import type { Assessment, Phrase } from '../model';
import { phrase } from '../say';
import { LEVELS } from '../model/lists';
import { MS } from '../units';
import { figureNamed } from '../verdict';
import type { Departure } from './sweep';

/** Departures that do as well as the best, one after the other, epoch ms. */
export interface Window {
  from: number;
  until: number;
}

/**
 * The answer to "can we go?", in a sentence or two: what stops, what is to be mended, what nobody has said; and only where
 * none of these stands that nothing known is against it, with when one is home. It never says more than that.
 * @param issuedAt when the forecast was issued, epoch ms
 * @param best the departures of the day that do best, where they are known
 */
export function answerOf(
  { findings, figures, schedule, now }: Pick<Assessment, 'findings' | 'figures' | 'schedule' | 'now'>,
  { issuedAt, best }: { issuedAt?: number | undefined; best?: Window | undefined } = {},
): Phrase[] {
  const against = findings.find((f) => f.level === 'stop') ?? findings.find((f) => f.level === 'fix');
  if (against) {
    const { level, alone: title = against.title } = against;
    return [phrase(level === 'stop' ? 'answer.stop' : 'answer.fix', { title })];
  }
  const open = findings.find((f) => f.level !== 'ready' && f.open);
  if (open) return [phrase('answer.open', { title: open.alone ?? open.title })];
  const home = schedule?.home;
  // Without a time home or a forecast there are findings that say so; this only never says a sentence with a hole.
  if (home === undefined || issuedAt === undefined) return [phrase('answer.clear')];
  const age = Math.max(0, (now - issuedAt) / MS.second);
  const light = figureNamed(figures, 'passage/daylight');
  return [
    light
      ? phrase('answer.clear.light', { home, light: light.value, age })
      : phrase('answer.clear.home', { home, age }),
    ...(best ? [phrase('answer.best', { from: best.from, until: best.until })] : []),
  ];
}

const rank = ({ worst }: Departure) => LEVELS.indexOf(worst);

/** The first unbroken run of departures at the best level of the day that are not past, with its first and last. */
export function bestOf(
  departures: readonly Departure[],
  now: number,
): (Window & { worst: Departure['worst'] }) | undefined {
  const open = departures.filter((d) => d.leave >= now);
  if (open.length === 0) return undefined;
  const least = Math.max(...open.map(rank));
  const first = open.findIndex((d) => rank(d) === least);
  let last = first;
  while (last + 1 < open.length && rank(open[last + 1]) === least) last += 1;
  return { from: open[first].leave, until: open[last].leave, worst: open[first].worst };
}
