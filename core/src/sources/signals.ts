import { recalled, type Source } from './source';

/** Sources of who sees, hears and receives what. */
export const SIGNALS = {
  'signal-ranges': recalled(
    'Whistle half a mile, a voice a tenth to a fifth of one, a mirror ten miles and more in the sun',
    'Handbooks of small-boat safety',
    undefined,
    'M',
  ),
  'light-range': recalled(
    'Luminous intensity and range, I = 3.43·10⁶·T·D²·K⁻ᴰ (Annex I); visibility by Allard’s law',
    'International Regulations for Preventing Collisions at Sea',
    undefined,
  ),
  'geographic-range': recalled(
    'Geographic range, 2.08 miles for the root of each height in metres',
    'Lists of lights, as they are reckoned everywhere',
    undefined,
  ),
  'radio-horizon': recalled(
    'Line of sight of radio over an earth a third larger, 2.22 miles for the root of each height in metres; in practice one to three miles between kayaks, five to ten to a tower ashore',
    'Resolution A.801(19) and handbooks of radio',
    undefined,
    'M',
  ),
  'gas-law': {
    title: 'Gas law in absolute pressure, p·V/T',
    publisher: 'Physics, closed form',
    how: 'closed-form',
    confidence: 'H',
    verified: true,
    noted: '2026-11-28',
  },
  beacons: recalled(
    'Beacons on 406 MHz: heard by satellites, a day and more of battery, registered or nobody knows whose it is',
    'International search and rescue satellite system',
    undefined,
  ),
} as const satisfies Record<string, Source>;
