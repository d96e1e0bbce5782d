import table from '../../data/hold/sea-anchors.json';
import type { Boat, SeaAnchorData } from '../model';
import type { Band } from '../numeric';
import { KNOT } from '../units';
import type { SortedForecast } from '../water';
import { isSmall } from './on-hold';

const SEA_ANCHOR = table as unknown as SeaAnchorData;

/** Width across the mouth and length of line for a boat, metres (source `sea-anchor-size`); undefined while her length is not known. */
export function seaAnchorFor(boat: Boat): { across: Band; line: Band } | undefined {
  const { small, other } = SEA_ANCHOR;
  if (isSmall(boat))
    return {
      across: { low: small.across[0], high: small.across[1] },
      line: { low: small.line[0], high: small.line[1] },
    };
  if (boat.length === undefined) return undefined;
  const line = Math.max(other.lineLeast, other.lineLengths * boat.length);
  return {
    across: { low: other.acrossShare[0] * boat.length, high: other.acrossShare[1] * boat.length },
    line: { low: line, high: 2 * other.lineLeast > line ? 2 * other.lineLeast : line },
  };
}

/**
 * What a sea anchor pulls when it is drawn through the water: ½ρ·C·A·v² (source `wind-force`).
 * @param across its mouth, m @param speed m/s @param density kg/m³
 * @example 1 m across at 0.5 m/s with a coefficient of 1.3: 131 N
 */
export function drawn(across: number, speed: number, density: number): Band {
  const area = (Math.PI / 4) * across * across;
  const [low, high] = SEA_ANCHOR.drag.coefficient;
  const of = (coefficient: number) => (density / 2) * coefficient * area * speed * speed;
  return { low: of(low), high: of(high) };
}

/** A blow of a forecast within some hours: when it begins, when it is over, the strongest of it. Instants epoch ms, m/s. */
export interface Blow {
  from: number;
  /** Absent: not within what the forecast knows. */
  until?: number;
  most: number;
}

/** The wind before which one would want a sea anchor out, m/s. */
export const blowOf = (boat: Boat): number =>
  (isSmall(boat) ? SEA_ANCHOR.blow.small : SEA_ANCHOR.blow.other) * KNOT;

/** The first hour from `from` to `until` in which it blows so much, and when it is over. */
export function blowWithin(
  { hours }: SortedForecast,
  wind: number,
  from: number,
  until: number,
): Blow | undefined {
  const first = hours.findIndex((hour) => hour.ms >= from && hour.ms <= until && hour.wind >= wind);
  if (first < 0) return undefined;
  const rest = hours.slice(first);
  const over = rest.findIndex((hour) => hour.wind < wind);
  const blows = over < 0 ? rest : rest.slice(0, over);
  return {
    from: hours[first].ms,
    ...(over < 0 ? {} : { until: rest[over].ms }),
    most: Math.max(...blows.map((hour) => hour.wind)),
  };
}
