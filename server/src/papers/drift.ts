import { CATALOGUE } from '@escale/core/kit';
import { phrase, render } from '@escale/core/say';
import { driftPicture, DRIFTERS, type Dot, type DriftPicture } from '@escale/core/trip/drift-picture';
import type { Phrase, PlanEvent } from '@escale/core/model';
import type { PlanRow } from '../db/schema';
import type { Db } from '../db/open';
import { eventsOf } from '../plans/events';
import { storedVersion } from '../plans/stored';

/** Where they may have drifted from where they were last known to be. */
export interface Drifts {
  position?: { lat: number; lon: number };
  at?: number;
  /** What can be told at all, where no picture can. */
  says: string[];
  pictures: (Omit<DriftPicture, 'says'> & { says: string[] })[];
}

/** The last position that was sent, with the hour at which it was made. */
export function lastKnown(events: PlanEvent[]): { lat: number; lon: number; at: number } | undefined {
  const last = events.findLast((e) => e.position !== undefined);
  return last?.position && { ...last.position, at: Math.min(last.at, last.madeAt ?? last.at) };
}

/** Reckoned anew from what was filed: the weather is that of the filing, and it says so. */
export async function driftsOf(db: Db, row: PlanRow): Promise<Drifts> {
  const reader = { units: 'metric', zone: row.zone, locale: 'en-GB' } as const;
  const say = (what: Phrase) => render(what, reader);
  const last = lastKnown(await eventsOf(db, row.id));
  if (!last) return { says: [say(phrase('drift.nowhere'))], pictures: [] };
  const stored = await storedVersion(db, row.id, row.version);
  if (!stored) throw new Error('a plan without the version that holds');
  const { trip, shed, conditions } = stored.inputs;
  const { at, ...position } = last;
  const input = { trip, shed, conditions, packs: [], catalogue: CATALOGUE, now: at };
  const pictures = DRIFTERS.flatMap((as) => {
    const picture = driftPicture(input, as, position, at);
    return picture ? [{ ...picture, says: picture.says.map(say) }] : [];
  });
  return { position, at, says: pictures.length > 0 ? [] : [say(phrase('drift.none'))], pictures };
}

const path = (dots: readonly Dot[], close = false) =>
  dots.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('') +
  (close ? 'Z' : '');

/** The picture as SVG, ink on paper. */
export function driftSvg(p: DriftPicture | Drifts['pictures'][number], label: string): string {
  const stroke = 'fill="none" stroke="#12222E"';
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${p.width} ${p.height}" role="img" aria-label="${label}">`,
    `<rect width="${p.width}" height="${p.height}" fill="#EAF0F2"/>`,
    ...p.land.map((ring) => `<path d="${path(ring, true)}" fill="#D9D0B8" stroke="#12222E"/>`),
    ...p.shore.map((ring) => `<path d="${path(ring)}" ${stroke}/>`),
    `<path d="${path(p.fan, true)}" fill="#9DB6C2" fill-opacity=".45"/>`,
    `<path d="${path(p.middle)}" ${stroke} stroke-width="2.5"/>`,
    ...p.rings.map(
      ({ at: [x, y], radius }) =>
        `<circle cx="${x.toFixed(1)}" cy="${y.toFixed(1)}" r="${radius.toFixed(1)}" ${stroke} stroke-width=".8"/>`,
    ),
    `<circle cx="${p.from[0].toFixed(1)}" cy="${p.from[1].toFixed(1)}" r="5" fill="#12222E"/>`,
    `<path d="M12 ${p.height - 12}h${p.bar.length.toFixed(1)}" ${stroke} stroke-width="2"/>`,
    '</svg>',
  ].join('');
}
