import { forgottenBefore, forgottenKey } from '../kit';
import type { Figure, Finding } from '../model';
import { phrase } from '../say';
import { companyFindings } from './company';
import { finding, type Context } from './context';
import { lieFindings } from './lie';
import { loadFindings } from './loading';
import { wayFindings } from './ways';
import { packsOf } from '../rules';

type Figures = Record<string, Figure>;

/** Findings and figures that hold whenever the trip leaves: what is missing, load, how she lies, ways home, what was forgotten before. */
export function standing(context: Context): { findings: Finding[]; figures: Figures } {
  const figures: Figures = {};
  const findings = [...missingThings(context), ...loadFindings(context, figures), ...lieFindings(context, figures), ...wayFindings(context), ...companyFindings(context), ...offFindings(context), ...forgottenFindings(context)];
  return { findings, figures };
}

function missingThings({ trip, boat, water, launch, back, halts, gone, speed }: Context): Finding[] {
  const found: Finding[] = [];
  const say = (id: string, section: Finding['section'], key: 'boat.none' | 'crew.none' | 'water.none' | 'launch.none' | 'route.none', pointer: string) =>
    found.push(finding({ id: `trip/${id}/${trip.id}`, level: 'fix', section, title: phrase(`${key}.title`), because: [phrase(`${key}.why`)], mend: { label: phrase(`${key}.mend`), go: { type: 'trip', id: trip.id, pointer } } }));
  if (!boat) say('no-boat', 'plan/boat', 'boat.none', '/boat');
  if (trip.crew.length === 0) say('no-crew', 'plan/boat', 'crew.none', '/crew');
  if (!water) say('no-water', 'plan/water', 'water.none', '/water');
  if (!launch) say('no-launch', 'plan/water', 'launch.none', '/launch');
  if (trip.halts.length === 0) say('no-route', 'plan/water', 'route.none', '/halts');
  const lost = halts.filter((h) => !h).length;
  if (lost > 0) found.push(finding({ id: `trip/route-gone/${trip.id}`, level: 'fix', section: 'plan/water', title: phrase('route.gone.title'), because: [phrase('route.gone.why', { n: lost })], mend: { label: phrase('route.none.mend'), go: { type: 'trip', id: trip.id, pointer: '/halts' } } }));
  if (trip.return !== undefined && !back) found.push(finding({ id: `trip/return-gone/${trip.id}`, level: 'fix', section: 'plan/water', title: phrase('return.gone.title'), because: [phrase('return.gone.why')], mend: { label: phrase('route.none.mend'), go: { type: 'trip', id: trip.id, pointer: '/return' } } }));
  const missing = gone.size;
  if (missing > 0) found.push(finding({ id: `trip/crew-gone/${trip.id}`, level: 'fix', section: 'plan/boat', title: phrase('crew.gone.title'), because: [phrase('crew.gone.why', { n: missing })], mend: { label: phrase('crew.none.mend'), go: { type: 'trip', id: trip.id, pointer: '/crew' } } }));
  if (boat && boat.length === undefined) found.push(finding({ id: `boat/length/${boat.id}`, level: 'fix', section: 'plan/boat', title: phrase('boat.length.title', { boat: boat.name }), because: [phrase('boat.length.why')], mend: { label: phrase('boat.length.mend'), go: { type: 'boat', id: boat.id, pointer: '/length' } } }));
  if (boat && !speed) found.push(finding({ id: `boat/speed/${boat.id}`, level: 'fix', section: 'plan/day', title: phrase('speed.none.title'), because: [phrase('speed.none.why', { boat: boat.name })], mend: { label: phrase('speed.none.mend'), go: { type: 'trip', id: trip.id, pointer: '/speed' } } }));
  return found;
}

/** A rule list of this water's country that was switched off is said: it never goes silently. */
function offFindings({ water, shed }: Context): Finding[] {
  const off = water?.without ?? [];
  if (!water || off.length === 0) return [];
  const all = packsOf(shed);
  const packs = off.map((id) => all.find((pack) => pack.id === id)?.title ?? id);
  return [
    finding({
      id: `rules/off/${water.id}`,
      level: 'know',
      section: 'pack/kit',
      title: phrase('rules.off.title'),
      because: [phrase('rules.off.why', { packs })],
      mend: { label: phrase('rules.off.mend'), go: { type: 'water', id: water.id, pointer: '/jurisdiction' } },
    }),
  ];
}

function forgottenFindings({ trip, shed, ticks }: Context): Finding[] {
  return forgottenBefore(shed.debriefs.filter((d) => d.trip !== trip.id)).map(({ what, on }) => {
    const held = ticks?.has(forgottenKey(what)) ?? false;
    return finding({
      id: `own/${forgottenKey(what)}/${trip.id}`, level: held ? 'ready' : 'know', section: 'pack/kit', title: phrase('forgot.title', { what }),
      because: [held ? phrase('forgot.set', { what }) : phrase('forgot.why', { on })], source: 'your-word',
      ...(held ? {} : { mend: { label: phrase('forgot.mend'), open: 'pack/ready' as const } }),
    });
  });
}
