import type { Place } from '@escale/core/model';
import { LANDABLE } from '@escale/core/model/lists';
import type { Palette } from '../../ui/tokens';

/** How large the field of a mark is to a finger, px. */
export const MARK_SIZE = 48;

export type Form =
  'launch' | 'landing' | 'no-landing' | 'haven' | 'hazard' | 'ground' | 'waypoint' | 'parking' | 'spot';

/** What a place looks like: by what one can do there. */
export function formOf({ kind, shore }: Pick<Place, 'kind' | 'shore'>): Form {
  if (kind !== 'haven') return kind;
  if (shore === undefined) return 'haven';
  return LANDABLE.has(shore) ? 'landing' : 'no-landing';
}

export interface Stroke {
  d: string;
  /** What it is filled with. */
  fill: 'ink' | 'paper' | 'none';
}

const BOWL = 'M16 22a8 8 0 0 0 16 0z';
/** Our own forms, told apart by outline and not by colour, in a field of 48 around its middle. */
export const FORMS: Record<Form, Stroke[]> = {
  launch: [{ d: 'M15 31h18L24 17z', fill: 'ink' }],
  landing: [{ d: BOWL, fill: 'ink' }],
  haven: [{ d: BOWL, fill: 'paper' }],
  'no-landing': [
    { d: BOWL, fill: 'paper' },
    { d: 'M16 32l16-14', fill: 'none' },
  ],
  hazard: [{ d: 'M24 14l3 7 7 3-7 3-3 7-3-7-7-3 7-3z', fill: 'paper' }],
  ground: [{ d: 'M15 24q7-7 14 0l5-4v8l-5-4q-7 7-14 0z', fill: 'paper' }],
  waypoint: [{ d: 'M19 24a5 5 0 1 0 10 0a5 5 0 1 0-10 0z', fill: 'paper' }],
  parking: [
    { d: 'M16 17h16v14H16z', fill: 'paper' },
    { d: 'M20 28v-8h5a2.4 2.4 0 0 1 0 5h-5', fill: 'none' },
  ],
  spot: [{ d: 'M24 12v9m0 6v9M12 24h9m6 0h9', fill: 'none' }],
};
/** Around what is chosen. */
const RING = 'M7 24a17 17 0 1 0 34 0a17 17 0 1 0-34 0z';
export const STROKE = 2.2;

const SVG = 'http://www.w3.org/2000/svg';
const made = (tag: string, attributes: Record<string, string | number>) => {
  const element = document.createElementNS(SVG, tag);
  for (const [name, value] of Object.entries(attributes)) element.setAttribute(name, String(value));
  return element;
};

/** The picture of a form, as an element: no word of anybody's gets into it. */
export function pictureOf(form: Form, { ink, raised }: Palette, chosen: boolean): HTMLElement {
  const fills = { ink, paper: raised, none: 'none' };
  const svg = made('svg', {
    width: MARK_SIZE,
    height: MARK_SIZE,
    viewBox: '0 0 48 48',
    'aria-hidden': 'true',
  });
  const strokes = chosen ? [...FORMS[form], { d: RING, fill: 'none' as const }] : FORMS[form];
  for (const { d, fill } of strokes)
    svg.append(
      made('path', { d, fill: fills[fill], stroke: ink, 'stroke-width': STROKE, 'stroke-linejoin': 'round' }),
    );
  const box = document.createElement('div');
  box.append(svg);
  return box;
}
