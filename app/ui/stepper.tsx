import { View } from 'react-native';
import { Button } from './button';
import { T } from './text';

/** A figure that goes up and down by steps: what it is, what it says now, and a button either side. */
export function Stepper({
  what,
  named = true,
  tight = false,
  said,
  less,
  more,
  signs = ['−', '+'],
  onLess,
  onMore,
}: {
  what: string;
  /** Its name stands above it already. */
  named?: boolean;
  /** In a cell of a table. */
  tight?: boolean;
  said: string;
  /** Names of the two buttons for who does not see where they stand. */
  less: string;
  more: string;
  /** What stands on them. */
  signs?: readonly [string, string];
  onLess: () => void;
  onMore: () => void;
}) {
  return (
    <View role="group" aria-label={what} style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
      {named ? (
        <T as="label" style={{ width: 52 }}>
          {what}
        </T>
      ) : null}
      <Button label={less} onPress={onLess} style={SQUARE}>
        {signs[0]}
      </Button>
      <View aria-live="polite" style={{ minWidth: tight ? 32 : 84, alignItems: 'center' }}>
        <T as="strong">{said}</T>
      </View>
      <Button label={more} onPress={onMore} style={SQUARE}>
        {signs[1]}
      </Button>
    </View>
  );
}
const SQUARE = { width: 48, paddingHorizontal: 0 };
