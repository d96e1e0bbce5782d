import type { Bundle, Figure, Finding, Mend, Phrase, Requirement } from '@escale/core/model';
import { clock, dayOf, render, type Reader, type WordKey, phraseOf } from '@escale/core/say';
import { assess } from '@escale/core/trip';
import { format, spanText, type UnitSystem } from '@escale/core/units';
import { Refused } from './refused';
import { CATALOGUE } from '@escale/core/kit';
import { packsOn } from '@escale/core/rules';
import { countLevels, worstLevel } from '@escale/core/verdict';

type Way = { label: string } & Record<string, unknown>;

/** What `assess --json` prints. Names are stable within `v1`. */
export interface Result {
  escale: 'assessment';
  schema: 'v1';
  core: string;
  trip: { id: string; title: string; leave?: string };
  at: string;
  verdict: string;
  counts: Record<Finding['level'], number>;
  packs: { id: string; version: string; hash: string }[];
  requirements: (Pick<
    Requirement,
    | 'rule'
    | 'pack'
    | 'layer'
    | 'title'
    | 'text'
    | 'applies'
    | 'anyOf'
    | 'source'
    | 'met'
    | 'metBy'
    | 'missing'
  > & {
    because: { text: string; truth: string }[];
    nearMisses: { item: string; reasons: { code: string; text: string; unknown: boolean }[] }[];
  })[];
  findings: {
    id: string;
    level: Finding['level'];
    section: string;
    title: string;
    because: string[];
    assumed: string[];
    figures: string[];
    varies?: Finding['varies'];
    source?: Finding['source'];
    mend?: Way;
    others?: Way[];
  }[];
  /** The least set of things that meets the requirements is proved to be the least. */
  leastProved: boolean;
  figures: Record<string, Figure & { text: string }>;
}

/** Assess one trip of a bundle: `trip`, or the first. Conditions travel in the bundle; without them there is no forecast. */
export function assessBundle(
  bundle: Bundle,
  { at = Date.parse(bundle.asOf), trip: wanted, units }: { at?: number; trip?: string; units: UnitSystem },
): Result {
  const trip = wanted === undefined ? bundle.trips[0] : bundle.trips.find((t) => t.id === wanted);
  if (!trip)
    throw new Refused([
      wanted === undefined
        ? 'There is no trip in this bundle.'
        : `There is no trip ${wanted}. Here: ${bundle.trips.map((t) => `${t.id} ${t.title}`).join('; ')}`,
    ]);
  const water = bundle.shed.waters.find((w) => w.id === trip.water);
  const a = assess({
    trip,
    shed: bundle.shed,
    conditions: bundle.conditions?.[trip.id] ?? {},
    packs: packsOn(water, bundle.shed),
    catalogue: CATALOGUE,
    now: at,
  });
  const reader: Reader = { units, zone: water?.zone ?? 'UTC', locale: 'en-GB' };
  const words = (p: Phrase) => render(p, reader);
  const said = (mend: Mend) => ({ ...mend, label: words(mend.label) });
  const name = (key: string) => render(phraseOf(key as WordKey), reader);
  return {
    escale: 'assessment',
    schema: 'v1',
    core: a.core,
    trip: {
      id: trip.id,
      title: trip.title,
      ...(a.leave === undefined ? {} : { leave: new Date(a.leave).toISOString() }),
    },
    at: new Date(at).toISOString(),
    verdict: worstLevel(a.findings),
    counts: countLevels(a.findings),
    packs: a.packs,
    requirements: a.requirements.map((r) => ({
      rule: r.rule,
      pack: r.pack,
      layer: r.layer,
      title: r.title,
      text: r.text,
      applies: r.applies,
      because: r.because.map((b) => ({ text: words(b.phrase), truth: b.truth })),
      anyOf: r.anyOf,
      source: r.source,
      met: r.met,
      metBy: r.metBy,
      missing: r.missing,
      nearMisses: r.nearMisses.map((m) => ({
        item: m.item,
        reasons: m.reasons.map(({ code, phrase: p, unknown }) => ({ code, text: words(p), unknown })),
      })),
    })),
    findings: a.findings.map(
      ({ id, level, section, varies, title, because, assumed, figures, source, mend, others }) => ({
        id,
        level,
        section,
        ...(varies ? { varies } : {}),
        title: words(title),
        because: because.map(words),
        assumed: assumed.map(words),
        figures,
        ...(source ? { source } : {}),
        ...(mend ? { mend: said(mend) } : {}),
        ...(others ? { others: others.map(said) } : {}),
      }),
    ),
    leastProved: a.leastProved,
    figures: Object.fromEntries(
      Object.entries(a.figures).map(([key, f]) => [
        key,
        { ...f, label: name(f.label), formula: name(f.formula), text: figureText(f, reader) },
      ]),
    ),
  };
}

function figureText({ value, quantity }: Figure, reader: Reader): string {
  if (quantity === 'instant') return `${dayOf(value, reader)} ${clock(value, reader)}`;
  return quantity === 'duration'
    ? `${value < 0 ? '−' : ''}${spanText(value)}`
    : format(value, quantity, reader.units);
}

const WORD = { stop: 'STOP ', fix: 'Fix  ', know: 'Know ', ready: 'Ready' } as const;

/** The same for a person at a terminal. */
export function asText(result: Result): string {
  const { counts } = result;
  const lines = [
    `${result.trip.title}${result.trip.leave ? `, leaving ${result.trip.leave}` : ''}`,
    `${counts.stop} Stop, ${counts.fix} Fix, ${counts.know} Know, ${counts.ready} Ready. As of ${result.at}.`,
    '',
  ];
  for (const f of result.findings) {
    lines.push(`${WORD[f.level]}  ${f.title}`);
    if (f.level !== 'ready') for (const because of f.because) lines.push(`        ${because}`);
    if (f.mend) lines.push(`        → ${f.mend.label}`);
  }
  lines.push(
    '',
    ...Object.values(result.figures).map((f) => `${f.label}: ${f.text}   (${f.formula})`),
    '',
    'Escale advises; it never permits. Ask the local authority what holds there today.',
    '',
  );
  return lines.join('\n');
}
