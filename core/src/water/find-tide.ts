import type { Finding, Phrase, Place, Schedule } from '../model';
import { CHART_DATUMS, TIDAL } from '../model/lists';
import { phrase } from '../say';
import { asPrinted, MS } from '../units';
import { goTo, guessed, instant, leaning, leanOnPace, type Figures } from '../verdict';
import { FIGURES } from './figures';
import type { OnWater } from './on-water';
import { WATER } from './limits';
import { farStation, spansAbove, type Tide } from './tide';

interface End {
  place: Place;
  works: number;
  at: number;
  deed: 'leave' | 'return';
  /** As it is printed; undefined where no tide is known. */
  height?: number;
}

/** Is there water at the launch when the trip leaves and when it returns? */
export function tideFindings(on: OnWater, schedule: Schedule, figures: Figures): Finding[] {
  const { trip, launch, back, tide, water } = on;
  if (schedule.home === undefined) return [];
  const now = tide && launch ? tide.heightAt(schedule.leave) : undefined;
  const shown =
    tide && now !== undefined
      ? [
          FIGURES.put(figures, 'water/tide-leave', trip.id, {
            value: now,
            inputs: { at: instant(schedule.leave) },
            source: tide.source,
          }),
        ]
      : [];
  const ends = [
    { place: launch, at: schedule.leave, deed: 'leave' as const },
    { place: back, at: schedule.home, deed: 'return' as const },
  ];
  const untold = untoldFinding(
    on,
    ends.map((e) => e.place),
  );
  // Where there is surely no tide, a height of it asks for nothing.
  const still = !tide && water !== undefined && !guessed(water, '/class') && !TIDAL.has(water.class);
  const bound = ends.flatMap(({ place, at, deed }): End[] => {
    if (place?.works === undefined || still) return [];
    const height = tide && CHART_DATUMS.has(tide.datum) ? tide.heightAt(at) : undefined;
    const works = asPrinted(place.works, 'height');
    const printed = height === undefined ? {} : { height: asPrinted(height, 'height') };
    return [{ place, works, at, deed, ...printed }];
  });
  if (bound.length === 0) return untold;
  const unknown = bound.find((e) => e.height === undefined);
  if (unknown || !tide) return [...untold, ...(unknown ? [unknownFinding(on, unknown)] : [])];
  const dry = bound.filter((e) => (e.height ?? -Infinity) < e.works);
  if (dry.length > 0) return [...untold, ...dry.map((end) => dryFinding(on, tide, end, shown))];
  const [first] = bound;
  const last = bound.at(-1)!;
  const values = { height: first.height!, back: last.height!, place: first.place.name, works: first.works };
  const ok = WATER.finding('day/tide', 'works', trip.id, {
    title: phrase('launch.tide.ok.title'),
    because: [phrase('launch.tide.ok', values)],
    figures: shown,
    source: tide.source,
  });
  const far = bound.map(({ place }) => farStation(tide, place)).find((words) => words !== undefined);
  if (far) return [...untold, leaning(ok, far, toStation)];
  const guess = bound.find((e) => guessed(e.place, '/works'))?.place;
  if (!guess) return [...untold, leanOnPace(on, ok)];
  return [...untold, leaning(ok, phrase('launch.works.guess', { place: guess.name }), toWorks(guess))];
}

const toStation = { label: phrase('tide.far.mend'), ...goTo.section('plan/water') };
const toWorks = ({ id }: Place) => ({ label: phrase('launch.works.mend'), ...goTo.place(id, '/works') });

function untoldFinding({ water }: OnWater, places: (Place | undefined)[]): Finding[] {
  const place = water && TIDAL.has(water.class) ? places.find((p) => p && p.works === undefined) : undefined;
  if (!place) return [];
  return [
    WATER.finding('day/tide-works', 'untold', place.id, {
      title: phrase('launch.works.title', { place: place.name }),
      because: [phrase('launch.works.why')],
      mend: toWorks(place),
    }),
  ];
}

function unknownFinding({ trip, water, tide }: OnWater, { place: { name: place }, works, at }: End): Finding {
  const of = water?.name ?? phrase('water.unnamed');
  const why: Phrase = !tide
    ? phrase('launch.tide.unknown.why', { place, works, water: of })
    : CHART_DATUMS.has(tide.datum)
      ? phrase('launch.tide.gap.why', { place, works, at, water: of })
      : phrase('launch.tide.datum.why', { place, works, water: of, datum: tide.datum });
  const title = phrase('launch.tide.unknown.title');
  const mend = { label: phrase('tide.type'), ...goTo.section('plan/water') };
  return WATER.finding('day/tide', 'unknown', trip.id, { title, because: [why], mend });
}

/** Hours on either side of a dry one within which it is told when the launch works. */
const AROUND = MS.day / 2;

function dryFinding(
  { trip }: OnWater,
  tide: Tide,
  { place, works, at, deed, height }: End,
  shown: string[],
): Finding {
  const spans = spansAbove(tide, works, at - AROUND, at + AROUND).map(({ from, until }) =>
    phrase('launch.tide.span', { from, until }),
  );
  const doubts = [
    ...(guessed(place, '/works') ? [phrase('launch.works.guess', { place: place.name })] : []),
    ...[farStation(tide, place)].filter((words) => words !== undefined),
  ];
  return WATER.finding(`day/tide-${deed}`, doubts.length > 0 ? 'guess' : 'dry', trip.id, {
    title: phrase(`launch.tide.${deed}.title`),
    because: [
      phrase('launch.tide.why', { at, height: height!, place: place.name, works }),
      ...(spans.length > 0 ? [phrase('launch.tide.spans', { spans })] : []),
    ],
    assumed: doubts,
    figures: deed === 'leave' ? shown : [],
    source: tide.source,
    mend: { label: phrase('launch.tide.mend'), ...goTo.trip(trip.id, '/leave/time') },
  });
}
