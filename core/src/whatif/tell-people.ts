import './words';
import { HANDS, NOT_COLD } from '../body/cold';
import type { Phrase } from '../model';
import type { Band } from '../numeric';
import { phrase } from '../say';
import { goTo } from '../verdict';
import { leansOnForecast } from '../water';
import { WHATIF } from './limits';
import type { Reckoned } from './reckon';
import type { Standing } from './standing';
import type { Told } from './told';

/** What the water does to whoever is in it. */
export function bodyTold({ context }: Standing, { phases, bodies, moment }: Reckoned): Told[] {
  if (!phases) return [];
  const [{ person, clothing }] = bodies;
  const told: Told[] = [];
  if (phases.under)
    told.push({
      id: 'under',
      after: phases.under,
      says: [phrase('what.under')],
      tone: 'harm',
      source: 'cold-1-10-1',
    });
  if (phases.unknown) {
    told.push({
      id: 'cold',
      says: [phrase('what.cold.unknown')],
      tone: 'open',
      mend: { label: phrase('what.cold.mend'), ...goTo.trip(context.trip.id, '/forecast') },
    });
    return told;
  }
  const water = moment.water?.low ?? NOT_COLD;
  if (!phases.worn)
    return [...told, { id: 'mild', says: [phrase('what.cold.mild', { water })], tone: 'fact' }];
  const breath: Band = { low: 0, high: GASP };
  if (phases.gasps)
    told.push({
      id: 'gasp',
      after: breath,
      says: [phrase('what.gasp')],
      tone: 'harm',
      source: 'cold-1-10-1',
    });
  const notes = [
    ...(phases.unsaid ? [phrase('what.clothes.unsaid', { who: person.name })] : []),
    ...(phases.dressed && clothing ? [phrase('what.clothes', { who: person.name })] : []),
    ...(context.forecast?.invented ? [phrase('what.invented')] : []),
  ];
  if (phases.hands)
    told.push({
      id: 'hands',
      after: phases.hands,
      says: [
        leansOnForecast(context.forecast, phrase(water <= HANDS.upTo ? 'what.hands' : 'what.hands.above')),
      ],
      tone: 'harm',
      source: 'cold-1-10-1',
    });
  told.push({
    id: 'worn',
    after: phases.worn,
    says: [leansOnForecast(context.forecast, phrase('what.worn')), ...notes],
    tone: 'harm',
    source: 'cold-table',
  });
  if (phases.survives)
    told.push({
      id: 'survives',
      after: phases.survives,
      says: [phrase('what.survives')],
      tone: 'fact',
      source: 'cold-table',
    });
  return told;
}
const GASP = WHATIF.limit('gasp');

/** How they come out of it again. */
export function outTold(standing: Standing, { row, out }: Reckoned): Told[] {
  if (!out) return [];
  const { righting, context, bodies } = standing;
  if (row.out === 'righting') {
    const can = righting?.together?.can;
    const way = righting
      ? righting.way === 'hand'
        ? 'hand'
        : (can ?? 'may')
      : out.low === Infinity
        ? 'never'
        : 'hand';
    const aids = aidsOf(standing);
    const never = out.low === Infinity;
    return [
      {
        id: 'out',
        ...(never ? {} : { after: out }),
        says: [
          phrase(`what.right.${never && righting ? 'no' : way}`),
          ...(never ? [] : [aids, phrase('what.right.fails')]),
        ],
        tone: never ? 'harm' : 'open',
        source: 'own-estimate',
      },
    ];
  }
  const { trip } = context;
  const drivers = trip.crew.filter(({ role }) => role !== 'crew').length;
  const driver = bodies.find((body) => body.driver);
  const alone = row.out === 'cord' && bodies.length < 2;
  const cord = driver?.cord === undefined ? 'unsaid' : driver.cord ? 'on' : 'off';
  return [
    {
      id: 'out',
      ...(out.low === Infinity ? {} : { after: out }),
      says: [
        ...(row.out === 'cord' ? [phrase(`what.cord.${cord}`)] : []),
        ...(alone ? [] : [phrase('what.turn')]),
        ...(!alone && row.out === 'cord' && drivers < 2 ? [phrase('what.turn.drives')] : []),
        ...(standing.has('re-board') === 'yes' ? [] : [phrase('what.turn.boards')]),
      ],
      tone: out.low === Infinity ? 'harm' : out.high === Infinity ? 'open' : 'help',
    },
  ];
}

/** What to climb in by, as far as it is in reach. */
function aidsOf(standing: Standing): Phrase {
  const names = standing.named(['re-entry', 're-board']);
  return names.length > 0 ? phrase('what.aids', { names }) : phrase('what.aids.none');
}
