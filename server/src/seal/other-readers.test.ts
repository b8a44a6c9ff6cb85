import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Papa from 'papaparse';
import { EDITION } from '@maquette/core/report';
import { inWords } from '@maquette/words';
import { seedDemo } from '../demo/seed.ts';
import { reportJobOf } from '../report/report-job.ts';
import { writeJobFile } from '../store/job-file.ts';
import { openStore } from '../store/open.ts';
import { pictures } from '../store/tables.ts';
import { bundleParts } from './bundle-parts.ts';
import { makeReport } from './tasks.ts';
import { newShare } from './share-done.ts';

/*
 * What a bundle holds, read by programs that are none of ours and that did not write it: by tools of Debian where they are installed,
 * by packages else. Its names say which tool a skipped test wants. A calendar is read by another in core/src/formats/ics.test.ts.
 */
const AT = '2026-05-04T12:00:00.000Z';
const folder = mkdtempSync(join(tmpdir(), 'maquette-readers-'));
let parts: ReadonlyMap<string, string>;
let report: Uint8Array;

const runs = (command: string, ...args: string[]) => spawnSync(command, args, { stdio: 'ignore' }).status === 0;
const python = ['/usr/bin/python3', 'python3'].find((one) => runs(one, '-c', 'import csv'));
const withDxf = ['/usr/bin/python3', 'python3'].find((one) => runs(one, '-c', 'import ezdxf'));
const hasQpdf = runs('qpdf', '--version');

beforeAll(async () => {
  const store = await openStore(join(folder, 'data'), join(__dirname, '../../migrations'));
  await seedDemo(store, async () => true, AT);
  const file = (await writeJobFile(store.db, 'demo-sluice-house', AT))!;
  const held = (await store.db.select().from(pictures)).map(({ photoId, sha256 }) => [photoId, sha256] as const);
  const chain = { digest: '0'.repeat(64), facts: 0 };
  const asked = { atUtc: AT, zone: 'Europe/London', chain };
  const job = reportJobOf(file, { ...asked, edition: EDITION, pictures: new Map(held) });
  const written = bundleParts(file, job, (what) => inWords(what, 'metric', job.zone));
  parts = new Map(written.map(({ path, content }) => [path, new TextDecoder().decode(content)]));
  for (const [path, text] of parts) writeFileSync(join(folder, path), text);
  report = await makeReport({
    ...asked,
    file,
    units: 'metric',
    size: 'A4',
    pictures: held,
    dataFolder: store.folder,
    share: newShare(),
  });
  writeFileSync(join(folder, 'report.pdf'), report);
  store.close();
}, 300_000);
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const tables = ['readings.csv', 'evidence.csv', 'bill.csv'];

(python ? test : test.skip)(
  'tables: Python’s csv reads the very rows ours does, each as long as its head (python3)',
  () => {
    for (const path of tables) {
      const script =
        'import csv, json, sys; print(json.dumps([row for row in csv.reader(open(sys.argv[1], newline="", encoding="utf-8"))]))';
      const { stdout } = spawnSync(python!, ['-c', script, join(folder, path)], { encoding: 'utf8', maxBuffer: 1e8 });
      // A remark at the end says what places are counted from.
      const rows = (JSON.parse(stdout) as string[][]).filter(([first]) => !first!.startsWith('#'));
      expect(rows.length).toBeGreaterThan(5);
      expect(new Set(rows.map((row) => row.length))).toEqual(new Set([rows[0]!.length]));
      expect(rows).toEqual(Papa.parse<string[]>(parts.get(path)!, { skipEmptyLines: true, comments: '#' }).data);
    }
  },
);

(withDxf ? test : test.skip)(
  'drawings: the audit finds nothing wrong, and walls stand on their layer (python3-ezdxf)',
  () => {
    const script = `
import ezdxf, json, sys
doc = ezdxf.readfile(sys.argv[1])
audit = doc.audit()
walls = [e for e in doc.modelspace() if e.dxf.layer == 'WALLS' and e.dxftype() == 'LWPOLYLINE']
print(json.dumps({'errors': [e.message for e in audit.errors], 'fixes': [e.message for e in audit.fixes],
  'units': doc.units, 'walls': len(walls), 'closed': all(e.closed for e in walls)}))`;
    for (const path of ['levels-before.dxf', 'levels-after.dxf']) {
      const { stdout, stderr } = spawnSync(withDxf!, ['-c', script, join(folder, path)], { encoding: 'utf8' });
      expect(stderr).not.toMatch(/Error/);
      const read = JSON.parse(stdout.trim().split('\n').at(-1)!) as { walls: number };
      expect(read).toMatchObject({ errors: [], fixes: [], units: 4, closed: true });
      expect(read.walls).toBeGreaterThanOrEqual(3);
    }
  },
);

test('report: with its photographs it can still be sent by mail', () => {
  expect(
    Buffer.from(report)
      .toString('latin1')
      .match(/\/Subtype \/Image/g)!.length,
  ).toBeGreaterThanOrEqual(8);
  expect(report.length).toBeLessThan(2_000_000);
});

(hasQpdf ? test : test.skip)('report: no error in its structure (qpdf)', () => {
  const { status, stdout } = spawnSync('qpdf', ['--check', join(folder, 'report.pdf')], { encoding: 'utf8' });
  expect([status, stdout]).toEqual([0, expect.stringContaining('No syntax or stream encoding errors')]);
});
