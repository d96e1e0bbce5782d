import { View } from 'react-native';
import type { Person } from '@escale/core/model';
import { LINE_MORE, type Change, type Given, type Righting, type WindSide } from '@escale/core/recover';
import type { Says } from '@escale/core/say';
import { Choice, optionsOf } from '../../ui/choice';
import { Check } from '../../ui/mark';
import { Stepper } from '../../ui/stepper';
import { T } from '../../ui/text';
import { CHANGE, CHANGE_TO, RIGHT, SIDES } from './righting-words';

/** By how much a line and the water in a sail are stepped, m and kg. */
const STEP = { line: 0.25, water: 10, mostWater: 60, mostLine: 6, first: 2 } as const;

/** What one changes of a righting: who is on the line, how she lies, line, water, bag and strap. */
export function Controls({
  says,
  people,
  way,
  byHand,
  given,
  change,
}: {
  says: Says;
  people: readonly Pick<Person, 'id' | 'name'>[];
  way: Righting['way'];
  /** Righted by hand where there is no strap. */
  byHand: boolean;
  given: Given;
  change: (next: Partial<Given>) => void;
}) {
  const on = given.on ?? people.map((who) => who.id);
  const line = given.line ?? STEP.first;
  return (
    <View style={{ gap: 10 }}>
      {people.length > 1 ? (
        <View role="group" aria-label={RIGHT.onLine}>
          <T as="caps">{RIGHT.onLine}</T>
          {people.map((who) => (
            <Check
              key={who.id}
              label={who.name}
              on={on.includes(who.id)}
              onChange={(is) => change({ on: is ? [...on, who.id] : on.filter((id) => id !== who.id) })}
            >
              <T>{who.name}</T>
            </Check>
          ))}
        </View>
      ) : null}
      {way === 'mast' ? (
        <>
          <Choice
            label={RIGHT.side}
            options={optionsOf(SIDES)}
            value={given.side}
            onChange={(side) => side && change({ side: side as WindSide })}
          />
          <Stepper
            what={RIGHT.line}
            said={given.line === undefined ? RIGHT.lineUnknown : says(RIGHT.lineSaid, { line: given.line })}
            less="Shorter line"
            more="Longer line"
            onLess={() => change({ line: Math.max(STEP.line, line - STEP.line) })}
            onMore={() => change({ line: Math.min(STEP.mostLine, line + STEP.line) })}
          />
          <Stepper
            what={RIGHT.water}
            said={says(RIGHT.waterSaid, { water: given.water })}
            less="Less water in the sail"
            more="More water in the sail"
            onLess={() => change({ water: Math.max(0, given.water - STEP.water) })}
            onMore={() => change({ water: Math.min(STEP.mostWater, given.water + STEP.water) })}
          />
          <Check label={RIGHT.bag} on={given.bag} onChange={(bag) => change({ bag })}>
            <T>{RIGHT.bag}</T>
          </Check>
        </>
      ) : null}
      {byHand ? (
        <Check label={RIGHT.strap} on={given.strap} onChange={(strap) => change({ strap })}>
          <T>{RIGHT.strap}</T>
        </Check>
      ) : null}
    </View>
  );
}

/** What would change it, the best first. */
export function Better({ says, found, tried }: { says: Says; found: Righting; tried: readonly Change[] }) {
  if (tried.length === 0 || found.together?.can === 'yes') return null;
  return (
    <View style={{ gap: 4 }}>
      <T as="strong">{RIGHT.changes}</T>
      {tried.map(({ id, then }) => (
        <T key={id}>
          {says(CHANGE_TO[then.together?.can ?? 'no'], {
            what: id === 'line' ? says(CHANGE.line, { more: LINE_MORE }) : CHANGE[id],
          })}
        </T>
      ))}
    </View>
  );
}
