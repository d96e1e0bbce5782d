import { depthsOf, shoreOf, type Depths } from '../chart';
import { distance, onward, type LatLon } from '../earth';
import keepOff from '../../data/passage/keep-off.json';
import type { Finding, Phrase } from '../model';
import { phrase } from '../say';
import { asPrinted } from '../units';
import { goTo } from '../verdict';
import { heightsAt } from '../water';
import type { Over } from './find-holds';
import { HOLD } from './limits';
import type { AtStay } from './on-hold';
import { isStill } from './stay';

const ROUND = 360,
  LOOKS = 12,
  SPARE = HOLD.limit('spare');

/** How far from her anchor any part of her comes over the stay, metres, at most; undefined where no line was told. */
export const radiusOf = ({ hours }: Pick<Over, 'hours'>): number | undefined => {
  const far = hours.flatMap(({ held }) => held.swing?.high ?? []);
  return far.length === 0 ? undefined : Math.max(...far);
};

/** What lies within the circle over which she swings: shore, hazards, other boats, shoals. */
export function swingFindings(at: AtStay, over: Over): Finding[] {
  const { on, stay } = at;
  const { place } = stay;
  const radius = radiusOf(over);
  if (radius === undefined) return [];
  const met = [...hazards(at, radius), ...shore(at, radius), ...boats(at, radius), ...shoals(at, radius)];
  const title = phrase('hold.swing.title', { place: place.name });
  const mend = { label: phrase('hold.swing.mend'), ...goTo.trip(on.trip.id, '/halts') };
  if (met.length > 0) {
    const because = met.map(({ why }) => why);
    return [HOLD.finding('hold/swing', met[0].as, place.id, { title, because, mend })];
  }
  if (shoreOf(on.water?.chart) && depthsOf(on.water?.chart)) return [];
  return [
    HOLD.finding('hold/swing', 'unknown', place.id, {
      title,
      because: [phrase('hold.swing.unknown', { place: place.name, radius })],
      mend: { label: phrase('way.chart.mend'), ...goTo.section('plan/water') },
    }),
  ];
}

type Met = { as: 'shore' | 'hazard' | 'boat' | 'shoal'; why: Phrase };

function shore({ on, stay }: AtStay, radius: number): Met[] {
  const metres = shoreOf(on.water?.chart)?.nearest(stay.place.position)?.metres;
  return metres !== undefined && metres < radius
    ? [{ as: 'shore', why: phrase('hold.swing.shore', { radius, metres }) }]
    : [];
}

/** Hazards by how far to keep off them; traffic is told by itself. */
function hazards({ on, stay }: AtStay, radius: number): Met[] {
  return on.places.flatMap((place): Met[] => {
    if (place.kind !== 'hazard' || place.hazard === 'traffic') return [];
    const off = place.reach ?? keepOff.metres[place.hazard ?? 'other'];
    const metres = Math.max(0, distance(stay.place.position, place.position).metres - off);
    return metres < radius
      ? [{ as: 'hazard', why: phrase('hold.swing.hazard', { radius, hazard: place.name, metres }) }]
      : [];
  });
}

/** The other swings as well: twice the circle is the room that both want. */
function boats({ stay }: AtStay, radius: number): Met[] {
  const { room } = stay.halt;
  return room !== undefined && room < 2 * radius
    ? [{ as: 'boat', why: phrase('hold.swing.boat', { radius, metres: room }) }]
    : [];
}

/** Circles by their depths, rounded up to whole steps of metres: a sweep of departures asks for the same ones again. */
const seen = new WeakMap<Depths, Map<string, number>>();
const WHOLE = 5;

/** The least depth charted on two circles around a position, metres; Infinity where none is. */
function shallowest(depths: Depths, { lat, lon }: LatLon, radius: number): number {
  const out = Math.ceil(radius / WHOLE) * WHOLE;
  const key = [lat, lon, out].join(' ');
  let known = seen.get(depths);
  if (!known) seen.set(depths, (known = new Map()));
  let least = known.get(key);
  if (least === undefined) {
    const around = [out / 2, out].flatMap((far) =>
      Array.from({ length: LOOKS }, (_, i) => onward({ lat, lon }, (i * ROUND) / LOOKS, far)),
    );
    least = Math.min(...around.flatMap((there) => depths.at(there) ?? []));
    known.set(key, least);
  }
  return least;
}

/** The shallowest charted depth around her, at the lowest water of the stay, against what she draws. */
function shoals({ on, stay, hours, lying }: AtStay, radius: number): Met[] {
  const depths = depthsOf(on.water?.chart);
  if (!depths || !lying) return [];
  const heightAt = heightsAt(on.tide);
  const heights = hours.flatMap(({ at }) => (isStill(on.water) ? [0] : (heightAt(at, stay.place) ?? [])));
  if (heights.length === 0) return [];
  const low = Math.min(...heights);
  const least = shallowest(depths, stay.place.position, radius);
  const { draught } = lying;
  const depth = Math.max(0, least + low);
  return Number.isFinite(least) && least + low < draught + SPARE
    ? [{ as: 'shoal', why: phrase('hold.swing.shoal', { radius, depth, draught }) }]
    : [];
}

const TURNED = HOLD.limit('turned') * (180 / Math.PI);
/** Between two directions, degrees, 0 to 180. */
const between = (a: number, b: number) => Math.abs(((a - b + 540) % ROUND) - 180);

/** The first time that wind or stream turns her round over her anchor. */
export function turnFindings({ stay }: AtStay, { hours }: Over): Finding[] {
  const first = hours.find(({ held }) => held.pull.lies.heading !== undefined);
  const before = first?.held.pull.lies.heading;
  if (!first || before === undefined) return [];
  for (const { hour, held } of hours) {
    const after = held.pull.lies.heading;
    if (after === undefined || between(before, after) < TURNED) continue;
    return [
      HOLD.finding('hold/turns', 'turns', stay.place.id, {
        title: phrase('hold.turns.title', { place: stay.place.name }),
        because: [
          phrase('hold.turns', {
            from: first.hour.at,
            until: hour.at,
            before: Math.round(before),
            after: Math.round(after),
          }),
        ],
      }),
    ];
  }
  return [];
}

/** The hour of least water under her at the halt itself, against what she draws. */
export function agroundFindings({ stay, hours, lying, on }: AtStay): Finding[] {
  if (!lying) return [];
  const { draught } = lying;
  const known = hours.flatMap((hour) =>
    hour.depth === undefined ? [] : [{ at: hour.at, depth: hour.depth }],
  );
  const low = known.reduce<(typeof known)[number] | undefined>(
    (least, each) => (!least || each.depth < least.depth ? each : least),
    undefined,
  );
  if (!low || asPrinted(low.depth, 'height') >= asPrinted(draught + SPARE, 'height')) return [];
  return [
    HOLD.finding('hold/aground', 'dry', stay.place.id, {
      title: phrase('hold.aground.title', { place: stay.place.name }),
      because: [phrase('hold.aground', { at: low.at, depth: Math.max(0, low.depth), draught })],
      mend: { label: phrase('hold.stream.mend'), ...goTo.trip(on.trip.id, '/halts') },
    }),
  ];
}
