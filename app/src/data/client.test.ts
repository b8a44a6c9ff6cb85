import { EMPTY_BOOK, type Book } from '@maquette/contract';
import { bookKey, cacheStored, nextRead, queryClient, readBook } from './client.ts';

let answer: (book: Book) => void = () => undefined;
jest.mock('./api.ts', () => ({
  ...jest.requireActual<object>('./api.ts'),
  api: () => new Promise((resolve) => (answer = resolve)),
}));

const job = (version: number, deletedAt: string | null) =>
  ({ id: 'j', name: 'Toll House', version, writeId: `w${version}`, updatedAt: 't', deletedAt }) as never;

test('a removal answered while the book was being read is not undone by that older read', async () => {
  const read = queryClient.fetchQuery({ queryKey: bookKey, queryFn: readBook });
  cacheStored('jobs', job(2, 't2'));
  answer({ ...EMPTY_BOOK, jobs: [job(1, null)] });
  expect((await read).jobs).toEqual([]);
});

test('what was answered before a read began is not laid over it: another device may have changed it since', async () => {
  cacheStored('jobs', job(2, null));
  const read = readBook();
  answer(EMPTY_BOOK);
  expect((await read).jobs).toEqual([]);
});

test('a newer fact in the read stays', async () => {
  const read = readBook();
  cacheStored('jobs', job(2, null));
  answer({ ...EMPTY_BOOK, jobs: [job(3, null)] });
  expect((await read).jobs).toMatchObject([{ version: 3 }]);
});

test('a read that brought nothing is made again soon, one with something to show in its own time', () => {
  expect(nextRead(12_000)({ state: { data: undefined } })).toBeLessThan(3_000);
  expect(nextRead(12_000)({ state: { data: {} } })).toBe(12_000);
});
