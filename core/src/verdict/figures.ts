import type { Figure } from '../model';
import type { WordKey } from '../say';
import type { SourceId } from '../sources';

/** What every figure of a name has in common. */
export interface FigureRow {
  label: WordKey;
  quantity: Figure['quantity'];
  formula: WordKey;
  source: SourceId;
}
/** The figures that a room can give, by `room/name`. */
export type FigureTable = Record<`${string}/${string}`, FigureRow>;

/** The figures of an assessment, by id: `room/name/subject`, so that two boats or two hundred points can each have theirs. */
export type Figures = Record<string, Figure>;

type InputName = WordKey extends infer K ? (K extends `input.${infer N}` ? N : never) : never;
export interface FigureParts {
  value: number;
  /** What it was reckoned from; each name has words (`input.…`). */
  inputs?: Partial<Record<InputName, { value: number; quantity: Figure['quantity'] }>>;
  range?: [number, number] | undefined;
  guessed?: boolean;
  /** Where it comes from, or the formula, when that hangs on the facts. */
  source?: SourceId;
  formula?: WordKey;
}

/** An instant as a figure's input. */
export const instant = (value: number) => ({ value, quantity: 'instant' as const });

/**
 * A room's register of figures: `put` enters one and gives its id, which findings name.
 * @param table by `room/name`
 */
export function figuresOf<T extends FigureTable>(table: T) {
  const idOf = (name: keyof T & string, subject: string) => `${name}/${subject}`;
  return {
    idOf,
    put(into: Figures, name: keyof T & string, subject: string, parts: FigureParts): string {
      const { value, inputs = {}, range, guessed, source, formula } = parts;
      const row: FigureRow = table[name] as FigureRow;
      const id = idOf(name, subject);
      into[id] = {
        label: row.label,
        value,
        quantity: row.quantity,
        inputs,
        formula: formula ?? row.formula,
        source: source ?? row.source,
        ...(range ? { range } : {}),
        ...(guessed ? { guessed: true } : {}),
      };
      return id;
    },
  };
}

/** The figure of a name, where there is one: `figureNamed(figures, 'boat/load')`. Of several, the first. */
export const figureNamed = (figures: Figures, name: string): Figure | undefined =>
  figuresNamed(figures, name)[0]?.[1];

/** The figures of a name, whatever their subject. */
export function figuresNamed(figures: Figures, name: string): [id: string, figure: Figure][] {
  return Object.entries(figures).filter(([id]) => id.startsWith(`${name}/`));
}
