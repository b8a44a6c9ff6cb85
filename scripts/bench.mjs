// npm run bench: the core's figures as ratios in one run, then the API and the browser against a server of its own.
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildApp, buildServer, install, ROOT, run } from './steps.mjs';

await install();
await buildApp();
await buildServer();
const esbuild = await import('esbuild');
for (const name of [
  'core',
  'truth',
  'levelling',
  'scan',
  'strip',
  'drying',
  'api',
  'redraw',
  'drag',
  'evidence',
  'open',
]) {
  await esbuild.build({
    entryPoints: [join(ROOT, `bench/src/${name}.ts`)],
    outfile: join(ROOT, `dist/bench/${name}.mjs`),
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    logLevel: 'error',
    external: ['@playwright/test', 'highs'],
  });
}
await run(process.execPath, ['dist/bench/core.mjs']);
await run(process.execPath, ['dist/bench/truth.mjs']);
await run(process.execPath, ['dist/bench/levelling.mjs']);
await run(process.execPath, ['dist/bench/strip.mjs']);
await run(process.execPath, ['dist/bench/drying.mjs']);
const data = mkdtempSync(join(tmpdir(), 'maquette-bench-'));
const server = spawn(process.execPath, ['dist/server/main.mjs', '--demo', '--port', '0', '--data', data], {
  cwd: ROOT,
});
const address = await new Promise((resolve) =>
  server.stdout.on('data', (chunk) => /http\S+/.exec(String(chunk)) && resolve(/http\S+/.exec(String(chunk))[0])),
);
await run(process.execPath, ['dist/bench/scan.mjs', address]);
await run(process.execPath, ['dist/bench/api.mjs', address]);
await run(process.execPath, ['dist/bench/redraw.mjs', address]);
await run(process.execPath, ['dist/bench/drag.mjs', address]);
await run(process.execPath, ['dist/bench/evidence.mjs', address]);
await run(process.execPath, ['dist/bench/open.mjs', address]);
server.kill('SIGTERM');
server.on('exit', () => rmSync(data, { recursive: true, force: true }));
