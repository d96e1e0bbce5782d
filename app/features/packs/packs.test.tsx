import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { differences, PACKS } from '@escale/core/rules';
import { fresh, show, TRIP, type fakeServer } from '../../test/world';
import { at, visited } from '../../test/router';
import { OfficerPage } from '../pack/officer-page';
import { WhatChanges } from '../pack/what-changes';
import { RoundPage } from '../shed/round-page';
import { StartingSet } from '../shed/starting-set';
import { TablePage } from '../shed/table-page';
import { PackPage } from './pack-page';
import { PacksPage } from './packs-page';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  visited.length = 0;
  at({});
});
const user = userEvent.setup({ delay: null });
const ireland = PACKS.find((p) => p.id === 'ireland')!;
const packs = () =>
  server.things
    .filter((h) => h.type === 'pack' && !h.deleted)
    .map((h) => (h.doc as unknown as { pack: typeof ireland }).pack);

async function pick(button: string, name: string, text: string): Promise<void> {
  await user.click(screen.getByRole('button', { name: button }));
  const input = await waitFor(() => {
    const found = document.querySelector<HTMLInputElement>('input[type=file]');
    if (!found) throw new Error('no picker yet');
    return found;
  });
  const file = new File([text], name, { type: name.endsWith('csv') ? 'text/csv' : 'application/json' });
  Object.defineProperty(file, 'text', { value: () => Promise.resolve(text) });
  await user.upload(input, file);
}

describe('rule packs', () => {
  test('each with its authority, version, how sure, and whether its own examples hold', async () => {
    show(<PacksPage />);
    const card = await screen.findByRole('link', { name: ireland.title });
    expect(card.textContent).toMatch(
      /Department of Transport · version 2026\.2.*From memory, not verified.*5 of 5 hold/,
    );
    expect(screen.getAllByRole('link').length).toBeGreaterThanOrEqual(PACKS.length);
  });
  test('read rule by rule in plain words, with text, section, date and confidence', async () => {
    at({ id: 'ireland' });
    show(<PackPage />);
    const rule = await screen.findByRole('group', { name: /^IE-WORN-7/ });
    expect(rule.textContent).toMatch(
      /When: Length under 7 m.*S\.I\. 921\/2005.*quite sure.*not verified.*noted 2026/,
    );
    await user.click(screen.getByRole('button', { name: /Its own examples: 5 of 5 hold/ }));
    expect(screen.getByText(/holds · Seven metres: IE-WORN-7 does not apply/)).toBeTruthy();
  });
  test('a copy is edited: what does not hold is said and not kept, what holds is', async () => {
    at({ id: 'ireland' });
    const page = show(<PackPage />);
    await user.click(await screen.findByRole('button', { name: 'Edit a copy' }));
    await waitFor(() => expect(visited).toHaveLength(1));
    expect(packs()).toHaveLength(1);
    page.unmount();
    at({ id: visited.at(-1)!.split('/').at(-1)! });
    show(<PackPage />);
    await user.click(await screen.findByRole('button', { name: 'Edit' }));
    const field = screen.getByLabelText<HTMLTextAreaElement>('The pack as text');
    const put = async (text: string) => {
      await user.clear(field);
      await user.click(field);
      await user.paste(text);
      await user.click(screen.getByRole('button', { name: 'Keep it' }));
    };
    const own = packs()[0];
    await put(JSON.stringify({ ...own, rules: [{ ...own.rules[0], source: undefined }] }));
    expect(await screen.findByText(/\/rules\/0\/source/)).toBeTruthy();
    expect(packs()[0].rules).toHaveLength(own.rules.length);
    await put(JSON.stringify({ ...own, version: '2027.1', rules: own.rules.slice(0, 1), examples: [] }));
    await waitFor(() => expect(packs()[0]).toMatchObject({ version: '2027.1', id: 'ireland-own' }));
  });
  test('a hostile pack is refused with where; a good one is taken', async () => {
    show(<PacksPage />);
    await pick(
      'Load a pack',
      'p.json',
      JSON.stringify({
        ...ireland,
        rules: [{ ...ireland.rules[0], when: { fact: 'boat.smell', is: true } }],
      }),
    );
    expect((await screen.findByRole('alert')).textContent).toContain('no fact is called "boat.smell"');
    await pick('Load a pack', 'p.json', JSON.stringify({ ...ireland, version: '2030.1' }));
    await waitFor(() => expect(packs()[0]?.version).toBe('2030.1'));
  });
  test('two versions compared, rule by rule', () => {
    const after = {
      ...ireland,
      rules: [
        { ...ireland.rules[0], text: 'Other.' },
        ...ireland.rules.slice(2),
        { ...ireland.rules[1], id: 'IE-NEW' },
      ],
    };
    expect(differences(ireland, after).map((d) => [d.what, d.id, d.fields.join()])).toEqual([
      ['changed', 'IE-PFD', 'text'],
      ['new', 'IE-NEW', ''],
      ['gone', 'IE-WORN-7', ''],
    ]);
  });
});

