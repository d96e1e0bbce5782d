/**
 * floatplan: a filed plan's state folded from its events, its deadlines, and the sheet that others act on.
 */
export * from './fold';
export * from './reminders';
export * from './escalation';
export * from './identity';
export * from './position-text';
export * from './sheet';
export * from './sheet-changes';
export { wholeRow } from './sheet-rows';
export * from './sheet-text';
export { planFindings, type Ashore, type FiledPlan } from './findings';
