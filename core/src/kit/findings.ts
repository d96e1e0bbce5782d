import HARM from '../../data/kit/harm.json';
import type { Capability, Demand, Finding, Harm, Phrase, Requirement, Rule } from '../model';
import { HARMS } from '../model/lists';
import { phrase } from '../say';
import { SAID } from './deeds';
import { KIT } from './limits';
import { byHope, waysOf, type KitFindingContext } from './mends';

/**
 * One finding a requirement that applies or may apply. Law is loud; advice speaks with its rule's weight;
 * what can't be told is never Set.
 */
export function kitFindings(requirements: Requirement[], context: KitFindingContext): Finding[] {
  const { trip, fellow } = context;
  return requirements.flatMap((requirement) => {
    // What only may apply and is met all the same asks for nothing, and settles nothing.
    if (requirement.applies === 'no' || (requirement.applies === 'unknown' && requirement.met === 'yes'))
      return [];
    const { rule, title, met } = requirement;
    const subject = fellow?.id ?? trip.id;
    const named = fellow
      ? phrase('kit.title.boat', { boat: fellow.name, title })
      : phrase('kit.title', { title });
    const [mend, ...others] = met === 'yes' ? [] : waysOf(requirement, context);
    return [
      KIT.finding('kit/rule', caseOf(requirement), subject, {
        id: `kit/${rule}/${subject}`,
        ...weightOf(requirement, context.weights.get(rule)),
        harm: harmOf(requirement),
        title: named,
        ...(met === 'yes' ? {} : { alone: phrase(SAYS[caseOf(requirement)], { title: named }) }),
        because: [...outcome(requirement, context), ...requirement.because.map((b) => b.phrase)],
        source: requirement.source,
        // The cheapest way is the one tap; the others stand behind it.
        mend,
        others,
      }),
    ];
  });
}

function caseOf({ layer, applies, met }: Requirement) {
  if (met === 'yes') return 'met';
  const open = met === 'unknown' || applies === 'unknown';
  if (layer === 'law') return open ? 'law-open' : 'law';
  if (layer === 'own') return 'own';
  return open ? 'advice-open' : 'advice';
}

/** What is asked for has a name for a title; alone it needs what became of it. */
const SAYS = {
  met: 'kit.title',
  law: 'kit.alone.missing',
  'law-open': 'kit.alone.open',
  own: 'kit.alone.missing',
  advice: 'kit.alone.missing',
  'advice-open': 'kit.alone.open',
} as const;

/** Advice that is not met weighs what its rule says. */
const weightOf = (requirement: Requirement, weight: Rule['weight']) =>
  weight && caseOf(requirement) === 'advice' ? { level: weight } : {};

const AT_STAKE = new Map(
  (Object.entries(HARM) as [Harm, Capability[]][]).flatMap(([harm, list]) =>
    list.map((capability) => [capability, harm] as const),
  ),
);
/** What is at stake when it is not met: the worst of what is asked for; a deed (worn, clipped on) is for life. */
function harmOf({ anyOf, deeds }: Requirement): Harm {
  if (deeds && deeds.length > 0) return 'life';
  const asked = anyOf.flat().map(({ capability }) => AT_STAKE.get(capability) ?? 'hurt');
  return HARMS.find((harm) => asked.includes(harm)) ?? 'hurt';
}

const needPhrase = (demand: Demand) =>
  phrase('kit.need', { count: demand.count ?? 1, what: phrase(`capability.${demand.capability}`) });

function outcome(requirement: Requirement, context: KitFindingContext): Phrase[] {
  const name = (id: string) => context.gear.find((g) => g.id === id)?.name ?? id;
  const person = (id: string) => context.people.find((p) => p.id === id)?.name ?? id;
  const lines = deedLines(requirement, context);
  if (requirement.anyOf.length === 0 && requirement.met !== 'no' && requirement.nearMisses.length === 0)
    return lines;
  if (requirement.applies === 'unknown' && requirement.met !== 'yes') lines.push(phrase('kit.rule.unknown'));
  if (requirement.met === 'yes') {
    const uses = requirement.metBy.map((use) =>
      use.person
        ? phrase('kit.use.person', { item: name(use.item), person: person(use.person) })
        : use.count > 1
          ? phrase('kit.use.count', { count: use.count, item: name(use.item) })
          : phrase('kit.use', { item: name(use.item) }),
    );
    if (uses.length > 0) lines.push(phrase('kit.met', { uses }));
    return lines;
  }
  const used = new Set(requirement.metBy.map((u) => u.item));
  for (const miss of byHope(requirement.nearMisses).slice(0, MOST_NEAR_MISSES)) {
    const unsure = miss.reasons.every((r) => r.unknown);
    if (requirement.met === 'unknown' && !used.has(miss.item)) continue;
    lines.push(
      phrase(unsure ? (used.has(miss.item) ? 'kit.unsure' : 'kit.near.unsure') : 'kit.near', {
        item: name(miss.item),
        reasons: miss.reasons.map((r) => r.phrase),
      }),
    );
  }
  if (requirement.nearMisses.length === 0 && requirement.missing.length > 0) lines.push(phrase('kit.none'));
  const lacking = requirement.missing.find((m) => m.persons) ?? requirement.missing[0];
  if (lacking?.persons) {
    const people = lacking.persons.map(person);
    const what = phrase(`capability.${lacking.capability}`);
    lines.push(
      lacking.capability === 'wearable'
        ? phrase('kit.missing.for', { people })
        : phrase('kit.missing.bodies', { people, what }),
    );
  } else if (lacking)
    lines.push(
      phrase('kit.missing', {
        need: phrase('kit.or', {
          alternatives: requirement.anyOf.map((all) => phrase('kit.list', { uses: all.map(needPhrase) })),
        }),
        have: lacking.have,
      }),
    );
  return lines;
}

const MOST_NEAR_MISSES = 6;

const DEED_WORDS = {
  worn: { met: 'kit.declare.met', not: 'kit.declare.not', unset: 'kit.declare.unset' },
  cord: { met: 'kit.cord.met', not: 'kit.cord.not', unset: 'kit.cord.unset' },
} as const;

/** What those whom a deed concerns said of it. */
function deedLines(requirement: Requirement, { trip, people }: KitFindingContext): Phrase[] {
  const lines: Phrase[] = [];
  for (const deed of requirement.deeds ?? []) {
    const concerned = trip.crew.flatMap((c) => {
      const who = people.find((p) => p.id === c.person);
      return who && requirement.concerns?.includes(who.id) ? [{ name: who.name, said: c[SAID[deed]] }] : [];
    });
    const list = (said: boolean | undefined) => concerned.filter((c) => c.said === said).map((c) => c.name);
    const words = DEED_WORDS[deed];
    if (concerned.length === 0 && deed === 'cord') lines.push(phrase('kit.cord.nobody'));
    if (requirement.met === 'yes' && concerned.length > 0)
      lines.push(phrase(words.met, { people: list(true) }));
    if (list(false).length > 0) lines.push(phrase(words.not, { people: list(false) }));
    if (list(undefined).length > 0) lines.push(phrase(words.unset, { people: list(undefined) }));
  }
  return lines;
}