describe('inspection round', () => {
  test('one test at a time with how it is done; failed drops out, later stays for later', async () => {
    at({ by: '2026-05-12' });
    show(<RoundPage />);
    await screen.findByRole('heading', { name: 'Black inflatable jacket' });
    await user.type(screen.getByLabelText('Note'), 'hissing');
    await user.click(screen.getByRole('button', { name: 'Failed' }));
    await waitFor(() =>
      expect(
        server.things.find((h) => (h.doc as { name?: string }).name === 'Black inflatable jacket')?.doc,
      ).toMatchObject({ state: 'failed', tests: [{ passed: false, note: 'hissing' }] }),
    );
    expect(await screen.findByText('Black inflatable jacket: failed, and counts no more')).toBeTruthy();
    const next = screen.getByRole('heading', { level: 2 }).textContent;
    await user.click(screen.getByRole('button', { name: 'Later' }));
    // What was put off does not come again in this round.
    await waitFor(() => expect(screen.getByRole('heading', { level: 2 }).textContent).not.toBe(next));
  });
});

describe('pressed twice', () => {
  test('one test is recorded, once, and the next thing is not passed with it', async () => {
    at({ by: '2026-06-30' });
    show(<RoundPage />);
    const tested = () =>
      server.things.filter(
        (h) => h.type === 'gear' && (h.doc as { inspected?: string }).inspected === '2026-05-11',
      ).length;
    await screen.findByRole('heading', { name: 'Black inflatable jacket' });
    const before = tested();
    await user.dblClick(screen.getByRole('button', { name: 'Passed' }));
    await waitFor(() => expect(tested()).toBe(before + 1));
    expect(screen.getAllByText('Black inflatable jacket: passed')).toHaveLength(1);
  });
});

describe('the locker as a table', () => {
  test('columns are matched, what would change is shown, bad rows are named, the rest is taken whole', async () => {
    show(<TablePage />);
    await screen.findByRole('button', { name: 'Open a CSV' });
    await pick('Open a CSV', 'k.csv', 'Item;Type;Qty\nSea horn;horn;2\nFlux;warp drive;1\n');
    expect(await screen.findByText('Row 2: Sea horn')).toBeTruthy();
    expect(screen.getByText('no kind is called "warp drive"')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Take in 1 of 2' }));
    await waitFor(() =>
      expect(server.sent.find((s) => s.path === '/api/import')?.body).toMatchObject({
        shed: { gear: [{ name: 'Sea horn', kind: 'horn', count: 2 }] },
      }),
    );
    expect((await screen.findByRole('status')).textContent).toContain('1 taken in');
  });
});

test('a starting set adds what is not here yet, to be looked at before it counts', async () => {
  show(<StartingSet />);
  await user.click(await screen.findByRole('button', { name: 'Start from a set' }));
  await user.click(screen.getByRole('radio', { name: 'River raft' }));
  const before = server.things.filter((h) => h.type === 'gear').length;
  await user.click(await screen.findByRole('button', { name: /^Add [1-9]/ }));
  await waitFor(() => expect(server.things.filter((h) => h.type === 'gear').length).toBeGreaterThan(before));
  expect(server.things.filter((h) => h.type === 'gear').at(-1)?.doc).toMatchObject({ state: 'unknown' });
});

describe('of a trip', () => {
  test('officer’s check: numbered stops in order, each in order or not', async () => {
    at({ id: '01890000-0000-7000-8000-000000000056' });
    show(<OfficerPage />, { trip: '01890000-0000-7000-8000-000000000056' });
    const heads = (await screen.findAllByRole('heading', { level: 3 }))
      .map((h) => h.textContent)
      .filter((t) => /^\d/.test(t ?? ''));
    expect(heads[0]).toBe('1. Papers');
    expect(heads[1]).toBe('2. Jackets');
    expect(screen.getByRole('group', { name: 'Stop: Registration aboard' })).toBeTruthy();
  });
  test('what changes it: by day, with one more, in the other boats, further out', async () => {
    at({ id: TRIP });
    show(<WhatChanges />, { trip: TRIP });
    await user.click(await screen.findByRole('button', { name: 'What changes it?' }));
    const list = await screen.findByRole('list', { name: 'What changes the requirements' });
    const rows = () =>
      within(list)
        .getAllByRole('listitem')
        .map((r) => r.textContent);
    // Once the forecast is here and says how far one sees.
    await waitFor(() =>
      expect(rows().find((r) => r?.startsWith('By day'))).toContain('A white light ready in the hand (law)'),
    );
    expect(rows().find((r) => r?.startsWith('In Plover'))).toContain('A throwable device (law)');
  });
});
