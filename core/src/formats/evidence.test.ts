import { readOut } from '@maquette/words';
import { dampResults } from '../damp/index.ts';
import { daysAgo, dampOf, readingOf, testOf } from '../damp/invented-damp.ts';
import { evidenceCsv, evidenceOf } from './index.ts';

test('the evidence is in order of time, says what does not count and why, and how often it was corrected', () => {
  const probe = testOf('probe', 'P1', [1000, 1000], {
    startedAt: daysAgo(2),
    instrument: 'Reader 7',
    checkedOn: '2026-05-01',
  });
  const soon = readingOf(probe, 1.9, 80);
  const good = readingOf(probe, 0.5, 74.2, { note: '=1+1' });
  const damp = dampOf({ dampTests: [probe], dampReadings: [good, soon] });
  const photos = [
    {
      id: 'p',
      about: 'damp' as const,
      aboutId: probe.id,
      takenAt: daysAgo(0.4),
      note: '',
      xMm: 1000,
      yMm: 1000,
      originalSha256: '',
    },
  ];
  const lines = evidenceOf({
    facts: {
      ...damp.facts,
      checks: [{ id: 'k', key: 'tap/1', found: false, takenAt: daysAgo(1), note: '' }],
      photos,
    },
    results: dampResults(damp),
    versions: new Map([[good.id, 3]]),
  });
  expect(readOut(lines.map((l) => [l.kind, l.value]))).toEqual([
    ['test', '40 mm deep'],
    ['damp', '80.0 %RH'],
    ['walk', 'nothing found'],
    ['damp', '74.2 %RH'],
    ['photo', ''],
  ]);
  expect(readOut(lines[1]!.standing)).toMatch(/^does not count: read 2.4 h after/);
  expect(readOut(lines[3])).toMatchObject({
    standing: 'counts',
    version: 3,
    instrument: 'Reader 7, checked 2026-05-01',
    photographs: 1,
  });
  const csv = evidenceCsv(lines, readOut).split('\r\n');
  expect(csv).toHaveLength(7);
  // A spreadsheet must not run a note as a formula.
  expect(csv[4]).toContain("'=1+1");
});

test('a scan is one line: its file, what it holds, and how loud it is', () => {
  const scan = {
    id: 's',
    fileName: '=landing.ply',
    points: 9000,
    takenAt: daysAgo(1),
    noiseMm: 0.4,
    xMm: 2100,
    yMm: 1300,
    note: '',
  };
  const lines = evidenceOf({ facts: { scans: [scan as never] }, results: [], versions: new Map() });
  expect(readOut(lines)).toMatchObject([
    { kind: 'scan', value: '9000 points on the floor', conditions: 'noise of a cell 0.4 mm', xMm: 2100 },
  ]);
  expect(evidenceCsv(lines, readOut)).toContain('Scan laid on the room: =landing.ply');
});

test('a laboratory’s answer is evidence, by its number and who gave it', () => {
  const sample = {
    ...{ id: 's', layerId: 'l', part: 'layer', where: [], sampleNo: 'A-17', laboratory: 'Weir Lane Laboratory' },
    ...{ resultOn: daysAgo(3), result: 'negative', note: '' },
  };
  const lines = evidenceOf({ facts: { samples: [sample as never] }, results: [], versions: new Map() });
  expect(readOut(lines)).toMatchObject([
    {
      fact: 'samples',
      kind: 'sample',
      what: 'Laboratory sample A-17',
      value: 'negative',
      instrument: 'Weir Lane Laboratory',
    },
  ]);
});
