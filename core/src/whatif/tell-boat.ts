import './words';
import { distance } from '../earth';
import { SHORES } from '../model/lists';
import { ARRIVED } from '../passage';
import { phrase } from '../say';
import { MS } from '../units';
import { goTo } from '../verdict';
import { leansOnForecast } from '../water';
import { WHATIF } from './limits';
import type { Reckoned } from './reckon';
import type { Standing } from './standing';
import { AT_ONCE, degrees, type Told } from './told';

const TOLD_AT = WHATIF.limit('drift-told');

/** What becomes of her: water in her, whether she floats, what holds her. */
export function boatTold(standing: Standing, reckoned: Reckoned): Told[] {
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
              phrase('what.full.then'),
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
export function driftTold({ context: { forecast } }: Standing, { row, as, moment }: Reckoned): Told[] {
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
      says: [
        leansOnForecast(forecast, phrase('what.drift', { metres, bearing: degrees(bearing) })),
        ...notes,
      ],
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
        ...(shores.length > 0 ? [leansOnForecast(forecast, phrase('what.ashore', { shores }))] : []),
        ...(ends.unsaid ? [phrase('what.ashore.unsaid')] : []),
      ],
      tone: ends.unsaid ? 'open' : 'fact',
    },
  ];
}

/** The nearest landing, at what speed she still has. */
export function landedTold({ context }: Standing, { row, landed, nearest, speed, moment }: Reckoned): Told[] {
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
          : phrase('what.landing', { place: place.name, metres, bearing: degrees(bearing) }),
        ...(nearest.sure ? [] : [phrase('what.landing.unsure')]),
        ...(moment.flow ? [] : [phrase('what.landing.still')]),
        ...(metres < ARRIVED ? [] : [phrase('what.landing.straight')]),
      ],
      tone: nearest.sure && moment.flow ? 'help' : 'open',
    },
  ];
}
