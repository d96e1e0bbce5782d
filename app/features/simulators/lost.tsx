import { View } from 'react-native';
import { T } from '../../ui/text';
import { useSaying } from './use-saying';

/** Less than this is not worth a line. */
const LEAST = 0.5;

/** What each fault took off, where it took anything. */
export function Lost<Name extends string>({
  lost,
  words,
}: {
  lost: Readonly<Record<Name, number>>;
  words: Readonly<Record<Name, string>>;
}) {
  const says = useSaying();
  const names = (Object.keys(words) as Name[]).filter((name) => lost[name] >= LEAST);
  return names.map((name) => (
    <View key={name} style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 8 }}>
      <T>{words[name]}</T>
      <T as="strong">{says('−{lost}', { lost: Math.round(lost[name]) })}</T>
    </View>
  ));
}
