import { View } from 'react-native';
import { withStream, withWind, type Hour, type Lying } from '@escale/core/hold';
import { KNOT } from '@escale/core/units';
import { useWide } from '../../ui/page';
import { Slider } from '../../ui/slider';
import { useTrip } from '../trip/use-trip';
import { HOLD } from './words';

/** What was moved by hand; what is absent is as it is then. */
export interface Tried {
  depth?: number | undefined;
  wind?: number | undefined;
  stream?: number | undefined;
  out?: number;
  along?: number;
}

/** How far the sliders go, and by what: metres, and m/s in half knots. */
const SCALE = {
  depth: { from: 0.2, until: 20, step: 0.1 },
  wind: { from: 0, until: 40 * KNOT, step: KNOT / 2 },
  stream: { from: 0, until: 4 * KNOT, step: KNOT / 10 },
  out: { step: 0.5 },
  along: { from: 0, until: 1, step: 0.02 },
} as const;
/** Where along her the line leads from, by the word for it. */
export const FROM = { bow: 1, stern: 0, side: 0.5 } as const;
/** At its ends the line leads over the stem or the stern. */
export const acrossAt = (along: number): 0 | 1 =>
  along <= SCALE.along.from || along >= SCALE.along.until ? 0 : 1;

/** What is not known stands a step before the scale begins, so that its beginning can be said as well. */
const notched = (
  { from, until, step }: { from: number; until: number; step: number },
  value: number | undefined,
) =>
  value === undefined ? { from: from - step, until, step, value: from - step } : { from, until, step, value };

/** An hour with what was moved by hand. */
export function given(hour: Hour, { depth, wind, stream }: Tried): Hour {
  const blown = wind === undefined ? hour : withWind(hour, wind);
  const flowing = stream === undefined ? blown : withStream(blown, stream);
  return depth === undefined ? flowing : { ...flowing, depth };
}

/** Depth, wind, stream, the line that is out and where it leads from: everything follows them. */
export function Sliders({
  comes,
  along,
  lying,
  there,
  out,
  move,
}: {
  comes: Hour;
  along: number;
  lying: Lying;
  /** Line there is, and how much of it is out; absent where there is none to let out. */
  there?: number | undefined;
  out?: number | undefined;
  move: (next: Tried) => void;
}) {
  const { says } = useTrip();
  const wide = useWide();
  const said = (template: '{value:height}' | '{value:speed}', value: number | undefined) =>
    value === undefined ? HOLD.unknownYet : says(template, { value });
  const place =
    acrossAt(along) === 1
      ? says(HOLD.atAlong, { metres: along * lying.hull.length })
      : along >= SCALE.along.until
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
          onChange={(next) => move({ along: next })}
        />
      </View>
    </View>
  );
}
