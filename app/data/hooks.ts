import { useEffect, useMemo, useRef, useSyncExternalStore } from 'react';
import useSWR, { mutate, preload } from 'swr';
import { civilDate } from '@escale/core/earth';
import {
  type Aside,
  Conditions,
  evolve,
  FIRST,
  type MessageView,
  type PlanView,
  type RemovedThing,
  type ThingType,
  type Trip,
  type Channel,
  type KeptPlan,
  type WatchHealth,
} from '@escale/core/model';
import { ask, askAgain, doorShut, NoSignal, onDoor } from './api';
import { deviceId, flush, settle } from './outbox';
import {
  forget,
  keep,
  keepingNow,
  keepStore,
  kept,
  onKeeping,
  outbox,
  setSetting,
  setting,
  type Queued,
} from './store';
import { isLive, listen, onLive } from './stream';
import { hereOf, readThings, shedOf, type Held, type Here } from './things';

/** The one place in which screens are given data. Reads come from the server, and from this device's store when there is no signal. */

export interface Answer<T> {
  body: T;
  /** No signal: this is what the device had, from then (epoch ms). */ since?: number;
}

const THINGS = '/api/things';

/** What of each path lies in this device's store already. */
const stored = new Map<string, unknown>();

async function read(path: string): Promise<Answer<unknown>> {
  try {
    const body = await askAgain(path === THINGS ? `${THINGS}?device=${await deviceId()}` : path);
    if (stored.get(path) !== body) {
      await keep(path, body);
      stored.set(path, body);
    }
    return { body };
  } catch (error) {
    if (!(error instanceof NoSignal)) throw error;
    const old = await kept(path);
    if (!old) throw error;
    return { body: old.body, since: old.at };
  }
}

/**
 * Asks for what nearly every page reads before a page is there that reads it, and for the weather of the trip whose page is
 * opened, so that such a page is drawn once and whole.
 */
export function readAhead(trip: string | undefined): void {
  ahead('outbox', outbox);
  ahead(PLANS, read);
  ahead(THINGS, read, ({ body }) => {
    const held = readThings(body as object).things.find(({ id }) => id === trip);
    if (held?.type === 'trip') ahead(conditionsOf(held.id, (held.doc as Trip).leave.date), read);
  });
}

function ahead<T>(key: string, from: (key: string) => Promise<T>, then?: (answer: T) => void): void {
  preload(key, from).then(
    (answer) => {
      void mutate(key, answer, { revalidate: false });
      then?.(answer);
    },
    // Whoever reads it hears that there was no answer; here it is nobody's yet.
    () => undefined,
  );
}
const PLANS = '/api/plans';
const conditionsOf = (trip: string, date: string) => `/api/conditions/${trip}?date=${date}`;

/** What another device of the household may change is asked for this often, ms; the weather is a matter of hours. */
const OFTEN = 4000,
  NOW_AND_THEN = 30_000;

/** @param every how often it is asked for again, ms; 0 where somebody else does that */
function useRead<T>(path: string | null, every = OFTEN) {
  const swr = useSWR<Answer<unknown>, Error>(path, read, {
    refreshInterval: every,
    keepPreviousData: true,
    shouldRetryOnError: true,
    errorRetryInterval: 5000,
  });
  return { answer: swr.data as Answer<T> | undefined, error: swr.error, again: () => void swr.mutate() };
}

const NOTHING: Queued[] = [];
const useQueue = (): Queued[] => useSWR('outbox', outbox, { refreshInterval: 0 }).data ?? NOTHING;

/** What waits to be sent, or was refused. */
export function useOutbox(): Queued[] {
  const queue = useQueue();
  return useMemo(() => queue.filter((s) => !s.sent), [queue]);
}

/** Is this browser kept out by the server? */
export const useDoorShut = () => useSyncExternalStore(onDoor, doorShut);

/** Does this device keep what is written on it? */
export const useKeeping = () => useSyncExternalStore(onKeeping, keepingNow);

const NONE_HERE: Here = { things: [], ...shedOf([]) };

/** Everything the household owns and plans, with what waits in the outbox already done. */
export function useThings() {
  const { answer, error, again } = useRead<object>(THINGS, 0);
  const queue = useQueue();
  const base = answer && readThings(answer.body);
  const { things, shed, trips } = base ? hereOf(base, queue) : NONE_HERE;
  return {
    ready: base !== undefined,
    error,
    again,
    things,
    shed,
    trips,
    unreadable: base?.unreadable ?? 0,
    offlineSince: answer?.since,
    served: base,
  };
}

export function useThing(id: string | undefined): Held | undefined {
  const { things } = useThings();
  return things.find((held) => held.id === id);
}

export function useKind<T extends ThingType>(type: T): Held<T>[] {
  const { things } = useThings();
  return useMemo(() => things.filter((held): held is Held<T> => held.type === type), [things, type]);
}

