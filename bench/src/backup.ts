import { createHash, randomFillSync } from 'node:crypto';
import { mkdirSync, mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { execSync, spawn } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { check, endServer, pause, put, putRoom, startServer } from './own-server.ts';

/** A backup of a large folder while others write: how long it takes, and how long a write waits. */
const [MB, PICTURE_MB] = [Number(process.argv[2] ?? 1000), 0.5];
const folder = mkdtempSync(join(tmpdir(), 'maquette-backup-'));
const data = join(folder, 'data');
mkdirSync(join(data, 'photos'), { recursive: true });
const content = Buffer.alloc(PICTURE_MB * 1e6);
for (let n = 0; n < MB / PICTURE_MB; n++) {
  randomFillSync(content, 0, 4096);
  writeFileSync(join(data, 'photos', `${createHash('sha256').update(content).digest('hex')}.jpg`), content);
}
// What was just written is on disk before anything is measured, as in a folder that has stood for a day.
execSync('sync');
const own = await startServer(data);
await putRoom(own.port);
let over = false;
let count = 0;
const waited: number[] = [];
const writer = (async () => {
  while (!over) {
    const from = performance.now();
    const id = `check-${++count}`;
    await put(own.port, `/api/rooms/room-1/checks/${id}`, {
      ...check(id),
      ...{ baseVersion: 0, writeId: `w-${id}`, deleted: false },
    });
    waited.push(performance.now() - from);
    await pause(20);
  }
})();
const file = join(folder, 'all.tar');
const began = performance.now();
const run = (...args: string[]) =>
  new Promise<number | null>((resolve) =>
    spawn(process.execPath, args, { stdio: ['ignore', 'ignore', 'inherit'] }).on('exit', resolve),
  );
const code = await run('dist/server/backup.mjs', '--data', data, '--to', file);
const tookMs = performance.now() - began;
over = true;
await writer;
await endServer(own);
const restoring = performance.now();
const restored = await run('dist/server/restore.mjs', '--from', file, '--data', join(folder, 'again'));
console.log(
  `backup of ${MB} MB in ${(tookMs / 1000).toFixed(1)} s (code ${code}, ${(statSync(file).size / 1e6).toFixed(0)} MB); ${waited.length} writes meanwhile, slowest ${Math.max(...waited).toFixed(0)} ms; ` +
    `restored in ${((performance.now() - restoring) / 1000).toFixed(1)} s (code ${restored})`,
);
rmSync(folder, { recursive: true, force: true });
process.exit(code === 0 && restored === 0 ? 0 : 1);
