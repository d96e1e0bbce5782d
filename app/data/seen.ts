import { useCallback, useEffect, useMemo } from 'react';
import useSWR, { mutate } from 'swr';
import * as z from 'zod';
import type { Assessment } from '@escale/core/model';
import { asksOf, compare, type Change } from '@escale/core/trip';
import { setSetting, setting } from './store';

/** What a trip asked for, and by which version of which pack, when its kit was last looked over on this device. */
const Seen = z.object({
  asks: z.array(
    z.object({
      key: z.string(),
      title: z.string(),
      layer: z.enum(['law', 'advice', 'own']),
      times: z.number(),
    }),
  ),
  packs: z.record(z.string(), z.string()),
});
type Seen = z.infer<typeof Seen>;

export interface Since extends Pick<Change, 'comes' | 'goes'> {
  /** Packs that hold in another version than at the last look. */
  packs: { id: string; from: string; to: string }[];
  /** From now on this is what is known. */
  seen: () => void;
}

/** What came and went since the kit of a trip was last marked as seen. The first look sees everything. */
export function useSince(trip: string, assessment: Assessment, people: number): Since {
  const key = `seen:${trip}`;
  const now = useMemo<Seen>(
    () => ({
      asks: asksOf(assessment.requirements, people),
      packs: Object.fromEntries(assessment.packs.map((p) => [p.id, p.version])),
    }),
    [assessment, people],
  );
  // An unreadable memory is no memory: the next look begins it anew.
  const { data: then } = useSWR(key, async () => Seen.safeParse(await setting(key)).data ?? null, {
    refreshInterval: 0,
  });
  const seen = useCallback(() => void setSetting(key, now).then(() => mutate(key)), [key, now]);
  useEffect(() => {
    if (then === null) seen();
  }, [then, seen]);
  return useMemo(() => {
    if (!then) return { comes: [], goes: [], packs: [], seen };
    const packs = Object.entries(now.packs).flatMap(([id, to]) =>
      then.packs[id] !== undefined && then.packs[id] !== to ? [{ id, from: then.packs[id], to }] : [],
    );
    return { ...compare(then.asks, now.asks), packs, seen };
  }, [then, now, seen]);
}
