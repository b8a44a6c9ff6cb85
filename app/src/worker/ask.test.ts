import { MockWorker } from './mock-worker.ts';

import { openDesk } from './ask.ts';

jest.mock('./start-worker.ts', () => ({ startWorker: () => new MockWorker() }));

const question = (name: string, kind: 'judge' | 'schools' | 'plan' = 'judge') => ({
  kind,
  set: { room: { id: name } } as never,
  atUtc: 't',
});
const names = (worker: MockWorker) =>
  worker.asked.map(
    (a) => `${a.kind} ${(a as unknown as { changed: { room?: { id: string } } }).changed.room?.id ?? 'as before'}`,
  );

beforeEach(() => (MockWorker.made = []));

test('while it works, only the newest question waits', () => {
  const desk = openDesk();
  const told: unknown[] = [];
  for (const name of ['1', '2', '3']) desk.ask(question(name), (answer) => told.push(answer));
  const [worker] = MockWorker.made;
  worker!.answer('a');
  worker!.answer('b');
  expect(names(worker!)).toEqual(['judge 1', 'judge 3']);
  expect(told).toEqual(['a', 'b']);
});

test('a later question never takes the place of a newer one, and is dropped by it', () => {
  const desk = openDesk();
  desk.ask(question('1'), () => desk.ask(question('1', 'schools'), () => undefined, 'later'));
  desk.ask(question('2'), () => desk.ask(question('2', 'schools'), () => undefined, 'later'));
  const [worker] = MockWorker.made;
  worker!.answer('picture 1');
  expect(names(worker!)).toEqual(['judge 1', 'judge 2']);
  worker!.answer('picture 2');
  expect(names(worker!)).toEqual(['judge 1', 'judge 2', 'schools 2']);
});

test('stopping ends the worker at once; the next question has a new one', () => {
  const desk = openDesk();
  const told = jest.fn();
  desk.ask(question('1'), told);
  desk.stop();
  expect(MockWorker.made[0]!.ended).toBe(true);
  MockWorker.made[0]!.answer('too late');
  expect(told).not.toHaveBeenCalled();
  desk.ask(question('2'), told);
  MockWorker.made[1]!.answer('in time');
  expect(told).toHaveBeenCalledWith('in time', null);
});

test('what went wrong in the worker is told in words', () => {
  const desk = openDesk();
  const told = jest.fn();
  desk.ask(question('1'), told);
  MockWorker.made[0]!.onmessage!({
    data: { id: MockWorker.made[0]!.asked[0]!.id, ok: false, reason: 'the readings lie on top of one another' },
  });
  expect(told).toHaveBeenCalledWith(null, 'the readings lie on top of one another');
});

test('a worker that cannot be fetched is told to whoever waits; what was asked meanwhile has a new one', () => {
  const desk = openDesk();
  const [first, second] = [jest.fn(), jest.fn()];
  desk.ask(question('1'), first);
  desk.ask(question('2'), second);
  const [lost] = MockWorker.made;
  lost!.onerror!();
  expect(first).toHaveBeenCalledWith(null, expect.stringMatching(/could not be started/));
  // All of the room is sent again: the new one has nothing of it.
  expect(names(MockWorker.made[1]!)).toEqual(['judge 2']);
  lost!.onerror!();
  expect(second).not.toHaveBeenCalled();
  MockWorker.made[1]!.answer('in time');
  expect(second).toHaveBeenCalledWith('in time', null);
});

test('of a room the worker is sent what has changed; after a stop, and for another room, all of it', () => {
  const desk = openDesk();
  const [readings, marks, room, other] = [[1], [2], { id: 'r' }, { id: 'q' }];
  const ask = (set: object) => {
    desk.ask({ kind: 'judge', set: set as never, atUtc: 't' }, () => undefined);
    const worker = MockWorker.made.at(-1)!;
    worker.answer('picture');
    return Object.keys((worker.asked.at(-1) as unknown as { changed: object }).changed);
  };
  expect(ask({ room, readings, marks })).toEqual(['room', 'readings', 'marks']);
  expect(ask({ room, readings, marks })).toEqual([]);
  expect(ask({ room, readings: [1], marks })).toEqual(['readings']);
  expect(ask({ room: other, readings, marks })).toEqual(['room', 'readings', 'marks']);
  desk.stop();
  expect(ask({ room: other, readings, marks })).toEqual(['room', 'readings', 'marks']);
});
