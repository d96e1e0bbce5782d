import { HARMS, LEVELS } from '../model/lists';
import type { Finding, Level } from '../model';

/** The least of the levels: what is said when there is nothing to say. */
const LEAST: Level = LEVELS[LEVELS.length - 1];

/** The worst level among findings; Ready when there are none. */
export function worstLevel(findings: readonly Pick<Finding, 'level'>[]): Level {
  return LEVELS.find((level) => findings.some((f) => f.level === level)) ?? LEAST;
}

export function countLevels(findings: readonly Pick<Finding, 'level'>[]): Record<Level, number> {
  const counts = Object.fromEntries(LEVELS.map((level) => [level, 0])) as Record<Level, number>;
  for (const { level } of findings) counts[level] += 1;
  return counts;
}

const PHASES = ['plan', 'pack', 'go', 'home'];
const rank = ({ level, harm = 'hurt', section }: Finding) =>
  (LEVELS.indexOf(level) * HARMS.length + HARMS.indexOf(harm)) * PHASES.length +
  PHASES.indexOf(section.slice(0, section.indexOf('/')));

/**
 * Worst level first, then by what is at stake, then in the order of the day, then by id: the same findings always stand in
 * the same order. What two boats say alike of one subject is said once, at the worse level.
 */
export function inOrder(findings: readonly Finding[]): Finding[] {
  const ranked = findings.map((finding) => ({ finding, rank: rank(finding) }));
  ranked.sort((a, b) => a.rank - b.rank || (a.finding.id < b.finding.id ? -1 : 1));
  const seen = new Set<string>();
  return ranked.flatMap(({ finding }) => (seen.has(finding.id) ? [] : (seen.add(finding.id), [finding])));
}
