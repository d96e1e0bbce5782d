import type { ReactNode } from 'react';
import { View } from 'react-native';
import { usePathname } from 'expo-router';
import { useWide } from '../../ui/page';
import { usePalette } from '../../ui/theme';
import { useDoorShut, useSending, useThings } from '../../data/hooks';
import { DemoBar } from './demo-bar';
import { Door } from '../device/door';
import { Nav } from './nav';
import { Shortcuts } from './shortcuts';
import { Overdue } from './overdue';
import { Reminders } from './reminders';
import { SignalBar } from './signal';
import { Update } from './update';

/** Pages that stand alone on the screen: nothing but the matter at hand. */
const ALONE = /\/(run\/|under-way$|trouble\/|paper$)/;

export function Frame({ children }: { children: ReactNode }) {
  const p = usePalette();
  const wide = useWide();
  const alone = ALONE.test(usePathname());
  useSending();
  const { ready } = useThings();
  const out = useDoorShut() && !ready && !alone;
  return (
    <View style={{ flex: 1, backgroundColor: p.paper }}>
      {wide && !alone ? <Nav /> : null}
      <Update />
      <DemoBar />
      <Overdue />
      <Reminders />
      <SignalBar doorSaid={out} />
      <View style={{ flex: 1 }}>{out ? <Door /> : children}</View>
      {!wide && !alone ? <Nav /> : null}
      <Shortcuts />
    </View>
  );
}
