import { View } from 'react-native';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';

/** A part of the screen on the water, under its own short head. */
export function Panel({ title, children }: { title: string; children: React.ReactNode }) {
  const p = usePalette();
  return (
    <View style={{ borderTopWidth: 1, borderColor: p.line, paddingTop: 10, gap: 2 }}>
      <T as="caps">{title}</T>
      {children}
    </View>
  );
}
