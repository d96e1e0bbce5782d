import mishaps from '../../data/whatif/mishaps.json';
import type { Boat } from '../model';
import { WHATIF } from './limits';

/** An answer to how fast she still goes through the water, m/s. */
export interface Still {
  speed: number;
  /** Not at all, a share of her usual speed, by another of her drives, or one of a ladder where hers was never said. */
  as: 'none' | 'crawl' | 'half' | 'usual' | 'other' | 'told';
  by?: Boat['propulsion'][number]['kind'];
}

const CRAWL = WHATIF.limit('still-least'),
  HALF = WHATIF.limit('still-half');

/** What is offered, the slowest first: nothing of it is taken for an answer by itself. */
export function speedsStill(boat: Pick<Boat, 'propulsion'> | undefined): Still[] {
  const none: Still = { speed: 0, as: 'none' };
  const [main, ...others] = boat?.propulsion ?? [];
  const usual = main?.cruise;
  if (usual === undefined) return [none, ...mishaps.speeds.map((speed): Still => ({ speed, as: 'told' }))];
  const shares: Still[] = [
    { speed: CRAWL * usual, as: 'crawl' },
    { speed: HALF * usual, as: 'half' },
    { speed: usual, as: 'usual' },
  ];
  const besides = others.flatMap(({ kind, cruise }): Still[] =>
    cruise === undefined ? [] : [{ speed: cruise, as: 'other', by: kind }],
  );
  // Of two that are one speed the one with a name of its own is offered.
  const apart = shares.filter(({ speed }) => besides.every((each) => each.speed !== speed));
  return [none, ...[...apart, ...besides].sort((a, b) => a.speed - b.speed)];
}
