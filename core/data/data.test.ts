import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, test } from '@jest/globals';
import type * as z from 'zod';
import { isField } from '../test/is-field';
import { demo } from '../test/demo';
import { CATALOGUE } from '../src/kit';
import { STARTING_SETS } from '../src/kit/starting-sets';
import { Bundle, Catalogue, RulePack } from '../src/model';
import { LimitsFile } from '../src/model/limits';
import { ProcedureRow as Procedure } from '../src/model/procedure';
import * as practice from '../src/model/shipped-practice';
import * as shipped from '../src/model/shipped';
import {
  AnchorData,
  HoldLines,
  HoldLoads,
  HoldPractice,
  LeewayData,
  PoleData,
  SeaAnchorData,
} from '../src/model/shipped-hold';
import { EscalationData, IdentityData } from '../src/model/shipped-plan';
import {
  ChangeData,
  CheckData,
  ClothedData,
  IncidentData,
  MishapData,
  QuestionData,
} from '../src/model/shipped-whatif';
import { PartsData, PartTestRow } from '../src/model/shipped-parts';
import { Purpose, SeenData, SignalLayers } from '../src/model/shipped-signals';
import { FitData, UsualLimits, Windage } from '../src/model/shipped-way';
import type { Condition, ProcedureRow } from '../src/model';
import { conditionFaults, CREW, packFaults, PACKS } from '../src/rules';
import { placeholdersOf } from '../src/say';
import { SOURCES, sourceOf } from '../src/sources';
import { isUnit, unitOf, type Quantity } from '../src/units';
import { PROCEDURES } from '../src/procedure/library';

const folder = fileURLToPath(new URL('./', import.meta.url));
const files = readdirSync(folder, { recursive: true, encoding: 'utf8' }).filter((name) =>
  name.endsWith('.json'),
);
const read = (name: string): unknown => JSON.parse(readFileSync(folder + name, 'utf8'));

