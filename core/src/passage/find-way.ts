import type { Finding, Person, Phrase, Place, Schedule, Trip } from '../model';
import { DEADLY, OVERHEAD } from '../model/lists';
import { phrase } from '../say';
import { asPrinted, MS } from '../units';
import { goTo, guessed } from '../verdict';
import { densityOf, heightsAt } from '../water';
import { draughtOf, type Draught } from './draught';
import { seaFindings, type OnSea } from './find-sea';
import { sightFindings } from './find-sight';
import { PASSAGE } from './limits';
import {
  legGone,
  overLand,
  overShallows,
  passed,
  reachesOf,
  type OverShallow,
  type Passed,
  type Reach,
} from './way';

/** What is looked at along a way. */
export interface OnWay extends OnSea {
  people: Person[];
  launch?: Place;
  back?: Place;
  /** All places of the shed. */
  places: Place[];
  zone?: string;
}

const toWay = (label: 'way.land.mend' | 'way.shallow.mend' | 'way.chart.mend') => ({
  label: phrase(label),
  ...goTo.section('plan/water'),
});
const legOf = ({ from, to }: Reach) => ({ from: from.name, to: to.name });

/**
 * What the way meets: once for all hours, and what the hour decides.
 * @returns findings that stand whenever the trip leaves, and a function that finds the others for a schedule
 */
export function routeFindings(on: OnWay): { standing: Finding[]; at: (schedule: Schedule) => Finding[] } {
  const reaches = reachesOn(on);
  const shallows = shallowFinder(on, reaches),
    sea = seaFindings(on, reaches),
    sight = sightFindings(on, reaches);
  return {
    standing: [
      ...chartFindings(on, reaches),
      ...landFindings(on, reaches),
      ...hazardFindings(on, reaches),
      ...carFindings(on),
    ],
    at: (schedule) => [...shallows(schedule), ...sea(schedule), ...sight(schedule)],
  };
}

function reachesOn({ launch, back, halts }: OnWay): Reach[] {
  const whole = halts.filter((halt) => halt !== undefined);
  if (!launch || !back || whole.length === 0 || whole.length < halts.length) return [];
  return reachesOf([launch, ...whole, back]);
}

/** What nobody drew can't be looked at. */
function chartFindings({ trip, water }: OnWay, reaches: Reach[]): Finding[] {
  if (!water || reaches.length === 0) return [];
  const shore = (water.chart?.shore.length ?? 0) > 0,
    depths = (water.chart?.depths.length ?? 0) > 0;
  if (shore && depths) return [];
  const as = shore || depths ? 'part' : 'none';
  const lack = shore ? 'way.chart.depths' : depths ? 'way.chart.shore' : 'way.chart.none';
  return [
    PASSAGE.finding('way/chart', as, trip.id, {
      title: phrase(`${lack}.title`, { water: water.name }),
      because: [phrase(`${lack}.why`)],
      mend: toWay('way.chart.mend'),
    }),
  ];
}

function landFindings({ trip, water }: OnWay, reaches: Reach[]): Finding[] {
  const over = overLand(water, reaches);
  if (over.length === 0) return [];
  const off = water?.chart?.off;
  return [
    PASSAGE.finding('way/land', 'over', trip.id, {
      title: phrase('way.land.title'),
      because: over.map(({ reach, metres, along }) =>
        metres === 0
          ? phrase('way.land.line', { ...legOf(reach), along })
          : phrase('way.land.why', { ...legOf(reach), metres, along }),
      ),
      assumed: off ? [phrase('way.land.thinned', { metres: off })] : [],
      mend: toWay('way.land.mend'),
    }),
  ];
}

function hazardFindings(on: OnWay, reaches: Reach[]): Finding[] {
  const hazards = on.places.filter(
    // Traffic comes and goes: it is told with its hours.
    ({ kind, hazard, water }) =>
      kind === 'hazard' && hazard !== 'traffic' && (water === undefined || water === on.trip.water),
  );
  return passed(hazards, reaches).flatMap((close) => [hazardFinding(close), ...mastFindings(on, close)]);
}

function hazardFinding({ reach, hazard, metres, off, said }: Passed): Finding {
  const values = { ...legOf(reach), hazard: hazard.name, metres, reach: off };
  const as = said ? 'stated' : hazard.hazard && DEADLY.has(hazard.hazard) ? 'deadly' : 'usual';
  return PASSAGE.finding('way/hazard', as, hazard.id, {
    title: phrase('way.hazard.title', { hazard: hazard.name }),
    because: [phrase(said ? 'way.hazard.why' : 'way.hazard.usual', values)],
    mend: toWay('way.land.mend'),
    ...(said ? {} : { others: [{ label: phrase('way.hazard.reach'), ...goTo.place(hazard.id, '/reach') }] }),
  });
}

/** A mast under a line or a bridge: what stands up that high is not let near. */
function mastFindings({ boat }: OnWay, { hazard }: Passed): Finding[] {
  if (!boat || !hazard.hazard || !OVERHEAD.has(hazard.hazard)) return [];
  const sails = boat.rig !== undefined || boat.propulsion.some((p) => p.kind === 'sail');
  if (!sails) return [];
  const title = phrase('way.mast.title', { hazard: hazard.name });
  const label = phrase('way.mast.mend');
  const clear = guessed(hazard, '/clearance') ? undefined : hazard.clearance;
  const tall = guessed(boat, '/rig') || guessed(boat, '/rig/mast') ? undefined : boat.rig?.mast;
  if (clear === undefined || tall === undefined) {
    const which = clear === undefined ? 'way.mast.unknown' : 'way.mast.mast';
    const mend = clear === undefined ? goTo.place(hazard.id, '/clearance') : goTo.boat(boat.id, '/rig/mast');
    const because = [phrase(which, { hazard: hazard.name })];
    return [PASSAGE.finding('way/mast', 'unknown', hazard.id, { title, because, mend: { label, ...mend } })];
  }
  // Her foot stands on deck, which is no higher than her hull is deep.
  const mast = tall + (boat.depth ?? 0);
  const least = PASSAGE.at('way/mast', 'close');
  const as = asPrinted(mast, 'height') >= asPrinted(clear, 'height') ? 'low' : 'close';
  if (clear - mast >= least) return [];
  const because = [phrase(`way.mast.${as}`, { hazard: hazard.name, clear, mast, least })];
  return [PASSAGE.finding('way/mast', as, hazard.id, { title, because, mend: toWay('way.land.mend') })];
}

