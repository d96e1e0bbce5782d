import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { fresh, show, TRIP } from '../../test/world';
import { PaperPage } from '../paper/paper-page';
import { FloatPlanSection } from './float-plan-section';

beforeEach(async () => {
  await fresh();
});
const user = userEvent.setup({ delay: null });

test('the sheet is copied as text that stands by itself: days with the hours, whom to ring, and that no machine tells', async () => {
  show(<FloatPlanSection />, { trip: TRIP });
  await user.click(await screen.findByRole('button', { name: 'Copy' }));
  expect((await screen.findByRole('status')).textContent).toMatch(/^Copied\./);
  const text = await navigator.clipboard.readText();
  for (const part of ['Tern Holm, at dawn', 'Tue 12 May', '555 0100', 'Count on no machine'])
    expect(text).toContain(part);
  expect(text).not.toMatch(/localhost|https?:|\/c\//);
});
test('what the phone does not share is copied instead; who closes its list has not failed', async () => {
  const share = jest.fn();
  Object.defineProperty(navigator, 'share', { value: share, configurable: true });
  show(<FloatPlanSection />, { trip: TRIP });
  const button = await screen.findByRole('button', { name: 'Share' });
  share.mockRejectedValueOnce(new DOMException('closed', 'AbortError'));
  await user.click(button);
  expect(screen.queryByRole('status')).toBeNull();
  share.mockRejectedValueOnce(new Error('no'));
  await user.click(button);
  expect((await screen.findByRole('status')).textContent).toMatch(/Copy it instead/);
  share.mockResolvedValueOnce(undefined);
  await user.click(button);
  await waitFor(() => expect(screen.getByRole('status').textContent).toMatch(/Make sure that it arrived/));
  Reflect.deleteProperty(navigator, 'share');
});
test('as a code another phone reads it off the screen', async () => {
  show(<FloatPlanSection />, { trip: TRIP });
  await user.click(await screen.findByRole('button', { name: 'Show as a code' }));
  expect(await screen.findByRole('img', { name: /as a code/ })).toBeTruthy();
});
test('on paper: the sheet, whom to ring, the hours, the list with where, every step', async () => {
  show(<PaperPage />, { trip: TRIP });
  const main = await screen.findByRole('main');
  for (const title of ['If they are overdue', 'Whom to ring', 'Before leaving', 'Packing list'])
    expect(screen.getByRole('heading', { name: title })).toBeTruthy();
  for (const words of [
    '555 0100',
    'Red jacket · on the body',
    'Breakfast and something warm',
    '06:20',
    'printed Mon 11 May',
  ])
    expect(main.textContent).toContain(words);
  expect(main.textContent).not.toMatch(/undefined|NaN/);
});
