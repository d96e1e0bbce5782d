import type { Boat, Finding } from '../model';
import { phrase } from '../say';
import { asPrinted } from '../units';
import { goTo, guessed, type Figures } from '../verdict';
import { capacityEstimate } from './capacity';
import { FIGURES } from './figures';
import type { Laden } from './laden';
import { personsFindings } from './find-persons';
import { powerFindings } from './find-power';
import { trailerFindings } from './find-trailer';
import { hullOf } from './hull';
import { BOAT } from './limits';
import { loadOf, PLANNED_SHARE, type LoadSum } from './load';

/** People and kit against plate, maker's figure or rule; power; the trailer. */
export function loadFindings({ trip, boat, people }: Laden, figures: Figures): Finding[] {
  if (!boat || people.length === 0) return [];
  const sum = loadOf(boat, people, trip);
  const load = FIGURES.put(figures, 'boat/load', boat.id, {
    value: sum.total,
    inputs: {
      people: { value: sum.people, quantity: 'mass' },
      gear: { value: sum.gear, quantity: 'mass' },
    },
    guessed: people.some((p) => guessed(p, '/mass')),
  });
  const found = [
    ...personsFindings(trip.id, boat, sum, figures),
    ...powerFindings(trip.id, boat),
    ...trailerFindings(boat, sum),
  ];
  if (sum.unknown.length > 0) {
    const who = people.find((p) => p.mass === undefined);
    found.push(
      BOAT.finding('load/unknown', 'missing', trip.id, {
        title: phrase('load.unknown.title'),
        because: [phrase('load.unknown.why', { who: sum.unknown })],
        mend: { label: phrase('load.unknown.mend'), ...goTo.person(who?.id, '/mass') },
      }),
    );
  }
  const against = sum.limit
    ? limitFinding(trip.id, boat, sum, sum.limit, load, figures)
    : noLimit(boat, sum, load, figures);
  return against ? [...found, against] : found;
}

/** No plate and no maker's figure: an estimate is said as one, and over it is never more than a Fix. */
function noLimit(boat: Boat, sum: LoadSum, load: string, figures: Figures): Finding {
  const hull = hullOf(boat);
  const estimate = hull && capacityEstimate(boat, hull);
  const shown = estimate
    ? [load, FIGURES.put(figures, 'boat/estimate', boat.id, { value: estimate.mass, guessed: true })]
    : [load];
  const over = estimate !== undefined && asPrinted(sum.total, 'mass') > asPrinted(estimate.mass, 'mass');
  const told =
    estimate === undefined
      ? []
      : estimate.persons === undefined
        ? [phrase('load.limit.estimate.mass', { most: estimate.mass })]
        : [phrase('load.limit.estimate', { most: estimate.mass, n: estimate.persons })];
  const pointer = boat.plate === 'none' ? '/advisedLoad' : '/plate';
  return BOAT.finding('load/limit', over ? 'over' : 'none', boat.id, {
    title: phrase('load.limit.title'),
    because: [phrase('load.limit.why', { boat: boat.name, total: sum.total }), ...told],
    figures: shown,
    mend: { label: phrase('load.limit.mend'), ...goTo.boat(boat.id, pointer) },
  });
}

function limitFinding(
  trip: string,
  boat: Boat,
  sum: LoadSum,
  { mass, from, guessed: guess }: NonNullable<LoadSum['limit']>,
  load: string,
  figures: Figures,
): Finding | undefined {
  const plate = from === 'plate';
  const share = sum.total / mass;
  const source = plate ? 'plate' : 'kayak-share';
  const shown = [
    load,
    FIGURES.put(figures, 'boat/limit', boat.id, {
      value: mass,
      guessed: guess,
      ...(plate ? {} : { formula: 'formula.advised', source: 'your-word' }),
    }),
    FIGURES.put(figures, 'boat/share', boat.id, {
      value: share,
      inputs: { load: { value: sum.total, quantity: 'mass' }, limit: { value: mass, quantity: 'mass' } },
      source,
      guessed: sum.guessed,
    }),
  ];
  const what = {
    figures: shown,
    source,
    assumed: sum.guessed ? [phrase('load.guess', { what: phrase('load.guess.field') })] : [],
    mend: { label: phrase('load.mend'), ...goTo.trip(trip, '/load') },
  } as const;
  const { total, people, gear } = sum;
  if (asPrinted(total, 'mass') > asPrinted(mass, 'mass')) {
    return BOAT.finding('load/over', sum.guessed ? 'guess' : 'over', trip, {
      ...what,
      title: phrase(`load.${from}.over.title`),
      because: [phrase('load.over', { total, limit: mass, over: total - mass })],
    });
  }
  if (!plate && asPrinted(share, 'percent') > asPrinted(PLANNED_SHARE, 'percent')) {
    return BOAT.finding('load/share', 'deep', trip, {
      ...what,
      title: phrase('load.share.over.title'),
      because: [phrase('load.share.over', { total, share, limit: mass, most: PLANNED_SHARE })],
    });
  }
  // Who has no weight is not in the sum: then nothing is settled, and the finding of the missing weight says so.
  if (sum.unknown.length > 0) return undefined;
  const pointer = plate ? '/plate/totalMass' : '/advisedLoad';
  const mend = { label: phrase('load.limit.mend'), ...goTo.boat(boat.id, pointer) };
  return BOAT.finding('load/total', sum.guessed ? 'guess' : 'within', trip, {
    ...what,
    title: phrase('load.total.title'),
    because: [phrase('load.within', { total, limit: mass, people, gear })],
    mend: sum.guessed ? mend : undefined,
  });
}
