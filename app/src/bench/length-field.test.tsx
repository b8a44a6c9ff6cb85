import '@testing-library/jest-dom';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { LengthField, lengthText } from './length-field.tsx';

const told = jest.fn();
const RANGE = { min: 100, max: 50_000 };

function Wall({ start = 3000, units = 'metric' as const }: { start?: number | null; units?: 'metric' | 'imperial' }) {
  const [mm, setMm] = useState<number | null>(start);
  return (
    <>
      <LengthField label="Wall" mm={mm} units={units} range={RANGE} onTaken={setMm} onProblem={told} />
      <button onClick={() => setMm(2500)}>undo</button>
      <output>{mm}</output>
    </>
  );
}

const field = () => screen.getByRole('textbox', { name: /^Wall/ });
async function write(text: string) {
  const user = userEvent.setup();
  await user.clear(field());
  await user.type(field(), `${text}{Enter}`);
  return user;
}

beforeEach(() => told.mockClear());

test.each([
  ['3200', '3200'],
  ['3.2 m', '3200'],
  ['3,2m', '3200'],
  ['320 cm', '3200'],
])('%s is taken as it is said', async (text, mm) => {
  render(<Wall />);
  await write(text);
  expect(screen.getByRole('status')).toHaveTextContent(mm);
  expect(told).toHaveBeenLastCalledWith('Wall', null);
});

test('feet and inches are taken to the sixteenth where the room is in them', async () => {
  render(<Wall units="imperial" />);
  await write('10\' 6 1/2"');
  // 126.5 inches of 25.4 mm.
  expect(screen.getByRole('status')).toHaveTextContent('3213.1');
});

test.each([
  ['3 parsecs', /./],
  ['', /^Empty: a length is needed$/],
  ['60', /^60 is out of range: .+ to .+ is taken$/],
  ['99 m', /^99 m is out of range: .+ to .+ is taken$/],
])('“%s” is asked back beside the field and stays; the length on record is not touched', async (text, words) => {
  render(<Wall />);
  const user = userEvent.setup();
  await user.clear(field());
  if (text) await user.type(field(), text);
  await user.tab();
  expect(screen.getByRole('alert')).toHaveTextContent(words);
  expect(field()).toHaveValue(text);
  expect(field()).toBeInvalid();
  expect(screen.getByRole('status')).toHaveTextContent('3000');
  expect(told).toHaveBeenLastCalledWith('Wall', screen.getByRole('alert').textContent);
});

test('a length that comes from elsewhere is shown, and takes what was asked back with it', async () => {
  render(<Wall />);
  const user = await write('60');
  await user.click(screen.getByText('undo'));
  expect(field()).toHaveValue('2500');
  expect(screen.queryByRole('alert')).toBeNull();
  expect(told).toHaveBeenLastCalledWith('Wall', null);
});

test('a length is written as it can be edited: millimetres bare, feet and inches with their marks', () => {
  expect([lengthText(null, 'metric'), lengthText(3000.04, 'metric'), lengthText(304.8, 'imperial')]).toEqual([
    '',
    '3000',
    '1\' 0"',
  ]);
});
