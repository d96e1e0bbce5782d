import { useDeferredValue, useMemo, useState } from 'react';
import { View } from 'react-native';
import {
  heightOver,
  heldAt,
  needed,
  onEdge,
  outOf,
  deepest,
  rodeOf,
  type Hour,
  type Lying,
  type Over,
  type Tackle,
} from '@escale/core/hold';
import { KNOT } from '@escale/core/units';
import { Button, Row } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { useWide } from '../../ui/page';
import { Select } from '../../ui/select';
import { Slider } from '../../ui/slider';
import { T } from '../../ui/text';
import { clock } from '@escale/core/say';
import { useTripChange } from '../trip/trip-form';
import { useTrip } from '../trip/use-trip';
import { AnchorBars } from './anchor-bars';
import { HeelView } from './heel-view';
import { ScopeView } from './scope-view';
import { SwingView } from './swing-view';
import type { Held } from './use-hold';
import { HOLD } from './words';

/** What was moved by hand; what is absent is as it is then. */
interface Tried {
  depth?: number;
  wind?: number;
  stream?: number;
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
const FROM = { bow: 1, stern: 0, side: 0.5 } as const;
/** At its ends the line leads over the stem or the stern. */
const acrossAt = (along: number): 0 | 1 => (along <= SCALE.along.from || along >= SCALE.along.until ? 0 : 1);
const HALF = 180;

/** An hour with what was moved by hand. Where no direction is known, wind and stream come from one side: the worst. */
function given(hour: Hour, { depth, wind, stream }: Tried): Hour {
  const from = hour.wind?.direction ?? (hour.stream ? hour.stream.direction + HALF : 0);
  const gusts = hour.wind && hour.wind.speed > 0 ? hour.wind.gust / hour.wind.speed : 1;
  return {
    ...hour,
    ...(depth === undefined ? {} : { depth }),
    ...(wind === undefined ? {} : { wind: { speed: wind, gust: wind * gusts, direction: from } }),
    ...(stream === undefined
      ? {}
      : { stream: { speed: stream, direction: hour.stream?.direction ?? from + HALF } }),
  };
}

/** One hour of a stay to try out: chart and section, and sliders by which everything follows. */
export function Bench({ held, lying }: { held: Held; lying: Lying }) {
  const { reader, says } = useTrip();
  const wide = useWide();
  const { at, overs, best } = held;
  const worst = best?.worst?.hour.at ?? at.hours[0].at;
  const [when, setWhen] = useState<number>();
  const [tried, setTried] = useState<Tried>({});
  const hour = at.hours.find((each) => each.at === (when ?? worst)) ?? at.hours[0];
  const along = tried.along ?? FROM[at.stay.halt.fast ?? 'bow'];
  const fast = useMemo(() => onEdge(lying.hull, along, acrossAt(along)), [lying, along]);
  const comes = useMemo(() => given(hour, tried), [hour, tried]);
  const rode = best && rodeThere(best);
  const there = rode ? rode.line + rode.chain : undefined;
  const out = tried.out ?? (best?.tackle.rode ? best.tackle.rode.line + best.tackle.rode.chain : undefined);
  const tackle = useMemo<Tackle | undefined>(
    () =>
      best && {
        ...best.tackle,
        ...(rode && out !== undefined ? { rode: outOf(rode, out) } : {}),
      },
    [best, rode, out],
  );
  const now = useMemo(
    () => heldAt(lying, fast, tackle ?? { anchor: { usual: { low: 0, high: 0 } } }, comes, comes.depth),
    [lying, fast, tackle, comes],
  );
  const move = (next: Tried) => setTried((before) => ({ ...before, ...next }));
  const height = comes.depth === undefined ? undefined : heightOver(lying, fast, comes.depth);
  const deep = deepest(at);
  const need = deep && needed('usual', heightOver(lying, onEdge(lying.hull, 1, 0), deep.depth));
  const followed = useDeferredValue(now);
  return (
    <View style={{ gap: 18 }}>
      <Row>
        <T as="label">{HOLD.hour}</T>
        <Select
          label={HOLD.hour}
          options={at.hours.map((each) => ({
            value: String(each.at),
            label: each.at === worst ? says(HOLD.worst, { at: each.at }) : clock(each.at, reader),
          }))}
          value={String(hour.at)}
          onChange={(value) => {
            setWhen(Number(value));
            setTried({});
          }}
        />
        {Object.keys(tried).length > 0 ? (
          <Button kind="quiet" onPress={() => setTried({})}>
            {HOLD.asForecast}
          </Button>
        ) : null}
      </Row>
      <AnchorBars
        lying={lying}
        fast={fast}
        comes={comes}
        overs={overs}
        best={best}
        tackle={tackle}
        now={now}
      />
      {overs.length > 1 ? <WhichAnchor held={held} /> : null}
      <Sliders comes={comes} along={along} lying={lying} move={move} there={there} out={out} />
      <View style={{ flexDirection: wide ? 'row' : 'column', gap: 18 }}>
        <View style={{ flex: wide ? 1 : undefined }}>
          <SwingView stay={at.stay} water={at.on.water} places={at.on.places} now={now} />
        </View>
        <View style={{ flex: wide ? 1 : undefined }}>
          <ScopeView
            lying={lying}
            now={now}
            {...(tackle?.rode ? { rode: tackle.rode } : {})}
            {...(height === undefined ? {} : { height })}
            {...(comes.depth === undefined ? {} : { depth: comes.depth })}
            {...(need === undefined ? {} : { need })}
            {...(there === undefined ? {} : { there })}
          />
        </View>
      </View>
      <HeelView lying={lying} fast={fast} pull={followed.pull} down={followed.taut?.boat ?? 0} />
    </View>
  );
}

/** All that is aboard of it, not what is let out. */
const rodeThere = ({ item }: Over) => rodeOf(item);

function WhichAnchor({ held: { overs, best, at } }: { held: Held }) {
  const { trip } = useTrip();
  const change = useTripChange();
  const n = trip.halts.indexOf(at.stay.halt);
  return (
    <Choice
      label={HOLD.anchor}
      options={overs.map(({ item }) => ({ value: item.id, label: item.name }))}
      value={best?.item.id}
      onChange={(id) => change(`/halts/${n}/anchor`, id, at.stay.place.name)}
    />
  );
}

function Sliders({
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
  there: number | undefined;
  out: number | undefined;
  move: (next: Tried) => void;
}) {
  const { says } = useTrip();
  const wide = useWide();
  const said = (template: '{value:height}' | '{value:speed}', value: number | undefined) =>
    value === undefined ? HOLD.unknownYet : says(template, { value });
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
          value={comes.depth ?? SCALE.depth.from}
          {...SCALE.depth}
          onChange={(depth) => move({ depth })}
        />
      </View>
      <View style={cell}>
        <Slider
          label={HOLD.wind}
          said={said('{value:speed}', comes.wind?.speed)}
          value={comes.wind?.speed ?? 0}
          {...SCALE.wind}
          onChange={(wind) => move({ wind })}
        />
      </View>
      <View style={cell}>
        <Slider
          label={HOLD.stream}
          said={said('{value:speed}', comes.stream?.speed)}
          value={comes.stream?.speed ?? 0}
          {...SCALE.stream}
          onChange={(stream) => move({ stream })}
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
          said={
            acrossAt(along) === 1
              ? says(HOLD.atAlong, { metres: along * lying.hull.length })
              : along >= SCALE.along.until
                ? HOLD.atBow
                : HOLD.atStern
          }
          value={along}
          {...SCALE.along}
          onChange={(next) => move({ along: next })}
        />
      </View>
    </View>
  );
}
