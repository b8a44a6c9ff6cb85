// npm run bench: the core's figures as ratios in one run, then the API and the browser against a server of its own.
// npm run bench -- open redraw: only those.
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildApp, buildServer, install, ROOT, run } from './steps.mjs';

const asked = process.argv.slice(2);
const bench = async (name, ...args) => {
  if (asked.length === 0 || asked.includes(name)) await run(process.execPath, [`dist/bench/${name}.mjs`, ...args]);
};
await install();
await buildApp();
await buildServer();
const esbuild = await import('esbuild');
for (const name of [
  'core',
  'truth',
  'levelling',
  'between',
  'critic',
  'scan',
  'strip',
  'drying',
  'heights',
  'under',
  'setout',
  'setout-table',
  'schedule',
  'api',
  'redraw',
  'drag',
  'evidence',
  'open',
  'durable',
  'import',
  'hostile',
  'backup',
]) {
  await esbuild.build({
    entryPoints: [join(ROOT, `bench/src/${name}.ts`)],
    outfile: join(ROOT, `dist/bench/${name}.mjs`),
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    logLevel: 'error',
    external: ['@playwright/test', 'highs', 'sharp'],
  });
}
await bench('core');
await bench('truth');
await bench('levelling');
await bench('between');
await bench('critic');
await bench('strip');
await bench('drying');
await bench('heights');
await bench('under');
const data = mkdtempSync(join(tmpdir(), 'maquette-bench-'));
const server = spawn(
  process.execPath,
  ['dist/server/main.mjs', '--demo', '--port', '0', '--data', data, '--requests-a-minute', '10000000'],
  {
    cwd: ROOT,
  },
);
const address = await new Promise((resolve) =>
  server.stdout.on('data', (chunk) => /http\S+/.exec(String(chunk)) && resolve(/http\S+/.exec(String(chunk))[0])),
);
await bench('scan', address);
await bench('api', address);
await bench('redraw', address);
await bench('drag', address);
await bench('evidence', address);
await bench('open', address);
await bench('durable');
await bench('import');
await bench('hostile');
await bench('backup');
server.kill('SIGTERM');
server.on('exit', () => rmSync(data, { recursive: true, force: true }));
