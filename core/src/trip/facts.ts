import { ageRange, darkWithin } from '../earth';
import { drives } from '../boat';
import type { Schedule } from '../model';
import { QUESTION, type Facts, type Person as RulePerson, type World } from '../rules';
import { worstWithin } from '../water';
import type { Context } from './context';
import { POOR_VISIBILITY, TIDAL } from './limits';

/** Facts that don't change with the hour of leaving. A field nobody filled is left out: absent is unknown. */
export function standingFacts({ boat, trip, water, people, route }: Context): Facts {
  const moves = boat ? drives(boat) : {};
  const complete = people.length === trip.crew.length && people.length > 0;
  const answers = Object.entries(water?.answers ?? {}).map(([id, answer]) => [`${QUESTION}${id}`, answer] as const);
  return {
    'boat.kind': boat?.kind, 'boat.length': boat?.length, 'boat.modelYear': boat?.modelYear,
    'boat.motor': moves.motor, 'boat.sail': moves.sail, 'boat.manual': moves.manual, 'boat.combustion': moves.combustion,
    'crew.count': complete ? people.length : undefined, 'crew.alone': complete ? people.length === 1 : undefined,
    'water.class': water?.class, 'water.tidal': water && TIDAL.has(water.class),
    'day.furthest': route && Math.max(...route.legs.map((leg) => leg.metres)), 'day.hours': route?.seconds,
    ...Object.fromEntries(answers),
  };
}

export function crewFacts({ people }: Context, on: string): RulePerson[] {
  return people.map((p) => {
    const age = p.born === undefined ? undefined : ageRange(p.born, on);
    return { id: p.id, name: p.name, facts: { 'person.age': age && { low: age[0], high: age[1] }, 'person.swims': p.swimming } };
  });
}

/** Facts of the hours on the water. Light needs a place; weather needs a forecast that covers the hours. */
export function dayFacts({ launch, forecast }: Context, schedule: Schedule | undefined): Facts {
  if (!schedule?.home) return {};
  const worst = forecast && worstWithin(forecast, schedule.leave, schedule.home);
  const dimmest = worst?.dimmest?.visibility;
  return {
    'day.dark': launch && darkWithin(launch.position, schedule.leave, schedule.home),
    'day.water': worst?.coldest?.water,
    'day.poorVisibility': dimmest === undefined ? undefined : dimmest < POOR_VISIBILITY.value,
  };
}

export function worldOf(context: Context, schedule: Schedule | undefined, on: string, standing: Facts): Omit<World, 'questions'> {
  return { facts: { ...standing, ...dayFacts(context, schedule) }, crew: crewFacts(context, on) };
}
