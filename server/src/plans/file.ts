import { and, eq } from 'drizzle-orm';
import {
  companyOf,
  fold,
  isOpen,
  sheetChanges,
  sheetFrom,
  stillContacts,
  wereTold,
} from '@escale/core/floatplan';
import {
  schemaOf,
  type Assessment,
  type FileRequest,
  type Forecast,
  type PlanTimes,
  type RulePack,
  type Shed,
  type Trip,
} from '@escale/core/model';
import { bodyHash, isTwice, refuseOther } from '../once';
import type { Principal } from '../principal';
import { Refusal } from '../refusal';
import { household, keptPack, plan, planEvent, planVersion } from '../db/schema';
import type { Db } from '../db/open';
import { transact } from '../db/transact';
import type { Services } from '../services';
import { appendEvent, eventsOf } from './events';
import { lockPlan } from './lock';
import { compose, writeAll, type MessageContext } from '../messages/write';
import { conditionsFor } from '@escale/core/water';
import { conditionsOf, loadShed } from '../things/shed';
import { setDeadlines } from './deadlines';
import { frozenShed } from './frozen';
import { toldOf } from './stored';
import { CATALOGUE } from '@escale/core/kit';
import { contentHash, packsOn } from '@escale/core/rules';

/** A filing that came before, by its id: the plan it made or changed. */
async function filedBefore(
  db: Db,
  { household }: Principal,
  request: FileRequest,
): Promise<string | undefined> {
  const [known] = await db
    .select({ plan: planEvent.plan, bodyHash: planEvent.bodyHash })
    .from(planEvent)
    .innerJoin(plan, eq(plan.id, planEvent.plan))
    .where(and(eq(planEvent.id, request.id), eq(plan.household, household)));
  if (!known) return undefined;
  refuseOther(known, bodyHash(request));
  return known.plan;
}

/**
 * File a plan, or a new version of one: the server assesses again, freezes what it was computed from and what it said,
 * and writes events, deadlines and messages in one transaction. The same id twice files once, whatever has happened since.
 * @returns the plan's id
 */
export async function filePlan(services: Services, who: Principal, request: FileRequest): Promise<string> {
  const { db, clock } = services;
  const before = await filedBefore(db, who, request);
  if (before) return before;
  const now = clock.now();
  const { shed, trips } = await loadShed(db, who.household);
  const trip = trips.find((t) => t.id === request.trip);
  if (!trip) throw new Refusal('absent', 'This trip is not on the server yet.');
  const conditions = conditionsFor(trip, await conditionsOf(trip, shed, services, who.household));
  const packs = packsOn(
    shed.waters.find((w) => w.id === trip.water),
    shed,
  );
  const assessment = await services.reckon({ trip, shed, conditions, packs, catalogue: CATALOGUE, now });
  const draft = draftOf(trip, shed, assessment, now, conditions.forecast);
  const version: Version = {
    inputs: {
      trip,
      shed: frozenShed(trip, shed),
      conditions,
      packs: assessment.packs,
      core: assessment.core,
    },
    assessment,
    packs,
    draft,
    trip,
    now,
  };
  try {
    return await transact(db, (tx) => freeze(tx, services, who, request, version));
  } catch (error) {
    // The same was filed at the same instant, by way of another server: what stands there now is the answer.
    const conflict = error instanceof Refusal && error.why === 'conflict';
    if (!conflict && !isTwice(error)) throw error;
    const same = await filedBefore(db, who, request);
    if (same) return same;
    if (!conflict) await refuseSecond(db, trip.id);
    throw error;
  }
}

interface Version {
  inputs: unknown;
  assessment: Assessment;
  packs: RulePack[];
  draft: ReturnType<typeof draftOf>;
  trip: Trip;
  now: number;
}

