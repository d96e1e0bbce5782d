/**
 * signals: who can see, hear or receive what from where, what is left of it when boat or box are gone, and the words to say.
 */
export { jacketsOf, mayday, type Jackets, type Matter, type Spot } from './words';
export { geographicRange, luminousRange, radioHorizon } from './ranges';
export {
  isBox,
  LAYERS,
  layersLeft,
  layersOf,
  leftOf,
  reachOf,
  type Layer,
  type Lost,
  type Signal,
} from './layers';
export { CLEAR, COMES_AT, EYE, IN_WATER, MAST, SEATED, seenByDay, seenByNight, type Seen } from './seen';
