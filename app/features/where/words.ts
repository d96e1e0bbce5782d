// What a compass shows for what is reckoned from true north.
export const COMPASS = {
  shows: '{bearing:bearing} by compass',
  west: 'Variation {by}° west: a compass shows as much more.',
  east: 'Variation {by}° east: a compass shows as much less.',
  unknown: 'The variation of a compass is not known for that day.',
} as const;

// What a position says of itself while it is entered.
export const WHERE = {
  help: 'As you have it: 50.1234, −4.5678 or 50°07.4′N 4°34.1′W.',
  here: 'Where this device is',
  file: 'From a GPX or GeoJSON file',
  zone: 'Time zone {zone}.',
  zoneCountry: 'Time zone {zone}. Whose rules hold is guessed from it: {country:list}.',
  read: 'Read as {lat}, {lon}',
  unread: 'That is not read as a position. Degrees north and east, or with letters.',
  noPoint: 'No position stands in that file.',
  picked: 'Points of the file',
} as const;
