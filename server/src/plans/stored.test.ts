import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { and, eq } from 'drizzle-orm';
import { LEVELS, schemaOf } from '@escale/core/model';
import { HOME } from '../db/household';
import { makeWorld, uuid, type World } from '../../test/world';
import { planEvent, planVersion, thing } from '../db/schema';
import { stableJson } from '../stable-json';
import { brokenAt } from './chain';
import { storedVersion } from './stored';

let world: World;
beforeAll(async () => {
  world = await makeWorld();
});
beforeEach(() => world.reset());
afterAll(() => world.close());

const frozen = (name: string) =>
  JSON.parse(readFileSync(`${process.cwd()}/core/src/model/frozen/${name}.json`, 'utf8')) as Record<
    string,
    unknown
  >;

describe('what an older program wrote', () => {
  test('a filed version is grown while it is read; its bytes and the chain of its events stay', async () => {
    const plan = await world.file();
    const old = frozen('plan-version-1');
    const which = and(eq(planVersion.plan, plan.id), eq(planVersion.version, 1));
    await world.tamper((tx) =>
      tx
        .update(planVersion)
        .set({ ...old, schema: 1 } as object)
        .where(which),
    );
    await world.tamper((tx) => tx.update(planEvent).set({ schema: 1 }).where(eq(planEvent.plan, plan.id)));
    const bytes = async () =>
      stableJson((await world.db.select().from(planVersion).where(which))[0].assessment);
    const before = await bytes();
    const stored = (await storedVersion(world.db, plan.id, 1))!;
    for (const { level } of stored.assessment.findings) expect(LEVELS).toContain(level);
    expect(stored.sheet).toEqual(old.sheet);
    expect([await bytes(), before.includes('"mind"')]).toEqual([before, true]);
    expect(await brokenAt(world.db, plan.id)).toBeUndefined();
    expect(await storedVersion(world.db, plan.id, 9)).toBeUndefined();
  });
  test('a filed version says today’s version', async () => {
    const plan = await world.file();
    const [row] = await world.db.select().from(planVersion).where(eq(planVersion.plan, plan.id));
    expect(row.schema).toBe(schemaOf('plan-version'));
  });
  test('a row of an old pack is read as today’s, and stays until somebody writes it', async () => {
    const pack = frozen('pack-1');
    const values = { household: HOME, type: 'pack', version: 1, schema: 1, doc: pack };
    const at = new Date(0);
    await world.db.insert(thing).values({ id: pack.id as string, ...values, createdAt: at, updatedAt: at });
    const { things } = await world.get<{
      things: { id: string; schema: number; doc: { pack: { rules: { weight?: string }[] } } }[];
    }>('/api/things');
    const read = things.find((t) => t.id === pack.id)!;
    expect([read.schema, read.doc.pack.rules[1].weight]).toEqual([2, 'know']);
    const row = async () =>
      (
        await world.db
          .select()
          .from(thing)
          .where(eq(thing.id, pack.id as string))
      )[0];
    expect((await row()).schema).toBe(1);
    const rename = { kind: 'patch', patch: [{ op: 'set', pointer: '/pack/title', value: 'Ours, still' }] };
    expect((await world.command(pack.id as string, 'pack', 1, rename)).status).toBe(200);
    expect([(await row()).schema, stableJson((await row()).doc).includes('mind')]).toEqual([2, false]);
  });
  test('a write that waited through an update is grown; one of a newer program waits for the server', async () => {
    const pack = frozen('pack-1');
    const make = { kind: 'create', doc: pack };
    expect((await world.command(pack.id as string, 'pack', 0, make)).status).toBe(200);
    const weigh = { kind: 'patch', patch: [{ op: 'set', pointer: '/pack/rules/0/weight', value: 'mind' }] };
    const done = await world.command(pack.id as string, 'pack', 1, weigh, { schema: 1 });
    const weights = (done.body as { doc: { pack: { rules: { weight?: string }[] } } }).doc.pack.rules.map(
      (r) => r.weight,
    );
    expect([done.status, weights]).toEqual([200, ['know', 'know', undefined]]);
    const next = { kind: 'create', doc: { ...pack, id: uuid() } };
    expect((await world.command(next.doc.id, 'pack', 0, next, { schema: 99 })).status).toBe(503);
  });
});
