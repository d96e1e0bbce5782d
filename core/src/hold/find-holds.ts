import type { Finding, GearItem, Phrase } from '../model';
import { phrase } from '../say';
import { asPrinted } from '../units';
import { goTo, guessed, leanOnPace } from '../verdict';
import { leansOnForecast } from '../water';
import { goodOn, gradeOf, VOUCHED } from './anchor';
import { dragsFrom, fasteningOf, heightOver, heldAt, type Held, type Stands, type Tackle } from './held';
import { HOLD } from './limits';
import { LINES, needed } from './line';
import { isSmall, tackleOf, type AtStay } from './on-hold';
import { isStill, soundingOf, type Hour } from './stay';

/** How an anchor stands over all hours of a stay. */
export interface Over {
  item: GearItem;
  tackle: Tackle;
  hours: { hour: Hour; held: Held }[];
  /** The hour in which it stands worst, where the boat's measures let anything be told. */
  worst?: { hour: Hour; held: Held };
}

/** From the worst on. */
const ORDER: readonly Stands[] = ['drags', 'unknown', 'unvouched', 'may', 'holds'];
const margin = ({ held }: { held: Held }) => held.hold.low - held.pull.load.high;

/** An anchor of the locker over the hours of a stay, with as much line out as is usual, or all there is. */
export function overStay(at: AtStay, item: GearItem): Over {
  const { on, stay, hours, lying } = at;
  const tackle = tackleOf(on, item, guessed(stay.place, '/seabed') ? undefined : stay.place.seabed);
  if (!lying) return { item, tackle, hours: [] };
  const fast = fasteningOf(lying, stay.halt.fast ?? 'bow');
  const out = letOut(at, tackle);
  // Where the chart tells only the least depth, the line may lead up steeper than is reckoned.
  const least = soundingOf(stay.place, on.water)?.least === true;
  const all = hours.map((hour) => ({ hour, held: heldAt(lying, fast, out, hour, hour.depth, !least) }));
  const worst = [...all].sort(
    (a, b) => ORDER.indexOf(a.held.stands) - ORDER.indexOf(b.held.stands) || margin(a) - margin(b),
  )[0];
  return { item, tackle: out, hours: all, ...(worst ? { worst } : {}) };
}

/** The deepest hour of a stay; undefined where a depth of it is not known. */
export function deepest({ hours }: Pick<AtStay, 'hours'>): (Hour & { depth: number }) | undefined {
  const known = hours.flatMap((hour) => (hour.depth === undefined ? [] : [{ ...hour, depth: hour.depth }]));
  if (known.length < hours.length || known.length === 0) return undefined;
  return known.reduce((deep, hour) => (hour.depth > deep.depth ? hour : deep));
}

/** The same with so much of it out as seven times the height takes at high water, where there is that much. */
function letOut(at: AtStay, tackle: Tackle): Tackle {
  const deep = deepest(at);
  const { rode } = tackle;
  if (!rode || !deep || !at.lying) return tackle;
  const height = heightOver(at.lying, fasteningOf(at.lying, at.stay.halt.fast ?? 'bow'), deep.depth);
  return { ...tackle, rode: outOf(rode, needed('usual', height)) };
}

/** So much of a rode let out, the chain first. */
export const outOf = (rode: NonNullable<Tackle['rode']>, metres: number): NonNullable<Tackle['rode']> => ({
  ...rode,
  chain: Math.min(rode.chain, metres),
  line: Math.max(0, Math.min(rode.line, metres - rode.chain)),
});

/** Of several anchors the one that was chosen, or that stands best. */
export function bestOf(all: readonly Over[], chosen: string | undefined): Over | undefined {
  const rank = ({ worst }: Over) => (worst ? ORDER.indexOf(worst.held.stands) : -1);
  const holds = ({ worst }: Over) => worst?.held.hold.low ?? 0;
  return (
    all.find(({ item }) => item.id === chosen) ??
    [...all].sort((a, b) => rank(b) - rank(a) || holds(b) - holds(a))[0]
  );
}

/** What is found of one anchor at a stay: how it is let go, its line, whether it holds, the bottom. */
export function anchorFindings(at: AtStay, over: Over): Finding[] {
  return [
    ...releaseFindings(at, over.item),
    lineFinding(at, over),
    holdsFinding(at, over),
    ...bottomFindings(at, over),
    ...floatFindings(at, over),
  ];
}

const toAnchor = ({ item }: Over, pointer: '/anchor' | '/line' | '/float', label: Phrase) => ({
  label,
  ...goTo.gear(item.id, pointer),
});

