import type { LatLon } from '../earth';
import { driftFrom, endsOf, isSuit, leewayOf, type Drift, type Drifter, type Ends } from '../hold/drift';
import { flowAt } from '../hold/stay';
import type { Place } from '../model';
import { endsOwn, landingsFrom, overLand, plannedPosition, reachesOf, type Landing } from '../passage';
import { guessed } from '../verdict';
import type { Band } from '../numeric';
import { heightsAt, weatherAt, type Flow, type Weather } from '../water';
import { WHATIF } from './limits';
import { anchoredAt, type Anchored } from './holds';
import { once, type Standing } from './standing';

/** A moment of the day at a place, with what is known of both. */
export interface Moment {
  /** Epoch ms. */
  at: number;
  here: LatLon;
  weather?: Weather;
  /** The water’s temperature, °C; wider where it is only guessed. Absent: not known. */
  water?: Band;
  flow?: Flow;
  dark: boolean;
  /** Seconds until it is dark, or for how long it is; nought while it is. */
  light: number;
  drift: (as: Drifter) => Drift | undefined;
  ends: (as: Drifter) => Ends | undefined;
  /** The nearest landing: without a doubt and with no land before it, else the first of which something is open. */
  landing: () => Nearest | undefined;
  /** The anchor that stands best here. */
  anchored: () => Anchored | undefined;
}

export interface Nearest {
  landing: Landing;
  /** One can surely land there, and goes straight. */
  sure: boolean;
}

const OFF = WHATIF.limit('guess-water');
/** The nearest few are looked at for land that lies between. */
const LOOKED = WHATIF.limit('landings-looked');

export function momentOf(standing: Standing, at: number, here: LatLon): Moment {
  const { context } = standing;
  const { forecast, water, stream, trip, shed, tide } = context;
  const weather = forecast && weatherAt(forecast, at, here);
  const flow = flowAt(water, stream, at);
  const light = standing.light(at, here);
  const drifts = new Map<Drifter, Drift | undefined>();
  const drift = (as: Drifter) => {
    if (!drifts.has(as)) {
      const suit = trip.crew.length > 0 && trip.crew.every(({ clothing }) => isSuit(clothing));
      const leeway = leewayOf(context.boat?.kind ?? 'skiff', as, suit);
      drifts.set(as, driftFrom(context, here, at, leeway));
    }
    return drifts.get(as);
  };
  const landing = once(() =>
    nearestOf(
      landingsFrom(here, shed.places, {
        now: at,
        own: endsOwn(trip),
        ...(water ? { water: water.id } : {}),
        tideAt: heightsAt(tide),
      }),
      here,
      water,
    ),
  );
  return {
    at,
    here,
    ...(weather ? { weather } : {}),
    ...(weather?.water === undefined
      ? {}
      : {
          water: forecast?.invented
            ? { low: weather.water - OFF, high: weather.water + OFF }
            : { low: weather.water, high: weather.water },
        }),
    ...(flow ? { flow } : {}),
    dark: light === 0,
    light,
    drift,
    ends: (as) => {
      const drifted = drift(as);
      return drifted && endsOf(drifted, shed.places.filter(isSaid));
    },
    landing,
    anchored: once(() => anchoredAt(standing, at, here)),
  };
}

/** A shore that was only guessed tells nothing. */
const isSaid = (place: Place): boolean => !guessed(place, '/shore');

function nearestOf(
  landings: readonly Landing[],
  here: LatLon,
  water: Standing['context']['water'],
): Nearest | undefined {
  const from = { id: 'here', name: '', kind: 'waypoint', position: here } as const;
  const free = landings
    .slice(0, LOOKED)
    .find(
      ({ doubts, place }) => doubts.length === 0 && overLand(water, reachesOf([from, place])).length === 0,
    );
  if (free) return { landing: free, sure: true };
  const [first] = landings;
  return first && { landing: first, sure: false };
}

/** Where the plan has them at an instant. */
export function plannedMoment(standing: Standing, at: number): Moment | undefined {
  const { context, assessment } = standing;
  const { schedule } = assessment;
  const { trip, shed } = context;
  const here = schedule && trip.launch ? plannedPosition(schedule, trip.launch, shed.places, at) : undefined;
  return here && momentOf(standing, at, here);
}
