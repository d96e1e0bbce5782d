import type { Finding, Phrase } from '../model';
import { estimated, leaning } from '../verdict';
import { hangs } from './alike';

/** Findings about hours that may not be kept: none of them settles anything. */
export const unsettled = (findings: Finding[], assumed: Phrase): Finding[] =>
  findings.map((finding) => (hangs(finding) ? leaning(finding, assumed) : finding));

/** What is said of the hours themselves: when one is home, and how much is left then. */
const OF_HOURS = ['day/light/', 'day/turn/', 'trip/hours/'];

/** Findings where the stream is not known: what is said of the hours themselves settles nothing. */
export const inStream = (findings: Finding[], assumed: Phrase): Finding[] =>
  findings.map((finding) =>
    OF_HOURS.some((kind) => finding.id.startsWith(kind)) ? leaning(finding, assumed) : finding,
  );

/**
 * Findings about hours that are told by an estimate of our own, at its slow end: none is Ready by it, and one stops only where it
 * does at the other end as well; else it is to be mended, and open.
 * @param soonest the findings at the other end, asked for only where something stops
 */
export function byEstimate(findings: Finding[], assumed: Phrase, soonest: () => Finding[]): Finding[] {
  const stops = findings.some((finding) => hangs(finding) && finding.level === STOP);
  const sure = new Set(
    stops
      ? soonest()
          .filter(({ level }) => level === STOP)
          .map(({ id }) => id)
      : [],
  );
  return unsettled(findings, assumed).map((finding) =>
    hangs(finding) && finding.level === STOP && !sure.has(finding.id) ? estimated(finding, assumed) : finding,
  );
}
const STOP = 'stop';
