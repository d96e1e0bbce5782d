import './words';
import { isOpen } from '../floatplan';
import type { Phrase } from '../model';
import { phrase, phraseOf, type WordKey } from '../say';
import { CLEAR, EYE, layersLeft, layersOf, leftOf, reachOf, type Layer } from '../signals';
import { nowOf } from '../trip/now';
import { asPrinted } from '../units';
import { goTo } from '../verdict';
import { WHATIF } from './limits';
import type { Reckoned } from './reckon';
import type { Standing } from './standing';
import { boatTold, driftTold, landedTold } from './tell-boat';
import { bodyTold, outTold } from './tell-people';
import { AT_ONCE, degrees, type Told } from './told';
import { whyOf } from './why';

/** Night that is further off is no part of this. */
const SOON = WHATIF.limit('night-within');

/** What happens, one after the other, as it begins at the earliest; what is not known says what would settle it. */
export function timelineOf(standing: Standing, reckoned: Reckoned): Told[] {
  const told = [
    first(standing, reckoned),
    ...inTime([
      ...bodyTold(standing, reckoned),
      ...boatTold(standing, reckoned),
      ...driftTold(standing, reckoned),
      ...outTold(standing, reckoned),
      ...landedTold(standing, reckoned),
      ...(reckoned.row.seen
        ? [{ id: 'aboard', after: AT_ONCE, says: [phrase('know.aboard')], tone: 'help' as const }]
        : []),
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
  return told.map((each) => {
    const why = whyOf(each.id, standing, reckoned);
    return why.length > 0 ? { ...each, why } : each;
  });
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
      ? [phrase(row.in === 'driver' ? 'what.who.drives' : 'what.who', { who: bodies[0].person.name })]
      : [];
  return { id: 'what', after: AT_ONCE, says: [what, ...who], tone: 'harm' };
}

/** Before it is filed the plan is taken to be filed and accepted: that is said. */
function planTold({ context: { plan } }: Standing, { routes }: Reckoned): Told[] {
  const counts = routes.some(
    ({ by, after }) => (by === 'ashore' || by === 'check-in') && after.high < Infinity,
  );
  const filed = plan && isOpen(plan.state);
  return counts && !filed ? [{ id: 'plan', says: [phrase('know.plan')], tone: 'open' }] : [];
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

/** By what they may be seen or heard by who happens to be near, and how far at most: nobody is counted on. */
function chanceOf({ signals, moment, row }: Reckoned): Told {
  const lost = row.calls === 'body' ? 'boat' : 'box';
  const ids = new Set(layersLeft(signals, lost, moment.dark ? 'night' : 'day').map(({ id }) => id));
  const far = moment.weather?.visibility ?? CLEAR;
  const names = layersOf(leftOf(signals, lost))
    .filter(({ layer }) => ids.has(layer.id) && !CALLS.has(layer.id))
    .map((layer) => reachSaid(layer, far));
  return {
    id: 'chance',
    says: [names.length > 0 ? phrase('what.chance', { names }) : phrase('what.chance.none')],
    tone: names.length > 0 ? 'fact' : 'harm',
    ...(names.length > 0 ? { source: 'signal-ranges' } : {}),
  };
}

function reachSaid({ layer, onBody, inReach, stowed }: Layer, visibility: number): Phrase {
  const names = [...new Set([...onBody, ...inReach, ...stowed].map(({ name }) => name))];
  const reach = reachOf(layer, visibility, EYE);
  if (!reach) return phrase('what.reach.none', { names });
  // Both ends may be bounded by the curve of the water alone.
  return asPrinted(reach.low, 'distance') === asPrinted(reach.high, 'distance')
    ? phrase('what.reach.most', { names, until: reach.high })
    : phrase('what.reach', { names, from: reach.low, until: reach.high });
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
    ...(moment.weather?.thunder === true
      ? [{ id: 'thunder', says: now('thunder'), tone: 'harm' as const }]
      : []),
    { id: 'tide', says: [...now('tide'), ...streamSaid(moment)], tone: 'fact' },
  ];
}

function streamSaid({ flow }: Reckoned['moment']): Phrase[] {
  if (!flow) return [phrase('what.stream.none')];
  return flow.speed > 0 ? [phrase('what.stream', { speed: flow.speed, to: degrees(flow.direction) })] : [];
}
