import { View } from 'react-native';
import { Button } from '../../ui/button';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { inDemo, leaveDemo } from '../../data/memory';
import { DEMO } from '../device/words';

/** In the demo every page says so, and has the way out. */
export function DemoBar() {
  const p = usePalette();
  if (!inDemo) return null;
  return (
    <View
      role="region"
      aria-label={DEMO.name}
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: 12,
        paddingHorizontal: 14,
        backgroundColor: p.water3,
        borderBottomWidth: 1,
        borderColor: p.ink,
      }}
    >
      <T as="label" style={{ flex: 1 }}>
        {DEMO.is}
      </T>
      <Button kind="quiet" once onPress={() => void leaveDemo()}>
        {DEMO.leave}
      </Button>
    </View>
  );
}
