import type { Finding, GearItem, Phrase } from '../model';
import { phrase } from '../say';
import { asPrinted } from '../units';
import { goTo, guessed } from '../verdict';
import { leansOnForecast } from '../water';
import { deepest, releaseFindings } from './find-holds';
import { fasteningOf } from './held';
import { HOLD } from './limits';
import { bring, isSmall, polesAboard, type AtStay } from './on-hold';
import { poleLine, poleOf, stakedAt, type Staked } from './pole';
import { pullOn, type Pull } from './pull';
import type { Hour } from './stay';

const MOST = HOLD.at('hold/pole', 'deep'),
  USUAL = HOLD.at('hold/pole', 'usual');

/** A pole at an hour. */
export interface PoleHour {
  hour: Hour;
  pull: Pull;
  staked: Staked;
}

/** A pole over the hours of which enough is known. */
export function poleHours({ hours, stay, lying }: AtStay, item: GearItem): PoleHour[] {
  if (!lying) return [];
  const seabed = guessed(stay.place, '/seabed') ? undefined : stay.place.seabed;
  const fast = fasteningOf(lying, stay.halt.fast ?? 'bow');
  const pole = poleOf(item);
  return hours.flatMap((hour) => {
    if (hour.depth === undefined || !hour.wind || !hour.stream) return [];
    const staked = stakedAt(pole, seabed, hour.depth);
    return staked ? [{ hour, staked, pull: pullOn(lying.exposed, fast, hour, lying.density) }] : [];
  });
}

/** What is found of a pole that is to hold her. */
export function poleFindings(at: AtStay): Finding[] {
  const { on, stay } = at;
  const { place } = stay;
  const [item] = polesAboard(on);
  if (!item)
    return [
      HOLD.finding('hold/pole', 'none', place.id, {
        title: phrase('hold.pole.none.title'),
        because: [phrase('hold.pole.none', { place: place.name })],
        mend: bring(on, 'pole'),
      }),
    ];
  return [...releaseFindings(at, item), depthOrHold(at, item), ...lineFindings(at, item)];
}

function depthOrHold(at: AtStay, item: GearItem): Finding {
  const { stay, hours } = at;
  const { place } = stay;
  const deep = deepest(at) ?? hours.find(({ depth }) => depth !== undefined && depth > MOST);
  const over = deep?.depth !== undefined && asPrinted(deep.depth, 'height') > MOST;
  if (deep?.depth !== undefined && over)
    return HOLD.finding('hold/pole', 'deep', place.id, {
      title: phrase('hold.pole.deep.title', { place: place.name }),
      because: [phrase('hold.pole.deep', { at: deep.at, depth: deep.depth, usual: USUAL, most: MOST })],
      mend: { label: phrase('hold.stream.mend'), ...goTo.trip(at.on.trip.id, '/halts') },
    });
  return holds(at, item);
}

const TITLES = {
  drags: 'hold.pole.drags.title',
  may: 'hold.pole.may.title',
  holds: 'hold.pole.holds.title',
  unknown: 'hold.pole.unknown.title',
  usual: 'hold.pole.usual.title',
} as const;

function holds(at: AtStay, item: GearItem): Finding {
  const { on, stay, hours } = at;
  const all = poleHours(at, item);
  const worst = [...all].sort(
    (a, b) => a.staked.hold.low - a.pull.load.high - (b.staked.hold.low - b.pull.load.high),
  )[0];
  const names = { pole: item.name, place: stay.place.name };
  const mend = { label: phrase('hold.pole.mend'), ...goTo.gear(item.id, '/long') };
  const made = (as: keyof typeof TITLES, because: Phrase[]) =>
    HOLD.finding('hold/pole', as, stay.place.id, {
      title: phrase(TITLES[as], names),
      because,
      assumed: [phrase('hold.pole.estimate')],
      ...(as === 'unknown' ? { mend } : {}),
    });
  if (!worst || all.length < hours.length) return made('unknown', lacksOf(at, item));
  const { low, high } = worst.pull.load;
  const { hold } = worst.staked;
  const stands = low > hold.high ? 'drags' : high < hold.low ? 'holds' : 'may';
  const deep = deepest(at);
  const usual = stands === 'holds' && deep !== undefined && deep.depth > USUAL;
  return made(usual ? 'usual' : stands, [
    ...(usual
      ? [phrase('hold.pole.deep', { at: deep.at, depth: deep.depth, usual: USUAL, most: MOST })]
      : []),
    leansOnForecast(
      on.forecast,
      phrase('hold.pole.why', { at: worst.hour.at, low, high, least: hold.low, most: hold.high }),
    ),
  ]);
}

function lacksOf({ hours, lying, stay }: AtStay, item: GearItem): Phrase[] {
  const { kind, long, thick } = poleOf(item);
  const deep = hours.find(({ depth }) => depth !== undefined);
  return [
    ...(lying ? [] : [phrase('hold.lacks.boat')]),
    ...(kind === undefined || long === undefined || thick === undefined
      ? [phrase('hold.pole.lacks')]
      : deep?.depth !== undefined && long <= deep.depth
        ? [phrase('hold.pole.stands', { long, depth: deep.depth })]
        : []),
    ...(hours.some(({ depth }) => depth === undefined)
      ? [phrase('hold.depth.none', { place: stay.place.name })]
      : []),
    ...(hours.some(({ wind }) => !wind) ? [phrase('hold.lacks.wind')] : []),
    ...(hours.some(({ stream }) => !stream) ? [phrase('hold.lacks.stream')] : []),
  ];
}

/** From amidships to past either end of her, and slack for the waves. */
function lineFindings({ on, stay, hours }: AtStay, item: GearItem): Finding[] {
  const { boat } = on;
  const there = guessed(item, '/line') ? undefined : item.line;
  if (!boat || !isSmall(boat) || boat.length === undefined || there === undefined) return [];
  const need = poleLine(boat.length, Math.max(0, ...hours.map(({ wave = 0 }) => wave))).low;
  if (asPrinted(there, 'length') >= asPrinted(need, 'length')) return [];
  return [
    HOLD.finding('hold/pole-line', 'short', stay.place.id, {
      title: phrase('hold.pole.line.title', { pole: item.name }),
      because: [phrase('hold.pole.line', { there, need })],
      mend: { label: phrase('hold.line.mend'), ...goTo.gear(item.id, '/line') },
    }),
  ];
}
