import * as z from 'zod';
import { Id, Note, Position } from './common';

/** What can happen to a filed plan. Events are appended and never edited. */
export const EVENT_KINDS = [
  'filed',
  'accepted',
  'under-way',
  'check-in',
  'amended',
  'closed',
  'cancelled',
  'late',
  'overdue',
  'alarm',
  'check-in-missed',
] as const;
export type EventKind = (typeof EVENT_KINDS)[number];

/** What a person's device may send. The other kinds come from the server itself. */
export const PlanDeed = z.strictObject({
  id: Id,
  kind: z.enum(['under-way', 'check-in', 'closed', 'cancelled']),
  madeAt: z.iso.datetime(),
  position: Position.optional(),
  note: Note.optional(),
});
export type PlanDeed = z.infer<typeof PlanDeed>;

export const FileRequest = z.strictObject({
  id: Id,
  trip: Id,
  amends: Id.optional(),
  reason: Note.optional(),
});
export type FileRequest = z.infer<typeof FileRequest>;

export interface PlanEvent {
  seq: number;
  plan: string;
  kind: EventKind;
  /** Server's clock, epoch ms: deadlines use this one. */
  at: number;
  /** Device's clock, epoch ms, where a device made it. */
  madeAt?: number;
  note?: string;
  contact?: string;
  position?: { lat: number; lon: number };
  /** For `filed` and `amended`: the times that hold from then on. */
  times?: PlanTimes;
}

export interface PlanTimes {
  leave: number;
  turnBack?: number;
  home: number;
  overdue: number;
  checkIns: number[];
}

export type PlanState =
  'draft' | 'filed' | 'under-way' | 'late' | 'overdue' | 'alarm' | 'closed' | 'cancelled' | 'found';

/** The frozen sheet: already in words, rendered once when filed, so that pages never recompute. */
export interface Sheet {
  title: string;
  filedAt: string;
  zone: string;
  lines: { head: string; rows: { label: string; text: string }[] }[];
  expect: string[];
  ifLate: string[];
  read: string;
}

export interface PlanView {
  id: string;
  trip: string;
  version: number;
  title: string;
  state: PlanState;
  zone: string;
  times: PlanTimes;
  nextDeadline?: { kind: string; at: number };
  contacts: { id: string; name: string; accepted: boolean; opened?: boolean; link?: string }[];
  sheet: Sheet;
  events: PlanEvent[];
  /** How messages leave this machine: by a simulated telephone, which reaches nobody, or not at all. */
  channel?: 'stand-in' | 'none';
}

export interface MessageView {
  id: string;
  plan: string;
  contact?: string;
  to: string;
  kind: string;
  text: string;
  made: number;
  delivered?: number;
}
