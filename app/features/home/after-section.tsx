import { useEffect, useMemo } from 'react';
import { View } from 'react-native';
import { partsOf } from '@escale/core/boat/parts';
import { isOpen } from '@escale/core/floatplan';
import { AFTER_GROUPS, afterTrip, type AfterTask } from '@escale/core/logbook/after';
import { afterListOf, ALL_DONE } from '@escale/core/logbook/after-list';
import type { Says } from '@escale/core/say';
import { prepare } from '@escale/core/trip';
import { MS } from '@escale/core/units';
import { Button } from '../../ui/button';
import { Check } from '../../ui/mark';
import { TextLink } from '../../ui/press';
import { save } from '../../ui/save';
import { T } from '../../ui/text';
import { useKind, useNow, useTicks } from '../../data/hooks';
import { tick } from '../../data/outbox';
import { partsHref, thingHref } from '../../data/where';
import { useTrip } from '../trip/use-trip';
import { AFTER, GROUPS } from './after-words';

/** What is to be done once she is out of the water, ticked, with the hour until which. */
export function AfterSection() {
  const { trip, shed, prepared, input, assessment, plan, says } = useTrip();
  const now = useNow(MS.minute);
  const debrief = useKind('debrief').find(({ doc }) => doc.trip === trip.id)?.doc;
  const list = afterListOf(trip.id);
  const ticks = useTicks(list);
  const over = plan && !isOpen(plan.state) ? plan : undefined;
  const closed = over?.events.findLast(({ kind }) => kind === 'closed')?.at;
  const planned = assessment.schedule?.home;
  // Only a page that has neither counts from now; such a list has no hour that could pass.
  const home = closed ?? planned ?? now;
  const went = debrief?.boat;
  const tasks = useMemo(() => {
    // Whoever went in another boat than was planned has that one to look after.
    const other = went !== undefined && went !== trip.boat;
    const ready = other ? prepare({ ...input, trip: { ...trip, boat: went } }) : prepared;
    const boat = shed.boats.find(({ id }) => id === went);
    const parts = new Map(boat ? partsOf(boat).map(({ key, title }) => [key, title]) : []);
    return afterTrip(ready.match(assessment.leave).home, debrief, home, {
      item: (id) => shed.gear.find((item) => item.id === id)?.name,
      part: (key) => parts.get(key),
    });
  }, [prepared, input, trip, went, assessment.leave, debrief, home, shed]);
  const open = tasks.filter(({ key }) => !ticks.has(key));
  const put = (key: string, on: boolean) => void tick(list, key, on, now);
  // That all of it is done is a tick of its own, which other pages read; a line that the debrief adds later takes it back.
  const [done, said] = [tasks.length > 0 && open.length === 0, ticks.has(ALL_DONE)];
  useEffect(() => {
    if (done !== said) void tick(list, ALL_DONE, done, Date.now());
  }, [list, done, said]);
  return (
    <View style={{ gap: 12 }}>
      <T as="soft">{AFTER.lead}</T>
      <T as="strong" role="status">
        {open.length === 0 ? AFTER.done : says(AFTER.left, { n: open.length })}
      </T>
      {closed === undefined ? (
        <T as="small">{planned === undefined ? AFTER.noHome : AFTER.homeGuess}</T>
      ) : null}
      {AFTER_GROUPS.map((group) => (
        <Group
          key={group}
          group={group}
          tasks={tasks.filter((task) => task.group === group)}
          boat={went}
          ticks={ticks}
          now={now}
          put={put}
        />
      ))}
      {open.length > 0 ? (
        <Button onPress={() => void intoCalendar(trip, open, now)}>{AFTER.calendar}</Button>
      ) : null}
    </View>
  );
}

async function intoCalendar(trip: { id: string; title: string }, tasks: AfterTask[], now: number) {
  const { afterCalendar } = await import('@escale/core/formats/calendar');
  save('escale-after.ics', 'text/calendar', afterCalendar(trip, tasks, now));
}

const whyOf = ({ why, became, of = 1 }: AfterTask, says: Says) =>
  why ?? (became === undefined ? AFTER.broken : says(AFTER.became[became], { of }));

function Group({
  group,
  tasks,
  ticks,
  now,
  put,
  boat,
}: {
  boat: string | undefined;
  group: AfterTask['group'];
  tasks: AfterTask[];
  ticks: ReadonlyMap<string, number>;
  now: number;
  put: (key: string, on: boolean) => void;
}) {
  const { says } = useTrip();
  if (tasks.length === 0) return null;
  const late = tasks.some(({ key, due }) => !ticks.has(key) && due < now);
  return (
    <View role="group" aria-label={GROUPS[group]} style={{ gap: 10 }}>
      <T as="section" heading={2}>
        {GROUPS[group]}
      </T>
      <T as={late ? 'strong' : 'small'}>{says(late ? AFTER.late : AFTER.until, { due: tasks[0].due })}</T>
      {tasks.map((task) => (
        <View key={task.key}>
          <Check label={task.what} on={ticks.has(task.key)} onChange={(on) => put(task.key, on)}>
            <View style={{ flex: 1 }}>
              <T as="strong">{task.what}</T>
              <T as="soft">{whyOf(task, says)}</T>
            </View>
          </Check>
          {task.item === undefined ? null : (
            <TextLink href={thingHref('gear', task.item)}>{says(AFTER.look, { what: task.what })}</TextLink>
          )}
          {task.part === undefined || boat === undefined ? null : (
            <TextLink href={partsHref(boat, task.part)}>{says(AFTER.look, { what: task.what })}</TextLink>
          )}
        </View>
      ))}
    </View>
  );
}
