import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import type { Procedure, Step } from '@escale/core/procedure';
import { stepStates } from '@escale/core/procedure';
import { render, type Reader } from '@escale/core/say';
import { Button, Row } from '../../ui/button';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import type { useRun } from './use-run';
import { GO } from './words';
import { plainly } from '../../data/settings';

interface Props {
  procedure: Procedure;
  run: ReturnType<typeof useRun>;
  now: number;
  leave: () => void;
  reader: Reader;
  /** Who else is there to look a second time: names, by id. */
  others?: { id: string; name: string }[];
}

/** One big step at a time, with wet hands. What has sunk boats is looked at twice; what can't be done now stays open. */
export function Runner({ procedure, run, now, leave, reader, others = [] }: Props) {
  const p = usePalette();
  const [back, setBack] = useState<string>();
  const states = stepStates(procedure.steps, run.ticks);
  const open = procedure.steps.filter((s) => !states.get(s.id)?.done);
  const skipped = new Set(run.ticks.filter((t) => t.skipped).map((t) => t.step));
  // What is locked is not offered, whatever was chosen.
  const ready = open.filter((s) => states.get(s.id)?.blockedBy.length === 0);
  const wants = (s: Step) => states.get(s.id)?.wantsSecond === true;
  const due = (s: Step) => (states.get(s.id)?.againFrom ?? 0) <= now;
  // First what was never touched; then the second looks, which what can't be undone waits for; then what was put off.
  const next =
    ready.find((s) => s.id === back) ??
    ready.find((s) => !wants(s) && !skipped.has(s.id)) ??
    ready.find((s) => wants(s) && due(s)) ??
    ready.find((s) => !wants(s)) ??
    ready.find(wants);
  const done = procedure.steps.length - open.length;

  if (!run.held) {
    return (
      <Stage title={procedure.title} leave={leave}>
        <T as="title" style={{ fontSize: 30, lineHeight: 36 }}>
          {plainly(GO.steps, { n: procedure.steps.length })}
        </T>
        {procedure.stopIf ? (
          <View style={{ borderLeftWidth: 8, borderColor: p.ink, paddingLeft: 12 }}>
            <T as="section">Stay ashore if</T>
            <T style={{ fontSize: 18, lineHeight: 25 }}>{render(procedure.stopIf, reader)}</T>
          </View>
        ) : null}
        <View style={{ flex: 1 }} />
        <Button kind="main" wet once onPress={() => void run.begin(now)}>
          Begin
        </Button>
      </Stage>
    );
  }
  if (!next) {
    return (
      <Stage title={procedure.title} leave={leave}>
        <T as="title" style={{ fontSize: 30, lineHeight: 36 }}>
          {open.length === 0 ? GO.allDone : plainly(GO.stillOpen, { n: open.length })}
        </T>
        <T style={{ fontSize: 18 }}>
          {open.length === 0
            ? 'Every step was ticked; what asks for it was looked at again, later or by another eye.'
            : open.map((s) => render(s.what, reader)).join(' ')}
        </T>
        <View style={{ flex: 1 }} />
        <Button
          kind="main"
          wet
          onPress={() => {
            void run.end(now);
            leave();
          }}
        >
          Close
        </Button>
      </Stage>
    );
  }
  return (
    <StepView
      key={next.id + String(states.get(next.id)?.wantsSecond)}
      step={next}
      done={done}
      open={open}
      {...{ procedure, run, now, leave, reader, others }}
      second={states.get(next.id)?.wantsSecond === true}
      againFrom={states.get(next.id)?.againFrom}
      locked={open
        .filter((s) => states.get(s.id)?.blockedBy.includes(next.id))
        .map((s) => render(s.what, reader))}
      putOff={skipped.has(next.id)}
      choose={setBack}
    />
  );
}

interface StepProps extends Props {
  step: Step;
  second: boolean;
  /** When one's own eye may look again, epoch ms. */
  againFrom: number | undefined;
  /** Steps that wait for this one. */
  locked: string[];
  putOff: boolean;
  done: number;
  open: Step[];
  choose: (id: string) => void;
}

function StepView({
  step,
  procedure,
  run,
  now,
  leave,
  reader,
  others = [],
  second,
  againFrom,
  locked,
  putOff,
  done,
  open,
  choose,
}: StepProps) {
  const p = usePalette();
  const [list, setList] = useState(false);
  const at = new Date(now).toISOString();
  const tick = (by?: string) =>
    void run.mark({ step: step.id, at, ...(second ? { second: true } : {}), ...(by ? { by } : {}) });
  const early = second && againFrom !== undefined && now < againFrom;
  return (
    <Stage
      title={procedure.title}
      leave={leave}
      note={plainly(GO.done, { done, all: procedure.steps.length })}
    >
      {second ? (
        <T as="section" style={{ borderWidth: 2, borderColor: p.ink, padding: 8, alignSelf: 'flex-start' }}>
          Second look, by another eye or later by yours
        </T>
      ) : putOff ? (
        <T as="section">Put off before</T>
      ) : null}
      <T as="title" heading={2} style={{ fontSize: 32, lineHeight: 40 }}>
        {render(step.what, reader)}
      </T>
      <T style={{ fontSize: 19, lineHeight: 27 }}>{render(step.why, reader)}</T>
      {step.danger ? (
        <T as="strong" style={{ fontSize: 18, lineHeight: 25 }}>
          {render(step.danger, reader)}
        </T>
      ) : null}
      {step.who ? <T as="soft">{step.who}</T> : null}
      {locked.length > 0 ? <T as="soft">{plainly(GO.locked, { steps: locked.join(' ') })}</T> : null}
      {early ? (
        <T as="soft" role="status">
          {plainly(GO.early, { seconds: Math.ceil((againFrom - now) / 1000) })}
        </T>
      ) : null}
      {list
        ? open.map((s) => (
            <Button key={s.id} kind="quiet" onPress={() => choose(s.id)}>
              {render(s.what, reader)}
            </Button>
          ))
        : null}
      <View style={{ flex: 1, minHeight: 24 }} />
      <Row>
        <Button
          once
          onPress={() => void run.mark({ step: step.id, at, skipped: true })}
          cant={open.length === 1 && GO.onlyStep}
          style={{ flex: 1 }}
        >
          Not now
        </Button>
        <Button onPress={() => setList(!list)} style={{ flex: 1 }}>
          What is open
        </Button>
      </Row>
      {second
        ? others.map((o) => (
            <Button key={o.id} wet once onPress={() => tick(o.id)}>
              {plainly(GO.looked, { name: o.name })}
            </Button>
          ))
        : null}
      <Button
        kind="main"
        wet
        once
        cant={early && GO.tooEarly}
        onPress={() => tick()}
        style={{ minHeight: 88 }}
      >
        {second ? 'Seen again' : 'Done'}
      </Button>
    </Stage>
  );
}

function Stage({
  title,
  note,
  leave,
  children,
}: {
  title: string;
  note?: string;
  leave: () => void;
  children: React.ReactNode;
}) {
  const p = usePalette();
  return (
    <ScrollView
      role="main"
      style={{ flex: 1, backgroundColor: p.paper }}
      contentContainerStyle={{
        flexGrow: 1,
        padding: 16,
        gap: 14,
        maxWidth: 620,
        width: '100%',
        alignSelf: 'center',
      }}
    >
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' }}>
        <View>
          <T as="strong" heading={1}>
            {title}
          </T>
          {note ? <T as="label">{note}</T> : null}
        </View>
        <Button kind="quiet" label="Leave the steps" onPress={leave}>
          leave
        </Button>
      </View>
      {children}
    </ScrollView>
  );
}
