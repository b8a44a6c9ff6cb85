import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { killedOver } from './killed-over.ts';
import { liedTo } from './lied-to.ts';

/** Whether what was acknowledged is there: a server killed over and over under six writers, and a network that lies. */
const [cycles = '200', writes = '1000'] = process.argv.slice(2);
const folders = [1, 2].map(() => mkdtempSync(join(tmpdir(), 'maquette-durable-')));
const killed = await killedOver(folders[0]!, Number(cycles));
console.log(
  `${cycles} times killed under six writers: ${killed.facts} facts and ${killed.pictures} pictures acknowledged; ` +
    `${killed.lost} lost, ${killed.twice} twice, ${killed.wrong} of a wrong version, ${killed.lostPictures} pictures lost`,
);
const lied = await liedTo(folders[1]!, Number(writes));
console.log(
  `${writes} writes through a network that lies about one in three: ${lied.lost} lost or wrong, ${lied.twice} twice`,
);
for (const folder of folders) rmSync(folder, { recursive: true, force: true });
process.exit(killed.lost + killed.wrong + killed.lostPictures + lied.lost + lied.twice > 0 ? 1 : 0);
