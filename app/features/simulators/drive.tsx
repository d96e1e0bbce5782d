import { useCallback, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { View } from 'react-native';
import { civilDate } from '@escale/core/earth';
import { heldAt, record, type Tape } from '@escale/core/numeric';
import {
  attempt,
  begun,
  pointOfNoReturn,
  scoreOf,
  type Attempt,
  type Course,
  type Hands,
  type Outline,
  type Rig,
  type Score,
} from '@escale/core/ramp/reversing';
import { Button, Row } from '../../ui/button';
import { Choice, optionsOf } from '../../ui/choice';
import { useWide } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { paintAbove } from './drive-above';
import { paintMirrors } from './drive-mirrors';
import { DRIVE, LOST, PEDALS, TILT, VIEWS, type Pedal, type View as Looks } from './drive-words';
import { Picture, useEasel } from './easel';
import { STEP, useLoop } from './loop';
import { Lost } from './lost';
import { useTilt } from './tilt';
import { keepBest, useBest } from './use-best';
import { useSaying } from './use-saying';
import { paintWheel, put, Wheel } from './wheel';

const ROLLS: Readonly<Record<Pedal, Hands['pedal']>> = { back: -1, stand: 0, forward: 1 };
/** The line under the picture is told anew so often, in steps: words that change faster can't be read. */
const TOLD_EVERY = 15;
const TALL = {
  above: 300,
  aboveBoth: 220,
  aboveWide: 560,
  aboveBothWide: 360,
  mirrors: 130,
  mirrorsWide: 220,
};

interface Props {
  course: Course;
  rig: Rig;
  outline: Outline;
}

/** One course, driven: pictures, wheel, pedal, and what became of it. */
export function Drive({ course, rig, outline }: Props) {
  const p = usePalette();
  const wide = useWide();
  const { run, hand, told, end, pedal, press, again, replaying, step, turned } = useDriven({
    course,
    rig,
    outline,
  });
  const slider = useRef<HTMLInputElement>(null);
  const [look, setLook] = useState<Looks>('above');
  const scene = useCallback(() => ({ course, rig, outline, run: run.current }), [course, rig, outline, run]);
  const above = useEasel(useMemo(() => paintAbove(p, scene), [p, scene]));
  const mirrors = useEasel(useMemo(() => paintMirrors(p, scene), [p, scene]));
  const wheel = useEasel(useMemo(() => paintWheel(p, hand, turned), [p, hand, turned]));
  useLoop(end === undefined && (pedal !== undefined || replaying), step, () => {
    for (const easel of [above, mirrors, wheel]) easel.draw();
  });
  const { tilt, ask, stop } = useTilt(useCallback((to: number) => put(hand, slider.current, to), [hand]));
  const onKey = (event: KeyboardEvent) => {
    const to = ({ ArrowDown: 'back', ArrowUp: 'forward', ' ': 'stand' } as Record<string, Pedal>)[event.key];
    if (!to) return;
    event.preventDefault();
    press(to);
  };
  return (
    <View style={{ flexDirection: wide ? 'row' : 'column', gap: wide ? 20 : 10 }}>
      <View style={{ flex: wide ? 1 : undefined, gap: 8 }}>
        {look === 'mirrors' ? null : (
          <Picture
            easel={above}
            label={DRIVE.above.replace('{course}', course.title)}
            height={
              TALL[look === 'both' ? (wide ? 'aboveBothWide' : 'aboveBoth') : wide ? 'aboveWide' : 'above']
            }
          />
        )}
        {look === 'above' ? null : (
          <Picture
            easel={mirrors}
            label={DRIVE.mirrors.replace('{course}', course.title)}
            height={wide ? TALL.mirrorsWide : TALL.mirrors}
          />
        )}
        <Told told={told} replaying={replaying} />
      </View>
      <View style={{ width: wide ? 380 : '100%', gap: 10 }}>
        {end ? (
          <Ended course={course} end={end} again={again} />
        ) : (
          <>
            <Wheel hand={hand} input={slider} easel={wheel} onKey={onKey} />
            <Choice
              label={DRIVE.pedal}
              options={optionsOf(PEDALS)}
              value={pedal ?? 'stand'}
              onChange={(next) => next && press(next as Pedal)}
            />
            <T as="strong">{DRIVE.rule}</T>
            <Row>
              {tilt === 'on' || tilt === 'asked' ? (
                <Button onPress={stop}>{DRIVE.tiltOff}</Button>
              ) : (
                <Button onPress={ask}>{DRIVE.tilt}</Button>
              )}
              <Button onPress={() => again(false)}>{DRIVE.again}</Button>
            </Row>
            {tilt === 'refused' || tilt === 'none' ? <T role="status">{TILT[tilt]}</T> : null}
            <T as="small">{DRIVE.keys}</T>
          </>
        )}
        <Choice
          label={DRIVE.view}
          options={optionsOf(VIEWS)}
          value={look}
          onChange={(next) => next && setLook(next as Looks)}
        />
        {look === 'above' ? null : <T as="small">{DRIVE.mirrorNote}</T>}
      </View>
    </View>
  );
}

/** The zone of this device: practice at a screen has no other. */
const here = () => Intl.DateTimeFormat().resolvedOptions().timeZone;
const bestOf = ({ id }: Course) => `reversing/${id}`;

/** What is told of a run while it lasts, and how it ended. */
interface Now {
  seconds: number;
  corrections: number;
  pulls: number;
  angle: number;
  state: 'ok' | 'past' | 'folded' | 'touch' | 'inside';
}

function nowOf(run: Attempt, rig: Rig): Now {
  const limit = pointOfNoReturn(rig);
  const past = limit !== undefined && Math.abs(run.stand.hitch) > limit;
  return {
    seconds: Math.floor(run.seconds),
    corrections: run.corrections,
    pulls: run.pulls,
    angle: Math.round((run.stand.hitch * 180) / Math.PI),
    state:
      run.state === 'in'
        ? 'inside'
        : run.contact !== 0
          ? 'touch'
          : run.jacked
            ? 'folded'
            : past
              ? 'past'
              : 'ok',
  };
}
const same = (a: Now, b: Now) => (Object.keys(a) as (keyof Now)[]).every((key) => a[key] === b[key]);

/** A run past React: the hand, the pedal and the tape are refs, and only what is told comes through. */
function useDriven({ course, rig, outline }: Props) {
  const run = useRef<Attempt>(begun(course));
  const hand = useRef(0);
  const rolls = useRef<Hands['pedal']>(0);
  const tape = useRef<Tape<Hands>>([]);
  const played = useRef<number | undefined>(undefined);
  const ticks = useRef(0);
  const [pedal, setPedal] = useState<Pedal>();
  const [replaying, setReplaying] = useState(false);
  const [told, setTold] = useState<Now>(() => nowOf(begun(course), rig));
  const [end, setEnd] = useState<Score>();
  const press = useCallback((to: Pedal) => {
    rolls.current = ROLLS[to];
    setPedal(to);
  }, []);
  const again = useCallback(
    (replay: boolean) => {
      run.current = begun(course);
      hand.current = 0;
      if (!replay) tape.current = [];
      played.current = replay ? 0 : undefined;
      rolls.current = 0;
      setPedal(undefined);
      setReplaying(replay);
      setEnd(undefined);
      setTold(nowOf(run.current, rig));
    },
    [course, rig],
  );
  const step = useCallback(() => {
    const before = run.current;
    if (before.state === 'in') return;
    const live: Hands = { wheel: -hand.current, pedal: rolls.current };
    const hands = played.current === undefined ? live : heldAt(tape.current, played.current);
    if (!hands) return;
    if (played.current === undefined) record(tape.current, live);
    else played.current += 1;
    run.current = attempt(course, rig, outline, before, hands, STEP);
    ticks.current += 1;
    const over = run.current.state === 'in';
    if (over || ticks.current % TOLD_EVERY === 0) {
      const next = nowOf(run.current, rig);
      setTold((now) => (same(now, next) ? now : next));
    }
    if (!over) return;
    const score = scoreOf(course, outline, run.current);
    // Its end is told once it is kept, so that the best is read with it; a device that keeps nothing ends it all the same.
    keepBest(bestOf(course), { points: score.points, on: civilDate(Date.now(), here()) })
      .catch((error: unknown) => console.warn('the best run could not be kept:', error))
      .finally(() => setEnd(score));
  }, [course, rig, outline]);
  const turned = useCallback(() => -run.current.stand.steer / rig.lock, [rig]);
  return { run, hand, told, end, pedal, press, again, replaying, step, turned };
}

function Told({ told, replaying }: { told: Now; replaying: boolean }) {
  const says = useSaying();
  const { state, angle, ...rest } = told;
  return (
    <View style={{ gap: 2 }}>
      <T as="strong" role="status">
        {replaying && state === 'ok'
          ? DRIVE.replaying
          : state === 'past'
            ? says(DRIVE.past, { limit: Math.abs(angle) })
            : DRIVE[state]}
      </T>
      <T as="soft">
        {says(DRIVE.told, {
          ...rest,
          angle: Math.abs(angle),
          side: angle > 0 ? 'left' : angle < 0 ? 'right' : '',
        })}
      </T>
    </View>
  );
}

/** How a run is judged, and what it cost. */
function Ended({ course, end, again }: { course: Course; end: Score; again: (replay: boolean) => void }) {
  const says = useSaying();
  const best = useBest(bestOf(course));
  return (
    <View style={{ gap: 8 }}>
      <T as="figure">{says(DRIVE.points, { points: end.points })}</T>
      <T>{end.off === undefined ? DRIVE.noLane : says(DRIVE.offLane, { off: end.off })}</T>
      <Lost lost={end.lost} words={LOST} />
      {best ? <T as="soft">{says(DRIVE.best, best)}</T> : null}
      <Row>
        <Button kind="main" onPress={() => again(false)}>
          {DRIVE.again}
        </Button>
        <Button onPress={() => again(true)}>{DRIVE.replay}</Button>
      </Row>
    </View>
  );
}
