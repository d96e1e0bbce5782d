// What the page of righting her says.
export const TURN = {
  title: 'Righting her',
  lead: 'This boat, this crew: lean out, feel what it takes, and see why she does not come.',
  boat: 'Which boat',
  usual: 'A usual {kind}',
  crew: 'Who is on the line',
  somebody: 'Somebody of {mass:mass}',
  lean: 'Lean out',
  across: 'Pull yourself across her',
  leanSaid: '{angle}° from upright',
  shareSaid: '{share:percent} of your weight',
  wind: 'Wind',
  windSaid: '{wind:speed}',
  float: 'A float at the mast head',
  picture:
    'Her from the end: what holds her down and what the crew gives, with their levers about the edge on which she turns',
  told: 'You give {gives:moment}, the upper bar; she asks for {needs:moment}, the lower one. {seconds} s.',
  down: 'Lean out.',
  rising: 'She comes. Keep the lean.',
  stuck: 'Nothing moves: it is not enough.',
  floats: 'Your backs lie in the water, which bears them: lean a little less.',
  short: 'The line lets you no further: it is too short.',
  up: 'She is up, after {seconds} s. Catch her, and climb in before she sails off.',
  turtle:
    'Her mast has filled and she has gone right over: from here nobody on her hull brings her back by leaning.',
  again: 'Try again',
  reroll:
    'Each try draws anew where in its range every estimate lies: what may be enough sometimes is, and sometimes not.',
  nobody: 'Nobody with a known weight is on the line.',
  none: 'She can’t be reckoned: enter her length, beam and weight.',
  wave: 'In earnest: first the count, sheets free, bow to the wind, wires looked for above. Waves and tired arms are not in it.',
} as const;
