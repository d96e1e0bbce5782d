import { describe, expect, test } from '@jest/globals';
import { NOW, inputOf, steady } from '../../test/demo';
import { check } from '../../test/check';
import type { NowId } from '../model';
import { render, type Reader } from '../say';
import { nowOf } from './now';
import { prepare } from '.';
import { PROCEDURES } from '../procedure/library';

const reader: Reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' };
const HOUR = 3_600_000;
const ALL: NowId[] = [
  'people',
  'cold',
  'wind',
  'tide',
  'thunder',
  'light',
  'landing',
  'openings',
  'swamped',
  'signals',
  'watch',
];

function told(input: ReturnType<typeof inputOf>, more: Partial<Parameters<typeof nowOf>[0]> = {}) {
  const assessment = prepare(input).whole();
  const now = (assessment.schedule?.leave ?? NOW) + HOUR;
  const of = nowOf({ input, assessment, now, signals: [], ...more });
  return (id: NowId) =>
    of(id)
      .map((said) => render(said, reader))
      .join(' ');
}

describe('here and now, on a card of trouble', () => {
  test('every card of every procedure asks only for what can be told', () => {
    const of = told(inputOf(1));
    for (const { card } of PROCEDURES)
      for (const id of card?.now ?? []) expect([id, typeof of(id)]).toEqual([id, 'string']);
  });
  test('wind, cold and thunder are those of this hour', () => {
    const cold = steady({ wind: 6, gust: 9, from: 350, water: 8, thunder: true });
    const of = told(inputOf(0, { forecast: cold }));
    expect(of('wind')).toBe('Wind 11.7 kn, gusts 17.5 kn, from 350°: it sets you towards 170°.');
    expect(of('cold')).toMatch(/10 min/);
    expect(of('thunder')).toMatch(/^Thunder is forecast from/);
    expect(told(inputOf(0, { forecast: steady({ thunder: false }) }))('thunder')).toMatch(
      /^None is forecast/,
    );
    const warm = told(inputOf(0, { forecast: steady({ water: 29 }) }));
    expect(warm('cold')).toMatch(/last longer/);
  });
  check('recalled', 'cold-table', 'at 8 °C (46 °F) exhausted or unconscious in 30 to 60 minutes', () =>
    expect(told(inputOf(0, { forecast: steady({ water: 8 }) }))('cold')).toMatch(/after 30 min to 1 h 00,/),
  );
  check('closed form', 'orifice', 'a 25 mm hole under 0.3 m lets in 42.9 litres a minute', () => {
    const { shed, trip } = inputOf(1);
    const boats = shed.boats.map((boat) =>
      boat.id === trip.boat
        ? {
            ...boat,
            openings: [
              { name: 'Small', kind: 'bung' as const, diameter: 0.01 },
              { name: 'Drain', kind: 'plug' as const, diameter: 0.025 },
            ],
          }
        : boat,
    );
    expect(told(inputOf(1, { shed: { boats } }))('openings')).toBe(
      'Drain: about 43 L a minute under 30 cm of water. Small: about 7 L a minute under 30 cm of water.',
    );
  });
  test('the position of the device goes before the plan’s, and says which it was', () => {
    expect(told(inputOf(0))('landing')).toMatch(/From where the plan has you now\.$/);
    const at = inputOf(0);
    const place = at.shed.places.find((p) => p.id === at.trip.launch)!;
    const of = told(at, { position: place.position });
    expect(of('landing')).toMatch(/^You are at Gannow ramp, by what is known\. From where this device is\.$/);
  });
  test('after the hour home no plan tells where one is: who is late is not taken to be at the launch', () => {
    const input = inputOf(0);
    const { schedule } = prepare(input).whole();
    const late = { now: schedule!.home! + 60_000 };
    expect(told(input, late)('landing')).toMatch(/^The hours of the plan are past/);
    const { position } = input.shed.places.find((p) => p.id === input.trip.launch)!;
    expect(told(input, { ...late, position })('landing')).toMatch(/From where this device is\.$/);
  });
  test('by day the sunset, in the dark the sunrise', () => {
    const of = told(inputOf(0));
    expect(of('light')).toMatch(/^Sunset|^It is dark until/);
    const input = inputOf(0);
    const assessment = prepare(input).whole();
    const night = nowOf({ input, assessment, now: Date.UTC(2026, 4, 12, 2), signals: [] });
    expect(render(night('light')[0], reader)).toMatch(/^It is dark until/);
  });
  test('who acts and when: only who accepted counts; late says so; a plan that ended watches nobody', () => {
    const input = inputOf(0);
    const times = { leave: NOW, checkIns: [], overdue: NOW + 50 * HOUR } as never;
    const ada = { id: 'a', name: 'Ada Tolley', accepted: true };
    const plan = (more: object = {}) =>
      ({ times, state: 'under-way' as const, contacts: [ada], ...more }) as never;
    const say = (more: object = {}, now?: number) =>
      told(input, { plan: plan(more), ...(now === undefined ? {} : { now }) })('watch');
    expect(say()).toMatch(/^Ada Tolley accepted to act at .*call if you need help sooner\.$/);
    expect(say({ contacts: [{ ...ada, accepted: false }] })).toMatch(/^Nobody has accepted/);
    expect(say({ channel: 'stand-in' })).toMatch(/No message leaves this machine by itself\.$/);
    expect(say({}, NOW + 51 * HOUR)).toMatch(/^You are overdue/);
    expect(say({ state: 'closed' })).toMatch(/nobody comes unless you call/);
    expect(told(input)('watch')).toMatch(/nobody comes unless you call/);
  });
  test('nobody, nothing, nowhere: each fact says what is missing, and none is a number', () => {
    const empty = inputOf(0, {
      trip: { crew: [], boat: undefined, water: undefined, launch: undefined, halts: [], contacts: [] },
      forecast: null,
    });
    const of = told(empty);
    for (const id of ALL) {
      expect([id, of(id).length > 10]).toEqual([id, true]);
      // Ten minutes for hands stand in words.
      expect([id, /\d/.test(of(id))]).toEqual([id, false]);
    }
  });
  test('who is weak and who has no jacket is named', () => {
    const input = inputOf(1);
    const [first] = input.trip.crew;
    const crew = input.trip.crew.map((c, i) => (i === 0 ? { ...c, wearsJacket: false } : c));
    const people = input.shed.people.map((p) =>
      p.id === first.person ? { ...p, swimming: 'none' as const } : p,
    );
    const said = told(inputOf(1, { trip: { crew }, shed: { people } }))('people');
    const name = people.find((p) => p.id === first.person)!.name;
    expect(said).toContain(`Weak in the water: ${name}`);
    expect(said).toContain(`Without a jacket: ${name}`);
  });
});
