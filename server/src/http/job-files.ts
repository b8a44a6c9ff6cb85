import { randomUUID } from 'node:crypto';
import { createWriteStream, mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Router, type Request, type Response } from 'express';
import type { JobFile } from '@maquette/facts/job-file';
import { importJob, type ImportResult } from '../import/import-job.ts';
import { importFolderIn } from '../import/land.ts';
import type { Tasks } from '../import/pool.ts';
import { askToStop, howFar, isToStop, newGauge, type Gauge } from '../import/progress.ts';
import { PLAIN_MOST, SENT } from '../import/read-file.ts';
import { keepChain } from '../seal/kept-chain.ts';
import { writeJobFile } from '../store/job-file.ts';
import type { Store } from '../store/store.ts';
import { findPicture, readPicture } from '../store/pictures.ts';
import { problem, refuse } from './problem.ts';

/** A job file with all its pictures, bytes. */
const FILE_MOST = 200_000_000;
class FileTooLarge extends Error {}

const ENDED_KEPT = 100;
const NAME = /^[a-z0-9-]{3,64}$/;

/**
 * A whole job out (`GET /jobs/:id/file`) and in (`POST /job-files`, with `?copy=1` beside the one held). Under `?as=name` it can
 * be asked how far it is, and how it ended (`GET /job-files/:name`); when whoever sent it goes away before the end, nothing of it is kept.
 */
export function jobFileRoutes(store: Store, tasks: Tasks, now: () => string): Router {
  const routes = Router();
  const under = new Map<string, Gauge>();
  /** How the last ones ended: who asked for one to stop learns whether that was in time. */
  const ended = new Map<string, string | null>();
  const end = (name: string, jobId: string | null) => {
    ended.set(name, jobId);
    if (ended.size > ENDED_KEPT) ended.delete(ended.keys().next().value!);
  };
  /** One at a time: each is a long piece of work for the one thread there is for it. */
  let before: Promise<unknown> = Promise.resolve();

  routes.get('/jobs/:id/file', async (req, res) => {
    const file = await writeJobFile(store.db, req.params.id, now());
    if (!file) return problem(res, 404, 'No such job');
    res.setHeader('Content-Disposition', `attachment; filename="job-${req.params.id}.maquette.json"`);
    res.json({ ...file, pictures: await picturesOf(store, file) });
  });
  routes.get('/job-files/:name', (req, res) => {
    const { name } = req.params;
    const gauge = under.get(name);
    if (gauge) res.json(howFar(gauge));
    else if (ended.has(name)) res.json({ jobId: ended.get(name) });
    else problem(res, 404, 'No job is being brought in under this name');
  });
  routes.post('/job-files', async (req, res) => {
    const name = typeof req.query['as'] === 'string' ? req.query['as'] : randomUUID();
    if (!NAME.test(name))
      return refuse(res, [{ field: 'as', value: name, message: 'takes 3 to 64 small letters, digits and hyphens' }]);
    // Told before any of it is read, so that the answer is heard.
    if (Number(req.headers['content-length']) > FILE_MOST) return tooLarge(res);
    if (under.has(name)) return problem(res, 409, 'A job is being brought in under this name');
    const gauge = newGauge();
    under.set(name, gauge);
    ended.delete(name);
    res.on('close', () => {
      if (!res.writableFinished) askToStop(gauge);
    });
    const folder = importFolderIn(store.folder, randomUUID());
    try {
      await receive(req, folder);
      const mine = before.then(() => importJob(store, tasks, folder, { copy: req.query['copy'] === '1', gauge, now }));
      before = mine.catch(() => undefined);
      const result = await mine;
      if (result.is === 'stored' && result.chain.length > 0) await keepChain(store, result.jobId, result.chain);
      end(name, result.is === 'stored' ? result.jobId : null);
      say(res, result);
    } catch (error) {
      if (error instanceof FileTooLarge || isOutOfMemory(error)) tooLarge(res);
      // Whoever sent it has gone away in the middle of it.
      else if (isToStop(gauge)) res.destroy();
      else throw error;
    } finally {
      if (!ended.has(name)) end(name, null);
      under.delete(name);
    }
  });
  return routes;
}

/** Puts what is sent on disk as it comes; what did not arrive whole goes again. From then on the folder is the import's affair. */
async function receive(req: Request, folder: string): Promise<void> {
  mkdirSync(folder, { recursive: true });
  let bytes = 0;
  const counted = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      bytes += chunk.length;
      done(bytes > FILE_MOST ? new FileTooLarge() : null, chunk);
    },
  });
  try {
    await pipeline(req, counted, createWriteStream(join(folder, SENT)));
  } catch (error) {
    rmSync(folder, { recursive: true, force: true });
    throw error;
  }
}

/** The thread has a bound of its own: what is too much for it ends it, and nothing else. */
const isOutOfMemory = (error: unknown) => (error as { code?: unknown }).code === 'ERR_WORKER_OUT_OF_MEMORY';

const tooLarge = (res: Response) =>
  problem(
    res,
    413,
    `The file is too large: ${PLAIN_MOST / 1e6} million bytes are taken, and ${FILE_MOST / 1e6} million with its pictures`,
  );

function say(res: Response, result: ImportResult): void {
  switch (result.is) {
    case 'stored':
      res.status(201).json({ jobId: result.jobId, stored: result.stored, unchanged: result.unchanged });
      break;
    case 'refused':
      refuse(res, result.problems);
      break;
    case 'not JSON':
      problem(res, 400, 'The body is not JSON', { detail: `Line ${result.line} cannot be read as JSON.` });
      break;
    case 'too large':
      tooLarge(res);
      break;
    case 'clash':
      problem(res, 409, 'This job is here already in another state', {
        detail: `${result.clashes.length} facts differ. Bring it in as a copy to keep both.`,
      });
      break;
    case 'stopped':
      // Nobody is there to hear it.
      res.destroy();
  }
}

/** Pictures of a file's photographs, removed ones too, as far as they have arrived and their files are whole. */
async function picturesOf(store: Store, file: JobFile): Promise<NonNullable<JobFile['pictures']>> {
  const pictures: NonNullable<JobFile['pictures']> = [];
  for (const { id } of file.facts.filter((fact) => fact.kind === 'photos')) {
    const picture = await findPicture(store, id);
    const content = picture && (await readPicture(store, picture));
    if (content) pictures.push({ photoId: id, jpegBase64: content.toString('base64') });
  }
  return pictures;
}
