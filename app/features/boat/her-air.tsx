import { View } from 'react-native';
import { airFindings } from '@escale/core/boat';
import type { Boat } from '@escale/core/model';
import { render } from '@escale/core/say';
import { T } from '../../ui/text';
import { useReader } from '../../data/settings';

/** What the overnight test of her tubes says, by the day of its second reading: how fresh it is, each trip tells. */
export function HerAir({ boat }: { boat: Boat }) {
  const reader = useReader('UTC');
  const [found] = boat.airTest ? airFindings(boat, boat.airTest.second?.on) : [];
  if (!found) return null;
  return (
    <View role="status">
      <T as="strong">{render(found.title, reader)}</T>
      {found.because.map((because) => (
        <T key={because.say}>{render(because, reader)}</T>
      ))}
    </View>
  );
}
