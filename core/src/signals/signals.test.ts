import { expect, test } from '@jest/globals';
import { aBoat } from '../../test/demo';
import { check } from '../../test/check';
import { render } from '../say';
import { mayday } from '.';

const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const words = (...args: Parameters<typeof mayday>) => mayday(...args).map((p) => render(p, reader)).join(' ');

check('recalled', { title: 'Radiotelephone distress form' }, 'mayday three times, name three times, mayday and name, position, help, persons, over', () => {
  const said = words(aBoat({ name: 'Tern', marks: 'TN 4', hullColour: 'green' }), 2, '41° 12.000′ N, 29° 30.000′ W', ['three flares']);
  expect(said).toMatch(/^Mayday, mayday, mayday\. This is TN 4, TN 4, TN 4\. Mayday TN 4\. My position is 41° 12\.000′ N, 29° 30\.000′ W\./);
  for (const part of ['2 people aboard', 'green', 'We need help at once', 'three flares']) expect(said).toContain(part);
  expect(said.trimEnd()).toMatch(/Over\.$/);
});
test('without marks the name serves; without colours or signals nothing is left hanging', () => {
  const said = words(aBoat({ name: 'Tern' }), 1, 'here', []);
  expect(said).toContain('This is Tern, Tern, Tern.');
  expect(said).toContain('1 person aboard.');
  expect(said).not.toMatch(/undefined|, \.|  /);
});
