import type { Finding, Trip } from '../model';
import { phrase } from '../say';
import { goTo, type Pointer } from '../verdict';
import type { Context } from './context';
import { TRIP } from './limits';

/** What is missing of the trip itself: what nobody chose, and what was chosen and is no longer in the shed. */
export function missingFindings({ trip, boat, water, launch, back, halts, gone }: Context): Finding[] {
  const missing = (
    kind: 'no-boat' | 'no-crew' | 'no-water' | 'no-launch' | 'no-route',
    key: 'boat.none' | 'crew.none' | 'water.none' | 'launch.none' | 'route.none',
    pointer: Pointer<Trip>,
  ) =>
    TRIP.finding(`trip/${kind}`, 'missing', trip.id, {
      title: phrase(`${key}.title`),
      because: [phrase(`${key}.why`)],
      mend: { label: phrase(`${key}.mend`), ...goTo.trip(trip.id, pointer) },
    });
  const lost = halts.filter((h) => !h).length;
  const toRoute = (pointer: Pointer<Trip>) => ({
    label: phrase('route.none.mend'),
    ...goTo.trip(trip.id, pointer),
  });
  return [
    ...(boat ? [] : [missing('no-boat', 'boat.none', '/boat')]),
    ...(trip.crew.length > 0 ? [] : [missing('no-crew', 'crew.none', '/crew')]),
    ...(water ? [] : [missing('no-water', 'water.none', '/water')]),
    ...(launch ? [] : [missing('no-launch', 'launch.none', '/launch')]),
    ...(trip.halts.length > 0 ? [] : [missing('no-route', 'route.none', '/halts')]),
    ...(lost === 0
      ? []
      : [
          TRIP.finding('trip/route-gone', 'missing', trip.id, {
            title: phrase('route.gone.title'),
            because: [phrase('route.gone.why', { n: lost })],
            mend: toRoute('/halts'),
          }),
        ]),
    ...(trip.return === undefined || back
      ? []
      : [
          TRIP.finding('trip/return-gone', 'missing', trip.id, {
            title: phrase('return.gone.title'),
            because: [phrase('return.gone.why')],
            mend: toRoute('/return'),
          }),
        ]),
    ...(gone.size === 0
      ? []
      : [
          TRIP.finding('trip/crew-gone', 'missing', trip.id, {
            title: phrase('crew.gone.title'),
            because: [phrase('crew.gone.why', { n: gone.size })],
            mend: { label: phrase('crew.none.mend'), ...goTo.trip(trip.id, '/crew') },
          }),
        ]),
  ];
}
