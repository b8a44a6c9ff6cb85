import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { hostile } from '../../server/src/http/invented-requests.ts';
import { endServer, pause, putRoom, startServer } from './own-server.ts';

/** Requests that mean no good against the built server: whether it ever fails, how long others wait meanwhile, and its memory. */
const REQUESTS = Number(process.argv[2] ?? 30_000);
const AT_ONCE = 8;
const requests = fc.sample(hostile, { numRuns: REQUESTS, seed: 20260504 });
const data = mkdtempSync(join(tmpdir(), 'maquette-hostile-'));
const own = await startServer(data);
const { port } = own;
await putRoom(port);
/** Memory of the server's process, MB: now, and the most it has had. */
const memoryMb = (what: 'VmRSS' | 'VmHWM') =>
  Number(new RegExp(`${what}:\\s+(\\d+)`).exec(readFileSync(`/proc/${own.server.pid}/status`, 'utf8'))![1]) / 1024;
const answers = new Map<number, number>();
let failed = 0;
let next = 0;
const worker = async () => {
  for (let one = requests[next++]; one; one = requests[next++]) {
    const method = one.method.toUpperCase();
    const answer = await fetch(new URL(one.path, `http://127.0.0.1:${port}`), {
      method,
      ...(method === 'GET' ? {} : { body: one.body }),
      headers: { 'content-type': 'application/json' },
    });
    await answer.arrayBuffer();
    answers.set(answer.status, (answers.get(answer.status) ?? 0) + 1);
    if (answer.status >= 500) {
      failed++;
      console.log(answer.status, method, one.path, one.body.slice(0, 300));
    }
  }
};
let over = false;
let slowest = 0;
const others = (async () => {
  while (!over) {
    const from = performance.now();
    await (await fetch(`http://127.0.0.1:${port}/api/rooms/room-1/facts`)).arrayBuffer();
    slowest = Math.max(slowest, performance.now() - from);
    await pause(20);
  }
})();
const before = memoryMb('VmRSS');
await Promise.all(Array.from({ length: AT_ONCE }, worker));
over = true;
await others;
console.log(
  `${REQUESTS} requests that mean no good, ${AT_ONCE} at once: ${failed} made the server fail; answers ${[...answers]
    .sort(([a], [b]) => a - b)
    .map(([status, n]) => `${status}: ${n}`)
    .join(
      ', ',
    )}; another's read waited ${slowest.toFixed(0)} ms at most; memory ${before.toFixed(0)} MB before, ${memoryMb('VmHWM').toFixed(0)} at most`,
);
await endServer(own);
rmSync(data, { recursive: true, force: true });
process.exit(failed > 0 ? 1 : 0);
