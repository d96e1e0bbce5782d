import { recalled, type Source } from './source';

/** Sources of anchors, lines and what pulls on them. */
export const HOLDING = {
  'wind-force': {
    title: 'Force of wind and stream: ½ × density × coefficient × area × square of the speed',
    publisher: 'Fluid dynamics, closed form',
    how: 'closed-form',
    confidence: 'H',
    verified: true,
    noted: '2026-11-28',
  },
  scope: recalled(
    'Scope: line over depth and height of the bow at high water; five at least, seven usually, ten in a blow, four of chain',
    'Handbooks of seamanship and of anchoring',
    undefined,
  ),
  'builders-loads': recalled(
    'Horizontal loads for which ground tackle is designed, by length of boat, working, at lunch and in a storm (H-40)',
    'American Boat and Yacht Council',
    undefined,
    'M',
  ),
  'anchor-tests': recalled(
    'Holding of small anchors over their weight by kind and bottom; tests scatter by a factor of three',
    'Tests of anchors, as they are passed on',
    undefined,
    'L',
  ),
  'short-pile': recalled(
    'Lateral resistance of short piles: three times passive pressure in loose ground, nine times shear strength in soft',
    'B. B. Broms, Journal of the Soil Mechanics and Foundations Division, 1964',
    undefined,
    'M',
  ),
  beam: {
    title: 'Bending of a beam held at one end: σ = M/W, δ = F·a³/3EI',
    publisher: 'Statics, closed form',
    how: 'closed-form',
    confidence: 'H',
    verified: true,
    noted: '2026-11-28',
  },
  'sea-anchor-size': recalled(
    'Sea anchors: width and line by length of boat; drag devices and drogues (CG-D-20-87)',
    'Handbooks of drag devices; United States Coast Guard',
    undefined,
    'M',
  ),
  leeway: recalled(
    'Leeway of search objects: slope, offset and divergence (CG-D-08-99, CG-D-05-05)',
    'United States Coast Guard; A. Allen and J. Plourde',
    undefined,
    'M',
  ),
  'search-error': recalled(
    'Error of a drifted position: the root of the squares of where it began and of the drift, 0.3 kn of it by currents',
    'International Aeronautical and Maritime Search and Rescue manual',
    undefined,
    'M',
  ),
  gusts: recalled(
    'Gusts may be 40 % stronger than the mean wind of a forecast',
    'Bureau of Meteorology, Australia',
    undefined,
  ),
  'anchor-lead': recalled('Holding that is left at smaller scopes', 'Handbooks of anchoring', undefined, 'L'),
  'dead-weight': recalled(
    'A weight on the ground: friction times its weight under water, by material and bottom',
    'Handbooks of moorings',
    undefined,
    'M',
  ),
  'small-craft-hold': {
    title:
      'Holding a small boat: from the bow or the stern, never the side; a release in reach, a float, a knife; not in a stream',
    publisher: 'Practice of paddlers and anglers',
    how: 'common-practice',
    confidence: 'M',
    verified: false,
    noted: '2026-11-28',
  },
} as const satisfies Record<string, Source>;