interface PlansPage {
  plans: PlanView[];
  /** Where the next page goes on, while there is one. */
  channels?: Channel[];
  next?: number;
}

/**
 * Plans, open ones first. Of a household with very many only the first page is read; whoever is after one plan, or those of one trip,
 * names it and has it whatever page it is on.
 */
export function usePlans(own: { trip?: string; id?: string } = {}): PlanView[] | undefined {
  const page = useRead<PlansPage>(PLANS, 0).answer?.body;
  const beyond = page?.next !== undefined;
  const ofTrip = useRead<PlansPage>(beyond && own.trip ? `${PLANS}?trip=${own.trip}` : null).answer;
  const one = useRead<PlanView>(beyond && own.id ? `${PLANS}/${own.id}` : null).answer;
  return useMemo(() => {
    const named = [...(ofTrip?.body.plans ?? []), ...(one ? [one.body] : [])];
    if (!page || named.length === 0) return page?.plans;
    return [...page.plans.filter((p) => !named.some((n) => n.id === p.id)), ...named];
  }, [page, ofTrip, one]);
}

/** A page of the open plans of others that were shared with this household, the soonest first. */
export interface KeptPage {
  plans?: KeptPlan[];
  /** From where the next page goes on. */
  next?: number;
}
export const useKept = (from = 0): KeptPage | undefined =>
  useRead<KeptPage>(from > 0 ? `/api/kept?from=${from}` : '/api/kept').answer?.body;

/** A page of plans; the first is the one that all read. */
export function usePlansPage(from = 0): PlansPage | undefined {
  const first = useRead<PlansPage>(PLANS, 0).answer?.body;
  const later = useRead<PlansPage>(from > 0 ? `${PLANS}?from=${from}` : null).answer?.body;
  return from > 0 ? later : first;
}

/** How the watch on the server is, and what it set aside: the household sees what somebody who looks after it would be called for. */
export type HealthSeen = WatchHealth & { aside: Aside[]; channels?: Channel[] };

export function useHealth(): { health: HealthSeen | undefined; again: () => Promise<void> } {
  const { answer, again } = useRead<HealthSeen>('/api/watch');
  // What was kept from before says nothing of how it is now.
  const health = answer && answer.since === undefined ? answer.body : undefined;
  return {
    health,
    again: async () => {
      await ask('/api/watch/again', {});
      again();
    },
  };
}

/** What was removed and can be put back. Undefined while it is asked for, and without signal: it is not kept here. */
export function useRemoved(): { removed: RemovedThing[] | undefined; again: () => void } {
  const { answer, again } = useRead<{ removed: RemovedThing[] }>('/api/removed', NOW_AND_THEN);
  return { removed: answer?.since === undefined ? answer?.body.removed : undefined, again };
}

/** What was erased on the server is forgotten here too: all that was kept beside what is read anew just now. */
async function forgetErased(erased: number): Promise<void> {
  if ((await setting(ERASED)) === erased) return;
  await forget([THINGS, PLANS]);
  stored.clear();
  await setSetting(ERASED, erased);
  await mutate((key) => typeof key === 'string' && key.startsWith('/') && key !== THINGS);
}
const ERASED = 'erased';

/** What was sent, of all plans or of one. */
export function useMessages(plan?: string): MessageView[] {
  const path = plan === undefined ? '/api/messages' : `/api/messages?plan=${plan}`;
  return useRead<{ messages: MessageView[] }>(path).answer?.body.messages ?? [];
}

/** By which ways messages leave the server, as far as it said so; the same object while nothing of it changes. */
export function useChannels(): Channel[] | undefined {
  const channels = useRead<PlansPage>(PLANS, 0).answer?.body.channels;
  const seen = channels && JSON.stringify(channels.map(({ worked: _worked, ...c }) => c));
  return useMemo(() => (seen === undefined ? undefined : (JSON.parse(seen) as Channel[])), [seen]);
}

export interface Calls {
  /** A simulated telephone is set up; without one no message leaves. */
  simulated: boolean;
  calls: { key: string; to: string; text: string; at: number }[];
}

export function useCalls(): Calls | undefined {
  return useRead<Calls>('/api/standins/telephone').answer?.body;
}

/** What charts are drawn over, where whoever runs the server set something. */
export type Backdrop =
  { kind: 'none' } | { kind: 'tiles'; url: string } | { kind: 'pmtiles'; url: string; name: string };
export const useBackdrop = (): Backdrop =>
  useRead<Backdrop>('/api/backdrop', 0).answer?.body ?? { kind: 'none' };

/** Weather for a trip's day. Undefined while it is asked for; `{}` when there is none. */
export function useConditions(trip: string | undefined, date: string | undefined): Conditions | undefined {
  return useWeather(trip && date ? conditionsOf(trip, date) : null);
}

