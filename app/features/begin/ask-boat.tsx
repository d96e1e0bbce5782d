import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { STARTING_POINTS } from '@escale/core/boat/start';
import { CRAFT, type Craft } from '@escale/core/model/lists';
import { Choice, optionsOf } from '../../ui/choice';
import { T } from '../../ui/text';
import { useThings } from '../../data/hooks';
import { PointCard } from '../boat/new-boat';
import type { Asking } from './ask';
import { ASK_BOAT } from './words';

const KINDS = optionsOf(CRAFT);
const ANOTHER = 'another';

/** One that is here, or one of a kind, most like a usual one. */
export function AskBoat({ draft, put }: Asking) {
  const { shed } = useThings();
  const { boat } = draft;
  const set = (next: Partial<typeof boat>) => put({ ...draft, boat: { ...boat, ...next } });
  const here = shed.boats.map((b) => ({ value: b.id, label: b.name }));
  const fresh = here.length === 0 || (boat.id === undefined && boat.kind !== undefined);
  return (
    <View style={{ gap: 14 }}>
      {here.length > 0 ? (
        <Choice
          label={ASK_BOAT.title}
          unfolded
          options={[...here, { value: ANOTHER, label: ASK_BOAT.another }]}
          value={boat.id ?? (fresh ? ANOTHER : undefined)}
          onChange={(value) =>
            put({
              ...draft,
              boat: value === ANOTHER ? { kind: 'sit-on-top' } : value === undefined ? {} : { id: value },
            })
          }
        />
      ) : null}
      {fresh ? (
        <>
          <T as="section" heading={3}>
            {ASK_BOAT.kind}
          </T>
          <Choice
            label={ASK_BOAT.kind}
            unfolded
            options={KINDS}
            value={boat.kind}
            onChange={(kind) => put({ ...draft, boat: { kind: kind as Craft } })}
          />
        </>
      ) : null}
      {fresh && boat.kind ? (
        <View role="radiogroup" aria-label={ASK_BOAT.like} style={{ gap: 8 }}>
          <T as="section" heading={3}>
            {ASK_BOAT.like}
          </T>
          {STARTING_POINTS.filter((s) => s.kind === boat.kind).map((s) => (
            <PointCard
              key={s.id}
              point={s}
              on={s.id === boat.like}
              onPress={() => set({ like: s.id, name: boat.name ?? s.title })}
            />
          ))}
          <T as="small">{ASK_BOAT.guess}</T>
        </View>
      ) : null}
      {fresh && boat.like ? (
        <TextInput
          mode="outlined"
          label={ASK_BOAT.name}
          accessibilityLabel={ASK_BOAT.name}
          value={boat.name ?? ''}
          onChangeText={(name) => set({ name })}
          maxLength={120}
        />
      ) : null}
    </View>
  );
}
