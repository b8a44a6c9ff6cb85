import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import express, { Router, type Response } from 'express';
import { eq, inArray } from 'drizzle-orm';
import { SHEET_PT, type PaperSize } from '@maquette/core/paper';
import { COVERS } from '@maquette/core/record';
import { CHAIN_START, chainText } from '@maquette/core/seal';
import type { UnitSystem } from '@maquette/core/units';
import type { Made, SaidProblem } from '@maquette/facts';
import { checkId, checkWrite } from '@maquette/facts/check';
import { chainOn } from '../seal/kept-chain.ts';
import { keepBundle, readBundle } from '../seal/kept-bundles.ts';
import type { RecordTasks } from '../seal/pool.ts';
import { sealKey } from '../seal/seal-key.ts';
import { newShare, shareDone, type Share } from '../seal/share-done.ts';
import type { RecordAsk } from '../seal/tasks.ts';
import { find, putFact, type AnyFact } from '../store/facts.ts';
import { writeJobFile } from '../store/job-file.ts';
import type { Store } from '../store/store.ts';
import { pictures, TABLES } from '../store/tables.ts';
import { problem, refuse } from './problem.ts';

/** Files a record is made with, as they lie where the product is started. */
export interface RecordFiles {
  verifySh: string;
  verifyHtml: string;
}
export const RECORD_FILES: RecordFiles = {
  verifySh: 'server/src/seal/verify.sh',
  verifyHtml: 'dist/server/verify.html',
};

const NAME = /^[a-z0-9-]{3,64}$/;
const UNITS: readonly UnitSystem[] = ['metric', 'imperial'];
const SIZES = Object.keys(SHEET_PT) as PaperSize[];
const SEALED_FOR = [...COVERS, 'hand-over', 'asked'];
/** Digests of pictures asked for at once. */
const PICTURES_AT_ONCE = 500;

const isOneOf = <T extends string>(list: readonly T[], value: unknown): value is T => list.includes(value as T);

/** What a request asks of a record, or what it says that cannot be taken. */
function askedBy(
  query: Record<string, unknown>,
): { units: UnitSystem; size: PaperSize; zone: string; name: string } | SaidProblem[] {
  const {
    units = 'metric',
    size = units === 'imperial' ? 'Letter' : 'A4',
    zone = 'UTC',
    as: name = randomUUID(),
  } = query;
  const wrong = (field: string, value: unknown, message: string): SaidProblem => ({ field, value, message });
  if (!isOneOf(UNITS, units)) return [wrong('units', units, `takes ${UNITS.join(' or ')}`)];
  if (!isOneOf(SIZES, size)) return [wrong('size', size, `takes ${SIZES.join(' or ')}`)];
  if (typeof zone !== 'string' || !isZone(zone)) return [wrong('zone', zone, 'takes a zone such as Europe/London')];
  if (typeof name !== 'string' || !NAME.test(name))
    return [wrong('as', name, 'takes 3 to 64 small letters, digits and hyphens')];
  return { units, size, zone, name };
}

function isZone(zone: string): boolean {
  try {
    return Boolean(new Intl.DateTimeFormat('en', { timeZone: zone }));
  } catch {
    return false;
  }
}

/**
 * A job’s report (`GET /jobs/:id/report`), its record sealed (`POST /jobs/:id/seals`), and what was sealed
 * (`GET /jobs/:id/seals/:seal`). Under `?as=name` it can be asked how far it is (`GET /records/:name`).
 */
