import { checkWrite } from './check.ts';
import { carriedLevels } from './carried-levels.ts';
import { JOB_FILE_VERSION, upgradeJobFile } from './index.ts';

const AT = '2026-05-04T08:00:00.000Z';
const room = {
  id: 'r-1',
  openings: [
    { id: 'door-1', widthMm: 800, beyondLevelMm: -6 },
    { id: 'arch-2', widthMm: 900, beyondLevelMm: null },
    { id: 'arch-3', widthMm: 700 },
  ],
};
const layers = [
  { id: 'l-1', thicknessMm: 2, where: [] },
  { id: 'l-2', thicknessMm: 6, where: [] },
  { id: 'l-3', thicknessMm: 40, where: [{ lineId: 'x', side: 'left' }] },
];

test('a level kept with its opening becomes one of its own, over what lay there that day', () => {
  const [level, ...others] = carriedLevels(room, layers, [], AT);
  expect(others).toEqual([]);
  expect(level).toMatchObject({
    id: 'r-1-beyond-1',
    body: { of: 'beyond', aboutId: 'door-1', alongMm: 400, readBy: 'tape', overMm: -6, lyingMm: 8, datumMm: null },
  });
  const write = { ...level!.body, baseVersion: 0, writeId: 'w-1', deleted: false };
  expect(checkWrite('levels', write)).toEqual([]);
  // What was up by then lay there no more.
  expect(carriedLevels(room, layers, ['layer/l-1'], AT)[0]!.body.lyingMm).toBe(6);
});

test('a job file of the version before brings its levels along; one of today brings nothing of the kind', () => {
  const record = { version: 2, writeId: 'w-1', updatedAt: AT, deletedAt: null, replaced: [] };
  const facts = [
    { kind: 'rooms', id: 'r-1', roomId: null, ...record, body: room },
    { kind: 'layers', id: 'l-1', roomId: 'r-1', ...record, body: { thicknessMm: 2, where: [] } },
    { kind: 'layers', id: 'l-9', roomId: 'r-1', ...record, deletedAt: AT, body: { thicknessMm: 90, where: [] } },
  ];
  const lifted = (version: number) =>
    upgradeJobFile({ format: 'maquette-job', version, writtenAt: AT, facts }) as {
      version: number;
      facts: { kind: string; body: object }[];
    };
  expect(lifted(7).version).toBe(JOB_FILE_VERSION);
  expect(lifted(7).facts.filter(({ kind }) => kind === 'levels')).toMatchObject([
    { id: 'r-1-beyond-1', roomId: 'r-1', version: 1, body: { overMm: -6, lyingMm: 2 } },
  ]);
  expect(lifted(JOB_FILE_VERSION).facts).toHaveLength(3);
});
