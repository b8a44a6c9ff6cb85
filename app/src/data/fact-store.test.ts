import { QueryClient } from '@tanstack/react-query';
import { emptyBook, emptyRoom, type Book, type FactOf, type RoomLists } from '@maquette/facts';
import { bookKey, nextRead, roomKey } from './client.ts';
import { createFactStore } from './fact-store.ts';
import type { OutboxState } from './outbox.ts';
import type { Waiting } from './waiting.ts';

let answer: (lists: Book | RoomLists) => void = () => undefined;
jest.mock('./api.ts', () => ({
  ...jest.requireActual<object>('./api.ts'),
  api: () => new Promise((resolve) => (answer = resolve)),
}));

let state: OutboxState;
const outbox = { get: () => state, subscribe: () => () => undefined };
const queries = new QueryClient();
let store: ReturnType<typeof createFactStore>;
beforeEach(() => {
  state = { loaded: true, waiting: [], reachable: true, full: false };
  queries.clear();
  store = createFactStore(queries, outbox);
});

const job = (version: number, deletedAt: string | null = null) =>
  ({ id: 'j', name: 'Toll House', version, writeId: `w${version}`, updatedAt: 't', deletedAt }) as FactOf<'jobs'>;
const tick = (id: string, version = 1) =>
  ({
    id,
    roomId: 'r',
    key: 'k',
    version,
    writeId: `${id}-${version}`,
    updatedAt: 't',
    deletedAt: null,
  }) as FactOf<'ticks'>;
const waiting = (part: Partial<Waiting>) =>
  ({ kind: 'ticks', id: 't2', roomId: 'r', baseVersion: 0, ...part }) as Waiting;

test('a removal answered while the book was being read is not undone by that older read', async () => {
  const read = queries.fetchQuery({ queryKey: bookKey, queryFn: store.readBook });
  store.stored([{ kind: 'jobs', fact: job(2, 't2') }]);
  answer({ ...emptyBook(), jobs: [job(1)] });
  expect((await read).jobs).toEqual([]);
});

test('what was answered before a read began is not laid over it: another device may have changed it since', async () => {
  store.stored([{ kind: 'jobs', fact: job(2) }]);
  const read = store.readBook();
  answer(emptyBook());
  expect((await read).jobs).toEqual([]);
});

test('a newer fact in the read stays', async () => {
  const read = store.readBook();
  store.stored([{ kind: 'jobs', fact: job(2) }]);
  answer({ ...emptyBook(), jobs: [job(3)] });
  expect((await read).jobs).toMatchObject([{ version: 3 }]);
});

test('what waits lies over what is held, in its own room and kind only', () => {
  queries.setQueryData(roomKey('r'), { ...emptyRoom(), ticks: [tick('t1')] });
  state = { ...state, waiting: [waiting({ writeId: 'w' }), waiting({ id: 't3', roomId: 'other', writeId: 'v' })] };
  expect(store.room('r').ticks.map(({ id, waiting: w }) => [id, w])).toEqual([
    ['t1', false],
    ['t2', true],
  ]);
  expect(store.room('r').marks).toEqual([]);
  expect(store.held('ticks', 't2', 'r')).toMatchObject({ version: 1 });
  expect(store.held('ticks', 't3', 'r')).toMatchObject({ version: 1 });
});

test('a list is the very same while nothing of it changes, whatever else does', () => {
  queries.setQueryData(roomKey('r'), { ...emptyRoom(), ticks: [tick('t1')] });
  const before = store.room('r');
  store.stored([{ kind: 'jobs', fact: job(1) }]);
  expect(store.room('r')).toBe(before);
  state = { ...state, waiting: [waiting({ kind: 'checks', writeId: 'w' })] };
  const after = store.room('r');
  expect(after).not.toBe(before);
  expect(after.ticks).toBe(before.ticks);
  expect(after.checks).not.toBe(before.checks);
});

test('a room made on this device is not asked for, and has its empty lists once it is stored', () => {
  state = { ...state, waiting: [waiting({ kind: 'rooms', id: 'new', roomId: null, writeId: 'w' })] };
  expect(store.isUnsent('new')).toBe(true);
  store.stored([{ kind: 'rooms', fact: { id: 'new', version: 1, writeId: 'w' } as FactOf<'rooms'> }]);
  expect(queries.getQueryData(roomKey('new'))).toEqual(emptyRoom());
});

test('a read that brought nothing is made again soon, one with something to show in its own time', () => {
  expect(nextRead(12_000)({ state: { data: undefined } })).toBeLessThan(3_000);
  expect(nextRead(12_000)({ state: { data: {} } })).toBe(12_000);
});

test('two screens that ask for different rooms each get theirs as the same object, however they take turns', () => {
  queries.setQueryData(['room', 'r'], emptyRoom());
  const [some, others] = [['r'], ['r', 's']];
  const [first, second] = [store.rooms(some), store.rooms(others)];
  expect(store.rooms(some)).toBe(first);
  expect(store.rooms(others)).toBe(second);
});
