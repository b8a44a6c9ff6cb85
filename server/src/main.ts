import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { count } from 'drizzle-orm';
import { createApp } from './http/app.ts';
import { LOOPBACK } from './http/guard.ts';
import { seedDemo } from './demo/seed.ts';
import { recordsHere, recordsInThread } from './seal/pool.ts';
import { here, inThread } from './import/pool.ts';
import { isLogLevel, LOG_LEVELS, openLog } from './log.ts';
import { keepDaily } from './store/backup.ts';
import { readBook } from './store/facts.ts';
import { watchDisk } from './store/disk.ts';
import { openStore } from './store/open.ts';
import { StartProblem } from './store/start-problem.ts';
import { TABLES } from './store/tables.ts';

const { values } = parseArgs({
  options: {
    port: { type: 'string', default: '4310' },
    host: { type: 'string', default: '127.0.0.1' },
    data: { type: 'string', default: 'data' },
    dist: { type: 'string', default: 'dist/app' },
    migrations: { type: 'string', default: 'server/migrations' },
    demo: { type: 'boolean', default: false },
    clock: { type: 'string' },
    backups: { type: 'string' },
    'keep-backups': { type: 'string', default: '14' },
    'allow-host': { type: 'string', multiple: true, default: [] },
    'requests-a-minute': { type: 'string', default: '30000' },
    'disk-low': { type: 'string', default: '10' },
    log: { type: 'string', default: 'warn' },
  },
});

const port = Number(values.port);
if (!Number.isInteger(port) || port < 0 || port > 65535) {
  console.error(`--port ${values.port}: a port is 0 to 65535`);
  process.exit(2);
}
const requestsAMinute = Number(values['requests-a-minute']);
if (!Number.isInteger(requestsAMinute) || requestsAMinute < 1) {
  console.error(`--requests-a-minute ${values['requests-a-minute']}: a whole number of 1 or more is taken`);
  process.exit(2);
}
if (!isLogLevel(values.log)) {
  console.error(`--log ${values.log}: one of ${LOG_LEVELS.join(', ')} is taken`);
  process.exit(2);
}
const log = openLog(values.log);
const diskLow = Number(values['disk-low']);
if (!(diskLow >= 0 && diskLow <= 100)) {
  console.error(`--disk-low ${values['disk-low']}: a number of 0 to 100 is taken, per cent of the disk`);
  process.exit(2);
}
const keepBackups = Number(values['keep-backups']);
if (!Number.isInteger(keepBackups) || keepBackups < 1) {
  console.error(`--keep-backups ${values['keep-backups']}: a whole number of 1 or more is taken`);
  process.exit(2);
}
const hosts = values['allow-host'];
if (!LOOPBACK.includes(values.host) && hosts.length === 0) {
  console.error(
    `--host ${values.host} opens this server to others, and there are no accounts yet: whoever reaches it can read and change everything. ` +
      'If that is meant, say by which name it is reached, as in --allow-host van.local.',
  );
  process.exit(2);
}
// A record is worth what its clock is: only what is invented may be dated at will.
const aheadMs = values.clock === undefined ? 0 : Date.parse(values.clock) - Date.now();
if (Number.isNaN(aheadMs) || (values.clock !== undefined && !values.demo)) {
  console.error(`--clock ${values.clock}: a time such as 2026-10-06T07:00:00Z is taken, and only with --demo`);
  process.exit(2);
}
const now = () => new Date(Date.now() + aheadMs).toISOString();
const store = await openStore(values.data, values.migrations).catch((error: unknown) => {
  if (!(error instanceof StartProblem)) throw error;
  console.error(error.message);
  process.exit(1);
});
if (values.demo) {
  const seeded = await seedDemo(
    store,
    async () => ((await store.db.select({ n: count() }).from(TABLES.jobs))[0]?.n ?? 0) === 0,
    now(),
  );
  if (seeded > 0) console.log(`Demo seeded: ${seeded} facts`);
  else if (aheadMs !== 0 && !(await readBook(store.db)).jobs.some(({ id }) => id.startsWith('demo-'))) {
    console.error(
      `--clock ${values.clock}: ${values.data} holds jobs that are not the demo's, and keeps the true time`,
    );
    process.exit(2);
  }
}
/** The steps of an import as they were built beside this file; run from its sources there is none. */
const built = fileURLToPath(new URL('./import-tasks.mjs', import.meta.url));
const tasks = existsSync(built) ? inThread(built) : here;
const recordsBuilt = fileURLToPath(new URL('./record-tasks.mjs', import.meta.url));
const records = existsSync(recordsBuilt) ? recordsInThread(recordsBuilt) : recordsHere;
const disk = watchDisk(values.data, diskLow);
const server = createApp({ store, dist: values.dist, tasks, records, disk, log, now, hosts, requestsAMinute }).listen(
  port,
  values.host,
  (error?: Error) => {
    if (error) {
      console.error(`Cannot listen on ${values.host}:${port}: ${error.message}`);
      process.exit(1);
    }
    const address = server.address();
    const bound = typeof address === 'object' && address ? address.port : port;
    console.log(`Maquette is open at http://${values.host}:${bound}`);
    if (hosts.length > 0)
      console.log(
        `Others reach it as ${hosts.join(', ')}. There are no accounts yet: let only people you trust near it.`,
      );
  },
);

const HOUR_MS = 3_600_000;
// A job with all its pictures over a bad line takes longer than the five minutes a server gives by itself.
server.requestTimeout = HOUR_MS;

/** A dated copy a day; one that cannot be made is told and tried again in an hour. */
async function backUpDaily(into: string): Promise<void> {
  try {
    const made = await keepDaily(values.data, into, keepBackups, now());
    if (made) console.log(`Backed up: ${made}`);
  } catch (error) {
    log.error(error, `No backup could be made in ${into}`);
  }
}
const { backups } = values;
if (backups) {
  void backUpDaily(backups);
  setInterval(() => void backUpDaily(backups), HOUR_MS).unref();
}

function stop(): void {
  server.close(() => {
    store.close();
    process.exit(0);
  });
  server.closeAllConnections();
}
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
