/**
 * What a rule can ask for and a thing can supply. Rules never ask for a product or a catalogue kind:
 * they ask for one of these, and the catalogue says which kinds supply it.
 */
export const CAPABILITIES = [
  'wearable', 'throwable', 'spare-jacket', 'sound', 'sound-loud', 'white-light', 'all-round-white', 'sidelights',
  'pyro-day', 'pyro-night', 'flag-day', 'electric-night', 'extinguisher-5b', 'extinguisher-20b',
  'spare-drive', 'bail', 'pump-power', 'call', 'call-beyond-phone', 'locate', 'knife', 'first-aid', 'drink', 'food', 'direction', 'find-way',
  'tow', 're-entry', 'leash', 'flotation', 'kill-cord', 'anchor', 'warm-wear', 'sun-wear', 'repair', 'inflate', 'drive-battery', 'licence',
  'heaving-line', 'lifebuoy', 're-board', 'light-watertight', 'pyro-not-smoke', 'radar-reflector', 'signal-table', 'passage-plan', 'extinguisher-b1', 'operator-card', 'registration', 'reflector', 'helmet', 'mirror', 'throw-line', 'phone-case', 'tether',
  'stern-light', 'masthead-light', 'tricolour', 'whistle-fitted', 'rules-copy', 'extinguisher-10b', 'axe', 'bucket',
] as const;
export type Capability = (typeof CAPABILITIES)[number];
