import './words';
import { HANDS, NOT_COLD } from '../body/cold';
import { distance } from '../earth';
import { SHORES } from '../model/lists';
import type { Mend, Phrase } from '../model';
import type { Band } from '../numeric';
import { ARRIVED } from '../passage';
import { phrase, phraseOf, type WordKey } from '../say';
import { layersLeft, layersOf, leftOf } from '../signals';
import type { SourceId } from '../sources';
import { nowOf } from '../trip/now';
import { MS } from '../units';
import { goTo } from '../verdict';
import { WHATIF } from './limits';
import type { Reckoned } from './reckon';
import type { Standing } from './standing';

/** One thing that happens, seconds after the incident within limits; what has no time of its own stands without one. */
export interface Told {
  id: string;
  after?: Band;
  says: Phrase[];
  /** Does it harm, help, or is it not known? */
  tone: 'harm' | 'help' | 'fact' | 'open';
  source?: SourceId;
  mend?: Mend;
}

const TOLD_AT = WHATIF.limit('drift-told'),
  /** Night that is further off is no part of this. */
  SOON = WHATIF.limit('night-within');
const AT_ONCE: Band = { low: 0, high: 0 };

/** What happens, one after the other, as it begins at the earliest; what is not known says what would settle it. */
export function timelineOf(standing: Standing, reckoned: Reckoned): Told[] {
  return [
    first(standing, reckoned),
    ...inTime([
      ...bodyTold(standing, reckoned),
      ...boatTold(standing, reckoned),
      ...driftTold(reckoned),
      ...outTold(standing, reckoned),
      ...landedTold(standing, reckoned),
      ...reckoned.routes.map(({ by, after, says }): Told => {
        const never = after.low === Infinity;
        return {
          id: `know-${by}`,
          after,
          says: [says],
          tone: never ? 'harm' : after.high === Infinity ? 'open' : 'help',
        };
      }),
      ...planTold(standing, reckoned),
      ...helpTold(standing, reckoned),
      ...skyTold(standing, reckoned),
    ]),
  ];
}

/** By when each begins; what has no time of its own keeps to what it was told with. */
const inTime = (told: Told[]): Told[] =>
  told
    .map((each, i) => ({ each, i, low: each.after?.low ?? 0 }))
    .sort((a, b) => (a.low === b.low ? a.i - b.i : a.low < b.low ? -1 : 1))
    .map(({ each }) => each);

function first({ bodies: all }: Standing, { row, filling, bodies }: Reckoned): Told {
  const what =
    row.boat !== 'filling'
      ? phraseOf(`what.${row.id}` as WordKey)
      : filling
        ? phrase('what.flooding', { hole: filling.hole.name })
        : phrase('what.flooding.none');
  const who =
    row.in !== 'nobody' && all.length > 1 && bodies.length > 0
      ? [phrase('what.who', { who: bodies[0].person.name })]
      : [];
  return { id: 'what', after: AT_ONCE, says: [what, ...who], tone: 'harm' };
}

