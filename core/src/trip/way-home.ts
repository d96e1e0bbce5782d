import type { LatLon } from '../earth';
import type { Finding, Forecast, Phrase, Schedule } from '../model';
import { LEVELS } from '../model/lists';
import { phrase } from '../say';
import { MS } from '../units';
import { prepare } from './assess';
import { contextOf, type AssessInput } from './context';
import { hoursFindings } from './find-limits';
import type { Progress } from './sweep';
import { hereOf, wayBack } from './ways-back';
import { TRIP } from './limits';

/** When one must start for home from where one is. Instants epoch ms. */
export interface WayHome {
  /** At home when one starts at once; absent where no hours can be told. */
  home?: number;
  /** The last departure before something is worse than when one starts at once; absent where that comes at no hour looked at. */
  by?: number;
  /** What is worse then, and why. */
  then?: Pick<Finding, 'title' | 'because'>;
  /** What stands when one starts at once. */
  already: Phrase[];
  /** The first departure at which some of that no longer stands and nothing is worse, and what is gone then. */
  better?: { at: number; gone: Phrase[] };
  /** Up to when it was looked. */
  until: number;
  /** By way of these places, where the straight way leads over land; and whether that does as well. */
  byWay: string[];
  overLand: boolean;
}

const STEP = TRIP.limit('home-step') * MS.second,
  AHEAD = TRIP.limit('home-ahead') * MS.second;
/** From here on a finding holds one back. */
const HOLDS = LEVELS.indexOf('fix');
/** What the hour changes for somebody who is out there already. */
const SECTIONS: ReadonlySet<string> = new Set(['plan/day', 'plan/water', 'go/launch']);
/** Little daylight left holds one back as well. */
const SETTLED = LEVELS.at(-1),
  WORST = LEVELS[0];
const LIGHT = 'day/light/';
/** When to turn at a halt is another question; what was aboard as one left is not what is aboard now, and one left before. */
const OTHERWISE = ['day/turn/', 'day/fuel/', 'day/water/', 'trip/hours/'];
/** Beyond what is usual for somebody one is out there already; what is so for anybody holds one back. */
const USUAL = 'trip/usual/';

/**
 * Every ten minutes from now on, the whole assessment of the way home from a position: the first departure that meets something
 * which starting at once does not is too late. What can't be changed on the water any more is left out.
 */
export function* wayHomeSteps(
  input: AssessInput,
  here: LatLon,
  schedule: Schedule | undefined,
): Generator<Progress, WayHome> {
  const { now } = input;
  const way = homeward(input, here, schedule);
  const until = now + AHEAD;
  const none: WayHome = { already: [], until, byWay: [], overLand: false };
  if (!way) return none;
  const prepared = prepare(way.input);
  // How long one may be out is told from when one left.
  const context = contextOf(input);
  const found = (at: number) => {
    const { findings, schedule: timed } = prepared.at(at);
    const out = timed && schedule ? hoursFindings(context, { ...timed, leave: schedule.leave }) : [];
    return { home: timed?.home, holds: new Map([...holding(findings), ...over(out)]) };
  };
  const first = found(now);
  const told = { byWay: way.names, overLand: way.overLand, until };
  const base = first.holds;
  const already = [...base.values()].map(({ title }) => title);
  const { home } = first;
  const all = { ...told, already, ...(home === undefined ? {} : { home }) };
  const leaves = Math.floor(AHEAD / STEP);
  let better: WayHome['better'];
  for (let i = 1; i <= leaves; i += 1) {
    const at = now + i * STEP;
    const { holds } = found(at);
    const worse = firstNew(base, holds);
    if (worse) {
      const then = { title: worse.title, because: worse.because };
      return { ...all, ...(better ? { better } : {}), by: at - STEP, then };
    }
    const gone = [...base.values()].filter(({ id }) => !holds.has(id)).map(({ title }) => title);
    if (!better && gone.length > 0) better = { at, gone };
    yield { done: i, of: leaves };
  }
  return { ...all, ...(better ? { better } : {}) };
}

const holding = (findings: readonly Finding[]): Map<string, Finding> =>
  new Map(
    findings
      .filter(
        ({ id, varies, level, section }) =>
          varies === 'hour' &&
          SECTIONS.has(section) &&
          !OTHERWISE.some((kind) => id.startsWith(kind)) &&
          (!id.startsWith(USUAL) || level === WORST) &&
          (LEVELS.indexOf(level) <= HOLDS || (id.startsWith(LIGHT) && level !== SETTLED)),
      )
      .map((finding) => [finding.id, finding]),
  );

/** What is over a limit, by id. */
const over = (findings: readonly Finding[]) =>
  findings.filter(({ level }) => LEVELS.indexOf(level) <= HOLDS).map((f) => [f.id, f] as const);

function firstNew(base: Map<string, Finding>, found: Map<string, Finding>): Finding | undefined {
  return [...found.values()].find(({ id, level, title }) => {
    const before = base.get(id);
    return !before || LEVELS.indexOf(level) < LEVELS.indexOf(before.level) || duller(before, title);
  });
}

/** Enough daylight that leans on something unknown is as open as little of it; it is not as good. */
const duller = ({ title: before }: Finding, title: Phrase): boolean =>
  before.say === ENOUGH && title.say !== ENOUGH;
const ENOUGH = phrase('light.ok.title').say;

/** The trip as if it began here and led straight home, or by the halts that keep it off the land. */
function homeward(
  input: AssessInput,
  here: LatLon,
  schedule: Schedule | undefined,
): { input: AssessInput; names: string[]; overLand: boolean } | undefined {
  const { trip, shed } = input;
  const from = hereOf(input, here);
  const way = wayBack(input, from, schedule);
  if (!way) return undefined;
  const { back, by, overLand } = way;
  return {
    names: by.map(({ name }) => name),
    overLand,
    input: {
      ...input,
      conditions: anchored(input, input.conditions.forecast),
      shed: { ...shed, places: [...shed.places, from] },
      trip: {
        ...trip,
        ...anchored(input, trip.forecast),
        launch: from.id,
        return: back.id,
        // The last leg ends where one lands; a halt of no minutes there lets a way without halts be one.
        halts: (by.length > 0 ? by : [back]).map(({ id }) => ({ place: id, minutes: 0 })),
      },
    },
  };
}

/** A forecast that names no point stands for its water or for where one left, not for where one is. */
function anchored({ trip, shed }: AssessInput, forecast: Forecast | undefined): { forecast?: Forecast } {
  if (!forecast) return {};
  const at =
    forecast.position ??
    shed.waters.find(({ id }) => id === trip.water)?.forecastAt ??
    shed.places.find(({ id }) => id === trip.launch)?.position;
  return { forecast: at ? { ...forecast, position: at } : forecast };
}
