import { sql } from 'drizzle-orm';
import {
  bigint,
  bigserial,
  boolean,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';

/**
 * The server's memory. A row is a few indexed columns and one document; the document's shape is `core/model`'s, with the
 * schema number it was written under. Migrations are made from this file by drizzle-kit and never edited.
 */
const instant = (name: string) => timestamp(name, { withTimezone: true, precision: 3, mode: 'date' });
const doc = <T>(name: string) => jsonb(name).$type<T>();

/** How often it was tried, when it is tried again, and since when it is set aside: out of the way of the rest, and loud. */
const tried = {
  attempts: integer('attempts').notNull().default(0),
  nextTryAt: instant('next_try_at'),
  setAsideAt: instant('set_aside_at'),
  /** Why it failed, in the words of the code: nothing of what was in it. */
  trouble: text('trouble'),
};

export const household = pgTable('household', {
  id: uuid('id').primaryKey(),
  name: text('name').notNull(),
  /** The household of the club that it belongs to, where it does. */
  club: uuid('club'),
  createdAt: instant('created_at').notNull(),
});

export const device = pgTable('device', {
  id: uuid('id').primaryKey(),
  household: uuid('household').notNull(),
  name: text('name').notNull(),
  person: uuid('person'),
  createdAt: instant('created_at').notNull(),
});

export const thing = pgTable(
  'thing',
  {
    id: uuid('id').primaryKey(),
    household: uuid('household').notNull(),
    type: text('type').notNull(),
    version: integer('version').notNull(),
    schema: integer('schema').notNull(),
    doc: doc<Record<string, unknown>>('doc').notNull(),
    createdAt: instant('created_at').notNull(),
    updatedAt: instant('updated_at').notNull(),
    deletedAt: instant('deleted_at'),
  },
  (t) => [index('thing_by_household').on(t.household, t.type)],
);

/** Things that were erased for good: what comes back by a copy, a file or a device stays out by it. */
export const erased = pgTable('erased', {
  thing: uuid('thing').primaryKey(),
  household: uuid('household').notNull(),
  type: text('type').notNull(),
  at: instant('at').notNull(),
});

/** Photos of things, each once by its hash, in base64 as they travel. */
export const photo = pgTable(
  'photo',
  {
    household: uuid('household').notNull(),
    hash: text('hash').notNull(),
    data: text('data').notNull(),
    createdAt: instant('created_at').notNull(),
  },
  (t) => [primaryKey({ columns: [t.household, t.hash] })],
);

/** A trip's forecast that came with a bundle: where there is one, no service is asked. */
export const tripConditions = pgTable('trip_conditions', {
  trip: uuid('trip').primaryKey(),
  household: uuid('household').notNull(),
  doc: doc<Record<string, unknown>>('doc').notNull(),
  schema: integer('schema').notNull().default(1),
  updatedAt: instant('updated_at').notNull(),
});

/** Every write by its own id: sent twice, done once. `touches` lets two devices change different fields without a quarrel. */
export const command = pgTable(
  'command',
  {
    id: uuid('id').primaryKey(),
    household: uuid('household').notNull(),
    device: uuid('device').notNull(),
    thing: uuid('thing').notNull(),
    version: integer('version').notNull(),
    touches: doc<string[]>('touches').notNull(),
    at: instant('at').notNull(),
    /** Of what was asked: the same id with something else in it is refused, not dropped. */
    bodyHash: text('body_hash'),
    /** The order in which they came, for whoever waits for news. */
    seq: bigserial('seq', { mode: 'number' }).notNull(),
  },
  (t) => [
    uniqueIndex('command_seq').on(t.seq),
    index('command_by_thing').on(t.thing, t.version),
    index('command_by_device').on(t.device, t.at),
  ],
);

export const tick = pgTable(
  'tick',
  {
    household: uuid('household').notNull(),
    list: text('list').notNull(),
    item: text('item').notNull(),
    device: uuid('device').notNull(),
    /** When it was said, by the server's clock. */
    at: instant('at').notNull(),
    on: boolean('is_on').notNull(),
    /** The device's own count: of two words of one device the later one holds, whatever its clock did between them. */
    count: bigint('count', { mode: 'number' }).notNull().default(0),
    /** The order in which they came: of two said at one instant the later to come holds. */
    seq: bigserial('seq', { mode: 'number' }).notNull(),
  },
  (t) => [primaryKey({ columns: [t.household, t.list, t.item, t.device] })],
);

export const plan = pgTable(
  'plan',
  {
    id: uuid('id').primaryKey(),
    household: uuid('household').notNull(),
    trip: uuid('trip').notNull(),
    title: text('title').notNull(),
    zone: text('zone').notNull(),
    version: integer('version').notNull(),
    open: boolean('is_open').notNull(),
    /** The club whose leaders may look on. */
    club: uuid('club'),
    createdAt: instant('created_at').notNull(),
    updatedAt: instant('updated_at').notNull(),
    deletedAt: instant('deleted_at'),
  },
  (t) => [
    index('plan_by_club')
      .on(t.club, t.open)
      .where(sql`${t.club} IS NOT NULL`),
    index('plan_by_household').on(t.household, t.open),
    // One open plan to a trip, whoever files it and on whichever server.
    uniqueIndex('plan_open_once')
      .on(t.trip)
      .where(sql`${t.open}`),
  ],
);

export type PlanRow = typeof plan.$inferSelect;

/** What a filing was computed from and what it said; never changed. Read through `plans/stored`, which grows what is old. */
export const planVersion = pgTable(
  'plan_version',
  {
    plan: uuid('plan').notNull(),
    version: integer('version').notNull(),
    inputs: doc<unknown>('inputs').notNull(),
    assessment: doc<unknown>('assessment').notNull(),
    sheet: doc<unknown>('sheet').notNull(),
    contacts: doc<{ id: string; name: string; phone?: string }[]>('contacts').notNull(),
    skipper: text('skipper').notNull(),
    createdAt: instant('created_at').notNull(),
    schema: integer('schema').notNull().default(1),
  },
  (t) => [primaryKey({ columns: [t.plan, t.version] })],
);

/** The very text of the rules that filed plans leaned on, each once by its hash. */
export const keptPack = pgTable('kept_pack', {
  hash: text('hash').primaryKey(),
  doc: doc<Record<string, unknown>>('doc').notNull(),
  keptAt: instant('kept_at').notNull(),
});

/** What was written with an event, by hash. */
export interface Sealed {
  version?: string;
  messages?: Record<string, string>;
  /** Of what was erased in this plan: hashes of what is left, by version, message and event. They hold from this event on. */
  bared?: Bared;
}
export type Bared = Record<'versions' | 'messages' | 'events', Record<string, string>>;

/** Append-only; each row carries the hash of the one before it in its plan. */
export const planEvent = pgTable(
  'plan_event',
  {
    seq: bigserial('seq', { mode: 'number' }).primaryKey(),
    id: uuid('id').notNull(),
    plan: uuid('plan').notNull(),
    kind: text('kind').notNull(),
    at: instant('at').notNull(),
    madeAt: instant('made_at'),
    data: doc<Record<string, unknown>>('data').notNull(),
    hash: text('hash').notNull(),
    /** Hashes of what was written with it (the version, messages by their id): they stand inside the event's own. */
    sealed: doc<Sealed>('sealed'),
    schema: integer('schema').notNull().default(1),
    /** Of what was asked, where the id came with a request. */
    bodyHash: text('body_hash'),
  },
  (t) => [uniqueIndex('plan_event_once').on(t.id), index('plan_event_by_plan').on(t.plan, t.seq)],
);

export const deadline = pgTable(
  'deadline',
  {
    id: uuid('id').primaryKey(),
    plan: uuid('plan').notNull(),
    kind: text('kind').notNull(),
    dueAt: instant('due_at').notNull(),
    promisedAt: instant('promised_at'),
    open: boolean('is_open').notNull(),
    doneAt: instant('done_at'),
    ...tried,
  },
  (t) => [
    index('deadline_due').on(t.open, t.dueAt),
    index('deadline_by_plan').on(t.plan),
    index('deadline_aside')
      .on(t.setAsideAt)
      .where(sql`${t.setAsideAt} IS NOT NULL`),
    index('deadline_done').on(t.doneAt),
  ],
);

export const message = pgTable(
  'message',
  {
    id: uuid('id').primaryKey(),
    household: uuid('household').notNull(),
    plan: uuid('plan').notNull(),
    contact: uuid('contact'),
    to: text('to_name').notNull(),
    phone: text('phone'),
    mail: text('mail'),
    kind: text('kind').notNull(),
    text: text('text').notNull(),
    link: text('link'),
    madeAt: instant('made_at').notNull(),
    deliveredAt: instant('delivered_at'),
    /** By which way it went; by which it has to go, where another was tried in vain. */
    channel: text('channel'),
    via: text('via'),
    ...tried,
    /** Set aside, and the next was told instead. */
    passedOnAt: instant('passed_on_at'),
  },
  (t) => [
    index('message_waiting')
      .on(t.madeAt)
      .where(sql`${t.deliveredAt} IS NULL`),
    index('message_aside')
      .on(t.setAsideAt)
      .where(sql`${t.setAsideAt} IS NOT NULL`),
    // What was said and waits for an answer.
    index('message_unanswered')
      .on(t.deliveredAt)
      .where(
        sql`${t.passedOnAt} IS NULL AND ${t.contact} IS NOT NULL AND ${t.kind}
          IN ('overdue', 'alarm', 'unreached', 'unanswered', 'trouble', 'trouble.by')`,
      ),
    index('message_by_plan').on(t.plan),
    index('message_by_household').on(t.household, t.madeAt),
  ],
);

/** What the watch knows of itself, one row for all its processes: how it is seen from outside, and from after a restart. */
export const watchState = pgTable('watch_state', {
  id: text('id').primaryKey(),
  /** The latest instant that was trusted. */
  seenAt: instant('seen_at').notNull(),
  sweptAt: instant('swept_at'),
  /** A leap of the clock that was gone along with though nobody could confirm it, ms. */
  leap: bigint('leap', { mode: 'number' }).notNull().default(0),
});

/** Links are kept as hashes; the link itself leaves in its message and is then forgotten here. */
export const contactToken = pgTable(
  'contact_token',
  {
    hash: text('hash').primaryKey(),
    plan: uuid('plan').notNull(),
    contact: uuid('contact').notNull(),
    /** The message that it went with. */
    message: uuid('message'),
    createdAt: instant('created_at').notNull(),
    openedAt: instant('opened_at'),
    endsAt: instant('ends_at'),
  },
  (t) => [index('contact_token_by_plan').on(t.plan), index('contact_token_by_message').on(t.message)],
);

/** Browsers that were let in, by the hash of what their cookie says. One that was thrown out stays on record. */
export const session = pgTable(
  'session',
  {
    hash: text('hash').primaryKey(),
    household: uuid('household').notNull(),
    name: text('name').notNull(),
    device: uuid('device'),
    person: uuid('person'),
    createdAt: instant('created_at').notNull(),
    seenAt: instant('seen_at').notNull(),
    endedAt: instant('ended_at'),
  },
  (t) => [index('session_by_household').on(t.household)],
);

/** Addresses and words that let somebody in once, kept as hashes: whichever process is asked takes them. */
export const entryCode = pgTable(
  'entry_code',
  {
    hash: text('hash').primaryKey(),
    household: uuid('household').notNull(),
    /** What it opens: the household itself, or its club. */
    opens: text('opens').notNull(),
    createdAt: instant('created_at').notNull(),
    endsAt: instant('ends_at').notNull(),
  },
  (t) => [index('entry_code_by_household').on(t.household, t.createdAt)],
);

/** Links by which somebody says a few things of themselves, and nothing else; kept as hashes. */
export const guestToken = pgTable(
  'guest_token',
  {
    hash: text('hash').primaryKey(),
    household: uuid('household').notNull(),
    person: uuid('person').notNull(),
    createdAt: instant('created_at').notNull(),
    endsAt: instant('ends_at').notNull(),
    usedAt: instant('used_at'),
  },
  (t) => [index('guest_by_person').on(t.household, t.person)],
);

/** How each way out last fared, one row for all processes. */
export const channelState = pgTable('channel_state', {
  name: text('name').primaryKey(),
  workedAt: instant('worked_at'),
  failedAt: instant('failed_at'),
  trouble: text('trouble'),
});

/** Browsers of the household that want to be told, by the address that their own service gave them. */
export const pushSubscription = pgTable(
  'push_subscription',
  {
    hash: text('hash').primaryKey(),
    household: uuid('household').notNull(),
    device: uuid('device'),
    endpoint: text('endpoint').notNull(),
    p256dh: text('p256dh').notNull(),
    auth: text('auth').notNull(),
    createdAt: instant('created_at').notNull(),
    endedAt: instant('ended_at'),
  },
  (t) => [index('push_by_household').on(t.household)],
);

/** The stand-in telephone's own record: what lies on the contact's phone. Its key makes ringing twice ring once. */
export const phoneCall = pgTable('phone_call', {
  key: uuid('key').primaryKey(),
  to: text('to_name').notNull(),
  phone: text('phone'),
  text: text('text').notNull(),
  at: instant('at').notNull(),
});
