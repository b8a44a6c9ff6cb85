import { renderHook } from '@testing-library/react';
import { spokenPlace, useSpoken } from './speak.ts';

const spoken: string[] = [];
const cancel = jest.fn();
beforeEach(() => {
  spoken.length = 0;
  cancel.mockClear();
  localStorage.clear();
  Object.assign(globalThis, {
    SpeechSynthesisUtterance: class {
      constructor(readonly text: string) {}
    },
    speechSynthesis: { cancel, speak: ({ text }: { text: string }) => spoken.push(text) },
  });
});

const place = (number: number) =>
  spokenPlace(
    `Station ${number}`,
    [
      { distanceMm: 1240, name: 'the door wall' },
      { distanceMm: 600, name: 'W3' },
    ],
    'metric',
  );

test('nothing is said until this device is set to speak', () => {
  renderHook(() => useSpoken(place(14)));
  expect(spoken).toEqual([]);
});

test('each station is said once, with its two tapes; the one before gives way, and leaving the bench is silence', () => {
  localStorage.setItem('maquette.speech', 'on');
  const { rerender, unmount } = renderHook(({ at }) => useSpoken(place(at)), { initialProps: { at: 14 } });
  rerender({ at: 14 });
  rerender({ at: 15 });
  expect(spoken).toEqual([
    'Station 14. 1 metre 24 from the door wall. 60 centimetres from wall 3',
    'Station 15. 1 metre 24 from the door wall. 60 centimetres from wall 3',
  ]);
  unmount();
  expect(cancel).toHaveBeenCalledTimes(3);
});
