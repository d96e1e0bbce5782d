import data from '../../data/floatplan/escalation.json';
import type { Trip } from '../model';
import { MS } from '../units';

/**
 * Who hears what, and when, if nobody comes home (source `overdue`: launch and phones are tried half an hour to an hour past the
 * time, the rescue service is rung at the stated hour, at once with children or bad weather). Minutes after the time home.
 */
export type Step = keyof typeof data.steps;
export const STEPS = data.steps;
/** So long before home the crew is reminded, and so long a told contact is waited for, ms. */
export const REMINDED_BEFORE = data.reminded.before * MS.minute;
export const ANSWER_WITHIN = data.answer.within * MS.minute;

/** Why one acts sooner than is usual. */
export const SOONER = data.sooner;
export type Sooner = keyof typeof SOONER;
export const REASONS = Object.keys(SOONER) as Sooner[];

/** Both steps in minutes after home. */
export type Steps = Record<Step, number>;

type Wants = Pick<Trip, 'graceMinutes' | 'alarmMinutes'>;

const within = (minutes: number, { least, most }: (typeof STEPS)[Step]) =>
  Math.min(most, Math.max(least, minutes));

/**
 * The steps that hold: what the crew chose, as far as the bounds go; else what is usual, or sooner with a reason. Who puts the first
 * off and says nothing of the second has it put off as far; nobody is asked to ring before they were told.
 */
export function stepsOf({ graceMinutes, alarmMinutes }: Wants, reasons: readonly Sooner[]): Steps {
  const way = reasons.length > 0 ? 'sooner' : 'usual';
  const told = within(graceMinutes ?? STEPS.told[way], STEPS.told);
  const apart = STEPS.alarm[way] / STEPS.told[way];
  const alarm = within(alarmMinutes ?? told * apart, STEPS.alarm);
  return { told, alarm: Math.max(told, alarm) };
}

/** What the crew chose beyond a bound, and where a reason speaks for sooner than they chose. */
export function chosenLate(wants: Wants, reasons: readonly Sooner[]): { bound?: number; soon?: number } {
  const { graceMinutes: told, alarmMinutes: alarm } = wants;
  const usual = stepsOf({}, reasons);
  return {
    ...(told !== undefined && told > STEPS.told.most ? { bound: STEPS.told.most } : {}),
    ...(reasons.length > 0 && ((told ?? 0) > usual.told || (alarm ?? 0) > usual.alarm)
      ? { soon: usual.told }
      : {}),
  };
}
