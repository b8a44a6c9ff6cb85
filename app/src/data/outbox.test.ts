import { answerWith, type Sent } from './invented-server.ts';
import { createOutbox, DeviceFull, type Answered } from './outbox.ts';
import type { Waiting } from './waiting.ts';

let refuses = false;
/** A disk that outlives the outbox made on it. */
const kept = new Map<string, Waiting>();
const disk = {
  load: async () => [...kept.values()],
  put: async (waiting: readonly Waiting[]) => {
    if (refuses) throw new DOMException('no room', 'QuotaExceededError');
    for (const one of waiting) kept.set(one.writeId, structuredClone(one));
  },
  drop: async (writeIds: readonly string[]) => writeIds.forEach((id) => kept.delete(id)),
  onOthers: () => undefined,
};

let sent: Sent[] = [];
let answer: (sent: Sent) => { status: number; body: unknown; headers?: Record<string, string> } | null;

beforeEach(() => {
  jest.useFakeTimers();
  kept.clear();
  refuses = false;
  sent = [];
  answer = (one) => ({
    status: 201,
    body: { ...one.body, id: 'r1', version: one.body.baseVersion + 1, roomId: 'room' },
  });
  globalThis.structuredClone ??= (value: unknown) => JSON.parse(JSON.stringify(value));
  answerWith((one) => {
    const said = answer(one);
    if (said) sent.push(one);
    return said;
  });
});
afterEach(() => jest.useRealTimers());

const load = () => createOutbox(disk);
const told = (into: string[]) => (answered: readonly Answered[]) =>
  answered.forEach(({ fact }) => into.push(fact.writeId));
const reading = (writeId: string, baseVersion: number, rodMm: number, id = 'r1') => ({
  writeId,
  kind: 'readings' as const,
  id,
  roomId: 'room',
  baseVersion,
  body: { rodMm },
  deleted: false,
  madeAt: 't',
});
const settle = async () => {
  for (let i = 0; i < 40; i++) await Promise.resolve();
};
/** Until the screen has been told of every answer. */
const untilTold = async () => {
  await settle();
  jest.advanceTimersByTime(250);
  await settle();
};

test('a write is on the device first, then sent once, in order', async () => {
  const outbox = load();
  await outbox.start(() => undefined);
  await outbox.post([reading('w1', 0, 10), reading('w2', 1, 11)]);
  await untilTold();
  expect(sent.map((s) => [s.path, s.body.writeId, s.body.baseVersion])).toEqual([
    ['/api/rooms/room/readings/r1', 'w1', 0],
    ['/api/rooms/room/readings/r1', 'w2', 1],
  ]);
  expect(outbox.get().waiting).toEqual([]);
  // The records go only when the cache that holds the answers has been kept.
  expect([...kept.keys()]).toEqual(['w1', 'w2']);
  await outbox.forget(outbox.answered());
  expect(kept.size).toBe(0);
});

test('the screen is told that the server has it once what was entered has had time to be drawn', async () => {
  const outbox = load();
  const stored: string[] = [];
  await outbox.start(told(stored));
  await outbox.post([reading('w1', 0, 10)]);
  await settle();
  expect(sent.map((s) => s.body.writeId)).toEqual(['w1']);
  expect(stored).toEqual([]);
  // One more entered meanwhile goes out at once all the same, and is told together with the first.
  jest.advanceTimersByTime(200);
  await outbox.post([reading('w2', 1, 11)]);
  await settle();
  expect(sent.map((s) => s.body.writeId)).toEqual(['w1', 'w2']);
  jest.advanceTimersByTime(200);
  expect(stored).toEqual([]);
  jest.advanceTimersByTime(50);
  expect(stored).toEqual(['w1', 'w2']);
  expect(outbox.get().waiting).toEqual([]);
});

test('without signal it waits, survives a reload and is sent when the server answers', async () => {
  answer = () => null;
  const first = load();
  await first.start(() => undefined);
  await first.post([reading('w1', 0, 10)]);
  await settle();
  expect(first.get()).toMatchObject({ reachable: false, waiting: [{ writeId: 'w1' }] });
  const second = load();
  answer = (one) => ({ status: 201, body: { ...one.body, id: 'r1', version: 1 } });
  await second.start(() => undefined);
  await settle();
  expect(sent.map((s) => s.body.writeId)).toEqual(['w1']);
  expect(second.get()).toMatchObject({ reachable: true, full: false, waiting: [] });
});

