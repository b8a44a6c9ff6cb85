import { spawn, type ChildProcess } from 'node:child_process';
import { createHash } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, request as ask, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { BLANK_JOB } from '@maquette/core/job';
import { BLANK_SHAPE, rectangleWalls } from '@maquette/core/room';
import { createOutbox } from '../../app/src/data/outbox.ts';
import type { Waiting } from '../../app/src/data/waiting.ts';

/** Whether what was acknowledged is there: a server killed over and over under six writers, and a network that lies. */
const [cyclesAsked = '200', writesAsked = '1000'] = process.argv.slice(2);
const CYCLES = Number(cyclesAsked);
const WRITES = Number(writesAsked);
const WRITERS = 6;
const AT = '2026-05-04T08:00:00.000Z';
const data = mkdtempSync(join(tmpdir(), 'maquette-durable-'));
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** A generator that gives the same run again for the same seed. */
let seed = 20260504;
const random = () => (seed = (seed * 1664525 + 1013904223) % 4294967296) / 4294967296;

function start(): Promise<{ server: ChildProcess; port: number }> {
  const server = spawn(process.execPath, [
    'dist/server/main.mjs',
    '--port',
    '0',
    '--data',
    data,
    '--requests-a-minute',
    '10000000',
  ]);
  return new Promise((resolve, reject) => {
    server.stdout.on('data', (chunk) => {
      const open = /http:\S+:(\d+)/.exec(String(chunk));
      if (open) resolve({ server, port: Number(open[1]) });
    });
    server.stderr.on('data', (chunk) => reject(new Error(String(chunk))));
  });
}
const gone = (server: ChildProcess) => new Promise((resolve) => server.once('exit', resolve));

const job = { ...BLANK_JOB, name: 'Sluice House', rank: 0 };
const room = {
  ...{ ...BLANK_SHAPE, jobId: 'job-1', name: 'Parlour', rank: 0, walls: rectangleWalls(4000, 3000) },
  ...{ baseKind: 'slab-on-ground', cardId: 'shipped-laminate', units: 'metric', spacingMm: null, contactsOnly: false },
};
const check = (key: string) => ({ key, found: false, takenAt: AT, note: '' });
const photo = { about: 'room', aboutId: 'room-1', xMm: null, yMm: null, takenAt: AT, note: '' };

async function put(port: number, path: string, body: object): Promise<boolean> {
  const answer = await fetch(`http://127.0.0.1:${port}${path}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  await answer.text();
  return answer.ok;
}

interface Acknowledged {
  /** Newest version acknowledged of each fact, with what it said. */
  facts: Map<string, { version: number; key: string }>;
  pictures: Set<string>;
}

async function killedOver(): Promise<void> {
  let { server, port } = await start();
  await put(port, '/api/jobs/job-1', { ...job, baseVersion: 0, writeId: 'w-job', deleted: false });
  await put(port, '/api/rooms/room-1', { ...room, baseVersion: 0, writeId: 'w-room', deleted: false });
  const done: Acknowledged = { facts: new Map(), pictures: new Set() };
  let count = 0;
  let stopping = false;
  const writer = async (n: number) => {
    const picture = await sharp({ create: { width: 40 + n, height: 30, channels: 3, background: '#A8452E' } })
      .jpeg()
      .toBuffer();
    for (let own = 0, turns = 1; !stopping; own++, turns++) {
      const id = `check-${n}-${Math.floor(own / 3)}`;
      const version = (done.facts.get(id)?.version ?? 0) + 1;
      const key = `k${++count}`;
      const write = { ...check(key), baseVersion: version - 1, writeId: `w-${n}-${own}`, deleted: false };
      try {
        if (await put(port, `/api/rooms/room-1/checks/${id}`, write)) done.facts.set(id, { version, key });
        if (turns % 3 === 0) {
          const photoId = `photo-${n}-${own}`;
          await put(port, `/api/rooms/room-1/photos/${photoId}`, {
            ...photo,
            baseVersion: 0,
            writeId: `p-${n}-${own}`,
            deleted: false,
          });
          const sent = await fetch(`http://127.0.0.1:${port}/api/rooms/room-1/photos/${photoId}/picture`, {
            method: 'PUT',
            body: new Uint8Array(picture),
          });
          await sent.text();
          if (sent.ok) done.pictures.add(photoId);
        }
      } catch {
        // Killed in the middle: whether it is stored nobody has said. The next write is of another fact.
        own += 3 - (own % 3);
        await pause(20);
      }
    }
  };
  const writers = Array.from({ length: WRITERS }, (_, n) => writer(n));
  for (let cycle = 0; cycle < CYCLES; cycle++) {
    await pause(60 + 240 * random());
    const ended = gone(server);
    server.kill('SIGKILL');
    await ended;
    ({ server, port } = await start());
  }
  stopping = true;
  await Promise.all(writers);
  const held = (await (await fetch(`http://127.0.0.1:${port}/api/rooms/room-1/facts`)).json()) as {
    checks: { id: string; version: number; key: string }[];
  };
  const byId = new Map(held.checks.map((one) => [one.id, one]));
  let [lost, wrong] = [0, 0];
  for (const [id, { version, key }] of done.facts) {
    const one = byId.get(id);
    if (!one || one.version < version) lost++;
    else if (one.version === version && one.key !== key) wrong++;
  }
  let lostPictures = 0;
  for (const id of done.pictures)
    if (!(await fetch(`http://127.0.0.1:${port}/api/rooms/room-1/photos/${id}/picture`)).ok) lostPictures++;
  console.log(
    `${CYCLES} times killed under ${WRITERS} writers: ${done.facts.size} facts and ${done.pictures.size} pictures acknowledged; ` +
      `${lost} lost, ${held.checks.length - byId.size} twice, ${wrong} of a wrong version, ${lostPictures} pictures lost`,
  );
  if (lost + wrong + lostPictures > 0) process.exitCode = 1;
  const ended = gone(server);
  server.kill('SIGTERM');
  await ended;
}

