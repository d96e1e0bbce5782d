import { useState } from 'react';
import { View } from 'react-native';
import { CATALOGUE } from '@escale/core/kit';
import { minutesOf, taskKey, READY } from '@escale/core/passage';
import type { ReadyTask, Took } from '@escale/core/model';
import { MOST_TAKEN } from '@escale/core/model/lists';
import { civilDate } from '@escale/core/earth';
import { clock } from '@escale/core/say';
import { MS } from '@escale/core/units';
import { Button, Row } from '../../ui/button';
import { Tick } from '../../ui/choice';
import { save } from '../../ui/save';
import { Stepper } from '../../ui/stepper';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useKind, useNow, useThing } from '../../data/hooks';
import { change, tick } from '../../data/outbox';
import type { Held } from '../../data/things';
import { packListOf, useTrip } from '../trip/use-trip';
import { useGoes } from './goes';
import { BEFOREHAND } from './words';

const GROUPS = Object.keys(BEFOREHAND.groups) as ReadyTask['group'][];

/** What comes before leaving, reckoned backwards from it: done, put off or left out, on any phone of the household. */
export function Backwards() {
  const { trip, assessment, says } = useTrip();
  const now = useNow(MS.minute);
  const tasks = assessment.ready;
  if (tasks.length === 0) return <T as="soft">{BEFOREHAND.noLeave}</T>;
  return (
    <View style={{ gap: 12 }}>
      {GROUPS.map((group) => {
        const some = tasks.filter((task) => task.group === group);
        return some.length === 0 ? null : (
          <View key={group} role="group" aria-label={BEFOREHAND.groups[group]}>
            <T as="caps">
              {says(BEFOREHAND.group, { group: BEFOREHAND.groups[group], day: some[0].starts })}
            </T>
            {some.map((task) => (
              <Task key={task.id} task={task} />
            ))}
          </View>
        );
      })}
      <Row>
        <Button onPress={() => void calendar(trip, tasks, now)}>{BEFOREHAND.calendar}</Button>
      </Row>
      <T as="small">{BEFOREHAND.calendarWhy}</T>
    </View>
  );
}

function Task({ task }: { task: ReadyTask }) {
  const p = usePalette();
  const { trip, ticks, reader, says } = useTrip();
  const now = useNow(MS.minute);
  const time = useTimes(task);
  const mark = (what: Parameters<typeof taskKey>[0], on: boolean) =>
    void tick(packListOf(trip.id), taskKey(what, task.id), on, now);
  const begun = ticks.get(taskKey('begun', task.id));
  const minutes = says(task.own ? BEFOREHAND.ownMinutes : BEFOREHAND.minutes, {
    n: Math.round((task.ends - task.starts) / MS.minute),
  });
  const at = clock(task.starts, reader);
  const frame = { paddingVertical: 4, borderBottomWidth: 1, borderColor: p.line, gap: 2 };
  if (task.id === 'drive')
    return (
      <View style={[frame, { flexDirection: 'row', gap: 12 }]}>
        <T as="strong">{at}</T>
        <T style={{ flex: 1 }}>{task.title}</T>
        <T as="small">{minutes}</T>
      </View>
    );
  const done = task.said === 'done';
  const notes = [
    task.said === 'out' ? BEFOREHAND.isOut : minutes,
    task.said === 'later' ? BEFOREHAND.isLater : undefined,
    task.waitsFor === undefined ? undefined : says(BEFOREHAND.waits, { what: task.waitsFor }),
    begun !== undefined && !done ? says(BEFOREHAND.since, { at: begun }) : undefined,
    !done && task.said !== 'out' && task.ends <= now ? BEFOREHAND.gone : undefined,
    task.why,
  ].filter((note) => note !== undefined);
  const named = (what: string) => says(BEFOREHAND.label, { what, task: task.title });
  const finish = (on: boolean) => {
    mark('task', on);
    if (on && begun !== undefined) time.took(Math.round((now - begun) / MS.minute));
    if (begun !== undefined) mark('begun', false);
  };
  return (
    <View style={[frame, { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 12 }]}>
      <View style={{ flexGrow: 1, flexBasis: 280 }}>
        {task.waitsFor === undefined || done ? (
          <Tick
            label={says(BEFOREHAND.at, { at: task.starts, task: task.title })}
            note={notes.join(' · ')}
            on={done}
            onChange={finish}
          />
        ) : (
          // What waits for another can’t be ticked: the other first, or left out.
          <View style={{ paddingVertical: 6, paddingLeft: 34 }}>
            <T>{says(BEFOREHAND.at, { at: task.starts, task: task.title })}</T>
            <T as="small">{notes.join(' · ')}</T>
          </View>
        )}
      </View>
      {done ? null : (
        <Row>
          {task.said === 'out' || begun !== undefined ? null : (
            <Button kind="quiet" label={named(BEFOREHAND.begin)} onPress={() => mark('begun', true)}>
              {BEFOREHAND.begin}
            </Button>
          )}
          {task.said === 'later' ? (
            <Button kind="quiet" label={named(BEFOREHAND.notLater)} onPress={() => mark('later', false)}>
              {BEFOREHAND.notLater}
            </Button>
          ) : task.said === undefined && task.group !== 'launch' ? (
            <Button kind="quiet" label={named(BEFOREHAND.later)} onPress={() => mark('later', true)}>
              {BEFOREHAND.later}
            </Button>
          ) : null}
          <Button
            kind="quiet"
            label={named(task.said === 'out' ? BEFOREHAND.back : BEFOREHAND.out)}
            onPress={() => mark('out', task.said !== 'out')}
          >
            {task.said === 'out' ? BEFOREHAND.back : BEFOREHAND.out}
          </Button>
        </Row>
      )}
      {done && task.id === CHARGE ? <AllFull /> : null}
      {done && time.boat ? <HowLong task={task} usual={time.usual} keep={time.took} /> : null}
    </View>
  );
}
/** The task that fills what runs on a charge. */
const CHARGE = 'charge';

