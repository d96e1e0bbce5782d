import { emptyWeight, ENDURANCE, hullOf, loadOf, waysHome } from '../boat';
import type { Finding, Phrase } from '../model';
import { phrase } from '../say';
import { finding, guessed, type Context } from './context';
import { WAYS_ENOUGH } from './limits';

/** Ways home, counted; a kind that nobody says can move her far enough is named. */
export function wayFindings({ trip, boat, people, route }: Context): Finding[] {
  if (!boat || boat.propulsion.length === 0) return [];
  const hull = hullOf(boat);
  const loaded = (hull ? emptyWeight(boat, hull).mass : (boat.mass ?? 0)) + loadOf(boat, people, trip).total;
  const ways = waysHome(boat, loaded);
  const base = { section: 'pack/load' as const, source: WAYS_ENOUGH.source };
  const mend = {
    label: phrase('ways.mend'),
    go: { type: 'boat' as const, id: boat.id, pointer: '/propulsion' },
  };
  const enough = ways.length >= WAYS_ENOUGH.value;
  // A way that somebody only guessed is no way to count on.
  const guess = boat.propulsion.some((_, i) => guessed(boat, `/propulsion/${i}/kind`));
  const assumed: Phrase[] = guess ? [phrase('ways.guess')] : [];
  const [first] = ways;
  const found = [
    finding({
      ...base,
      id: `ways/count/${boat.id}`,
      level: enough && !guess ? 'ready' : WAYS_ENOUGH.level,
      title: phrase('ways.title'),
      because: [
        enough
          ? phrase('ways.enough', { n: ways.length })
          : phrase('ways.one', { first: phrase(`drive.${first.kind}`) }),
      ],
      assumed,
      ...(enough && !guess ? {} : { mend }),
    }),
  ];
  const far = route?.metres;
  if (far === undefined || !first.range || first.range[1] >= far) return found;
  // The whole way out and home has to lie within what the tank gives with its reserve kept, or arms do.
  const arms = first.range[0] < first.range[1];
  const values = { range: first.range[1], far, drive: phrase(`drive.${first.kind}`) };
  return [
    ...found,
    finding({
      ...base,
      id: `ways/range/${trip.id}`,
      level: 'fix',
      title: phrase(arms ? 'ways.range.arms.title' : 'ways.range.title'),
      because: [
        arms
          ? phrase('ways.range.arms', { ...values, hours: ENDURANCE.high })
          : phrase('ways.range.why', values),
      ],
      source: arms ? 'paddle-pace' : 'thirds',
      mend,
    }),
  ];
}
