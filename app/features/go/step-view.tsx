import { useEffect, useState } from 'react';
import { View } from 'react-native';
import type { Step } from '@escale/core/procedure';
import { render } from '@escale/core/say';
import { MS } from '@escale/core/units';
import { useAloud } from '../../ui/aloud';
import { Button, Row } from '../../ui/button';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { plainly, setSettings, useSettings } from '../../data/settings';
import type { Member } from './hands';
import type { RunnerProps } from './runner';
import { Stage } from './stage';
import { GO } from './words';

interface Props extends Omit<RunnerProps, 'crew'> {
  step: Step;
  second: boolean;
  /** When one's own eye may look again, epoch ms. */
  againFrom: number | undefined;
  /** Steps that wait for this one. */
  locked: Step[];
  putOff: boolean;
  done: number;
  open: Step[];
  choose: (id: string) => void;
  /** Who else may look. */
  others: readonly Member[];
  /** Whose hands it takes. */
  hand: string | undefined;
  awake: boolean;
  /** Opens who does what; absent where nobody else is there. */
  share?: () => void;
}

/** One step, as large as the screen. */
export function StepView(props: Props) {
  const { step, procedure, run, now, leave, reader, trouble, others, second, againFrom, locked } = props;
  const { putOff, done, open, hand, awake } = props;
  const p = usePalette();
  const at = new Date(now).toISOString();
  const tick = (by?: string) =>
    void run.mark({ step: step.id, at, ...(second ? { second: true } : {}), ...(by ? { by } : {}) });
  const early = second && againFrom !== undefined && now < againFrom;
  const what = render(step.what, reader);
  const danger = step.danger && render(step.danger, reader);
  return (
    <Stage
      title={procedure.title}
      leave={leave}
      trouble={trouble}
      note={plainly(GO.done, { done, all: procedure.steps.length })}
    >
      {second ? (
        <T as="section" style={{ borderWidth: 2, borderColor: p.ink, padding: 8, alignSelf: 'flex-start' }}>
          Second look, by another eye or later by yours
        </T>
      ) : putOff ? (
        <T as="section">Put off before</T>
      ) : null}
      {step.who ? (
        <T as="caps">{hand ? plainly(GO.handOf, { who: step.who, name: hand }) : step.who}</T>
      ) : null}
      <T as="title" heading={2} style={{ fontSize: 32, lineHeight: 40 }}>
        {what}
      </T>
      <T style={{ fontSize: 19, lineHeight: 27 }}>{render(step.why, reader)}</T>
      {danger ? (
        <T as="strong" style={{ fontSize: 18, lineHeight: 25 }}>
          {danger}
        </T>
      ) : null}
      {locked.length > 0 ? (
        <T as="soft">{plainly(GO.locked, { steps: locked.map((s) => render(s.what, reader)).join(' ') })}</T>
      ) : null}
      {early ? (
        <T as="soft" role="status">
          {plainly(GO.early, { seconds: Math.ceil((againFrom - now) / MS.second) })}
        </T>
      ) : null}
      {awake ? null : <T as="small">{GO.sleeps}</T>}
      <More {...props} said={[what, danger].filter(Boolean).join(' ')} />
      <View style={{ flex: 1, minHeight: 24 }} />
      <Button
        once
        onPress={() => void run.mark({ step: step.id, at, skipped: true })}
        cant={open.length === 1 && GO.onlyStep}
      >
        Not now
      </Button>
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

/** What else can be asked for: the open ones, who does what, and to be read to. */
function More({ open, choose, share, reader, said }: Props & { said: string }) {
  const [list, setList] = useState(false);
  const aloud = useAloud();
  const { aloud: on } = useSettings();
  const speaks = aloud !== undefined && on;
  // A new sentence is read, and a voice that comes late reads the one that stands there.
  useEffect(() => {
    if (on) aloud?.say(said);
  }, [aloud, on, said]);
  const turn = () => {
    if (on) aloud?.hush();
    void setSettings({ aloud: !on });
  };
  return (
    <>
      <Row>
        <Button onPress={() => setList(!list)}>{GO.whatOpen}</Button>
        {share ? <Button onPress={share}>{GO.whoDoes}</Button> : null}
        <Button cant={aloud === undefined && GO.noVoice} onPress={turn}>
          {speaks ? GO.hush : GO.aloud}
        </Button>
      </Row>
      {list
        ? open.map((s) => (
            <Button key={s.id} kind="quiet" onPress={() => choose(s.id)}>
              {render(s.what, reader)}
            </Button>
          ))
        : null}
    </>
  );
}
