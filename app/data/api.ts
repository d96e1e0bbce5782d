import { inDemo, MEMORY } from './memory';
import { watched } from './watched';

/** What the server answers when it will not: problem+json. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly faults: string[],
    readonly more: Record<string, unknown> = {},
  ) {
    super(title);
  }
}

/** The server can't be reached. A state, not an error. */
export class NoSignal extends Error {}

/** How long an answer may take before the page goes on with what it has, ms. The demo is laid out when it is first asked for. */
const PATIENCE = inDemo ? 60_000 : 12_000;
/** Answers of a proxy or a server that is going down: it is as if there were none. */
const GONE = new Set([502, 503, 504]);
/** Answers below 500 that say “not now” and nothing of what was asked. */
const NOT_NOW = new Set([408, 425, 429]);
const FAILED = 500;

/** It was answered, and the answer settles nothing: what was asked may go through later. */
export class NotNow extends NoSignal {}

/** The server answers, and this browser was not let in: what was written waits, and what is kept here is shown. */
export class AtTheDoor extends NoSignal {}

/** Is this browser kept out by the server? */
const door = watched(false);
export const doorShut = door.now;
export const onDoor = door.on;
const NOT_IN = 401;

let device: string | undefined;
/** Each request says which device asks, so that its own writes are known for them. */
export function askAs(id: string): void {
  device = id;
}

/**
 * Ask the server for JSON.
 * @throws NoSignal when it can't be reached, AtTheDoor when this browser was not let in, NotNow when what answered settles
 *   nothing, Refusal when it clearly says no
 */
export async function ask(path: string, body?: unknown): Promise<unknown> {
  const write = {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  };
  return jsonOf(await reach(path, body === undefined ? {} : write));
}

/**
 * Fetch a file that the server makes.
 * @throws as `ask` does
 */
export async function askFile(path: string): Promise<Blob> {
  const answer = await reach(path, {});
  if (!answer.ok) await jsonOf(answer);
  return answer.blob();
}

/** The last answer to each path that is read again and again, and the mark by which the server knows it. */
const last = new Map<string, { mark: string; body: unknown }>();
const NOT_MODIFIED = 304;

/**
 * Read again what may not have changed: where it has not, the very object of the last answer comes back, so that nothing is
 * parsed, stored or reckoned anew.
 * @throws as `ask` does
 */
export async function askAgain(path: string): Promise<unknown> {
  const known = last.get(path);
  const answer = await reach(path, known ? { headers: { 'If-None-Match': known.mark } } : {});
  if (known && answer.status === NOT_MODIFIED) {
    door.set(false);
    return known.body;
  }
  const body = await jsonOf(answer);
  const mark = answer.headers.get('ETag');
  if (mark) last.set(path, { mark, body });
  return body;
}

async function reach(
  path: string,
  init: RequestInit & { headers?: Record<string, string> },
): Promise<Response> {
  let answer: Response;
  try {
    answer = await fetch(path, {
      ...init,
      headers: {
        ...init.headers,
        ...MEMORY,
        // The watch asks devices for the time when its own clock has leapt.
        'X-Escale-Clock': String(Date.now()),
        ...(device ? { 'X-Escale-Device': device } : {}),
      },
      signal: AbortSignal.timeout(PATIENCE),
    });
  } catch (error) {
    throw new NoSignal('The server can’t be reached.', { cause: error });
  }
  if (GONE.has(answer.status)) throw new NoSignal('The server can’t be reached.');
  return answer;
}

async function jsonOf(answer: Response): Promise<unknown> {
  let json: unknown;
  try {
    const text = await answer.text();
    json = text === '' ? undefined : JSON.parse(text);
  } catch (error) {
    throw new NotNow('Something that is not our server answered, or its answer was cut.', { cause: error });
  }
  if (answer.ok) {
    door.set(false);
    return json;
  }
  const { title, faults, ...more } = (json ?? {}) as { title?: unknown; faults?: string[] };
  if (answer.status === NOT_IN && typeof title === 'string') {
    door.set(true);
    throw new AtTheDoor(title);
  }
  // Only our own words say no: a proxy, a server in trouble, one that has too much to do, say nothing of what was asked.
  if (answer.status >= FAILED || NOT_NOW.has(answer.status) || typeof title !== 'string')
    throw new NotNow(`The server answered ${answer.status}.`);
  throw new Refusal(answer.status, title, faults ?? [], more);
}
