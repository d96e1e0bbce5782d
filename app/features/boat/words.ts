// What the pages of a boat say with her name or a figure in it.
export const BOAT = {
  like: '{title}. {note}',
  how: 'How {what} is known',
  changed: 'how {field} is known',
  card: '{boat}: second driver’s card',
  handover: '{boat}: ten minutes with whoever knows her',
  step: '{n}. {what}',
  size: '{length:length} × {beam:length}',
} as const;
