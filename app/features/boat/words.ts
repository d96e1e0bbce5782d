// What the pages of a boat say with her name or a figure in it.
export const BOAT = {
  whereToMeasure:
    'Where to measure: A from bow to stern, B across the widest place, C amidships from the lowest point up, D on a scale',
  kindFirst: 'First choose what she is like.',
  nameFirst: 'First give her a name.',
  like: '{title}. {note}',
  how: 'How {what} is known',
  changed: 'how {field} is known',
  card: '{boat}: second driver’s card',
  handover: '{boat}: ten minutes with whoever knows her',
  step: '{n}. {what}',
  size: '{length:length} × {beam:length}',
} as const;
