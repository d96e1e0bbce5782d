import { View } from 'react-native';
import { positionText } from '@escale/core/floatplan';
import { useHere, type Here } from '../../data/here';
import { Check } from '../../ui/mark';
import { T } from '../../ui/text';
import { POSITION } from './words';

/** Where one is goes along only when it is ticked, each time anew. */
export function PositionAsked({
  here,
  onHere,
}: {
  here: Here | undefined;
  onHere: (here: Here | undefined) => void;
}) {
  const { said, ask } = useHere();
  return (
    <View style={{ gap: 2 }}>
      <Check
        label={POSITION.send}
        on={here !== undefined}
        onChange={(on) => (on ? ask(onHere) : onHere(undefined))}
      >
        <T>{POSITION.send}</T>
      </Check>
      {here ? <T as="small">{positionText(here)}</T> : said ? <T role="status">{said}</T> : null}
    </View>
  );
}

/** As it goes to the server. */
export const sentPosition = (here: Here | undefined) =>
  here ? { position: { lat: here.lat, lon: here.lon } } : {};
