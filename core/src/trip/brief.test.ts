import { describe, expect, test } from '@jest/globals';
import { inputOf } from '../../test/demo';
import { proceduresFor } from '../procedure';
import { PROCEDURES } from '../procedure/library';
import { render, type Reader } from '../say';
import { aloudSeconds, BRIEF_MOST, briefOf } from './brief';
import { prepare } from '.';

const reader: Reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' };
const cardsOf = (world: Parameters<typeof proceduresFor>[1]) =>
  proceduresFor(
    PROCEDURES.filter((p) => p.group === 'trouble'),
    world,
  );

function told(input: ReturnType<typeof inputOf>) {
  const prepared = prepare(input);
  const { world, kit } = prepared.match();
  const brief = briefOf({
    input,
    assessment: prepared.whole(),
    world,
    pieces: kit.pieces,
    cards: cardsOf(world),
  });
  const said = Object.fromEntries(
    brief.parts.map(({ id, says }) => [id, says.map((each) => render(each, reader))]),
  );
  return { brief, said, texts: Object.values(said).flat() };
}

describe('what the crew is told', () => {
  test.each([0, 1, 3])('trip %i of the demo: read aloud in less than three minutes', (n) => {
    const { texts } = told(inputOf(n));
    expect(texts.length).toBeGreaterThan(5);
    expect(aloudSeconds(texts)).toBeLessThan(BRIEF_MOST);
  });
  test('four in the trailer boat: who leads, who is weak, who sits where, and how to start her', () => {
    const { said } = told(inputOf(1));
    expect(said.people.join(' ')).toMatch(/Rowan Pike leads/);
    expect(said.people.join(' ')).toMatch(/Beside a strong one: Bram Tolley/);
    expect(said.seats).toHaveLength(4);
    expect(said.start.join(' ')).toMatch(/neutral/);
    expect(said.if.join(' ')).toMatch(/The driver is overboard\. Neutral or throttle off/);
    expect(said.hold.join(' ')).toMatch(/Nobody on the bow/);
  });
  test('alone in a kayak: nobody is told where others sit or how to start what has no motor', () => {
    const { said } = told(inputOf(0));
    expect(Object.keys(said)).not.toEqual(expect.arrayContaining(['seats']));
    expect(Object.keys(said)).not.toEqual(expect.arrayContaining(['start']));
    expect(said.if.join(' ')).toMatch(/Capsized: back onto a sit-on-top/);
  });
  test('medical notes stand apart from all that is read aloud', () => {
    const input = inputOf(1);
    const people = input.shed.people.map((p, i) => (i === 1 ? { ...p, medical: 'asthma, blue inhaler' } : p));
    const { brief, texts } = told(inputOf(1, { shed: { people } }));
    expect(brief.medical).toEqual([{ name: 'Maren Pike', says: 'asthma, blue inhaler' }]);
    expect(texts.join(' ')).not.toMatch(/asthma/);
  });
  test('nobody, nothing: what is missing is said, nothing is promised', () => {
    const { said } = told(
      inputOf(0, {
        trip: { crew: [], boat: undefined, launch: undefined, water: undefined, halts: [], contacts: [] },
        forecast: null,
      }),
    );
    expect(said.today.join(' ')).toMatch(/not reckoned.*Nobody ashore watches/);
    expect(said.people.join(' ')).toMatch(/Say who leads/);
  });
  test('150 words are a minute', () => expect(aloudSeconds([Array(150).fill('word').join(' ')])).toBe(60));
});
