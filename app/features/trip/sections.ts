import type { Assessment, Finding, Level, SectionId } from '@escale/core/model';
import { LEVELS } from '@escale/core/model/lists';

export const PHASES = ['plan', 'pack', 'go', 'home'] as const;
export type Phase = (typeof PHASES)[number];
export const PHASE_TITLE: Record<Phase, string> = { plan: 'Plan', pack: 'Pack', go: 'Go', home: 'Home' };

/** The sections of a trip in the order in which the day goes. */
export const SECTIONS: readonly { id: SectionId; title: string; lead: string }[] = [
  { id: 'plan/boat', title: 'Boat and crew', lead: 'Which boat, and who goes.' },
  { id: 'plan/water', title: 'Water', lead: 'Where you launch, where you go, how you come back.' },
  { id: 'plan/day', title: 'Day', lead: 'When: light, tide, wind, cold.' },
  { id: 'pack/kit', title: 'Kit', lead: 'What is asked for, held against what is in the shed.' },
  { id: 'pack/load', title: 'Load', lead: 'What goes in, against what she carries.' },
  { id: 'pack/ready', title: 'Beforehand', lead: 'Backwards from leaving, and the packing list.' },
  { id: 'pack/float-plan', title: 'Float plan', lead: 'Who ashore knows, and when they act.' },
  { id: 'go/launch', title: 'Launch', lead: 'One step at a time.' },
  { id: 'go/under-way', title: 'Under way', lead: 'Turn back, check in, nearest landing.' },
  { id: 'go/hold', title: 'Hold', lead: 'Anchor, pole, drift: what pulls, and what holds.' },
  { id: 'go/trouble', title: 'Trouble', lead: 'What to do first, and the words to say.' },
  { id: 'home/retrieve', title: 'Retrieve', lead: 'Landing and out of the water.' },
  { id: 'home/close', title: 'Close the plan', lead: 'Say that you are home.' },
  {
    id: 'home/debrief',
    title: 'Debrief',
    lead: 'How it was, in two minutes: it flows back into the shed and the next plan.',
  },
  { id: 'home/after', title: 'After the trip', lead: 'Rinse, drain, flush, charge, replace.' },
];

export const phaseOf = (section: SectionId) => section.split('/')[0] as Phase;
export const sectionTitle = (id: SectionId) => SECTIONS.find((s) => s.id === id)?.title ?? id;

export function findingsOf(assessment: Assessment, section: SectionId): Finding[] {
  return assessment.findings.filter((f) => f.section === section);
}

/** Worst level of a section, or undefined where core has nothing to say of it. */
export function levelOf(assessment: Assessment, section: SectionId): Level | undefined {
  const found = findingsOf(assessment, section);
  return found.length === 0 ? undefined : LEVELS.find((level) => found.some((f) => f.level === level));
}
