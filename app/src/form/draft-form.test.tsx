import '@testing-library/jest-dom';
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { figure, filled, orNull, text } from '@maquette/core/fields';
import { FactField } from './fact-field.tsx';
import { refused, useDraftForm } from './fact-form.ts';

jest.mock('../data/rules.ts', () => jest.requireActual('./invented-rules.ts'));

const FIELDS = { name: filled(text(40)), bags: orNull(figure(0, 200, 'bags')), airC: figure(-20, 60, '°C') };
const BEGINS = { name: '' };
const kept = jest.fn();
let answer = { ok: true } as ReturnType<typeof refused>;

/** A form that is kept by a button, as those of the stages are. */
function Form() {
  const form = useDraftForm(FIELDS, BEGINS, 'metric');
  const keep = () =>
    form.record(async (body) => {
      kept(body);
      if (answer.ok) form.restart();
      return answer;
    });
  return (
    <>
      <FactField form={form} name="name" label="Name" />
      <FactField form={form} name="bags" label="Bags" />
      <FactField form={form} name="airC" label="Air" />
      <button onClick={() => void form.put('airC', 21)}>instrument</button>
      <button onClick={() => void keep()}>keep</button>
      <output>{String(form.standing('airC'))}</output>
      {form.problem ? <p>{form.problem}</p> : null}
    </>
  );
}

beforeEach(() => {
  kept.mockClear();
  answer = { ok: true };
});
const box = (name: RegExp) => screen.getByRole('textbox', { name });
const keep = (user: ReturnType<typeof userEvent.setup>) => user.click(screen.getByText('keep'));

test('nothing is kept past what was not taken: each is named beside its field with what is taken, and stays', async () => {
  const user = userEvent.setup();
  render(<Form />);
  await user.type(box(/^Bags/), 'two');
  await keep(user);
  await screen.findByText('“two” is no number: 0 to 200 bags is taken, or nothing');
  expect(screen.getByText('Empty: this is needed')).toBeInTheDocument();
  expect(screen.getByText('Empty: -20 to 60 °C is taken')).toBeInTheDocument();
  expect(box(/^Bags/)).toHaveValue('two');
  expect(kept).not.toHaveBeenCalled();
});

test('what the pad or an instrument gives stands in its field over what was typed, and all is kept at once', async () => {
  const user = userEvent.setup();
  render(<Form />);
  await user.type(box(/^Name/), ' Hearth ');
  await user.type(box(/^Bags/), '2,5');
  await user.type(box(/^Air/), 'warm');
  await keep(user);
  await screen.findByText(/^“warm” is no number/);
  await user.click(screen.getByText('instrument'));
  await waitFor(() => expect(box(/^Air/)).toBeValid());
  expect(screen.getByRole('status')).toHaveTextContent('21');
  await keep(user);
  await waitFor(() => expect(kept).toHaveBeenCalledWith({ name: 'Hearth', bags: 2.5, airC: 21 }));
  await waitFor(() => expect(box(/^Name/)).toHaveValue(''));
});

test('what the store will not take of the whole is told, and what was typed stays', async () => {
  answer = refused('The room was removed');
  const user = userEvent.setup();
  render(<Form />);
  await user.type(box(/^Name/), 'Hearth');
  await user.type(box(/^Air/), '18');
  await keep(user);
  expect(await screen.findByText(/The room was removed/)).toBeInTheDocument();
  expect(box(/^Name/)).toHaveValue('Hearth');
});

test('pressed twice it is recorded once', async () => {
  const user = userEvent.setup();
  render(<Form />);
  await user.type(box(/^Name/), 'Hearth');
  await user.type(box(/^Air/), '18');
  const button = screen.getByText('keep');
  button.click();
  button.click();
  await waitFor(() => expect(kept).toHaveBeenCalled());
  await waitFor(() => expect(box(/^Name/)).toHaveValue(''));
  expect(kept).toHaveBeenCalledTimes(1);
});
