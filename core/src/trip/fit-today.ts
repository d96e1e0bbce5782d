import type { Phrase, Schedule } from '../model';
import type { World } from '../rules';
import { contextOf, type AssessInput } from './context';
import { reasonPhrase } from './find-fit';
import { farOffOn } from './find-limits';
import { fitOf, NEAR, type Fit } from './fit';

/** Is this boat for this water, today: the answer with every reason, in sentences, whether or not it is a finding. */
export interface FitToday {
  answer: Fit['answer'];
  near: number;
  against: Phrase[];
  for: Phrase[];
  unsaid: Phrase[];
}

export function fitToday(
  input: AssessInput,
  schedule: Schedule | undefined,
  world: Pick<World, 'facts'>,
): FitToday | undefined {
  const context = contextOf(input);
  const fit = fitOf(context, schedule, schedule && farOffOn(context)(schedule), world);
  if (!fit) return undefined;
  const told = (is: 'against' | 'for' | 'unsaid') =>
    fit.reasons.filter((reason) => reason.is === is).map(reasonPhrase);
  return {
    answer: fit.answer,
    near: NEAR,
    against: told('against'),
    for: told('for'),
    unsaid: told('unsaid'),
  };
}
