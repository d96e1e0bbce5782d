import type { Boat, Phrase } from '../model';
import { phrase } from '../say';

/**
 * What somebody who never drove her does, in order, when the driver is in the water; undefined where no
 * motor drives her. What nobody entered is asked for on the card.
 */
export function startCard({
  propulsion,
  controls = {},
}: Pick<Boat, 'propulsion' | 'controls'>): Phrase[] | undefined {
  const motor = propulsion.find(
    (p) => p.kind === 'outboard' || p.kind === 'inboard' || p.kind === 'electric',
  );
  if (!motor) return undefined;
  const electric = motor.kind === 'electric';
  const { cord, gear, choke, start, steering, tilt, stop } = controls;
  return [
    phrase('card.look'),
    phrase(cord === undefined ? 'card.cord.unknown' : `card.cord.${cord}`),
    ...(electric || gear === 'none' ? [phrase('card.gear.none')] : [phrase('card.neutral')]),
    ...(tilt === undefined ? [] : [phrase('card.tilt', { where: tilt })]),
    ...(electric || choke === 'none'
      ? []
      : [phrase(choke === undefined ? 'card.choke.unknown' : `card.choke.${choke}`)]),
    ...(electric
      ? [phrase('card.start.electric')]
      : [phrase(start === undefined ? 'card.start.unknown' : `card.start.${start}`)]),
    phrase(gear === 'none' || electric ? 'card.go.direct' : 'card.go'),
    phrase(steering === undefined ? 'card.steer.unknown' : `card.steer.${steering}`),
    phrase('card.come'),
    phrase('card.stop'),
    ...(stop === undefined ? [] : [phrase('card.stop.else', { how: stop })]),
  ];
}
