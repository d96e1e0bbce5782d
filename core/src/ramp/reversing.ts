// What practising to back a trailer asks of this room: fetched with that page alone.
export * from './course';
export * from './hitch';
export * from './mirror';
