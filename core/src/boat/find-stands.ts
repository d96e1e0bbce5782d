import type { Finding, Person, Phrase } from '../model';
import { phrase } from '../say';
import { doTo, goTo, guessed } from '../verdict';
import type { SortedForecast, Worst } from '../water';
import { leansOnForecast } from '../water';
import { hullOf } from './hull';
import type { Laden } from './laden';
import { BOAT } from './limits';
import { onFeet, stood, SWAY, type Stood } from './stand';
import { placed } from './stow';

const HEEL = BOAT.at('stand/person', 'heel'),
  SEA = BOAT.at('stand/person', 'sea'),
  COLD = BOAT.at('stand/person', 'cold'),
  TIPS = BOAT.limit('stand-tips');

export interface StandHours {
  forecast?: SortedForecast;
  worst?: Worst;
}

/** Somebody who stands, with what her own balance says of it. */
interface One {
  n: number;
  person: Person;
  stood: Stood;
  /** Her measures or a weight are a guess. */
  rough: boolean;
}

/**
 * Who stands to fish, to pole or to drive: her heel and what is left of her edge, the sea, the skill and the water. What holds
 * whenever she leaves is reckoned once.
 */
export function standFindings(laden: Laden, asks: boolean): (hours: StandHours) => Finding[] {
  const { trip, boat, people, density } = laden;
  const hull = boat && hullOf(boat);
  if (!boat || people.length === 0) return () => [];
  const unsaid = asks ? unsaidFinding(laden) : [];
  const stands = trip.crew.filter((member) => member.stands === true);
  if (stands.length === 0) return () => unsaid;
  const feet = onFeet(trip, people);
  const spots = hull ? placed(trip, people, hull) : [];
  const rough =
    !hull ||
    hull.guessed.length > 0 ||
    boat.mass === undefined ||
    guessed(boat, '/mass') ||
    people.some((p) => p.mass === undefined || guessed(p, '/mass'));
  const all = trip.crew.flatMap((_member, n): One[] => {
    const person = feet.get(`crew/${n}`)?.person;
    if (!hull || !person) return [];
    return [{ n, person, stood: stood(boat, hull, spots, feet, `crew/${n}`, density), rough }];
  });
  const unknown = stands.length > all.length;
  return (hours) => [
    ...all.map((one) => standFinding(laden, one, hours)),
    ...(unknown ? [unsureFinding(laden)] : []),
    ...unsaid,
  ];
}

/** Whoever said nothing is named: that one of them sits says nothing of the others. */
function unsaidFinding({ trip, people }: Laden): Finding[] {
  const silent = trip.crew
    .filter(({ stands }) => stands === undefined)
    .flatMap(({ person }) => people.find(({ id }) => id === person)?.name ?? []);
  if (silent.length === 0) return [];
  return [
    BOAT.finding('stand/unsaid', 'open', trip.id, {
      title: phrase('stand.unsaid.title'),
      because: [phrase('stand.unsaid', { people: silent })],
      mend: { label: phrase('stand.unsaid.mend'), ...goTo.section('pack/load') },
    }),
  ];
}

/** Without her measures, or a weight, nothing can be reckoned. */
const unsureFinding = ({ trip }: Laden): Finding =>
  BOAT.finding('stand/person', 'open', trip.id, {
    title: phrase('stand.unsure.title'),
    because: [phrase('stand.unsure')],
    mend: { label: phrase('stand.unsaid.mend'), ...goTo.section('pack/load') },
  });

function standFinding({ trip, boat }: Laden, one: One, { forecast, worst }: StandHours): Finding {
  const { n, person, stood: found, rough } = one;
  const at = person.skills?.findIndex(({ craft }) => craft === boat?.kind) ?? -1;
  const skill = guessed(person, `/skills/${at}/level`) ? undefined : person.skills?.[at]?.level;
  const waves = worst?.highest?.waves;
  const cold = worst?.coldest?.water;
  const told = (words: Phrase) => leansOnForecast(forecast, words);
  const against: ['over' | 'heel' | 'sea' | 'new' | 'cold', Phrase][] = [];
  if (found.over === 'over') against.push(['over', phrase('stand.over', { sway: SWAY })]);
  if (found.heel && (found.over === 'maybe' || found.heel.high >= HEEL))
    against.push(['heel', heelPhrase(found)]);
  if (waves !== undefined && waves > SEA)
    against.push(['sea', told(phrase('stand.sea', { waves, sea: SEA }))]);
  if (skill === 'new') against.push(['new', phrase('stand.new')]);
  // Where hardly anything tips her, cold water is told and no reason to sit down.
  const tips = found.heel === undefined || found.heel.high >= TIPS;
  const chill = cold !== undefined && cold < COLD ? [told(phrase('stand.cold', { cold }))] : [];
  if (tips) against.push(...chill.map((why): ['cold', Phrase] => ['cold', why]));
  const sure = forecast !== undefined && forecast.invented !== true;
  const open: Phrase[] = [
    ...(rough ? [phrase('stand.rough')] : []),
    ...(skill === undefined ? [phrase('stand.skill')] : []),
    ...(!sure || !worst?.whole.waves ? [phrase('stand.waves.unknown')] : []),
    ...(!sure || !worst?.whole.water ? [phrase('stand.cold.unknown')] : []),
    ...(found.tallTaken ? [phrase('stand.tall')] : []),
  ];
  const steady = [...(found.over === 'no' ? [heelPhrase(found)] : []), ...(tips ? [] : chill)];
  const names = { person: person.name };
  const [first] = against;
  if (first)
    return BOAT.finding('stand/person', first[0], person.id, {
      title: phrase('stand.against.title', names),
      because: [...(first[0] === 'heel' ? [] : steady), ...against.map(([, why]) => why)],
      assumed: open,
      mend: { label: phrase('stand.sits', names), ...doTo('trip', trip.id, sits(n)) },
    });
  if (open.length > 0)
    return BOAT.finding('stand/person', 'open', person.id, {
      title: phrase('stand.title', names),
      because: [...steady, ...open],
      mend: { label: phrase('stand.unsaid.mend'), ...goTo.section('pack/load') },
    });
  return BOAT.finding('stand/person', chill.length > 0 ? 'chill' : 'steady', person.id, {
    title: phrase('stand.title', names),
    because: steady,
  });
}

const sits = (n: number) => [{ op: 'set' as const, pointer: `/crew/${n}/stands`, value: false }];

/** Heel and freeboard as a band; an end at which she goes over is said. */
export function heelPhrase({ over, heel, free }: Stood): Phrase {
  if (!heel || !free) return phrase('stand.over', { sway: SWAY });
  const figures = { low: heel.low, high: heel.high, least: free.low, most: free.high, sway: SWAY };
  return phrase(over === 'maybe' ? 'stand.heel.maybe' : 'stand.heel', figures);
}
