import { spawn, type ChildProcess } from 'node:child_process';
import { BLANK_JOB } from '@maquette/core/job';
import { BLANK_SHAPE, rectangleWalls } from '@maquette/core/room';

/** A server of its own, built, on a port that is free. */
export interface OwnServer {
  server: ChildProcess;
  port: number;
}

/** Starts the built server on a folder; resolves when it answers. */
export function startServer(data: string): Promise<OwnServer> {
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

/** Ends it and waits until it is gone. */
export async function endServer({ server }: OwnServer, signal: 'SIGTERM' | 'SIGKILL' = 'SIGTERM'): Promise<void> {
  const ended = new Promise((resolve) => server.once('exit', resolve));
  server.kill(signal);
  await ended;
}

export const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** A generator that gives the same run again for the same seed: 0 to 1. */
export function seeded(seed = 20260504): () => number {
  let state = seed;
  return () => (state = (state * 1664525 + 1013904223) % 4294967296) / 4294967296;
}

export const AT = '2026-05-04T08:00:00.000Z';
const job = { ...BLANK_JOB, name: 'Sluice House', rank: 0 };
const room = {
  ...{ ...BLANK_SHAPE, jobId: 'job-1', name: 'Parlour', rank: 0, walls: rectangleWalls(4000, 3000) },
  ...{ baseKind: 'slab-on-ground', cardId: 'shipped-laminate', units: 'metric', spacingMm: null, contactsOnly: false },
};

export async function put(port: number, path: string, body: object): Promise<boolean> {
  const answer = await fetch(`http://127.0.0.1:${port}${path}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  await answer.text();
  return answer.ok;
}

/** A job with one room in it. */
export async function putRoom(port: number): Promise<void> {
  await put(port, '/api/jobs/job-1', { ...job, baseVersion: 0, writeId: 'w-job', deleted: false });
  await put(port, '/api/rooms/room-1', { ...room, baseVersion: 0, writeId: 'w-room', deleted: false });
}
/** Body of a check, the smallest fact there is. */
export const check = (key: string) => ({ key, found: false, takenAt: AT, note: '' });
