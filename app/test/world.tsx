import type { ReactNode } from 'react';
import { configure, render } from '@testing-library/react';
import { mutate, SWRConfig } from 'swr';
import { applyPatch } from '@escale/core/formats/pointer';
import { demoBundle } from '@escale/core/formats';
import {
  SHELF,
  type Aside,
  type Channel,
  type Merged,
  type MessageView,
  type PlanRecord,
  type PlanView,
  type RemovedThing,
  type ThingType,
} from '@escale/core/model';
import { UndoProvider } from '../features/mishap/undo';
import { TripContext, useTripView } from '../features/trip/use-trip';
import { Themed } from '../ui/theme';
import type { ThemeName } from '../ui/tokens';
import { fetchProcedures } from '../data/procedures';
import { dequeue, outbox } from '../data/store';
import { readThings, type Command, type Held } from '../data/things';

// The first render of a screen is slow where every module is transformed.
configure({ asyncUtilTimeout: 20_000 });

export const NOW = Date.UTC(2026, 4, 11, 15);
export const TRIP = '01890000-0000-7000-8000-000000000055';

const HOUSEHOLD = '01890000-0000-7000-8000-00000000ffff';
const NOT_IN = { status: 401, title: 'This browser has not been let in.' };

/** A server in a few lines behind `fetch`: it keeps things and ticks, and can be switched off. */
export function fakeServer() {
  const bundle = demoBundle(NOW);
  const things: Held[] = [
    ...(Object.entries(SHELF) as [ThingType, keyof typeof bundle.shed][]).flatMap(([type, shelf]) =>
      bundle.shed[shelf].map((doc) => ({ id: doc.id, type, version: 1, deleted: false, doc }) as Held),
    ),
    ...bundle.trips.map((doc) => ({ id: doc.id, type: 'trip', version: 1, deleted: false, doc }) as Held),
  ];
  const server = {
    up: true,
    /** Its clock stands still until it is set, epoch ms. */
    now: NOW,
    refuse: undefined as { status: number; title?: string; current?: { version: number } } | undefined,
    /** Lets another browser in. */
    address: 'http://localhost:4280/enter/a-code-that-is-used-once',
    removed: [] as RemovedThing[],
    /** Which browsers are in. */
    devices: [] as { id: string; name: string; since: number; seen: number; here?: boolean }[],
    messages: [] as MessageView[],
    /** The chain of a plan, and where somebody may have drifted. */
    record: { links: [] } as PlanRecord,
    drift: { says: [], pictures: [] } as object,
    channels: undefined as Channel[] | undefined,
    /** How many things were erased for good. */
    erased: 0,
    /** Nobody let this browser in. */
    shut: false,
    /** Something that is not our server answers writes with this, and keeps nothing of them. */
    merged: undefined as Merged | undefined,
    odd: undefined as { answer: unknown } | undefined,
    sent: [] as { path: string; body: unknown }[],
    things,
    plans: [] as PlanView[],
    /** What a file would change. */
    changes: [] as object[],
    /** Those on the second page. */
    later: [] as PlanView[],
    ticks: new Map<string, number>(),
    health: {
      ok: true,
      red: [] as string[],
      now: NOW,
      lastSweep: 1000,
      setAside: 0,
      clock: { standing: 'steady', off: 0 },
      aside: [] as Aside[],
    },
  };
  const hours = Array.from({ length: 240 }, (_, i) => ({
    at: new Date(Date.UTC(2026, 4, 8) + i * 36e5).toISOString(),
    wind: 4,
    gust: 6,
    from: 220,
    air: 15,
    water: 13.4,
    visibility: 20_000,
  }));
  const done = ({ thing: id, type, deed }: Command) => {
    const held = things.find((h) => h.id === id);
    if (deed.kind === 'create' && held)
      Object.assign(held, {
        doc: held.deleted ? deed.doc : held.doc,
        deleted: false,
        version: held.version + 1,
      });
    else if (deed.kind === 'create')
      things.push({ id, type, version: 1, deleted: false, doc: deed.doc } as unknown as Held);
    else if (held && deed.kind === 'patch')
      Object.assign(held, { doc: applyPatch(held.doc, deed.patch), version: held.version + 1 });
    else if (held) Object.assign(held, { deleted: deed.kind === 'remove', version: held.version + 1 });
  };
  /** What our server says to a write that it took. */
  const answered = (path: string, body: unknown): unknown => {
    if (server.odd) return server.odd.answer;
    if (path === '/api/commands') {
      const { thing } = body as Command;
      const { version } = things.find((h) => h.id === thing) ?? { version: 1 };
      return { id: thing, version, ...(server.merged ? { merged: server.merged } : {}) };
    }
    if (path === '/api/ticks') return body;
    if (path === '/api/erase') {
      server.erased += 1;
      server.removed = server.removed.filter((one) => one.id !== (body as { thing: string }).thing);
      return {};
    }
    if (path === '/api/door/address') return { address: server.address, reaches: false };
    if (path.endsWith('/link')) return { url: 'https://plans.example/c/abc', reaches: true };
    if (path === '/api/guests') return { url: 'https://plans.example/g/abc', until: NOW, reaches: true };
    if (path === '/api/import/preview') return { changes: server.changes };
    if (path === '/api/import') return { added: 0, changed: 0, same: 0 };
    return { id: /plans\/([^/]+)/.exec(path)?.[1] ?? (body as { id: string }).id, state: 'filed' };
  };
  const answer = (path: string, body: unknown): unknown => {
    if (body !== undefined) {
      server.sent.push({ path, body });
      if (path === '/api/commands') done(body as Command);
      if (path === '/api/ticks') {
        const { item, at } = body as { item: string; at: string };
        server.ticks.set(item, Date.parse(at));
      }
      return answered(path, body);
    }
    if (path.startsWith('/api/things'))
      return {
        now: server.now,
        simulated: true,
        ...(server.erased > 0 ? { erased: server.erased } : {}),
        done: server.sent.filter((s) => s.path === '/api/commands').map((s) => (s.body as { id: string }).id),
        things: things.filter((h) => !h.deleted),
      };
    if (path.startsWith('/api/conditions'))
      return { forecast: { issuedAt: new Date(NOW - 3 * 36e5).toISOString(), source: 'test', hours } };
    if (path === '/api/plans')
      return {
        plans: server.plans,
        ...(server.channels ? { channels: server.channels } : {}),
        ...(server.later.length > 0 ? { next: server.plans.length } : {}),
      };
    if (path.startsWith('/api/plans?from=')) return { plans: server.later };
    if (path.startsWith('/api/ticks'))
      return { items: [...server.ticks].map(([item, at]) => ({ item, at })) };
    if (path === '/api/watch') return server.health;
    if (path === '/api/removed') return { removed: server.removed };
    if (path === '/api/door/devices') return { devices: server.devices };
    if (path === '/api/household') return { id: HOUSEHOLD, name: 'Household' };
    if (path === '/api/push') return {};
    if (path.endsWith('/record')) return server.record;
    if (path.endsWith('/drift')) return server.drift;
    return path.startsWith('/api/messages') ? { messages: server.messages } : { simulated: true, calls: [] };
  };
  globalThis.fetch = ((path: string, init?: { body?: string }) => {
    if (!server.up) return Promise.reject(new TypeError('no signal'));
    const refuse = server.shut ? NOT_IN : init?.body === undefined ? undefined : server.refuse;
    const body = JSON.stringify(
      refuse ?? answer(path, init?.body === undefined ? undefined : JSON.parse(init.body)),
    );
    return Promise.resolve({
      ok: !refuse,
      status: refuse?.status ?? 200,
      headers: new Headers(),
      text: () => Promise.resolve(body),
    });
  }) as unknown as typeof fetch;
  return server;
}

