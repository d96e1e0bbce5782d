// What is on bodies, signals in layers, and what runs out first: one part, fetched when it is opened.
export { BodiesBlock } from './bodies-block';
export { RunsBlock } from './runs-block';
export { SignalsBlock } from './signals-block';