/** One lands elsewhere than where the car, and her trailer, stand. */
function carFindings({ trip, boat, launch, back }: OnWay): Finding[] {
  if (!launch || !back || launch.id === back.id) return [];
  const ends = { launch: launch.name, back: back.name };
  const title = phrase('way.car.title');
  const mend = { label: phrase('way.car.mend'), ...goTo.trip(trip.id, '/backToCar') };
  const told = trip.backToCar;
  if (!told) {
    const because = [
      phrase('way.car.why', ends),
      ...(boat?.trailer ? [phrase('way.car.trailer', { launch: launch.name })] : []),
    ];
    return [PASSAGE.finding('way/car', 'untold', trip.id, { title, because, mend })];
  }
  const because = [
    phrase('way.car.told', { ...ends, how: phrase(`way.car.${told.how}`) }),
    ...(told.who ? [phrase('way.car.who', { who: told.who })] : []),
  ];
  return [PASSAGE.finding('way/car', 'told', trip.id, { title, because, mend })];
}

const SPARE = PASSAGE.at('way/shallow', 'shallow'),
  BELOW = PASSAGE.limit('tide-below');
/** Water over a bank is looked at this often while it is passed. */
const LOOK = 10 * MS.minute;

/** Depth of water over what a leg passes, for the hours in which it does. */
function shallowFinder(on: OnWay, reaches: Reach[]): (schedule: Schedule) => Finding[] {
  const { trip, boat, people, water, tide } = on;
  if (!boat || !water?.chart || water.chart.depths.length === 0) return () => [];
  const draught = draughtOf(boat, trip, people, densityOf(water));
  const need = draught.value + SPARE;
  const shallows = overShallows(water, reaches, need + BELOW);
  if (shallows.length === 0) return () => [];
  const heightAt = heightsAt(tide);
  return (schedule) => {
    const met = shallows.map((over) => ({ over, ...leastWater(over, schedule, heightAt) }));
    const thin = met.filter(({ water: left }) => left !== undefined && left < need);
    const open = met.filter(({ water: left, over }) => left === undefined && over.least < need);
    return [
      ...(thin.length > 0 ? [shallowFinding(on, thin as Met[], draught)] : []),
      ...(open.length > 0 ? [unknownFinding(trip, open[0].over, need)] : []),
    ];
  };
}

interface Met {
  over: OverShallow;
  at: number;
  water: number;
}

/** The least water over a stretch while it is passed; undefined where the tide of any of that time is not known. */
function leastWater(
  { from, until, least, reach, leg: n }: OverShallow,
  schedule: Schedule,
  heightAt: ReturnType<typeof heightsAt>,
): { at: number; water?: number } {
  const leg = legGone(schedule, n);
  if (!leg) return { at: 0 };
  const lasts = leg.arrives - leg.departs;
  const begin = leg.departs + from * lasts,
    end = leg.departs + until * lasts;
  let worst: { at: number; water: number } | undefined;
  for (let at = begin; ; at = Math.min(at + LOOK, end)) {
    const tide = heightAt(at, reach.to);
    if (tide === undefined) return { at };
    if (!worst || least + tide < worst.water) worst = { at, water: least + tide };
    if (at >= end) return worst;
  }
}

function shallowFinding({ boat, trip }: OnWay, met: Met[], draught: Draught): Finding {
  const need = draught.value + SPARE;
  const dry = met.some(({ water }) => water <= 0);
  const because = met.map(({ over, at, water }): Phrase => {
    const where = { ...legOf(over.reach), at };
    return water <= 0
      ? phrase('way.shallow.dry', { ...where, above: -water })
      : phrase('way.shallow.thin', { ...where, water, need, spare: SPARE });
  });
  // Of a boat of which it was not said how deep she reaches, only what is dry is sure.
  const sure = dry || draught.known === 'said';
  const assumed = {
    said: [],
    reckoned: [phrase('way.shallow.draught', { draught: draught.value })],
    taken: [phrase('way.shallow.no-draught', { draught: draught.value })],
  }[draught.known];
  return PASSAGE.finding('way/shallow', dry ? 'dry' : sure ? 'shallow' : 'guess', trip.id, {
    title: phrase('way.shallow.title'),
    because,
    assumed: dry ? [] : assumed,
    mend: toWay('way.shallow.mend'),
    ...(sure || !boat
      ? {}
      : { others: [{ label: phrase('way.shallow.enter'), ...goTo.boat(boat.id, '/draught') }] }),
  });
}

function unknownFinding(trip: Trip, { reach, least }: OverShallow, need: number): Finding {
  return PASSAGE.finding('way/depth', 'unknown', trip.id, {
    title: phrase('way.shallow.unknown.title'),
    because: [phrase('way.shallow.unknown', { ...legOf(reach), least, need })],
    mend: { label: phrase('tide.type'), ...goTo.section('plan/water') },
  });
}
