import { drives } from '../boat';
import { ageRange, daysBetween } from '../earth';
import type { Boat, Finding, GearItem, Person, Trip } from '../model';
import { phrase } from '../say';
import { goTo, guessed, sure } from '../verdict';
import { liftLacking, type JacketContext, type JacketFit, type JacketPlan } from './jackets';
import { KIT } from './limits';

/** Who of the trip's own crew goes onto open water in a jacket with little lift, or with a lift that nobody knows. */
export function liftFindings(
  trip: Pick<Trip, 'id' | 'crew'>,
  plan: JacketPlan,
  context: JacketContext,
): Finding[] {
  const { openWater, water } = context;
  if (!openWater || !water || !openWater.waters.includes(water.class)) return [];
  return trip.crew.flatMap((member, at): Finding[] => {
    const person = context.people.find((p) => p.id === member.person);
    const fit = plan.fits.get(member.person);
    if (!person || !fit) return [];
    const { item } = fit.piece;
    const said = {
      title: phrase('jacket.low.title', { person: person.name }),
      source: { id: openWater.source },
    };
    if (item.buoyancy === undefined || person.mass === undefined) {
      const go =
        item.buoyancy === undefined ? goTo.gear(item.id, '/buoyancy') : goTo.person(person.id, '/mass');
      return [
        KIT.finding('kit/lift', 'unknown', person.id, {
          ...said,
          because: [phrase('jacket.low.unknown', { item: item.name })],
          mend: { label: phrase('mend.look', { item: item.name }), ...go },
        }),
      ];
    }
    const low = liftLacking(person, fit.piece, context);
    if (!low) return [];
    return [
      KIT.finding('kit/lift', 'low', person.id, {
        ...said,
        because: [
          phrase('jacket.low.why', { item: item.name, ...low, mass: person.mass }),
          phrase('jacket.low.schools'),
        ],
        mend: { label: phrase('jacket.low.mend'), ...goTo.trip(trip.id, `/crew/${at}/jacket`) },
      }),
    ];
  });
}

/** What is known of a body, its jacket, and the trip on which it is worn. */
interface OnTrip {
  trip: Pick<Trip, 'id' | 'crew' | 'company'>;
  boat: Boat | undefined;
  /** Civil date at the launch on which the trip ends. */
  on: string;
  alone: boolean;
}

/** Who of the trip's own crew wears a jacket that does not suit the wearer, the boat or the day: each by its own reason. */
export function suitFindings(
  { trip, boat, on }: Pick<OnTrip, 'trip' | 'boat' | 'on'>,
  plan: JacketPlan,
  { people }: Pick<JacketContext, 'people'>,
): Finding[] {
  const here: OnTrip = { trip, boat, on, alone: trip.crew.length === 1 && (trip.company ?? []).length === 0 };
  return trip.crew.flatMap(({ person: id }) => {
    const person = people.find((each) => each.id === id);
    const fit = plan.fits.get(id);
    if (!person || !fit) return [];
    const item = sure(fit.piece.item);
    return [
      ...firing(here, sure(person), fit, item),
      ...forChildren(here, sure(person), item),
      ...cut(here, person, item),
      ...floated(here, person, item),
    ];
  });
}

type Field = 'trigger' | 'rearmBy' | 'crotch' | 'headUp' | 'paddleCut' | 'floatedIn';
const look = (item: GearItem, field: Field) => ({
  label: phrase('mend.look', { item: item.name }),
  ...goTo.gear(item.id, `/${field}`),
});

const FAST = KIT.limit('jacket-fast');
/** Those who are not to be trusted to pull a cord: the stunned, the thrown, the frightened. */
const WEAK: ReadonlySet<string | undefined> = new Set(['none', 'weak']);
/** Craft on which one is wet from the first minute, and those on which one goes in for sure. */
const WET: ReadonlySet<string | undefined> = new Set([
  'sit-on-top',
  'sit-inside',
  'canoe',
  'paddleboard',
  'personal-watercraft',
  'catamaran',
]);

