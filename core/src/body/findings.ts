import type { Finding, Person, Phrase, Trip } from '../model';
import { phrase } from '../say';
import { asPrinted } from '../units';
import { goTo, type Figures } from '../verdict';
import { leansOnForecast, type SortedForecast, type Worst } from '../water';
import {
  AIR_WATER_TRAP,
  BREATH,
  coldRow,
  dressFor,
  HANDS,
  haywardSurvival,
  NOT_COLD,
  warmEnough,
  type Clothing,
} from './cold';
import { FIGURES } from './figures';
import { BODY } from './limits';

/** Who goes, and what is forecast for the hours. */
export interface InCold {
  trip: Trip;
  people: Person[];
  forecast?: SortedForecast;
}

/** The water's cold against limits, bodies and clothes, as far as it is forecast. */
export function bodyFindings(who: InCold, worst: Worst | undefined, figures: Figures): Finding[] {
  const { trip, forecast } = who;
  const water = worst?.coldest?.water;
  if (worst === undefined || water === undefined) {
    return [
      BODY.finding('day/cold', 'unknown', trip.id, {
        title: phrase('cold.unknown.title'),
        because: [phrase('cold.unknown.why')],
      }),
    ];
  }
  const guessed = forecast?.invented === true;
  const temperature = FIGURES.put(figures, 'body/water', trip.id, { value: water, guessed });
  const found: Finding[] = [];
  const limit = trip.limits.waterTemperature;
  if (limit !== undefined && asPrinted(water, 'temperature') < asPrinted(limit, 'temperature')) {
    const because = [leansOnForecast(forecast, phrase('cold.limit', { water, limit }))];
    const title = phrase('cold.limit.title');
    found.push(BODY.finding('day/cold-limit', 'over', trip.id, { title, because, figures: [temperature] }));
  }
  const part = worst.whole.water ? [] : [phrase('cold.part')];
  if (water >= NOT_COLD && part.length === 0) return found;
  const shown = water <= HANDS.upTo ? [temperature, handsFigure(trip.id, water, figures)] : [temperature];
  const wanted = dressFor(water);
  // Only part of it forecast, or forecast for show: nothing is settled.
  const open = part.length > 0 || guessed;
  const phases = coldPhases(water, worst.warmestAir?.air).map((said) => leansOnForecast(forecast, said));
  found.push(
    BODY.finding('day/cold', wanted || open ? 'cold' : 'warm', trip.id, {
      title: phrase('cold.title'),
      because: [...phases, ...part],
      figures: shown,
    }),
  );
  return wanted ? [...found, ...dressFindings(who, water, wanted, open)] : found;
}

const handsFigure = (trip: string, water: number, figures: Figures) =>
  FIGURES.put(figures, 'body/hands', trip, {
    value: HANDS.seconds,
    inputs: { water: { value: water, quantity: 'temperature' } },
  });

/** What is stated for a water of this temperature, each sentence within the range of its source. */
function coldPhases(water: number, air: number | undefined): Phrase[] {
  const row = coldRow(water);
  if (!row) return [phrase('cold.phases.warm', { water })];
  const mean = haywardSurvival(water);
  const [low, high] = row.survives;
  return [
    breathAndHands(water),
    high === undefined ? phrase('cold.body.open', { low }) : phrase('cold.body', { low, high }),
    ...(mean === undefined ? [] : [phrase('cold.mean', { mean })]),
    ...(air !== undefined && air - water >= AIR_WATER_TRAP ? [phrase('cold.trap', { air })] : []),
  ];
}

/** What the cold does in water of a temperature, °C: breath and hands, and until when people are worn out. */
export function coldNow(water: number): Phrase[] {
  const row = coldRow(water);
  if (!row) return [phrase('now.cold.mild', { water })];
  const [low, high] = row.exhausted;
  return [breathAndHands(water), phrase('now.cold.worn-out', { low, high })];
}

function breathAndHands(water: number): Phrase {
  if (water <= HANDS.upTo) return phrase('cold.phases', { water, hands: HANDS.seconds });
  if (water <= BREATH.upTo) return phrase('cold.phases.cool', { water, upTo: HANDS.upTo });
  return phrase('cold.phases.mild', { water, upTo: BREATH.upTo });
}

function dressFindings(
  { trip, people, forecast }: InCold,
  water: number,
  wanted: Clothing,
  open: boolean,
): Finding[] {
  const found: Finding[] = [];
  const dressed: string[] = [];
  const said = (why: Phrase) => [leansOnForecast(forecast, why)];
  trip.crew.forEach(({ person: id, clothing }, i) => {
    const person = people.find((p) => p.id === id);
    if (!person) return;
    const mend = {
      label: phrase('cold.dress.mend'),
      ...goTo.trip(trip.id, `/crew/${i}/clothing`),
    };
    const what = { water, wanted: phrase(`wants.${wanted as Wanted}`) };
    if (clothing === undefined) {
      const title = phrase('cold.dress.unknown.title', { person: person.name });
      const because = said(phrase('cold.dress.unknown', what));
      found.push(BODY.finding('day/dress', 'unsaid', person.id, { title, because, mend }));
    } else if (!warmEnough(clothing, wanted)) {
      const wears = phrase(`wears.${clothing}`);
      const because = said(phrase('cold.dress', { ...what, person: person.name, clothing: wears }));
      const title = phrase('cold.dress.title', { person: person.name });
      found.push(BODY.finding('day/dress', 'thin', person.id, { title, because, mend }));
    } else dressed.push(person.name);
  });
  if (dressed.length === trip.crew.length && dressed.length > 0) {
    found.push(
      BODY.finding('day/dress', open ? 'open' : 'warm', trip.id, {
        title: phrase('cold.dress.ok.title'),
        because: said(phrase('cold.dress.ok', { water, who: dressed })),
      }),
    );
  }
  return found;
}

/** Clothing that a water can ask for: light clothes are asked for by none. */
type Wanted = Exclude<Clothing, 'light' | 'flotation-suit'>;
