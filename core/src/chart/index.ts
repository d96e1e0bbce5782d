/**
 * chart: what lies where on a water. Its shore and its depths as somebody drew them, what a straight way meets, how far the
 * land is and in which direction; nothing of the hour.
 */
export * from './depths';
export * from './line';
export * from './mercator';
export * from './shore';
