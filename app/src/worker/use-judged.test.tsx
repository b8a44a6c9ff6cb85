import { act, renderHook, waitFor } from '@testing-library/react';
import { roomSet, type RoomPicture } from '@maquette/core';
import { SHIPPED_CARDS } from '@maquette/core/coverings';
import { INVENTED_ROOM as room } from '../data/invented-room.ts';
import { MockWorker } from './mock-worker.ts';
import { useJudged } from './use-judged.ts';

const mockDisk = new Map<string, unknown>();
let mockDiskWorks = true;
jest.mock('idb-keyval', () => ({
  createStore: () => null,
  get: async (key: string) => {
    if (!mockDiskWorks) throw new Error('refused');
    return mockDisk.get(key);
  },
  set: async (key: string, value: unknown) => void mockDisk.set(key, value),
}));
jest.mock('./start-worker.ts', () => ({ startWorker: () => new MockWorker() }));
let mockIdle: (() => void)[] = [];
jest.mock('../data/when-idle.ts', () => ({
  whenIdle: (work: () => void) => {
    mockIdle.push(work);
    return () => undefined;
  },
}));

const setOf = (id: string, name = 'Room') => roomSet({ ...room, id, name }, SHIPPED_CARDS[0]!);
const picture = (spacingMm: number) =>
  ({ spacingMm, rules: [], criteria: [], verdict: 'lay', validUntil: null }) as unknown as RoomPicture;
const asked = () => MockWorker.made.flatMap(({ asked: all }) => all.map(({ kind }) => kind));
const open = (id: string, writes = 'w1 w2') =>
  renderHook(({ set, stamp }) => useJudged(set, stamp), { initialProps: { set: setOf(id), stamp: writes } });

/** A room opened, judged and proved: what is kept of it. */
async function visited(id: string, proved: RoomPicture): Promise<void> {
  const { unmount } = open(id);
  await waitFor(() => expect(asked()).toContain('judge'));
  act(() => MockWorker.made[0]!.answer(picture(1)));
  await waitFor(() => expect(asked()).toContain('prove'), { timeout: 5000 });
  act(() => MockWorker.made[1]!.answer(proved));
  await waitFor(() => expect(mockDisk.has(id)).toBe(true));
  unmount();
  MockWorker.made = [];
}

beforeEach(() => {
  MockWorker.made = [];
  mockIdle = [];
  mockDiskWorks = true;
});

test('a room opens with what was proved of the same writes, and is judged again behind it', async () => {
  await visited('kept-room', picture(600));
  const { result } = open('kept-room');
  await waitFor(() => expect(result.current.picture?.spacingMm).toBe(600));
  expect(asked()).toEqual([]);
  act(() => mockIdle[0]!());
  expect(asked()).toEqual(['judge']);
  // The judgement alone says less than what is shown: it is not shown in its place.
  act(() => MockWorker.made[0]!.answer(picture(500)));
  expect(result.current.picture?.spacingMm).toBe(600);
  await waitFor(() => expect(asked()).toEqual(['judge', 'prove']), { timeout: 5000 });
  act(() => MockWorker.made[1]!.answer(picture(400)));
  expect(result.current.picture?.spacingMm).toBe(400);
});

test('nothing kept is shown for other writes, or where the browser keeps nothing: the room is judged at once', async () => {
  await visited('other-room', picture(600));
  const { result, unmount } = open('other-room', 'w1 w3');
  await waitFor(() => expect(asked()).toEqual(['judge']));
  expect(result.current.picture).toBeNull();
  unmount();
  MockWorker.made = [];
  mockDiskWorks = false;
  open('third-room');
  await waitFor(() => expect(asked()).toEqual(['judge']));
});

test('a change is judged at once, also while what was kept still stands', async () => {
  await visited('changed-room', picture(600));
  const { result, rerender } = open('changed-room');
  await waitFor(() => expect(result.current.picture?.spacingMm).toBe(600));
  rerender({ set: setOf('changed-room', 'Parlour'), stamp: 'w1 w9' });
  await waitFor(() => expect(asked()).toEqual(['judge']));
  act(() => MockWorker.made[0]!.answer(picture(300)));
  expect(result.current.picture?.spacingMm).toBe(300);
});

test('a picture that the hour may have changed since gives way to the judgement at once', async () => {
  await visited('aged-room', { ...picture(600), validUntil: '2026-05-04T08:00:00.000Z' });
  const { result } = open('aged-room');
  await waitFor(() => expect(result.current.picture?.spacingMm).toBe(600));
  act(() => mockIdle[0]!());
  act(() => MockWorker.made[0]!.answer(picture(500)));
  expect(result.current.picture?.spacingMm).toBe(500);
});
