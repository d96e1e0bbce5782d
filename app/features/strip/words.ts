// What the day strip and its table say with figures in it.
export const STRIP = {
  hour: '{at:clock}',
  blows: '{wind:speed}',
  hours: '{day:day}, hour by hour',
  onDay: '{at:day} {at:clock}',
  wind: '{wind:speed}, {gust:speed} from {from}°',
  stream: '{speed:speed} to {to}°',
  leave: 'leave {leave:clock}',
  leaveHome: 'leave {leave:clock}, home {home:clock}',
  noTime: 'no time set',
  is: 'Day strip: {what}',
  out: 'out {far:distance}',
  back: 'back {far:distance}',
  leg: '{far:distance}',
} as const;

/** What happens at an instant of the day. */
export const MARK = {
  dawn: 'First light',
  sunrise: 'Sunrise',
  sunset: 'Sunset',
  dusk: 'Last light',
  high: 'High water, {height:height}',
  low: 'Low water, {height:height}',
  works: 'The launch works from here on',
  'works-no-more': 'The launch works no longer',
  leave: 'Leave',
  reach: 'Reach {place}',
  'turn-back': 'Turn back',
  home: 'Home',
  overdue: 'Overdue',
} as const;

/** What is what on the strip, for who asks. */
export const LEGEND = {
  open: 'What is what',
  close: 'Close',
  trip: 'On top: the legs of the trip and its stops; flags for leaving, turning back, home and overdue.',
  light: 'Ground: night dark, twilight grey, day light.',
  wind: 'Dark ribbon: wind, thicker where it blows harder, in numbers where it changes; its strokes point where it goes. Dotted: gusts.',
  tide: 'Blue: height of tide at the launch, in metres on the staff at the left edge. Hatched on the axis: the hours in which the launch works.',
  stream:
    'Dots with a stroke: the stream, longer where it runs harder, pointing where it goes; a dot alone is slack.',
  row: 'Columns: every hour of leaving, as tall as the worst that the hour itself gives; what stands at every hour alike is not in it. Low is better. Press one and it says why.',
} as const;

export const WHY = {
  ask: 'Why this hour?',
  none: 'Leaving {at:clock}: nothing that changes with the hour stands against it.',
  title: 'Leaving {at:clock}: {level}. {title}.',
  more: 'Leaving {at:clock}: {level}. {title}, and {n} more.',
  leave: 'Leave {at:clock}',
} as const;
