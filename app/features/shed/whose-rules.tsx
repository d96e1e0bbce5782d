import { View } from 'react-native';
import { countryNames, PACKS, switched } from '@escale/core/rules';
import { Button, Row } from '../../ui/button';
import { Choice, Tick } from '../../ui/choice';
import { T } from '../../ui/text';
import { change } from '../../data/outbox';
import type { Held } from '../../data/things';
import { fieldId } from '../../data/where';
import { plainly } from '../../data/settings';
import { useGoTo } from '../forms/go-to';
import { RULES as SAID, SHED } from './words';

const BASIS = '/basis/~1jurisdiction';
/** Whoever chooses here says so: it is a guess no longer. */
const STATED = { op: 'set' as const, pointer: BASIS, value: 'stated' };
const UNSAID = { op: 'unset' as const, pointer: BASIS };

/** Whose rules hold on a water: guessed, said, or said to be none of those that ship; and what the lists ask about it. */
export function WhoseRules({ held, at }: { held: Held<'water'>; at: string | undefined }) {
  useGoTo(at);
  const water = held.doc;
  const packs = PACKS.filter((pack: (typeof PACKS)[number]) => pack.jurisdiction !== '*');
  const questions = packs
    .filter((pack) => water.jurisdiction.includes(pack.jurisdiction) && !water.without?.includes(pack.id))
    .flatMap((pack) => pack.questions ?? []);
  const holds = (pack: (typeof PACKS)[number]) =>
    water.jurisdiction.includes(pack.jurisdiction) && !water.without?.includes(pack.id);
  const toggle = (pack: (typeof PACKS)[number], on: boolean) => {
    const { jurisdiction, without } = switched(water, pack, on);
    void change(
      held,
      [
        { op: 'set', pointer: '/jurisdiction', value: jurisdiction },
        without ? { op: 'set', pointer: '/without', value: without } : { op: 'unset', pointer: '/without' },
        STATED,
      ],
      SAID.changed,
    );
  };
  const say = (jurisdiction: string[]) =>
    void change(held, [{ op: 'set', pointer: '/jurisdiction', value: jurisdiction }, STATED], SAID.changed);
  const guessed = water.basis?.['/jurisdiction'] === 'guessed' && water.jurisdiction.length > 0;
  const none = water.jurisdiction.length === 0 && water.basis?.['/jurisdiction'] === 'stated';
  const answer = (id: string, value: string | undefined) => {
    const { [id]: _old, ...rest } = water.answers ?? {};
    void change(
      held,
      [
        {
          op: 'set',
          pointer: '/answers',
          value: value === undefined ? rest : { ...rest, [id]: value === 'yes' },
        },
      ],
      'an answer about this water',
    );
  };
  return (
    <View
      style={{ gap: 10 }}
      id={fieldId('/jurisdiction')}
      tabIndex={-1}
      role="group"
      aria-label={SAID.title}
    >
      <T as="section" heading={2}>
        {SAID.title}
      </T>
      {guessed ? (
        <>
          <T as="strong">{plainly(SAID.guess, { country: countryNames(water.jurisdiction) })}</T>
          <Row>
            <Button kind="main" onPress={() => say(water.jurisdiction)}>
              {SAID.so}
            </Button>
          </Row>
        </>
      ) : null}
      {packs.map((pack) => (
        <Tick
          key={pack.id}
          label={pack.title}
          note={plainly(SHED.pack, { version: pack.version, authority: pack.authority })}
          on={holds(pack)}
          onChange={(on) => toggle(pack, on)}
        />
      ))}
      <Tick
        label={SAID.none}
        note={SAID.noneNote}
        on={none}
        onChange={(on) => (on ? say([]) : void change(held, [UNSAID], SAID.changed))}
      />
      {questions.map((q) => (
        <View key={q.id} style={{ gap: 4 }}>
          <T as="label" style={{ fontSize: 14 }}>
            {q.ask}
          </T>
          <Choice
            label={q.ask}
            id={fieldId(`/answers/${q.id}`)}
            options={[
              { value: 'yes', label: 'Yes' },
              { value: 'no', label: 'No' },
            ]}
            value={
              water.answers?.[q.id] === true ? 'yes' : water.answers?.[q.id] === false ? 'no' : undefined
            }
            clearable
            onChange={(v) => answer(q.id, v)}
          />
          {q.help ? <T as="small">{q.help}</T> : null}
        </View>
      ))}
    </View>
  );
}
