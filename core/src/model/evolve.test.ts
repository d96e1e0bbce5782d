import { readFileSync, readdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, test } from '@jest/globals';
import {
  Bundle,
  Conditions,
  evolve,
  LEVELS,
  NewerVersion,
  OwnPack,
  RulePack,
  schemaOf,
  THING_TYPES,
} from '.';
import type { DocKind } from '.';

const folder = fileURLToPath(new URL('./frozen/', import.meta.url));
type Doc = Record<string, unknown>;
const frozen = (name: string) => JSON.parse(readFileSync(folder + name, 'utf8')) as Doc;

/** What a document of a kind must be today. */
const TODAY: Partial<Record<DocKind, { safeParse(doc: unknown): { error?: unknown } }>> = {
  bundle: Bundle,
  'rule-pack': RulePack,
  pack: OwnPack,
  conditions: Conditions,
};

describe('documents grow old', () => {
  const files = readdirSync(folder).map((name) => {
    const [, kind, schema] = /^([a-z-]+)-(\d+)/.exec(name)!;
    return { name, kind: kind as DocKind, schema: Number(schema) };
  });
  test.each(files.filter(({ kind }) => TODAY[kind]))(
    'a $kind of version $schema ($name) is read for ever',
    ({ name, kind, schema }) => {
      expect(TODAY[kind]!.safeParse(evolve(kind, frozen(name), schema)).error).toBeUndefined();
    },
  );
  test('every kind that has changed keeps an example of each released version', () => {
    const kinds = [
      ...THING_TYPES,
      'rule-pack',
      'bundle',
      'conditions',
      'plan-version',
      'plan-event',
      'ticks',
    ] as const;
    for (const kind of kinds)
      for (let n = 1; n < schemaOf(kind); n += 1)
        expect(files.some((f) => f.kind === kind && f.schema === n) ? '' : `${kind} ${n}`).toBe('');
  });
  test('the second version names the levels anew: weights of a pack, findings of a filed plan', () => {
    const pack = evolve('rule-pack', frozen('rule-pack-1.json'), 1) as {
      schema: number;
      rules: { weight?: string }[];
    };
    expect([pack.schema, pack.rules.map((r) => r.weight)]).toEqual([2, ['fix', 'know', undefined]]);
    const before = frozen('plan-version-1.json');
    const text = JSON.stringify(before);
    const { assessment, inputs } = evolve('plan-version', before, 1) as {
      assessment: { findings: { id: string; level: string }[] };
      inputs: { shed: { packs: { pack: RulePack }[] } };
    };
    const old = (before.assessment as typeof assessment).findings;
    const names: Record<string, string> = { mind: 'know', set: 'ready', fix: 'fix', stop: 'stop' };
    expect(assessment.findings.map((f) => f.level)).toEqual(old.map((f) => names[f.level]));
    for (const { level } of assessment.findings) expect(LEVELS).toContain(level);
    expect(inputs.shed.packs[0].pack.rules.map((r) => r.weight)).toEqual(['fix', 'know', undefined]);
    // What was filed keeps its bytes.
    expect(JSON.stringify(before)).toBe(text);
  });
  test('ticks without a time are ticks of no known time', () => {
    expect(evolve('ticks', frozen('ticks-1.json'), 1).items).toEqual([
      { item: 'last:plug', at: 0 },
      { item: 'b', at: 0 },
    ]);
  });
  test('steps leave alone what is of today, and what is no document of the kind', () => {
    const today = evolve('pack', frozen('pack-1.json'), 1);
    expect(evolve('pack', today, 1)).toEqual(today);
    for (const odd of [
      {},
      { pack: null },
      { pack: [] },
      { pack: { schema: 'x' } },
      { shed: null },
      { shed: { packs: 3 } },
    ]) {
      expect(evolve('pack', odd, 1)).toEqual(odd);
      expect(evolve('bundle', odd, 1)).toEqual({ ...odd, schema: 2 });
    }
  });
  test('what a later program wrote is refused and left as it is; a version that is none as well', () => {
    const doc = { id: 'x', future: true };
    for (const kind of ['pack', 'person'] as const) {
      expect(() => evolve(kind, doc, schemaOf(kind) + 1)).toThrow(NewerVersion);
    }
    for (const schema of [0, -1, 1.5, NaN]) expect(() => evolve('person', doc, schema)).toThrow(RangeError);
    expect(doc).toEqual({ id: 'x', future: true });
  });
});
