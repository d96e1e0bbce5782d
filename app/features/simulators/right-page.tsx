import { useState } from 'react';
import { View } from 'react-native';
import { chance } from '@escale/core/numeric/chance';
import { changes, righting, wayOf, type Given } from '@escale/core/recover';
import { taskOf } from '@escale/core/recover/turning';
import { KNOT } from '@escale/core/units';
import { Choice } from '../../ui/choice';
import { Check } from '../../ui/mark';
import { Page } from '../../ui/page';
import { Slider } from '../../ui/slider';
import { T } from '../../ui/text';
import { useKind } from '../../data/hooks';
import { Better, Controls } from '../trouble/righting-controls';
import { OnceHere } from './once-here';
import { Righting } from './right';
import { TURN } from './right-words';
import { usualBoats, withUsual } from './usual';
import { useSaying } from './use-saying';

/** Who stands for a crew that nobody entered. */
const SOMEBODY = { id: 'somebody', mass: 80, height: 1.75 };
const WIND = { until: 20 * KNOT, step: KNOT };
/** Somebody who tries by herself leans on a line of about this length, m. */
const FIRST: Given = { side: 'bow', water: 0, bag: false, strap: false, line: 2.5 };

/** Usual boats of the kinds that a crew rights: for whoever has none of their own. */
const USUAL = usualBoats((kind) => wayOf(kind, false) !== undefined);

/** Turning her upright, with one’s own boat and crew. */
export function RightPage() {
  return <OnceHere>{() => <RightHere />}</OnceHere>;
}

function RightHere() {
  const says = useSaying();
  const own = useKind('boat').flatMap(({ doc }) => (wayOf(doc.kind, false) ? [doc] : []));
  const weighed = useKind('person').flatMap(({ doc }) => (doc.mass === undefined ? [] : [doc]));
  const [id, setId] = useState<string>();
  const [given, setGiven] = useState<Given>(FIRST);
  const [float, setFloat] = useState<boolean>();
  const [seed, setSeed] = useState(1);
  const boats = withUsual(own, USUAL);
  const found = boats.find((each) => each.id === id) ?? boats[0];
  const boat = float === undefined ? found : { ...found, rig: { ...found.rig, float } };
  const people =
    weighed.length > 0 ? weighed : [{ ...SOMEBODY, name: says(TURN.somebody, { mass: SOMEBODY.mass }) }];
  const statics = righting(boat, people, given);
  const on = people.filter((who) => statics?.together?.ids.includes(who.id));
  const key = JSON.stringify([boat, given, on.map((who) => who.id), seed]);
  const draw = chance(seed);
  const task = taskOf(boat, on, given, {
    need: draw(),
    feet: draw(),
    share: draw(),
    wind: draw(),
    mass: draw(),
  });
  return (
    <Page title={TURN.title} lead={TURN.lead} style={{ maxWidth: 900 }}>
      {task ? (
        <Righting key={key} begins={task} again={() => setSeed((n) => n + 1)} />
      ) : (
        <T as="strong" role="status">
          {statics ? TURN.nobody : TURN.none}
        </T>
      )}
      {statics ? <Better says={says} found={statics} tried={changes(boat, people, given, statics)} /> : null}
      <Choice
        label={TURN.boat}
        options={boats.map((each) => ({
          value: each.id,
          label: own.includes(each) ? each.name : says(TURN.usual, { kind: each.name.toLowerCase() }),
        }))}
        value={boat.id}
        onChange={(next) => {
          setId(next);
          setFloat(undefined);
        }}
      />
      {statics?.way === 'mast' ? (
        <>
          <Slider
            label={TURN.wind}
            said={says(TURN.windSaid, { wind: given.wind ?? 0 })}
            value={given.wind ?? 0}
            from={0}
            {...WIND}
            onChange={(wind) => setGiven((now) => ({ ...now, wind }))}
          />
          <Check label={TURN.float} on={boat.rig?.float === true} onChange={setFloat}>
            <T>{TURN.float}</T>
          </Check>
        </>
      ) : null}
      {statics ? (
        <Controls
          says={says}
          people={people}
          way={statics.way}
          byHand={wayOf(boat.kind, false) === 'hand'}
          given={given}
          change={(next) => setGiven((now) => ({ ...now, ...next }))}
        />
      ) : null}
      <View style={{ gap: 4 }}>
        <T as="soft">{TURN.wave}</T>
        <T as="small">{TURN.reroll}</T>
      </View>
    </Page>
  );
}
