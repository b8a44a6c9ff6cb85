import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { BLANK_JOB } from '@maquette/core/job';
import { BLANK_SHAPE, rectangleWalls } from '@maquette/core/room';
import { AT, check, endServer, pause, put, putRoom, startServer } from './own-server.ts';

/** A job file of a hundred thousand facts brought in while others read and write: how long each of them waited, and memory. */
const FACTS = Number(process.argv[2] ?? 100_000);
const data = mkdtempSync(join(tmpdir(), 'maquette-import-'));
const own = await startServer(data);
const { port } = own;
await putRoom(port);

let order = 0;
const filed = (kind: string, id: string, roomId: string | null, body: object) => ({
  ...{ order: ++order, made: { device: 'device-1', by: 'Ann', sequence: order, at: AT, skewMs: 140 }, first: null },
  ...{ kind, id, roomId, version: 1, writeId: `w-${id}`, updatedAt: AT, deletedAt: null, body, replaced: [] },
});
const jobId = 'job-large';
const ROOMS = 50;
const facts: object[] = [filed('jobs', jobId, null, { ...BLANK_JOB, name: 'Fennimore Hall', rank: 1 })];
for (let r = 0; r < ROOMS; r++)
  facts.push(
    filed('rooms', `room-l${r}`, null, {
      ...{ ...BLANK_SHAPE, jobId, name: `Room ${r}`, rank: r, walls: rectangleWalls(9000, 8000) },
      ...{
        baseKind: 'slab-on-ground',
        cardId: 'shipped-laminate',
        units: 'metric',
        spacingMm: null,
        contactsOnly: false,
      },
    }),
    filed('setups', `setup-l${r}`, `room-l${r}`, { name: 'A', openRodMm: 1330, closeRodMm: null, startedAt: AT }),
  );
for (let n = 0; facts.length < FACTS; n++) {
  const r = n % ROOMS;
  facts.push(
    filed('readings', `read-l${n}`, `room-l${r}`, {
      ...{ setupId: `setup-l${r}`, stationKey: `p${n}`, xMm: n % 9000, yMm: n % 8000, rodMm: 1300 + (n % 60) / 2 },
      ...{ takenAt: AT, note: '' },
    }),
  );
}
const file = JSON.stringify({ format: 'maquette-job', version: 4, writtenAt: AT, facts });

const url = (path: string) => `http://127.0.0.1:${port}/api/${path}`;
const waited = { read: [] as number[], write: [] as number[] };
let over = false;
const timed = async (into: number[], ask: () => Promise<unknown>) => {
  for (let n = 0; !over; n++) {
    const from = performance.now();
    await ask();
    into.push(performance.now() - from);
    await pause(10);
  }
};
let writes = 0;
const readers = [
  timed(waited.read, async () => (await fetch(url('rooms/room-1/facts'))).text()),
  timed(waited.write, () =>
    put(port, `/api/rooms/room-1/checks/check-${++writes}`, {
      ...check(`k${writes}`),
      ...{ baseVersion: 0, writeId: `wc-${writes}`, deleted: false },
    }),
  ),
];
/** Memory of the server's process, its threads with it, MB: the most it has had. */
const peakMb = () => Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${own.server.pid}/status`, 'utf8'))![1]) / 1024;
const began = performance.now();
const answer = await fetch(url('job-files?as=large'), { method: 'POST', body: file });
const took = performance.now() - began;
console.log(answer.status, (await answer.text()).slice(0, 200));
over = true;
await Promise.all(readers);
const most = (list: number[]) => Math.max(...list).toFixed(0);
console.log(
  `${FACTS} facts, ${(file.length / 1e6).toFixed(1)} MB, in ${(took / 1000).toFixed(1)} s; meanwhile ${waited.read.length} reads, slowest ${most(waited.read)} ms, ` +
    `${waited.write.length} writes, slowest ${most(waited.write)} ms; server ${peakMb().toFixed(0)} MB at most`,
);
const stopped = new AbortController();
const second = fetch(url('job-files?copy=1&as=second'), { method: 'POST', body: file, signal: stopped.signal }).catch(
  () => 'stopped',
);
for (let far = ''; !far.includes('"storing"'); far = await (await fetch(url('job-files/second'))).text())
  await pause(100);
stopped.abort();
await second;
while ((await fetch(url('job-files/second'))).ok) await pause(100);
const { jobs } = (await (await fetch(url('book'))).json()) as { jobs: object[] };
console.log(`stopped in the middle of storing: ${jobs.length} jobs, as before`);
await endServer(own);
rmSync(data, { recursive: true, force: true });
process.exit(answer.status === 201 && jobs.length === 2 ? 0 : 1);