/** The demo's first trip as this server has it. */
export const tripOf = (server: Pick<ReturnType<typeof fakeServer>, 'things'>) =>
  readThings({ now: NOW, simulated: true, done: [], things: server.things }).things.find(
    (h) => h.id === TRIP,
  ) as Held<'trip'>;

/** A server of its own for each test, with nothing left over from the one before: no write waiting, nothing cached, nothing on its way. */
export async function fresh() {
  await fetchProcedures();
  for (const sending of await outbox()) await dequeue(sending.key);
  await new Promise((settled) => setTimeout(settled, 20));
  // Revalidating, it also forgets what is still asked: a screen that joined such a request would wait for an answer thrown away.
  await mutate(() => true, undefined);
  return fakeServer();
}

function OneTrip({ id, children }: { id: string; children: ReactNode }) {
  const view = useTripView(id);
  return typeof view === 'string' ? (
    <>{view}</>
  ) : (
    <TripContext.Provider value={view}>{children}</TripContext.Provider>
  );
}

/** A screen with its providers; of a trip where `trip` is given. */
export function show(screen: ReactNode, { trip, theme = 'day' }: { trip?: string; theme?: ThemeName } = {}) {
  return render(
    <SWRConfig value={{ dedupingInterval: 0 }}>
      <Themed theme={theme}>
        <UndoProvider>{trip ? <OneTrip id={trip}>{screen}</OneTrip> : screen}</UndoProvider>
      </Themed>
    </SWRConfig>,
  );
}
