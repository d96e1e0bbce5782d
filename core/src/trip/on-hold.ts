import type { OnHold } from '../hold/on-hold';
import { densityOf } from '../water';
import { contextOf, type AssessInput, type Context } from './context';

/** What holding her asks of a trip. */
export const holdOf = (context: Context): OnHold => ({
  ...context,
  gear: context.shed.gear,
  places: context.shed.places,
  density: densityOf(context.water),
});

/** The same of all that is known of a trip, for who asks where she could be held. */
export const onHold = (input: AssessInput): OnHold => holdOf(contextOf(input));
