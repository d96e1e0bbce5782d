import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { v7 } from 'uuid';
import { Id } from '../model';
import { debriefIdOf } from './debrief-id';

describe('the id of a debrief', () => {
  test('follows from the trip’s, is an id itself, another than the trip’s, and leads back to it', () => {
    expect(debriefIdOf('01890000-0000-7000-8000-000000000055')).toBe('01890000-0000-7000-8000-ffffffffffaa');
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 4e12 }),
        fc.uint8Array({ minLength: 16, maxLength: 16 }),
        (msecs, random) => {
          const trip = v7({ msecs, random });
          const id = debriefIdOf(trip);
          expect(Id.safeParse(id).success).toBe(true);
          expect(id).not.toBe(trip);
          expect(debriefIdOf(id)).toBe(trip);
        },
      ),
    );
  });
});
