import { keptLines, type RoomLine } from './kept-lines.ts';

const mockDisk = new Map<string, unknown>();
jest.mock('idb-keyval', () => ({
  createStore: () => null,
  entries: async () => [...mockDisk.entries()],
  set: async (key: string, value: unknown) => void mockDisk.set(key, value),
}));

const line: RoomLine = { verdict: 'lay', margin: '', next: '', read: 4, stations: 4 };
const script = (src: string) => {
  document.head.innerHTML = '';
  const made = document.createElement('script');
  made.setAttribute('src', src);
  made.type = 'text/plain';
  document.head.append(made);
};

test('a verdict is given again for the very writes it was said of, by the build that said it, and for nothing else', async () => {
  script('/web/entry-1.js');
  await keptLines.loaded();
  keptLines.keep('room', 'w1 w2', line);
  expect(keptLines.find('room', 'w1 w2')).toEqual(line);
  expect(keptLines.find('room', 'w1 w3')).toBeNull();
  expect(keptLines.find('room', 'w1')).toBeNull();
  expect(keptLines.find('other', 'w1 w2')).toBeNull();
  expect(mockDisk.has('room')).toBe(true);
  script('/web/entry-2.js');
  expect(keptLines.find('room', 'w1 w2')).toBeNull();
});
