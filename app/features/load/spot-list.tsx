import { View } from 'react-native';
import { holdOf, type Hull, type Placed } from '@escale/core/boat';
import type { LoadItem, Spot } from '@escale/core/model';
import { format } from '@escale/core/units';
import { Choice } from '../../ui/choice';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useTrip } from '../trip/use-trip';
import type { Draft } from './use-lie';
import { LOAD } from './words';

type Hold = NonNullable<LoadItem['place']>;
const same = (a: Spot, b: Spot) => Math.abs(a.x - b.x) < 0.005 && Math.abs(a.y - b.y) < 0.005;

/** The same by list: everyone's seat and everything's place, for those who would rather choose than drag. */
export function SpotList({
  hull,
  spots,
  onPut,
}: {
  hull: Hull;
  spots: Placed[];
  onPut: (draft: Draft) => void;
}) {
  const p = usePalette();
  const { reader, says } = useTrip();
  const { seats, holds } = hull.form;
  return (
    <View role="list" aria-label="Who sits where, what lies where">
      {spots
        .filter((s) => s.id !== 'catch')
        .map((s) => {
          const places =
            s.is === 'person'
              ? seats.map((seat) => ({ value: seat.name, label: seat.name, spot: { x: seat.x, y: seat.y } }))
              : holds.map((h) => ({ value: h.id, label: h.name, spot: holdSpot(hull, h.id) }));
          const here = places.find((o) => same(o.spot, s.spot));
          return (
            <View
              key={s.id}
              role="listitem"
              style={{ borderBottomWidth: 1, borderColor: p.line, paddingVertical: 8, gap: 4 }}
            >
              <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 8 }}>
                <T as="strong" style={{ flex: 1 }}>
                  {s.name}
                </T>
                <T>{format(s.mass, 'mass', reader.units)}</T>
              </View>
              <Choice
                label={says(LOAD.place, { name: s.name })}
                options={[
                  ...places,
                  ...(here ? [] : [{ value: 'own', label: 'Where you put it', spot: s.spot }]),
                ]}
                value={here?.value ?? 'own'}
                onChange={(value) => {
                  const to = places.find((o) => o.value === value);
                  if (to) onPut({ id: s.id, spot: to.spot });
                }}
              />
            </View>
          );
        })}
    </View>
  );
}

function holdSpot(hull: Hull, place: Hold): Spot {
  const { x, y } = holdOf(hull, { place });
  return { x, y };
}
