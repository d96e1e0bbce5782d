/**
 * numeric: the sums that several rooms share. Plain numbers in, plain numbers out; units are the caller's.
 */
export * from './band';
export * from './clip';
export * from './integrate';
export * from './linear';
export * from './roots';
export * from './tape';
