import * as z from 'zod';
import { CivilDate, Id, Note, choice, measure, ref, thing, titled } from './common';
import { DRILLS, DRILL_WENT } from './lists';

/** Something practised in the real world: by whom, in what, in which conditions, and how it went. */
export const Drill = z.strictObject({
  ...thing,
  kind: choice('What was practised', DRILLS),
  on: titled(CivilDate, 'Day', { past: true }),
  who: titled(z.array(Id).min(1, 'Somebody did it: choose who.').max(30), 'Who', {
    ref: 'person',
    help: 'Those who did it themselves, not those who looked on.',
  }),
  boat: ref('boat', 'Boat').optional(),
  water: ref('water', 'Where').optional(),
  went: choice('How it went', DRILL_WENT),
  minutes: measure('count', 'Minutes it took', 0, 240, 'Half a minute is 0.5.').optional(),
  wind: measure('speed', 'Wind', 0, 40).optional(),
  waves: measure('height', 'Waves', 0, 10).optional(),
  waterTemperature: measure('temperature', 'Water', -2, 40).optional(),
  dark: titled(z.boolean().optional(), 'In the dark'),
  wrong: titled(Note.optional(), 'What went wrong', { long: true }),
});
export type Drill = z.infer<typeof Drill>;
