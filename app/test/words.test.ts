import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const features = join(__dirname, '../features');
const code = readdirSync(features, { recursive: true, encoding: 'utf8' })
  .filter((name) => /(?<!\.test)\.tsx?$/.test(name))
  .map((name) => readFileSync(join(features, name), 'utf8'))
  .join('\n');
const rooms = readdirSync(features).filter((room) => readdirSync(join(features, room)).includes('words.ts'));

test.each(rooms)('every sentence of %s is said somewhere', (room) => {
  const words = jest.requireActual(`../features/${room}/words`) as Record<string, unknown>;
  const tables = Object.entries(words).filter(
    (entry): entry is [string, Record<string, string>] => typeof entry[1] === 'object',
  );
  expect(tables.length).toBeGreaterThan(0);
  const dead = tables
    // A table that is read by a key of its own type is said whole.
    .filter(([name]) => !code.includes(`${name}[`))
    .flatMap(([, table]) => Object.keys(table))
    .filter((key) => !new RegExp(`[A-Z]\\.${key}\\b|'${key}'`).test(code));
  expect(dead).toEqual([]);
});
