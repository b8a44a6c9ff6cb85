import { execFile } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import { expect, test } from '@playwright/test';
import { build } from 'esbuild';
import { ONCE } from './app.ts';

const ROOT = join(dirname(fileURLToPath(import.meta.url)), '../..');

// A short run of what `npm run bench -- durable` does at length.
test('a server killed again and again, and a network that lies: nothing acknowledged is lost', ONCE, async () => {
  const outfile = join(ROOT, 'node_modules/.cache/maquette-test/durable.mjs');
  await build({
    entryPoints: [join(ROOT, 'bench/src/durable.ts')],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    external: ['sharp'],
    logLevel: 'error',
  });
  // It ends with another code where anything was lost.
  const { stdout } = await promisify(execFile)(process.execPath, [outfile, '8', '60'], { cwd: ROOT });
  const [killed, lied] = stdout.trim().split('\n');
  const [, facts, pictures] = /: (\d+) facts and (\d+) pictures acknowledged/.exec(killed!)!;
  expect(Number(facts)).toBeGreaterThan(10);
  expect(Number(pictures)).toBeGreaterThan(0);
  expect(killed).toMatch(/; 0 lost, 0 twice, 0 of a wrong version, 0 pictures lost$/);
  expect(lied).toMatch(/^60 writes .*: 0 lost or wrong, 0 twice$/);
});
