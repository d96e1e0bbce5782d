import type { ProcedureRow } from '@escale/core/model';

let rows: readonly ProcedureRow[] | undefined;

/** All steps of all situations, fetched once, beside the first page that reads any. */
export async function fetchProcedures(): Promise<void> {
  rows ??= (await import('@escale/core/procedure/library')).PROCEDURES;
}

/** A part of a page that reads them: both are fetched side by side. */
export const withProcedures = async <T>(part: Promise<T>): Promise<T> => {
  const [here] = await Promise.all([part, fetchProcedures()]);
  return here;
};

/**
 * The procedures, in the order in which they are offered.
 * @throws Error where a page reads them that did not say so when it was fetched
 */
export function procedures(): readonly ProcedureRow[] {
  if (!rows) throw new Error('the procedures are not here yet: fetch the page withProcedures');
  return rows;
}
