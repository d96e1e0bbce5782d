import { useState } from 'react';
import { View } from 'react-native';
import { Press } from '../../ui/press';
import { T } from '../../ui/text';
import { TOUCH } from '../../ui/tokens';
import { useTrip } from '../trip/use-trip';
import { IF } from './words';

/** From what a number was reckoned, and by which source: it opens under it. */
export function WhyOpens({ of, name, children }: { of: string; name: string; children: string[] }) {
  const { says } = useTrip();
  const [open, setOpen] = useState(false);
  return (
    <View>
      <Press
        label={says(IF.whyOf, { of })}
        expanded={open}
        onPress={() => setOpen(!open)}
        style={{ minHeight: TOUCH, justifyContent: 'center', alignSelf: 'flex-start' }}
      >
        <T as="small" style={{ textDecorationLine: 'underline' }}>
          {IF.why}
        </T>
      </Press>
      {open
        ? children.map((line, i) => (
            <T key={`${name}-${String(i)}`} as="small">
              {line}
            </T>
          ))
        : null}
    </View>
  );
}
