// What is on bodies, and signals in layers: one part, fetched when it is opened.
export { BodiesBlock } from './bodies-block';
export { SignalsBlock } from './signals-block';
