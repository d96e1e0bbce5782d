import { and, eq, gt, isNotNull, isNull, lte, or, sql } from 'drizzle-orm';
import type { AnyPgColumn } from 'drizzle-orm/pg-core';
import { MS } from '@escale/core/units';
import { deadline, message, plan } from '../db/schema';
import { countAll } from '../db/open';
import type { Services } from '../services';
import { unheardAside } from './aside';

/** What waits in the watch, counted. Instants are epoch ms. */
export interface Counted {
  /** The oldest deadline that is due and not dealt with, of those not set aside. */
  oldestDue?: number;
  /** The oldest message that waits to be sent, of those not set aside. */
  oldestUntold?: number;
  /** Deadlines and messages that failed again and again, or could never go. */
  setAside: number;
}

export interface Pulse {
  /** When the watch began, on the counting clock of the process, ms. */
  began: number;
  /** When it was counted, on the same clock. */
  counted: (Counted & { at: number }) | undefined;
  /** When the last round went through, on the same clock. */
  sweptAt: number | undefined;
}

/** Epoch ms as a number, on both drivers. */
const oldest = (column: AnyPgColumn) =>
  sql<number | null>`(extract(epoch from min(${column})) * 1000)::float8`;

/** What was set aside is shown while it can still matter: while its plan is open, or for a day. */
const SHOWN = MS.day;

export async function pulseOf(
  { db, channels }: Pick<Services, 'db' | 'channels'>,
  now: number,
): Promise<Counted> {
  const [due] = await db
    .select({ at: oldest(deadline.dueAt) })
    .from(deadline)
    .where(and(eq(deadline.open, true), isNull(deadline.setAsideAt), lte(deadline.dueAt, new Date(now))));
  const [untold] =
    channels.length > 0
      ? await db
          .select({ at: oldest(message.madeAt) })
          .from(message)
          .where(and(isNull(message.deliveredAt), isNull(message.setAsideAt)))
      : [];
  const recent = new Date(now - SHOWN);
  const [late] = await db
    .select({ n: countAll })
    .from(deadline)
    .where(
      and(
        isNotNull(deadline.setAsideAt),
        isNull(deadline.doneAt),
        or(eq(deadline.open, true), gt(deadline.setAsideAt, recent)),
      ),
    );
  const aside = unheardAside(db);
  const [unheard] = await db
    .select({ n: countAll })
    .from(aside)
    .innerJoin(plan, eq(plan.id, aside.plan))
    .where(eq(plan.open, true));
  return {
    ...(due?.at ? { oldestDue: due.at } : {}),
    ...(untold?.at ? { oldestUntold: untold.at } : {}),
    setAside: late.n + unheard.n,
  };
}
