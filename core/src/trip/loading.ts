import { capacityEstimate, hullOf, loadOf, PLANNED_SHARE, type LoadSum } from '../boat';
import type { Boat, Finding } from '../model';
import { phrase } from '../say';
import { asPrinted } from '../units';
import { finding, guessed, type Context, type Figures } from './context';
import { personsFindings } from './persons';
import { powerFindings } from './power';
import { trailerFindings } from './trailer';

const base = { section: 'pack/load' as const };

/** People and kit against plate, maker's figure or rule; power; the trailer. */
export function loadFindings({ trip, boat, people }: Context, figures: Figures): Finding[] {
  if (!boat || people.length === 0) return [];
  const sum = loadOf(boat, people, trip);
  const inputs = {
    people: { value: sum.people, quantity: 'mass' as const },
    gear: { value: sum.gear, quantity: 'mass' as const },
  };
  const rough = people.some((p) => guessed(p, '/mass'));
  figures.load = {
    value: sum.total,
    quantity: 'mass',
    inputs,
    formula: 'formula.load',
    source: 'your-word',
    ...(rough ? { guessed: true } : {}),
  };
  const found: Finding[] = [
    ...personsFindings(trip.id, boat, sum, figures),
    ...powerFindings(trip.id, boat),
    ...trailerFindings(boat, sum),
  ];
  if (sum.unknown.length > 0) {
    const who = people.find((p) => p.mass === undefined);
    found.push(
      finding({
        ...base,
        id: `load/unknown/${trip.id}`,
        level: 'fix',
        title: phrase('load.unknown.title'),
        because: [phrase('load.unknown.why', { who: sum.unknown })],
        mend: {
          label: phrase('load.unknown.mend'),
          go: { type: 'person', ...(who ? { id: who.id } : {}), pointer: '/mass' },
        },
      }),
    );
  }
  return [
    ...found,
    sum.limit ? withinFinding(trip.id, boat, sum, sum.limit, figures) : noLimit(boat, sum, figures),
  ].filter((f) => f !== undefined);
}

/** No plate and no maker's figure: an estimate is said as one, and over it is never more than a Fix. */
function noLimit(boat: Boat, sum: LoadSum, figures: Figures): Finding {
  const hull = hullOf(boat);
  const estimate = hull && capacityEstimate(boat, hull);
  if (estimate) {
    figures.estimate = {
      value: estimate.mass,
      quantity: 'mass',
      inputs: {},
      formula: 'formula.capacity',
      source: 'cfr-33-183',
      guessed: true,
    };
  }
  const over = estimate !== undefined && asPrinted(sum.total, 'mass') > asPrinted(estimate.mass, 'mass');
  const told =
    estimate === undefined
      ? []
      : estimate.persons === undefined
        ? [phrase('load.limit.estimate.mass', { most: estimate.mass })]
        : [phrase('load.limit.estimate', { most: estimate.mass, n: estimate.persons })];
  return finding({
    ...base,
    id: `load/limit/${boat.id}`,
    level: over ? 'fix' : 'know',
    title: phrase('load.limit.title'),
    because: [phrase('load.limit.why', { boat: boat.name, total: sum.total }), ...told],
    figures: estimate ? ['load', 'estimate'] : ['load'],
    mend: {
      label: phrase('load.limit.mend'),
      go: { type: 'boat', id: boat.id, pointer: boat.plate === 'none' ? '/advisedLoad' : '/plate' },
    },
  });
}

function withinFinding(
  trip: string,
  boat: Boat,
  sum: LoadSum,
  limit: NonNullable<LoadSum['limit']>,
  figures: Figures,
): Finding | undefined {
  const { from } = limit;
  const most = asPrinted(limit.mass, 'mass'),
    total = asPrinted(sum.total, 'mass');
  const share = sum.total / limit.mass;
  const source = from === 'plate' ? 'plate' : 'kayak-share';
  figures.limit = {
    value: limit.mass,
    quantity: 'mass',
    inputs: {},
    formula: from === 'plate' ? 'formula.plate-total' : 'formula.advised',
    source: from === 'plate' ? 'plate' : 'your-word',
    ...(limit.guessed ? { guessed: true } : {}),
  };
  figures.share = {
    value: share,
    quantity: 'percent',
    inputs: { load: { value: sum.total, quantity: 'mass' }, limit: { value: limit.mass, quantity: 'mass' } },
    formula: 'formula.share',
    source,
    ...(sum.guessed ? { guessed: true } : {}),
  };
  const values = {
    total: sum.total,
    limit: limit.mass,
    people: sum.people,
    gear: sum.gear,
    over: sum.total - limit.mass,
    share,
    most: PLANNED_SHARE,
  };
  const what = { ...base, figures: ['load', 'limit', 'share'], source: source as 'plate' | 'kayak-share' };
  const assumed = sum.guessed ? [phrase('load.guess', { what: phrase('load.guess.field') })] : [];
  const lighten = { label: phrase('load.mend'), go: { type: 'trip' as const, id: trip, pointer: '/load' } };
  // A maker's own figure that was only guessed is our estimate, and an estimate alone never makes a Stop.
  if (total > most) {
    const title = phrase(`load.${from}.over.title`);
    const level = sum.guessed ? 'fix' : 'stop';
    return finding({
      ...what,
      id: `load/over/${trip}`,
      level,
      title,
      because: [phrase('load.over', values)],
      assumed,
      mend: lighten,
    });
  }
  if (from === 'advised' && asPrinted(share, 'percent') > asPrinted(PLANNED_SHARE, 'percent')) {
    const title = phrase('load.share.over.title');
    const because = [phrase('load.share.over', values)];
    return finding({
      ...what,
      id: `load/share/${trip}`,
      level: 'fix',
      title,
      because,
      assumed,
      mend: lighten,
    });
  }
  // Who has no weight is not in the sum: then nothing is settled, and the finding of the missing weight says so.
  if (sum.unknown.length > 0) return undefined;
  const pointer = from === 'plate' ? '/plate/totalMass' : '/advisedLoad';
  return finding({
    ...what,
    id: `load/total/${trip}`,
    level: sum.guessed ? 'know' : 'ready',
    title: phrase('load.total.title'),
    because: [phrase('load.within', values)],
    assumed,
    ...(sum.guessed
      ? { mend: { label: phrase('load.limit.mend'), go: { type: 'boat' as const, id: boat.id, pointer } } }
      : {}),
  });
}
