import type { GearItem, Phrase } from '../model';
import { phrase } from '../say';
import { HOLD } from './limits';
import { isSmall, tackleOf, type AtStay } from './on-hold';
import { deepest } from './find-holds';
import { fasteningOf, heightOver, type Lying } from './held';
import { needed } from './line';
import { rigOn } from './rig';

/** A part of a list that is cut and tied in order. */
export interface Part {
  id: string;
  what: Phrase;
  /** How it is joined to the one before. */
  knot?: Phrase;
}

/** Ground that holds an anchor fast for good: there a tie that breaks lets it out by its crown. */
const SNAGS: ReadonlySet<string | undefined> = new Set(['rock', 'weed', 'mixed', undefined]);
const CHAIN = { small: HOLD.limit('chain-small'), other: HOLD.limit('chain-other') };

/** An anchor line from the anchor up to the boat, part by part. */
export function anchorLine(at: AtStay, item: GearItem | undefined): Part[] {
  const { on, stay, lying } = at;
  const small = on.boat !== undefined && isSmall(on.boat);
  const { seabed } = stay.place;
  const tackle = item && tackleOf(on, item, seabed);
  const deep = deepest(at);
  const need =
    deep &&
    lying &&
    needed('usual', heightOver(lying, fasteningOf(lying, stay.halt.fast ?? 'bow'), deep.depth));
  const chain = tackle?.rode && tackle.rode.chain > 0 ? tackle.rode.chain : CHAIN[small ? 'small' : 'other'];
  const kind = tackle?.anchor.kind;
  return [
    {
      id: 'anchor',
      what: item ? phrase('cut.anchor.named', { name: item.name }) : phrase('cut.anchor'),
    },
    ...(SNAGS.has(seabed) && kind !== undefined && !kind.startsWith('weight')
      ? [{ id: 'weak', what: phrase('cut.weak'), knot: phrase('cut.weak.how') }]
      : []),
    { id: 'chain', what: phrase('cut.chain', { chain }), knot: phrase('cut.shackle') },
    {
      id: 'line',
      what:
        need === undefined
          ? phrase('cut.line.unknown')
          : phrase('cut.line', { line: Math.max(0, need - chain) }),
      knot: phrase('cut.bend'),
    },
    ...(small
      ? [
          { id: 'float', what: phrase('cut.float'), knot: phrase('cut.stop') },
          { id: 'release', what: phrase('cut.release'), knot: phrase('cut.release.how') },
        ]
      : [
          { id: 'chafe', what: phrase('cut.chafe') },
          { id: 'end', what: phrase('cut.end'), knot: phrase('cut.end.how') },
        ]),
  ];
}

/** A running rig on a hull, part by part. */
export function runningRig({ hull }: Lying): Part[] {
  const { points, loop } = rigOn(hull);
  return [
    {
      id: 'points',
      what: phrase('cut.points', {
        n: points.length,
        at: points.map(({ x }) => phrase('cut.at', { x })),
      }),
      knot: phrase('cut.points.how'),
    },
    { id: 'ends', what: phrase('cut.ends') },
    { id: 'loop', what: phrase('cut.loop', loop), knot: phrase('cut.loop.how') },
    { id: 'ring', what: phrase('cut.ring') },
    { id: 'lock', what: phrase('cut.lock') },
  ];
}
