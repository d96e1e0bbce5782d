import { useMemo } from 'react';
import useSWR, { mutate } from 'swr';
import * as z from 'zod';
import { saysTo } from '@escale/core/say';
import type { UnitSystem } from '@escale/core/units';
import { setSetting, setting } from './store';

/** What this device remembers for itself. Anything unreadable falls back to the default. */
const Settings = z.object({
  theme: z.enum(['day', 'night', 'sun']).catch('day'),
  units: z.enum(['metric', 'us']).catch('metric'),
  shortcuts: z.boolean().catch(true),
});
export type Settings = z.infer<typeof Settings>;

const DEFAULTS: Settings = Settings.parse({});

export function useSettings(): Settings {
  return (
    useSWR('settings', async () => Settings.parse((await setting('own')) ?? {}), { refreshInterval: 0 })
      .data ?? DEFAULTS
  );
}

export async function setSettings(next: Partial<Settings>): Promise<void> {
  const now = Settings.parse((await setting('own')) ?? {});
  await setSetting('own', { ...now, ...next });
  await mutate('settings');
}

/** Fills templates in which no unit and no time stands, so that nobody has to say who reads. */
export const plainly = saysTo({ units: 'metric', zone: 'UTC', locale: 'en-GB' });

/** Who reads this screen: the units of this device, the zone of the water. */
export function useReader(zone: string): { units: UnitSystem; zone: string; locale: string } {
  const { units } = useSettings();
  return useMemo(() => ({ units, zone, locale: 'en-GB' }), [units, zone]);
}
