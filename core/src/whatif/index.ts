/**
 * whatif: what follows when something goes wrong, and what to do about it. The roof: it leans on all rooms, and none on it.
 */
export * from './haven-or-home';
export * from './still';
