import { HOLD } from './limits';
import type { Comes } from './pull';

const GUSTY = HOLD.limit('gusty'),
  HALF = 180;
/** The other way round, degrees true. */
const across = (direction: number): number => (direction + HALF) % (2 * HALF);

/** Where the wind comes from: as it is known, else against the stream's way, so that both push to one side, which is the worst. */
const windFrom = ({ wind, stream }: Comes): number =>
  wind?.direction ?? (stream ? across(stream.direction) : 0);

/** The same with another mean wind, m/s, as gusty as it is; as gusts usually are where no wind is known. */
export const withWind = <C extends Comes>(comes: C, speed: number): C & Comes => {
  const { wind } = comes;
  const gusts = wind && wind.speed > 0 ? wind.gust / wind.speed : GUSTY;
  return { ...comes, wind: { speed, gust: speed * gusts, direction: windFrom(comes) } };
};

/** The same with another stream, m/s, the way it goes; with the wind where no stream is known. */
export const withStream = <C extends Comes>(comes: C, speed: number): C & Comes => ({
  ...comes,
  stream: { speed, direction: comes.stream?.direction ?? across(windFrom(comes)) },
});
