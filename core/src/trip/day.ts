import { AIR_WATER_TRAP, coldRow, dressFor, haywardSurvival, NOT_COLD, USEFUL_HANDS, warmEnough } from '../body';
import { dayLight } from '../earth';
import type { Figure, Finding, Mend, Schedule } from '../model';
import { phrase } from '../say';
import { MS } from '../units';
import { spansAbove, worstWithin } from '../water';
import { finding, type Context } from './context';
import { AFTER_SUNSET, CHART_DATUMS, DAYLIGHT_LEAST, FORECAST_AGE, POOR_VISIBILITY, TIDAL } from './limits';

type Figures = Record<string, Figure>;
const instant = (value: number) => ({ value, quantity: 'instant' as const });
const toTime = (trip: { id: string }): Mend => ({ label: phrase('light.mend'), go: { type: 'trip', id: trip.id, pointer: '/leave/time' } });

/** Findings and figures of the hours of this trip: times, light, tide, weather, cold. */
export function dayFindings(context: Context, schedule: Schedule, homeBy: number | undefined, figures: Figures): Finding[] {
  scheduleFigures(context, schedule, figures);
  return [...lightFindings(context, schedule, figures), ...turnFindings(context, homeBy, schedule, figures), ...tideFindings(context, schedule, figures), ...weatherFindings(context, schedule, figures)];
}

function scheduleFigures({ trip, route, speed }: Context, schedule: Schedule, figures: Figures): void {
  if (!route || !speed || !schedule.home || !schedule.overdue) return;
  const halts = route.legs.reduce((sum, leg) => sum + leg.haltSeconds, 0);
  const guessed = speed.guessed ? { guessed: true } : {};
  figures.distance = { value: route.metres, quantity: 'distance', inputs: {}, formula: 'formula.leg', source: 'geodesic' };
  figures.speed = { value: speed.value, quantity: 'speed', inputs: {}, formula: 'formula.speed', source: 'your-word', ...guessed };
  figures.home = { ...instant(schedule.home), inputs: { leave: instant(schedule.leave), distance: { value: route.metres, quantity: 'distance' }, speed: { value: speed.value, quantity: 'speed' }, halts: { value: halts, quantity: 'minutes' } }, formula: 'formula.home', source: 'paddle-pace', ...guessed };
  figures.overdue = { ...instant(schedule.overdue), inputs: { home: instant(schedule.home), grace: { value: trip.graceMinutes * 60, quantity: 'minutes' } }, formula: 'formula.overdue', source: 'overdue' };
  if (schedule.turnBack) figures.turnBack = { ...instant(schedule.turnBack), inputs: { leave: instant(schedule.leave) }, formula: 'formula.turn', source: 'your-word', ...guessed };
}

function lightFindings({ trip, launch, back }: Context, schedule: Schedule, figures: Figures): Finding[] {
  if (!launch || !schedule.home) return [];
  const morning = dayLight(launch.position, schedule.leave);
  const evening = dayLight((back ?? launch).position, schedule.home);
  const found: Finding[] = [];
  const base = { section: 'plan/day' as const, mend: toTime(trip) };
  if (morning.sunrise !== undefined) {
    figures.sunrise = { ...instant(morning.sunrise), inputs: {}, formula: 'formula.sun', source: 'sun' };
    const gap = (morning.sunrise - schedule.leave) / MS.second;
    if (gap > 0) found.push(finding({ ...base, id: `day/dark-leave/${trip.id}`, level: 'mind', title: phrase('light.dark.leave.title'), because: [phrase('light.dark.leave', { at: schedule.leave, gap, sunrise: morning.sunrise })], figures: ['sunrise'], source: 'sun' }));
  }
  if (evening.sunset === undefined) return found;
  const left = (evening.sunset - schedule.home) / MS.second;
  figures.sunset = { ...instant(evening.sunset), inputs: {}, formula: 'formula.sun', source: 'sun' };
  figures.daylight = { value: left, quantity: 'duration', inputs: { home: instant(schedule.home), sunset: instant(evening.sunset) }, formula: 'formula.daylight', source: 'sun' };
  const values = { home: schedule.home, sunset: evening.sunset, gap: left, least: DAYLIGHT_LEAST.value };
  if (left < AFTER_SUNSET.value) found.push(finding({ ...base, id: `day/light/${trip.id}`, level: AFTER_SUNSET.level, title: phrase('light.dark.home.title'), because: [phrase('light.dark.home', values)], figures: ['home', 'sunset'], source: AFTER_SUNSET.source }));
  else if (left < DAYLIGHT_LEAST.value) found.push(finding({ ...base, id: `day/light/${trip.id}`, level: DAYLIGHT_LEAST.level, title: phrase('light.short.title'), because: [phrase('light.short', values)], figures: ['home', 'sunset'], source: DAYLIGHT_LEAST.source }));
  else found.push(finding({ id: `day/light/${trip.id}`, level: 'set', section: 'plan/day', title: phrase('light.ok.title'), because: [phrase('light.ok', values)], figures: ['home', 'sunset'], source: 'sun' }));
  return found;
}

