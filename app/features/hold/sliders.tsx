import { View } from 'react-native';
import type { Lying } from '@escale/core/hold';
import { KNOT } from '@escale/core/units';
import { useWide } from '../../ui/page';
import { Slider } from '../../ui/slider';
import { useTrip } from '../trip/use-trip';
import { acrossAt, ENDS, type Trying } from './use-tried';
import { HOLD } from './words';

/** How far the sliders go, and by what: metres, and m/s in half knots. */
const SCALE = {
  depth: { from: 0.2, until: 20, step: 0.1 },
  wind: { from: 0, until: 40 * KNOT, step: KNOT / 2 },
  stream: { from: 0, until: 4 * KNOT, step: KNOT / 10 },
  out: { step: 0.5 },
  along: { from: ENDS.stern, until: ENDS.bow, step: 0.02 },
  // From an eye at the waterline to a post or somebody's chest.
  above: { from: 0, until: 2, step: 0.05 },
} as const;
/** What is not known stands a step before the scale begins, so that its beginning can be said as well. */
const notched = (
  { from, until, step }: { from: number; until: number; step: number },
  value: number | undefined,
) =>
  value === undefined ? { from: from - step, until, step, value: from - step } : { from, until, step, value };

/** Depth, wind, stream, the line that is out and where it leads from, along her and in height: everything follows them. */
export function Sliders({
  trying: { comes, along, above, move },
  lying,
  there,
  out,
}: {
  trying: Trying;
  lying: Lying;
  /** Line there is, and how much of it is out; absent where there is none to let out. */
  there?: number | undefined;
  out?: number | undefined;
}) {
  const { says } = useTrip();
  const wide = useWide();
  const said = (template: '{value:height}' | '{value:speed}', value: number | undefined) =>
    value === undefined ? HOLD.unknownYet : says(template, { value });
  const place =
    acrossAt(along) === 1
      ? says(HOLD.atAlong, { metres: along * lying.hull.length })
      : along >= ENDS.bow
        ? HOLD.atBow
        : HOLD.atStern;
  const cell = { width: wide ? '48%' : '100%' } as const;
  return (
    <View
      role="group"
      aria-label={HOLD.tried}
      style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 18, rowGap: 4 }}
    >
      <View style={cell}>
        <Slider
          label={HOLD.depth}
          said={said('{value:height}', comes.depth)}
          {...notched(SCALE.depth, comes.depth)}
          onChange={(depth) => move(depth < SCALE.depth.from ? { depth: undefined } : { depth })}
        />
      </View>
      <View style={cell}>
        <Slider
          label={HOLD.wind}
          said={said('{value:speed}', comes.wind?.speed)}
          {...notched(SCALE.wind, comes.wind?.speed)}
          onChange={(wind) => move(wind < 0 ? { wind: undefined } : { wind })}
        />
      </View>
      <View style={cell}>
        <Slider
          label={HOLD.stream}
          said={said('{value:speed}', comes.stream?.speed)}
          {...notched(SCALE.stream, comes.stream?.speed)}
          onChange={(stream) => move(stream < 0 ? { stream: undefined } : { stream })}
        />
      </View>
      {there === undefined || out === undefined ? null : (
        <View style={cell}>
          <Slider
            label={HOLD.out}
            said={said('{value:height}', out)}
            value={out}
            from={Math.min(1, there)}
            until={there}
            {...SCALE.out}
            onChange={(next) => move({ out: next })}
          />
        </View>
      )}
      <View style={cell}>
        <Slider
          label={HOLD.along}
          said={place}
          value={along}
          {...SCALE.along}
          onChange={(next) => move({ along: next, above: undefined })}
        />
      </View>
      <View style={cell}>
        <Slider
          label={HOLD.above}
          said={said('{value:height}', above)}
          value={above}
          {...SCALE.above}
          onChange={(next) => move({ above: next })}
        />
      </View>
    </View>
  );
}
