import '@testing-library/jest-dom';
import { act, render, screen } from '@testing-library/react';
import { UndoBar } from './undo-bar.tsx';

jest.mock('../data/write.ts', () => {
  const steps = { undo: { words: 'Station 3 read', act: () => undefined }, redo: null, atMs: 0 };
  return { useUndo: () => steps };
});

const later = () => act(() => void jest.advanceTimersByTime(60_000));
const back = () => screen.queryByLabelText(/^Undo/);

beforeEach(() => {
  jest.useFakeTimers();
  jest.spyOn(performance, 'now').mockReturnValue(0);
});
afterEach(() => jest.useRealTimers());

test('where the bench is short the way back makes room after a while, and is there again when it is looked for', () => {
  const { rerender } = render(<UndoBar passes />);
  expect(back()).toBeVisible();
  later();
  expect(back()).toBeNull();
  rerender(<UndoBar passes asked />);
  expect(back()).toBeVisible();
});

test('on a screen with room to spare the way back stays until it is left', () => {
  const { unmount } = render(<UndoBar />);
  later();
  expect(back()).toBeVisible();
  unmount();
  jest.spyOn(performance, 'now').mockReturnValue(60_000);
  render(<UndoBar />);
  expect(back()).toBeNull();
});
