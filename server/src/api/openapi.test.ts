import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Ajv2020 } from 'ajv/dist/2020.js';
import * as z from 'zod';
import { demoBundle } from '@escale/core/formats';
import { Bundle, RulePack } from '@escale/core/model';
import { makeWorld, NOW, TRIP, uuid, type World } from '../../test/world';
import { PACKS } from '@escale/core/rules';

let world: World;
beforeAll(async () => {
  world = await makeWorld();
  await world.reset();
});
afterAll(() => world.close());

interface Description {
  openapi: string;
  paths: Record<string, Record<string, unknown>>;
  components: { schemas: Record<string, object> };
}
const described = () => world.get<Description>('/api/openapi.json');
const fits = (schema: object, value: unknown) => {
  const ajv = new Ajv2020({ strict: false, validateFormats: false });
  return ajv.validate(schema, value) ? [] : (ajv.errors ?? []).map((e) => `${e.instancePath} ${e.message}`);
};
const published = (name: string) => JSON.parse(readFileSync(`docs/schema/${name}`, 'utf8')) as object;

describe('the description of the API', () => {
  test('is OpenAPI 3.1, and every reference leads somewhere', async () => {
    const doc = await described();
    expect(doc.openapi).toBe('3.1.0');
    for (const [, name] of JSON.stringify(doc.paths).matchAll(/#\/components\/schemas\/(\w+)/g))
      expect(Object.keys(doc.components.schemas)).toContain(name);
  });
  test('every path it names is there', async () => {
    const { paths } = await described();
    // Another lock would put the tests themselves out, and a stream has no end.
    for (const [path, methods] of Object.entries(paths).filter(
      ([path]) => !['/api/door/lock', '/api/stream'].includes(path),
    ))
      for (const method of Object.keys(methods)) {
        const at = path.replace('{list}', 'l').replace('{trip}', TRIP).replace('{id}', uuid());
        const answer =
          method === 'get'
            ? await world.http.get(at).set('Host', 'localhost:4280')
            : await world.post(at, {});
        expect({
          path,
          method,
          nothing: (answer.body as { title?: string }).title === 'There is nothing here.',
        }).toEqual({ path, method, nothing: false });
      }
  });
  test('a command as the application sends it fits the schema, one without an id does not (ajv 8.20.0)', async () => {
    const { components } = await described();
    const command = {
      id: uuid(),
      device: uuid(),
      type: 'trip',
      thing: TRIP,
      baseVersion: 1,
      deed: { kind: 'patch', patch: [{ op: 'set', pointer: '/title', value: 'x' }] },
    };
    expect(fits(components.schemas.Command, command)).toEqual([]);
    expect(fits(components.schemas.Command, { ...command, id: undefined }).length).toBeGreaterThan(0);
  });
});

describe('the published schemas', () => {
  test('are those of the program', () => {
    for (const [name, title, schema] of [
      ['pack.schema.json', 'Escale rule pack', RulePack],
      ['bundle.schema.json', 'Escale bundle', Bundle],
    ] as const)
      expect(published(name)).toEqual(
        JSON.parse(
          JSON.stringify({ title, ...z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }) }),
        ),
      );
  });
  test('the demo and every shipped pack fit them', () => {
    expect(fits(published('bundle.schema.json'), demoBundle(NOW))).toEqual([]);
    for (const pack of PACKS) expect(fits(published('pack.schema.json'), pack)).toEqual([]);
  });
  test('an unknown operator and a rule without a source do not', () => {
    const [pack] = JSON.parse(JSON.stringify(PACKS)) as { rules: Record<string, unknown>[] }[];
    const spoil = (change: object) =>
      fits(published('pack.schema.json'), { ...pack, rules: [{ ...pack.rules[0], ...change }] });
    expect(spoil({ when: { fact: 'boat.length', beyond: 3 } }).length).toBeGreaterThan(0);
    expect(spoil({ source: undefined }).length).toBeGreaterThan(0);
  });
});
