import {
  AIR_WATER_TRAP,
  coldRow,
  dressFor,
  HANDS,
  haywardSurvival,
  NOT_COLD,
  BREATH,
  warmEnough,
} from '../body';
import type { Finding, Mend, Phrase } from '../model';
import { phrase } from '../say';
import { asPrinted } from '../units';
import type { Worst } from '../water';
import { finding, leansOnWeather, type Context, type Figures } from './context';

const base = { section: 'plan/day' as const };

/** The water's cold against limits, bodies and clothes, as far as it is forecast. */
export function coldFindings(context: Context, worst: Worst | undefined, figures: Figures): Finding[] {
  const { trip } = context;
  const water = worst?.coldest?.water;
  if (worst === undefined || water === undefined) {
    return [
      finding({
        ...base,
        id: `day/cold/${trip.id}`,
        level: 'know',
        title: phrase('cold.unknown.title'),
        because: [phrase('cold.unknown.why')],
      }),
    ];
  }
  const temperature = { value: water, quantity: 'temperature' as const };
  figures.water = { ...temperature, inputs: {}, formula: 'formula.forecast', source: 'practice' };
  if (context.forecast?.invented) figures.water.guessed = true;
  const found: Finding[] = [];
  const limit = trip.limits.waterTemperature;
  if (limit !== undefined && asPrinted(water, 'temperature') < asPrinted(limit, 'temperature')) {
    found.push(
      finding({
        ...base,
        id: `day/cold-limit/${trip.id}`,
        level: 'stop',
        title: phrase('cold.limit.title'),
        because: [leansOnWeather(context, phrase('cold.limit', { water, limit }))],
        figures: ['water'],
        source: 'your-limit',
      }),
    );
  }
  const part = worst.whole.water ? [] : [phrase('cold.part')];
  if (water >= NOT_COLD && part.length === 0) return found;
  if (water <= HANDS.upTo) {
    figures.hands = {
      value: HANDS.seconds,
      quantity: 'minutes',
      inputs: { water: temperature },
      formula: 'formula.hands',
      source: 'cold-1-10-1',
    };
  }
  const wanted = dressFor(water);
  // Only part of it forecast, or forecast for show: nothing is settled.
  const open = part.length > 0 || context.forecast?.invented === true;
  found.push(
    finding({
      ...base,
      id: `day/cold/${trip.id}`,
      level: wanted || open ? 'know' : 'ready',
      title: phrase('cold.title'),
      figures: figures.hands ? ['water', 'hands'] : ['water'],
      source: 'cold-table',
      because: [
        ...coldPhases(water, worst.warmestAir?.air).map((said) => leansOnWeather(context, said)),
        ...part,
      ],
    }),
  );
  return wanted ? [...found, ...dressFindings(context, water, wanted, open)] : found;
}

/** What is stated for a water of this temperature, each sentence within the range of its source. */
function coldPhases(water: number, air: number | undefined): Phrase[] {
  const row = coldRow(water);
  const mean = haywardSurvival(water);
  const first =
    water <= HANDS.upTo
      ? phrase('cold.phases', { water, hands: HANDS.seconds })
      : phrase(water <= BREATH.upTo ? 'cold.phases.cool' : 'cold.phases.mild', { water, upTo: HANDS.upTo });
  if (!row) return [phrase('cold.phases.warm', { water })];
  const [low, high] = row.survives;
  return [
    first,
    high === undefined ? phrase('cold.body.open', { low }) : phrase('cold.body', { low, high }),
    ...(mean === undefined ? [] : [phrase('cold.mean', { mean })]),
    ...(air !== undefined && air - water >= AIR_WATER_TRAP ? [phrase('cold.trap', { air })] : []),
  ];
}

function dressFindings(
  context: Context,
  water: number,
  wanted: NonNullable<ReturnType<typeof dressFor>>,
  open: boolean,
): Finding[] {
  const { trip, people } = context;
  const found: Finding[] = [];
  const dressed: string[] = [];
  const source = 'dress-for-water';
  trip.crew.forEach((member, i) => {
    const person = people.find((p) => p.id === member.person);
    if (!person) return;
    const mend: Mend = {
      label: phrase('cold.dress.mend'),
      go: { type: 'trip', id: trip.id, pointer: `/crew/${i}/clothing` },
    };
    const values = { person: person.name, water, wanted: phrase(`wants.${wanted as 'dry-suit'}`) };
    const id = `day/dress/${person.id}`;
    const said = (why: Phrase) => [leansOnWeather(context, why)];
    if (member.clothing === undefined) {
      const title = phrase('cold.dress.unknown.title', values);
      const because = said(phrase('cold.dress.unknown', values));
      found.push(finding({ ...base, id, level: 'know', title, because, source, mend }));
    } else if (!warmEnough(member.clothing, wanted)) {
      const title = phrase('cold.dress.title', values);
      const clothing = phrase(`wears.${member.clothing}`);
      const because = said(phrase('cold.dress', { ...values, clothing }));
      found.push(finding({ ...base, id, level: 'fix', title, because, source, mend }));
    } else dressed.push(person.name);
  });
  if (dressed.length === trip.crew.length && dressed.length > 0) {
    found.push(
      finding({
        ...base,
        id: `day/dress/${trip.id}`,
        level: open ? 'know' : 'ready',
        title: phrase('cold.dress.ok.title'),
        because: [leansOnWeather(context, phrase('cold.dress.ok', { water, who: dressed }))],
        source,
      }),
    );
  }
  return found;
}
