import { test } from '@jest/globals';
import { SOURCES, type SourceId } from '../src/sources';

/** What a check against something outside is worth. Only the first two prove something; all four are useful. */
export type CheckClass = 'run here' | 'closed form' | 'recalled' | 'common practice';

/** A test that holds us against something outside the project, with its class and source in its name; `npm run checks` lists them. */
export function check(
  how: CheckClass,
  source: SourceId | { title: string },
  name: string,
  body: () => void | Promise<void>,
): void {
  const title = typeof source === 'string' ? SOURCES[source].title : source.title;
  test(`[${how}] {${title}} ${name}`, body);
}
