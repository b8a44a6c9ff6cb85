import { createServer, request as ask, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { createOutbox } from '../../app/src/data/outbox.ts';
import type { Waiting } from '../../app/src/data/waiting.ts';
import { AT, check, endServer, pause, putRoom, seeded, startServer } from './own-server.ts';

/** What a network may answer in the server's place; the last two pass on what was sent, and keep the answer back. */
const LIES = ['page', 'redirect', 'empty', 'reset', 'half', 'swallow'] as const;

/** Hands requests on to the server, or lies about one in three. */
function lyingProxy(port: number, random: () => number): Promise<Server> {
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

/** Sends writes through it with the app's own outbox, and counts those that are not there as they were made. */
export async function liedTo(data: string, writes: number): Promise<{ lost: number; twice: number }> {
  const own = await startServer(data);
  const { port } = own;
  await putRoom(port);
  const proxy = await lyingProxy(port, seeded());
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
    Array.from({ length: writes }, (_, n) => ({
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
  proxy.close();
  await endServer(own);
  return { lost: writes - right, twice: lied.length - new Set(lied.map(({ id }) => id)).size };
}
