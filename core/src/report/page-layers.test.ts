import { inWords } from '@maquette/words';
import '@maquette/words/report';
import { roomSet, type RoomSet } from '../assess/room-set.ts';
import { contextOf, layerOf } from '../stripout/invented-strip.ts';
import { newMark } from '../soundness/index.ts';
import type { Sayable } from '../said/index.ts';
import { REPORT_AT } from './invented-report.ts';
import { layersPage } from './page-layers.ts';
import { reportRoom } from './report-job.ts';

const said = (what: Sayable) => inWords(what, 'metric', 'Europe/London');
const CARPET = layerOf('carpet');
const SHEET = layerOf('sheet-resilient', { rank: 1 });
const tick = (key: string) => ({ id: key.replaceAll(/[^a-z-]/g, '-'), key, doneAt: REPORT_AT, note: '' });

const judged = (facts: Partial<RoomSet>) => {
  const { room, card } = contextOf({});
  return reportRoom(roomSet(room, card, facts), REPORT_AT);
};
/** Rows of the tables on the page of a room, each as it is read. */
const tables = (facts: Partial<RoomSet>): string[][][] =>
  layersPage([judged(facts)]).blocks.flatMap((block) =>
    block.is === 'table' ? [block.rows.map((row) => row.map(said))] : [],
  );
const fates = (facts: Partial<RoomSet>) => tables({ layers: [SHEET, CARPET], ...facts })[0]!.map((row) => row[2]);

test('layers stand from the top, each with whether it stays, comes up or is taken up', () => {
  const layerChoices = [{ id: 'c', layerId: SHEET.id, choice: 'make-good' as const, note: '' }];
  const [rows] = tables({ layers: [SHEET, CARPET], layerChoices });
  expect(rows!.map(([name]) => name)).toEqual([expect.stringMatching(/carpet/i), expect.stringMatching(/sheet/i)]);
  expect(fates({ layerChoices })).toEqual(['comes up', 'stays']);
  expect(fates({ layerChoices, ticks: [tick(`layer/${CARPET.id}`)] })).toEqual(['taken up', 'stays']);
});

test('layers that came up together in one step are both told as taken up', () => {
  expect(fates({ ticks: [tick(`layer/${CARPET.id}+${SHEET.id}`)] })).toEqual(['taken up', 'taken up']);
});

test('everything that is suspected in a layer is told, not the first of it alone', () => {
  const old = layerOf('resilient-tile', { year: 1965 });
  const [row] = tables({ layers: [old] })[0]!;
  const gate = judged({ layers: [old] }).assessment.strip.gates.find(({ layerId }) => layerId === old.id)!;
  const suspect = gate.materials.filter(({ state }) => state === 'positive' || state === 'shut');
  expect(suspect.length).toBeGreaterThan(1);
  for (const { words } of suspect) expect(row![3]).toContain(said(words));
});

test('damage stands with its place and the photographs of it', () => {
  const marks = [newMark('m-1', 'crack', { xMm: 600, yMm: 600 }), newMark('m-2', 'hollow', { xMm: 900, yMm: 900 })];
  const photo = (aboutId: string, id: string) => ({
    ...{ id, about: 'mark' as const, aboutId, xMm: null, yMm: null, takenAt: REPORT_AT, note: '', originalSha256: '' },
  });
  const [rows] = tables({ marks, photos: [photo('m-1', 'p-1'), photo('m-1', 'p-2'), photo('gone', 'p-3')] });
  expect(rows!.map((row) => row[2])).toEqual(['2', '0']);
});

test('a room in which no layer was recorded says so', () => {
  const { blocks } = layersPage([judged({})]);
  expect(blocks.map(({ is }) => is)).not.toContain('table');
  expect(blocks.flatMap((block) => (block.is === 'text' && !block.bold ? [said(block.text)] : []))).toEqual([
    'No layer has been recorded over the base.',
  ]);
});
