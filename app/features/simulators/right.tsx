import { useCallback, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import {
  bestHand,
  givesNow,
  holds,
  isStuck,
  leanOf,
  lying,
  mostLean,
  turn,
  type Task,
  type Turning,
} from '@escale/core/recover/turning';
import { Button } from '../../ui/button';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { Picture, useEasel } from './easel';
import { Lever } from './lever';
import { STEP, useLoop } from './loop';
import { paintRighting } from './right-paint';
import { TURN } from './right-words';
import { useSaying } from './use-saying';

/** The line under the picture is told anew so often, in steps. */
const TOLD_EVERY = 15;
const TALL = 300;
const DEGREES = 180 / Math.PI;

/** One try to turn her: the picture, the lean, and what comes of it. */
export function Righting({ begins, again }: { begins: Task; again: () => void }) {
  // Another task is another try, under another key.
  const [task] = useState(begins);
  const p = usePalette();
  const says = useSaying();
  const { moment, told, on, lean, step } = useTurning(task);
  const easel = useEasel(useMemo(() => paintRighting(p, task, moment), [p, task, moment]));
  const ended = told.state === 'up' || told.state === 'turtle';
  useLoop(on && !ended, step, easel.draw);
  return (
    <View style={{ gap: 8 }}>
      <Picture easel={easel} label={TURN.picture} height={TALL} />
      <T as="strong" role="status">
        {told.tell === 'up' ? says(TURN.up, { seconds: told.seconds }) : TURN[told.tell]}
      </T>
      <T>{says(TURN.told, told)}</T>
      {ended ? null : (
        <Lever
          label={task.way === 'hand' ? TURN.across : TURN.lean}
          said={(value) =>
            task.way === 'hand'
              ? says(TURN.shareSaid, { share: value })
              : says(TURN.leanSaid, { angle: Math.round(leanOf(task, value) * DEGREES) })
          }
          onMove={lean}
        />
      )}
      <Button kind={ended ? 'main' : 'plain'} onPress={again}>
        {TURN.again}
      </Button>
    </View>
  );
}

/** A try past React: where it stands and the hand are refs, and only what is told comes through. */
function useTurning(task: Task) {
  const now = useRef<Turning>(lying(task));
  const hand = useRef(0);
  const steps = useRef(0);
  const [on, setOn] = useState(false);
  const [told, setTold] = useState(() => tellOf(task, lying(task)));
  const lean = useCallback((value: number) => {
    hand.current = value;
    setOn(true);
  }, []);
  const step = useCallback(() => {
    now.current = turn(task, now.current, { lean: hand.current }, STEP);
    steps.current += 1;
    const over = now.current.state === 'up' || now.current.state === 'turtle';
    if (over || steps.current % TOLD_EVERY === 0) setTold(tellOf(task, now.current));
  }, [task]);
  return { moment: useCallback(() => now.current, []), told, on, lean, step };
}

/** What is told of a moment: the two moments, and the one thing to do. */
function tellOf(task: Task, now: Turning) {
  const { turned, hand, water, state } = now;
  const lean = leanOf(task, hand);
  const tightest = Math.min(...task.people.map(({ height }) => mostLean(task, height, turned)));
  const hint =
    state !== 'down' || !isStuck(now)
      ? state
      : task.way === 'mast' && lean > tightest + 0.02
        ? 'short'
        : hand > bestHand(task, turned) + 0.03
          ? 'floats'
          : 'stuck';
  return {
    state,
    tell: hint,
    gives: givesNow(task, turned, hand),
    needs: Math.max(0, holds(task, turned, water)),
    seconds: Math.floor(now.seconds),
  } as const;
}