function turnFindings({ trip }: Context, homeBy: number | undefined, schedule: Schedule, figures: Figures): Finding[] {
  const found: Finding[] = [];
  if (homeBy !== undefined && schedule.home && schedule.home > homeBy) {
    found.push(finding({ id: `day/home-by/${trip.id}`, level: 'fix', section: 'plan/day', title: phrase('home.late.title'), because: [phrase('home.late', { home: schedule.home, by: homeBy })], figures: ['home'], source: 'your-limit', mend: { label: phrase('home.late.mend'), go: { type: 'trip', id: trip.id, pointer: '/leave/time' } } }));
  }
  const { latestTurn, turnBack } = schedule;
  if (latestTurn === undefined || turnBack === undefined) return found;
  figures.latestTurn = { ...instant(latestTurn), inputs: {}, formula: 'formula.latest-turn', source: 'daylight' };
  const late = turnBack > latestTurn;
  found.push(finding({ id: `day/turn/${trip.id}`, level: late ? 'fix' : 'set', section: 'plan/day', title: phrase(late ? 'turn.late.title' : 'turn.ok.title'), because: [phrase(late ? 'turn.late' : 'turn.ok', { turn: turnBack, latest: latestTurn })], figures: ['turnBack', 'latestTurn'], source: 'daylight', ...(late ? { mend: { label: phrase('home.late.mend'), go: { type: 'trip' as const, id: trip.id, pointer: '/halts' } } } : {}) }));
  return found;
}

function tideFindings({ trip, launch, back, tide, water }: Context, schedule: Schedule, figures: Figures): Finding[] {
  if (!schedule.home) return [];
  if (tide && launch) {
    const height = tide.heightAt(schedule.leave);
    if (height !== undefined) figures.tideLeave = { value: height, quantity: 'height', inputs: { at: instant(schedule.leave) }, formula: 'formula.tide', source: tide.source };
  }
  const ends = [{ place: launch, at: schedule.leave, deed: 'deed.leave' as const }, { place: back, at: schedule.home, deed: 'deed.return' as const }];
  const bound = ends.filter((e) => e.place?.works !== undefined);
  const untold = water && TIDAL.has(water.class) ? ends.find((e) => e.place && e.place.works === undefined)?.place : undefined;
  const open = untold ? [finding({ id: `day/tide-works/${untold.id}`, level: 'mind', section: 'plan/water', title: phrase('launch.works.title', { place: untold.name }), because: [phrase('launch.works.why')], mend: { label: phrase('launch.works.mend'), go: { type: 'place', id: untold.id, pointer: '/works' } } })] : [];
  if (bound.length === 0) return open;
  const known = bound.map((e) => ({ ...e, works: e.place!.works!, height: tide && CHART_DATUMS.has(tide.datum) ? tide.heightAt(e.at) : undefined }));
  const unknown = known.find((e) => e.height === undefined);
  if (unknown) return [...open, finding({ id: `day/tide/${trip.id}`, level: 'fix', section: 'plan/water', title: phrase('launch.tide.unknown.title'), because: [phrase('launch.tide.unknown.why', { place: unknown.place!.name, works: unknown.works, water: water?.name ?? '?' })] })];
  const dry = known.filter((e) => e.height! < e.works);
  if (dry.length === 0 || !tide) {
    const [first] = known, last = known.at(-1)!;
    return [...open, finding({ id: `day/tide/${trip.id}`, level: 'set', section: 'plan/water', title: phrase('launch.tide.ok.title'), because: [phrase('launch.tide.ok', { height: first.height!, back: last.height!, place: first.place!.name, works: first.works })], figures: ['tideLeave'], source: tide?.source })];
  }
  return [...open, ...dry.map((e) => {
    const spans = spansAbove(tide, e.works, e.at - MS.day / 2, e.at + MS.day / 2);
    return finding({
      id: `day/tide-${e.deed === 'deed.leave' ? 'leave' : 'return'}/${trip.id}`, level: 'stop', section: 'plan/water', title: phrase('launch.tide.title', { deed: phrase(e.deed) }),
      because: [phrase('launch.tide.why', { at: e.at, height: e.height!, place: e.place!.name, works: e.works }), ...(spans.length > 0 ? [phrase('launch.tide.spans', { spans: spans.map((s) => phrase('launch.tide.span', { from: s.from, until: s.until })) })] : [])],
      figures: ['tideLeave'], source: tide.source, mend: { label: phrase('launch.tide.mend'), go: { type: 'trip', id: trip.id, pointer: '/leave/time' } },
    });
  })];
}

