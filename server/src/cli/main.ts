import { readFileSync, writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { demoBundle, readBundle, writeBundle } from '@escale/core/formats';
import type { Bundle } from '@escale/core/model';
import { simulatedWeather } from '../standins/weather';
import { conditionsOf } from '../things/shed';
import { assessBundle, asText } from './assess';
import { backup, enter, exportMemory, importMemory, lock, newHousehold, restore, verify } from './memory';
import { Refused } from './refused';

const HELP = `escale: the headless door

  assess FILE [--trip ID] [--at INSTANT] [--units us] [--json]   what a bundle's trip asks for and what was found
  export [FILE]                                                  the whole shed and all trips as a bundle
  import FILE                                                    take a bundle in, whole or not at all
  backup [FILE]                                                  a copy of the whole memory: plans, events, messages, deadlines
  restore FILE                                                   put a copy back; what was there is put aside
  verify [FILE]                                                  is a copy whole, or, without one, the memory itself?
  enter                                                          an address that lets one browser in, once
  lock                                                           put every browser out: a new key
  household NAME                                                 another household, and an address that lets one browser into it
  demo [FILE] [--at INSTANT]                                     the demo's bundle, dated from now or from INSTANT

FILE "-" is standard input. The memory is the folder ESCALE_DATA (default .data/escale) or DATABASE_URL.
The bundle is described in docs/bundle.md. Exit: 0 done, 1 refused or failed, 2 a call that can't be understood.`;

function bundleFrom(file: string | undefined): Bundle {
  if (file === undefined) throw new Refused(['Which file?'], 2);
  let text: string;
  try {
    text = readFileSync(file === '-' ? 0 : file, 'utf8');
  } catch (error) {
    throw new Refused([`${file} can’t be read: ${error instanceof Error ? error.message : 'unknown'}`]);
  }
  const read = readBundle(text);
  if (!read.ok) throw new Refused([`${file} can’t be taken:`, ...read.faults.map((f) => `  ${f}`)]);
  return read.bundle;
}

function instantFrom(text: string | undefined): number | undefined {
  if (text === undefined) return undefined;
  const at = Date.parse(text);
  if (!/^\d{4}-\d\d-\d\dT.*(Z|[+-]\d\d:\d\d)$/.test(text) || Number.isNaN(at))
    throw new Refused([`--at wants an instant such as 2026-05-12T04:10:00Z, not "${text}".`], 2);
  return at;
}

function out(text: string, file: string | undefined): void {
  if (file === undefined || file === '-') process.stdout.write(text);
  else writeFileSync(file, text);
}

/** Counts in words: what is there, of each kind. */
const said = (counts: Record<string, number>) =>
  Object.entries(counts)
    .filter(([, n]) => n > 0)
    .map(([table, n]) => `${n} ${table.replace(/_/g, ' ')}`)
    .join(', ') || 'nothing';

async function main(): Promise<void> {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: {
      json: { type: 'boolean' },
      at: { type: 'string' },
      trip: { type: 'string' },
      units: { type: 'string' },
      help: { type: 'boolean', short: 'h' },
    },
  });
  const [command, file] = positionals;
  if (values.help || command === undefined) return void console.log(HELP);
  const at = instantFrom(values.at);
  if (values.units !== undefined && values.units !== 'us' && values.units !== 'metric')
    throw new Refused(['--units is metric or us.'], 2);
  if (command === 'assess') {
    const result = assessBundle(bundleFrom(file), {
      ...(at === undefined ? {} : { at }),
      ...(values.trip ? { trip: values.trip } : {}),
      units: values.units ?? 'metric',
    });
    process.stdout.write(values.json ? `${JSON.stringify(result, null, 2)}\n` : asText(result));
  } else if (command === 'demo') {
    const now = at ?? Date.now();
    const bundle = demoBundle(now);
    const conditions: Bundle['conditions'] = {};
    for (const trip of bundle.trips)
      conditions[trip.id] = await conditionsOf(trip, bundle.shed, {
        weather: simulatedWeather(7),
        clock: { now: () => now },
      });
    out(writeBundle({ ...bundle, conditions }), file);
  } else if (command === 'export') out(writeBundle(await exportMemory()), file);
  else if (command === 'enter') for (const address of await enter()) console.log(address);
  else if (command === 'household') {
    if (!file?.trim()) throw new Refused(['How is it called?'], 2);
    const { name, address } = await newHousehold(file);
    console.log(`${name}: ${address}`);
  } else if (command === 'lock') {
    await lock();
    console.log('Every browser is out. For each that may come in again: npm run escale -- enter');
  } else if (command === 'import') {
    const { added, changed, same, erased } = await importMemory(bundleFrom(file));
    console.log(`${added} added, ${changed} changed, ${same} as they were.`);
    if (erased > 0) console.log(`${erased} left out: they were erased here for good.`);
  } else if (command === 'backup') {
    const made = await backup(file);
    console.log(`${made.file}: ${said(made.counts)}.`);
  } else if (command === 'restore') {
    if (file === undefined) throw new Refused(['Which copy?'], 2);
    const { at: of, counts, erased, aside } = await restore(file);
    console.log(`Put back as of ${of}: ${said(counts)}.`);
    if (erased > 0) console.log(`Erased again, as they were since: ${erased}.`);
    if (aside) console.log(`What was there before lies in ${aside}.`);
  } else if (command === 'verify') {
    const { what, counts, broken } = await verify(file);
    console.log(`${what}: ${said(counts)}.`);
    if (broken.length > 0)
      throw new Refused(broken.map((b) => `The record of plan ${b.plan} does not hold together: ${b.what}.`));
    console.log('Whole.');
  } else throw new Refused([`There is no "${command}".`, '', HELP], 2);
}

main().catch((error: unknown) => {
  if (error instanceof Refused) {
    for (const line of error.lines) console.error(line);
    process.exit(error.code);
  }
  const usage = (error as { code?: string }).code?.startsWith('ERR_PARSE_ARGS') === true;
  console.error(error instanceof Error ? error.message : error);
  process.exit(usage ? 2 : 1);
});
