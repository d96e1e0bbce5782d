import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Press } from '../../ui/press';
import { T } from '../../ui/text';
import { TOUCH } from '../../ui/tokens';
import { useTrip } from '../trip/use-trip';
import { IF } from './words';

/** A line with, at its end, from what its number was reckoned and by which source: it opens under what it tells. */
export function WhyOpens({
  head,
  of,
  lines,
  children,
}: {
  head: ReactNode;
  /** What it is asked of, for who hears it. */
  of: string;
  lines: string[];
  children?: ReactNode;
}) {
  const { says } = useTrip();
  const [open, setOpen] = useState(false);
  return (
    <>
      <View style={{ flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', gap: 8 }}>
        {head}
        <Press
          label={says(IF.whyOf, { of })}
          expanded={open}
          onPress={() => setOpen(!open)}
          style={{ minHeight: TOUCH, paddingHorizontal: 8, justifyContent: 'center' }}
        >
          <T as="small" style={{ textDecorationLine: 'underline' }}>
            {IF.why}
          </T>
        </Press>
      </View>
      {children}
      {open
        ? lines.map((line) => (
            <T key={line} as="small">
              {line}
            </T>
          ))
        : null}
    </>
  );
}
