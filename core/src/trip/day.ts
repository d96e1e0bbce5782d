import type { Finding, Schedule } from '../model';
import { instant, type Context, type Figures } from './context';
import { lightFindings, turnFindings } from './light';
import { tideFindings } from './tide';
import { weatherFindings } from './weather';

/** Findings and figures of the hours of this trip: times, light, tide, weather, cold. */
export function dayFindings(
  context: Context,
  schedule: Schedule,
  homeBy: number | undefined,
  figures: Figures,
): Finding[] {
  scheduleFigures(context, schedule, figures);
  return [
    ...lightFindings(context, schedule, figures),
    ...turnFindings(context, homeBy, schedule, figures),
    ...tideFindings(context, schedule, figures),
    ...weatherFindings(context, schedule, figures),
  ];
}

function scheduleFigures({ trip, route, speed }: Context, schedule: Schedule, figures: Figures): void {
  const { leave, home, overdue, turnBack } = schedule;
  if (!route || !speed || home === undefined || overdue === undefined) return;
  const halts = route.legs.reduce((sum, leg) => sum + leg.haltSeconds, 0);
  const guessed = speed.guessed ? { guessed: true } : {};
  const distance = { value: route.metres, quantity: 'distance' as const };
  const pace = { value: speed.value, quantity: 'speed' as const };
  figures.distance = { ...distance, inputs: {}, formula: 'formula.leg', source: 'geodesic' };
  figures.speed = { ...pace, inputs: {}, formula: 'formula.speed', source: 'your-word', ...guessed };
  figures.home = {
    ...instant(home),
    inputs: {
      leave: instant(leave),
      distance,
      speed: pace,
      halts: { value: halts, quantity: 'minutes' },
    },
    formula: 'formula.home',
    source: 'paddle-pace',
    ...guessed,
  };
  figures.overdue = {
    ...instant(overdue),
    inputs: { home: instant(home), grace: { value: trip.graceMinutes * 60, quantity: 'minutes' } },
    formula: 'formula.overdue',
    source: 'overdue',
    ...guessed,
  };
  if (turnBack === undefined) return;
  figures.turnBack = {
    ...instant(turnBack),
    inputs: { leave: instant(leave) },
    formula: 'formula.turn',
    source: 'your-word',
    ...guessed,
  };
}