/** The schema of each file, by its path: a file that nothing here names is a file that nobody reads through a schema. */
const SCHEMAS: [RegExp, z.ZodType][] = [
  [/^boat\/hulls/, shipped.HullForms],
  [/^boat\/parts/, PartsData],
  [/^boat\/part-tests/, PartTestRow.array()],
  [/^boat\/flooding/, shipped.FloodData],
  [/^boat\/flotation/, shipped.FlotationData],
  [/^boat\/powering/, shipped.PoweringData],
  [/^boat\/starting-points/, shipped.StartingPoint.array()],
  [/^boat\/symptoms/, shipped.SymptomRow.array()],
  [/^boat\/handover/, shipped.HandoverStep.array()],
  [/^kit\/catalogue/, Catalogue],
  [/^floatplan\/escalation/, EscalationData],
  [/^floatplan\/identity/, IdentityData],
  [/^kit\/purposes/, Purpose.array()],
  [/^signals\/layers/, SignalLayers],
  [/^signals\/seen/, SeenData],
  [/^kit\/officer/, shipped.OfficerRow.array()],
  [/^kit\/last-look/, shipped.LastLook.array()],
  [/^kit\/starting-sets/, shipped.StartingSet.array()],
  [/^kit\/approvals/, shipped.Approvals],
  [/^kit\/harm/, shipped.HarmTable],
  [/^body\/cold/, shipped.ColdTable],
  [/^body\/clothing/, shipped.ClothingTable],
  [/^limits\//, LimitsFile],
  [/^rules\/packs\//, RulePack],
  [/^water\/forecast-words/, shipped.ForecastWords],
  [/^water\/stations/, shipped.StationRows],
  [/^water\/streams/, shipped.StreamRows],
  [/^rules\/zones/, shipped.ZoneTable],
  [/^rules\/crew/, shipped.CrewRow.array()],
  [/^passage\/keep-off/, shipped.KeepOff],
  [/^trip\/usual-limits/, UsualLimits],
  [/^trip\/fit/, FitData],
  [/^passage\/windage/, Windage],
  [/^hold\/loads/, HoldLoads],
  [/^hold\/anchors/, AnchorData],
  [/^hold\/lines/, HoldLines],
  [/^hold\/practice/, HoldPractice],
  [/^hold\/leeway/, LeewayData],
  [/^hold\/poles/, PoleData],
  [/^hold\/sea-anchors/, SeaAnchorData],
  [/^passage\/ready/, shipped.ReadyRow.array()],
  [/^procedure\//, Procedure],
  [/^trip\/brief/, shipped.BriefData],
  [/^whatif\/mishaps/, MishapData],
  [/^whatif\/incidents/, IncidentData],
  [/^whatif\/clothed/, ClothedData],
  [/^whatif\/changes/, ChangeData],
  [/^whatif\/checks/, CheckData],
  [/^whatif\/questions/, QuestionData],
  [/^recover\/catamaran/, shipped.RigTable],
  [/^ramp\/driving/, practice.DrivingData],
  [/^hold\/anchoring/, practice.AnchoringData],
  [/^signals\/spending/, practice.SpendingData],
  [/^practice\/signs/, practice.SignData],
  [/^logbook\/after/, practice.AfterData],
  [/^logbook\/drills/, practice.DrillData],
  [/^practice\/orders/, practice.OrderData],
  [/^recover\/turning/, practice.TurningData],
];

/** The demo is dated when it is opened; until then its dates are signs. */
const LATER = /^formats\/demo/;

/** Every value that stands under one of these names, anywhere in a document. */
function under(value: unknown, ...names: string[]): unknown[] {
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) => [
    ...(names.includes(key) ? [inner] : []),
    ...under(inner, ...names),
  ]);
}

describe('what ships as data', () => {
  test.each(files.filter((name) => !LATER.test(name)))('%s is what its schema says', (name) => {
    const schema = SCHEMAS.find(([path]) => path.test(name))?.[1];
    expect(schema).toBeDefined();
    expect(schema?.safeParse(read(name)).error).toBeUndefined();
  });
  test('the demo is, once it is dated', () => expect(Bundle.safeParse(demo()).error).toBeUndefined());
  test.each(files)('%s names sources that are there', (name) => {
    for (const source of under(read(name), 'source'))
      if (typeof source === 'string' && !LATER.test(name))
        expect([source, sourceOf(source) !== undefined]).toEqual([source, true]);
  });
  test('nothing written down from memory is passed off as verified', () => {
    for (const [id, s] of Object.entries(SOURCES))
      if (s.how === 'recalled') expect({ id, verified: s.verified }).toEqual({ id, verified: false });
    for (const pack of PACKS) for (const rule of pack.rules) expect(rule.verified).toBe(false);
  });
});

describe('catalogue and packs', () => {
  const kinds = CATALOGUE.kinds.map((kind) => kind.id);
  test('each kind once, at least sixty; starting sets name kinds that are there', () => {
    expect(new Set(kinds).size).toBe(kinds.length);
    expect(kinds.length).toBeGreaterThanOrEqual(60);
    for (const set of STARTING_SETS) for (const kind of set.kinds) expect(kinds).toContain(kind);
  });
  test.each(PACKS.map((pack) => [pack.id, pack] as const))(
    '%s: facts, units, and something in the catalogue for each demand',
    (_id, pack) => {
      expect(packFaults(pack)).toEqual([]);
      const supplied = new Set(CATALOGUE.kinds.flatMap((k) => k.supplies.map((s) => s.capability)));
      for (const rule of pack.rules) {
        for (const demand of rule.anyOf.flat()) expect(supplied).toContain(demand.capability);
        expect(rule.section.length).toBeGreaterThan(5);
      }
    },
  );
  test('every pack of the folder ships', () => {
    const folderOf = files.filter((name) => name.startsWith('rules/packs/'));
    expect(PACKS.map((pack) => `rules/packs/${pack.id}.json`).sort()).toEqual(folderOf.sort());
  });
});

describe('conditions outside the packs', () => {
  test('what is asked of a crew names facts that are there, and settles at a field that is', () => {
    for (const row of CREW) {
      expect([row.id, conditionFaults(row.when)]).toEqual([row.id, []]);
      expect([row.id, isField(row.at)]).toEqual([row.id, true]);
    }
    expect(new Set(CREW.map((row) => row.id)).size).toBe(CREW.length);
  });
  test.each(PROCEDURES.map((row) => [row.id, row] as const))(
    '%s: conditions, figures and steps that are there',
    (_id, row) => {
      const conditions: Condition[] = [
        row.for,
        ...row.steps.flatMap((step) => (step.when ? [step.when] : [])),
      ];
      expect(conditions.flatMap((condition) => conditionFaults(condition))).toEqual([]);
      expect(stepFaults(row)).toEqual([]);
    },
  );
  test('every procedure of the folder ships', () => {
    const folderOf = files.filter((name) => name.startsWith('procedure/'));
    expect(PROCEDURES.map((row) => `procedure/${row.id}.json`).sort()).toEqual(folderOf.sort());
  });
  test('a procedure with what is not there is told, each fault', () => {
    const row = PROCEDURES.find((each) => each.figures === undefined)!;
    const step = {
      id: 'odd',
      what: 'Pay out {rode:length}, {rode:mass} of it.',
      why: 'Because.',
      after: ['nowhere'],
      locks: ['odd'],
    };
    const odd = {
      ...row,
      figures: { rode: { quantity: 'length', unknown: 'a length that was not entered' } },
      steps: [...row.steps, step],
    };
    expect(stepFaults(odd)).toEqual([
      'odd: {rode} is a length, not a mass',
      'odd: no step "nowhere" before it',
      'odd: locks itself',
    ]);
    expect(stepFaults({ ...odd, figures: undefined })).toContain('odd: no figure "rode" is declared');
    expect(stepFaults({ ...odd, figures: { unused: { quantity: 'cubit', unknown: 'not known' } } })).toEqual(
      expect.arrayContaining([
        'figure "unused" is used nowhere',
        'figure "unused" is of no quantity "cubit"',
      ]),
    );
  });
});

describe('limits', () => {
  const rooms = files.filter((name) => name.startsWith('limits/'));
  const code = (room: string) => {
    const at = fileURLToPath(new URL(`../src/${room}/`, import.meta.url));
    const names = readdirSync(at).filter((name) => /^(?!.*test).*\.ts$/.test(name));
    return names.map((name) => readFileSync(at + name, 'utf8')).join('\n');
  };
  test.each(rooms)('%s: every unit is one, and the room uses every kind, case and limit', (name) => {
    const { kinds, limits } = LimitsFile.parse(read(name));
    const text = code(name.slice('limits/'.length, -'.json'.length));
    // A kind may be named whole, or its last part may be chosen from a few.
    const chosen = (kind: string, part: string) =>
      text.includes(`\`${kind.slice(0, -part.length)}$`) && text.includes(`'${part}'`);
    const named = (kind: string) =>
      text.includes(`'${kind}'`) ||
      [kind.split('/')[1], /[a-z]+$/.exec(kind)![0]].some((part) => chosen(kind, part));
    for (const [kind, { cases }] of Object.entries(kinds)) {
      expect([kind, named(kind)]).toEqual([kind, true]);
      for (const [as, { unit }] of Object.entries(cases)) {
        expect([kind, as, text.includes(`'${as}'`) || text.includes(`.${as}.`)]).toEqual([kind, as, true]);
        if (unit !== undefined) expect([kind, as, isUnit(unit)]).toEqual([kind, as, true]);
      }
    }
    for (const [limit, { unit }] of Object.entries(limits)) {
      expect([limit, isUnit(unit), text.includes(`limit('${limit}')`)]).toEqual([limit, true, true]);
    }
  });
});

/** What is wrong with a procedure that its schema can't see: steps that are not there, figures nobody declared, locks on oneself. */
function stepFaults({ steps, figures = {}, stopIf }: ProcedureRow): string[] {
  const ids = steps.map((step) => step.id);
  const sentences = (step: ProcedureRow['steps'][number]) =>
    [step.what, step.unsettled, step.why, step.danger].flatMap((s) =>
      s === undefined ? [] : placeholdersOf(s),
    );
  const used = new Set([...steps.flatMap(sentences), ...placeholdersOf(stopIf ?? '')].map((p) => p.name));
  const quantities = Object.entries(figures).flatMap(([name, { quantity }]) => [
    ...(used.has(name) ? [] : [`figure "${name}" is used nowhere`]),
    ...(quantity === 'span' || isQuantity(quantity)
      ? []
      : [`figure "${name}" is of no quantity "${quantity}"`]),
  ]);
  return [
    ...quantities,
    ...ids.filter((id, i) => ids.indexOf(id) < i).map((id) => `${id}: twice`),
    ...steps.flatMap((step, i) => [
      ...sentences(step).flatMap(({ name, as }) => {
        if (!(name in figures)) return [`${step.id}: no figure "${name}" is declared`];
        return as === figures[name].quantity
          ? []
          : [`${step.id}: {${name}} is a ${figures[name].quantity}, not a ${as}`];
      }),
      ...(step.after ?? [])
        .filter((id) => !ids.slice(0, i).includes(id))
        .map((id) => `${step.id}: no step "${id}" before it`),
      ...(step.locks ?? [])
        .filter((id) => !ids.slice(i + 1).includes(id))
        .map((id) => (id === step.id ? `${step.id}: locks itself` : `${step.id}: no step "${id}" after it`)),
    ]),
  ];
}

function isQuantity(name: string): name is Quantity {
  try {
    return unitOf(name as Quantity, 'metric') !== undefined;
  } catch (error) {
    if (error instanceof TypeError) return false;
    throw error;
  }
}
