// `npm run schemas`: the published JSON Schemas of packs and bundles, made from the schemas that the program itself uses.
import { mkdirSync, writeFileSync } from 'node:fs';
import * as z from 'zod';
import { Bundle, RulePack } from '../core/src/model';

export const published = {
  'pack.schema.json': { title: 'Escale rule pack', schema: RulePack },
  'bundle.schema.json': { title: 'Escale bundle', schema: Bundle },
};
export const textOf = ({ title, schema }: { title: string; schema: z.ZodType }) =>
  `${JSON.stringify({ title, ...z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }) }, null, 1)}\n`;

if (process.argv[1]?.endsWith('schemas.mts')) {
  mkdirSync('docs/schema', { recursive: true });
  for (const [name, entry] of Object.entries(published)) writeFileSync(`docs/schema/${name}`, textOf(entry));
}