/** Is what holds a small boat let go with one hand? */
export function releaseFindings({ on, stay }: AtStay, item: GearItem): Finding[] {
  if (!on.boat || !isSmall(on.boat)) return [];
  const said = guessed(item, '/release') ? undefined : item.release;
  if (said === 'quick') return [];
  const mend = { label: phrase('hold.release.mend'), ...goTo.gear(item.id, '/release') };
  if (said === undefined)
    return [
      HOLD.finding('hold/release', 'unknown', stay.place.id, {
        title: phrase('hold.release.unknown.title', { anchor: item.name }),
        because: [phrase('hold.release.unknown')],
        mend,
      }),
    ];
  return [
    HOLD.finding('hold/release', 'none', stay.place.id, {
      title: phrase(stay.halt.hold === 'pole' ? 'hold.not.pole' : 'hold.not.title', {
        place: stay.place.name,
      }),
      because: [phrase('hold.release.none', { anchor: item.name })],
      mend,
    }),
  ];
}

function floatFindings({ on, stay }: AtStay, over: Over): Finding[] {
  const { item } = over;
  if (!on.boat || !isSmall(on.boat) || (item.float === true && !guessed(item, '/float'))) return [];
  return [
    HOLD.finding('hold/float', 'none', stay.place.id, {
      title: phrase('hold.float.title', { anchor: item.name }),
      because: [phrase('hold.float')],
      mend: toAnchor(over, '/float', phrase('hold.float.mend')),
    }),
  ];
}

/** Why the depth of a stay is not known, and where that is mended. */
function depthLacks({ on, stay }: AtStay): { said: Phrase; mend: NonNullable<Finding['mend']> } {
  const { place } = stay;
  return soundingOf(place, on.water)
    ? {
        said: phrase('hold.depth.tide', { place: place.name }),
        mend: { label: phrase('hold.depth.tide.mend'), ...goTo.section('plan/water') },
      }
    : {
        said: phrase('hold.depth.none', { place: place.name }),
        mend: { label: phrase('hold.depth.mend'), ...goTo.place(place.id, '/depth') },
      };
}

/** Line there is against line to let out at high water. */
function lineFinding(at: AtStay, over: Over): Finding {
  const { stay, lying, on } = at;
  const { place } = stay;
  const { item } = over;
  const rode = tackleOf(on, item, undefined).rode;
  const deep = deepest(at);
  if (!rode || !deep || !lying) {
    const lacks = !rode
      ? {
          said: phrase('hold.line.unsaid', { anchor: item.name }),
          mend: toAnchor(over, '/line', phrase('hold.line.mend')),
        }
      : !deep
        ? depthLacks(at)
        : boatLacks(at);
    return HOLD.finding('hold/line', 'unknown', place.id, {
      title: phrase('hold.line.unknown.title', { place: place.name }),
      because: [lacks.said],
      mend: lacks.mend,
    });
  }
  const height = heightOver(lying, fasteningOf(lying, stay.halt.fast ?? 'bow'), deep.depth);
  const there = rode.line + rode.chain;
  const [least, usual] = [needed('least', height), needed('usual', height)];
  const assumed = [
    ...(soundingOf(place, on.water)?.least ? [phrase('hold.depth.least')] : []),
    ...(lying.guessed ? [phrase('hold.bow.guessed')] : []),
  ];
  const values = { anchor: item.name, there, height, at: deep.at };
  const made = (as: 'depth' | 'short' | 'least' | 'enough' | 'unknown', because: Phrase): Finding =>
    HOLD.finding('hold/line', as, place.id, {
      title: phrase(as === 'enough' || as === 'unknown' ? 'hold.line.title' : 'hold.line.short.title', {
        place: place.name,
      }),
      because: [because],
      assumed,
      ...(as === 'enough' ? {} : { mend: toAnchor(over, '/line', phrase('hold.line.mend')) }),
    });
  const rows = LINES.scopes.rows;
  const long = (metres: number) => asPrinted(there, 'length') >= asPrinted(metres, 'length');
  if (there <= height) return made('depth', phrase('hold.line.depth', values));
  if (!long(least))
    return made('short', phrase('hold.line.short', { ...values, need: least, scope: rows.least }));
  if (!long(usual))
    return made('least', phrase('hold.line.least', { ...values, scope: tenth(there / height) }));
  const enough = phrase('hold.line.enough', { ...values, need: usual });
  // It rests on what was said of depth and boat; where some of that is only taken, it is open.
  const found = made(assumed.length > 0 ? 'unknown' : 'enough', enough);
  // Where the level stands still the hour does not matter.
  return isStill(on.water) ? found : leanOnPace(on, found);
}

