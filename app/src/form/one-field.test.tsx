import '@testing-library/jest-dom';
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { figure, filled, orNull, text, whole } from '@maquette/core/fields';
import { timesIn } from '@maquette/words';
import { rules } from '../data/rules.ts';
import { FactField } from './fact-field.tsx';
import { refused, useFactForm } from './fact-form.ts';
import { OneField } from './one-field.tsx';
import { textOf } from './typed.ts';

jest.mock('../data/rules.ts', () => jest.requireActual('./invented-rules.ts'));

const LENGTH = figure(100, 50_000, 'mm');
const PERHAPS = orNull(LENGTH);

function Wall({ units = 'metric' as const, of = LENGTH }: { units?: 'metric' | 'imperial'; of?: typeof PERHAPS }) {
  const [mm, setMm] = useState<number | null>(3000);
  return (
    <>
      <OneField of={of} value={mm} units={units} label="Wall" onTaken={setMm} />
      <button onClick={() => setMm(2500)}>undo</button>
      <output>{mm === null ? 'none' : mm}</output>
    </>
  );
}

const field = () => screen.getByRole('textbox', { name: /^Wall/ });
const onRecord = () => screen.getByRole('status');
async function write(typed: string) {
  const user = userEvent.setup();
  await user.clear(field());
  if (typed) await user.type(field(), typed);
  await user.tab();
  return user;
}

test.each([
  ['3200', '3200'],
  ['3.2 m', '3200'],
  ['3,2m', '3200'],
  ['320 cm', '3200'],
])('%s is taken as it is said', async (typed, mm) => {
  render(<Wall />);
  await write(typed);
  await waitFor(() => expect(onRecord()).toHaveTextContent(mm));
  expect(field()).toHaveValue(mm);
});

test('feet and inches are taken to the sixteenth where the room is in them', async () => {
  render(<Wall units="imperial" />);
  await write('10\' 6 1/2"');
  // 126.5 inches of 25.4 mm.
  await waitFor(() => expect(onRecord()).toHaveTextContent('3213.1'));
});

test.each([
  ['3 parsecs', /parsecs/],
  ['', /^Empty: .+ to .+ is taken$/],
  ['60', /^60 is out of range: .+ to .+ is taken$/],
  ['99 m', /^99 m is out of range: .+ to .+ is taken$/],
])('“%s” is asked back beside the field and stays; the length on record is not touched', async (typed, words) => {
  render(<Wall />);
  await write(typed);
  expect(await screen.findByRole('alert')).toHaveTextContent(words);
  expect(field()).toHaveValue(typed);
  expect(field()).toBeInvalid();
  expect(onRecord()).toHaveTextContent('3000');
});

test('a length that comes from elsewhere is shown, and takes what was asked back with it', async () => {
  render(<Wall />);
  const user = await write('60');
  await screen.findByRole('alert');
  await user.click(screen.getByText('undo'));
  expect(field()).toHaveValue('2500');
  expect(screen.queryByRole('alert')).toBeNull();
});

test('empty is nothing measured only where the fact may lack it', async () => {
  render(<Wall of={PERHAPS} />);
  await write('');
  await waitFor(() => expect(onRecord()).toHaveTextContent('none'));
});

test('left as it was, a field writes nothing: also where the record is finer than what is shown', async () => {
  const taken = jest.fn();
  render(<OneField of={LENGTH} value={3000.04} units="metric" label="Wall" onTaken={taken} />);
  await write('3000');
  await write('3000,04');
  expect(screen.queryByRole('alert')).toBeNull();
  expect(taken).not.toHaveBeenCalled();
});

test('where the rules cannot be had a length is taken, and what is none is asked back', async () => {
  jest.spyOn(rules, 'resolverOf').mockRejectedValue(new Error('no signal'));
  render(<Wall />);
  await write('wide');
  expect(await screen.findByRole('alert')).toHaveTextContent('wide');
  await write('3200');
  await waitFor(() => expect(onRecord()).toHaveTextContent('3200'));
  jest.restoreAllMocks();
});

const PAIR = { wide: LENGTH, deep: LENGTH };

function Pair() {
  const [size, setSize] = useState({ wide: 3000, deep: 2000 });
  const form = useFactForm(PAIR, size, 'metric', (part) => setSize({ ...size, ...part }));
  return (
    <>
      <FactField form={form} name="wide" label="Wide" />
      <FactField form={form} name="deep" label="Deep" />
      <output>{`${size.wide} by ${size.deep}`}</output>
    </>
  );
}

test('two fields left before the rules are here are both taken: the second does not undo the first', async () => {
  const late = rules.resolverOf(PAIR);
  let arrive: () => void = () => undefined;
  const signal = new Promise<void>((resume) => (arrive = resume));
  jest.spyOn(rules, 'resolverOf').mockImplementation(() => signal.then(() => late));
  render(<Pair />);
  const user = userEvent.setup();
  for (const [name, typed] of [
    ['Wide', '1111'],
    ['Deep', '2222'],
  ] as const) {
    await user.clear(screen.getByRole('textbox', { name: new RegExp(`^${name}`) }));
    await user.type(screen.getByRole('textbox', { name: new RegExp(`^${name}`) }), typed);
    await user.tab();
  }
  expect(onRecord()).toHaveTextContent('3000 by 2000');
  arrive();
  await waitFor(() => expect(onRecord()).toHaveTextContent('1111 by 2222'));
  jest.restoreAllMocks();
});

test('what the store refuses stands beside the field that asked for it', async () => {
  render(<OneField of={LENGTH} value={900} units="metric" label="Wall" onTaken={() => refused('Crosses W3')} />);
  await write('800');
  expect(await screen.findByRole('alert')).toHaveTextContent('Crosses W3');
  expect(field()).toHaveValue('800');
});

const YEAR = orNull(whole(1900, 2100, 'year'));
const NAME = filled(text(12));

test.each([
  [YEAR, null, '1975,5', '1975,5 is not a whole number: 1900 to 2100 is taken, or nothing'],
  [YEAR, null, 'old', '“old” is no number: 1900 to 2100 is taken, or nothing'],
  [NAME, 'Hall', '  ', 'Empty: this is needed'],
  [NAME, 'Hall', 'The longest name', '16 characters: at most 12 are taken'],
])('a field asks back in its own words: %#', async (of, value, typed, words) => {
  render(
    <OneField of={of as typeof YEAR} value={value as null} units="metric" label="Wall" onTaken={() => undefined} />,
  );
  await write(typed);
  expect(await screen.findByText(words)).toBeInTheDocument();
});

const metric = { units: 'metric' as const, times: timesIn('UTC') };

test('a length is written as it can be edited: millimetres bare, feet and inches with their marks', () => {
  expect([
    textOf(null, LENGTH, metric),
    textOf(3000.04, LENGTH, metric),
    textOf(304.8, LENGTH, { ...metric, units: 'imperial' }),
  ]).toEqual(['', '3000', '1\' 0"']);
});
