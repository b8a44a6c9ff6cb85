import { existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import compression from 'compression';
import express, { type ErrorRequestHandler, type Express } from 'express';
import staticGzip from 'express-static-gzip';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { here, type Tasks } from '../import/pool.ts';
import { NO_LOG } from '../log.ts';
import { noting, UNWATCHED, type Disk } from '../store/disk.ts';
import type { Store } from '../store/store.ts';
import { bookRoutes } from './book.ts';
import { factRoutes } from './facts.ts';
import { jobFileRoutes } from './job-files.ts';
import { limited, LOOPBACK, onlyFor } from './guard.ts';
import { instrumentRoutes } from './instruments.ts';
import { RECORD_FILES, recordRoutes, type RecordFiles } from './record.ts';
import { recordsHere, type RecordTasks } from '../seal/pool.ts';
import { photoRoutes } from './photos.ts';
import { onError, problem } from './problem.ts';

interface AppOptions {
  store: Store;
  /** Folder of the built app; without one only the API answers. */
  dist?: string;
  /** The steps of an import; in a thread of their own where the server was built. */
  tasks?: Tasks;
  /** What takes long of a record; in a thread of its own where the server was built. */
  records?: RecordTasks;
  /** What checks a bundle, as it goes into one. */
  recordFiles?: RecordFiles;
  /** How the disk is, told with every answer. */
  disk?: Disk;
  log?: Logger;
  now?: () => string;
  /** Names the server answers to besides those by which a machine speaks of itself. */
  hosts?: readonly string[];
  /** Requests of the API one address may make in a minute: twenty phones that send a morning's readings make far fewer. */
  requestsAMinute?: number;
}

/** Requests that go well, or are refused in words, are nothing out of the ordinary. */
const levelOf = (_req: unknown, res: { statusCode: number }, error?: Error) =>
  error || res.statusCode >= 500 ? 'error' : 'debug';
/** Of a request its address, of an answer its status: what was entered is nobody's business in a log. */
const asked = ({ id, method, url }: { id: unknown; method: string; url: string }) => ({ id, method, url });
const answered = ({ statusCode }: { statusCode: number }) => ({ statusCode });

/** The whole HTTP side: API under /api, the built app under everything else. */
export function createApp({
  store: opened,
  dist,
  tasks = here,
  records = recordsHere,
  recordFiles = RECORD_FILES,
  disk = UNWATCHED,
  log = NO_LOG,
  now = () => new Date().toISOString(),
  hosts = [],
  requestsAMinute = 30_000,
}: AppOptions): Express {
  const app = express();
  const store = noting(opened, disk);
  app.disable('x-powered-by');
  app.use(pinoHttp({ logger: log, customLogLevel: levelOf, serializers: { req: asked, res: answered } }));
  // What the API answers carries the headers that pages carry.
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          // The solver is a wasm file of our own; no script may be made from text.
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          workerSrc: ["'self'", 'blob:'],
          frameAncestors: ["'none'"],
          upgradeInsecureRequests: null,
        },
      },
    }),
  );
  app.use(onlyFor([...LOOPBACK, ...hosts]));
  const api = express.Router();
  api.use((_req, res, next) => {
    res.setHeader('Cache-Control', 'no-store');
    // By this a phone knows the server's own word from a sign-in page in its place.
    res.setHeader('X-Maquette-Api', '1');
    // By this it tells how far its own clock is off.
    res.setHeader('X-Maquette-Time', now());
    const said = disk.said();
    if (said) res.setHeader('X-Maquette-Disk', said);
    next();
  });
  api.use(limited(requestsAMinute));
  // Before anything is compressed: what an instrument says is sent as it comes, not held back until there is more.
  api.use(instrumentRoutes(now));
  api.use(compression());
  api.use(jobFileRoutes(store, tasks, now));
  api.use(photoRoutes(store, now));
  api.use(recordRoutes(store, records, recordFiles, now));
  api.get('/health', (_req, res) => void res.json({ ok: true }));
  api.use(bookRoutes(store));
  api.use(factRoutes(store, now));
  api.use((_req, res) => problem(res, 404, 'No such address'));
  app.use('/api', api);
  if (dist && existsSync(dist)) {
    // The build has compressed every file once, harder than could be done while somebody waits.
    const built = (folder: string, serveStatic: object) =>
      staticGzip(folder, { enableBrotli: true, orderPreference: ['br', 'gz'], index: false, serveStatic });
    const forGood = { immutable: true, maxAge: '1y' };
    app.use('/_expo', built(join(dist, '_expo'), forGood));
    app.use('/assets', built(join(dist, 'assets'), forGood));
    // A file of another version is not here: a page in its place would be taken for a script.
    app.use(['/_expo', '/assets'], (_req, res) => void res.status(404).end());
    app.use(built(dist, { setHeaders: (res: express.Response) => res.setHeader('Cache-Control', 'no-cache') }));
    app.get('/{*path}', (_req, res) => {
      res.setHeader('Cache-Control', 'no-cache');
      res.sendFile(resolve(dist, 'index.html'));
    });
  }
  const failed: ErrorRequestHandler = (error: unknown, _req, res, next) => {
    disk.noteWrite(error);
    const said = disk.said();
    if (said && !res.headersSent) res.setHeader('X-Maquette-Disk', said);
    next(error);
  };
  app.use(failed, onError);
  return app;
}