/** A jacket that is blown up: what fires it against who wears it and where, and whether it still does. */
function firing(
  { boat, on, alone }: OnTrip,
  person: Person,
  { piece }: JacketFit,
  item: GearItem,
): Finding[] {
  if (!piece.kind.cylinder) return [];
  const names = { person: person.name, item: item.name };
  const fast = boat?.maxSpeed !== undefined && !guessed(boat, '/maxSpeed') && boat.maxSpeed >= FAST;
  const why = WEAK.has(person.swimming)
    ? phrase('jacket.manual.weak', names)
    : alone
      ? phrase('jacket.manual.alone', names)
      : fast
        ? phrase('jacket.manual.fast', { ...names, fast: FAST })
        : undefined;
  // What nobody said of the swimmer or the boat may be just what makes it matter.
  const unsaid =
    person.swimming === undefined
      ? { said: phrase('jacket.manual.swims', names), ...goTo.person(person.id, '/swimming') }
      : boat && drives(boat).motor && sure(boat).maxSpeed === undefined
        ? { said: phrase('jacket.manual.speed', names), ...goTo.boat(boat.id, '/maxSpeed') }
        : undefined;
  const found: Finding[] = [];
  const title = phrase('jacket.fires.title', names);
  const mend = look(item, 'trigger');
  const raft = boat?.kind === 'raft';
  if (item.trigger === undefined && (why || unsaid || raft || WET.has(boat?.kind)))
    found.push(
      KIT.finding('jacket/trigger', 'unknown', person.id, {
        title,
        because: [phrase('jacket.trigger.unknown', names)],
        mend,
      }),
    );
  if (item.trigger === 'manual' && why)
    found.push(KIT.finding('jacket/trigger', 'manual', person.id, { title, because: [why], mend }));
  if (item.trigger === 'manual' && !why && unsaid) {
    const { said, ...to } = unsaid;
    found.push(
      KIT.finding('jacket/trigger', 'unknown', person.id, {
        title,
        because: [said],
        mend: { label: phrase('mend.look', { item: person.name }), ...to },
      }),
    );
  }
  if (item.trigger === 'automatic' && (raft || WET.has(boat?.kind)))
    found.push(
      KIT.finding('jacket/trigger', raft ? 'raft' : 'spray', person.id, {
        title,
        because: [phrase(raft ? 'jacket.automatic.raft' : 'jacket.automatic.spray', names)],
        mend,
      }),
    );
  if (item.rearmBy === undefined || item.rearmBy < on)
    found.push(
      KIT.finding('jacket/rearm', item.rearmBy === undefined ? 'unknown' : 'past', person.id, {
        title: phrase('jacket.rearm.title', names),
        because: [
          item.rearmBy === undefined
            ? phrase('jacket.rearm.unknown', names)
            : phrase('jacket.rearm.past', { ...names, on: item.rearmBy }),
        ],
        mend: look(item, 'rearmBy'),
      }),
    );
  return found;
}

const CHILD = KIT.limit('jacket-child-age'),
  INFANT = KIT.limit('jacket-infant-mass'),
  SMALL = KIT.limit('jacket-child-mass');

/** A child slips out of a jacket without a strap; an infant’s head needs holding. */
function forChildren({ on }: OnTrip, person: Person, item: GearItem): Finding[] {
  const youngest = person.born === undefined ? undefined : ageRange(person.born, on)[0];
  // So light, and nobody said how old: it may be a child.
  const small = person.mass !== undefined && person.mass < SMALL;
  const infant = person.mass !== undefined && person.mass < INFANT;
  const child = infant || (youngest === undefined ? small : youngest < CHILD);
  const names = { person: person.name, item: item.name };
  const asked = (kind: 'jacket/strap' | 'jacket/head', has: boolean | undefined, field: Field): Finding[] =>
    has === true
      ? []
      : [
          KIT.finding(kind, has === undefined ? 'unknown' : 'lacks', person.id, {
            title: phrase(kind === 'jacket/strap' ? 'jacket.strap.title' : 'jacket.head.title', names),
            because: [phrase(kind === 'jacket/strap' ? 'jacket.strap' : 'jacket.head', names)],
            mend: look(item, field),
          }),
        ];
  return [
    ...(child ? asked('jacket/strap', item.crotch, 'crotch') : []),
    ...(infant ? asked('jacket/head', item.headUp, 'headUp') : []),
  ];
}

const PADDLED: ReadonlySet<string | undefined> = new Set(['sit-on-top', 'sit-inside', 'canoe', 'raft']);

function cut({ boat }: OnTrip, person: Person, item: GearItem): Finding[] {
  if (item.paddleCut !== false || !PADDLED.has(boat?.kind)) return [];
  return [
    KIT.finding('jacket/cut', 'wrong', person.id, {
      title: phrase('jacket.cut.title', { person: person.name }),
      because: [phrase('jacket.cut', { item: item.name })],
    }),
  ];
}

const FLOATED = KIT.limit('jacket-floated');

/** A jacket in which one has not floated for long is one that one does not know. */
function floated({ on }: OnTrip, person: Person, item: GearItem): Finding[] {
  if (item.floatedIn === undefined) return [];
  if (daysBetween(item.floatedIn, on) <= FLOATED) return [];
  return [
    KIT.finding('jacket/floated', 'long', person.id, {
      title: phrase('jacket.floated.title', { person: person.name }),
      because: [phrase('jacket.floated', { item: item.name, on: item.floatedIn })],
      mend: look(item, 'floatedIn'),
    }),
  ];
}
