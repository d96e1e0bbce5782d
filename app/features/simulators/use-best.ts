import useSWR, { mutate } from 'swr';
import * as z from 'zod';
import { setting, setSetting } from '../../data/store';

/** The best runs of this device, by simulator and course: practice at a screen stands with no person and counts as no drill. */
const Bests = z.record(z.string(), z.object({ points: z.number(), on: z.string() })).catch({});
type Best = z.infer<typeof Bests>[string];

const KEY = 'practice';

export function useBest(name: string): Best | undefined {
  return useSWR(KEY, async () => Bests.parse((await setting(KEY)) ?? {}), { refreshInterval: 0 }).data?.[
    name
  ];
}

/** Kept where it is better than what stood there. */
export async function keepBest(name: string, run: Best): Promise<void> {
  const all = Bests.parse((await setting(KEY)) ?? {});
  const before = all[name] as Best | undefined;
  if (before && before.points >= run.points) return;
  await setSetting(KEY, { ...all, [name]: run });
  await mutate(KEY);
}
