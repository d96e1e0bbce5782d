import { describe, expect, test } from '@jest/globals';
import { aBoat, anItem, aPerson, aPlace, aWater, inputOf, steady } from '../../test/demo';
import { CRAFT, type Craft } from '../model/lists';
import type { Finding, Forecast, GearItem, Place, Trip, Water } from '../model';
import { render } from '../say';
import { assess, type AssessInput } from '../trip';

const READER = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const SIZE: Record<Craft, [number, number, number]> = {
  'sit-on-top': [3.6, 0.8, 0.36],
  'sit-inside': [4.8, 0.6, 0.32],
  canoe: [4.9, 0.88, 0.36],
  paddleboard: [3.5, 0.84, 0.15],
  inflatable: [3.2, 1.6, 0.42],
  skiff: [4.2, 1.6, 0.6],
  'trailer-boat': [6, 2.3, 1],
  'personal-watercraft': [3.3, 1.2, 0.7],
  catamaran: [4.3, 2.2, 0.5],
  raft: [4.2, 2, 0.5],
};
const crafts = Object.keys(CRAFT) as Craft[];
const SMALL: readonly Craft[] = ['sit-on-top', 'sit-inside', 'canoe', 'paddleboard'];

/** A steady stream towards the east, m/s. */
const flows = (mean: number): Water['stream'] => ({
  kind: 'constants',
  name: 'Race',
  flood: 90,
  ebb: 270,
  mean,
  constituents: [{ name: 'M2', amplitude: 0, phase: 0 }],
});

interface Lies {
  kind?: Craft;
  halt?: Partial<Trip['halts'][number]>;
  place?: Partial<Place>;
  water?: Partial<Water>;
  anchor?: Partial<GearItem> | null;
  knife?: GearItem['stowage'] | null;
  pole?: Partial<GearItem>;
  forecast?: Forecast | null;
  others?: Place[];
  time?: string;
}

/** An hour and a half at anchor on a lake, with all that is needed for it said; what differs is given. */
function lying(given: Lies = {}) {
  const { kind = 'sit-on-top', anchor = {}, knife = 'on-body', others = [] } = given;
  const [length, beam, depth] = SIZE[kind];
  const paddled = SMALL.includes(kind) || kind === 'raft';
  const boat = aBoat({
    kind,
    length,
    beam,
    depth,
    mass: paddled ? 30 : 200,
    propulsion: [paddled ? { kind: 'paddle', cruise: 1.5 } : { kind: 'outboard', cruise: 5 }],
  });
  const water = aWater({ class: 'lake', ...given.water });
  const launch = aPlace({ works: 0, water: water.id });
  const ground = aPlace({
    kind: 'ground',
    name: 'Hole',
    position: { lat: 41.21, lon: -29.5 },
    water: water.id,
    seabed: 'mud',
    depth: 2,
    ...given.place,
  });
  const who = aPerson();
  const gear = [
    ...(anchor === null
      ? []
      : [
          anItem('anchor', {
            name: 'Grapnel',
            anchor: 'plough',
            weighs: 5,
            line: 40,
            chain: 1,
            release: 'quick',
            float: true,
            ...anchor,
          }),
        ]),
    ...(knife === null ? [] : [anItem('knife', { stowage: knife })]),
    ...(given.pole
      ? [
          anItem('stake-pole', {
            name: 'Pole',
            long: 2.4,
            thick: 0.025,
            poleOf: 'glassfibre',
            line: 4,
            release: 'quick',
            ...given.pole,
          }),
        ]
      : []),
  ];
  const base = inputOf();
  const input: AssessInput = {
    ...base,
    trip: {
      ...base.trip,
      boat: boat.id,
      crew: [{ person: who.id, role: 'skipper' }],
      water: water.id,
      launch: launch.id,
      halts: [{ place: ground.id, minutes: 90, hold: 'anchor', fast: 'bow', ...given.halt }],
      leave: { date: '2026-05-12', time: given.time ?? '12:00' },
      speed: 1.5,
      stow: [],
      load: [],
    },
    shed: {
      ...base.shed,
      boats: [boat],
      people: [who],
      gear,
      places: [launch, ground, ...others],
      waters: [water],
      debriefs: [],
    },
    conditions: given.forecast === null ? {} : { forecast: given.forecast ?? steady() },
  };
  const found = assess(input).findings.filter(({ id }) => id.startsWith('hold/'));
  const of = (id: string): Finding | undefined => found.find((f) => f.id.startsWith(`hold/${id}/`));
  return {
    found,
    of,
    at: (id: string) => of(id)?.level,
    says: (id: string) =>
      [...(of(id)?.because ?? []), ...(of(id)?.assumed ?? [])].map((b) => render(b, READER)).join(' '),
    title: (id: string) => render(of(id)!.title, READER),
  };
}
const refused = ({ found }: ReturnType<typeof lying>) =>
  found
    .filter(({ level, title }) => level === 'fix' && title.say.startsWith('hold.not.'))
    .map(({ id }) => id.split('/')[1]);

