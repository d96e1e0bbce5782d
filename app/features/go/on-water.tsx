import type { ReactNode } from 'react';
import { skyAt } from '@escale/core/earth';
import { MS } from '@escale/core/units';
import { Themed } from '../../ui/theme';
import { useNow } from '../../data/hooks';
import { useSettings } from '../../data/settings';
import { useTrip } from '../trip/use-trip';

/** Eyes that must stay used to the dark get the night’s colours in the dark, and only there. */
export function OnWater({ children }: { children: ReactNode }) {
  const { theme } = useSettings();
  const { trip, shed } = useTrip();
  const now = useNow(MS.minute);
  const launch = shed.places.find((pl) => pl.id === trip.launch);
  const dark = launch ? skyAt(launch.position, now) !== 'day' : theme === 'night';
  return <Themed theme={dark ? 'night' : theme}>{children}</Themed>;
}
