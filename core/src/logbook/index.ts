/**
 * logbook: what trips and drills leave behind: who has practised what and how it ages, what was met, what is learnt of it.
 */
export * from './drills';
export { drillFindings, type OnDrills } from './find-drills';
export { asLearnt, lessonsOf, type Lessons } from './learnt';
export { learntFindings } from './find-learnt';
export { provenFinder } from './find-proven';
export type { Outing } from './envelope';
