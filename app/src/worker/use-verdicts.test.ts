import type { RoomPicture, RoomSet } from '@maquette/core';
import { keptLines } from './kept-lines.ts';
import { judgeEach } from './use-verdicts.ts';

const mockAsked: string[] = [];
/** Rooms whose flatness takes longer, and decides nothing. */
const mockSlow = new Set<string>();
let mockValidUntil: string | null = null;
jest.mock('./ask.ts', () => ({
  openDesk: () => ({
    ask: (question: { set: { room: { id: string } }; prove: boolean }, told: (answer: unknown) => void) => {
      const { id } = question.set.room;
      mockAsked.push(question.prove ? `${id}, proved` : id);
      const proved = question.prove || !mockSlow.has(id);
      const line = { verdict: 'lay', margin: '', next: '', read: 0, stations: 0, validUntil: mockValidUntil, proved };
      queueMicrotask(() => told({ line, picture: proved ? ({} as RoomPicture) : null }));
    },
    stop: () => undefined,
  }),
}));
jest.mock('idb-keyval', () => ({ createStore: () => null, entries: async () => [], set: async () => undefined }));
jest.mock('./kept-pictures.ts', () => ({ keptPictures: { keep: () => undefined } }));
jest.mock('../data/device.ts', () => ({ store: {} }));

const question = (roomId: string) => ({ roomId, writes: 'w1', set: () => ({ room: { id: roomId } }) as RoomSet });
const settled = () => new Promise((resolve) => setTimeout(resolve, 20));

test('a room is judged once for its writes, and again only when the hour until which that holds has passed', async () => {
  await keptLines.loaded();
  mockValidUntil = new Date(Date.now() + 60_000).toISOString();
  judgeEach([question('hourly')]);
  await settled();
  judgeEach([question('hourly')]);
  await settled();
  expect(mockAsked).toEqual(['hourly']);
  jest.spyOn(Date, 'now').mockReturnValue(Date.now() + 120_000);
  jest.useFakeTimers({ now: Date.now(), doNotFake: ['setTimeout', 'queueMicrotask'] });
  judgeEach([question('hourly')]);
  await settled();
  // What it says then holds no longer either: it is asked once a round all the same.
  expect(mockAsked).toEqual(['hourly', 'hourly']);
  jest.useRealTimers();
  jest.restoreAllMocks();
});

test('what holds for good is not asked again', async () => {
  mockAsked.length = 0;
  mockValidUntil = null;
  judgeEach([question('steady')]);
  await settled();
  judgeEach([question('steady')]);
  await settled();
  expect(mockAsked).toEqual(['steady']);
});

test('every room has its verdict before any is worked out to the end, and that is done once', async () => {
  mockAsked.length = 0;
  mockSlow.add('hall').add('barn');
  judgeEach(['hall', 'shed', 'barn'].map(question));
  await settled();
  expect(mockAsked).toEqual(['hall', 'shed', 'barn', 'hall, proved', 'barn, proved']);
  judgeEach(['hall', 'shed', 'barn'].map(question));
  await settled();
  expect(mockAsked).toHaveLength(5);
});
