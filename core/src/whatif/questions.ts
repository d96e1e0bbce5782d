import data from '../../data/whatif/questions.json';
import type { IncidentKind } from '../model/lists';
import type { Phrase, QuestionData } from '../model';
import { own } from '../say';
import type { Worst } from './ask';

const { rows: ROWS } = data as unknown as QuestionData;

/** A question to be answered aloud before leaving, and what a good answer holds. */
export interface Question {
  incident: IncidentKind;
  at: number;
  asks: Phrase;
  holds: string;
  /** The gap that it is asked for. */
  for: Phrase;
}

/** One question for each of the worst moments of the day, in their order. */
export const questionsFor = (worst: readonly Pick<Worst, 'incident' | 'at' | 'says'>[]): Question[] =>
  worst.flatMap(({ incident, at, says }) => {
    const row = ROWS.find((each) => each.incident === incident);
    return row
      ? [{ incident: row.incident, at, asks: own(row.asks, { at }), holds: row.holds, for: says }]
      : [];
  });