/** Ticked is not full: what goes along and is not known to be full is named, and one tap says that it is. */
function AllFull() {
  const { says } = useTrip();
  const goes = useGoes();
  const held = useKind('gear');
  const open = held.filter(
    ({ id, doc }) =>
      goes.some(({ item }) => item?.id === id) && CHARGED.has(doc.kind) && (doc.charge ?? 0) < FULL,
  );
  if (open.length === 0) return null;
  const names = open.map(({ doc }) =>
    doc.charge === undefined ? doc.name : says(BEFOREHAND.charge, { name: doc.name, share: doc.charge }),
  );
  const fill = async () => {
    for (const thing of open)
      await change(
        thing,
        [{ op: 'set', pointer: '/charge', value: FULL }],
        says(BEFOREHAND.changedCharge, { name: thing.doc.name }),
      );
  };
  return (
    <View style={{ gap: 6 }}>
      <T as="small">{says(BEFOREHAND.notFull, { names })}</T>
      <Row>
        <Button once onPress={() => void fill()}>
          {BEFOREHAND.allFull}
        </Button>
      </Row>
    </View>
  );
}
const FULL = 1;
const CHARGED = new Set(CATALOGUE.kinds.flatMap(({ id, charged }) => (charged === undefined ? [] : [id])));

/** It was not timed: how long it took is said by steps, and kept for the next trip in this boat. */
function HowLong({ task, usual, keep }: { task: ReadyTask; usual: number; keep: (minutes: number) => void }) {
  const { says } = useTrip();
  const [minutes, setMinutes] = useState<number>();
  const named = (what: string) => says(BEFOREHAND.label, { what, task: task.title });
  if (minutes === undefined)
    return (
      <Button kind="quiet" label={named(BEFOREHAND.howLong)} onPress={() => setMinutes(usual)}>
        {BEFOREHAND.howLong}
      </Button>
    );
  return (
    <Row>
      <Stepper
        what={named(BEFOREHAND.took)}
        named={false}
        said={says(BEFOREHAND.minutes, { n: minutes })}
        less={named(BEFOREHAND.less)}
        more={named(BEFOREHAND.more)}
        onLess={() => setMinutes(Math.max(STEP, minutes - STEP))}
        onMore={() => setMinutes(Math.min(MOST_MINUTES, minutes + STEP))}
      />
      <Button
        label={named(BEFOREHAND.keep)}
        onPress={() => {
          keep(minutes);
          setMinutes(undefined);
        }}
      >
        {BEFOREHAND.keep}
      </Button>
    </Row>
  );
}
/** Minutes by which a time is corrected by hand. */
const STEP = 5;
const MOST_MINUTES = 600;

/** How long a task takes in this boat, and what writes down how long it took. */
function useTimes({ id }: ReadyTask) {
  const { trip, shed, reader } = useTrip();
  const now = useNow(MS.minute);
  const held = useThing(trip.boat) as Held<'boat'> | undefined;
  const row = READY.find((one) => one.id === id);
  const boat = shed.boats.find((one) => one.id === trip.boat);
  const people = trip.crew.length;
  const usual = row ? minutesOf(row, boat?.minutes, people).minutes : 0;
  const took = (minutes: number) => {
    // Ticked at once, or a day later: that is no time that it took.
    if (!held || minutes < 1 || minutes > MOST_MINUTES) return;
    const one: Took = { on: civilDate(now, reader.zone), minutes, ...(people > 0 ? { people } : {}) };
    const all = [...(held.doc.minutes?.[id] ?? []), one].slice(-MOST_TAKEN);
    void change(held, [{ op: 'set', pointer: `/minutes/${id}`, value: all }], BEFOREHAND.changed);
  };
  return { boat, usual, took };
}

/** The calendar's writer is loaded when it is asked for. */
async function calendar(
  trip: { id: string; title: string },
  tasks: readonly ReadyTask[],
  now: number,
): Promise<void> {
  const { readyCalendar } = await import('@escale/core/formats/calendar');
  save('escale-beforehand.ics', 'text/calendar', readyCalendar(trip, tasks, now));
}
