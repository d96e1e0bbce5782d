import * as z from 'zod';
import { Id, Note, Position, Instant } from './common';

/** What can happen to a filed plan. Events are appended and never edited. */
export const EVENT_KINDS = [
  'filed',
  'accepted',
  'declined',
  'rung',
  'under-way',
  'check-in',
  'amended',
  'later',
  // A contact heard from them; somebody says that they are in trouble; the crew opened what was sealed.
  'heard',
  // They read that somebody is missing, and act.
  'acting',
  'trouble',
  'unsealed',
  'closed',
  'cancelled',
  'reopened',
  'check-in-due',
  'soon',
  'late',
  'overdue',
  'alarm',
  'check-in-missed',
  // A contact could not be reached; what was told came early, by a clock that was wrong.
  'unreached',
  'unanswered',
  'early',
  // The crew took a contact off the plan.
  'withdrawn',
  // What stood in it was erased: who, where and what was said.
  'erased',
] as const;
export type EventKind = (typeof EVENT_KINDS)[number];

/** What a person's device may send. The other kinds come from the server itself. */
export const PlanDeed = z.strictObject({
  id: Id,
  kind: z.enum(['under-way', 'check-in', 'later', 'closed', 'cancelled', 'reopened', 'trouble', 'unsealed']),
  madeAt: Instant,
  /** Of `later`: the new time home. */
  home: Instant.optional(),
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
  /** For `amended`: what it changed, as a contact may read it. */
  changes?: string[];
  /** For `filed`, `amended`, `later` and `heard`: the times that hold from then on. */
  times?: PlanTimes;
}

export interface PlanTimes {
  leave: number;
  turnBack?: number;
  home: number;
  /** A contact is told. */
  overdue: number;
  /** They are asked to ring; absent in what was filed before it was chosen. */
  alarm?: number;
  checkIns: number[];
}

export type PlanState =
  'draft' | 'filed' | 'under-way' | 'late' | 'overdue' | 'alarm' | 'closed' | 'cancelled' | 'found';

/** A row of the sheet. What is only for whoever searches stands apart, sealed: a contact reads it once they are overdue or in trouble. */
export interface SheetRow {
  label: string;
  text: string;
  late?: string;
  /** What stands apart is read in place of the text, not beside it. */
  instead?: true;
  /** Something in what stands apart is kept back by somebody's own word. */
  sealed?: true;
}

/** The frozen sheet: already in words, rendered once when filed, so that pages never recompute. */
export interface Sheet {
  title: string;
  filedAt: string;
  zone: string;
  lines: { head: string; rows: SheetRow[] }[];
  expect: string[];
  ifLate: string[];
  read: string;
  /** Numbers that can be rung with one tap; absent in what was filed before. */
  ring?: { rescue?: { number: string; who: string }; crew: { who: string; phone: string }[] };
  /** The same with what is sealed in it. */
  late?: Pick<Sheet, 'ifLate' | 'read'>;
}

/** How far a contact is with a plan. */
export interface PlanContact {
  id: string;
  name: string;
  accepted: boolean;
  opened?: boolean;
  /** They said that they can't. */
  declined?: boolean;
  /** When they said that they act, and that they have rung for help, epoch ms. */
  acting?: number;
  rung?: number;
  /** The crew took them off the plan: they hear nothing any more. */
  withdrawn?: boolean;
  /** No way to reach them was entered, or none worked. */
  unreached?: boolean;
}

export interface PlanView {
  id: string;
  trip: string;
  version: number;
  title: string;
  state: PlanState;
  zone: string;
  times: PlanTimes;
  /** What the last change of the plan changed, in words; absent where nothing was. */
  changed?: string[];
  /** The times of the last filing or change, before home was put off under way. */
  filed?: PlanTimes;
  nextDeadline?: { kind: string; at: number };
  contacts: PlanContact[];
  sheet: Sheet;
  events: PlanEvent[];
  /** How messages leave this machine: by something real, by a simulated telephone, which reaches nobody, or not at all. */
  channel?: 'real' | 'stand-in' | 'none';
  /** The club looks on. */
  shared?: true;
  /** What is sealed stands open to the contacts just now. */
  unsealed?: boolean;
  /** Somebody said that they are in trouble, and no sign of life came since. */
  trouble?: { at: number; by?: string };
}

/** A plan that is kept for others: what a contact sees of it, and whose it is. */
export interface KeptPlan extends Pick<
  PlanView,
  'id' | 'title' | 'state' | 'zone' | 'times' | 'nextDeadline' | 'trouble' | 'sheet'
> {
  of: string;
  contacts: Pick<PlanContact, 'name' | 'accepted'>[];
}

/** The record of a plan: each event follows from the one before, by its hash. */
export interface PlanRecord {
  links: { seq: number; kind: string; at: number; hash: string }[];
  /** Where it does not hold together: somebody changed it past Escale. */
  broken?: { what: string; seq?: number };
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
  /** By which way; `here` where it stands on the crew's own pages only. */
  channel?: string;
  /** When the link in it was opened, epoch ms: the receipt. */
  opened?: number;
  /** It could not be delivered and is out of the way of the others, since when, epoch ms; it is still tried now and then. */
  setAside?: number;
  /** Why it could not be: `no-way` where the contact has no way to be reached. */
  trouble?: string;
}
