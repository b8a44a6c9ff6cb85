import '@testing-library/jest-dom';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { useAskedBack } from '../ui/asked-back.ts';
import { NumberField } from './number-field.tsx';

const kept = jest.fn();

/** A form of two figures that is kept by a button, as those of the stages are. */
function Form({ twice = true }: { twice?: boolean }) {
  const [bags, setBags] = useState<number | null>(null);
  const [airC, setAir] = useState<number | null>(18);
  const { onProblem, askedBack } = useAskedBack();
  const figure = { onProblem, empty: true };
  return (
    <>
      <NumberField {...figure} label="Bags" unit="bags" value={bags} range={{ min: 0, max: 200 }} onTaken={setBags} />
      {twice ? (
        <NumberField {...figure} label="Air" unit="°C" value={airC} range={{ min: -20, max: 60 }} onTaken={setAir} />
      ) : null}
      <button onClick={() => setAir(21)}>instrument</button>
      <button onClick={() => (askedBack ? kept(askedBack) : kept({ bags, airC }))}>keep</button>
    </>
  );
}

beforeEach(() => kept.mockClear());
const bags = () => screen.getByRole('textbox', { name: 'Bags, bags' });
const air = () => screen.getByRole('textbox', { name: 'Air, °C' });
const keep = (user: ReturnType<typeof userEvent.setup>) => user.click(screen.getByText('keep'));

test('a figure that was not taken holds the form back, named with what is taken; what was typed stays', async () => {
  const user = userEvent.setup();
  render(<Form />);
  await user.type(bags(), 'two');
  await keep(user);
  expect(kept).toHaveBeenLastCalledWith('Bags: “two” is no number: 0 to 200 bags is taken');
  expect(bags()).toHaveValue('two');
  expect(bags()).toBeInvalid();
  await user.clear(bags());
  await user.type(bags(), '2,5');
  await keep(user);
  expect(kept).toHaveBeenLastCalledWith({ bags: 2.5, airC: 18 });
});

test('a good figure overwritten by one out of range is not kept in its place', async () => {
  const user = userEvent.setup();
  render(<Form />);
  await user.clear(air());
  await user.type(air(), '999');
  await keep(user);
  expect(kept).toHaveBeenLastCalledWith('Air: 999 is out of range: -20 to 60 °C is taken');
});

test('a figure from elsewhere, or a field that goes, leaves nothing to ask back; empty is empty', async () => {
  const user = userEvent.setup();
  const { rerender } = render(<Form />);
  await user.clear(air());
  await user.type(air(), 'warm');
  await user.click(screen.getByText('instrument'));
  await keep(user);
  expect(kept).toHaveBeenLastCalledWith({ bags: null, airC: 21 });
  await user.clear(air());
  await user.type(air(), 'warm');
  await user.click(bags());
  rerender(<Form twice={false} />);
  await keep(user);
  expect(kept).toHaveBeenLastCalledWith({ bags: null, airC: 21 });
});
