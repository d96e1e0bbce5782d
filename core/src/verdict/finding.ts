import type { Finding, Harm, Level, Mend, Phrase, SectionId, Varies } from '../model';
import type { SourceId } from '../sources';
import { limitInSI } from '../units';

/** A room's limits as its file is imported; the schema in `model/limits` is held against each file by a test. */
export interface Limits {
  kinds: Record<string, { section: string; varies: string; harm: string; cases: Record<string, Case> }>;
  limits: Record<string, { value: number; unit: string }>;
}
interface Case {
  level: string;
  open?: boolean;
  value?: number;
  unit?: string;
  source?: string;
  confidence?: string;
}

export interface FindingParts {
  title: Phrase;
  alone?: Phrase;
  because: Phrase[];
  figures?: string[];
  assumed?: Phrase[];
  mend?: Mend | undefined;
  others?: Mend[];
  /** Where what is compared comes from, when it is not where the case's own threshold does. */
  source?: SourceId | Finding['source'] | undefined;
  /** Rows of data that are kinds of their own: their id, and the level that they have themselves. */
  id?: string;
  level?: Level;
  harm?: Harm;
  open?: boolean;
}

type Kinds<L extends Limits> = keyof L['kinds'] & string;
type Cases<L extends Limits, K extends Kinds<L>> = keyof L['kinds'][K]['cases'] & string;

export interface Room<L extends Limits> {
  /** A finding of a kind, as one of its cases, about a subject: its id is `kind/subject`. */
  finding<K extends Kinds<L>>(kind: K, as: Cases<L, K>, subject: string, parts: FindingParts): Finding;
  /** The level of a case. */
  level<K extends Kinds<L>>(kind: K, as: Cases<L, K>): Level;
  /** The threshold that decides a case, in SI. @throws RangeError where the case has none */
  at<K extends Kinds<L>>(kind: K, as: Cases<L, K>): number;
  /** A limit of the room, in SI. */
  limit(name: keyof L['limits'] & string): number;
}

/** The words of a room: what it can find and what each weighs, out of its limits. */
export function roomOf<L extends Limits>(file: L): Room<L> {
  const limits = new Map(Object.entries(file.limits).map(([name, limit]) => [name, limitInSI(limit)]));
  const caseOf = (kind: string, as: string): Case => file.kinds[kind].cases[as];
  return {
    finding(kind, as, subject, { figures = [], assumed = [], source, mend, others, id, level, ...parts }) {
      const { section, varies, harm } = file.kinds[kind];
      const found = caseOf(kind, as);
      const from = source ?? found.source;
      return {
        id: id ?? `${kind}/${subject}`,
        level: level ?? (found.level as Level),
        section: section as SectionId,
        varies: varies as Varies,
        harm: harm as Harm,
        ...(found.open ? { open: true } : {}),
        ...parts,
        figures,
        assumed,
        ...(from === undefined ? {} : { source: typeof from === 'string' ? { id: from } : from }),
        ...(mend ? { mend } : {}),
        ...(others && others.length > 0 ? { others } : {}),
      };
    },
    level: (kind, as) => caseOf(kind, as).level as Level,
    at(kind, as) {
      const { value, unit } = caseOf(kind, as);
      if (value === undefined || unit === undefined) throw new RangeError(`${kind} ${as} has no threshold`);
      return limitInSI({ value, unit });
    },
    limit: (name) => limits.get(name) as number,
  };
}
