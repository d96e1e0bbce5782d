import { describe, expect, test } from '@jest/globals';
import type { Capability, Demand, Rule } from '../model';
import { PACKS } from '.';

type Asked = (demand: Demand) => boolean;
const of =
  (...capabilities: Capability[]): Asked =>
  ({ capability }) =>
    capabilities.includes(capability);
const LIGHTS = of(
  'white-light',
  'all-round-white',
  'sidelights',
  'stern-light',
  'masthead-light',
  'tricolour',
  'light-watertight',
);
const FLARES = of('pyro-day', 'pyro-night', 'pyro-not-smoke');

/** What a noun of a title promises: a demand that keeps the promise. */
const NOUNS: Record<string, Asked> = {
  jacket: of('wearable', 'spare-jacket'),
  lifejacket: of('wearable'),
  device: of('wearable', 'throwable'),
  light: (d) => LIGHTS(d) || of('electric-night', 'mast-light')(d),
  lights: LIGHTS,
  flashlight: of('light-watertight', 'white-light'),
  flares: FLARES,
  signals: (d) => FLARES(d) || of('flag-day', 'electric-night', 'signal-table')(d),
  signal: of('sound'),
  whistle: (d) => of('sound', 'whistle-fitted')(d) || d.carries === 'sound',
  extinguisher: of('extinguisher-5b', 'extinguisher-10b', 'extinguisher-20b', 'extinguisher-b1'),
  extinguishers: of('extinguisher-5b', 'extinguisher-20b', 'extinguisher-b1'),
  anchor: of('anchor'),
  bailer: of('bail', 'scoop'),
  pump: of('bail', 'pump-power', 'pump-out', 'fuel-pump'),
  pumps: of('inflate', 'inflate-power'),
  lifebuoy: of('lifebuoy'),
  compass: of('direction'),
  chart: of('find-way'),
  map: of('find-way'),
  reflector: of('radar-reflector', 'reflector'),
  knife: of('knife'),
  beacon: of('locate'),
  locator: of('locate'),
  paddle: of('spare-drive'),
  paddles: of('spare-drive'),
  oars: of('spare-drive'),
  hand: (d) => of('spare-drive', 'bail')(d) || d.within !== undefined,
  strap: of('re-entry'),
  water: of('drink'),
  food: of('food'),
  'first-aid': of('first-aid'),
  're-entry': of('re-entry'),
  tow: of('tow'),
  layer: of('warm-wear'),
  sun: of('sun-wear'),
  protection: of('sun-wear'),
  repair: of('repair'),
  kit: of('first-aid', 'repair', 'pocket-kit'),
  bags: of('flotation', 'throw-line'),
  bag: of('righting-bag', 'fish-bag'),
  axe: of('axe'),
  buckets: of('bucket'),
  copy: of('rules-copy'),
  rules: of('rules-copy'),
  table: of('signal-table'),
  plan: of('passage-plan'),
  registration: of('registration'),
  proof: of('operator-card'),
  competency: of('operator-card'),
  way: of('re-board', 'spare-drive', 'call', 'call-beyond-phone'),
  ways: of('call', 'call-beyond-phone'),
  call: of('call', 'call-beyond-phone'),
  line: (d) =>
    of('heaving-line', 'tow', 're-entry', 'righting-line', 'flip-line', 'outside-line', 'line-cutter')(d) ||
    d.leastLength !== undefined,
  watch: of('timepiece'),
  bottle: of('toilet'),
  bucket: of('toilet'),
  toilet: of('toilet'),
  footwear: of('footwear'),
  ties: of('ties'),
  net: of('hand-net', 'landing-net'),
  seat: of('seat'),
  leash: of('leash'),
  flag: of('mast-light'),
  mast: of('mast-light'),
  mirror: of('mirror'),
  spares: of('engine-spares'),
  fuel: of('spare-fuel', 'fuel-pump'),
  patches: of('patch'),
  wheels: of('wheels'),
  tether: of('tether'),
  long: of('long-cord'),
  lanyard: of('long-cord'),
  harness: of('harness'),
  helmet: of('helmet'),
  suit: of('float-suit'),
  batteries: of('spare-cells'),
  fenders: of('fend'),
  rod: of('rod'),
  licence: of('licence'),
  gaff: of('gaff'),
  pliers: of('hook-cutter'),
  hook: of('hook-cutter'),
  cutter: of('line-cutter'),
  cord: of('kill-cord', 'long-cord'),
  // Promises of how, how many and for whom.
  each: (d) => d.forWhom === 'each',
  body: (d) => d.within === 'on-body',
  reach: (d) => d.within === 'in-reach' || d.within === 'on-body',
  own: (d) => d.carries !== undefined,
  second: of('call-beyond-phone', 'kill-cord'),
};
/** How many a title promises: one alternative asks for so many in all. */
const NUMBERS: Record<string, number> = { two: 2, three: 3, six: 6, twelve: 12 };
/** Words that promise nothing to carry: what kind of thing it is, where and when the rule speaks, and the joints of a sentence. */
const JOINTS = new Set(
  (
    'a an the and or of for to on in with by under over from until is be if it can when where no are ' +
    'all that then m years old ready day night too up look theirs aboard children wear worn jackets ' +
    'lifejackets high risk bylaw after its one large another power sail small slow fitted sealed ' +
    'spare throw floating distress electric white all-round flotation buoyant heaving watertight fire ' +
    'fishing engine cut-off link kill life person drinking warm sheathed throwable sound radar passage ' +
    'life-saving navigation aids buoyancy stove radio safety back move bulkheads landing launch ' +
    'sunset beyond sixteen younger watercraft october november september may april mid-september ' +
    'mid-may cable her hull tubes electric both board righting alone pocket strong wind rapids hard flip round outside ' +
    'cold company jetty landing at cut fish passage what trapeze throw'
  ).split(' '),
);
/** Nouns that a declared deed keeps. */
const DEEDS: Record<string, (keyof NonNullable<Rule['declared']>)[]> = {
  worn: ['worn', 'cord'],
  wear: ['worn'],
  cord: ['cord'],
  link: ['cord'],
};

