import { createHash } from 'node:crypto';
import { chmodSync, mkdtempSync, readFileSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { databaseIn } from './check-folder.ts';
import { openStore } from './open.ts';
import { StartProblem } from './start-problem.ts';

const migrations = join(__dirname, '../../migrations');
let folder: string;
const file = () => databaseIn(folder);
const digest = () => createHash('sha256').update(readFileSync(file())).digest('hex');
const opened = async () => (await openStore(folder, migrations)).close();

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'maquette-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** A database of some size, all of it in the one file. */
async function filled(): Promise<void> {
  await opened();
  const client = createClient({ url: `file:${file()}` });
  await client.execute('CREATE TABLE ballast (a TEXT)');
  for (let n = 0; n < 40; n++)
    await client.execute({ sql: 'INSERT INTO ballast VALUES (?)', args: ['x'.repeat(4000)] });
  await client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
  client.close();
}

test.each([
  ['empty', () => writeFileSync(file(), ''), /is empty: put the newest backup/],
  ['something else', () => writeFileSync(file(), 'A letter to the lock-keeper.'.repeat(50)), /is no database/],
  ['cut short', () => truncateSync(file(), 60_000), /is damaged/],
  ['cut within its first page', () => truncateSync(file(), 300), /is cut short/],
  [
    'damaged inside',
    () => {
      const content = readFileSync(file());
      content.fill(0xff, 4096 * 2, 4096 * 12);
      writeFileSync(file(), content);
    },
    /is damaged/,
  ],
])(
  'a database that is %s is told in one sentence with what to do, and the file stays as it is',
  async (_, harm, words) => {
    await filled();
    harm();
    const before = digest();
    const refused = openStore(folder, migrations);
    await expect(refused).rejects.toThrow(StartProblem);
    await expect(refused).rejects.toThrow(words);
    expect(digest()).toBe(before);
  },
);

test('a second server is kept off the folder, and let in when the first is gone', async () => {
  const first = await openStore(folder, migrations);
  await expect(openStore(folder, migrations)).rejects.toThrow(
    /Another server has the data folder .* open: stop that one first/,
  );
  first.close();
  await opened();
});

test('a folder that cannot be written to is named, with what to do', async () => {
  // The user who may do everything may write here all the same: a file in the folder's place stops that one too.
  if (process.getuid?.() === 0) writeFileSync(join(folder, 'data'), '');
  else chmodSync(folder, 0o500);
  await expect(openStore(join(folder, 'data'), migrations)).rejects.toThrow(
    /cannot be written to \((EACCES|EEXIST|ENOTDIR)\)/,
  );
  chmodSync(folder, 0o700);
});
