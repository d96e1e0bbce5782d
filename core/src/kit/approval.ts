import approvals from '../../data/kit/approvals.json';

/** What a label says of approval: by whom, that there is none, or nothing that can be read. */
export type Approval = { by: string[] } | 'denied' | 'unsaid' | 'unread';

const compiled = approvals.authorities.map(({ id, label }) => ({ id, label: new RegExp(label, 'i') }));
const DENIED = new RegExp(approvals.denied, 'i');
const UNSAID = new RegExp(approvals.unsaid, 'i');

/**
 * Read a label's approval as a person typed it. A word such as "approved" says that, not by whom.
 * @example approvalOf('USCG 160.064') // { by: ['US'] }
 */
export function approvalOf(label: string | undefined): Approval {
  if (label === undefined || UNSAID.test(label)) return 'unsaid';
  if (DENIED.test(label)) return 'denied';
  const by = compiled.filter((a) => a.label.test(label)).map((a) => a.id);
  return by.length > 0 ? { by } : 'unread';
}
