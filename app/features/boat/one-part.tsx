import { useState } from 'react';
import { View } from 'react-native';
import type { HerPart, PartStands } from '@escale/core/boat/parts';
import { mendedPatch, partPatch, partText, saidOfPart } from '@escale/core/kit/round';
import { Part, Work, type Patch } from '@escale/core/model';
import { Button, Row } from '../../ui/button';
import { Fold } from '../../ui/fold';
import { T } from '../../ui/text';
import { useToday } from '../../data/hooks';
import { change, newId } from '../../data/outbox';
import { plainly } from '../../data/settings';
import type { Held } from '../../data/things';
import { fieldId } from '../../data/where';
import { ThingForm } from '../forms/thing-form';
import { Photos } from '../photos/photos';
import { PARTS } from './words';

/** How a part stands, in a few words. */
export function standsWord({ record }: HerPart, { is, due }: PartStands): string {
  const on = record?.inspected;
  if (is === 'failed') {
    const last = record?.tests?.findLast((test) => !test.passed);
    return last ? plainly(PARTS.failed, { on: last.on }) : PARTS.failedPlain;
  }
  if (is === 'none') return PARTS.none;
  if (is === 'over' && due !== undefined) return plainly(PARTS.over, { due });
  if (is === 'never' || on === undefined) return PARTS.never;
  if (is === 'before') return plainly(PARTS.before, { on });
  return due === undefined ? plainly(PARTS.fine, { on }) : plainly(PARTS.again, { on, due });
}

const titleOf = ({ title, count }: HerPart) => (count > 1 ? plainly(PARTS.many, { title, n: count }) : title);

/** One part: how it is tested, its record, and what can be said of it. */
export function OnePart({
  held,
  part,
  stands,
  begin,
}: {
  held: Held<'boat'>;
  part: HerPart;
  stands: PartStands;
  begin: boolean;
}) {
  const today = useToday();
  const boat = held.doc;
  const title = titleOf(part);
  const text = partText(part);
  const said = plainly(PARTS.changedPart, { title, boat: boat.name });
  const write = (patch: Patch[], what = said) => void change(held, patch, what);
  const test = (passed: boolean) =>
    write(
      partPatch(part, boat, { on: today, passed }),
      plainly(PARTS.changedTest, { title, boat: boat.name }),
    );
  const named = (what: string) => plainly(PARTS.label, { what, title });
  const none = stands.is === 'none';
  return (
    <View id={fieldId(`/parts/${part.key}`)} tabIndex={-1}>
      <Fold title={title} note={standsWord(part, stands)} begin={begin}>
        <View style={{ gap: 10, padding: 12 }}>
          {text?.how ? <T>{text.how}</T> : null}
          {text?.passes ? <T as="strong">{plainly(PARTS.passes, { what: text.passes })}</T> : null}
          {text?.why ? <T as="soft">{text.why}</T> : null}
          <T as="small">
            {typeof part.each === 'string'
              ? PARTS.each[part.each]
              : part.each.hours === undefined
                ? plainly(PARTS.months, { n: part.each.months })
                : plainly(PARTS.monthsOrHours, { n: part.each.months, hours: part.each.hours })}
          </T>
          {stands.is === 'failed' ? <Mended held={held} part={part} title={title} /> : null}
          {none ? (
            <Row>
              <Button
                onPress={() => write(saidOfPart(part.key, { state: undefined }))}
                label={named(PARTS.hasIt)}
              >
                {PARTS.hasIt}
              </Button>
            </Row>
          ) : (
            <Row>
              <Button once onPress={() => test(true)} label={named(PARTS.passed)}>
                {PARTS.passed}
              </Button>
              <Button once onPress={() => test(false)} label={named(PARTS.fails)}>
                {PARTS.fails}
              </Button>
              <Button
                onPress={() => write(saidOfPart(part.key, { state: 'none' }))}
                label={named(PARTS.notHers)}
              >
                {PARTS.notHers}
              </Button>
            </Row>
          )}
          {typeof part.each === 'string' ? null : (
            <ThingForm
              type={Part}
              doc={part.record ?? {}}
              only={part.row === undefined ? ['name', 'how', 'everyMonths'] : ['everyMonths']}
              onPatch={(patch) =>
                write(patch.map((p) => ({ ...p, pointer: `/parts/${part.key}${p.pointer}` })))
              }
            />
          )}
          {part.of === 'own' ? (
            <Row>
              <Button
                onPress={() => write([{ op: 'unset', pointer: `/parts/${part.key}` }])}
                label={named(PARTS.ownDrop)}
              >
                {PARTS.ownDrop}
              </Button>
            </Row>
          ) : null}
          <Photos held={held} of={part.key} what={title} />
          <Record part={part} />
        </View>
      </Fold>
    </View>
  );
}

function Record({ part }: { part: HerPart }) {
  const tests = part.record?.tests ?? [];
  if (tests.length === 0) return null;
  return (
    <View>
      <T as="label">{PARTS.record}</T>
      {tests.toReversed().map(({ on, passed, note }, i) => {
        const how = passed ? PARTS.linePassed : PARTS.lineFailed;
        return (
          <T key={i} as="small">
            {note ? plainly(PARTS.lineNote, { on, how, note }) : plainly(PARTS.line, { on, how })}
          </T>
        );
      })}
    </View>
  );
}

/** What failed is mended, written down with the motor's hours, and waits for its test. */
function Mended({ held, part, title }: { held: Held<'boat'>; part: HerPart; title: string }) {
  const today = useToday();
  const [id] = useState(newId);
  const { meter, name } = held.doc;
  const done = (values: Record<string, unknown>) => {
    const { on, what, by, meter: then } = Work.parse(values);
    const work = { on, what, ...(by ? { by } : {}), ...(then === undefined ? {} : { meter: then }) };
    const said = plainly(PARTS.changedMended, { title, boat: name });
    void change(held, mendedPatch(part.key, id, work), said);
  };
  return (
    <View style={{ gap: 8 }}>
      <T as="strong">{PARTS.mend}</T>
      <ThingForm
        type={Work}
        doc={{ on: today, ...(meter === undefined ? {} : { meter }) }}
        only={['what', 'on', ...(meter === undefined ? [] : ['meter']), 'by']}
        onCreate={done}
        createLabel={PARTS.mended}
      />
    </View>
  );
}
