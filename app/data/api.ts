/** What the server answers when it will not: problem+json. */
export class Refusal extends Error {
  constructor(readonly status: number, readonly title: string, readonly faults: string[], readonly more: Record<string, unknown> = {}) {
    super(title);
  }
}

/** The server can't be reached. A state, not an error. */
export class NoSignal extends Error {}

/** How long an answer may take before the page goes on with what it has, ms. */
const PATIENCE = 12_000;
/** Answers of a proxy or a server that is going down: it is as if there were none. */
const GONE = new Set([502, 503, 504]);

/**
 * Ask the server for JSON.
 * @throws NoSignal when it can't be reached, Refusal when it says no
 */
export async function ask(path: string, body?: unknown): Promise<unknown> {
  let answer: Response;
  try {
    answer = await fetch(path, { ...(body === undefined ? {} : { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }), signal: AbortSignal.timeout(PATIENCE) });
  } catch (error) {
    throw new NoSignal('The server can’t be reached.', { cause: error });
  }
  if (GONE.has(answer.status)) throw new NoSignal('The server can’t be reached.');
  const text = await answer.text();
  let json: unknown;
  try {
    json = text === '' ? undefined : JSON.parse(text);
  } catch (error) {
    throw new NoSignal('Something that is not our server answered.', { cause: error });
  }
  if (answer.ok) return json;
  const { title, faults, ...more } = (json ?? {}) as { title?: string; faults?: string[] };
  throw new Refusal(answer.status, title ?? `The server answered ${answer.status}.`, faults ?? [], more);
}
