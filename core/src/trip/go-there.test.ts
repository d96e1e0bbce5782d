import { describe, expect, test } from '@jest/globals';
import { inputOf } from '../../test/demo';
import { MS } from '../units';
import { assess } from '.';
import { goThere } from './go-there';

const demo = inputOf(0);
const launch = demo.trip.launch!;
const place = demo.shed.places.find(({ name }) => name === 'Tern Holm')!;
const input = inputOf(0, { trip: { halts: [{ place: launch, minutes: 300, doing: 'fish' }] } });

describe('going to a place', () => {
  test('who stayed about the launch goes there instead, and is out as long as before', () => {
    const halts = goThere(input, place, 30);
    expect(halts).toMatchObject([{ place: place.id, doing: 'fish' }]);
    const home = assess({ ...input, trip: { ...input.trip, halts } }).schedule!.home!;
    const late = home - assess(input).schedule!.home!;
    expect(late).toBeLessThanOrEqual(0);
    expect(late).toBeGreaterThan(-5 * MS.minute);
  });
  test('a place that was made a moment ago is gone to as well', () => {
    const made = { ...place, id: '01890000-0000-7000-8000-0000000000f1', name: 'Point 1' };
    expect(goThere(input, made, 30)).toEqual([{ ...goThere(input, place, 30)[0], place: made.id }]);
  });
  test('where the way takes longer than one wanted to be out nobody stays there', () => {
    const short = inputOf(0, { trip: { halts: [{ place: launch, minutes: 30 }] } });
    expect(goThere(short, place, 30)).toEqual([{ place: place.id, minutes: 0 }]);
  });
  test('without a speed the stay is kept', () => {
    const boats = input.shed.boats.map((boat) => ({ ...boat, propulsion: [] }));
    const { speed: _, ...trip } = input.trip;
    const still = { ...input, trip, shed: { ...input.shed, boats } };
    expect(goThere(still, place, 30)).toEqual([{ place: place.id, minutes: 300, doing: 'fish' }]);
  });
  test('a way that leads somewhere goes on to it last', () => {
    expect(goThere(demo, place, 30)).toEqual([...demo.trip.halts, { place: place.id, minutes: 30 }]);
    const nowhere = inputOf(0, { trip: { halts: [] } });
    expect(goThere(nowhere, place, 30)).toEqual([{ place: place.id, minutes: 30 }]);
  });
});
