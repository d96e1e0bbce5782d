import './words';
import { CHECK_IN_GRACE, isOpen } from '../floatplan';
import type { Channel, Phrase, PlanTimes, WaterHelp } from '../model';
import type { Band } from '../numeric';
import { phrase } from '../say';
import { LAYERS, layersOf, type Signal } from '../signals';
import { MINUTE, MS } from '../units';
import { guessed } from '../verdict';
import { WHATIF } from './limits';
import type { Moment } from './moment';
import type { Standing } from './standing';

/** A way by which somebody comes to know, and seconds after it happened; no end: it may never be. */
export interface Route {
  by: 'company' | 'beacon' | 'radio' | 'phone' | 'check-in' | 'ashore';
  after: Band;
  says: Phrase;
  /** By a stand-in, which reaches nobody outside. */
  simulated?: true;
}

/** From where one calls. */
export interface Calling {
  /** What can still be seen, heard or received. */
  signals: readonly Signal[];
  /** Neither radio nor phone is answered. */
  silent: boolean;
  /** Boats in company do not see it happen: who fell in was not noticed. */
  unseen: boolean;
}

const CALL: Band = { low: WHATIF.limit('call-soon'), high: WHATIF.limit('call-late') },
  BEACON: Band = { low: WHATIF.limit('beacon-soon'), high: WHATIF.limit('beacon-late') };
const SEES = WHATIF.limit('company-sees'),
  BY_DAY = WHATIF.limit('company-late'),
  BY_LAMP = WHATIF.limit('company-dark');
const EVER = Infinity;
const maybe = ({ low }: Band): Band => ({ low, high: EVER });

/** Every way by which somebody may come to know, the soonest first. */
export function routesOf(standing: Standing, moment: Moment, calling: Calling): Route[] {
  const { signals, silent } = calling;
  const layers = new Map(
    layersOf(signals).map(({ layer, onBody, inReach, stowed }) => [
      layer.id,
      [...onBody, ...inReach, ...stowed],
    ]),
  );
  const layer = (id: (typeof LAYERS)[number]['id']) => layers.get(id) ?? [];
  const called = (by: 'radio' | 'phone'): Route[] => {
    const things = layer(by);
    if (things.length === 0) return [];
    const names = things.map(({ name }) => name);
    if (silent) return [{ by, after: { low: EVER, high: EVER }, says: phrase('know.silent', { names }) }];
    const heard = receptionOf(standing, by);
    const sure = heard === 'all' && things.some((thing) => thing.sure);
    const words = heard === 'none' ? 'know.call.none' : sure ? 'know.call.heard' : 'know.call';
    const after = heard === 'none' ? { low: EVER, high: EVER } : sure ? CALL : maybe(CALL);
    return [{ by, after, says: phrase(words, { names }) }];
  };
  const beacons = layer('beacon');
  const routes: Route[] = [
    ...companyRoute(standing, moment, calling, [...layer('sound'), ...layer('light'), ...layer('flare')]),
    ...(beacons.length > 0
      ? [
          {
            by: 'beacon' as const,
            after: beacons.some(({ sure }) => sure) ? BEACON : maybe(BEACON),
            says: phrase(beacons.some(({ sure }) => sure) ? 'know.beacon' : 'know.beacon.open', {
              names: beacons.map(({ name }) => name),
            }),
          },
        ]
      : []),
    ...called('radio'),
    ...called('phone'),
    ...ashoreRoutes(standing, moment.at),
  ];
  return routes.sort((a, b) => a.after.low - b.after.low || a.after.high - b.after.high);
}

/** Where a call is said to get through, by somebody and on a day; a guess is no answer. */
function receptionOf({ context: { water } }: Standing, by: 'radio' | 'phone'): WaterHelp['radio'] {
  const help = water?.help;
  return help?.on !== undefined && !guessed(water, `/help/${by}`) ? help[by] : undefined;
}

/** Boats that go together: by day and in clear air they miss each other soon; else as far as a light or a noise tells. */
function companyRoute(
  { context: { crewed } }: Standing,
  { dark, weather }: Moment,
  { unseen }: Calling,
  tells: readonly Signal[],
): Route[] {
  const others = crewed.slice(1).filter(({ people }) => people.length > 0);
  if (others.length === 0) return [];
  const names = others.map(({ boat }) => boat.name);
  const clear = !dark && weather?.visibility !== undefined && weather.visibility >= SEES;
  const told = tells.some(({ sure }) => sure);
  const until = clear ? BY_DAY : BY_LAMP;
  const after: Band = { low: 0, high: !unseen && (clear || told) ? until : EVER };
  const words = after.high === EVER ? 'know.company.open' : clear ? 'know.company' : 'know.company.dark';
  return [{ by: 'company', after, says: phrase(words, { names }) }];
}

