import { parseArgs } from 'node:util';
import { count } from 'drizzle-orm';
import { createApp } from './http/app.ts';
import { seedDemo } from './demo/seed.ts';
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
  },
});

const port = Number(values.port);
if (!Number.isInteger(port) || port < 0 || port > 65535) {
  console.error(`--port ${values.port}: a port is 0 to 65535`);
  process.exit(2);
}
const store = await openStore(values.data, values.migrations).catch((error: unknown) => {
  if (!(error instanceof StartProblem)) throw error;
  console.error(error.message);
  process.exit(1);
});
if (values.demo) {
  const seeded = await seedDemo(
    store,
    async () => ((await store.db.select({ n: count() }).from(TABLES.jobs))[0]?.n ?? 0) === 0,
  );
  if (seeded > 0) console.log(`Demo seeded: ${seeded} facts`);
}
const server = createApp({ store, dist: values.dist }).listen(port, values.host, (error?: Error) => {
  if (error) {
    console.error(`Cannot listen on ${values.host}:${port}: ${error.message}`);
    process.exit(1);
  }
  const address = server.address();
  const bound = typeof address === 'object' && address ? address.port : port;
  console.log(`Maquette is open at http://${values.host}:${bound}`);
});

function stop(): void {
  server.close(() => {
    store.close();
    process.exit(0);
  });
  server.closeAllConnections();
}
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