describe('do not anchor here', () => {
  test('all said and nothing against it: nothing is refused, and only the line is settled', () => {
    const all = lying();
    expect(refused(all)).toEqual([]);
    expect(all.found.filter(({ level }) => level === 'ready').map(({ id }) => id.split('/')[1])).toEqual([
      'line',
    ]);
  });
  // Craft × stream in m/s: from more than half a metre on, kayak, canoe and board are refused, and nobody else.
  test.each(crafts.flatMap((kind) => [0, 0.5, 0.52, 1.2].map((speed) => [kind, speed] as const)))(
    '%s in a stream of %s m/s',
    (kind, speed) => {
      const at = lying({ kind, water: { class: 'sheltered-tidal', stream: flows(speed) } });
      expect(refused(at)).toEqual(SMALL.includes(kind) && speed > 0.5 ? ['stream'] : []);
    },
  );
  test('a stream of which nothing is known is open, on water that has one', () => {
    for (const kind of ['canoe', 'skiff'] as const) {
      expect(lying({ kind, water: { class: 'coastal' } }).at('stream')).toBe('know');
      expect(lying({ kind, water: { class: 'coastal' } }).of('stream')?.open).toBe(true);
      expect(lying({ kind }).of('stream')).toBeUndefined();
    }
  });
  test.each(crafts)('%s on a river: small boats and rafts where it flows, or nobody said how', (kind) => {
    const kept = SMALL.includes(kind) || kind === 'raft';
    const on = (stage: Water['stage'], basis?: Water['basis']) =>
      refused(
        lying({ kind, water: { class: 'river', ...(stage ? { stage } : {}), ...(basis ? { basis } : {}) } }),
      );
    expect(on({ speed: 0.3, downstream: 90 })).toEqual(kept ? ['river'] : []);
    expect(on(undefined)).toEqual(kept ? ['river'] : []);
    expect(on({ speed: 0, downstream: 90 })).toEqual([]);
    expect(on({ speed: 0, downstream: 90 }, { '/stage/speed': 'guessed' })).toEqual(kept ? ['river'] : []);
  });
  test('breakers, debris and traffic as they were said; waves that break on so little water by sum', () => {
    for (const comes of ['breakers', 'debris', 'traffic'] as const) {
      expect(refused(lying({ halt: { comes: [comes] } }))).toEqual([comes]);
      expect(refused(lying({ kind: 'skiff', halt: { comes: [comes] } }))).toEqual([]);
    }
    // Waves of 0.4 m over 0.6 m: two thirds of the depth. Over 0.7 m it is 0.57.
    const wavy = { forecast: steady({ waves: 0.4 }) };
    expect(refused(lying({ ...wavy, place: { depth: 0.6 } }))).toEqual(['breakers']);
    expect(refused(lying({ ...wavy, place: { depth: 0.7 } }))).toEqual([]);
  });
  test('a channel that reaches to it, in its hours', () => {
    const ferry = (busy: Place['busy'], lat: number) =>
      lying({
        others: [
          aPlace({
            kind: 'hazard',
            hazard: 'traffic',
            name: 'Ferry',
            reach: 300,
            position: { lat, lon: -29.5 },
            ...(busy ? { busy } : {}),
          }),
        ],
      });
    expect(refused(ferry({ what: 'ferry', from: '12:00', until: '15:00' }, 41.212))).toEqual(['traffic']);
    expect(refused(ferry({ what: 'ferry', from: '18:00', until: '20:00' }, 41.212))).toEqual([]);
    expect(refused(ferry(undefined, 41.212))).toEqual(['traffic']);
    expect(refused(ferry(undefined, 41.216))).toEqual([]);
  });
  test('a knife in reach and a release that opens with one hand, of small boats', () => {
    expect(refused(lying({ knife: null }))).toEqual(['knife']);
    expect(refused(lying({ knife: 'hatch' }))).toEqual(['knife']);
    expect(refused(lying({ knife: 'in-reach' }))).toEqual([]);
    expect(refused(lying({ anchor: { release: 'knot' } }))).toEqual(['release']);
    expect(lying({ anchor: { release: undefined } }).at('release')).toBe('know');
    expect(lying({ anchor: { basis: { '/release': 'guessed' } } }).at('release')).toBe('know');
    expect(refused(lying({ kind: 'skiff', knife: null, anchor: { release: 'knot' } }))).toEqual([]);
  });
  test.each(crafts)('%s: never from the side; from the stern only what has no transom', (kind) => {
    expect(refused(lying({ kind, halt: { fast: 'side' } }))).toEqual(['side']);
    const bow = !SMALL.includes(kind) && kind !== 'raft';
    expect(refused(lying({ kind, halt: { fast: 'stern' } }))).toEqual(bow ? ['side'] : []);
  });
  test('no anchor aboard, or only one that failed, belongs to another boat or stays at home', () => {
    for (const anchor of [
      null,
      { state: 'failed' },
      { stowage: 'home' },
      { count: 0 },
      { fittedTo: aBoat().id },
    ] as const)
      expect(lying({ anchor }).at('none')).toBe('fix');
  });
});

