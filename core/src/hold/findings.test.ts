import { describe, expect, test } from '@jest/globals';
import { aBoat, aPlace, steady } from '../../test/demo';
import { crafts, flows, lying, refused, SMALL, type Lies } from '../../test/lies';
import type { Place, Water } from '../model';

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
    // One that stands needs nobody to say which way.
    expect(on({ speed: 0 })).toEqual([]);
  });
  test('what is owned is taken along by one tap; what is not is to be found', () => {
    const knife = lying({ knife: 'home' }).of('knife')?.mend;
    expect(knife?.label.say).toBe('mend.take');
    expect(knife).toMatchObject({ do: { type: 'trip', patch: [{ value: { place: 'in-reach' } }] } });
    expect(lying({ knife: null }).of('knife')?.mend).toMatchObject({ add: { kind: 'knife' } });
    expect(lying({ anchor: null }).of('none')?.mend).toMatchObject({ add: { kind: 'anchor' } });
  });
  test('where it is not offered nothing else is told of it; which way a river runs is asked for', () => {
    const rafted = lying({ kind: 'raft', water: { class: 'river', stage: { speed: 1 } } });
    expect(rafted.found.map(({ id }) => id.split('/')[1])).toEqual(['river']);
    const skiff = lying({ kind: 'skiff', water: { class: 'river', stage: { speed: 1 } } });
    expect(skiff.says('stream')).toMatch(/^Mere runs at 1\.9 kn; nobody said which way\. /);
    expect(skiff.of('stream')?.mend).toMatchObject({ go: { pointer: '/stage' } });
  });
  test('breakers, debris and traffic as they were said; waves that break on so little water by sum', () => {
    for (const comes of ['breakers', 'debris', 'traffic'] as const) {
      expect(refused(lying({ halt: { comes: [comes] } }))).toEqual([comes]);
      const skiff = lying({ kind: 'skiff', halt: { comes: [comes] } });
      expect(refused(skiff)).toEqual(comes === 'breakers' ? ['breakers'] : []);
      if (comes !== 'breakers') expect(skiff.at(comes)).toBe('know');
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

describe('under her', () => {
  const falls: Water['tide'] = {
    kind: 'table',
    name: 'Gauge',
    datum: 'chart datum',
    rows: [
      { at: '2026-05-12T08:00:00Z', height: 4, turn: 'high' },
      { at: '2026-05-12T14:00:00Z', height: 0.4, turn: 'low' },
      { at: '2026-05-12T20:00:00Z', height: 4, turn: 'high' },
    ],
  };
  const on = (depth: number) =>
    lying({ place: { depth }, water: { class: 'sheltered-tidal', tide: falls, stream: flows(0) } });
  test('a falling tide takes the water away, also where the ground dries', () => {
    expect(on(0.5).at('aground')).toBeUndefined();
    expect(on(-0.5).at('aground')).toBe('fix');
    expect(on(-0.5).says('aground')).toContain('0.0 m');
  });
  test('hours that hang on a guessed speed settle no line, where the tide moves', () => {
    const guess = (more: Lies) => lying({ ...more, trip: { basis: { '/speed': 'guessed' } } });
    const tidal: Lies = { water: { class: 'sheltered-tidal', tide: falls, stream: flows(0) } };
    expect(lying({ ...tidal, anchor: { line: 90 } }).at('line')).toBe('ready');
    expect(guess({ ...tidal, anchor: { line: 90 } }).at('line')).toBe('know');
    expect(guess({ anchor: { line: 90 } }).at('line')).toBe('ready');
  });
});

describe('does it hold', () => {
  test('a stream faster than her hull is not reckoned with', () => {
    const at = lying({
      kind: 'skiff',
      water: { class: 'coastal', stream: flows(2.8) },
      trip: { speed: 5 },
    });
    expect(at.of('stream')).toMatchObject({ level: 'know', open: true });
    expect(at.title('stream')).toContain('faster than her hull');
    expect(at.at('holds')).toBe('know');
  });
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
