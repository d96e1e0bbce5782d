/**
 * sources: every published text and table that a number or a rule leans on, with edition and how sure we are.
 * Everything here was written down from memory unless `how` says otherwise; nothing was looked up.
 */
import { HOLDING } from './hold';
import { SEA } from './sea';
import { SIGNALS } from './signals';
import { recalled, type Source } from './source';

export type { How, Source } from './source';

export const SOURCES = {
  ...SEA,
  ...HOLDING,
  ...SIGNALS,
  'si-brochure': {
    title: 'International yard, pound and nautical mile; the SI',
    publisher: 'International agreements of 1929 and 1959',
    how: 'closed-form',
    confidence: 'H',
    verified: true,
    noted: '2026-11-24',
  },
  geodesic: {
    title: 'Algorithms for geodesics, J. Geodesy 87 (2013), on WGS 84',
    publisher: 'C. F. F. Karney; computed by the package geographiclib-geodesic',
    how: 'run-here',
    confidence: 'H',
    verified: true,
    noted: '2026-11-24',
  },
  sun: {
    title: 'Sunrise, sunset and civil twilight (sun 6° under)',
    publisher: 'Computed by the package astronomy-engine',
    how: 'run-here',
    confidence: 'H',
    verified: true,
    noted: '2026-11-24',
  },
  tide: {
    title: 'Harmonic tide prediction with Schureman node factors',
    publisher: 'Computed by the package @neaps/tide-predictor',
    how: 'run-here',
    confidence: 'H',
    verified: true,
    noted: '2026-11-24',
  },
  'tide-offsets': {
    title: 'Turns of a reference station with offsets in time and height',
    publisher:
      'US National Oceanic and Atmospheric Administration, public domain; held against @neaps/tide-predictor',
    how: 'run-here',
    confidence: 'M',
    verified: true,
    noted: '2026-11-27',
  },
  'tide-cosine': {
    title: 'Cosine between high and low water',
    publisher: 'Handbooks of navigation',
    how: 'closed-form',
    confidence: 'H',
    verified: true,
    noted: '2026-11-24',
  },
  'trailer-height': recalled(
    'Height of trailer supports and depth in which a hull floats off',
    'Handbooks of launching ramps and trailers',
    undefined,
    'M',
  ),
  'ramp-handbook': recalled(
    'Slopes of launching ramps, 12 to 15 %, and depth over their foot',
    'Handbook of the States’ boating-access engineers; AS 3962',
    undefined,
    'M',
  ),
  'hitch-kinematics': {
    title: 'A car and a trailer whose wheels roll without slipping: the rate of the hitch angle',
    publisher: 'Textbooks of vehicle kinematics',
    how: 'closed-form',
    confidence: 'H',
    verified: true,
    noted: '2026-11-28',
  },
  'cfr-33-175-b': recalled(
    '33 CFR part 175, subpart B: personal flotation devices',
    'US Coast Guard',
    'as known in early 2025',
  ),
  'cfr-33-175-c': recalled(
    '33 CFR part 175, subpart C: visual distress signals',
    'US Coast Guard',
    'as known in early 2025',
  ),
  'cfr-33-175-e': recalled(
    '33 CFR part 175, subpart E: fire protection',
    'US Coast Guard',
    'in force from 20 April 2022',
    'M',
  ),
  'approval-labels': recalled(
    'How labels name who approved a thing',
    'Coast guards and standards bodies',
    undefined,
    'M',
  ),
  'cfr-33-173': recalled('33 CFR part 173: numbering of vessels', 'US Coast Guard', 'as known in early 2025'),
  'usc-46-4312': recalled(
    '46 USC 4312: engine cut-off switches',
    'United States Code',
    'in force from 1 April 2021',
  ),
  'us-states': recalled('State boating laws; every row to be checked', 'The States named', undefined, 'M'),
  'ca-svr': recalled(
    'Small Vessel Regulations SOR/2010-91, as the Safe Boating Guide TP 511E puts them',
    'Transport Canada',
    'as known in early 2025',
  ),
  'ca-competency': recalled(
    'Competency of Operators of Pleasure Craft Regulations SOR/99-53',
    'Transport Canada',
    'as known in early 2025',
  ),
  'nz-91': recalled(
    'Maritime Rules Part 91: navigation safety',
    'Maritime New Zealand',
    'as known in early 2025',
  ),
  'ie-921': recalled('S.I. No. 921/2005, as amended', 'Ireland', 'as known in early 2025'),
  'uk-solas-v': recalled(
    'SOLAS chapter V by SI 2002/1473 and SI 2020/0673',
    'United Kingdom',
    'as known in early 2025',
  ),
  'uk-advice': recalled(
    'Advice of the coastguard, lifeboat and sport bodies',
    'United Kingdom',
    undefined,
    'M',
  ),
  colregs: recalled(
    'International Regulations for Preventing Collisions at Sea, 1972',
    'International Maritime Organization',
    'as amended',
  ),
  'cfr-33-83': recalled(
    '33 CFR part 83: Inland Navigation Rules',
    'US Coast Guard',
    'as known in early 2025',
  ),
  'cfr-33-183': recalled('33 CFR part 183: safe loading', 'US Coast Guard', 'as known in early 2025'),
  'no-plate-rule': recalled(
    "Length × beam / 15, from the Boater's Guide to the Federal Requirements",
    'US Coast Guard',
    undefined,
  ),
  'kayak-share': recalled(
    'Paddler and gear at no more than 65 to 75 % of the maker’s greatest load',
    'Paddling instruction, several',
    undefined,
    'M',
  ),
  'iso-12402': recalled(
    'ISO 12402: personal flotation devices, level 100 by the wearer’s mass',
    'International Organization for Standardization',
    '2020',
    'M',
  ),
  'canoe-edge': recalled(
    'Six inches of freeboard for open canoes',
    'Makers’ capacity convention',
    undefined,
    'M',
  ),
  archimedes: {
    title: 'Archimedes: a body under water is borne by the weight of the water it displaces',
    publisher: 'First principles',
    how: 'closed-form',
    confidence: 'H',
    verified: true,
    noted: '2026-11-25',
  },
  'ship-theory': {
    title: 'Draught, metacentres and free surface of a box and a cylinder',
    publisher: 'First principles, as in every text of ship theory',
    how: 'closed-form',
    confidence: 'H',
    verified: true,
    noted: '2026-11-25',
  },
  'waterplane-range': recalled(
    'Waterplane coefficients: sharp ends 0.62 to 0.72, boards 0.80 to 0.85, transom skiffs 0.78 to 0.85',
    'Handbooks of small craft',
    undefined,
    'M',
  ),
  orifice: {
    title: 'Flow through a hole, Q = Cd·A·√(2gh) with Cd 0.6',
    publisher: 'Torricelli; coefficient from hydraulics handbooks',
    how: 'closed-form',
    confidence: 'H',
    verified: true,
    noted: '2026-11-25',
  },
  weir: recalled('Flow over a low edge, Q = 1.7·b·h^1.5', 'Hydraulics handbooks', undefined),
  'iso-15083': recalled(
    'ISO 15083: bilge pumping; pumps give 60 to 70 % of their rated flow aboard',
    'International Organization for Standardization',
    undefined,
    'M',
  ),
  'hull-speed': recalled(
    'Hull speed in knots, 1.34 × the root of the waterline in feet',
    'Handbooks of naval architecture',
    undefined,
  ),
  crouch: recalled(
    'Crouch: planing speed goes with the root of power over weight',
    'Handbooks of powerboat design',
    undefined,
    'M',
  ),
  'fuel-burn': recalled(
    'Four-strokes burn about half a pound a horsepower and hour',
    'Marine engine trade',
    undefined,
  ),
  thirds: recalled(
    'A third out, a third home, a third in reserve',
    'Powerboat instruction, several',
    undefined,
  ),
  battery: recalled(
    'Run time = ampere-hours × usable share / draw; half of a lead battery is usable',
    'Marine electrics trade',
    undefined,
    'M',
  ),
  'paddle-power': recalled('A paddler gives 30 to 50 W for long', 'Paddling literature', undefined, 'M'),
  'iso-14946': recalled(
    'ISO 14945 and 14946: builder’s plate, a person counted as 75 kg',
    'International Organization for Standardization',
    undefined,
  ),
  petrol: recalled('Petrol weighs 0.74 to 0.75 kg a litre', 'Fuel trade', undefined),
  'tongue-weight': recalled(
    '5 to 15 % of a trailer’s mass on the hitch',
    'Towing guidance, several',
    undefined,
    'M',
  ),
  'cold-1-10-1': recalled('1 minute, 10 minutes, 1 hour', 'Giesbrecht and Wilkerson', '2006'),
  hayward: recalled(
    'Survival time in cold water, Can. J. Physiol. Pharmacol. 53:21–32',
    'Hayward, Eckerson and Collis',
    '1975',
  ),
  'cold-table': recalled(
    'Exhaustion and expected survival by water temperature',
    'US Coast Guard, in many handbooks',
    undefined,
  ),
  'dress-for-water': recalled(
    'Dress for the water: insulation below 15 °C, some below 21 °C',
    'Paddlesport safety advice, several',
    undefined,
    'M',
  ),
  'paddle-pace': recalled(
    'Three knots and ten minutes of rest an hour',
    'Sea-kayaking handbooks',
    undefined,
    'M',
  ),
  'turn-time': {
    title: 'Turn after E·H / (O + H) of the time you have',
    publisher: 'Follows from time out plus time home = time you have',
    how: 'closed-form',
    confidence: 'H',
    verified: true,
    noted: '2026-11-24',
  },
  daylight: recalled('Land at least an hour before sunset', 'Practice of sea-kayak leaders', undefined, 'M'),
  overdue: recalled(
    'Overdue 30 to 60 minutes after the time given',
    'Float-plan guidance, several',
    undefined,
  ),
  'float-plan-fields': recalled(
    'Fields of float plans: people, boat, kit, identities, way, times, car, whom to ring',
    'Float-plan guidance, several',
    undefined,
  ),
  'beacon-identity': recalled(
    '15 hexadecimal signs of a 406 MHz beacon; nine digits of a maritime identity',
    'COSPAS-SARSAT and ITU, from memory',
    undefined,
    'M',
  ),
  lightning: recalled('When thunder roars, go indoors', 'US National Weather Service', undefined),
  practice: {
    title: 'Common practice, no published source',
    publisher: 'Small-boat practitioners',
    how: 'common-practice',
    confidence: 'M',
    verified: false,
    noted: '2026-11-24',
  },
  'body-middle': recalled(
    'Middle of a standing body at 55 to 57 of 100 parts of its height, from the feet',
    'Handbooks of biomechanics',
    undefined,
    'M',
  ),
  'drag-flat': recalled(
    'Force of wind on a flat surface, ½·ρ·Cd·A·V², and wind near the water by a power of 0.11',
    'Handbooks of fluid mechanics',
    undefined,
    'M',
  ),
  'own-estimate': {
    title: 'Our own estimate',
    publisher: 'Escale',
    how: 'own-estimate',
    confidence: 'L',
    verified: false,
    noted: '2026-11-24',
  },
  'your-limit': {
    title: 'Your own limit for this trip',
    publisher: 'You',
    how: 'common-practice',
    confidence: 'H',
    verified: true,
    noted: '2026-11-24',
  },
  'your-word': {
    title: 'What you stated',
    publisher: 'You',
    how: 'common-practice',
    confidence: 'H',
    verified: true,
    noted: '2026-11-24',
  },
  plate: {
    title: "The maker's capacity plate",
    publisher: 'The maker',
    how: 'common-practice',
    confidence: 'H',
    verified: true,
    noted: '2026-11-24',
  },
  beaufort: recalled(
    'Wind force scale, mean speeds at 10 m',
    'World Meteorological Organization',
    'code table 1100',
  ),
  'assumed-person': recalled(
    'Assumed average weight per person, 185 lb',
    'United States Coast Guard',
    '46 CFR 170.090, since December 2011',
    'M',
  ),
  'marine-terms': recalled(
    'Terms of marine forecasts: visibility good, moderate, poor, fog',
    'National weather services, as used in their sea-area forecasts',
    undefined,
    'M',
  ),
} satisfies Record<string, Source>;

export type SourceId = keyof typeof SOURCES;

/** A source by its id, or undefined for an id that a shared pack brought along and that we don't know. */
export function sourceOf(id: string): Source | undefined {
  return Object.hasOwn(SOURCES, id) ? SOURCES[id as SourceId] : undefined;
}
