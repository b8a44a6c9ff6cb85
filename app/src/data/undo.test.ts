import { BLANK_JOB } from '@maquette/contract';

const mockPosted: { id: string; body: Record<string, unknown>; deleted: boolean; baseVersion: number }[][] = [];
jest.mock('./outbox.ts', () => ({
  outbox: { get: () => ({ waiting: mockPosted.flat() }), subscribe: () => () => undefined },
  post: (writes: (typeof mockPosted)[number]) => Promise.resolve(void mockPosted.push(writes)),
}));
jest.mock('./client.ts', () => ({
  bookKey: ['book'],
  roomKey: (id: string) => [id],
  queryClient: { getQueryData: () => undefined },
}));
import { redoLast, undoLast, write } from './write.ts';

const job = (name: string) => ({ kind: 'jobs' as const, id: 'job-1', body: { ...BLANK_JOB, name, rank: 0 } });
const last = () => mockPosted.at(-1)![0]!;

test('undo and redo walk to and fro over the same steps; a new change ends the way forward', async () => {
  await write('Named', [job('First')]);
  await write('Renamed', [job('Second')]);
  expect(await undoLast()).toBe('Renamed');
  expect(last().body).toMatchObject({ name: 'First' });
  expect(await redoLast()).toBe('Renamed');
  expect(last().body).toMatchObject({ name: 'Second' });
  expect(await undoLast()).toBe('Renamed');
  expect(await undoLast()).toBe('Named');
  expect(last().deleted).toBe(true);
  expect(await redoLast()).toBe('Named');
  expect(last()).toMatchObject({ deleted: false, body: { name: 'First' } });
  await write('Renamed otherwise', [job('Third')]);
  expect(await redoLast()).toBeNull();
  // Each write is made on the version before it: nothing overtakes.
  expect(mockPosted.flat().map((w) => w.baseVersion)).toEqual([0, 1, 2, 3, 4, 5, 6, 7]);
});

test('a body with a problem is not written, and is not a step to undo', async () => {
  const before = mockPosted.length;
  const result = await write('Bad', [{ ...job('x'), body: { ...BLANK_JOB, name: 7 as never, rank: 0 } }]);
  expect(result).toMatchObject({ ok: false, problems: [{ field: 'name' }] });
  expect(mockPosted).toHaveLength(before);
});