function weatherFindings(context: Context, schedule: Schedule, figures: Figures): Finding[] {
  const { trip, forecast, now } = context;
  const home = schedule.home ?? schedule.leave;
  const base = { section: 'plan/day' as const };
  const worst = forecast && worstWithin(forecast, schedule.leave, home);
  if (!forecast || !worst) return [finding({ ...base, id: `day/forecast/${trip.id}`, level: 'fix', title: phrase('forecast.none.title'), because: [phrase('forecast.none.why')] }), ...coldFindings(context, undefined, undefined, figures)];
  const found: Finding[] = [];
  const age = (now - forecast.issuedAt) / MS.second;
  if (forecast.until < home || forecast.from > schedule.leave) found.push(finding({ ...base, id: `day/forecast-part/${trip.id}`, level: 'fix', title: phrase('forecast.part.title'), because: [phrase('forecast.part', { until: forecast.until, home })] }));
  if (age > FORECAST_AGE.value) found.push(finding({ ...base, id: `day/forecast-age/${trip.id}`, level: FORECAST_AGE.level, title: phrase('forecast.old.title'), because: [phrase('forecast.old', { age })], source: FORECAST_AGE.source }));
  figures.wind = { value: worst.wind.wind, quantity: 'speed', inputs: {}, formula: 'formula.forecast', source: 'practice' };
  figures.gust = { value: worst.gust.gust, quantity: 'speed', inputs: {}, formula: 'formula.forecast', source: 'practice' };
  const { wind: limit, gust: gustLimit } = trip.limits;
  const over = (id: string, key: 'wind.over' | 'gust.over', values: Record<string, number>) =>
    found.push(finding({ ...base, id: `day/${id}/${trip.id}`, level: 'stop', title: phrase(`${key}.title`), because: [phrase(key, values)], figures: ['wind', 'gust'], source: 'your-limit', mend: toTime(trip) }));
  if (limit !== undefined && worst.wind.wind > limit) over('wind', 'wind.over', { wind: worst.wind.wind, at: worst.wind.ms, from: Math.round(worst.wind.from), limit });
  if (gustLimit !== undefined && worst.gust.gust > gustLimit) over('gust', 'gust.over', { gust: worst.gust.gust, at: worst.gust.ms, limit: gustLimit });
  if (limit === undefined) found.push(finding({ ...base, id: `day/wind-unset/${trip.id}`, level: 'mind', title: phrase('wind.unset.title'), because: [phrase('wind.unset', { wind: worst.wind.wind, gust: worst.gust.gust })], figures: ['wind', 'gust'], mend: { label: phrase('wind.unset.mend'), go: { type: 'trip', id: trip.id, pointer: '/limits/wind' } } }));
  else if (worst.wind.wind <= limit) found.push(finding({ ...base, id: `day/wind-ok/${trip.id}`, level: 'set', title: phrase('wind.ok.title'), because: [phrase('wind.ok', { wind: worst.wind.wind, gust: worst.gust.gust, limit })], figures: ['wind', 'gust'], source: 'your-limit' }));
  if (worst.thunder) found.push(finding({ ...base, id: `day/thunder/${trip.id}`, level: 'fix', title: phrase('thunder.title'), because: [phrase('thunder.why', { at: worst.thunder.ms })], source: 'lightning', mend: toTime(trip) }));
  const visibility = worst.dimmest?.visibility;
  if (visibility !== undefined && visibility < POOR_VISIBILITY.value) found.push(finding({ ...base, id: `day/fog/${trip.id}`, level: POOR_VISIBILITY.level, title: phrase('fog.title'), because: [phrase('fog.why', { visibility, at: worst.dimmest!.ms })], source: POOR_VISIBILITY.source, mend: toTime(trip) }));
  return [...found, ...coldFindings(context, worst.coldest?.water, worst.warmestAir?.air, figures)];
}