describe('line', () => {
  // Two metres of water and her bow: by seven some 16 m, by five some 12.
  test.each([
    [1, 'fix', 'short'],
    [8, 'fix', 'short'],
    [13, 'know', 'usual'],
    [30, 'ready', 'let out'],
  ] as [number, string, string][])('%s m of it: %s', (line, level, word) => {
    const at = lying({ anchor: { line, chain: 0 } });
    expect(at.at('line')).toBe(level);
    if (word !== 'short') expect(at.says('line')).toContain(word);
  });
  test('the tide counts at its highest in the stay', () => {
    const tide: Water['tide'] = {
      kind: 'table',
      name: 'Gauge',
      datum: 'chart datum',
      rows: [
        { at: '2026-05-12T06:00:00Z', height: 0.5, turn: 'low' },
        { at: '2026-05-12T13:00:00Z', height: 4.5, turn: 'high' },
        { at: '2026-05-12T19:00:00Z', height: 0.5, turn: 'low' },
      ],
    };
    const at = lying({
      water: { class: 'sheltered-tidal', tide, stream: flows(0) },
      anchor: { line: 30, chain: 0 },
    });
    // 2 + 4.5 m and her bow of some 0.3 m: five times that is 34 m.
    expect(at.at('line')).toBe('fix');
    expect(at.says('line')).toContain('13:00');
    expect(Number(/the ([\d.]+) m from the ground/.exec(at.says('line'))?.[1])).toBeCloseTo(6.8, 0);
  });
  test('what is missing is named and leads to its field', () => {
    const bare = lying({ anchor: { line: undefined } });
    expect([bare.at('line'), bare.of('line')?.open]).toEqual(['know', true]);
    expect(bare.of('line')?.mend).toMatchObject({ go: { type: 'gear', pointer: '/line' } });
    const deep = lying({ place: { depth: undefined } });
    expect(deep.of('line')?.mend).toMatchObject({ go: { type: 'place', pointer: '/depth' } });
    const guess = lying({ place: { basis: { '/depth': 'guessed' } } });
    expect([guess.at('line'), guess.of('line')?.open]).toEqual(['know', true]);
    const tidal = lying({ water: { class: 'coastal' } });
    expect(tidal.says('line')).toContain('follows the tide');
    expect(lying({ anchor: { basis: { '/line': 'guessed' } } }).at('line')).toBe('know');
  });
});

