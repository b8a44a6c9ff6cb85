import { BLANK_JOB } from '@maquette/core/job';
import { BLANK_SHAPE } from '@maquette/core/room';
export {};

/** Twenty clients writing single readings on loopback: p50, p95, and whether every acknowledged one is there. */
const [base] = process.argv.slice(2);
if (!base) throw new Error('the address of a running server is needed');
const CLIENTS = 20;

async function put(path: string, body: object): Promise<number> {
  const answer = await fetch(`${base}${path}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  await answer.arrayBuffer();
  return answer.status;
}

const write = (writeId: string) => ({ baseVersion: 0, writeId, deleted: false });
const room = `bench-${Date.now()}`;
const wall = { lengthMm: 4000, turnDeg: 90 };
await put(`/api/jobs/${room}-job`, { ...write(`${room}-w1`), name: 'Bench', ...BLANK_JOB, rank: 99 });
await put(`/api/rooms/${room}`, {
  ...write(`${room}-w2`),
  jobId: `${room}-job`,
  name: 'Bench',
  rank: 0,
  walls: [wall, wall, wall, wall],
  ...BLANK_SHAPE,
  baseKind: 'slab-on-ground',
  cardId: 'shipped-laminate',
  units: 'metric',
  spacingMm: null,
  contactsOnly: false,
});
await put(`/api/rooms/${room}/setups/${room}-s`, {
  ...write(`${room}-w3`),
  name: 'A',
  openRodMm: 1000,
  closeRodMm: null,
  startedAt: '2026-05-04T08:00:00.000Z',
});
interface Load {
  words: string;
  each: number;
  /** Pause of a client between its writes, ms; 0 asks for the next as soon as it has the answer. */
  pauseMs: number;
}

async function measure({ words, each, pauseMs }: Load, run: string): Promise<void> {
  const times: number[] = [];
  let refused = 0;
  await Promise.all(
    Array.from({ length: CLIENTS }, async (_, client) => {
      // Clients do not start in step: people do not either.
      await new Promise((resolve) => setTimeout(resolve, (client * pauseMs) / CLIENTS));
      for (let n = 0; n < each; n++) {
        const id = `${room}-${run}-${client}-${n}`;
        const started = performance.now();
        const status = await put(`/api/rooms/${room}/readings/${id}`, {
          ...write(`w-${id}`),
          setupId: `${room}-s`,
          stationKey: id,
          xMm: 1,
          yMm: 1,
          rodMm: 1000,
          takenAt: '2026-05-04T08:00:00.000Z',
          note: '',
        });
        times.push(performance.now() - started);
        if (status !== 201) refused++;
        if (pauseMs > 0) await new Promise((resolve) => setTimeout(resolve, pauseMs));
      }
    }),
  );
  const facts = (await (await fetch(`${base}/api/rooms/${room}/facts`)).json()) as { readings: { id: string }[] };
  const stored = facts.readings.filter((reading) => reading.id.startsWith(`${room}-${run}-`)).length;
  times.sort((a, b) => a - b);
  const at = (share: number) => times[Math.floor(times.length * share)]!.toFixed(1);
  console.log(
    `Single writes, ${CLIENTS} clients, ${words}: p50 ${at(0.5)} ms, p95 ${at(0.95)} ms, ${refused} refused, ${CLIENTS * each - refused - stored} lost of ${CLIENTS * each}`,
  );
}

await measure({ words: 'to warm up', each: 20, pauseMs: 0 }, 'warm');
await measure({ words: 'four writes a second each', each: 20, pauseMs: 250 }, 'paced');
await measure({ words: 'without a pause', each: 100, pauseMs: 0 }, 'flat-out');
