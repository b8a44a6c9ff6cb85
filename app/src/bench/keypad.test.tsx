import '@testing-library/jest-dom';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Keypad } from './keypad.tsx';

function pad(part: Partial<React.ComponentProps<typeof Keypad>> = {}) {
  const onTake = jest.fn();
  render(
    <Keypad
      asked="one"
      units="metric"
      title="Read station 1 of 9"
      lines={[]}
      lastMm={1192}
      range={{ min: 0, max: 5000 }}
      doubtMm={60}
      take="Take"
      onTake={onTake}
      {...part}
    />,
  );
  return { onTake, user: userEvent.setup({ pointerEventsCheck: 0 }) };
}

const key = (name: string) => screen.getByLabelText(name);

test('keys make a reading and Take hands it over', async () => {
  const { onTake, user } = pad();
  for (const name of ['1', '1', '9', '1', 'and a half', 'Take']) await user.click(key(name));
  expect(onTake).toHaveBeenCalledWith(1191.5);
});

test('a value far from the last is asked back and not thrown away', async () => {
  const { onTake, user } = pad();
  for (const name of ['1', '9', '2', '4', 'Take']) await user.click(key(name));
  expect(onTake).not.toHaveBeenCalled();
  expect(screen.getByRole('alert', { hidden: true })).toHaveTextContent('1 924? The last was 1 192.');
  await user.click(screen.getByLabelText(/^Take 1\s924$/));
  expect(onTake).toHaveBeenCalledWith(1924);
});

test('a value no staff can show is refused with the range and stays to be corrected', async () => {
  const { onTake, user } = pad({ doubtMm: undefined });
  for (const name of ['9', '9', '9', '9', 'Take']) await user.click(key(name));
  expect(screen.getByRole('alert', { hidden: true })).toHaveTextContent(
    '9 999 mm is out of range: 0 to 5 000 is taken',
  );
  expect(screen.getByTestId('entry')).toHaveTextContent('9 999');
  expect(onTake).not.toHaveBeenCalled();
});

test('the keyboard does what the keys do', async () => {
  const { onTake, user } = pad();
  await user.keyboard('1192{Backspace}5{Enter}');
  expect(onTake).toHaveBeenCalledWith(1195);
});

test('inches are keyed with sixteenths', async () => {
  const { onTake, user } = pad({ units: 'imperial', lastMm: 49 * 25.4 });
  for (const name of ['4', '9', '3 sixteenths', 'Take']) await user.click(key(name));
  expect(onTake.mock.calls[0][0]).toBeCloseTo(49.1875 * 25.4, 6);
});

test('nothing keyed is not taken', async () => {
  const { onTake, user } = pad();
  await user.click(key('Take'));
  expect(onTake).not.toHaveBeenCalled();
  expect(screen.getByRole('alert', { hidden: true })).toHaveTextContent('Key the reading first');
});

test('a suggested value says why it is one, and is taken by one key; what only serves to doubt by is not offered', async () => {
  const { onTake, user } = pad({ lastWords: 'as station 3' });
  await user.click(screen.getByLabelText(/^Take 1\s192 mm, as station 3$/));
  expect(onTake).toHaveBeenCalledWith(1192);
  // Once something is keyed it is out of the way.
  await user.click(key('7'));
  expect(screen.queryByLabelText(/as station 3$/)).toBeNull();
});

test('a value that is no suggestion is not offered as one', () => {
  pad();
  expect(screen.getByTestId('entry')).toHaveTextContent('–');
});

test('a key that cannot act says why when it is pressed', async () => {
  const onPress = jest.fn();
  const { user } = pad({ actions: [{ label: 'Skip', onPress, off: 'This is the last one to read.' }] });
  expect(key('Skip')).toHaveAttribute('aria-disabled', 'true');
  await user.click(key('Skip'));
  expect(onPress).not.toHaveBeenCalled();
  expect(screen.getByRole('alert', { hidden: true })).toHaveTextContent('This is the last one to read.');
});

test('after a key was touched the keyboard goes to the number, not to that key again', async () => {
  const { onTake, user } = pad();
  for (const name of ['1', '1', '9']) await user.click(key(name));
  await user.keyboard('0{Enter}');
  expect(onTake).toHaveBeenCalledWith(1190);
});