async function freeze(
  tx: Db,
  { base }: Services,
  who: Principal,
  request: FileRequest,
  { inputs, assessment, packs, draft, trip, now }: Version,
): Promise<string> {
  const id = request.amends ?? request.id;
  const before = await filedBefore(tx, who, request);
  if (before) return before;
  const row = await lockPlan(tx, who, id);
  if (request.amends && !row) throw new Refusal('absent', 'The plan to change is not here.');
  if (row && row.trip !== trip.id) throw new Refusal('conflict', 'This plan is of another trip.');
  const events = row ? await eventsOf(tx, id) : [];
  if (row) refuseEnded(fold(events, now).state);
  else await refuseSecond(tx, trip.id);
  const version = (row?.version ?? 0) + 1;
  const club = trip.toClub ? await clubOf(tx, who.household) : undefined;
  const values = {
    household: who.household,
    club: club ?? null,
    trip: trip.id,
    title: draft.sheet.title,
    zone: draft.sheet.zone,
    version,
    open: true,
    updatedAt: new Date(now),
  };
  if (row) await tx.update(plan).set(values).where(eq(plan.id, id));
  else await tx.insert(plan).values({ ...values, id, createdAt: new Date(now) });
  const stored = {
    inputs,
    assessment,
    sheet: draft.sheet,
    contacts: draft.contacts,
    skipper: draft.skipper,
  };
  // A filed plan names its rules by hash: their text stays readable, whatever becomes of the packs.
  if (packs.length > 0)
    await tx
      .insert(keptPack)
      .values(packs.map((pack) => ({ hash: contentHash(pack), doc: { ...pack }, keptAt: new Date(now) })))
      .onConflictDoNothing();
  await tx.insert(planVersion).values({
    plan: id,
    version,
    ...stored,
    schema: schemaOf('plan-version'),
    createdAt: new Date(now),
  });
  const context: MessageContext = {
    plan: id,
    household: who.household,
    base,
    zone: draft.sheet.zone,
    title: draft.sheet.title,
    skipper: draft.skipper,
    times: draft.times,
    now,
  };
  const kind = row ? 'amended' : 'filed';
  const was = row && (await toldOf(tx, id, row.version)).sheet;
  const changes = was ? sheetChanges(was, draft.sheet) : [];
  const words = row && wereTold(events) ? 'amended.alarmed' : kind;
  const written = compose(words, stillContacts(draft.contacts, events), context, {
    reason: request.reason ?? '',
    ...(row ? { changes: changes.slice(0, CHANGES_SAID).join('; ') } : {}),
  });
  await appendEvent(
    tx,
    {
      id: request.id,
      plan: id,
      kind,
      at: now,
      times: draft.times,
      ...(request.reason ? { note: request.reason } : {}),
      ...(changes.length > 0 ? { changes } : {}),
      bodyHash: bodyHash(request),
    },
    { ...written, version: stored },
  );
  await setDeadlines(tx, id, draft.times, now);
  await writeAll(tx, written);
  return id;
}

/** So many of the changes stand in the message itself; all of them stand on the page. */
const CHANGES_SAID = 3;

/** The club of a household, where it belongs to one. */
async function clubOf(tx: Db, id: string): Promise<string | undefined> {
  const [row] = await tx.select({ club: household.club }).from(household).where(eq(household.id, id));
  return row?.club ?? undefined;
}

function refuseEnded(state: Parameters<typeof isOpen>[0]): void {
  if (!isOpen(state)) throw new Refusal('conflict', 'This plan has ended. File a new one.');
}

export async function refuseSecond(tx: Db, trip: string): Promise<void> {
  const [open] = await tx
    .select({ id: plan.id })
    .from(plan)
    .where(and(eq(plan.trip, trip), eq(plan.open, true)));
  if (open)
    throw new Refusal('conflict', 'A plan for this trip is already open. Send a change instead.', [], {
      plan: open.id,
    });
}

/** Check-ins that are too many are no promise: nobody is told of them. */
const tooMany = ({ findings }: Assessment) => findings.some((f) => f.id.startsWith('day/check-ins/'));

function draftOf(
  trip: Trip,
  shed: Shed,
  assessment: Assessment,
  now: number,
  forecast: Forecast | undefined,
) {
  const boat = shed.boats.find((b) => b.id === trip.boat);
  const water = shed.waters.find((w) => w.id === trip.water);
  const contacts = trip.contacts
    .flatMap((id) => shed.contacts.find((c) => c.id === id) ?? [])
    .map(({ id, name, phone, mail }) => ({
      id,
      name,
      ...(phone ? { phone } : {}),
      ...(mail ? { mail } : {}),
    }));
  const people = trip.crew.flatMap((c) => shed.people.find((p) => p.id === c.person) ?? []);
  const { schedule } = assessment;
  const lacks = [
    !boat && 'no boat is chosen',
    !water && 'no water is chosen',
    people.length === 0 && 'nobody is aboard',
    contacts.length === 0 && 'no contact ashore is chosen',
    !schedule?.home && 'there is no time home: launch, halts and a speed are needed',
    schedule?.overdue !== undefined && schedule.overdue <= now && 'it would be overdue already',
    tooMany(assessment) && 'there are more check-ins than can be kept',
  ].filter((l): l is string => typeof l === 'string');
  if (lacks.length > 0 || !boat || !water || !schedule?.home || schedule.overdue === undefined)
    throw new Refusal('unfit', 'This trip can’t be filed yet.', lacks);
  const times: PlanTimes = {
    leave: schedule.leave,
    home: schedule.home,
    overdue: schedule.overdue,
    ...(schedule.alarm === undefined ? {} : { alarm: schedule.alarm }),
    checkIns: schedule.checkIns,
    ...(schedule.turnBack === undefined ? {} : { turnBack: schedule.turnBack }),
  };
  const full = trip.contacts.flatMap((id) => shed.contacts.find((c) => c.id === id) ?? []);
  const sheet = sheetFrom({
    trip,
    boat,
    people,
    water,
    places: shed.places,
    gear: shed.gear,
    contacts: full,
    assessment,
    filedAt: now,
    company: companyOf(trip, shed.boats, shed.people),
    forecast,
  });
  const skipper =
    people.find((p) => p.id === trip.crew.find((c) => c.role === 'skipper')?.person) ?? people[0];
  return { contacts, times, sheet, skipper: skipper.name };
}
