import file from '../../data/signals/layers.json';
import type { Capability, SignalLayer, SignalLayers, Stowage } from '../model';
import type { Band } from '../numeric';
import { NAUTICAL_MILE } from '../units';
import { geographicRange, luminousRange } from './ranges';

const DATA = file as unknown as SignalLayers;
export const LAYERS: readonly SignalLayer[] = DATA.layers;
/** Kinds of things that are a box for others. */
const BOXES: ReadonlySet<string> = new Set(DATA.boxes);
export const isBox = (kind: string): boolean => BOXES.has(kind);

/** A thing that may be noticed, and where it travels. */
export interface Signal {
  name: string;
  /** How many of it. */
  count: number;
  place: Stowage;
  /** It lies in a box with others. */
  boxed: boolean;
  supplies: readonly Capability[];
  /** Nothing about it is open. */
  sure: boolean;
}

export interface Layer {
  layer: SignalLayer;
  onBody: Signal[];
  /** In reach of the seat, and not on a body. */
  inReach: Signal[];
  stowed: Signal[];
}

/** What of it is there, layer by layer: a thing that serves several stands in each. */
export const layersOf = (signals: readonly Signal[]): Layer[] =>
  LAYERS.map((layer) => {
    const has = (supplies: Signal['supplies'], of: readonly Capability[] = []) =>
      supplies.some((capability) => of.includes(capability));
    const of = signals.filter(
      ({ supplies }) => has(supplies, layer.capabilities) && !has(supplies, layer.without),
    );
    return {
      layer,
      onBody: of.filter(({ place }) => place === 'on-body'),
      inReach: of.filter(({ place }) => place === 'in-reach'),
      stowed: of.filter(({ place }) => place === 'hatch' || place === 'buried'),
    };
  });

export type Lost = 'boat' | 'box';

/** What is surely left when the boat is gone (bodies alone), or when the box is (all that did not lie in it). */
export const leftOf = (signals: readonly Signal[], lost: Lost): Signal[] =>
  signals.filter(({ place, boxed, sure }) =>
    !sure || place === 'home' ? false : lost === 'boat' ? place === 'on-body' : !boxed,
  );

/** Layers in which something of it is left, by day or by night. */
export const layersLeft = (signals: readonly Signal[], lost: Lost, when: 'day' | 'night'): SignalLayer[] =>
  layersOf(leftOf(signals, lost))
    .filter(
      ({ layer, onBody, inReach, stowed }) =>
        layer[when] && onBody.length + inReach.length + stowed.length > 0,
    )
    .map(({ layer }) => layer);

/**
 * How far a layer reaches, metres: as it is told, or a light as bright as that through the air of the day, no further than it stands
 * over the curve of the water.
 * @param visibility metres
 * @param eye of whoever looks out, metres over the water
 * @returns undefined where no figure is published
 */
export function reachOf({ reach }: SignalLayer, visibility: number, eye: number): Band | undefined {
  if (!reach) return undefined;
  if (reach.kind === 'told')
    return { low: reach.miles[0] * NAUTICAL_MILE, high: reach.miles[1] * NAUTICAL_MILE };
  const most = geographicRange(reach.height, eye);
  const [low, high] = reach.candela.map((candela) => Math.min(most, luminousRange(candela, visibility)));
  return { low, high };
}
