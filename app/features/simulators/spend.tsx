import { useCallback, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import {
  spend,
  spendScore,
  waiting,
  seenBy,
  seesOf,
  type Lights,
  type Spending,
  type SpendScene,
} from '@escale/core/signals/spending';
import { Button } from '../../ui/button';
import { Choice, optionsOf } from '../../ui/choice';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { FONT, SIZE, type Palette } from '../../ui/tokens';
import { Picture, useEasel, type Paint } from './easel';
import { STEP, useLoop } from './loop';
import { FAR, LIGHTS, PACES, SKY, SPEND, WHAT } from './spend-words';
import { useSaying } from './use-saying';

const TOLD_EVERY = 15;
const TALL = 190;
/** Nearer than so many miles is near, nearer than that a mile or so. */
const NEAR = 0.6,
  MIDDLING = 1.3;
/** Swells that pass the eye in a minute, and how much of the picture they lift. */
const SWELLS = 9,
  LIFTS = 9;

/** One wait, played: the horizon, who passes, and one button. */
export function SpendRun({ scene, again }: { scene: SpendScene; again: () => void }) {
  const p = usePalette();
  const { moment, told, hands, begin, light, pace, step } = useSpending(scene);
  const easel = useEasel(useMemo(() => paintHorizon(p, scene, moment), [p, scene, moment]));
  const over = told.state === 'over';
  useLoop(hands !== undefined && !over, step, easel.draw);
  const says = useSaying();
  const sky = told.minutes < scene.sunset ? SKY.day : told.minutes < scene.dark ? SKY.dusk : SKY.night;
  return (
    <View style={{ gap: 10 }}>
      <Picture easel={easel} label={SPEND.horizon} height={TALL} />
      <T as="strong" role="status">
        {over
          ? says(SPEND.over, spendScore(scene, told.run))
          : told.run.burns > 0
            ? says(SPEND.burning, { burns: Math.ceil(told.run.burns) })
            : told.run.left === 0
              ? SPEND.none
              : SPEND.wait}
      </T>
      <T>{says(SPEND.told, { clock: clockOf(told.run.seconds), light: sky, left: told.run.left })}</T>
      {over ? (
        <Ended scene={scene} run={told.run} again={again} />
      ) : (
        <>
          <InSight scene={scene} seconds={told.run.seconds} />
          {hands === undefined ? (
            <Button kind="main" wet onPress={begin}>
              {SPEND.begin}
            </Button>
          ) : (
            <Button
              kind="main"
              wet
              cant={told.run.left === 0 ? SPEND.none : told.run.burns > 0 ? SPEND.wait : false}
              onPress={light}
            >
              {says(SPEND.lightLeft, { left: told.run.left })}
            </Button>
          )}
          <Choice
            label={SPEND.pace}
            options={optionsOf(PACES)}
            value={String(hands?.pace ?? PACE)}
            onChange={(next) => next && pace(Number(next))}
          />
        </>
      )}
    </View>
  );
}
const PACE = 20;
const POINTS = ['S', 'W', 'N', 'E'];
const LETTERS = [`${SIZE.small}px`, FONT.narrow].join(' ');
const clockOf = (seconds: number) =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds) % 60).padStart(2, '0')}`;

function useSpending(scene: SpendScene) {
  const run = useRef<Spending>(waiting(scene));
  const holds = useRef<Lights>({ light: false, pace: PACE });
  const steps = useRef(0);
  const [hands, setHands] = useState<Lights>();
  const [told, setTold] = useState({
    run: waiting(scene),
    minutes: 0,
    state: 'waiting' as Spending['state'],
  });
  const tell = useCallback(
    () => setTold({ run: run.current, minutes: run.current.seconds / 60, state: run.current.state }),
    [],
  );
  const put = useCallback((next: Partial<Lights>) => {
    holds.current = { ...holds.current, ...next };
    setHands(holds.current);
  }, []);
  const step = useCallback(() => {
    run.current = spend(scene, run.current, holds.current, STEP);
    // A press lights one; it is no lever that stays down.
    holds.current = { ...holds.current, light: false };
    steps.current += 1;
    if (run.current.state === 'over' || steps.current % TOLD_EVERY === 0) tell();
  }, [scene, tell]);
  return {
    moment: useCallback(() => run.current, []),
    told,
    hands,
    begin: useCallback(() => put({}), [put]),
    light: useCallback(() => put({ light: true }), [put]),
    pace: useCallback((pace: number) => put({ pace }), [put]),
    step,
  };
}

/** Who is in sight or heard, in words. */
function InSight({ scene, seconds }: { scene: SpendScene; seconds: number }) {
  const says = useSaying();
  const rows = scene.who.flatMap((who) => {
    const seen = seesOf(who, seconds);
    if (!seen.sees) return seen.hears ? [SPEND.hears] : [];
    const { where, miles, lights } = seen;
    const far = miles < NEAR ? FAR.near : miles < MIDDLING ? FAR.middling : FAR.far;
    return [
      says(SPEND[who.what as keyof typeof WHAT], { bearing: where.bearing, far, lights: LIGHTS[lights] }),
    ];
  });
  return (
    <View style={{ minHeight: 48 }}>
      {rows.length === 0 ? <T as="soft">{SPEND.nobody}</T> : rows.map((row) => <T key={row}>{row}</T>)}
    </View>
  );
}

function Ended({ scene, run, again }: { scene: SpendScene; run: Spending; again: () => void }) {
  const says = useSaying();
  const { points, best } = spendScore(scene, run);
  return (
    <View style={{ gap: 6 }}>
      <T as="figure">{says(SPEND.points, { points })}</T>
      <T>{run.lit.length === 0 ? SPEND.yoursNone : says(SPEND.yours, { lit: run.lit.map(clockOf) })}</T>
      <T>{says(SPEND.best, { best: best.map(clockOf) })}</T>
      {scene.who.map((who, i) => (
        <T key={who.at} as="soft">
          {says(SPEND.by, {
            what: WHAT[who.what as keyof typeof WHAT],
            at: who.at,
            share: seenBy(run.by[i]),
          })}
        </T>
      ))}
      <T>{SPEND.why}</T>
      <Button kind="main" onPress={again}>
        {SPEND.again}
      </Button>
    </View>
  );
}

/** The horizon all round, north in the middle; it goes up and down with the swell, and hides what is low. */
function paintHorizon(p: Palette, scene: SpendScene, moment: () => Spending): Paint {
  return (g, width, height) => {
    const { seconds, burns } = moment();
    const dark = Math.min(1, Math.max(0, (seconds / 60 - scene.sunset) / (scene.dark - scene.sunset)));
    g.fillStyle = dark >= 1 ? p.skyNight : dark > 0 ? p.skyDusk : p.skyDay;
    g.fillRect(0, 0, width, height);
    const lift = Math.sin((2 * Math.PI * SWELLS * seconds) / 60 / 20) * LIFTS * Math.min(2, scene.swell);
    const horizon = height / 2 + lift;
    g.fillStyle = p.water2;
    g.fillRect(0, horizon, width, height - horizon);
    const low = lift > LIFTS * 0.6 * Math.min(2, scene.swell);
    for (const who of scene.who) {
      const seen = seesOf(who, seconds);
      if (!seen.sees) continue;
      const x = (((seen.where.bearing + 180 + 45) % 360) / 360) * width;
      const flies = who.what === 'helicopter';
      if (low && !flies && scene.swell > 2 * who.eye) continue;
      const radius = Math.min(14, 3 + 3 / Math.max(0.2, seen.miles));
      g.fillStyle = dark >= 1 ? p.ink : p.paper;
      g.strokeStyle = p.ink;
      g.lineWidth = 2;
      g.beginPath();
      g.arc(x, flies ? horizon - 18 - 26 / Math.max(0.5, seen.miles) : horizon - 5, radius, 0, 2 * Math.PI);
      g.fill();
      g.stroke();
    }
    g.fillStyle = p.ink;
    g.font = LETTERS;
    g.textAlign = 'center';
    // All round from south over west, north and east to south again.
    POINTS.forEach((point, i) => g.fillText(point, ((i + 0.5) / POINTS.length) * width, height - 8));
    if (burns <= 0) return;
    g.fillStyle = p.ink;
    g.beginPath();
    g.arc(width / 2, height - 26, 16, 0, 2 * Math.PI);
    g.fill();
  };
}
