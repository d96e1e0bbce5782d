// Both in one file that is fetched once: what only they need of the room of holding then lies in no other.
export { HoldSection } from './hold-section';
export { RigPage } from './rig-page';