function boatLacks({ on }: AtStay): { said: Phrase; mend: NonNullable<Finding['mend']> } {
  const pointer = on.boat?.length === undefined ? '/length' : '/beam';
  return {
    said: phrase('hold.lacks.boat'),
    mend: { label: phrase('lie.measures.mend'), ...goTo.boat(on.boat?.id, pointer) },
  };
}

const tenth = (value: number) => Math.round(value * 10) / 10;

const TITLES = {
  drags: 'hold.drags.title',
  may: 'hold.may.title',
  holds: 'hold.holds.title',
  unvouched: 'hold.unvouched.title',
  unknown: 'hold.unknown.title',
} as const;

/** Does it hold in the worst hour? */
function holdsFinding(at: AtStay, over: Over): Finding {
  const { on, stay, lying } = at;
  const { item, worst, tackle } = over;
  const stands = worst?.held.stands ?? 'unknown';
  const names = { anchor: item.name, place: stay.place.name };
  const lacks = lacksOf(at, over);
  const drags = stands === 'unknown' ? undefined : dragsAtWorst(at, over);
  const because = [
    ...(worst && lacks.length === 0
      ? [
          leansOnForecast(
            on.forecast,
            phrase('hold.why', {
              at: worst.hour.at,
              low: worst.held.pull.load.low,
              high: worst.held.pull.load.high,
              least: worst.held.hold.low,
              most: worst.held.hold.high,
            }),
          ),
        ]
      : lacks),
    ...(stands === 'unvouched' ? [phrase('hold.light', { vouched: VOUCHED })] : []),
    ...(drags === undefined ? [] : [phrase('hold.wind.may', { wind: drags })]),
  ];
  const settle =
    tackle.anchor.weighs === undefined || !tackle.anchor.kind
      ? toAnchor(over, '/anchor', phrase('hold.anchor.mend'))
      : !lying
        ? boatLacks(at).mend
        : undefined;
  return HOLD.finding('hold/holds', stands, stay.place.id, {
    title: phrase(TITLES[stands], names),
    because,
    assumed: [phrase('hold.estimate')],
    ...(settle ? { mend: settle } : {}),
  });
}

/** The wind from which on it may drag in the worst hour, where it does not do so at once. */
const dragsAtWorst = (at: AtStay, { worst, tackle }: Over) =>
  worst && at.lying
    ? dragsFrom(
        at.lying,
        fasteningOf(at.lying, at.stay.halt.fast ?? 'bow'),
        tackle,
        worst.hour,
        worst.hour.depth,
        'wind',
        'may',
      )
    : undefined;

/** What of it is not known, over all hours. */
function lacksOf({ hours, lying, stay, on }: AtStay, { tackle }: Over): Phrase[] {
  const { anchor, rode } = tackle;
  return [
    ...(lying ? [] : [phrase('hold.lacks.boat')]),
    ...(anchor.weighs === undefined || !anchor.kind ? [phrase('hold.lacks.weight')] : []),
    ...(rode ? [] : [phrase('hold.lacks.line')]),
    ...(hours.some(({ wind }) => !wind) ? [phrase('hold.lacks.wind')] : []),
    ...(hours.some(({ stream }) => !stream) ? [phrase('hold.lacks.stream')] : []),
    ...(hours.some(({ depth }) => depth === undefined)
      ? [phrase('hold.lacks.depth')]
      : soundingOf(stay.place, on.water)?.least
        ? [phrase('hold.depth.least')]
        : []),
  ];
}

function bottomFindings({ stay }: AtStay, { item, tackle }: Over): Finding[] {
  const { place } = stay;
  const { seabed, anchor } = tackle;
  if (seabed === undefined)
    return [
      HOLD.finding('hold/bottom', 'unknown', place.id, {
        title: phrase('hold.bottom.title', { place: place.name }),
        because: [phrase('hold.bottom')],
        mend: { label: phrase('hold.bottom.mend'), ...goTo.place(place.id, '/seabed') },
      }),
    ];
  const { kind } = anchor;
  if (seabed === 'mixed' || !kind || gradeOf(kind, seabed) !== 'poor') return [];
  const names = {
    kind: phrase(`anchor.${kind as 'folding'}`),
    bottom: phrase(`bottom.${seabed}`),
  };
  const better = goodOn(seabed).map((each) => phrase(`anchor.${each}`));
  return [
    HOLD.finding('hold/bottom', 'poor', place.id, {
      title: phrase('hold.poor.title', { anchor: item.name }),
      because: [
        better.length > 0 ? phrase('hold.poor', { ...names, better }) : phrase('hold.poor.none', names),
      ],
    }),
  ];
}
