import './words';
import { BREATH } from '../body/cold';
import { CLOTHING } from '../model/lists';
import { leewayOf } from '../hold/drift';
import type { Phrase } from '../model';
import { phrase } from '../say';
import { MINUTE, MS } from '../units';
import { WHATIF } from './limits';
import type { Reckoned } from './reckon';
import { seaFor, type Standing } from './standing';
import { degrees } from './told';

/** Of a cubic metre. */
const LITRES = 1000;

type Why = (standing: Standing, reckoned: Reckoned) => Phrase[];

/** From what each thing that is told was reckoned, by what it is about. */
const WHY: Record<string, Why> = {
  under: () => [phrase('why.under', { until: WHATIF.limit('under-late') })],
  gasp: () => [phrase('why.gasp', { upTo: BREATH.upTo })],
  hands: cold,
  worn: cold,
  survives: cold,
  third: hole,
  full: hole,
  anchor: (_, { anchored }) =>
    anchored
      ? [
          phrase('why.anchor', {
            low: anchored.held.pull.load.low,
            high: anchored.held.pull.load.high,
            from: anchored.held.hold.low,
            until: anchored.held.hold.high,
          }),
        ]
      : [],
  drift,
  ashore: drift,
  out: ({ righting, bodies }, { row }) =>
    row.out === 'righting' && righting
      ? [
          phrase('recover.why', {
            from: righting.need.low,
            until: righting.need.high,
            who: bodies.flatMap(({ person }) =>
              righting.together?.ids.includes(person.id) ? [person.name] : [],
            ),
            least: righting.together?.gives.low ?? 0,
            most: righting.together?.gives.high ?? 0,
          }),
        ]
      : [phrase('why.turn', { from: WHATIF.limit('turn-soon'), until: WHATIF.limit('turn-late') })],
  landed: (_, { nearest, speed, moment: { flow } }) =>
    nearest && speed
      ? [
          phrase('why.landing', { metres: nearest.landing.metres, slow: speed.low, fast: speed.high }),
          ...(flow && flow.speed > 0 ? [phrase('why.landing.stream', { stream: flow.speed })] : []),
        ]
      : [],
  'know-radio': call,
  'know-phone': call,
  'know-beacon': () => [
    phrase('why.beacon', { from: WHATIF.limit('beacon-soon'), until: WHATIF.limit('beacon-late') }),
  ],
  'know-company': () => [
    phrase('why.company', { day: WHATIF.limit('company-late'), night: WHATIF.limit('company-dark') }),
  ],
  'know-check-in': steps,
  'know-ashore': steps,
  help: (_, { known, help }) =>
    help && known.low < Infinity ? [phrase('why.help', { from: known.low })] : [],
};

/** @returns nothing where it says all by itself */
export const whyOf = (id: string, standing: Standing, reckoned: Reckoned): Phrase[] =>
  WHY[id]?.(standing, reckoned) ?? [];

function cold(_: Standing, { moment: { water }, bodies: [body] }: Reckoned): Phrase[] {
  if (!water || !body) return [];
  const clothing = CLOTHING[body.clothing ?? 'light'].toLowerCase();
  return [phrase('why.cold', { low: water.low, high: water.high, clothing })];
}

function hole(_: Standing, { filling, moment: { weather } }: Reckoned): Phrase[] {
  if (!filling) return [];
  const litres = Math.round(filling.inflow * LITRES * MINUTE);
  return [phrase('why.hole', { hole: filling.hole.name, litres, sea: seaFor(weather?.waves) })];
}

function drift({ context }: Standing, { moment: { weather }, as }: Reckoned): Phrase[] {
  if (!weather) return [];
  const { name } = leewayOf(context.boat?.kind ?? 'skiff', as);
  return [phrase('why.drift', { wind: weather.wind, from: degrees(weather.from), name })];
}

function call(): Phrase[] {
  return [phrase('why.call', { from: WHATIF.limit('call-soon'), until: WHATIF.limit('call-late') })];
}

/** The hours that those ashore go by. */
function steps({ context: { plan }, assessment: { schedule }, refiled }: Standing): Phrase[] {
  const { home, overdue, alarm = overdue } = (refiled ? undefined : plan?.times) ?? schedule ?? {};
  if (home === undefined || overdue === undefined || alarm === undefined) return [];
  const after = (at: number) => Math.round((at - home) / MS.minute);
  return [phrase('why.steps', { home, told: after(overdue), alarm: after(alarm) })];
}
