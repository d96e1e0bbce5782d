import { useCallback, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { fasteningOf, heightOver, leadOf, outOf, type From } from '@escale/core/hold';
import {
  anchoring,
  anchorScore,
  arrived,
  comesNow,
  type Anchored,
  type Anchoring,
  type LineHands,
} from '@escale/core/hold/anchoring';
import { Button } from '../../ui/button';
import { Choice, optionsOf } from '../../ui/choice';
import { Check } from '../../ui/mark';
import { useWide } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { paintPlan, paintSection, type Scene } from './anchor-paint';
import { ANCHOR, FROMS, LOST, NEAR, PACES, PAYS, type Pays } from './anchor-words';
import { Picture, useEasel } from './easel';
import { STEP, useLoop } from './loop';
import { Lost } from './lost';
import { useSaying } from './use-saying';

const TOLD_EVERY = 15,
  TRAIL_EVERY = 30,
  TRAIL_MOST = 400;
const PAY: Readonly<Record<Pays, LineHands['pay']>> = { out: 1, hold: 0, haul: -1 };
const HELD: LineHands = { pay: 0, back: false, from: 'bow', pace: 1 };
const TALL = { section: 140, plan: 230, wide: 320 };
/** A line that bears less hangs slack, N. */
const SLACK = 1;
const DEGREES = 180 / Math.PI;

/** One stay at anchor, played: the line from the side, all from above, and what the hands do. */
export function AnchorRun({ begins, again }: { begins: Anchoring; again: () => void }) {
  const [task] = useState(begins);
  const p = usePalette();
  const wide = useWide();
  const { scene, hands, move, told, step } = useAnchored(task);
  const section = useEasel(useMemo(() => paintSection(p, scene), [p, scene]));
  const plan = useEasel(useMemo(() => paintPlan(p, scene), [p, scene]));
  const over = told.state !== 'lying';
  useLoop(hands !== undefined && !over, step, () => {
    section.draw();
    plan.draw();
  });
  const { pay, back, from, pace } = hands ?? HELD;
  const paying = (Object.keys(PAY) as Pays[]).find((each) => PAY[each] === pay) ?? 'hold';
  return (
    <View style={{ gap: 10 }}>
      <View style={{ flexDirection: wide ? 'row' : 'column', gap: 10 }}>
        <View style={{ flex: wide ? 1 : undefined }}>
          <Picture easel={section} label={ANCHOR.section} height={wide ? TALL.wide : TALL.section} />
        </View>
        <View style={{ flex: wide ? 1 : undefined }}>
          <Picture easel={plan} label={ANCHOR.plan} height={wide ? TALL.wide : TALL.plan} />
        </View>
      </View>
      <Told told={told} />
      {over ? (
        <Ended told={told} again={again} />
      ) : (
        <>
          <Choice
            label={ANCHOR.pay}
            options={optionsOf(PAYS)}
            value={paying}
            onChange={(next) => next && move({ pay: PAY[next as Pays] })}
          />
          <Check label={ANCHOR.back} on={back} onChange={(is) => move({ back: is })}>
            <T>{ANCHOR.back}</T>
          </Check>
          <Choice
            label={ANCHOR.fast}
            options={optionsOf(FROMS)}
            value={from}
            onChange={(next) => next && move({ from: next as From })}
          />
          <Choice
            label={ANCHOR.pace}
            options={optionsOf(PACES)}
            value={String(pace)}
            onChange={(next) => next && move({ pace: Number(next) })}
          />
          <Button onPress={again}>{ANCHOR.again}</Button>
        </>
      )}
    </View>
  );
}

/** What is told of a moment. */
function tellOf(task: Anchoring, now: Anchored, from: From) {
  const { scene, lying, tackle } = task;
  const height = heightOver(lying, fasteningOf(lying, from), scene.depth);
  const lead = now.anchor && leadOf(outOf(tackle.rode, now.out), height, now.load);
  const { wind, stream } = comesNow(scene, task.drawn, now.seconds);
  const hits = scene.near.reduce((best, each) => {
    const clear = ({ x, y, radius }: typeof each) => Math.hypot(x - now.boat.x, y - now.boat.y) - radius;
    return clear(each) < clear(best) ? each : best;
  });
  return {
    state: now.state,
    seconds: Math.floor(now.seconds),
    out: now.out,
    scope: Math.round((10 * now.out) / height) / 10,
    angle: Math.round((lead?.anchor ?? 0) * DEGREES),
    down: now.anchor !== undefined,
    load: now.load,
    hold: now.hold,
    dragged: now.dragged,
    dug: now.dug,
    drags: now.drags,
    steep: (lead?.anchor ?? 0) > STEEP,
    heel: now.heel === undefined ? undefined : Math.abs(Math.round(now.heel * DEGREES)),
    wind: wind.speed,
    from: wind.direction,
    stream: stream.speed,
    sets: stream.direction,
    hits: hits.what as keyof typeof NEAR,
    score: anchorScore(now),
  };
}
type Tells = ReturnType<typeof tellOf>;
/** From here the line rather lifts than draws, rad. */
const STEEP = (20 * Math.PI) / 180;

function useAnchored(task: Anchoring) {
  const now = useRef<Anchored>(arrived());
  const holds = useRef<LineHands>(HELD);
  const trail = useRef<Scene['trail'][number][]>([]);
  const steps = useRef(0);
  const [hands, setHands] = useState<LineHands>();
  const [told, setTold] = useState<Tells>(() => tellOf(task, arrived(), 'bow'));
  const move = useCallback((next: Partial<LineHands>) => {
    holds.current = { ...holds.current, ...next };
    setHands(holds.current);
  }, []);
  const step = useCallback(() => {
    now.current = anchoring(task, now.current, holds.current, STEP);
    steps.current += 1;
    if (steps.current % TRAIL_EVERY === 0) {
      trail.current.push({ boat: [now.current.boat.x, now.current.boat.y] });
      if (trail.current.length > TRAIL_MOST) trail.current.shift();
    }
    if (now.current.state !== 'lying' || steps.current % TOLD_EVERY === 0)
      setTold(tellOf(task, now.current, holds.current.from));
  }, [task]);
  const scene = useCallback(
    (): Scene => ({ task, now: now.current, from: holds.current.from, trail: trail.current }),
    [task],
  );
  return { scene, hands, move, told, step };
}

const clockOf = (seconds: number) =>
  `${Math.floor(seconds / 3600)}:${String(Math.floor(seconds / 60) % 60).padStart(2, '0')}`;

function Told({ told }: { told: Tells }) {
  const says = useSaying();
  const { state, down, drags, steep, heel, hits } = told;
  const word =
    state === 'over'
      ? ANCHOR.over
      : state === 'ashore'
        ? says(ANCHOR.ashore, { what: NEAR[hits] })
        : state === 'stayed'
          ? down
            ? ANCHOR.stayed
            : ANCHOR.stayedAboard
          : !down
            ? ANCHOR.hangs
            : drags
              ? steep
                ? ANCHOR.steep
                : ANCHOR.drags
              : told.load < SLACK
                ? ANCHOR.slack
                : ANCHOR.ok;
  return (
    <View style={{ gap: 2 }}>
      <T as="strong" role="status">
        {word}
      </T>
      <T>{says(ANCHOR.told, { ...told, clock: clockOf(told.seconds) })}</T>
      {down ? <T>{says(ANCHOR.pull, told)}</T> : null}
      {heel === undefined ? null : <T as="strong">{says(ANCHOR.heels, { heel })}</T>}
      <T as="soft">{says(ANCHOR.weather, told)}</T>
    </View>
  );
}

function Ended({ told, again }: { told: Tells; again: () => void }) {
  const says = useSaying();
  const { points, lost } = told.score;
  return (
    <View style={{ gap: 8 }}>
      <T as="figure">{says(ANCHOR.points, { points })}</T>
      <Lost lost={lost} words={LOST} />
      <Button kind="main" onPress={again}>
        {ANCHOR.again}
      </Button>
    </View>
  );
}
