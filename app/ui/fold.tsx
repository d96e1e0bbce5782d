import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Press } from './press';
import { T } from './text';
import { usePalette } from './theme';
import { plainly } from '../data/settings';

/** One row with its count that opens. */
export function Fold({
  title,
  note,
  begin = false,
  children,
}: {
  title: string;
  /** How it stands, at the end of the row. */
  note?: string;
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
        label={note === undefined ? title : plainly('{title}: {note}', { title, note })}
        expanded={open}
        onPress={() => setOpen(!open)}
        style={{
          flexDirection: 'row',
          justifyContent: 'space-between',
          alignItems: 'center',
          gap: 12,
          minHeight: 56,
          paddingHorizontal: 12,
          borderBottomWidth: 1,
          borderColor: p.line,
          backgroundColor: p.raised,
        }}
      >
        <T as="strong" style={{ flexShrink: 1 }}>
          {title}
        </T>
        <T as="small" style={{ maxWidth: '55%', textAlign: 'right' }}>
          {open ? 'close' : (note ?? 'open')}
        </T>
      </Press>
      {open ? children : null}
    </View>
  );
}