type Told = Pick<PlanTimes, 'overdue' | 'alarm' | 'checkIns'>;

/** Who is told ashore, at which hours, and whether they said that they would act. */
function ashoreRoutes({ context, assessment, refiled }: Standing, at: number): Route[] {
  const { plan, trip, shed, channels } = context;
  const filed = plan && isOpen(plan.state) ? plan : undefined;
  const names = filed
    ? filed.contacts.filter(({ declined, withdrawn }) => !declined && !withdrawn).map(({ name }) => name)
    : trip.contacts.flatMap((id) => shed.contacts.find((contact) => contact.id === id)?.name ?? []);
  if (names.length === 0) return [{ by: 'ashore', after: NEVER, says: phrase('know.ashore.nobody') }];
  const times: Partial<Told> | undefined = (refiled ? undefined : filed?.times) ?? assessment.schedule;
  const { overdue, alarm = overdue } = times ?? {};
  if (overdue === undefined || alarm === undefined)
    return [{ by: 'ashore', after: NEVER, says: phrase('know.ashore.hours') }];
  const sure = !filed || filed.contacts.some(({ accepted, declined }) => accepted && !declined);
  const sends = leaves(channels, filed?.channel);
  const band = (from: number, until: number): Band => {
    const after = (instant: number) => Math.max(0, (instant - at) / MS.second);
    return { low: after(from), high: sure && sends !== 'nothing' ? after(until) : EVER };
  };
  const standIn = sends === 'simulated' ? { simulated: true as const } : {};
  const words = sends === 'nothing' ? '.nothing' : sends === 'simulated' ? '.simulated' : '';
  const coming = times?.checkIns?.filter((promised) => promised > at) ?? [];
  const [next] = coming;
  // Whoever checked in early has kept the next one already: at the worst the one after it tells.
  const early = next !== undefined && next - at < ((trip.checkInMinutes ?? 0) * MS.minute) / 2;
  const sureOf = early ? coming[1] : next;
  const late = next === undefined ? undefined : next + CHECK_IN_GRACE;
  const latest = sureOf === undefined ? alarm : sureOf + CHECK_IN_GRACE + ACTS;
  return [
    // A check-in that is missed tells at the next one only.
    ...(late !== undefined && late < overdue
      ? [
          {
            by: 'check-in' as const,
            after: band(late, latest),
            says: phrase(`know.check-in${words}`, { names, at: late }),
            ...standIn,
          },
        ]
      : []),
    {
      by: 'ashore',
      after: band(overdue, alarm),
      says: phrase(filed && !sure ? 'know.ashore.waiting' : `know.ashore${words}`, { names, overdue, alarm }),
      ...standIn,
    },
  ];
}
const NEVER: Band = { low: EVER, high: EVER };
const ACTS = CALL.high * MS.second;

/** Does a message leave this machine? Where nobody said, by a real way. */
function leaves(
  channels: readonly Channel[] | undefined,
  filed: string | undefined,
): 'real' | 'simulated' | 'nothing' {
  if (filed === 'none') return 'nothing';
  if (filed === 'stand-in') return 'simulated';
  const ways = channels?.filter(({ name, failing }) => name !== 'push' && failing === undefined);
  if (!ways) return 'real';
  if (ways.length === 0) return 'nothing';
  return ways.every(({ simulated }) => simulated) ? 'simulated' : 'real';
}

/** When somebody first knows: as soon as any way may tell, at the latest by the surest of them. */
export const firstKnown = (routes: readonly Route[]): Band => ({
  low: Math.min(EVER, ...routes.map(({ after }) => after.low)),
  high: Math.min(EVER, ...routes.map(({ after }) => after.high)),
});

const GUESS = WHATIF.limit('guess-response');

/** How long help takes once somebody knows, as somebody said of this water, and when; else nothing is planned on. */
export function responseOf({ context: { water } }: Standing): (Band & { says: WaterHelp }) | undefined {
  const help = water?.help;
  if (help?.minutes === undefined || help.source === undefined || help.on === undefined) return undefined;
  const seconds = help.minutes * MINUTE;
  const off = guessed(water, '/help') || guessed(water, '/help/minutes') ? GUESS : 0;
  return { low: seconds * (1 - off), high: seconds * (1 + off), says: help };
}