test('it tries again by itself', async () => {
  answer = () => null;
  const outbox = load();
  await outbox.start(() => undefined);
  await outbox.post([reading('w1', 0, 10)]);
  await settle();
  answer = (one) => ({ status: 200, body: { ...one.body, id: 'r1', version: 1 } });
  await jest.advanceTimersByTimeAsync(10_000);
  await settle();
  expect(outbox.get().waiting).toEqual([]);
});

test('a conflict holds up its own fact only; keeping mine sends it on top of theirs', async () => {
  answer = (one) =>
    one.body.writeId === 'w1'
      ? { status: 409, body: { status: 409, title: 'changed', current: { version: 4, rodMm: 99 } } }
      : { status: 200, body: { ...one.body, id: 'x', version: one.body.baseVersion + 1 } };
  const outbox = load();
  await outbox.start(() => undefined);
  await outbox.post([reading('w1', 1, 10), reading('w2', 2, 11), reading('w3', 0, 50, 'r2')]);
  await untilTold();
  expect(outbox.get().waiting.map((w) => [w.writeId, w.trouble?.status ?? null])).toEqual([
    ['w1', 409],
    ['w2', null],
  ]);
  await outbox.insist('r1', 'w9');
  await untilTold();
  expect(sent.at(-1)!.body).toMatchObject({ writeId: 'w9', baseVersion: 4, rodMm: 11 });
  expect(outbox.get().waiting).toEqual([]);
});

test('taking theirs lets go of every write made on top of mine', async () => {
  answer = () => ({ status: 409, body: { status: 409, title: 'changed', current: { version: 4 } } });
  const outbox = load();
  await outbox.start(() => undefined);
  await outbox.post([reading('w1', 1, 10), reading('w2', 2, 11)]);
  await settle();
  await outbox.discard('r1');
  expect(outbox.get().waiting).toEqual([]);
  expect(kept.size).toBe(0);
});

test('a server that stumbles is no refusal: the write stays and is tried again', async () => {
  answer = () => ({ status: 503, body: {} });
  const outbox = load();
  await outbox.start(() => undefined);
  await outbox.post([reading('w1', 0, 10)]);
  await settle();
  expect(outbox.get()).toMatchObject({ reachable: false, waiting: [{ writeId: 'w1', trouble: null }] });
});

test('answers that come quickly one after another are told together; none is sent twice or lost', async () => {
  const outbox = load();
  let redrawn = 0;
  const stored: string[] = [];
  await outbox.start(told(stored));
  const ids = Array.from({ length: 40 }, (_, i) => `w${i}`);
  outbox.subscribe(() => redrawn++);
  await outbox.post(ids.map((id, i) => reading(id, 0, i, `r${i}`)));
  for (let i = 0; i < 20; i++) await settle();
  await untilTold();
  expect(sent.map((s) => s.body.writeId)).toEqual(ids);
  expect(stored).toEqual(ids);
  expect(outbox.get().waiting).toEqual([]);
  // Once when they were put in, and far less than once for each answer.
  expect(redrawn).toBeLessThan(10);
});

test('what was answered before the signal went is told, not asked again', async () => {
  answer = (one) => (one.body.writeId === 'w3' ? null : { status: 201, body: { ...one.body, id: 'x', version: 1 } });
  const outbox = load();
  const stored: string[] = [];
  await outbox.start(told(stored));
  await outbox.post(['w1', 'w2', 'w3'].map((id, i) => reading(id, 0, i, `r${i}`)));
  await untilTold();
  expect(stored).toEqual(['w1', 'w2']);
  expect(outbox.get().waiting.map((w) => w.writeId)).toEqual(['w3']);
});

test.each([
  ['a sign-in page', { status: 200, body: '<html>', headers: { 'content-type': 'text/html' } }],
  ['an empty answer', { status: 200, body: {}, headers: {} }],
  ['JSON of somebody else', { status: 201, body: { ok: true }, headers: { 'content-type': 'application/json' } }],
  ['a refusal of somebody else', { status: 403, body: {}, headers: {} }],
  [
    'a receipt for another write',
    { status: 200, body: {}, headers: { 'x-maquette-api': '1', 'x-maquette-receipt': 'w9 1' } },
  ],
  [
    'a receipt for another version',
    { status: 200, body: {}, headers: { 'x-maquette-api': '1', 'x-maquette-receipt': 'w1 2' } },
  ],
  ['no receipt', { status: 200, body: {}, headers: { 'x-maquette-api': '1' } }],
])('%s is no signal: nothing leaves the outbox, and the write goes out again', async (_, instead) => {
  const answers: string[] = [];
  const outbox = load();
  answer = () => instead;
  await outbox.start(told(answers));
  await outbox.post([reading('w1', 0, 10)]);
  await untilTold();
  expect([outbox.get().waiting.length, outbox.get().reachable, answers]).toEqual([1, false, []]);
  expect([...kept.keys()]).toEqual(['w1']);
  answer = (one) => ({ status: 201, body: { ...one.body, id: 'r1', version: 1, roomId: 'room' } });
  jest.advanceTimersByTime(2000);
  await untilTold();
  expect([outbox.get().waiting.length, answers]).toEqual([0, ['w1']]);
});

