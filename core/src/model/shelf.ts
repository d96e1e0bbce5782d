/** Where each type of thing stands in a shed. */
export const SHELF = {
  boat: 'boats',
  person: 'people',
  gear: 'gear',
  place: 'places',
  water: 'waters',
  contact: 'contacts',
  debrief: 'debriefs',
  run: 'runs',
  drill: 'drills',
  pack: 'packs',
} as const;
