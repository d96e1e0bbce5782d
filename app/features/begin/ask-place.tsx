import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { WATERS } from '@escale/core/model/lists';
import { Choice, optionsOf } from '../../ui/choice';
import { T } from '../../ui/text';
import { useThings } from '../../data/hooks';
import { WhereField } from '../where/where-field';
import type { Asking } from './ask';
import type { Draft } from './draft';
import { ASK_PLACE } from './words';

const ANOTHER = 'another';
const KINDS = optionsOf(WATERS);
type Water = Draft['place']['water'];

/** A launch that is here, or a new one: by this device, typed or pasted, or out of a file; and the water it lies on. */
export function AskPlace({ draft, put }: Asking) {
  const { shed } = useThings();
  const { place } = draft;
  const set = (next: Partial<typeof place>) => put({ ...draft, place: { ...place, ...next } });
  const launches = shed.places
    .filter((pl) => pl.kind === 'launch')
    .map((pl) => ({ value: pl.id, label: pl.name }));
  const fresh = place.id === undefined;
  return (
    <View style={{ gap: 14 }}>
      {launches.length > 0 ? (
        <Choice
          label={ASK_PLACE.title}
          options={[...launches, { value: ANOTHER, label: ASK_PLACE.another }]}
          value={place.id ?? ANOTHER}
          onChange={(id) => put({ ...draft, place: id === ANOTHER || id === undefined ? {} : { id } })}
        />
      ) : null}
      {fresh ? (
        <>
          <TextInput
            mode="outlined"
            label={ASK_PLACE.name}
            accessibilityLabel={ASK_PLACE.name}
            value={place.name ?? ''}
            onChangeText={(name) => set({ name })}
            maxLength={120}
          />
          <WhereField
            label={ASK_PLACE.where}
            text={place.where ?? ''}
            onText={(where, name) => set({ where, ...(name && !place.name ? { name } : {}) })}
          />
          <T as="small">{ASK_PLACE.open}</T>
          <T as="section" heading={3}>
            {ASK_PLACE.water}
          </T>
          <Choice
            label={ASK_PLACE.water}
            unfolded
            options={KINDS}
            value={place.water}
            onChange={(water) => set({ water: water as Water })}
          />
        </>
      ) : null}
    </View>
  );
}
