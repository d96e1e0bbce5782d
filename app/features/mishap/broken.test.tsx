import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { plainWords, render as say, saidInstead, type Reader } from '@escale/core/say';
import { Guard } from '../../ui/guard';
import { show } from '../../test/world';
import { Broken, NotFound } from './broken';

const user = userEvent.setup({ delay: null });
const reader: Reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' };

test('one part that fails leaves what is round it, says the words for help, and may be tried again', async () => {
  const complained = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  let fails = true;
  const Part = () => {
    if (fails) throw new Error('a sum that has no end');
    return <p>the part</p>;
  };
  show(
    <>
      <p>what is round it</p>
      <Guard instead={(error, retry) => <Broken error={error} retry={async () => retry()} />}>
        <Part />
      </Guard>
    </>,
  );
  expect(screen.getByText('what is round it')).toBeTruthy();
  expect(screen.getByRole('group', { name: 'If somebody is in danger' }).textContent).toMatch(
    /Mayday.*channel 16|channel 16.*Mayday/,
  );
  expect(screen.getByText('a sum that has no end')).toBeTruthy();
  fails = false;
  await user.click(screen.getByRole('button', { name: 'Try it again' }));
  expect(screen.getByText('the part')).toBeTruthy();
  complained.mockRestore();
});

test('an address at which nothing stands says so and leads on', () => {
  show(<NotFound />);
  expect(screen.getByRole('heading', { name: 'Nothing is at this address' })).toBeTruthy();
  expect(screen.getByRole('link', { name: 'All trips' })).toBeTruthy();
});

test('a sentence that is not there throws in tests, and is read as words where an application asks for that', () => {
  const strange = { say: 'light.dark-side.home' };
  expect(() => say(strange, reader)).toThrow('no words for');
  saidInstead(plainWords);
  expect(say(strange, reader)).toBe('light, dark side, home');
  saidInstead((name) => {
    throw new Error(`no words for "${name}"`);
  });
});
