import type { Boat, Finding, Phrase } from '../model';
import { phrase } from '../say';
import { goTo, guessed } from '../verdict';
import { BOAT } from './limits';

type Papers = NonNullable<Boat['papers']>;

/**
 * Papers of a boat and the marks on her: who insures one that is hired or lent, what her owner asks, and the number on her sides.
 * Of one’s own boat nothing is asked that was not entered: what the law wants aboard its own lists ask.
 * @param endsOn the civil day on which she is home again
 */
export function paperFindings(boat: Boat | undefined, endsOn: string): Finding[] {
  const papers = boat?.papers;
  if (!boat || !papers) return [];
  return [
    ...(papers.hired === true ? [insurance(boat, papers, endsOn), notes(boat, papers)] : []),
    ...number(boat, papers, endsOn),
  ];
}

const mendOf = (boat: Boat) => ({ label: phrase('papers.mend'), ...goTo.boat(boat.id, '/papers') });
const ended = (boat: Boat, pointer: string, day: string | undefined, endsOn: string) => {
  if (day === undefined || guessed(boat, pointer)) return undefined;
  return day < endsOn;
};

function insurance(boat: Boat, { insuredUntil }: Papers, endsOn: string): Finding {
  const over = ended(boat, '/papers/insuredUntil', insuredUntil, endsOn);
  const as = over === undefined ? 'open' : over ? 'ended' : 'holds';
  const why: Phrase =
    insuredUntil === undefined || over === undefined
      ? phrase('papers.insurance.open')
      : phrase(over ? 'papers.insurance.ended' : 'papers.insurance.holds', { on: insuredUntil });
  return BOAT.finding('papers/insurance', as, boat.id, {
    title: phrase('papers.insurance.title', { boat: boat.name }),
    because: [why],
    mend: as === 'holds' ? undefined : mendOf(boat),
  });
}

function notes(boat: Boat, { notes: said }: Papers): Finding {
  const told = said !== undefined && said.trim() !== '';
  return BOAT.finding('papers/notes', told ? 'told' : 'open', boat.id, {
    title: phrase(told ? 'papers.notes.title' : 'papers.notes.open.title', { boat: boat.name }),
    because: [told ? phrase('papers.notes', { notes: said.trim() }) : phrase('papers.notes.open')],
    mend: told ? undefined : mendOf(boat),
  });
}

/** The number on her sides: until when it holds, and whether it reads from both. */
function number(boat: Boat, { number: said, numberUntil, bothSides }: Papers, endsOn: string): Finding[] {
  if (said === undefined && numberUntil === undefined && bothSides === undefined) return [];
  const over = ended(boat, '/papers/numberUntil', numberUntil, endsOn);
  const one = bothSides === false;
  const open = over === undefined || bothSides === undefined || guessed(boat, '/papers/bothSides');
  const as = over === true || one ? 'wrong' : open ? 'open' : 'holds';
  return [
    BOAT.finding('papers/number', as, boat.id, {
      title: phrase('papers.number.title', { boat: boat.name }),
      because: [
        ...(over === true && numberUntil !== undefined
          ? [phrase('papers.number.ended', { on: numberUntil })]
          : []),
        ...(one ? [phrase('papers.number.one')] : []),
        ...(over === undefined ? [phrase('papers.number.until')] : []),
        ...(bothSides === undefined ? [phrase('papers.number.sides')] : []),
        ...(as === 'holds' ? [phrase('papers.number.holds')] : []),
      ],
      mend: as === 'holds' ? undefined : mendOf(boat),
    }),
  ];
}
