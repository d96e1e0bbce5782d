import type { Channel as ChannelView } from '@escale/core/model';
import { channelState } from '../db/schema';
import type { Db } from '../db/open';
import { codeOf } from '../db/transact';
import type { Channel, ChannelName } from './channel';

/** How a way fared just now. */
export interface Fared {
  name: ChannelName;
  error?: unknown;
}

/** The last word of each way is kept: what went after something failed says that it works again. */
export async function noteChannels(db: Db, fared: Fared[], now: number): Promise<void> {
  const last = new Map(fared.map((one) => [one.name, one]));
  for (const { name, error } of last.values()) {
    const at = new Date(now);
    const set =
      error === undefined
        ? { workedAt: at, failedAt: null, trouble: null }
        : { failedAt: at, trouble: codeOf(error) ?? (error instanceof Error ? error.name : 'Error') };
    await db
      .insert(channelState)
      .values({ name, ...set })
      .onConflictDoUpdate({ target: channelState.name, set });
  }
}

/** Each way that is set up, and how it stands. */
export async function channelsOf(db: Db, channels: readonly Channel[]): Promise<ChannelView[]> {
  const rows = await db.select().from(channelState);
  return channels.map(({ name, simulated }) => {
    const row = rows.find((r) => r.name === name);
    return {
      name,
      ...(simulated ? { simulated } : {}),
      ...(row?.workedAt ? { worked: row.workedAt.getTime() } : {}),
      ...(row?.failedAt ? { failing: row.failedAt.getTime() } : {}),
      ...(row?.failedAt && row.trouble ? { trouble: row.trouble } : {}),
    };
  });
}

/** Asked once when the server starts: a way that is not there is known before anybody leans on it. */
export async function probeChannels(db: Db, channels: readonly Channel[], now: number): Promise<void> {
  const fared = await Promise.all(
    channels.flatMap(({ name, probe }) =>
      probe
        ? [
            probe().then(
              (): Fared => ({ name }),
              (error: unknown): Fared => ({ name, error }),
            ),
          ]
        : [],
    ),
  );
  await noteChannels(db, fared, now);
}
