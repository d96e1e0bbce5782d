import { View } from 'react-native';
import { T } from './text';
import { usePalette } from './theme';

/** A cell of a table that is read; its columns are alike. */
export const CELL = { flex: 1, paddingVertical: 4, paddingRight: 6 } as const;

/** What stands over the columns of a table. */
export function TableHead({ heads, cell = CELL }: { heads: readonly string[]; cell?: object }) {
  const p = usePalette();
  return (
    <View role="row" style={{ flexDirection: 'row', borderBottomWidth: 2, borderColor: p.ink }}>
      {heads.map((head) => (
        <View key={head} role="columnheader" style={cell}>
          <T as="label">{head}</T>
        </View>
      ))}
    </View>
  );
}
