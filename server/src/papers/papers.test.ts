import { execFileSync } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { DOMParser } from '@xmldom/xmldom';
import { parseGPXWithCustomParser } from '@we-gold/gpxjs';
import ICAL from 'ical.js';
import { GeoJSONSchema } from 'zod-geojson';
import { sql } from 'drizzle-orm';
import type { PlanView, Sheet } from '@escale/core/model';
import { makeWorld, type World } from '../../test/world';
import { sheetPdf } from './sheet-pdf';

const H = 3_600_000;
let world: World;
beforeAll(async () => {
  world = await makeWorld();
});
beforeEach(() => world.reset());
afterAll(() => world.close());

const READER = '/usr/bin/pdftotext';
/** A PDF as text, and how many pages it has. */
function readPdf(bytes: Buffer): { text: string; pages: number } {
  const folder = mkdtempSync(join(tmpdir(), 'escale-pdf-'));
  try {
    const file = join(folder, 'sheet.pdf');
    writeFileSync(file, bytes);
    const text = execFileSync(READER, ['-layout', file, '-'], { encoding: 'utf8' });
    return { text, pages: text.split('\f').length - 1 };
  } finally {
    rmSync(folder, { recursive: true });
  }
}
const withReader = existsSync(READER) ? test : test.skip;

const paper = async (plan: PlanView, kind: string) =>
  world.http
    .get(`/api/plans/${plan.id}/paper/${kind}`)
    .set('Host', 'localhost:4280')
    .buffer(true)
    .parse((res, done) => {
      const parts: Buffer[] = [];
      res.on('data', (part: Buffer) => parts.push(part));
      res.on('end', () => done(null, Buffer.concat(parts)));
    });

/** Filed, left, and heard from at a place. */
async function heard(): Promise<PlanView> {
  const plan = await world.file();
  world.set(plan.times.leave + H);
  await world.deed(plan.id, 'check-in', { position: { lat: 41.19, lon: -29.47 } });
  return plan;
}

describe('the sheet as PDF', () => {
  withReader('stands on one page and says what the sheet says, with every sign in its place', async () => {
    const plan = await heard();
    const answer = await paper(plan, 'pdf');
    expect(answer.headers['content-disposition']).toContain('float-plan.pdf');
    const { text, pages } = readPdf(answer.body as Buffer);
    expect(pages).toBe(1);
    for (const part of [
      'Tern Holm',
      'Tue 12 May 10:05',
      '41° 10.680′ N',
      '555 0100',
      'TO READ ALOUD',
      'Ada Tolley',
    ])
      expect(text).toContain(part);
  });
  withReader(
    'what goes beyond one page at the smallest size goes on on a second, and loses nothing',
    async () => {
      const plan = await heard();
      const rows = Array.from({ length: 90 }, (_, i) => ({
        label: `Place ${i}`,
        text: `somewhere number ${i}`,
      }));
      const sheet: Sheet = { ...plan.sheet, lines: [...plan.sheet.lines, { head: 'More', rows }] };
      const { text, pages } = readPdf(await sheetPdf(sheet, { home: 0, overdue: 1, alarm: 2 }));
      expect(pages).toBeGreaterThan(1);
      for (const { label } of rows) expect(text).toContain(label);
      expect(text).toContain('page 1 of');
    },
  );
  withReader('what somebody wrote is text and opens nothing', async () => {
    const plan = await heard();
    const sheet = { ...plan.sheet, title: '../../etc/passwd <b>&', read: 'file:///etc/passwd' };
    expect(readPdf(await sheetPdf(sheet, { home: 0, overdue: 1, alarm: 2 })).text).toContain(
      '../../etc/passwd <b>&',
    );
  });
});

describe('the way and the last known position, read back by others', () => {
  test('GPX: the way with its hours, and where they were heard from', async () => {
    const plan = await heard();
    const text = ((await paper(plan, 'gpx')).body as Buffer).toString();
    const [read, fault] = parseGPXWithCustomParser(
      text,
      (xml) => new DOMParser().parseFromString(xml, 'text/xml') as unknown as Document,
    );
    expect(fault).toBeNull();
    expect(read?.waypoints).toMatchObject([
      { name: 'Last known position', latitude: 41.19, longitude: -29.47 },
    ]);
    expect(read?.routes[0].points.map((p) => p.time?.getTime())).toEqual(
      [plan.times.leave, expect.any(Number), plan.times.home].map((at) => at),
    );
  });
  test('GeoJSON: the same, each point told what it is', async () => {
    const plan = await heard();
    const raw: unknown = JSON.parse(((await paper(plan, 'geojson')).body as Buffer).toString());
    expect(GeoJSONSchema.safeParse(raw).error).toBeUndefined();
    const read = raw as {
      features: { geometry: { type: string }; properties: { what: string; time?: string } }[];
    };
    expect(read.features.map((f) => f.properties.what)).toEqual([
      'way',
      'place',
      'place',
      'place',
      'last-known',
    ]);
    expect(read.features.at(-1)?.properties.time).toBe(new Date(plan.times.leave + H).toISOString());
  });
  test('iCalendar: turning back, check-ins, home and overdue at their instants', async () => {
    const plan = await heard();
    const text = ((await paper(plan, 'ics')).body as Buffer).toString();
    const events = new ICAL.Component(ICAL.parse(text) as unknown[])
      .getAllSubcomponents('vevent')
      .map((one) => new ICAL.Event(one).startDate.toJSDate().getTime());
    const { checkIns, turnBack, home, overdue } = plan.times;
    const whole = (at: number | undefined) => Math.floor((at ?? 0) / 1000) * 1000;
    expect(events).toEqual([...checkIns, turnBack, home, overdue].map(whole).sort((a, b) => a - b));
  });
  test('another kind is none', async () => {
    const plan = await heard();
    expect((await paper(plan, 'doc')).status).toBe(404);
  });
});

describe('where they may have drifted', () => {
  test('from the last position that was sent, boat and somebody in the water, marked as an estimate', async () => {
    const plan = await heard();
    const drifts = await world.get<{ at: number; pictures: { as: string; says: string[] }[] }>(
      `/api/plans/${plan.id}/drift`,
    );
    expect(drifts.at).toBe(plan.times.leave + H);
    expect(drifts.pictures.map((p) => p.as)).toEqual(['afloat', 'swamped', 'person']);
    for (const { says } of drifts.pictures) {
      expect(says[0]).toContain('Last known at 41° 11.400′ N, 29° 28.200′ W');
      expect(says.join(' ')).toMatch(/never a search area/);
      expect(says.join(' ')).toMatch(/invented/);
    }
  });
  test('nothing is drawn where no position was ever sent', async () => {
    const plan = await world.file();
    expect(await world.get(`/api/plans/${plan.id}/drift`)).toEqual({
      says: ['No position was ever sent.'],
      pictures: [],
    });
  });
});

test('the record is verified as it is shown', async () => {
  const plan = await heard();
  const record = () =>
    world.get<{ links: { kind: string }[]; broken?: { what: string } }>(`/api/plans/${plan.id}/record`);
  expect((await record()).links.map((l) => l.kind)).toEqual(['filed', 'check-in']);
  expect((await record()).broken).toBeUndefined();
  await world.tamper(sql`UPDATE plan_event SET data = '{"note":"all well"}' WHERE kind = 'check-in'`);
  expect((await record()).broken?.what).toBe('an event was changed');
});
