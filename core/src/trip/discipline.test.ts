import { describe, expect, test } from '@jest/globals';
import { inputOf } from '../../test/demo';
import { fieldsOf, meeting, tryEach } from '../../test/fields';
import { household } from '../../test/households';
import { runs } from '../../test/runs';
import { STARTING_POINTS } from '../boat/start';

/**
 * Removing any optional field of anything never turns a finding to Ready, and no worse finding goes without something open in
 * its place. Each field alone on the demo here; ten households and pairs of fields that meet in a finding in `npm run prove`.
 */
describe('a fact taken away', () => {
  for (const n of [0, 1, 2]) {
    test(`of the demo’s trip ${n}: each alone`, () => {
      const input = inputOf(n);
      const fields = fieldsOf(input);
      expect(fields.length).toBeGreaterThan(150);
      expect(
        tryEach(
          input,
          fields.map((f) => [f]),
        ),
      ).toEqual([]);
    });
  }
  const proving = process.env.ESCALE_RUNS !== undefined;
  // One of each kind of craft; all of them stated, and all of them as guessed as a starting point is.
  const kinds = [...new Set(STARTING_POINTS.map((s) => s.kind))].map((kind) =>
    STARTING_POINTS.findIndex((s) => s.kind === kind),
  );
  for (const n of proving ? kinds : kinds.slice(0, 2)) {
    for (const guessed of [false, true]) {
      const boat = `${STARTING_POINTS[n].title.toLowerCase()}, ${guessed ? 'guessed' : 'stated'}`;
      test(`of a household with a ${boat}: each alone${proving ? ', and pairs' : ''}`, () => {
        const input = household(n, { guessed });
        const fields = fieldsOf(input);
        expect(
          tryEach(
            input,
            fields.map((f) => [f]),
          ),
        ).toEqual([]);
        if (proving) expect(tryEach(input, meeting(input, fields, runs(40)))).toEqual([]);
      }, 600_000);
    }
  }
});
