import type { Finding } from '../model';
import { phrase } from '../say';
import { goTo, type Figures } from '../verdict';
import { lieFindings } from './find-lie';
import { loadFindings } from './find-load';
import { wayFindings } from './find-ways';
import { pressedFindings } from './find-parts';
import { BOAT } from './limits';
import type { Laden } from './laden';

/** What holds of a boat whenever she leaves: what is not known of her, load, how she lies, ways home. */
export function boatFindings(laden: Laden, figures: Figures): Finding[] {
  return [
    ...lengthFindings(laden),
    ...loadFindings(laden, figures),
    ...lieFindings(laden, figures),
    ...pressedFindings(laden),
    ...wayFindings(laden),
  ];
}

function lengthFindings({ boat }: Laden): Finding[] {
  if (!boat || boat.length !== undefined) return [];
  return [
    BOAT.finding('boat/length', 'missing', boat.id, {
      title: phrase('boat.length.title', { boat: boat.name }),
      because: [phrase('boat.length.why')],
      mend: { label: phrase('boat.length.mend'), ...goTo.boat(boat.id, '/length') },
    }),
  ];
}