describe('does it hold', () => {
  test('never Ready, and an anchor under three kilograms is never given a wind', () => {
    for (const weighs of [0.7, 1.5, 2.9]) {
      const at = lying({ anchor: { weighs }, forecast: steady({ wind: 2, gust: 3 }) });
      expect(at.at('holds')).toBe('know');
      expect(at.title('holds')).toContain('can’t be vouched for');
      expect(at.says('holds')).not.toContain('it may drag');
      expect(at.says('holds')).toContain('nobody stands by figures');
    }
    const heavy = lying({ anchor: { weighs: 5 } });
    expect(heavy.at('holds')).toBe('know');
    expect(heavy.says('holds')).toMatch(/From a wind of [\d.]+ kn on it may drag/);
  });
  test('surely too little is a Fix, and open: it is our own estimate', () => {
    const at = lying({
      kind: 'trailer-boat',
      anchor: { anchor: 'weight-sand', weighs: 3, line: 60 },
      forecast: steady({ wind: 15, gust: 20 }),
    });
    expect([at.at('holds'), at.of('holds')?.open]).toEqual(['fix', true]);
  });
  test.each([
    ['kind', { anchor: { anchor: undefined } }, 'kind of anchor'],
    ['weight', { anchor: { weighs: undefined } }, 'what it weighs'],
    ['guessed weight', { anchor: { basis: { '/weighs': 'guessed' } } }, 'what it weighs'],
    ['line', { anchor: { line: undefined } }, 'how long its line'],
    ['wind', { forecast: null }, 'wind is not known'],
    ['stream', { water: { class: 'river' }, kind: 'skiff' }, 'stream is not known'],
    ['depth', { place: { depth: undefined } }, 'depth is not known'],
  ] as [string, Lies, string][])(
    'without its %s it is not known, and that is said',
    (_name, given, words) => {
      const at = lying(given);
      expect([at.at('holds'), at.of('holds')?.open]).toEqual(['know', true]);
      expect(at.says('holds')).toContain(words);
      expect(at.says('holds')).not.toMatch(/the anchor holds \d/);
    },
  );
  test('a poor kind for the bottom is said with what is better; an unknown bottom is asked for', () => {
    const poor = lying({ place: { seabed: 'sand' }, anchor: { anchor: 'folding' } });
    expect(poor.says('bottom')).toBe(
      'A folding grapnel is poor on sand. Better there: anchor with pivoting flukes or plough or scoop.',
    );
    expect(lying({ place: { seabed: undefined } }).of('bottom')?.open).toBe(true);
    expect(lying({ place: { seabed: 'rock' }, anchor: { anchor: 'folding' } }).of('bottom')).toBeUndefined();
  });
});

describe('swinging', () => {
  test('a rock and a neighbour within her circle', () => {
    const rock = (lat: number) =>
      lying({
        others: [
          aPlace({ kind: 'hazard', hazard: 'rock', name: 'Sow', reach: 20, position: { lat, lon: -29.5 } }),
        ],
      });
    // 22 m off, 20 of them to keep clear; 111 m off.
    expect([rock(41.2102).at('swing'), rock(41.2102).says('swing').includes('Sow')]).toEqual(['fix', true]);
    expect(rock(41.211).at('swing')).toBe('know');
    expect(lying({ halt: { room: 30 } }).at('swing')).toBe('fix');
    expect(lying({ halt: { room: 80 } }).at('swing')).toBe('know');
  });
  test('a stream that turns swings her over her anchor', () => {
    const turning: Water['stream'] = {
      kind: 'turns',
      name: 'Race',
      flood: 90,
      ebb: 270,
      rows: [
        { at: '2026-05-12T10:00:00Z', speed: 0.4 },
        { at: '2026-05-12T13:00:00Z', speed: 0 },
        { at: '2026-05-12T16:00:00Z', speed: -0.4 },
      ],
    };
    const calm = steady({ wind: 0, gust: 0 });
    const at = lying({ water: { class: 'coastal', stream: turning }, forecast: calm });
    expect(at.title('turns')).toBe('She swings round at Hole');
    expect(
      lying({ water: { class: 'coastal', stream: flows(0.4) }, forecast: calm }).of('turns'),
    ).toBeUndefined();
  });
});

