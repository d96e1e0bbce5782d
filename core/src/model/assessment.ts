import type { Quantity } from '../units';
import type { Capability } from './capabilities';
import type { ThingType } from './common';
import type { SectionId, Varies } from './limits';
import type { Harm, Level } from './lists';
import type { Demand } from './rules';

/** A sentence not yet in words: a template's name and what goes into it. `say/` renders it. */
export interface Phrase {
  say: string;
  /** A sentence of data, with placeholders of its own: `say` is then `own`. */
  own?: string;
  with?: Record<string, PhraseValue>;
}
export type PhraseValue = string | number | Phrase | (string | Phrase)[];

export interface Figure {
  /** What it is called: a template's name. */
  label: string;
  value: number;
  /** An instant is epoch milliseconds and has quantity `instant`. */
  quantity: Quantity | 'instant';
  /** What it was computed from, by figure or field name. */
  inputs: Record<string, { value: number; quantity: Quantity | 'instant' }>;
  /** The formula in words: a template's name. */
  formula: string;
  /** Id in `sources`. */
  source: string;
  range?: [number, number];
  /** Some input was a guess. */
  guessed?: boolean;
}

/** A field of a thing. `pointer` is a JSON pointer into its document. */
export interface FieldRef {
  type: ThingType;
  id?: string;
  pointer: string;
}

export interface Patch {
  op: 'set' | 'unset' | 'append' | 'drop';
  pointer: string;
  value?: unknown;
}

/** One tap that mends: go to the very field, or do it. */
export type Mend =
  | { label: Phrase; go: FieldRef }
  | { label: Phrase; do: { type: ThingType; id: string; patch: Patch[] } }
  | { label: Phrase; add: { type: 'gear'; kind: string; borrowed?: true } }
  | { label: Phrase; open: SectionId };

export interface SourceRef {
  id: string;
  section?: string;
  confidence?: 'H' | 'M' | 'L';
  verified?: boolean;
  noted?: string;
}

export interface Finding {
  /** `room/rule/subject`, never an index. */
  id: string;
  level: Level;
  section: SectionId;
  /** What it varies with; absent in what was filed before kinds said so. */
  varies?: Varies;
  /** What is at stake, and whether something that would settle it was never said; absent in what was filed before. */
  harm?: Harm;
  open?: boolean;
  title: Phrase;
  /** The same as a sentence that can stand alone, where the title is only a name. */
  alone?: Phrase;
  because: Phrase[];
  /** Ids of figures. */
  figures: string[];
  source?: SourceRef;
  assumed: Phrase[];
  mend?: Mend;
  /** Other ways to the same end, each dearer than the one before. */
  others?: Mend[];
}

export type Truth = 'yes' | 'no' | 'unknown';

export interface Because {
  phrase: Phrase;
  truth: Truth;
}

export type ReasonCode =
  | 'stays-home'
  | 'other-boat'
  | 'host-stays'
  | 'failed'
  | 'expired'
  | 'not-tested'
  | 'lent'
  | 'uncased'
  | 'case-unknown'
  | 'uncharged'
  | 'charge-unknown'
  | 'companion'
  | 'out-of-reach'
  | 'not-approved'
  | 'approval-unknown'
  | 'unregistered'
  | 'registration-unknown'
  | 'taken'
  | 'too-small'
  | 'too-big'
  | 'size-unknown'
  | 'mass-unknown'
  | 'too-young'
  | 'age-unknown'
  | 'none-left'
  | 'state-unknown'
  | 'not-worn'
  | 'expiry-unknown'
  | 'too-short'
  | 'length-unknown'
  | 'unsettled'
  | 'cylinder-unknown'
  | 'cylinder-fired'
  | 'not-for-craft'
  | 'not-for-rapids'
  | 'rapids-unknown'
  | 'where-unknown'
  | 'host-gone'
  | 'owner-gone'
  | 'owner-ashore'
  | 'ends-soon'
  | 'made-unknown'
  | 'approval-unread'
  | 'rule-unsettled'
  | 'lacks-own'
  | 'label-unknown'
  | 'which-boat'
  | 'elsewhere';

export interface NearMiss {
  item: string;
  reasons: { code: ReasonCode; phrase: Phrase; unknown: boolean }[];
}

export interface Use {
  item: string;
  person?: string;
  count: number;
}

export interface Shortfall {
  capability: Capability;
  need: number;
  have: number;
  /** People for whom nothing counts. */
  persons?: string[];
}

export interface Requirement {
  /** The boat of the company it speaks of; absent for the trip's own. */
  boat?: string;
  rule: string;
  pack: string;
  layer: 'law' | 'advice' | 'own';
  title: string;
  text: string;
  applies: Truth;
  because: Because[];
  anyOf: Demand[][];
  source: SourceRef;
  /** `unknown`: it applies or may apply, and what would satisfy it can't be told to be good. */
  met: Truth;
  /** For deeds: which, and the people whom they concern. */
  deeds?: ('worn' | 'cord')[];
  concerns?: string[];
  metBy: Use[];
  missing: Shortfall[];
  nearMisses: NearMiss[];
}

export interface Leg {
  from: string;
  to: string;
  departs: number;
  arrives: number;
  /** Of who is moved by arms in a wind: a plan is made by the slow end of a band, and this is the other. */
  soonest?: number;
  metres: number;
  bearing: number;
}

export interface Schedule {
  leave: number;
  legs: Leg[];
  halts: { place: string; from: number; until: number; doing?: string }[];
  /** When the plan has you leave the last halt for home. */
  turnBack?: number;
  /** The latest turn that still brings you home inside every limit. */
  latestTurn?: number;
  home?: number;
  /** When a contact is told, when they are asked to ring, and why sooner than is usual. */
  overdue?: number;
  alarm?: number;
  sooner?: ('child' | 'cold' | 'dusk')[];
  checkIns: number[];
}

export interface ReadyTask {
  id: string;
  title: string;
  why?: string;
  group: 'before' | 'evening' | 'morning' | 'launch';
  starts: number;
  ends: number;
  /** What was said of it on this trip: done, put off until later, or left out. */
  said?: 'done' | 'later' | 'out';
  /** Its minutes are those it took before, in this boat. */
  own?: boolean;
  /** The first of what it leans on that is not done yet, by its title. */
  waitsFor?: string;
  weight?: 'fix' | 'know';
}

export interface Assessment {
  core: string;
  trip: string;
  now: number;
  leave?: number;
  findings: Finding[];
  /** By id, `room/name/subject`. */
  figures: Record<string, Figure>;
  requirements: Requirement[];
  /** False where the search for the least set of things was cut off: then it says *not proved least*. */
  leastProved: boolean;
  schedule?: Schedule;
  ready: ReadyTask[];
  packs: { id: string; version: string; hash: string }[];
}
