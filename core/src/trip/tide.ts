import type { Finding, Phrase, Place, Schedule } from '../model';
import { phrase } from '../say';
import { asPrinted, MS } from '../units';
import { spansAbove, type Tide } from '../water';
import { finding, guessed, instant, leanOnSpeed, type Context, type Figures } from './context';
import { CHART_DATUMS, TIDAL } from './limits';

interface End {
  place: Place;
  works: number;
  at: number;
  deed: 'deed.leave' | 'deed.return';
  /** As it is printed; undefined where no tide is known. */
  height?: number;
}

/** Is there water at the launch when the trip leaves and when it returns? */
export function tideFindings(context: Context, schedule: Schedule, figures: Figures): Finding[] {
  const { launch, back, tide } = context;
  if (schedule.home === undefined) return [];
  if (tide && launch) {
    const height = tide.heightAt(schedule.leave);
    if (height !== undefined) {
      figures.tideLeave = {
        value: height,
        quantity: 'height',
        inputs: { at: instant(schedule.leave) },
        formula: 'formula.tide',
        source: tide.source,
      };
    }
  }
  const ends = [
    { place: launch, at: schedule.leave, deed: 'deed.leave' as const },
    { place: back, at: schedule.home, deed: 'deed.return' as const },
  ];
  const untold = untoldFinding(
    context,
    ends.map((e) => e.place),
  );
  // Where there is surely no tide, a height of it asks for nothing.
  const { water } = context;
  const still = !tide && water !== undefined && !guessed(water, '/class') && !TIDAL.has(water.class);
  const bound = ends.flatMap(({ place, at, deed }): End[] => {
    if (place?.works === undefined || still) return [];
    const height = tide && CHART_DATUMS.has(tide.datum) ? tide.heightAt(at) : undefined;
    const works = asPrinted(place.works, 'height');
    return [
      { place, works, at, deed, ...(height === undefined ? {} : { height: asPrinted(height, 'height') }) },
    ];
  });
  if (bound.length === 0) return untold;
  const unknown = bound.find((e) => e.height === undefined);
  if (unknown || !tide) return [...untold, ...(unknown ? [unknownFinding(context, unknown)] : [])];
  const dry = bound.filter((e) => (e.height ?? -Infinity) < e.works);
  if (dry.length > 0) return [...untold, ...dry.map((end) => dryFinding(context, tide, end))];
  const [first] = bound,
    last = bound.at(-1)!;
  const values = { height: first.height!, back: last.height!, place: first.place.name, works: first.works };
  const ok = finding({
    id: `day/tide/${context.trip.id}`,
    level: 'ready',
    section: 'plan/water',
    title: phrase('launch.tide.ok.title'),
    because: [phrase('launch.tide.ok', values)],
    figures: figures.tideLeave ? ['tideLeave'] : [],
    source: tide.source,
  });
  const guess = bound.find((e) => guessed(e.place, '/works'));
  return [...untold, guess ? guessedWorks(ok, guess.place) : leanOnSpeed(context, ok)];
}

const toWorks = (place: Place) => ({
  label: phrase('launch.works.mend'),
  go: { type: 'place' as const, id: place.id, pointer: '/works' },
});

const guessedWorks = (found: Finding, place: Place): Finding => ({
  ...found,
  level: 'know',
  assumed: [phrase('launch.works.guess', { place: place.name })],
  mend: toWorks(place),
});

function untoldFinding({ water }: Context, places: (Place | undefined)[]): Finding[] {
  const place = water && TIDAL.has(water.class) ? places.find((p) => p && p.works === undefined) : undefined;
  if (!place) return [];
  return [
    finding({
      id: `day/tide-works/${place.id}`,
      level: 'know',
      section: 'plan/water',
      title: phrase('launch.works.title', { place: place.name }),
      because: [phrase('launch.works.why')],
      mend: toWorks(place),
    }),
  ];
}

function unknownFinding({ trip, water, tide }: Context, { place, works, at }: End): Finding {
  const values = { place: place.name, works, at, water: water?.name ?? '?', datum: tide?.datum ?? '?' };
  const why: Phrase = !tide
    ? phrase('launch.tide.unknown.why', values)
    : CHART_DATUMS.has(tide.datum)
      ? phrase('launch.tide.gap.why', values)
      : phrase('launch.tide.datum.why', values);
  return finding({
    id: `day/tide/${trip.id}`,
    level: 'fix',
    section: 'plan/water',
    title: phrase('launch.tide.unknown.title'),
    because: [why],
  });
}

function dryFinding(context: Context, tide: Tide, { place, works, at, deed, height }: End): Finding {
  const spans = spansAbove(tide, works, at - MS.day / 2, at + MS.day / 2);
  const guess = guessed(place, '/works');
  return finding({
    id: `day/tide-${deed === 'deed.leave' ? 'leave' : 'return'}/${context.trip.id}`,
    // What a guess alone says stops nobody.
    level: guess ? 'fix' : 'stop',
    section: 'plan/water',
    title: phrase('launch.tide.title', { deed: phrase(deed) }),
    because: [
      phrase('launch.tide.why', { at, height: height!, place: place.name, works }),
      ...(spans.length > 0
        ? [
            phrase('launch.tide.spans', {
              spans: spans.map((s) => phrase('launch.tide.span', { from: s.from, until: s.until })),
            }),
          ]
        : []),
    ],
    assumed: guess ? [phrase('launch.works.guess', { place: place.name })] : [],
    figures: deed === 'deed.leave' ? ['tideLeave'] : [],
    source: tide.source,
    mend: {
      label: phrase('launch.tide.mend'),
      go: { type: 'trip', id: context.trip.id, pointer: '/leave/time' },
    },
  });
}
