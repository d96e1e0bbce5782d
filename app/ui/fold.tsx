import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Press } from './press';
import { T } from './text';
import { usePalette } from './theme';

/** One row with its count that opens. */
export function Fold({
  title,
  begin = false,
  children,
}: {
  title: string;
  /** Open from the start, or from when this becomes true. */
  begin?: boolean;
  children: ReactNode;
}) {
  const p = usePalette();
  const [open, setOpen] = useState(begin);
  const [asked, setAsked] = useState(begin);
  // It opens when it is asked to; it never closes by itself under a finger.
  if (begin !== asked) {
    setAsked(begin);
    if (begin) setOpen(true);
  }
  return (
    <View>
      <Press
        label={title}
        expanded={open}
        onPress={() => setOpen(!open)}
        style={{
          flexDirection: 'row',
          justifyContent: 'space-between',
          alignItems: 'center',
          minHeight: 56,
          paddingHorizontal: 12,
          borderBottomWidth: 1,
          borderColor: p.line,
          backgroundColor: p.raised,
        }}
      >
        <T as="strong">{title}</T>
        <T as="small">{open ? 'close' : 'open'}</T>
      </Press>
      {open ? children : null}
    </View>
  );
}