function useWeather(path: string | null): Conditions | undefined {
  const { answer, error } = useRead<unknown>(path, NOW_AND_THEN);
  return useMemo(() => {
    if (!answer) return error ? {} : undefined;
    const parsed = Conditions.safeParse(answer.body);
    return parsed.success ? parsed.data : {};
  }, [answer, error]);
}

/** Weather for many days from one on. */
export const useDaysAhead = (trip: string, date: string, days: number): Conditions | undefined =>
  useWeather(`${conditionsOf(trip, date)}&days=${days}`);

interface Ticks {
  /** Absent in answers of before. */
  schema?: number;
  items: { item: string; at: number }[];
}

/** What is ticked on a list and when (epoch ms), with ticks that wait already counted. */
export function useTicks(list: string): ReadonlyMap<string, number> {
  const { answer } = useRead<Ticks>(`/api/ticks/${encodeURIComponent(list)}`);
  const waiting = useOutbox();
  return useMemo(() => {
    const { items } = answer ? evolve('ticks', answer.body, answer.body.schema ?? FIRST) : { items: [] };
    const ticked = new Map(items.map(({ item, at }) => [item, at]));
    for (const { path, body } of waiting) {
      if (path !== '/api/ticks') continue;
      const t = body as { list: string; item: string; on: boolean; at: string };
      if (t.list !== list) continue;
      if (t.on) ticked.set(t.item, Date.parse(t.at));
      else ticked.delete(t.item);
    }
    return ticked;
  }, [answer, waiting, list]);
}

/** All that is read of plans: their pages, one of them, what was sent. */
const isOfPlans = (key: unknown) => typeof key === 'string' && /^\/api\/(plans|messages)/.test(key);

/** Things on the server are read again and the outbox is sent: at the start, when the signal is back, and now and then. */
export function useSending(): void {
  // One asks for all: things and plans stand on every page in a dozen parts.
  const every = useSyncExternalStore(onLive, isLive) ? NOW_AND_THEN : OFTEN;
  useRead(THINGS, every);
  useRead(PLANS, every);
  useEffect(() => listen((about) => void mutate(about === 'plans' ? isOfPlans : THINGS)), []);
  const { served, offlineSince } = useThings();
  useEffect(() => {
    if (served && offlineSince === undefined) void settle(served.done);
  }, [served, offlineSince]);
  useKeptPhotos();
  const erased = offlineSince === undefined ? served?.erased : undefined;
  useEffect(() => {
    if (erased) forgetErased(erased).catch((error: unknown) => console.warn('kept answers stay:', error));
  }, [erased]);
  useEffect(() => {
    const go = () => void flush(true).then(() => mutate(THINGS));
    go();
    void keepStore();
    const timer = setInterval(() => void flush(), OFTEN);
    window.addEventListener('online', go);
    const leave = onDoor(() => {
      if (!doorShut()) go();
    });
    return () => {
      clearInterval(timer);
      leave();
      window.removeEventListener('online', go);
    };
  }, []);
}

/** Photos that things name lie on this device too; what reads them is loaded where there are any. */
function useKeptPhotos(): void {
  const { ready, things, offlineSince } = useThings();
  const named = things
    .flatMap(({ doc }) => Object.keys((doc as { photos?: object }).photos ?? {}))
    .sort()
    .join(' ');
  const had = useRef('');
  useEffect(() => {
    if (!ready || offlineSince !== undefined || named === had.current) return;
    had.current = named;
    import('./photos')
      .then(({ keepPhotos }) => keepPhotos(named === '' ? [] : named.split(' ')))
      .catch((error: unknown) => console.warn('photos are not kept here yet:', error));
  }, [ready, named, offlineSince]);
}

let seconds = Date.now();
const listeners = new Set<() => void>();
let ticking: ReturnType<typeof setInterval> | undefined;
function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  ticking ??= setInterval(() => {
    seconds = Date.now();
    for (const each of listeners) each();
  }, 1000);
  return () => {
    listeners.delete(listener);
    if (listeners.size === 0) {
      clearInterval(ticking);
      ticking = undefined;
    }
  };
}

/** Now, by the second, epoch ms. Where the server keeps a simulated time, that time (as of the last answer). */
export function useNow(step = 1000): number {
  const { served } = useThings();
  const own = useSyncExternalStore(subscribe, () => Math.floor(seconds / step) * step);
  return served?.simulated ? (served.now ?? own) : own;
}

/** Today by the calendar of whoever holds this device, as a civil date: for what they do and note, never for a limit of a trip. */
export const useToday = () => civilDate(useNow(MINUTE), Intl.DateTimeFormat().resolvedOptions().timeZone);
const MINUTE = 60_000;
