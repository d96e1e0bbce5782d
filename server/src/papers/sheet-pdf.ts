import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import pdfmake from 'pdfmake';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { clock, dayOf } from '@escale/core/say';
import type { Sheet } from '@escale/core/model';

/** The hours that stand large above everything else. */
export interface Hours {
  home: number;
  overdue: number;
  alarm: number;
}

const folder = join(
  dirname(createRequire(import.meta.url).resolve('pdfmake/package.json')),
  'fonts',
  'Roboto',
);
const face = (name: string) => join(folder, `Roboto-${name}.ttf`);
const make = pdfmake as unknown as {
  addFonts(fonts: Record<string, Record<string, string>>): void;
  setLocalAccessPolicy(may: (path: string) => boolean): void;
  setUrlAccessPolicy(may: (url: string) => boolean): void;
  createPdf(definition: TDocumentDefinitions): { getBuffer(): Promise<Buffer> };
};
make.addFonts({
  Roboto: {
    normal: face('Regular'),
    bold: face('Medium'),
    italics: face('Italic'),
    bolditalics: face('MediumItalic'),
  },
});
// Nothing but its own letters is read, and nothing fetched: what people wrote opens no file.
make.setLocalAccessPolicy((path) => path.startsWith(folder));
make.setUrlAccessPolicy(() => false);

/** Sizes that are tried until all stands on one page; the last is still read without glasses at arm's length. */
const SIZES = [10.5, 9.5, 8.5, 7.5];

/**
 * The sheet on one page of A4, black on white: whom it is about, what to do, what to say. What does not fit at the smallest size
 * goes on on a second.
 */
export async function sheetPdf(sheet: Sheet, hours: Hours): Promise<Buffer> {
  let made: { pages: number; bytes: Buffer } | undefined;
  for (const size of SIZES) {
    made = await onPages(sheet, hours, size);
    if (made.pages === 1) return made.bytes;
  }
  return made!.bytes;
}

async function onPages(sheet: Sheet, hours: Hours, size: number): Promise<{ pages: number; bytes: Buffer }> {
  let pages = 0;
  const definition: TDocumentDefinitions = {
    pageSize: 'A4',
    pageMargins: [36, 32, 36, 34],
    info: { title: sheet.title, creator: 'Escale' },
    defaultStyle: { font: 'Roboto', fontSize: size, lineHeight: 1.12 },
    footer: (page, count) => {
      pages = count;
      const of = count > 1 ? `  ·  page ${page} of ${count}` : '';
      return {
        text: `All times are of ${sheet.zone}. Escale rings nobody by itself: whoever holds this acts.${of}`,
        fontSize: 7.5,
        margin: [36, 8, 36, 0],
      };
    },
    content: contentOf(sheet, hours, size),
  };
  const bytes = await make.createPdf(definition).getBuffer();
  return { pages, bytes };
}

function contentOf(sheet: Sheet, { home, overdue, alarm }: Hours, size: number): Content[] {
  const reader = { zone: sheet.zone, locale: 'en-GB' };
  const when = (at: number) => `${dayOf(at, reader)} ${clock(at, reader)}`;
  const hour = (label: string, at: number): Content => ({
    stack: [
      { text: label, fontSize: size - 1.5 },
      { text: when(at), fontSize: size + 5, bold: true },
    ],
  });
  const part = ({ head, rows }: Sheet['lines'][number]): Content => ({
    stack: [
      { text: head.toUpperCase(), bold: true, fontSize: size - 1.5, margin: [0, size * 0.6, 0, 1] },
      {
        table: {
          widths: ['28%', '*'],
          body: rows.map(({ label, text }) => [{ text: label, bold: true }, { text }]),
        },
        layout: LINES,
      },
    ],
  });
  const wide = sheet.lines.filter(({ head }) => head === WIDE);
  const narrow = sheet.lines.filter(({ head }) => head !== WIDE);
  const numbered = (items: string[]): Content => ({ ol: items, margin: [0, 2, 0, 0] });
  return [
    { text: 'FLOAT PLAN', fontSize: size - 1.5, bold: true },
    { text: sheet.title, fontSize: size + 8, bold: true },
    {
      columns: [hour('Home', home), hour('Overdue', overdue), hour('Ring for help', alarm)],
      margin: [0, 4, 0, 4],
    },
    {
      table: {
        widths: ['*'],
        body: [
          [
            {
              stack: [{ text: 'IF THEY ARE OVERDUE', bold: true }, numbered(sheet.ifLate)],
              margin: [4, 3, 4, 3],
            },
          ],
        ],
      },
    },
    ...wide.map(part),
    { columns: halves(narrow).map((parts) => ({ stack: parts.map(part) })), columnGap: 14 },
    {
      stack: [
        { text: 'TO READ ALOUD', bold: true, fontSize: size - 1.5, margin: [0, size * 0.6, 0, 1] },
        { text: sheet.read, fontSize: size + 0.5 },
      ],
    },
  ];
}

/** The part with the most in it has the whole width. */
const WIDE = 'Where and when';

/** Two columns of about the same weight, in their order. */
function halves(parts: Sheet['lines']): Sheet['lines'][] {
  const weight = (part: Sheet['lines'][number]) => JSON.stringify(part).length;
  const all = parts.reduce((sum, part) => sum + weight(part), 0);
  const left: Sheet['lines'] = [];
  let taken = 0;
  for (const part of parts) {
    if (left.length > 0 && taken + weight(part) / 2 > all / 2) break;
    left.push(part);
    taken += weight(part);
  }
  return [left, parts.slice(left.length)];
}

const LINES = {
  hLineWidth: (i: number) => (i === 0 ? 0 : 0.4),
  vLineWidth: () => 0,
  hLineColor: () => '#999999',
  paddingLeft: () => 0,
  paddingRight: () => 4,
  paddingTop: () => 1,
  paddingBottom: () => 1,
};
