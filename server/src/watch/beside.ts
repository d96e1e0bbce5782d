import { fork, type ChildProcess } from 'node:child_process';
import type { Logger } from 'pino';
import { MS } from '@escale/core/units';
import type { Counted, Pulse } from './pulse';
import type { Watch } from './watcher';

/** What goes to a watch in a process of its own. */
export type ToWatch =
  { kick: number } | { heard: { device: string; shows: number; sameMachine: boolean } } | { set: number };

/** What comes from it: an answer to a kick, or how it is. Ages, ms: two processes count from different starts. */
export type FromWatch = { kicked: number } | { sweptAgo?: number; counted?: Counted & { ago: number } };

/** Says which part a process plays; without it one plays all. */
export const ROLE = 'ESCALE_ROLE';
const WATCH = 'watch';
export const isWatchProcess = (env: NodeJS.ProcessEnv) => env[ROLE] === WATCH;

/** How long before one that ended is started again, and how long a kick is waited for. */
const AGAIN = MS.second;
const KICK = 10 * MS.second;

export interface WatchBeside extends Watch {
  heard(device: string, shows: number, sameMachine: boolean): void;
  set(at: number): void;
}

/**
 * The watch in a process of its own, where the database lets several in: nothing that a request does can stop it, and one that
 * ends is started again.
 */
export function watchBeside(log: Logger, program = process.argv[1]): WatchBeside {
  let child: ChildProcess | undefined;
  let stopped = false;
  let pulse: Pulse = { began: performance.now(), counted: undefined, sweptAt: undefined };
  let kicks = 0;
  const waiting = new Map<number, () => void>();
  const tell = (what: ToWatch) => void (child?.connected && child.send(what, () => undefined));

  const start = () => {
    child = fork(program, { env: { ...process.env, [ROLE]: WATCH }, stdio: 'inherit' });
    child.on('message', (said: FromWatch) => {
      if ('kicked' in said) {
        waiting.get(said.kicked)?.();
        return;
      }
      const now = performance.now();
      const { sweptAgo, counted } = said;
      pulse = {
        ...pulse,
        sweptAt: sweptAgo === undefined ? undefined : now - sweptAgo,
        counted: counted && { ...counted, at: now - counted.ago },
      };
    });
    child.once('exit', (code) => {
      if (stopped) return;
      log.error({ code }, 'the watch ended and is started again');
      setTimeout(() => stopped || start(), AGAIN);
    });
  };
  start();

  return {
    pulse: () => pulse,
    heard: (device, shows, sameMachine) => tell({ heard: { device, shows, sameMachine } }),
    set: (at) => tell({ set: at }),
    kick: () =>
      new Promise<void>((done) => {
        const id = (kicks += 1);
        const over = () => {
          clearTimeout(patience);
          waiting.delete(id);
          done();
        };
        // What is due is dealt with in the next round in any case.
        const patience = setTimeout(over, KICK);
        waiting.set(id, over);
        tell({ kick: id });
      }),
    stop: async () => {
      stopped = true;
      // One that ended, and waits to be started again, ends no second time.
      if (!child || child.exitCode !== null || child.signalCode !== null) return;
      const gone = new Promise((done) => child?.once('exit', done));
      child.kill('SIGTERM');
      await gone;
    },
  };
}

/** The other end: answers, and says how it is each second until it is told to stop or its parent is gone. */
export function answerBeside(
  watch: Watch,
  on: { heard: (device: string, shows: number, sameMachine: boolean) => void; set: (at: number) => void },
  stop: () => void,
): void {
  const send = (what: FromWatch) => void (process.connected && process.send?.(what));
  process.on('message', (asked: ToWatch) => {
    if ('kick' in asked) void watch.kick().then(() => send({ kicked: asked.kick }));
    else if ('set' in asked) on.set(asked.set);
    else on.heard(asked.heard.device, asked.heard.shows, asked.heard.sameMachine);
  });
  process.on('disconnect', stop);
  if (!process.connected) stop();
  setInterval(() => {
    const { sweptAt, counted } = watch.pulse();
    const now = performance.now();
    send({
      ...(sweptAt === undefined ? {} : { sweptAgo: now - sweptAt }),
      ...(counted ? { counted: { ...counted, ago: now - counted.at } } : {}),
    });
  }, MS.second).unref();
}