function bodyTold({ context }: Standing, { phases, bodies, moment }: Reckoned): Told[] {
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
      says: [phrase(water <= HANDS.upTo ? 'what.hands' : 'what.hands.above')],
      tone: 'harm',
      source: 'cold-1-10-1',
    });
  told.push({
    id: 'worn',
    after: phases.worn,
    says: [phrase('what.worn'), ...notes],
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

function boatTold(standing: Standing, reckoned: Reckoned): Told[] {
  const { row, filling, anchored } = reckoned;
  const { assessment } = standing;
  const told: Told[] = [];
  if (row.boat === 'filling') {
    if (!filling) return [{ id: 'full', says: [phrase('what.full.unknown')], tone: 'open' }];
    const hole = filling.hole.name;
    if (filling.third.low < Infinity)
      told.push({
        id: 'third',
        after: filling.third,
        says: [phrase('what.third')],
        tone: 'harm',
        source: 'orifice',
      });
    told.push(
      filling.full.low === Infinity
        ? { id: 'full', says: [phrase('what.full.never', { hole })], tone: 'fact', source: 'orifice' }
        : {
            id: 'full',
            after: filling.full,
            says: [
              phrase(filling.end === 'capsized' ? 'what.full.over' : 'what.full', { hole }),
              phrase('what.full.bail'),
            ],
            tone: 'harm',
            source: 'orifice',
          },
    );
  }
  if (row.boat === 'over' || row.boat === 'filling') {
    const found = assessment.findings.find(({ id }) => id.startsWith('lie/swamped/'));
    told.push({
      id: 'floats',
      says: found?.because ?? [phrase('swamped.unknown.why')],
      tone: found?.level === 'ready' ? 'help' : 'open',
      ...(found?.mend ? { mend: found.mend } : {}),
    });
  }
  if (row.boat === 'adrift') told.push(anchorTold(anchored));
  if (row.id === 'fog')
    told.push({
      id: 'finds',
      says: [phrase(reckoned.finds ? 'what.fog.has' : 'what.fog.none')],
      tone: reckoned.finds ? 'help' : 'harm',
    });
  return told;
}

function anchorTold(anchored: Reckoned['anchored']): Told {
  if (!anchored) return { id: 'anchor', after: AT_ONCE, says: [phrase('what.holds.none')], tone: 'harm' };
  const { held, item, depth, sounded } = anchored;
  const anchor = item.name;
  const words = held.stands === 'holds' ? 'what.holds' : (`what.holds.${held.stands}` as const);
  return {
    id: 'anchor',
    after: AT_ONCE,
    says: [
      phrase(words, { anchor }),
      ...(sounded
        ? []
        : [depth === undefined ? phrase('what.holds.depth') : phrase('what.holds.least', { depth })]),
    ],
    tone: held.stands === 'holds' ? 'help' : held.stands === 'drags' ? 'harm' : 'open',
  };
}

/** Where wind and stream take who or what drifts, and on what it ends. */
function driftTold({ row, as, moment }: Reckoned): Told[] {
  if (row.boat === 'filling' || (row.boat === 'afloat' && row.in === 'nobody') || row.seen) return [];
  const drift = moment.drift(as);
  if (!drift) return [{ id: 'drift', says: [phrase('what.drift.none')], tone: 'open' }];
  const { points } = drift.middle;
  const then = points.find(({ at }) => at >= moment.at + TOLD_AT * MS.second) ?? points[points.length - 1];
  const { metres, bearing } = distance(moment.here, then.position);
  const notes = drift.streamless ? [phrase('what.drift.streamless')] : [];
  const seconds = (at: number) => (at - moment.at) / MS.second;
  const told: Told[] = [
    {
      id: 'drift',
      after: { low: seconds(then.at), high: seconds(then.at) },
      says: [phrase('what.drift', { metres, bearing: Math.round(bearing) % ROUND }), ...notes],
      tone: 'fact',
      source: 'leeway',
    },
  ];
  const ends = moment.ends(as);
  if (!ends) return [...told, { id: 'ashore', says: [phrase('what.ashore.beyond')], tone: 'fact' }];
  const shores = ends.places.map(({ name, shore }) =>
    shore ? `${name} (${SHORES[shore].toLowerCase()})` : name,
  );
  return [
    ...told,
    {
      id: 'ashore',
      after: { low: seconds(ends.earliest.at), high: ends.latest ? seconds(ends.latest.at) : Infinity },
      says: [
        ...(shores.length > 0 ? [phrase('what.ashore', { shores })] : []),
        ...(ends.unsaid ? [phrase('what.ashore.unsaid')] : []),
      ],
      tone: ends.unsaid ? 'open' : 'fact',
    },
  ];
}
const ROUND = 360;

function outTold(standing: Standing, { row, out }: Reckoned): Told[] {
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
  const { hold } = standing;
  const has = (['re-entry', 're-board'] as const).some((each) => standing.has(each) === 'yes');
  const names = hold.gear.filter(({ kind }) => AIDS.has(kind)).map(({ name }) => name);
  return has && names.length > 0 ? phrase('what.aids', { names }) : phrase('what.aids.none');
}
const AIDS: ReadonlySet<string> = new Set([
  're-entry-strap',
  'boarding-ladder',
  'boarding-strap',
  'drag-strap',
  'righting-line',
  'righting-bag',
  'paddle-float',
]);

function landedTold({ context }: Standing, { row, landed, nearest, speed, moment }: Reckoned): Told[] {
  if (row.still === 'none') return [];
  if (!speed) {
    if (row.still === 'other') return [];
    return [
      {
        id: 'landed',
        says: [phrase('what.landing.speed')],
        tone: 'open',
        mend: { label: phrase('speed.none.mend'), ...goTo.trip(context.trip.id, '/speed') },
      },
    ];
  }
  if (!nearest || !landed) return [{ id: 'landed', says: [phrase('what.landing.none')], tone: 'open' }];
  const { place, metres, bearing } = nearest.landing;
  return [
    {
      id: 'landed',
      after: landed,
      says: [
        metres < ARRIVED
          ? phrase('what.landing.here', { place: place.name })
          : phrase('what.landing', { place: place.name, metres, bearing: Math.round(bearing) % ROUND }),
        ...(nearest.sure ? [] : [phrase('what.landing.unsure')]),
        ...(moment.flow ? [] : [phrase('what.landing.still')]),
      ],
      tone: nearest.sure && moment.flow ? 'help' : 'open',
    },
  ];
}

/** Before it is filed the plan is taken to be filed and accepted: that is said. */
function planTold({ context: { plan } }: Standing, { routes }: Reckoned): Told[] {
  const counts = routes.some(
    ({ by, after }) => (by === 'ashore' || by === 'check-in') && after.high < Infinity,
  );
  return counts && !plan ? [{ id: 'plan', says: [phrase('know.plan')], tone: 'open' }] : [];
}

function helpTold({ context: { water } }: Standing, reckoned: Reckoned): Told[] {
  const { help, known } = reckoned;
  const said = water?.help;
  const chance = chanceOf(reckoned);
  if (help && said?.minutes !== undefined && said.source !== undefined && said.on !== undefined) {
    const { minutes, source, on } = said;
    const told = phrase('what.help', { minutes, source, on });
    return [
      chance,
      {
        id: 'help',
        ...(known.low === Infinity ? {} : { after: help }),
        says: [told],
        tone: help.high === Infinity ? 'open' : 'help',
        source: 'your-word',
      },
    ];
  }
  return [
    chance,
    {
      id: 'help',
      says: [phrase('what.help.none')],
      tone: 'open',
      mend: { label: phrase('what.help.mend'), ...goTo.water(water?.id, '/help') },
    },
  ];
}

/** By what they may be seen or heard by who happens to be near: nobody is counted on. */
function chanceOf({ signals, moment, row }: Reckoned): Told {
  const lost = row.calls === 'body' ? 'boat' : 'box';
  const ids = new Set(layersLeft(signals, lost, moment.dark ? 'night' : 'day').map(({ id }) => id));
  const left = layersOf(leftOf(signals, lost)).filter(
    ({ layer }) => ids.has(layer.id) && !CALLS.has(layer.id),
  );
  const names = [
    ...new Set(
      left.flatMap(({ onBody, inReach, stowed }) =>
        [...onBody, ...inReach, ...stowed].map(({ name }) => name),
      ),
    ),
  ];
  return {
    id: 'chance',
    says: [names.length > 0 ? phrase('what.chance', { names }) : phrase('what.chance.none')],
    tone: names.length > 0 ? 'fact' : 'harm',
  };
}
const CALLS: ReadonlySet<string> = new Set(['radio', 'phone', 'beacon']);

/** What light, tide and thunder do meanwhile: the same words as on a card. */
function skyTold({ input, assessment }: Standing, { moment, dark, shines }: Reckoned): Told[] {
  const now = nowOf({ input, assessment, now: moment.at, position: moment.here, signals: [] });
  const night: Told[] =
    dark > SOON
      ? []
      : [
          {
            id: 'dark',
            after: { low: dark, high: dark },
            says: [
              phrase(moment.dark ? 'what.dark.now' : 'what.dark'),
              ...(shines ? [] : [phrase('what.dark.none')]),
            ],
            tone: shines ? 'fact' : 'harm',
          },
        ];
  return [
    ...night,
    { id: 'wind', says: now('wind'), tone: 'fact' },
    { id: 'tide', says: now('tide'), tone: 'fact' },
  ];
}