test('a device that keeps nothing more says so: nothing of it is shown as kept, and the next write that is kept clears it', async () => {
  const box = load();
  await box.start(() => undefined);
  answer = () => null;
  refuses = true;
  const refused = box.post([reading('w1', 0, 1300), reading('w2', 0, 1301, 'r2')]);
  await expect(refused).rejects.toThrow(DeviceFull);
  expect(box.get()).toMatchObject({ full: true, waiting: [] });
  expect(kept.size).toBe(0);
  refuses = false;
  await box.post([reading('w3', 0, 1302, 'r3')]);
  expect(box.get()).toMatchObject({ full: false, waiting: [{ writeId: 'w3' }] });
  expect([...kept.keys()]).toEqual(['w3']);
});

test('a write the server fails on holds up nothing but what hangs on it, and is set aside after five tries; it can be sent again', async () => {
  const box = load();
  let failing = true;
  const stored: string[] = [];
  answer = (one) =>
    failing && one.path.endsWith('/r1')
      ? { status: 500, body: { type: 'about:blank', title: 'The server could not do this', status: 500 } }
      : { status: 201, body: { ...one.body, id: 'x', version: one.body.baseVersion + 1, roomId: 'room' } };
  const fetched = globalThis.fetch;
  // A failure is the server's own word, and no receipt.
  globalThis.fetch = (async (path: string, init: { body: string }) => {
    const said = await fetched(path, init as never);
    return said.status === 500 ? { ...said, status: 500, headers: new Headers({ 'x-maquette-api': '1' }) } : said;
  }) as never;
  await box.start(told(stored));
  await box.post([reading('w1', 0, 1300), reading('w1b', 1, 1301), reading('w2', 0, 1400, 'r2')]);
  await settle();
  jest.advanceTimersByTime(1000);
  await settle();
  expect(stored).toEqual(['w2']);
  for (let round = 0; round < 6; round++) {
    jest.advanceTimersByTime(9000);
    await settle();
  }
  expect(box.get().waiting.map((w) => [w.writeId, w.trouble?.status])).toEqual([
    ['w1', 500],
    ['w1b', undefined],
  ]);
  const tried = sent.filter(({ path }) => path.endsWith('/r1')).length;
  expect(tried).toBe(5);
  failing = false;
  await box.retry('r1');
  for (let round = 0; round < 3; round++) {
    await settle();
    jest.advanceTimersByTime(1000);
  }
  await settle();
  expect(stored).toEqual(['w2', 'w1', 'w1b']);
});

test('a value insisted on is on disk before the one it replaces goes: a full device loses neither', async () => {
  const box = load();
  answer = () => ({
    status: 409,
    body: { type: 'about:blank', title: 'Somebody else changed this', status: 409, current: { version: 3 } },
  });
  await box.start(() => undefined);
  await box.post([reading('w1', 0, 1300)]);
  await settle();
  expect(box.get().waiting[0]!.trouble?.status).toBe(409);
  refuses = true;
  await expect(box.insist('r1', 'w2')).rejects.toThrow(DeviceFull);
  expect([...kept.keys()]).toEqual(['w1']);
  expect(box.get().waiting.map((w) => w.writeId)).toEqual(['w1']);
  refuses = false;
  await box.insist('r1', 'w2');
  expect([...kept.values()].map((w) => [w.writeId, w.baseVersion])).toEqual([['w2', 3]]);
});

test('what is refused on a full device is set aside all the same, and sending goes on', async () => {
  const box = load();
  answer = (one) =>
    one.path.endsWith('/r1')
      ? { status: 422, body: { type: 'about:blank', title: 'Some values cannot be taken', status: 422 } }
      : { status: 201, body: { ...one.body, id: 'r2', version: 1, roomId: 'room' } };
  const stored: string[] = [];
  await box.start(told(stored));
  await box.post([reading('w1', 0, 1300), reading('w2', 0, 1301, 'r2')]);
  refuses = true;
  await settle();
  jest.advanceTimersByTime(1000);
  await settle();
  expect(stored).toEqual(['w2']);
  expect(box.get().waiting.map((w) => [w.writeId, w.trouble?.status])).toEqual([['w1', 422]]);
});
