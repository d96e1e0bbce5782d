import type { Finding, Schedule } from '../model';
import { phrase } from '../say';
import { goTo, leanOnPace, type Figures } from '../verdict';
import { FIGURES } from './figures';
import type { Outing } from './outing';
import { PASSAGE } from './limits';

/** Home by the hour wanted, and turned in time for it. */
export function turnFindings(
  outing: Outing,
  homeBy: number | undefined,
  schedule: Schedule,
  figures: Figures,
): Finding[] {
  const { trip } = outing;
  const { home } = schedule;
  const found: Finding[] = [];
  if (homeBy !== undefined && home !== undefined && home > homeBy) {
    found.push(
      PASSAGE.finding('day/home-by', 'late', trip.id, {
        title: phrase('home.late.title'),
        because: [phrase('home.late', { home, by: homeBy })],
        figures: [FIGURES.idOf('passage/home', trip.id)],
        mend: { label: phrase('home.late.mend'), ...goTo.trip(trip.id, '/leave/time') },
      }),
    );
  }
  const turn = turnFinding(outing, schedule, figures);
  return turn ? [...found, turn] : found;
}

function turnFinding(outing: Outing, { latestTurn: latest, turnBack: turn }: Schedule, figures: Figures) {
  const { trip, speed } = outing;
  if (turn === undefined) return undefined;
  if (latest === undefined) {
    return PASSAGE.finding('day/turn', 'none', trip.id, {
      title: phrase('turn.none.title'),
      because: [phrase('turn.none', { turn })],
      mend: { label: phrase('turn.none.mend'), ...goTo.trip(trip.id, '/homeBy') },
    });
  }
  const guessed = speed?.guessed === true;
  const shown = [
    FIGURES.idOf('passage/turn-back', trip.id),
    FIGURES.put(figures, 'passage/latest-turn', trip.id, { value: latest, guessed }),
  ];
  if (turn > latest) {
    return PASSAGE.finding('day/turn', 'late', trip.id, {
      title: phrase('turn.late.title'),
      because: [phrase('turn.late', { turn, latest })],
      figures: shown,
      mend: { label: phrase('home.late.mend'), ...goTo.trip(trip.id, '/halts') },
    });
  }
  const because = [phrase('turn.ok', { turn, latest })];
  const title = phrase('turn.ok.title');
  return leanOnPace(
    outing,
    PASSAGE.finding('day/turn', 'in-time', trip.id, { title, because, figures: shown }),
  );
}
