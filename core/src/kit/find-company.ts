import type { Fellow } from '../boat';
import type { Finding, GearItem, GearKind, Person, Trip } from '../model';
import { phrase } from '../say';
import { goTo, type Pace } from '../verdict';
import { KIT } from './limits';

/** Boats together, with what they carry. */
export interface Company {
  trip: Trip;
  /** Every boat of the trip that is in the shed, the trip's own first. */
  fellows: Fellow[];
  people: Person[];
  gear: GearItem[];
  kinds: ReadonlyMap<string, GearKind>;
  speed?: Pace;
}

/** A speed this much slower than the plan's is rounding, m/s. */
const SAME = 1e-9;
/** What a boat should have to be heard beyond a phone. */
const RADIO = 'call-beyond-phone';

/** Boats together: everyone in one boat, each boat in a pair, the slowest sets the pace, and each can call. */
export function companyFindings(company: Company): Finding[] {
  const { trip, fellows, speed } = company;
  if ((trip.company ?? []).length === 0) return [];
  const mend = { label: phrase('company.mend'), ...goTo.trip(trip.id, '/company') };
  const wrong = [
    ...twiceFindings(company, mend),
    ...goneFindings(company, mend),
    ...emptyFindings(company, mend),
  ];
  const heads = new Set(fellows.flatMap((f) => f.people)).size;
  const count = KIT.finding('company/count', wrong.length > 0 ? 'open' : 'counted', trip.id, {
    title: phrase('company.count.title'),
    because: [phrase('company.count.why', { people: heads, boats: fellows.length })],
  });
  const found = [...wrong, count];
  const moving = fellows.flatMap(({ boat, speed: slow }) => (slow === undefined ? [] : [{ boat, slow }]));
  const [slowest] = moving.sort((a, b) => a.slow - b.slow);
  if (slowest && speed && slowest.slow < speed.value - SAME) {
    const { boat, slow } = slowest;
    found.push(
      KIT.finding('company/pace', 'slower', trip.id, {
        title: phrase('company.pace.title'),
        because: [phrase('company.pace.why', { boat: boat.name, slow, plan: speed.value })],
        mend: { label: phrase('speed.none.mend'), ...goTo.trip(trip.id, '/speed') },
      }),
    );
  }
  return [...found, ...looseFindings(company, mend), ...radioFindings(company)];
}

type ToCompany = NonNullable<Finding['mend']>;

function twiceFindings({ trip, fellows, people }: Company, mend: ToCompany): Finding[] {
  const seats = fellows.flatMap((f) => f.people);
  const twice = [...new Set(seats.filter((id, i) => seats.indexOf(id) !== i))];
  if (twice.length === 0) return [];
  const names = twice.map((id) => people.find((p) => p.id === id)?.name ?? phrase('person.gone'));
  const because = [phrase('company.twice.why', { people: names })];
  return [
    KIT.finding('company/twice', 'twice', trip.id, { title: phrase('company.twice.title'), because, mend }),
  ];
}

function goneFindings({ trip, fellows }: Company, mend: ToCompany): Finding[] {
  const here = new Set(fellows.map((f) => f.boat.id));
  const n = (trip.company ?? []).filter((c) => !here.has(c.boat)).length;
  if (n === 0) return [];
  const because = [phrase('company.gone.why', { n })];
  return [
    KIT.finding('company/gone', 'gone', trip.id, { title: phrase('company.gone.title'), because, mend }),
  ];
}

function emptyFindings({ trip, fellows }: Company, mend: ToCompany): Finding[] {
  const boats = fellows.filter((f) => f.people.length === 0).map((f) => f.boat.name);
  if (boats.length === 0) return [];
  const because = [phrase('company.empty.why', { boats })];
  return [
    KIT.finding('company/empty', 'empty', trip.id, { title: phrase('company.empty.title'), because, mend }),
  ];
}

/** With two boats each is the other's pair. */
function looseFindings({ trip, fellows }: Company, mend: ToCompany): Finding[] {
  if (fellows.length <= 2) return [];
  const boats = fellows
    .filter((f) => !f.with && !fellows.some((other) => other.with === f.boat.id))
    .map((f) => f.boat.name);
  if (boats.length === 0) return [];
  const because = [phrase('company.pairs.why', { boats })];
  return [
    KIT.finding('company/pairs', 'loose', trip.id, { title: phrase('company.pairs.title'), because, mend }),
  ];
}

function radioFindings({ trip, fellows, gear, kinds }: Company): Finding[] {
  const places = new Map(trip.stow.map((s) => [s.item, s.place]));
  const n = gear
    .filter((g) => (places.get(g.id) ?? g.stowage) !== 'home')
    .filter((g) => kinds.get(g.kind)?.supplies.some((s) => s.capability === RADIO))
    .reduce((sum, g) => sum + g.count, 0);
  if (n >= fellows.length) return [];
  return [
    KIT.finding('company/radio', 'few', trip.id, {
      title: phrase('company.radio.title'),
      because: [phrase('company.radio.why', { n, boats: fellows.length })],
      mend: { label: phrase('company.radio.mend'), ...goTo.section('pack/kit') },
    }),
  ];
}