describe('what a trip says of it', () => {
  test('a halt on open water of which nobody said what holds her is asked about; others are not', () => {
    expect(lying({ halt: { hold: undefined } }).found.map(({ id }) => id.split('/')[1])).toEqual(['how']);
    expect(lying({ halt: { hold: 'ashore' } }).found).toEqual([]);
    expect(lying({ halt: { hold: undefined }, place: { kind: 'haven' } }).found).toEqual([]);
  });
  test('over midnight every hour counts', () => {
    const turning: Water['stream'] = {
      kind: 'turns',
      name: 'Race',
      flood: 90,
      ebb: 270,
      rows: [
        { at: '2026-05-12T21:00:00Z', speed: 0 },
        { at: '2026-05-13T00:30:00Z', speed: 0.8 },
        { at: '2026-05-13T04:00:00Z', speed: 0 },
      ],
    };
    const at = lying({ time: '22:30', water: { class: 'coastal', stream: turning } });
    expect(refused(at)).toEqual(['stream']);
    expect(at.says('stream')).toContain('00:');
  });
});

describe('on a pole', () => {
  const calm = steady({ wind: 1.5, gust: 2 });
  const staked = (given: Lies = {}) =>
    lying({
      pole: {},
      forecast: calm,
      ...given,
      place: { depth: 0.6, ...given.place },
      halt: { hold: 'pole', ...given.halt },
    });
  test('in still shallows and a light air it may hold, never Ready, and nothing is refused', () => {
    const at = staked();
    expect(refused(at)).toEqual([]);
    expect(at.at('pole')).toBe('know');
    expect(at.found.every(({ level }) => level !== 'ready')).toBe(true);
  });
  test.each([
    [0.9, 'know'],
    [1.2, 'know'],
    [1.25, 'fix'],
    [1.9, 'fix'],
  ])('%s m of water: %s', (depth, level) => expect(staked({ place: { depth } }).at('pole')).toBe(level));
  test('more wind than it holds is a Fix and says to use an anchor', () => {
    const at = staked({ forecast: steady({ wind: 14, gust: 18 }), place: { seabed: 'gravel' } });
    expect([at.at('pole'), at.of('pole')?.open]).toEqual(['fix', true]);
    expect(at.says('pole')).toContain('use an anchor');
  });
  test('refused as an anchor is: a stream, a river, no knife, a knot', () => {
    expect(
      refused(staked({ water: { class: 'sheltered-tidal', stream: flows(0.6) }, place: { depth: 0.6 } })),
    ).toEqual(['stream']);
    expect(refused(staked({ water: { class: 'river' } }))).toEqual(['river']);
    expect(refused(staked({ knife: null }))).toEqual(['knife']);
    expect(refused(staked({ pole: { release: 'knot' } }))).toEqual(['release']);
    expect(staked({ knife: null }).title('knife')).toBe('Do not stake out at Hole');
  });
  test('across on it: both schools in a light air, refused beyond', () => {
    expect(staked({ halt: { fast: 'side' } }).at('side')).toBe('know');
    expect(refused(staked({ halt: { fast: 'side' }, forecast: steady({ wind: 6, gust: 8 }) }))).toEqual([
      'side',
    ]);
    expect(
      refused(staked({ halt: { fast: 'side' }, water: { class: 'coastal', stream: flows(0.2) } })),
    ).toContain('side');
  });
  test('no pole, no measures, a short line', () => {
    expect(lying({ halt: { hold: 'pole' } }).at('pole')).toBe('fix');
    expect(staked({ pole: { thick: undefined } }).of('pole')).toMatchObject({ level: 'know', open: true });
    expect(staked({ pole: { line: 1.5 } }).at('pole-line')).toBe('know');
    expect(staked().of('pole-line')).toBeUndefined();
    expect(staked({ pole: { long: 0.5 } }).says('pole')).toContain('does not stand');
  });
});
test('a chop of more than half a metre keeps a small boat from lying held', () => {
  expect(refused(lying({ forecast: steady({ waves: 0.7 }) }))).toEqual(['breakers']);
  expect(refused(lying({ forecast: steady({ waves: 0.5 }) }))).toEqual([]);
  expect(refused(lying({ kind: 'skiff', forecast: steady({ waves: 0.7 }) }))).toEqual([]);
});
