import { BLANK_JOB } from '@maquette/core/job';
import { problemsOf } from './write-rules.ts';
import { createHistory } from './history.ts';
import { DeviceFull } from './outbox.ts';
import type { Waiting } from './waiting.ts';

let posted: Omit<Waiting, 'seq' | 'trouble'>[] = [];
const outbox = { post: async (writes: typeof posted) => void posted.push(...writes) };
/** The newest of each fact is what was posted last of it. */
const store = {
  held(_kind: string, id: string) {
    const last = posted.findLast((write) => write.id === id);
    return last ? { version: last.baseVersion + 1, body: last.body, deleted: last.deleted } : null;
  },
};
const open = () => createHistory(store, outbox as never, { here: () => problemsOf, fetch: async () => problemsOf });
beforeEach(() => (posted = []));

const job = (name: string, id = 'job-1') => ({ kind: 'jobs' as const, id, body: { ...BLANK_JOB, name, rank: 0 } });
const last = () => posted.at(-1)!;

test('undo and redo walk to and fro over the same steps; a new change ends the way forward', async () => {
  const history = open();
  await history.write('Named', [job('First')]);
  await history.write('Renamed', [job('Second')]);
  expect(await history.undo()).toBe('Renamed');
  expect(last().body).toMatchObject({ name: 'First' });
  expect(await history.redo()).toBe('Renamed');
  expect(last().body).toMatchObject({ name: 'Second' });
  expect(await history.undo()).toBe('Renamed');
  expect(await history.undo()).toBe('Named');
  expect(last().deleted).toBe(true);
  expect(await history.redo()).toBe('Named');
  expect(last()).toMatchObject({ deleted: false, body: { name: 'First' } });
  await history.write('Renamed otherwise', [job('Third')]);
  expect(await history.redo()).toBeNull();
  // Each write is made on the version before it: nothing overtakes.
  expect(posted.map((w) => w.baseVersion)).toEqual([0, 1, 2, 3, 4, 5, 6, 7]);
});

test('a body with a problem is not written, and is not a step to undo', async () => {
  const history = open();
  const result = await history.write('Bad', [{ ...job('x'), body: { ...BLANK_JOB, name: 7 as never, rank: 0 } }]);
  expect(result).toMatchObject({ ok: false, problems: [{ field: 'name' }] });
  expect(posted).toEqual([]);
  expect(history.steps().done).toEqual([]);
});

test('what was done in a room is taken back in that room, whatever was done elsewhere since', async () => {
  const history = open();
  history.enter('room-1');
  await history.write('Here', [job('Here', 'job-1')]);
  history.enter('room-2');
  await history.write('There', [job('There', 'job-2')]);
  history.enter('room-1');
  expect(history.steps().done.map(({ words }) => words)).toEqual(['Here']);
  expect(await history.undo()).toBe('Here');
  expect(last()).toMatchObject({ id: 'job-1', deleted: true });
  expect(await history.undo()).toBeNull();
  history.enter('room-2');
  expect(history.steps()).toMatchObject({ done: [{ words: 'There' }], undone: [] });
});

test('where the rules cannot be fetched what is entered is posted all the same', async () => {
  const none = { here: () => null, fetch: () => Promise.reject(new Error('no signal')) };
  const history = createHistory(store, outbox as never, none);
  expect(await history.write('Named', [job('First')])).toEqual({ ok: true });
  expect(last()).toMatchObject({ id: 'job-1', body: { name: 'First' } });
});

test('undo pressed before the disk has answered takes back what is seen, not the step before it', async () => {
  const slow: (() => void)[] = [];
  const disk = {
    post: (writes: typeof posted) => (posted.push(...writes), new Promise<void>((done) => slow.push(done))),
  };
  const history = createHistory(store, disk as never, { here: () => problemsOf, fetch: async () => problemsOf });
  void history.write('Named', [job('First')]);
  void history.write('Renamed', [job('Second')]);
  void history.undo();
  expect(last().body).toMatchObject({ name: 'First' });
  // A change made meanwhile is a step too, whichever the disk finishes first.
  void history.write('Renamed otherwise', [job('Third')]);
  for (const done of slow.reverse()) done();
  await Promise.resolve();
  expect(history.steps()).toMatchObject({ done: [{ words: 'Named' }, { words: 'Renamed otherwise' }], undone: [] });
});

test('a disk that refuses leaves no step to undo', async () => {
  const full = { post: () => Promise.reject(new Error('full')) };
  const history = createHistory(store, full as never, { here: () => problemsOf, fetch: async () => problemsOf });
  await expect(history.write('Named', [job('First')])).rejects.toThrow('full');
  expect(history.steps()).toMatchObject({ done: [], undone: [] });
});

test('what was removed on an earlier visit comes back on the version it was removed as, and Undo removes it again', async () => {
  const history = open();
  await history.write('Brought back', [{ ...job('First'), removedAs: 4 }]);
  expect(last()).toMatchObject({ baseVersion: 4, deleted: false, body: { name: 'First' } });
  expect(last()).not.toHaveProperty('removedAs');
  await history.undo();
  expect(last()).toMatchObject({ baseVersion: 5, deleted: true });
});

test('a full device is told as a problem of what was entered, with what to do', async () => {
  const full = { post: () => Promise.reject(new DeviceFull()) };
  const history = createHistory(store, full as never, { here: () => problemsOf, fetch: async () => problemsOf });
  const result = await history.write('Named', [job('First')]);
  expect(result).toMatchObject({
    ok: false,
    problems: [{ message: expect.stringMatching(/keeps nothing more.*Free some room/) }],
  });
  expect(history.steps().done).toEqual([]);
});
