import { Bundle, unkeepable } from '../model';
import { faultsOf, grown, readJson } from './json';
import { checkPack } from './pack';

/** Largest bundle that is read: a shed of thousands of things is under a tenth of it. */
export const MOST_BYTES = 100_000_000;

export type BundleResult = { ok: true; bundle: Bundle } | { ok: false; faults: string[] };

/**
 * Read a bundle from text. Nothing is taken from a file with a fault: the answer is the whole bundle or a list of what is
 * wrong and where (JSON pointer and a sentence).
 */
export function readBundle(text: string): BundleResult {
  const read = readJson(text, MOST_BYTES);
  return read.ok ? checkBundle(read.value) : read;
}

/** The same for what is already parsed. */
export function checkBundle(raw: unknown): BundleResult {
  if (typeof raw !== 'object' || raw === null || (raw as { escale?: unknown }).escale !== 'bundle')
    return { ok: false, faults: ['This is no Escale bundle: it lacks "escale": "bundle".'] };
  const fault = unkeepable(raw);
  if (fault) return { ok: false, faults: [`Something in it ${fault}.`] };
  const read = grown('bundle', raw);
  if (!read.ok) return read;
  const result = Bundle.safeParse(read.value);
  if (!result.success) return { ok: false, faults: faultsOf(result.error) };
  const faults = [...duplicateIds(result.data), ...packsFaults(result.data)];
  return faults.length > 0 ? { ok: false, faults } : { ok: true, bundle: result.data };
}

/** Packs of one's own pass the same gate whichever way they come in. */
function packsFaults({ shed }: Bundle): string[] {
  return shed.packs.flatMap(({ pack }, i) => {
    const read = checkPack(pack);
    return read.ok
      ? []
      : read.faults.map((fault) => `/shed/packs/${i}/pack${fault.startsWith('/') ? '' : ' '}${fault}`);
  });
}

function duplicateIds(bundle: Bundle): string[] {
  const seen = new Set<string>();
  const twice: string[] = [];
  for (const { id } of [...Object.values(bundle.shed).flat(), ...bundle.trips]) {
    if (seen.has(id)) twice.push(`two things have the id ${id}`);
    seen.add(id);
  }
  return twice;
}

/** A bundle as text, two spaces deep so that a person can read it and a diff stays small. */
export function writeBundle(bundle: Bundle): string {
  return `${JSON.stringify(bundle, null, 2)}\n`;
}
