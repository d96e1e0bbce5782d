import { View } from 'react-native';
import { isSmall, knifeInReach, reachOn, type Lying, type OnHold } from '@escale/core/hold';
import type { GearItem } from '@escale/core/model';
import { T } from '../../ui/text';
import { useTrip } from '../trip/use-trip';
import { GO_OFF } from './words';

/** What lets go in a second: release, float, knife; the two ways to clip a running rig, with what each asks of arms and boat. */
export function LetGo({
  on,
  lying,
  item,
}: {
  on: OnHold;
  lying: Lying | undefined;
  item: GearItem | undefined;
}) {
  const { says } = useTrip();
  const small = on.boat !== undefined && isSmall(on.boat);
  const reach = small && on.boat && lying && reachOn(on.boat, lying.hull, on.trip, on.people, on.density);
  const rows = [
    item?.release === 'quick' ? GO_OFF.release : item?.release ? GO_OFF.knot : GO_OFF.unsaid,
    knifeInReach(on) ? GO_OFF.knife : GO_OFF.noKnife,
    item?.float ? GO_OFF.float : GO_OFF.noFloat,
    GO_OFF.clear,
  ];
  return (
    <View style={{ gap: 8, padding: 12 }}>
      <View role="list" style={{ gap: 4 }}>
        {rows.map((row) => (
          <T role="listitem" key={row}>
            {row}
          </T>
        ))}
      </View>
      <T as="strong">{GO_OFF.when}</T>
      <View role="list">
        {GO_OFF.triggers.map((each) => (
          <T role="listitem" key={each}>
            {each}
          </T>
        ))}
      </View>
      {reach ? (
        <View style={{ gap: 4 }}>
          <T as="strong">{GO_OFF.ways}</T>
          <T>{GO_OFF.through}</T>
          <T>
            {says(GO_OFF.toRing, {
              bow: reach.bow,
              stern: reach.stern,
              low: reach.arm.low,
              high: reach.arm.high,
            })}
          </T>
          <T>
            {reach.heel === undefined || reach.free === undefined
              ? GO_OFF.over
              : says(reach.free > 0 ? GO_OFF.leaning : GO_OFF.edge, { heel: reach.heel, free: reach.free })}
          </T>
        </View>
      ) : null}
    </View>
  );
}
