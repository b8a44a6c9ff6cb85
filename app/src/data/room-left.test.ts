import { renderHook, waitFor } from '@testing-library/react';
import { isLittle, roomWords, useRoomLeft } from './room-left.ts';

const browserSays = (storage: object) =>
  Object.defineProperty(navigator, 'storage', { value: storage, configurable: true });

test('room left is what the browser allows less what is used, in round figures; under 50 MB is little', async () => {
  browserSays({ estimate: async () => ({ quota: 2.5e9, usage: 1.26e9 }), persisted: async () => true });
  const { result } = renderHook(useRoomLeft);
  await waitFor(() => expect(result.current).toEqual({ bytes: 1.24e9, promised: true }));
  expect(roomWords(result.current!)).toBe('1.2 GB');
  expect(isLittle(result.current!)).toBe(false);
  expect([isLittle({ bytes: 49e6, promised: false }), roomWords({ bytes: 49.4e6, promised: false })]).toEqual([
    true,
    '49 MB',
  ]);
});

test('a browser that does not say leaves it unsaid', async () => {
  browserSays({ estimate: () => Promise.reject(new Error('no')) });
  const { result } = renderHook(useRoomLeft);
  await new Promise((resolve) => setTimeout(resolve, 0));
  expect(result.current).toBeNull();
});
