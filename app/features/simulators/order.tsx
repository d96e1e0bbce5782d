import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { render } from '@escale/core/say';
import type { Step } from '@escale/core/procedure';
import {
  elsewhere,
  isOrdered,
  orderScore,
  take,
  unordered,
  type Ordered,
  type Puzzle,
  type Wrong,
} from '@escale/core/procedure/order';
import { MS } from '@escale/core/units';
import { useReader } from '../../data/settings';
import { Button } from '../../ui/button';
import { Fold } from '../../ui/fold';
import { Press } from '../../ui/press';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { TOUCH_WET } from '../../ui/tokens';
import { Lost } from './lost';
import { LOST, ORDER } from './order-words';
import { useSaying } from './use-saying';

/** One deal, played. */
export function OrderRun({ title, begins, again }: { title: string; begins: Puzzle; again: () => void }) {
  const says = useSaying();
  const stepSays = useStepWords();
  const p = usePalette();
  const [puzzle] = useState(begins);
  const [now, setNow] = useState<Ordered>(unordered);
  const over = isOrdered(puzzle, now);
  const { seconds, begin, begun } = useClock(over);
  const left = puzzle.dealt.filter(({ id }) => !now.done.includes(id));
  return (
    <View style={{ gap: 10 }}>
      <T as="section" heading={2}>
        {title}
      </T>
      <Price wrong={now.wrong.at(-1)} over={over} />
      {begun ? (
        <T as="soft">{says(ORDER.told, { seconds, wrong: now.wrong.length, left: left.length })}</T>
      ) : (
        <Button kind="main" wet onPress={begin}>
          {ORDER.begin}
        </Button>
      )}
      {over ? (
        <Ended puzzle={puzzle} now={now} seconds={seconds} again={again} />
      ) : begun ? (
        <>
          <T as="caps">{ORDER.next}</T>
          {left.map((step) => (
            <Press
              key={step.id}
              label={stepSays(step)}
              onPress={() => setNow((before) => take(puzzle, before, step.id))}
              style={{
                minHeight: TOUCH_WET,
                borderWidth: 2,
                borderColor: p.ink,
                padding: 12,
                justifyContent: 'center',
              }}
            >
              <T>{stepSays(step)}</T>
            </Press>
          ))}
          {now.done.length > 0 ? <Taken title={ORDER.done} steps={stepsOf(puzzle, now.done)} /> : null}
        </>
      ) : null}
    </View>
  );
}

const stepsOf = ({ steps }: Puzzle, ids: readonly string[]) =>
  ids.flatMap((id) => steps.find((step) => step.id === id) ?? []);

function useStepWords() {
  const reader = useReader('UTC');
  return ({ what }: Step) => render(what, reader);
}

/** Seconds since it was begun, told once a second, until it is over. */
function useClock(over: boolean) {
  const [from, setFrom] = useState<number>();
  const [seconds, setSeconds] = useState(0);
  const last = useRef(0);
  useEffect(() => {
    if (from === undefined || over) return undefined;
    const tell = () => {
      last.current = Math.floor((performance.now() - from) / MS.second);
      setSeconds(last.current);
    };
    const timer = setInterval(tell, MS.second / 4);
    return () => clearInterval(timer);
  }, [from, over]);
  return { seconds, begun: from !== undefined, begin: () => setFrom(performance.now()) };
}

/** What the last wrong step costs, and what had to come first. */
function Price({ wrong, over }: { wrong: Wrong | undefined; over: boolean }) {
  const says = useSaying();
  const words = useStepWords();
  const p = usePalette();
  const reader = useReader('UTC');
  if (!wrong || over) return <View role="status" />;
  const { step, missing, price } = wrong;
  const cost = price || render(missing.danger ?? missing.why, reader);
  return (
    <View role="status" style={{ borderLeftWidth: 4, borderColor: p.ink, paddingLeft: 10, gap: 2 }}>
      <T as="strong">{cost}</T>
      <T as="soft">{says(ORDER.wrong, { step: words(step) })}</T>
      <T>{says(ORDER.first, { missing: words(missing) })}</T>
    </View>
  );
}

function Taken({ title, steps }: { title: string; steps: readonly Step[] }) {
  const words = useStepWords();
  return (
    <View style={{ gap: 4 }}>
      <T as="caps">{title}</T>
      {steps.map((step, i) => (
        <View key={step.id} style={{ flexDirection: 'row', gap: 8 }}>
          <T as="strong">{String(i + 1)}</T>
          <T style={{ flex: 1 }}>{words(step)}</T>
        </View>
      ))}
    </View>
  );
}

function Ended({
  puzzle,
  now,
  seconds,
  again,
}: {
  puzzle: Puzzle;
  now: Ordered;
  seconds: number;
  again: () => void;
}) {
  const says = useSaying();
  const { points, lost } = orderScore(puzzle, now, seconds);
  const moved = elsewhere(puzzle, now);
  return (
    <View style={{ gap: 8 }}>
      <T as="strong" role="status">
        {says(ORDER.over, { seconds })}
      </T>
      <T as="figure">{says(ORDER.points, { points })}</T>
      <Lost lost={lost} words={LOST} />
      {moved > 0 ? <T as="soft">{says(ORDER.elsewhere, { n: moved })}</T> : null}
      <Fold title={ORDER.list}>
        <Taken title={ORDER.list} steps={puzzle.steps} />
      </Fold>
      <Button kind="main" onPress={again}>
        {ORDER.again}
      </Button>
    </View>
  );
}
