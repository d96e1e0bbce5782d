/**
 * procedure: steps made for the facts of a trip, in an order that holds, and the gates between them.
 */
export * from './checks';
export * from './gates';
export * from './next';
export * from './steps';
