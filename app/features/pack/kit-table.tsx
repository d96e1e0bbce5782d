import { ScrollView, View } from 'react-native';
import { STOWAGE, type Stowage } from '@escale/core/model/lists';
import { TextLink } from '../../ui/press';
import { TableHead } from '../../ui/table-head';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { thingHref } from '../../data/where';
import { gearState, placeWord } from '../shed/gear-note';
import { plainly } from '../../data/settings';
import { useTrip } from '../trip/use-trip';
import { useGoes } from './goes';
import { KIT } from './words';

const PLACES = Object.keys(STOWAGE) as Stowage[];
const HEADS = [KIT.what, KIT.where, KIT.state];
const cell = { flex: 1, justifyContent: 'center', paddingVertical: 2, paddingRight: 8 } as const;

/** All that travels on one page: what, where, in what state. Nearest to the body first. */
export function KitTable() {
  const p = usePalette();
  const { trip } = useTrip();
  const goes = useGoes().toSorted((a, b) => PLACES.indexOf(a.place) - PLACES.indexOf(b.place));
  return (
    <ScrollView
      role="complementary"
      aria-label={KIT.travels}
      style={{ width: 400, flexGrow: 0, borderLeftWidth: 1, borderColor: p.line }}
      contentContainerStyle={{ padding: 14 }}
    >
      <T as="section" heading={2}>
        {KIT.travels}
      </T>
      <View role="table" aria-label={KIT.travels}>
        <TableHead heads={HEADS} cell={cell} />
        {goes.map(({ key, title, count, place, item, forgottenOn }) => (
          <View
            key={key}
            role="row"
            style={{ flexDirection: 'row', minHeight: 48, borderBottomWidth: 1, borderColor: p.line }}
          >
            <View role="cell" style={cell}>
              {item ? (
                <TextLink href={thingHref('gear', item.id)}>
                  {count > 1 ? plainly(KIT.count, { n: count, title }) : title}
                </TextLink>
              ) : (
                <T>{title}</T>
              )}
            </View>
            <View role="cell" style={cell}>
              <T as="small">{placeWord(place)}</T>
            </View>
            <View role="cell" style={cell}>
              <T as="small">
                {item
                  ? gearState(item, trip.leave.date)
                  : forgottenOn
                    ? plainly(KIT.notedAfter, { on: forgottenOn })
                    : ''}
              </T>
            </View>
          </View>
        ))}
      </View>
      {goes.length === 0 ? <T as="soft">{KIT.nothingGoes}</T> : null}
    </ScrollView>
  );
}