function coldFindings({ trip, people }: Context, water: number | undefined, air: number | undefined, figures: Figures): Finding[] {
  const base = { section: 'plan/day' as const };
  if (water === undefined) return [finding({ ...base, id: `day/cold/${trip.id}`, level: 'mind', title: phrase('cold.unknown.title'), because: [phrase('cold.unknown.why')] })];
  figures.water = { value: water, quantity: 'temperature', inputs: {}, formula: 'formula.forecast', source: 'practice' };
  const found: Finding[] = [];
  const limit = trip.limits.waterTemperature;
  if (limit !== undefined && water < limit) found.push(finding({ ...base, id: `day/cold-limit/${trip.id}`, level: 'stop', title: phrase('cold.limit.title'), because: [phrase('cold.limit', { water, limit })], figures: ['water'], source: 'your-limit' }));
  const row = water < NOT_COLD ? coldRow(water) : undefined;
  if (!row) return found;
  const [low, high] = row.survives;
  figures.hands = { value: USEFUL_HANDS, quantity: 'minutes', inputs: { water: { value: water, quantity: 'temperature' } }, formula: 'formula.hands', source: 'cold-1-10-1' };
  const mean = haywardSurvival(water);
  const wanted = dressFor(water);
  found.push(finding({
    ...base, id: `day/cold/${trip.id}`, level: wanted ? 'mind' : 'set', title: phrase('cold.title'), figures: ['water', 'hands'], source: 'cold-table',
    because: [high === undefined ? phrase('cold.phases.open', { water, hands: USEFUL_HANDS, low }) : phrase('cold.phases', { water, hands: USEFUL_HANDS, low, high }), ...(mean === undefined ? [] : [phrase('cold.mean', { mean })]), ...(air !== undefined && air - water >= AIR_WATER_TRAP ? [phrase('cold.trap', { air })] : [])],
  }));
  if (!wanted) return found;
  const dressed: string[] = [];
  trip.crew.forEach((member, i) => {
    const person = people.find((p) => p.id === member.person);
    if (!person) return;
    const mend: Mend = { label: phrase('cold.dress.mend'), go: { type: 'trip', id: trip.id, pointer: `/crew/${i}/clothing` } };
    const values = { person: person.name, water, wanted: phrase(`wants.${wanted as 'dry-suit'}`) };
    if (member.clothing === undefined) found.push(finding({ ...base, id: `day/dress/${person.id}`, level: 'mind', title: phrase('cold.dress.unknown.title', values), because: [phrase('cold.dress.unknown', values)], source: 'dress-for-water', mend }));
    else if (!warmEnough(member.clothing, wanted)) found.push(finding({ ...base, id: `day/dress/${person.id}`, level: 'fix', title: phrase('cold.dress.title', values), because: [phrase('cold.dress', { ...values, clothing: phrase(`wears.${member.clothing}`) })], source: 'dress-for-water', mend }));
    else dressed.push(person.name);
  });
  if (dressed.length === trip.crew.length && dressed.length > 0) found.push(finding({ ...base, id: `day/dress/${trip.id}`, level: 'set', title: phrase('cold.dress.ok.title'), because: [phrase('cold.dress.ok', { water, who: dressed })], source: 'dress-for-water' }));
  return found;
}

/** The latest turn that still lands an hour before sunset and by the time wanted at home, epoch ms. */
export function latestTurnOf({ back, route }: Context, schedule: Schedule, homeBy: number | undefined): number | undefined {
  if (!back || !route || !schedule.home) return undefined;
  const { sunset } = dayLight(back.position, schedule.leave);
  const limits = [sunset === undefined ? undefined : sunset - DAYLIGHT_LEAST.value * MS.second, homeBy].filter((t): t is number => t !== undefined);
  return limits.length === 0 ? undefined : Math.min(...limits) - route.backSeconds * MS.second;
}
