import type { PlanView, Phrase } from '../model';
import { phrase } from '../say';
import { isOpen } from './fold';

/** An hour of an open plan at which the crew wants to be reminded. */
export interface PlanReminder {
  /** Which of the plan's hours it is; the same when the hour moves. */
  name: string;
  /** Stays the same while the hour does: told once. */
  key: string;
  at: number;
  what: Phrase;
}

/** What a crew is reminded of: turning back, each check-in that was promised, home, and the hour at which others act. */
export function planReminders({
  id,
  title,
  state,
  times,
}: Pick<PlanView, 'id' | 'title' | 'state' | 'times'>): PlanReminder[] {
  if (!isOpen(state)) return [];
  const one = (name: string, at: number, what: Phrase): PlanReminder => ({
    name,
    key: `${id} ${name} ${at}`,
    at,
    what,
  });
  return [
    ...(times.turnBack === undefined
      ? []
      : [one('turn', times.turnBack, phrase('remind.turn', { title, home: times.home }))]),
    ...times.checkIns.map((at, i) => one(`check-in-${i + 1}`, at, phrase('remind.check-in', { title }))),
    one('home', times.home, phrase('remind.home', { title, overdue: times.overdue })),
    one('overdue', times.overdue, phrase('remind.overdue', { title })),
  ].sort((a, b) => a.at - b.at);
}