export function recordRoutes(store: Store, tasks: RecordTasks, files: RecordFiles, now: () => string): Router {
  const routes = Router();
  const under = new Map<string, Share>();
  /** One at a time: each is a long piece of work for the one thread there is for it. */
  let before: Promise<unknown> = Promise.resolve();
  const inTurn = <T>(work: () => Promise<T>): Promise<T> => {
    const mine = before.then(work, work);
    before = mine.catch(() => undefined);
    return mine;
  };

  /** The job with its chain as it stands now, or null where there is none. */
  async function prepared(
    jobId: string,
    asked: { units: UnitSystem; size: PaperSize; zone: string },
    share: Share,
    atUtc: string,
  ) {
    const file = await writeJobFile(store.db, jobId, atUtc);
    if (!file) return null;
    const lines = await chainOn(store, jobId, file);
    const ask: RecordAsk = {
      ...asked,
      file,
      atUtc,
      chain: { digest: lines.at(-1)?.digest ?? CHAIN_START, facts: lines.length },
      pictures: await digestsOf(
        store,
        file.facts.flatMap(({ kind, id }) => (kind === 'photos' ? [id] : [])),
      ),
      dataFolder: store.folder,
      share,
    };
    return { ask, lines };
  }

  /** Does a piece of work under a name by which it can be asked how far it is. */
  async function named<T>(name: string, res: Response, work: (share: Share) => Promise<T>): Promise<T | null> {
    if (under.has(name)) {
      problem(res, 409, 'A record is being made under this name');
      return null;
    }
    const share = newShare();
    under.set(name, share);
    try {
      return await inTurn(() => work(share));
    } finally {
      under.delete(name);
    }
  }

  routes.get('/records/:name', (req, res) => {
    const share = under.get(req.params.name);
    if (share) res.json({ share: shareDone(share) });
    else problem(res, 404, 'No record is being made under this name');
  });

  routes.get('/jobs/:id/report', async (req, res) => {
    const asked = askedBy(req.query);
    if (Array.isArray(asked)) return refuse(res, asked);
    await named(asked.name, res, async (share) => {
      const made = await prepared(req.params.id, asked, share, now());
      if (!made) return problem(res, 404, 'No such job');
      const pdf = await tasks.makeReport(made.ask);
      res.setHeader('Content-Disposition', `attachment; filename="report-${req.params.id}.pdf"`);
      res.type('application/pdf').send(Buffer.from(pdf));
    });
  });

  routes.get('/jobs/:id/seals/:seal', async (req, res) => {
    // A seal opens what was sealed of this job and of no other.
    const zip = (await isSealOf(store, req.params.id, req.params.seal))
      ? await readBundle(store.folder, req.params.seal)
      : null;
    if (!zip) return problem(res, 404, 'No bundle with this seal is kept here');
    res.setHeader('Content-Disposition', `attachment; filename="record-${req.params.seal.slice(0, 8)}.zip"`);
    res.type('application/zip').send(zip);
  });

  routes.post('/jobs/:id/seals', express.json({ limit: '20kb' }), async (req, res) => {
    const asked = askedBy(req.query);
    if (Array.isArray(asked)) return refuse(res, asked);
    const jobId = String(req.params['id']);
    const {
      id,
      writeId,
      made = null,
      sealedFor = 'asked',
      ofRoomId = null,
    } = (req.body ?? {}) as Record<string, unknown>;
    const wrong = checkId('seals', typeof id === 'string' ? id : '');
    if (!isOneOf(SEALED_FOR, sealedFor))
      wrong.push({ field: 'sealedFor', value: sealedFor, message: `takes one of ${SEALED_FOR.join(', ')}` });
    if (wrong.length > 0) return refuse(res, wrong);
    await named(asked.name, res, async (share) => {
      // Sent again, because its answer was not heard: what it sealed then is the answer.
      const held = await find(store.db, 'seals', String(id));
      if (held?.jobId === jobId) return void res.status(200).json(held);
      if (held) return problem(res, 409, 'A seal of another job has this id');
      const sealedAt = now();
      const ready = await prepared(jobId, asked, share, sealedAt);
      if (!ready) return problem(res, 404, 'No such job');
      const bundle = await tasks.makeBundle({
        ...ready.ask,
        chainText: chainText(ready.lines),
        privateKeyPem: await sealKey(store.folder),
        verifySh: readFileSync(files.verifySh, 'utf8'),
        verifyHtml: readFileSync(files.verifyHtml, 'utf8'),
      });
      const body = {
        jobId,
        sealedAt,
        sealedFor,
        ofRoomId,
        sealSha256: bundle.seal,
        chainSha256: ready.ask.chain.digest,
        keySha256: bundle.keySha256,
        facts: ready.lines.length,
        photographs: bundle.photographs,
        note: '',
        baseVersion: 0,
        writeId: String(writeId ?? randomUUID()),
        deleted: false,
        ...(made ? { made: made as Made } : {}),
      };
      const problems = checkWrite('seals', body);
      if (problems.length > 0) return refuse(res, problems);
      // The bundle is on disk before anybody is told of its seal.
      await keepBundle(store.folder, bundle.seal, bundle.zip);
      const stored = await store.write((tx) => putFact(store, tx, 'seals', String(id), null, body, now()));
      if (stored.ok) res.status(201).json(stored.fact);
      else problem(res, 409, 'The seal could not be kept: ask for it again');
    });
  });
  return routes;
}

/** Whether a seal is one of a job’s own. */
async function isSealOf(store: Store, jobId: string, seal: string): Promise<boolean> {
  const own: AnyFact[] = await store.db.select().from(TABLES.seals).where(eq(TABLES.seals.jobId, jobId));
  return own.some(({ sealSha256 }) => sealSha256 === seal);
}

/** The digests pictures are named by, of the photographs whose pictures have arrived. */
async function digestsOf(store: Store, photoIds: readonly string[]): Promise<(readonly [string, string])[]> {
  const found: (readonly [string, string])[] = [];
  for (let k = 0; k < photoIds.length; k += PICTURES_AT_ONCE)
    for (const { photoId, sha256 } of await store.db
      .select()
      .from(pictures)
      .where(inArray(pictures.photoId, photoIds.slice(k, k + PICTURES_AT_ONCE))))
      found.push([photoId, sha256]);
  return found.sort(([a], [b]) => (a < b ? -1 : 1));
}
