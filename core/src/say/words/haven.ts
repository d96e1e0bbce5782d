/** Where to go when something is wrong. */
export const HAVEN_WORDS = {
  'haven.ask-speed': 'How fast she still goes was not said: without it no way is recommended.',
  'haven.drifts':
    'She goes nowhere by herself: call, hold her (anchor, sea anchor, a line to what stands), and stay with her.',
  'haven.drifts.boat':
    'She goes nowhere by herself: call the boat near by to you, hold her meanwhile, and stay with her.',
  'haven.nowhere':
    'No landing is known that she reaches from here at that speed. Call, hold her, and stay with her.',
  'haven.water.why':
    'Water may still come in: the nearest who can help or where one can land, whatever lies further. How long she has is not known.',
  'haven.weather.why':
    'Weather that turns is worse before one is far: the nearest where one can land, whatever lies further.',
  'haven.near.why': 'It is the soonest, and nothing further is sure to be better.',
  'haven.same': 'It is home as well.',
  'haven.home.why': 'Home takes {for:span}, less than {within:span}, with nothing known against it.',
  'haven.doubts': 'Not sure: {doubts:list}.',
  'haven.planing':
    'She still planes. A heavy boat that is slowed may not plane again: decide before you slow down.',
  'haven.over-land': 'land lies between, and no way round it is known',
  'haven.no-landing': 'by what is known one does not land there at that hour',
  'haven.would': 'What would make it home: {conditions:list}.',
  'haven.would.shut': 'the hole shut, and felt that no more water comes',
  'haven.would.clear': 'weather that is seen to be good until there',
  'haven.would.forecast': 'a forecast for the hours until there',
  'haven.would.weather': 'hours until there without thunder, and no wind or waves over the limits',
  'haven.would.time': 'no more than {within:span} to get there (it takes {for:span})',
  'haven.would.fuel.short': 'fuel for twice the way (by the plan there is less)',
  'haven.would.fuel.unknown': 'fuel for twice the way (how much is left is not known)',
  'haven.would.light': 'daylight until there',
  'haven.would.way': 'way made good against the stream',
  'haven.would.sure': 'this settled: {doubt}',
  'haven.would.move': 'Way of her own: oars, a paddle, a tow. Then ask again.',
  'haven.would.turn':
    'Slower than {speed:speed}, water in her again, or somebody who fades: not home any more.',
  'haven.would.turn.to': 'Then to {place}.',
} as const;
