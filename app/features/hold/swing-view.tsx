import { useMemo } from 'react';
import { View } from 'react-native';
import { Circle, Line } from 'react-native-svg';
import { shoreOf } from '@escale/core/chart';
import type { Held, Stay } from '@escale/core/hold';
import type { Place, Water } from '@escale/core/model';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useTrip } from '../trip/use-trip';
import { LocalMap } from './local-map';
import { SWING } from './words';

/** Her circle takes a third of the picture, or less, so that a shore within four times of it is seen. */
const ROOM = 1.4,
  GONE_AFTER = 4;

/** The circle over which she swings, north up, against the shore and the hazards that are drawn. */
export function SwingView({
  stay: { place },
  water,
  places,
  now: { swing, pull },
  lacks,
}: {
  stay: Stay;
  water: Water | undefined;
  places: readonly Place[];
  now: Held;
  /** Why nothing can be drawn, where that is so. */
  lacks: string;
}) {
  const p = usePalette();
  const { says } = useTrip();
  const nearest = useMemo(() => shoreOf(water?.chart)?.nearest(place.position), [water, place]);
  const circle = swing?.high ?? 0;
  const radius =
    nearest && nearest.metres < GONE_AFTER * circle
      ? Math.max(nearest.metres * 1.1, circle * ROOM)
      : circle * ROOM;
  const lies = ((pull.lies.towards ?? 0) * Math.PI) / 180;
  return (
    <View style={{ gap: 6 }}>
      <T as="section" heading={2}>
        {SWING.title}
      </T>
      {swing ? (
        <>
          <LocalMap centre={place.position} radius={radius} water={water} places={places} label={SWING.drawn}>
            {({ put, scale }) => {
              const { x, y } = put(place.position);
              const [out, far] = [swing.high * scale, swing.low * scale];
              return (
                <>
                  <Circle cx={x} cy={y} r={out} fill="none" stroke={p.ink} strokeWidth={2} />
                  <Circle cx={x} cy={y} r={far} fill="none" stroke={p.ink} strokeDasharray="4 3" />
                  {pull.lies.towards === undefined ? null : (
                    <Line
                      x1={x}
                      y1={y}
                      x2={x + far * Math.sin(lies)}
                      y2={y - far * Math.cos(lies)}
                      stroke={p.ink}
                      strokeWidth={3}
                    />
                  )}
                  <Circle cx={x} cy={y} r={4} fill={p.ink} />
                </>
              );
            }}
          </LocalMap>
          <T>{says(SWING.says, swing)}</T>
        </>
      ) : (
        <T as="soft">{lacks}</T>
      )}
      <T as="soft">
        {nearest
          ? says(SWING.shore, { metres: nearest.metres, bearing: Math.round(nearest.bearing) })
          : SWING.noShore}
      </T>
      {pull.lies.heading === undefined ? null : (
        <T as="soft">{says(SWING.lies, { heading: Math.round(pull.lies.heading) })}</T>
      )}
    </View>
  );
}
