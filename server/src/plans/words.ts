import { sheetNow } from '@escale/core/floatplan';
import type { PlanEvent, Sheet } from '@escale/core/model';

/** What is to be done first and whom to ring, in the words of the sheet: with what is sealed in it, for these are said when it opens. */
export function firstAndCall(sheet: unknown, events: PlanEvent[]): { first: string; call: string } {
  const readable = Array.isArray((sheet as { ifLate?: unknown } | null)?.ifLate);
  const now = readable ? sheetNow(sheet as Sheet, events) : undefined;
  const [first, call] = (now?.late ?? now)?.ifLate ?? [];
  const text = (line: unknown) => (typeof line === 'string' ? line : '');
  return { first: text(first), call: text(call) };
}

export const callOf = (sheet: Sheet, events: PlanEvent[]): string => firstAndCall(sheet, events).call;
