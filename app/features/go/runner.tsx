import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import type { Procedure, Step } from '@escale/core/procedure';
import { nextStep, stepStates } from '@escale/core/procedure';
import { clock, render, type Reader } from '@escale/core/say';
import { useAwake } from '../../ui/awake';
import { Button } from '../../ui/button';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { plainly } from '../../data/settings';
import { handsOf, HandsOut, usualHands, type Hands, type Member } from './hands';
import { Stage } from './stage';
import { StepView } from './step-view';
import { useEye } from './use-eye';
import type { useRun } from './use-run';
import { GO } from './words';

export interface RunnerProps {
  procedure: Procedure;
  run: ReturnType<typeof useRun>;
  now: number;
  leave: () => void;
  reader: Reader;
  /** Everybody of the trip, the skipper first: who does what, and who looks a second time. */
  crew?: readonly Member[];
  /** Address of the cards of trouble. */
  trouble?: string;
  /** What is asked when all of it is done. */
  after?: ReactNode;
}

/** One big step at a time, with wet hands. What has sunk boats is looked at twice; what can't be done now stays open. */
export function Runner(props: RunnerProps) {
  const awake = useAwake('steps');
  return props.run.held ? <Walk {...props} awake={awake} /> : <Start {...props} />;
}

function Start({ procedure, run, now, leave, reader, crew = [], trouble }: RunnerProps) {
  const p = usePalette();
  const [eye, look] = useEye();
  const [hands, setHands] = useState<Hands>(() => usualHands(procedure, crew));
  const shared = crew.length > 1 && handsOf(procedure).length > 0;
  return (
    <Stage title={procedure.title} leave={leave} trouble={trouble}>
      <T as="title" style={{ fontSize: 30, lineHeight: 36 }}>
        {plainly(GO.steps, { n: procedure.steps.length })}
      </T>
      {procedure.stopIf ? (
        <View style={{ borderLeftWidth: 8, borderColor: p.ink, paddingLeft: 12 }}>
          <T as="section">Stay ashore if</T>
          <T style={{ fontSize: 18, lineHeight: 25 }}>{render(procedure.stopIf, reader)}</T>
        </View>
      ) : null}
      {shared ? <HandsOut {...{ procedure, crew, hands, eye, look }} share={setHands} /> : null}
      <View style={{ flex: 1 }} />
      <Button kind="main" wet once onPress={() => void run.begin(now, shared ? hands : [])}>
        Begin
      </Button>
    </Stage>
  );
}

function Walk(props: RunnerProps & { awake: boolean }) {
  const { procedure, run, now, leave, crew = [], trouble } = props;
  const [back, setBack] = useState<string>();
  const [sharing, setSharing] = useState(false);
  const [whose, look] = useEye();
  // Whose phone it was on another trip hides nothing on this one.
  const eye = crew.some(({ id }) => id === whose) ? whose : undefined;
  const states = stepStates(procedure.steps, run.ticks);
  const open = procedure.steps.filter((s) => !states.get(s.id)?.done);
  const skipped = new Set(run.ticks.filter((t) => t.skipped).map((t) => t.step));
  const mine = ({ who }: { who?: string | undefined }) => {
    const held = run.hands.find((h) => h.who === who)?.person;
    return eye === undefined || held === undefined || held === eye;
  };
  const walk = { states, skipped, now, chosen: back };
  const next = nextStep(procedure.steps, { ...walk, mine });
  const others = next ? undefined : nextStep(procedure.steps, walk);
  const shared = crew.length > 1 && handsOf(procedure).length > 0;
  if (sharing)
    return (
      <Stage title={procedure.title} leave={leave} trouble={trouble}>
        <HandsOut
          {...{ procedure, crew, eye, look }}
          hands={run.hands}
          share={(hands) => void run.share(hands)}
        />
        <View style={{ flex: 1 }} />
        <Button kind="main" wet onPress={() => setSharing(false)}>
          {GO.backToSteps}
        </Button>
      </Stage>
    );
  if (others)
    return (
      <Stage title={procedure.title} leave={leave} trouble={trouble}>
        <T as="title" style={{ fontSize: 28, lineHeight: 34 }} role="status">
          {GO.waitFor}
        </T>
        <T style={{ fontSize: 20, lineHeight: 27 }}>{withName(others, run.hands, crew, props.reader)}</T>
        <View style={{ flex: 1 }} />
        <Button wet onPress={() => look(undefined)}>
          {GO.showAll}
        </Button>
      </Stage>
    );
  if (!next) return <End {...props} open={open} skipped={skipped} />;
  const state = states.get(next.id);
  return (
    <StepView
      key={next.id + String(state?.wantsSecond)}
      {...props}
      step={next}
      done={procedure.steps.length - open.length}
      open={open}
      second={state?.wantsSecond === true}
      againFrom={state?.againFrom}
      locked={open.filter((s) => states.get(s.id)?.blockedBy.includes(next.id))}
      putOff={skipped.has(next.id)}
      choose={setBack}
      others={crew.filter(({ id }) => id !== (eye ?? crew[0]?.id))}
      hand={crew.find(({ id }) => id === run.hands.find((h) => h.who === next.who)?.person)?.name}
      {...(shared ? { share: () => setSharing(true) } : {})}
    />
  );
}

const withName = (step: Step, hands: Hands, crew: readonly Member[], reader: Reader) => {
  const name = crew.find(({ id }) => id === hands.find((h) => h.who === step.who)?.person)?.name;
  const what = render(step.what, reader);
  return name ? plainly(GO.does, { name, what }) : what;
};

/** All of it with its hours: what was done when, what was put off, how long it took. */
function End({
  procedure,
  run,
  now,
  leave,
  reader,
  trouble,
  after,
  open,
  skipped,
}: RunnerProps & { open: Step[]; skipped: ReadonlySet<string> }) {
  const times = new Map(run.ticks.filter((t) => !t.skipped).map((t) => [t.step, Date.parse(t.at)]));
  const began = Date.parse(run.held?.doc.startedAt ?? '');
  const last = Math.max(began, ...times.values());
  const close = () => {
    void run.end(now);
    leave();
  };
  return (
    // Whoever leaves when all of it is done is done with it.
    <Stage title={procedure.title} leave={open.length === 0 ? close : leave} trouble={trouble}>
      <T as="title" style={{ fontSize: 30, lineHeight: 36 }}>
        {open.length === 0 ? GO.allDone : plainly(GO.stillOpen, { n: open.length })}
      </T>
      <T style={{ fontSize: 18 }}>
        {open.length === 0
          ? 'Every step was ticked; what asks for it was looked at again, later or by another eye.'
          : open.map((s) => render(s.what, reader)).join(' ')}
      </T>
      {after}
      <T as="soft">{plainly(GO.took, { for: (last - began) / 1000 })}</T>
      <View role="list" aria-label={GO.times}>
        {procedure.steps.map((step) => {
          const at = times.get(step.id);
          return (
            <View role="listitem" key={step.id} style={{ flexDirection: 'row', gap: 10, paddingVertical: 3 }}>
              <T as="label" style={{ width: 74 }}>
                {at !== undefined ? clock(at, reader) : skipped.has(step.id) ? GO.putOff : GO.open}
              </T>
              <T as="small" style={{ flex: 1 }}>
                {render(step.what, reader)}
              </T>
            </View>
          );
        })}
      </View>
      <View style={{ flex: 1 }} />
      <Button kind="main" wet onPress={close}>
        Close
      </Button>
    </Stage>
  );
}
