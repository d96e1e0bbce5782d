import { useMemo } from 'react';
import useSWR, { mutate } from 'swr';
import * as z from 'zod';
import { saysTo, type Reader } from '@escale/core/say';
import { setSetting, setting } from './store';

/** What this device remembers for itself. Anything unreadable falls back to the default. */
const Settings = z.object({
  theme: z.enum(['day', 'night', 'sun']).catch('day'),
  units: z.enum(['metric', 'us']).catch('metric'),
  clock: z.enum(['24', '12']).catch('24'),
  /** This device reminds while the application is open, because its person said so. */
  remind: z.boolean().catch(false),
  /** The hint that it can be kept on the device was read. */
  hinted: z.boolean().catch(false),
  /** Steps are read aloud. */
  aloud: z.boolean().catch(false),
  shortcuts: z.boolean().catch(true),
});
export type Settings = z.infer<typeof Settings>;

/** The look is also kept where it can be read before the first paint (`public/look.js`), so that no page flashes. */
function mirror({ theme }: Settings): void {
  if (typeof localStorage !== 'undefined') localStorage.setItem('escale-theme', theme);
}

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
  mirror({ ...now, ...next });
  await mutate('settings');
}

/** Fills templates in which no unit and no time stands, so that nobody has to say who reads. */
export const plainly = saysTo({ units: 'metric', zone: 'UTC', locale: 'en-GB' });

/** Who reads this screen: the units and the clock of this device, the zone of the water. */
export function useReader(zone: string): Reader {
  const { units, clock } = useSettings();
  return useMemo(
    () => ({ units, zone, locale: 'en-GB', hours: clock === '12' ? 12 : 24 }),
    [units, zone, clock],
  );
}
