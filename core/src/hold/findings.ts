import type { Finding, Schedule } from '../model';
import { LEVELS } from '../model/lists';
import { phrase } from '../say';
import { goTo } from '../verdict';
import { anchorFindings, bestOf, overStay } from './find-holds';
import { refusals } from './find-not';
import { poleFindings } from './find-pole';
import { agroundFindings, swingFindings, turnFindings } from './find-swing';
import { HOLD } from './limits';
import { anchorsAboard, atStay, bring, lyingOn, type AtStay, type OnHold } from './on-hold';
import { staysOf } from './stay';

/** Is holding there offered at all? In a river that flows, or may, it is not to small boats. */
export const isOffered = (found: readonly Finding[]): boolean =>
  !found.some(({ id }) => id.startsWith(RIVER));
const RIVER = 'hold/river/';

/** What stands against or for lying at anchor at a stay; refusals first, and nothing else where it is not offered. */
export function findAtAnchor(at: AtStay): Finding[] {
  const { on, stay } = at;
  const refused = refusals(at);
  if (!isOffered(refused)) return refused;
  const all = anchorsAboard(on).map((item) => overStay(at, item));
  const best = bestOf(all, stay.halt.anchor);
  return [
    ...refused,
    ...agroundFindings(at),
    ...(best
      ? [...anchorFindings(at, best), ...swingFindings(at, best), ...turnFindings(at, best)]
      : [noAnchor(at)]),
  ];
}

/** What stands against or for lying on a pole at a stay. */
export function findOnPole(at: AtStay): Finding[] {
  const refused = refusals(at);
  return isOffered(refused) ? [...refused, ...agroundFindings(at), ...poleFindings(at)] : refused;
}

const FOUND = { anchor: findAtAnchor, pole: findOnPole } as const;
const isHeld = (hold: string | undefined): hold is keyof typeof FOUND => hold !== undefined && hold in FOUND;

const noAnchor = ({ on, stay }: AtStay): Finding =>
  HOLD.finding('hold/none', 'none', stay.place.id, {
    title: phrase('hold.none.title'),
    because: [phrase('hold.none.why', { place: stay.place.name })],
    mend: bring(on, 'anchor'),
  });

/** Of two findings of one place the worse: one may lie at one twice. */
function worstById(findings: Finding[]): Finding[] {
  const worst = new Map<string, Finding>();
  for (const found of findings) {
    const before = worst.get(found.id);
    if (!before || LEVELS.indexOf(found.level) < LEVELS.indexOf(before.level)) worst.set(found.id, found);
  }
  return [...worst.values()];
}

/** Places at which one may lie at anchor; at others one lands, or nobody asked. */
const STAYED: ReadonlySet<string> = new Set(['ground', 'waypoint']);

/** Halts on open water of which nobody said what holds her there. */
export function unsaidFindings({ trip, places }: Pick<OnHold, 'trip' | 'places'>): Finding[] {
  return worstById(
    trip.halts.flatMap((halt) => {
      const place = places.find(({ id }) => id === halt.place);
      if (!place || halt.hold !== undefined || halt.minutes === 0 || !STAYED.has(place.kind)) return [];
      return [
        HOLD.finding('hold/how', 'unsaid', place.id, {
          title: phrase('hold.how.title', { place: place.name }),
          because: [phrase('hold.how.why')],
          mend: { label: phrase('hold.how.mend'), ...goTo.section('go/hold') },
        }),
      ];
    }),
  );
}

/** Where no hours can be told, nothing of an anchor can either. */
function withoutHours({ trip, places }: OnHold): Finding[] {
  return worstById(
    trip.halts.flatMap(({ hold, place: id }) => {
      const place = isHeld(hold) && places.find((each) => each.id === id);
      if (!place) return [];
      return [
        HOLD.finding('hold/hours', 'unknown', place.id, {
          title: phrase('hold.hours.title', { place: place.name }),
          because: [phrase('hold.hours.why')],
        }),
      ];
    }),
  );
}

/**
 * What is found of the halts of which somebody said that an anchor holds her there; of others nothing, until it is asked where she
 * could be held. How she lies is balanced once, and not before it is needed.
 */
export function holdFindings(on: OnHold): (schedule: Schedule | undefined) => Finding[] {
  if (!on.boat || !on.trip.halts.some(({ hold }) => isHeld(hold))) return () => [];
  const lying = lyingOn(on);
  return (schedule) => {
    if (!schedule) return withoutHours(on);
    return worstById(
      staysOf(on.trip.halts, on.places, schedule).flatMap((stay) => {
        const { hold } = stay.halt;
        return isHeld(hold) ? FOUND[hold](atStay(on, stay, lying)) : [];
      }),
    );
  };
}
