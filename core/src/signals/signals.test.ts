import { expect, test } from '@jest/globals';
import { aBoat } from '../../test/demo';
import { check } from '../../test/check';
import { render } from '../say';
import { jacketsOf, mayday } from '.';

const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const words = (...args: Parameters<typeof mayday>) =>
  mayday(...args)
    .map((p) => render(p, reader))
    .join(' ');

check(
  'recalled',
  { title: 'Radiotelephone distress form' },
  'mayday three times, name three times, mayday and name, position, help, persons, over',
  () => {
    const said = words(
      aBoat({ name: 'Tern', marks: 'TN 4', hullColour: 'green' }),
      2,
      { text: '41° 12.000′ N, 29° 30.000′ W', from: 'device' },
      'all',
      ['three flares'],
    );
    expect(said).toMatch(
      /^Mayday, mayday, mayday\. This is TN 4, TN 4, TN 4\. Mayday TN 4\. My position is 41° 12\.000′ N, 29° 30\.000′ W\./,
    );
    for (const part of ['2 people aboard', 'green', 'We need help at once', 'three flares'])
      expect(said).toContain(part);
    expect(said.trimEnd()).toMatch(/Over\.$/);
  },
);
test('without marks the name serves; without colours or signals nothing is left hanging', () => {
  const said = words(aBoat({ name: 'Tern' }), 1, { text: 'here', from: 'plan' }, 'unsaid', []);
  expect(said).toContain('This is Tern, Tern, Tern.');
  expect(said).toContain('1 person aboard.');
  expect(said).not.toMatch(/undefined|, \.|  /);
});

test('a crew that nobody entered is counted by whoever calls', () => {
  const said = words(aBoat(), 0, { text: 'X', from: 'device' }, 'unsaid', []);
  expect(said).toContain('say how many are aboard');
  expect(said).not.toMatch(/\b0 /);
});
test('how it is called and what is the matter stand where they belong', () => {
  const said = words(aBoat({ name: 'Tern' }), 2, { text: 'X', from: 'device' }, 'all', [], {
    call: 'pan',
    nature: 'Our engine has stopped.',
  });
  expect(said).toMatch(/^Pan-pan, pan-pan, pan-pan\. All stations\. This is Tern, Tern, Tern\./);
  expect(said).toMatch(/My position is X\. Our engine has stopped\. We need assistance\./);
  expect(said).not.toMatch(/mayday|at once/i);
});
test('a position says where it comes from, and jackets say what was declared', () => {
  const at = (from: 'device' | 'plan' | 'launch' | 'none') =>
    words(aBoat(), 2, { text: 'X', from }, 'all', []);
  expect(
    [at('device'), at('plan'), at('launch'), at('none')].map(
      (s) => /My position is X|not measured|where I am now I have to describe|say what you see/.exec(s)?.[0],
    ),
  ).toEqual(['My position is X', 'not measured', 'where I am now I have to describe', 'say what you see']);
  const said = (...wears: (boolean | undefined)[]) =>
    words(
      aBoat(),
      2,
      { text: 'X', from: 'device' },
      jacketsOf(wears.map((w) => (w === undefined ? {} : { wearsJacket: w }))),
      [],
    );
  expect(said(true, true)).toContain('We all wear life jackets');
  expect(said(true, false)).toContain('some do not');
  expect(said(false, false)).toContain('We wear no life jackets');
  for (const open of [said(undefined, undefined), said()]) expect(open).toContain('Say how many of you wear');
});
