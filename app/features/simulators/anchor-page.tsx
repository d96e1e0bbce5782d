import { useState } from 'react';
import { anchorOf, isSmall, lyingOf, rodeOf, type Tackle } from '@escale/core/hold';
import { SCENES } from '@escale/core/hold/anchoring';
import { hullOf } from '@escale/core/boat';
import type { Boat, GearItem, Person } from '@escale/core/model';
import { chance } from '@escale/core/numeric/chance';
import { Choice } from '../../ui/choice';
import { Page } from '../../ui/page';
import { T } from '../../ui/text';
import { useKind } from '../../data/hooks';
import { OnceHere } from './once-here';
import { AnchorRun } from './anchor';
import { ANCHOR } from './anchor-words';
import { usualBoats, withUsual } from './usual';
import { useSaying } from './use-saying';

/** For whoever has none of their own: a boat that is often held, somebody in her, and an anchor, kg and m. */
const USUAL_KINDS: readonly Boat['kind'][] = ['skiff', 'sit-on-top'];
const USUAL_BOATS = usualBoats((kind) => USUAL_KINDS.includes(kind));
const SOMEBODY: Person = { id: 'somebody', name: 'Somebody', mass: 80 };
const USUAL = { mass: 5, chain: 4, line: 40 };
const USUAL_TACKLE = (seabed: Tackle['seabed']) => ({
  anchor: { kind: 'fluke' as const, weighs: USUAL.mass, usual: { low: USUAL.mass, high: USUAL.mass } },
  rode: { line: USUAL.line, chain: USUAL.chain, weight: 8 },
  ...(seabed === undefined ? {} : { seabed }),
});
const SEA = 1025;

/** Practising with the anchor, with one’s own boat, anchor and line. */
export function AnchorPage() {
  return <OnceHere>{() => <AnchorHere />}</OnceHere>;
}

function AnchorHere() {
  const says = useSaying();
  const own = useKind('boat').map(({ doc }) => doc);
  const people = useKind('person').flatMap(({ doc }) => (doc.mass === undefined ? [] : [doc]));
  const anchors = useKind('gear').flatMap(({ doc }) => (doc.kind === 'anchor' && rodeOf(doc) ? [doc] : []));
  const [boatId, setBoat] = useState<string>();
  const [itemId, setItem] = useState<string>();
  const [where, setWhere] = useState<string>(SCENES[0].id);
  const [seed, setSeed] = useState(1);
  const boats = withUsual(own, USUAL_BOATS);
  const boat = boats.find(({ id }) => id === boatId) ?? boats.find((each) => hullOf(each)) ?? boats[0];
  const item = itemId === USUAL_ID ? undefined : (anchors.find(({ id }) => id === itemId) ?? anchors.at(0));
  const scene = SCENES.find(({ id }) => id === where) ?? SCENES[0];
  const person = people.at(0) ?? SOMEBODY;
  const lying = lyingOf(boat, { crew: [{ person: person.id, role: 'skipper' }], load: [] }, [person], SEA);
  const draw = chance(seed);
  const drawn = { hold: draw(), pull: draw(), gusts: [draw(), draw(), draw()] };
  const seabed = scene.seabed as Tackle['seabed'];
  const tackle = tackleWith(item, boat, seabed);
  return (
    <Page title={ANCHOR.title} lead={ANCHOR.lead} style={{ maxWidth: 1180 }}>
      {lying ? (
        <AnchorRun
          key={[boat.id, item?.id, scene.id, seed].join()}
          begins={{ scene, lying, tackle, drawn }}
          again={() => setSeed((n) => n + 1)}
        />
      ) : (
        <T as="strong" role="status">
          {ANCHOR.none}
        </T>
      )}
      <Choice
        label={ANCHOR.scene}
        options={SCENES.map(({ id, title }) => ({ value: id, label: title }))}
        value={scene.id}
        onChange={(next) => next && setWhere(next)}
      />
      <T as="soft">{scene.lead}</T>
      <Choice
        label={ANCHOR.boat}
        options={boats.map((each) => ({
          value: each.id,
          label: own.includes(each) ? each.name : says(ANCHOR.usualBoat, { kind: each.name.toLowerCase() }),
        }))}
        value={boat.id}
        onChange={(next) => next && setBoat(next)}
      />
      <Choice
        label={ANCHOR.anchor}
        options={[
          ...anchors.map((each) => ({ value: each.id, label: each.name })),
          { value: USUAL_ID, label: says(ANCHOR.usualAnchor, USUAL) },
        ]}
        value={item?.id ?? USUAL_ID}
        onChange={(next) => next && setItem(next)}
      />
      <T as="small">{ANCHOR.estimate}</T>
    </Page>
  );
}

const USUAL_ID = 'usual';

function tackleWith(item: GearItem | undefined, boat: Boat, seabed: Tackle['seabed']) {
  const rode = item && rodeOf(item);
  if (!rode) return USUAL_TACKLE(seabed);
  return { anchor: anchorOf(item, isSmall(boat)), rode, ...(seabed === undefined ? {} : { seabed }) };
}