describe.each(
  PACKS.flatMap((pack) => pack.rules.map((rule) => [`${pack.id} ${rule.id}: ${rule.title}`, rule] as const)),
)('%s', (_title, rule) => {
  const words = rule.title
    .toLowerCase()
    .split(/[^a-z0-9’-]+/)
    .filter((word) => word !== '' && !/^\d+(bc)?$/.test(word));
  test('every noun of its title stands in a demand', () => {
    expect(words.filter((word) => !(word in NOUNS) && !(word in NUMBERS) && !JOINTS.has(word))).toEqual([]);
    // Where the title gives a choice, one alternative keeps each promise; where it does not, all of them do.
    const choice = words.includes('or');
    const kept = (asked: Asked) =>
      choice
        ? rule.anyOf.some((set) => set.some(asked))
        : rule.anyOf.length > 0 && rule.anyOf.every((set) => set.some(asked));
    const onlyDeeds = rule.anyOf.length === 0 && rule.declared !== undefined;
    const question = rule.anyOf.length === 0 && rule.declared === undefined;
    if (onlyDeeds || question) return;
    expect(words.filter((word) => word in NOUNS && !kept(NOUNS[word]))).toEqual([]);
  });
  test('as many as its title says are asked for', () => {
    const totals = rule.anyOf.map((set) => set.reduce((sum, demand) => sum + (demand.count ?? 1), 0));
    for (const word of words.filter((w) => w in NUMBERS))
      expect(totals.some((total) => total >= NUMBERS[word])).toBe(true);
  });
  test('every deed of its title is declared', () => {
    for (const word of words.filter((w) => w in DEEDS))
      expect([word, DEEDS[word].some((deed) => rule.declared?.[deed] !== undefined)]).toEqual([word, true]);
  });
  test('a number of metres in its title is asked of the line', () => {
    const metres = /(\d+) m of line/.exec(rule.title)?.[1];
    if (metres !== undefined) expect(JSON.stringify(rule.anyOf)).toContain(metres);
  });
});
