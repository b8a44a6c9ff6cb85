// npm run demo: installs, builds, seeds and starts Maquette with its demo jobs.
import { spawn } from 'node:child_process';
import { rmSync, existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { buildApp, buildServer, install, ROOT } from './steps.mjs';

const { values } = parseArgs({
  options: {
    port: { type: 'string', default: '4310' },
    data: { type: 'string', default: 'data/demo' },
    fresh: { type: 'boolean', default: false },
    help: { type: 'boolean', default: false },
  },
});
if (values.help) {
  console.log(
    'npm run demo -- [--port 4310] [--data data/demo] [--fresh]\n  --fresh  empties the demo database in the data folder first',
  );
  process.exit(0);
}
const data = resolve(ROOT, values.data);
if (values.fresh) {
  // Only our own database goes: the folder may hold other things.
  for (const end of ['', '-wal', '-shm'])
    if (existsSync(join(data, `maquette.sqlite${end}`))) rmSync(join(data, `maquette.sqlite${end}`));
}
await install();
await buildApp();
await buildServer();
const server = spawn(
  process.execPath,
  ['--enable-source-maps', 'dist/server/main.mjs', '--demo', '--port', values.port, '--data', data],
  { cwd: ROOT, stdio: 'inherit' },
);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('close', (code) => process.exit(code ?? 0));
