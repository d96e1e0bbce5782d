import type { LatLon } from '@escale/core/earth';
import type { Place, Trip, Water } from '@escale/core/model';
import { goThere } from '@escale/core/trip';
import { change, create, newId } from '../../data/outbox';
import { useKind } from '../../data/hooks';
import { plainly } from '../../data/settings';
import { useUndo } from '../mishap/undo';
import type { TripView } from '../trip/use-trip';
import type { Stop } from '../sketch/stops';
import { MOST_HALTS } from './brought';
import { CHART } from './words';

type Halt = Trip['halts'][number];

/** How long one stays where one goes, minutes, until it is said; a point that only leads the way is passed. */
const STAY = 30;

/** What is done to the way of a trip; nothing where there is no trip. */
export function wayOf(view: TripView | undefined) {
  if (!view) return undefined;
  const { trip, held } = view;
  const put = (pointer: string, value: unknown, said: string) =>
    void change(held, [value === undefined ? { op: 'unset', pointer } : { op: 'set', pointer, value }], said);
  const halts = (next: Halt[], said: string) => put('/halts', next, said);
  return {
    /** No more halts than a trip may have. */
    full: trip.halts.length >= MOST_HALTS,
    /** Goes there last, before the way home. */
    goTo: (place: Place) =>
      halts(goThere(view.input, place, STAY), plainly(CHART.onWay, { name: place.name })),
    /** Leads the way by a place before it comes to a stop of it. */
    through: ({ id, name }: Place, before: Stop | undefined) =>
      halts(
        trip.halts.toSpliced(before?.halt ?? trip.halts.length, 0, { place: id, minutes: 0 }),
        plainly(CHART.onWay, { name }),
      ),
    off: ({ id, name }: Place) =>
      halts(
        trip.halts.filter((halt) => halt.place !== id),
        plainly(CHART.offWay, { name }),
      ),
    leaveFrom: ({ id, name }: Place) => put('/launch', id, name),
    landAt: ({ id, name }: Place) => put('/return', id === trip.launch ? undefined : id, name),
    /** The whole of it anew. @returns what takes it back */
    lead: (places: Place[], said: string) => {
      halts(
        places.map(({ id }) => ({ place: id, minutes: 0 })),
        said,
      );
      return () =>
        change(
          { ...held, version: held.version + 1 },
          [{ op: 'set', pointer: '/halts', value: trip.halts }],
          said,
        );
    },
  };
}

/** What is done to places. */
export function usePlaces(water: Water | undefined) {
  const undo = useUndo();
  const held = useKind('place');
  return {
    make: (name: string, kind: Place['kind'], position: LatLon, more: Partial<Place> = {}): Place => {
      const place: Place = {
        ...more,
        id: newId(),
        name,
        kind,
        position,
        ...(water ? { water: water.id } : {}),
      };
      void create('place', place, plainly(CHART.made, { name }));
      return place;
    },
    move: ({ id, name }: Place, to: LatLon) => {
      const one = held.find((h) => h.id === id);
      if (!one) return;
      const before = one.doc.position;
      const said = plainly(CHART.moved, { name });
      const set = (value: LatLon) => [{ op: 'set' as const, pointer: '/position', value }];
      void change(one, set(to), said);
      undo(said, () => change({ ...one, version: one.version + 1 }, set(before), said));
    },
  };
}

/** A name that no place of these has. */
export function pointName(places: { name: string }[]): string {
  const names = new Set(places.map(({ name }) => name));
  let n = 1;
  while (names.has(plainly(CHART.point, { n }))) n += 1;
  return plainly(CHART.point, { n });
}
