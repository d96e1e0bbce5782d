import type { Boat, Finding, Place, Schedule, Trip } from '../model';
import { CHART_DATUMS } from '../model/lists';
import { phrase } from '../say';
import { asPrinted, MS } from '../units';
import { goTo, guessed, leaning, leanOnPace, type Figures, type Pace } from '../verdict';
import { farStation, type Tide } from '../water';
import { FIGURES } from './figures';
import { OVER_FOOT, rampHours, type Band } from './geometry';
import { RAMP } from './limits';
import { onRamp, type RampNeeds } from './needs';

/** What a trip says of its ramp. */
export interface OnLaunch {
  trip: Trip;
  boat?: Boat;
  launch?: Place;
  back?: Place;
  tide?: Tide;
  speed?: Pace;
}

/** Hours on either side of a shallow one within which it is told when the ramp carries her. */
const AROUND = MS.day / 2;

/**
 * Does the ramp carry her on her trailer when the trip leaves and when it returns? Asked where the height of its foot is
 * known.
 * @param shown ids of the figures that the findings name
 */
export function rampFindings(
  on: OnLaunch,
  needs: RampNeeds | undefined,
  schedule: Schedule,
  shown: string[],
): Finding[] {
  const { trip, boat, launch, tide } = on;
  if (!needs || !boat || launch?.launchFrom !== 'ramp') return [];
  if (!tide || !CHART_DATUMS.has(tide.datum) || schedule.home === undefined) return [];
  const ends = [
    { place: launch, at: schedule.leave, deed: 'leave' as const },
    { place: on.back, at: schedule.home, deed: 'return' as const },
  ].flatMap(({ place, at, deed }) => {
    const height = tide.heightAt(at);
    if (place?.foot === undefined || place.launchFrom !== 'ramp' || height === undefined) return [];
    const need = place.foot + needs.depth.high + OVER_FOOT;
    return [{ place, foot: place.foot, at, deed, height, need, least: place.foot + needs.depth.low }];
  });
  const short = ends.filter(({ height, need }) => asPrinted(height, 'height') < asPrinted(need, 'height'));
  const guess = phrase('ramp.guess');
  const rough = (place: Place) =>
    !needs.known || guessed(place, '/foot') || farStation(tide, place) !== undefined;
  const assumed = (place: Place) => (rough(place) ? [farStation(tide, place) ?? guess] : []);
  if (short.length > 0)
    return short.map(({ place, foot, at, deed, height, need, least }) => {
      const spans = rampHours(tide, foot, needs.depth, at - AROUND, at + AROUND).map((span) =>
        phrase('launch.tide.span', { ...span }),
      );
      const may = rough(place) && height >= least;
      return RAMP.finding(`ramp/${deed}`, may ? 'may' : rough(place) ? 'guess' : 'short', trip.id, {
        title: phrase(`ramp.${deed}.title`),
        because: [
          phrase(may ? 'ramp.may' : 'ramp.short', { at, height, need, place: place.name }),
          ...(spans.length > 0 ? [phrase('ramp.hours', { spans })] : []),
        ],
        assumed: assumed(place),
        figures: shown,
        source: tide.source,
        mend: { label: phrase('launch.tide.mend'), ...goTo.trip(trip.id, '/leave/time') },
      });
    });
  const [first, last] = [ends[0], ends.at(-1)];
  if (!first || !last) return [];
  const ok = RAMP.finding('ramp/carries', 'both', trip.id, {
    title: phrase('ramp.ok.title'),
    because: [phrase('ramp.ok', { height: first.height, back: last.height, need: first.need })],
    figures: shown,
    source: tide.source,
  });
  const far = ends.map(({ place }) => farStation(tide, place)).find((words) => words !== undefined);
  if (far) return [leaning(ok, far, { label: phrase('tide.far.mend'), ...goTo.section('plan/water') })];
  return [
    ends.some(({ place }) => rough(place))
      ? leaning(ok, guess, { label: phrase('trailer.mend'), ...goTo.boat(boat.id, '/trailer') })
      : leanOnPace(on, ok),
  ];
}

/**
 * How deep, how far in where the slope is known, and where the car stands: they do not change with the hour.
 * @returns their ids
 */
export function rampFigures(
  { trip, launch, boat }: OnLaunch,
  needs: RampNeeds | undefined,
  figures: Figures,
): string[] {
  if (!needs || !boat || launch?.launchFrom !== 'ramp') return [];
  const wide = ({ low, high }: Band): [number, number] => [low, high];
  const sides = ({ low, high }: Band): [number, number] =>
    low < 0 ? [Math.abs(high), Math.abs(low)] : [low, high];
  const at = onRamp(boat, launch, needs);
  const length = (value: number) => ({ value, quantity: 'length' as const });
  return [
    FIGURES.put(figures, 'ramp/depth', trip.id, {
      value: needs.depth.high,
      range: wide(needs.depth),
      inputs: { support: length(needs.support.high), draught: length(needs.draught.high) },
      guessed: !needs.known,
    }),
    ...(at && launch?.slope !== undefined
      ? [
          FIGURES.put(figures, 'ramp/run', trip.id, {
            value: at.run.high,
            range: wide(at.run),
            inputs: { slope: { value: launch.slope, quantity: 'percent' as const } },
            guessed: !at.known,
          }),
        ]
      : []),
    ...(at?.car
      ? [
          FIGURES.put(figures, at.car.low < 0 ? 'ramp/car-in' : 'ramp/car', trip.id, {
            value: Math.abs(at.car.low),
            ...(at.car.low * at.car.high < 0 ? {} : { range: sides(at.car) }),
            inputs: { drawbar: length(boat.trailer?.drawbar ?? 0) },
            guessed: !at.known,
          }),
        ]
      : []),
  ];
}
