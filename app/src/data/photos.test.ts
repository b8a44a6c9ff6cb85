/** What a drawn picture holds: its digest here is its first byte, 32 times. */
const DRAWN = Uint8Array.of(7);
const HELD = { size: 1, arrayBuffer: async () => DRAWN.buffer };
/** The device's own store of pictures, and the writes of facts that were asked for. */
const mockDisk = new Map<string, { roomId: string; blob: unknown }>();
const mockWrites: { words: string; changes: { kind: string; id: string; body: Record<string, unknown> }[] }[] = [];
const mockOutbox = { waiting: [] as { id: string }[], reachable: true };
jest.mock('idb-keyval', () => ({
  createStore: () => null,
  get: async (key: string) => mockDisk.get(key),
  set: async (key: string, value: never) => void mockDisk.set(key, value),
  del: async (key: string) => void mockDisk.delete(key),
  entries: async () => [...mockDisk.entries()],
  keys: async () => [...mockDisk.keys()],
}));
jest.mock('./device.ts', () => ({
  outbox: { get: () => mockOutbox, subscribe: () => () => undefined, noteReachable: jest.fn() },
}));
jest.mock('./write.ts', () => ({
  write: async (words: string, changes: never) => {
    mockWrites.push({ words, changes });
    return { ok: true };
  },
}));

const { keepPhotos, picturesHere, sendPictures, pictureUrl } =
  jest.requireActual<typeof import('./photos.ts')>('./photos.ts');

const sent: string[] = [];
let answer: () => { ok: boolean; status: number; length?: number; theirs?: Record<string, string> } | null;
beforeEach(() => {
  jest.useFakeTimers();
  mockDisk.clear();
  mockWrites.length = 0;
  sent.length = 0;
  mockOutbox.waiting = [];
  answer = () => ({ ok: true, status: 200 });
  Object.defineProperty(globalThis.crypto, 'subtle', {
    configurable: true,
    value: {
      digest: async (_: string, data: ArrayBuffer) => new Uint8Array(32).fill(new Uint8Array(data)[0]!).buffer,
    },
  });
  Object.assign(globalThis, {
    createImageBitmap: async (file: Blob) => {
      if (file.size === 0) throw new Error('undecodable');
      return { width: 4000, height: 3000, close: () => undefined };
    },
    OffscreenCanvas: class {
      constructor(
        readonly width: number,
        readonly height: number,
      ) {}
      getContext = () => ({ drawImage: () => undefined });
      convertToBlob = async () => ({
        size: 1,
        drawn: [this.width, this.height],
        arrayBuffer: async () => DRAWN.buffer,
      });
    },
    fetch: async (path: string) => {
      const said = answer();
      if (!said) throw new TypeError('no network');
      sent.push(path);
      const receipt = {
        'x-maquette-api': '1',
        'x-maquette-receipt': `${'07'.repeat(32)} ${said.length ?? 1}`,
      };
      return { ...said, headers: new Headers(said.theirs ?? receipt) };
    },
  });
});
afterEach(() => jest.useRealTimers());

const about = { about: 'mark' as const, aboutId: 'm1', at: { xMm: 5, yMm: 6 } };
const picture = (name: string) => ({ name, bytes: Uint8Array.of(1, 2, 3) });
const broken = (name: string) => ({ name, bytes: new Uint8Array() });

test('each picture is redrawn to 2000 px, kept on the device, and written with its place and what it shows', async () => {
  mockOutbox.waiting = [{ id: 'room' }];
  expect(await keepPhotos('room', about, [picture('a'), picture('b')], 'Display')).toEqual([]);
  expect(mockDisk.size).toBe(2);
  expect([...mockDisk.values()][0]).toMatchObject({ roomId: 'room', blob: { drawn: [2000, 1500] } });
  expect(mockWrites).toHaveLength(1);
  expect(mockWrites[0]!.words).toBe('2 photographs taken');
  expect(mockWrites[0]!.changes.map((c) => c.id).sort()).toEqual([...mockDisk.keys()].sort());
  expect(mockWrites[0]!.changes[0]!.body).toMatchObject({
    about: 'mark',
    aboutId: 'm1',
    xMm: 5,
    yMm: 6,
    note: 'Display',
  });
});

test('a file that cannot be drawn is named; the others are kept; with none left nothing is written', async () => {
  expect(await keepPhotos('room', about, [picture('a'), broken('notes.txt')])).toEqual([
    expect.stringMatching(/^notes\.txt: .*not a picture/),
  ]);
  expect(mockWrites.map((w) => w.words)).toEqual(['Photograph taken']);
  await keepPhotos('room', about, [broken('x')]);
  expect(mockWrites).toHaveLength(1);
});

test('a picture goes out once its fact has, once, and leaves the device when it is acknowledged', async () => {
  mockDisk.set('p1', { roomId: 'room', blob: HELD });
  mockOutbox.waiting = [{ id: 'p1' }];
  await sendPictures();
  expect([sent, mockDisk.size]).toEqual([[], 1]);
  mockOutbox.waiting = [];
  await sendPictures();
  await sendPictures();
  expect([sent, mockDisk.size]).toEqual([['/api/rooms/room/photos/p1/picture'], 0]);
});

test.each([404, 415, 500])('answered %d, the picture stays on the device', async (status) => {
  mockDisk.set('p1', { roomId: 'room', blob: HELD });
  answer = () => ({ ok: false, status });
  await sendPictures();
  expect(mockDisk.size).toBe(1);
});

test('without signal it stays and is tried again by itself', async () => {
  mockDisk.set('p1', { roomId: 'room', blob: HELD });
  answer = () => null;
  await sendPictures();
  expect(mockDisk.size).toBe(1);
  answer = () => ({ ok: true, status: 201 });
  await jest.advanceTimersByTimeAsync(6000);
  expect([sent.length, mockDisk.size]).toEqual([1, 0]);
});

test('a picture that is not on this device is shown from the server', async () => {
  expect(await pictureUrl('room', 'elsewhere')).toBe('/api/rooms/room/photos/elsewhere/picture');
});

test.each([
  ['a sign-in page', { ok: true, status: 200, theirs: { 'content-type': 'text/html' } }],
  ['a receipt for half of it', { ok: true, status: 201, length: 7 }],
  [
    'a receipt for another picture',
    { ok: true, status: 201, theirs: { 'x-maquette-api': '1', 'x-maquette-receipt': `${'08'.repeat(32)} 1` } },
  ],
])('%s is no signal: the picture stays on the device', async (_, instead) => {
  mockDisk.set('p1', { roomId: 'room', blob: HELD });
  answer = () => instead;
  await sendPictures();
  expect(mockDisk.size).toBe(1);
  answer = () => ({ ok: true, status: 201 });
  await sendPictures();
  expect([mockDisk.size, picturesHere.get()]).toEqual([0, 0]);
});
