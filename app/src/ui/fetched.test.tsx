import '@testing-library/jest-dom';
import { render, screen } from '@testing-library/react';
import { fetched } from './fetched.tsx';
import { Words } from './text.tsx';

function Named({ name }: { name: string }) {
  return <Words>{name}</Words>;
}

test('a screen is shown once it has been fetched', async () => {
  const Screen = fetched(async () => Named);
  render(<Screen name="Parlour" />);
  expect(await screen.findByText('Parlour')).toBeVisible();
});

test('its place is kept free meanwhile, so that what is pressed below stays under the finger', async () => {
  const Screen = fetched(async () => Named, 49);
  const { container } = render(<Screen name="Parlour" />);
  expect(container.firstElementChild).toHaveStyle({ height: '49px' });
  expect(await screen.findByText('Parlour')).toBeVisible();
  expect(container.querySelectorAll('[style*="49px"]')).toHaveLength(0);
});

test('a screen that cannot be fetched says so, and that what was entered is kept', async () => {
  const silent = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const Screen = fetched<object>(() => Promise.reject(new Error('no signal')));
  render(<Screen />);
  expect(await screen.findByRole('alert')).toHaveTextContent('What you have entered is kept.');
  expect(screen.getByRole('button', { name: 'Open it again' })).toBeVisible();
  silent.mockRestore();
});
