import { setImmediate as turn } from 'node:timers/promises';
import { MS } from '@escale/core/units';
import { deliver } from '../messages/deliver';
import { SLICE } from '../tries';
import type { GuardedClock } from './guard';
import { pulseOf, type Pulse } from './pulse';
import { writeState } from './state';
import { reopenEarly, setAsideLost, sweepDue, type Watching } from './sweep';
import { remindUnanswered } from './unanswered';
import { passOn } from './unreached';

/** How often the watch looks, and how often it writes down that it did. */
export const ROUND = MS.second;
const WRITTEN_EVERY = 15 * MS.second;
const NOTED = 4 * MS.second;
/** How often what waits is counted for whoever asks. */
const COUNTED_EVERY = 2 * MS.second;

export interface Watch {
  /** What the watch looks like from outside, as of the last count. */
  pulse(): Pulse;
  stop(): Promise<void>;
  /** Look now. Resolves when what is due at this moment has been dealt with and told. */
  kick(): Promise<void>;
}

const CHORES = { 'what came early': reopenEarly, 'what is due': sweepDue, 'what is lost': setAsideLost };

/** All that is due, slice by slice, told as it is swept; between slices others have their turn. One chore that fails keeps no other. */
export async function sweepAll(services: Watching, tell: () => void = () => undefined): Promise<void> {
  let failed: unknown;
  for (const [chore, work] of Object.entries(CHORES))
    try {
      for (let n = await work(services); n > 0; n = n < SLICE ? 0 : await work(services)) {
        tell();
        await turn();
      }
    } catch (error) {
      services.log.error({ err: error, chore }, 'a chore of the watch failed and will be tried again');
      failed = error;
    }
  if (failed !== undefined) throw failed;
}

async function tellAll(services: Watching): Promise<void> {
  for (;;) {
    const tried = await deliver(services);
    const reaches = services.channels.length > 0;
    const passed = reaches ? (await passOn(services)) + (await remindUnanswered(services)) : 0;
    if (tried < SLICE && passed === 0) return;
    await turn();
  }
}

/** One pass over everything, for whoever has the watch on call. */
export async function lookOnce(services: Watching): Promise<void> {
  await sweepAll(services);
  await tellAll(services);
}

/** Done one at a time: asked while it runs, it runs once more afterwards. */
function inTurn(work: () => Promise<void>): () => Promise<void> {
  let running: Promise<void> | undefined;
  let next: Promise<void> | undefined;
  return () => {
    if (!running) {
      running = work().finally(() => {
        running = undefined;
      });
      return running;
    }
    next ??= running.then(() => {
      next = undefined;
      return (running = work().finally(() => {
        running = undefined;
      }));
    });
    return next;
  };
}

/**
 * Sweep and tell until stopped. What fails is logged and tried again in the next round; a telephone that hangs does not keep
 * the sweep from its deadlines.
 * @param guard the clock that remembers what it saw, where it is the machine's
 * @param beat called after each round that went through
 */
export function watch(
  services: Watching,
  { guard, beat, every = ROUND }: { guard?: GuardedClock; beat?: () => void; every?: number } = {},
): Watch {
  const { log, clock } = services;
  let stopped = false;
  let pulse: Pulse = { began: performance.now(), counted: undefined, sweptAt: undefined };
  let sweptAt: number | undefined;
  let writtenAt = -Infinity,
    countedAt = -Infinity;
  const said = (what: string) => (error: unknown) => log.error({ err: error }, what);

  const tell = inTurn(() =>
    stopped ? Promise.resolve() : tellAll(services).catch(said('messages could not be carried out')),
  );
  // A clock that is set by hand is written down when it was set: after a restart it goes on from there.
  let written = NaN;
  const write = async () => {
    const remembered = guard?.remember() ?? { seenAt: clock.now(), leap: 0 };
    const due = guard
      ? performance.now() - writtenAt >= WRITTEN_EVERY
      : Math.abs(remembered.seenAt - written) >= NOTED;
    if (!(due || Number.isNaN(written))) return;
    await writeState(services.db, remembered);
    written = remembered.seenAt;
    writtenAt = performance.now();
  };
  const round = inTurn(async () => {
    if (stopped) return;
    try {
      await sweepAll(services, () => void tell());
      sweptAt = performance.now();
      beat?.();
      await write();
    } catch (error) {
      said('a round of the watch did not go through and will be tried again')(error);
    }
  });
  const count = inTurn(async () => {
    if (stopped || performance.now() - countedAt < COUNTED_EVERY) return;
    countedAt = performance.now();
    try {
      pulse = { ...pulse, counted: { at: performance.now(), ...(await pulseOf(services, clock.now())) } };
    } catch (error) {
      said('what waits could not be counted')(error);
    }
  });
  const timer = setInterval(() => {
    void round().then(tell).then(count);
  }, every);
  return {
    pulse: () => ({ ...pulse, sweptAt }),
    stop: async () => {
      stopped = true;
      clearInterval(timer);
      await round();
      await tell();
      await count();
    },
    kick: async () => {
      await round();
      await tell();
    },
  };
}