/** What a network may answer in the server's place; the last two pass on what was sent, and keep the answer back. */
const LIES = ['page', 'redirect', 'empty', 'reset', 'half', 'swallow'] as const;

/** Hands requests on to the server, or lies about one in three. */
function lyingProxy(port: number): Promise<Server> {
  const proxy = createServer((req, res) => {
    const lie = random() < 1 / 3 ? LIES[Math.floor(random() * LIES.length)] : null;
    if (lie === 'page') return res.writeHead(200, { 'content-type': 'text/html' }).end('<h1>Sign in to the hotel</h1>');
    if (lie === 'redirect') return res.writeHead(302, { location: '/sign-in' }).end();
    if (lie === 'empty') return res.writeHead(200).end();
    if (lie === 'reset') return req.socket.destroy();
    const on = ask({ port, host: '127.0.0.1', path: req.url!, method: req.method!, headers: req.headers }, (answer) => {
      if (lie === 'swallow') return res.socket?.destroy();
      res.writeHead(answer.statusCode!, answer.headers);
      if (lie !== 'half') return answer.pipe(res);
      answer.once('data', (piece: Buffer) =>
        res.write(piece.subarray(0, piece.length / 2), () => res.socket?.destroy()),
      );
      return undefined;
    });
    on.on('error', () => res.socket?.destroy());
    return req.pipe(on);
  });
  return new Promise((resolve) => proxy.listen(0, '127.0.0.1', () => resolve(proxy)));
}

async function liedTo(): Promise<void> {
  const { server, port } = await start();
  const proxy = await lyingProxy(port);
  const base = `http://127.0.0.1:${(proxy.address() as AddressInfo).port}`;
  const straight = globalThis.fetch;
  globalThis.fetch = ((path: string, init: RequestInit) => straight(base + path, init)) as never;
  const disk = new Map<string, Waiting>();
  const outbox = createOutbox({
    load: async () => [...disk.values()],
    put: async (waiting) => waiting.forEach((one) => disk.set(one.writeId, one)),
    drop: async (ids) => ids.forEach((id) => disk.delete(id)),
    onOthers: () => undefined,
  });
  await outbox.start(() => undefined);
  await outbox.post(
    Array.from({ length: WRITES }, (_, n) => ({
      ...{ kind: 'checks' as const, id: `lied-${n}`, roomId: 'room-1', baseVersion: 0, writeId: `l-${n}` },
      ...{ body: check(`lied/${n}`), deleted: false, madeAt: AT },
    })),
  );
  // What the app leaves to its timer is asked for at once: a lie in three would take an hour.
  while (outbox.get().waiting.length > 0) {
    await outbox.send();
    await pause(1);
  }
  globalThis.fetch = straight;
  const held = (await (await fetch(`http://127.0.0.1:${port}/api/rooms/room-1/facts`)).json()) as {
    checks: { id: string; version: number; key: string }[];
  };
  const lied = held.checks.filter(({ id }) => id.startsWith('lied-'));
  const right = lied.filter(({ id, version, key }) => version === 1 && key === id.replace('lied-', 'lied/')).length;
  const digest = createHash('sha256')
    .update(
      lied
        .map(({ id }) => id)
        .sort()
        .join(),
    )
    .digest('hex')
    .slice(0, 8);
  console.log(
    `${WRITES} writes through a network that lies about one in three: ${WRITES - right} lost or wrong, ${lied.length - new Set(lied.map(({ id }) => id)).size} twice (${digest})`,
  );
  if (right !== WRITES) process.exitCode = 1;
  proxy.close();
  const ended = gone(server);
  server.kill('SIGTERM');
  await ended;
}

await killedOver();
await liedTo();
rmSync(data, { recursive: true, force: true });
process.exit();
