import { distance } from '../earth';
import type { Boat, Phrase, Place, Schedule } from '../model';
import { phrase } from '../say';
import { MS } from '../units';
import { guessed } from '../verdict';
import type { SortedForecast, Tide } from '../water';
import { leansOnForecast, weatherAt } from '../water';
import { crossOf } from './cross';
import { highest } from './find-edge';
import { rampHours, runOut } from './geometry';
import { RAMP } from './limits';
import type { RampNeeds } from './needs';

export interface AtLaunch {
  boat?: Boat | undefined;
  launch?: Place | undefined;
  back?: Place | undefined;
  tide?: Tide | undefined;
  forecast?: SortedForecast | undefined;
  places: readonly Place[];
}

/** A car is not left further away than this, m; and wind below this does not turn a boat on her lines, m/s. */
const NEAR = RAMP.limit('park-near'),
  CALM = RAMP.limit('cross-calm');
/** An edge that moves less than this is where it was, m. */
const SAME = RAMP.limit('edge-same');
const HALF_DAY = MS.day / 2;

/**
 * What is told where she goes in: the hours in which the ramp carries her, where the water will be on coming back, which
 * way wind sets her off the trailer, where the car goes, and how she came off before. What is not known is left out.
 */
export function launchNotes(
  at: AtLaunch,
  needs: RampNeeds | undefined,
  schedule: Schedule | undefined,
): Phrase[] {
  return [
    ...(schedule ? hours(at, needs, schedule) : []),
    ...(schedule ? edge(at, schedule) : []),
    ...(schedule ? cross(at, schedule) : []),
    ...parking(at, schedule),
    ...letsGo(at),
  ];
}

function hours({ launch, tide }: AtLaunch, needs: RampNeeds | undefined, { leave }: Schedule): Phrase[] {
  if (!needs || !tide || launch?.foot === undefined || launch.launchFrom !== 'ramp') return [];
  const spans = rampHours(tide, launch.foot, needs.depth, leave - HALF_DAY, leave + HALF_DAY);
  if (spans.length === 0) return [phrase('launch.hours.never')];
  const whole = spans.some(({ from, until }) => until - from >= 2 * HALF_DAY);
  const said = whole
    ? phrase('launch.hours.always')
    : phrase('launch.hours', { spans: spans.map((span) => phrase('launch.tide.span', { ...span })) });
  return [needs.known && !guessed(launch, '/foot') ? said : phrase('launch.hours.guess', { said })];
}

/** Where the edge of the water is on coming back: how far there is to walk or to drag. */
function edge({ launch, back, tide }: AtLaunch, { leave, home }: Schedule): Phrase[] {
  if (!tide || home === undefined || launch?.slope === undefined || back?.id !== launch.id) return [];
  const [out, then] = [tide.heightAt(leave), tide.heightAt(home)];
  if (out === undefined || then === undefined) return [];
  const moved = runOut(then - out, launch.slope);
  if (Math.abs(moved) < SAME) return [phrase('launch.edge.same')];
  const way = moved < 0 ? 'launch.edge.lower' : 'launch.edge.higher';
  const said = phrase(way, { by: Math.abs(then - out), far: Math.abs(moved) });
  return [guessed(launch, '/slope') ? phrase('launch.edge.guess', { said }) : said];
}

function cross({ launch, forecast }: AtLaunch, { leave }: Schedule): Phrase[] {
  const wind = forecast && weatherAt(forecast, leave, launch?.position);
  if (launch?.faces === undefined || guessed(launch, '/faces') || !wind || wind.wind < CALM) return [];
  return [
    leansOnForecast(
      forecast,
      phrase(`launch.cross.${crossOf(launch.faces, wind.from)}`, { wind: wind.wind }),
    ),
  ];
}

function parking({ launch, places, tide }: AtLaunch, schedule: Schedule | undefined): Phrase[] {
  if (!launch) return [];
  const [near] = places
    .filter((place) => place.kind === 'parking')
    .map((place) => ({ place, metres: distance(launch.position, place.position).metres }))
    .filter(({ metres }) => metres <= NEAR)
    .sort((a, b) => a.metres - b.metres);
  const high = tide && schedule && highest(tide, schedule.leave, schedule.home ?? schedule.leave);
  return [
    ...(near ? [phrase('launch.park', { place: near.place.name, far: Math.round(near.metres) })] : []),
    ...(high ? [phrase('launch.park.high', { at: high.at, height: high.height })] : []),
  ];
}

/** How she came off her trailer when somebody last looked. */
function letsGo({ boat }: AtLaunch): Phrase[] {
  const how = boat?.trailer?.letsGo;
  if (how === undefined || guessed(boat, '/trailer/letsGo')) return [];
  const on = boat?.trailer?.letsGoOn;
  return [on ? phrase(`launch.off.${how}.on`, { on }) : phrase(`launch.off.${how}`)];
}
