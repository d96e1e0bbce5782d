/**
 * floatplan: a filed plan's state folded from its events, its deadlines, and the sheet that others act on.
 */
export * from './fold';
export * from './sheet';
export { planFindings, type Ashore, type FiledPlan } from './findings';
