// What is said of somebody's limits.
export const LIMITS = {
  title: 'What these limits would have said',
  plain: 'Limits beside what is usual',
  mine: 'Yours',
  usual: 'Usual',
  what: 'Limit',
  none: 'none set',
  noDays:
    'No forecast is kept yet. The day is typed into a trip, and stays with it: then its limits are held against it here.',
  days: 'Held against {n#day|days} of forecasts that stand on your trips, from {from:date} to {until:date}.',
  no: 'no on {no} of {of}',
  person: '{craft}: {level}',
  usualIs:
    'Usual is cautious practice by kind of boat and skill; heights, distances and hours are our own estimate. Go beyond it knowingly.',
  beyond: 'beyond what is usual',
} as const;
export const LIMIT_LABELS = {
  wind: 'Wind',
  gust: 'Gusts',
  waves: 'Waves',
  waterTemperature: 'Water',
  off: 'From a landing',
  hours: 'Out',
} as const;
