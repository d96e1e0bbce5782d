import type { Finding, Phrase } from '../model';
import { mendFact } from '../rules';
import { phrase } from '../say';
import type { SourceId } from '../sources';
import { goTo } from '../verdict';
import type { Context } from './context';
import { NEAR, type Fit, type FitReason } from './fit';
import { TRIP } from './limits';

/** What speaks for or against her, as a sentence. */
export function reasonPhrase({ row, is }: FitReason): Phrase {
  if (is === 'against') return phrase('fit.against', { what: row.against.title, why: row.against.why });
  if (is === 'for') return phrase('fit.for', { what: row.for ?? '' });
  return phrase('fit.unsaid', { what: row.unsaid ?? '' });
}

/** Near a landing nothing of it is said. Out there a boat for near the shore is a Fix, and what nobody said of her is open. */
export function fitFindings(context: Context, fit: Fit | undefined): Finding[] {
  const { trip, boat, water } = context;
  if (!fit || !boat || fit.out === 'no') return [];
  const against = fit.reasons.filter(({ is }) => is === 'against');
  const unsaid = fit.reasons.filter(({ is }) => is === 'unsaid');
  const heavy = against.some(({ row }) => row.against.level === 'fix');
  const names = { boat: boat.name };
  const away: Phrase[] =
    fit.off === undefined || fit.off === 'unknown' || fit.out === 'unknown'
      ? [phrase('fit.off.unknown', { near: NEAR })]
      : [phrase('fit.off', { metres: fit.off.metres, landing: fit.off.landing.name, near: NEAR })];
  const because = [...away, ...[...against, ...unsaid].map(reasonPhrase), ...changesOf(fit)];
  const source = (against[0] ?? unsaid[0])?.row.source as SourceId | undefined;
  const made = (
    as: 'beyond' | 'maybe' | 'open' | 'against' | 'fit',
    title: Phrase,
    mend?: Finding['mend'],
  ) => [TRIP.finding('trip/fit', as, trip.id, { title, because, source, mend })];
  const on = { trip, boatId: boat.id, ...(water ? { waterId: water.id } : {}) };
  const [first] = fit.changes;
  const change = first && {
    label: phrase('fit.change', { what: first.title }),
    go: { ...first.at, id: first.at.type === 'boat' ? boat.id : trip.id },
  };
  const nearer = { label: phrase('fit.nearer'), ...goTo.trip(trip.id, '/halts') };
  if (heavy && fit.out === 'yes') return made('beyond', phrase('fit.beyond.title', names), change ?? nearer);
  if (heavy) return made('maybe', phrase('fit.maybe.title', names), change ?? nearer);
  const lacks = unsaid[0]?.missing[0];
  if (unsaid.length > 0)
    return made('open', phrase('fit.open.title', names), lacks === undefined ? nearer : mendFact(lacks, on));
  if (fit.out === 'unknown') return made('open', phrase('fit.open.title', names), nearer);
  if (against.length > 0) return made('against', phrase('fit.against.title', names));
  return made('fit', phrase('fit.fit.title', names));
}

/** The cheapest thing that would change it, and that near the shore any boat may go. */
function changesOf({ changes }: Fit): Phrase[] {
  const [cheapest, ...others] = changes;
  if (!cheapest) return [];
  return [
    others.length > 0
      ? phrase('fit.changes', { first: cheapest.title, others: others.map(({ title }) => title), near: NEAR })
      : phrase('fit.changes.one', { first: cheapest.title, near: NEAR }),
  ];
}
