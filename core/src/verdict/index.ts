/**
 * verdict: findings, figures, levels and mends: how every room says what it found. Each room's kinds of finding and their
 * levels are data (`core/data/limits/<room>.json`).
 */
export * from './basis';
export * from './figures';
export * from './finding';
export * from './levels';
export * from './mends';
