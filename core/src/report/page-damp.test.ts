import { inWords } from '@maquette/words';
import '@maquette/words/report';
import { roomSet, type RoomSet } from '../assess/room-set.ts';
import type { DampReading, DampTest } from '../damp/facts.ts';
import { dampOf, NOW, readingOf, testOf } from '../damp/invented-damp.ts';
import type { Block } from '../paper/index.ts';
import type { Sayable } from '../said/index.ts';
import { dampFigure, seriesFigure } from './damp-figure.ts';
import { dampPage } from './page-damp.ts';
import { reportRoom } from './report-job.ts';

const said = (what: Sayable) => inWords(what, 'metric', 'Europe/London');

const P1 = testOf('probe', 'P1', [1500, 1500], { instrument: 'Hygrometer 3', checkedOn: '2026-02-01' });
const P2 = testOf('probe', 'P2', [4500, 3500], { instrument: 'Hygrometer 3' });
const P3 = testOf('probe', 'P3', [1500, 3500]);
/** A probe of 100 mm slab at 25 mm instead of the 40 mm its drying from one side asks for. */
const SHALLOW = testOf('probe', 'P4', [4500, 1500], { depthMm: 25 });

function room(tests: DampTest[], readings: DampReading[], more: Partial<RoomSet> = {}) {
  const { room: shape, card } = dampOf({});
  return reportRoom(roomSet(shape, card, { dampTests: tests, dampReadings: readings, ...more }), NOW);
}
const blocksOf = (of: ReturnType<typeof room>): readonly Block[] => dampPage([of], NOW).blocks;
const rowsOf = (blocks: readonly Block[]) =>
  blocks.flatMap((block) => (block.is === 'table' ? block.rows.map((row) => row.map(said)) : []));
const textsOf = (blocks: readonly Block[]) =>
  blocks.flatMap((block) => (block.is === 'text' ? [said(block.text)] : [])).join('\n');

test('every reading stands with its instrument, and whether it counts or why not', () => {
  const blocks = blocksOf(
    room(
      [P1, P2, P3, SHALLOW],
      [readingOf(P1, 3, 83.8), readingOf(P2, 3, 71.2), readingOf(P3, 3, 70), readingOf(SHALLOW, 3, 60)],
    ),
  );
  const rows = rowsOf(blocks);
  expect(rows.map(([name]) => name)).toEqual(
    expect.arrayContaining(['P1', 'P2', 'P3', 'P4'].map((n) => expect.stringContaining(n))),
  );
  const row = (name: string) => rows.find(([first]) => first!.includes(name))!;
  expect(row('P1').slice(2, 5)).toEqual(['83.8 %RH', expect.stringMatching(/Hygrometer 3.*2026-02-01/), 'counts']);
  expect(row('P2')[3]).toMatch(/Hygrometer 3/);
  expect(row('P2')[3]).not.toMatch(/2026/);
  expect(row('P3')[3]).toBe('not named');
  expect(row('P4')[4]).toMatch(/25 mm/);
});

test('the limit is told with the worst reading that counts, kept or not kept', () => {
  const three = (worst: number) =>
    room([P1, P2, P3], [readingOf(P1, 3, worst), readingOf(P2, 3, 70), readingOf(P3, 3, 70)]);
  expect(textsOf(blocksOf(three(83.8)))).toMatch(/83\.8 %RH; the limit is 75\.0 .*It is not kept\./);
  expect(textsOf(blocksOf(three(74.9)))).toMatch(/74\.9 %RH; the limit is 75\.0 .*It is kept\./);
});

test('a room that was not tested says so, and what air its covering asks for stands all the same', () => {
  const blocks = blocksOf(room([], []));
  expect(rowsOf(blocks)).toEqual([]);
  const { card } = dampOf({});
  expect(textsOf(blocks).split('\n')).toEqual([
    'No damp test has been read in this room.',
    `The covering asks for ${card.airMinC} °C to ${card.airMaxC} °C and ${card.airMinRh} to ${card.airMaxRh} %RH.`,
  ]);
});

test('tests that count are filled rings, others open; of two beside one another the names stand on either side', () => {
  const near = testOf('probe', 'P5', [1700, 1500]);
  const of = room(
    [P1, near, SHALLOW],
    [P1, near, SHALLOW].map((one) => readingOf(one, 3, 70)),
  );
  const { drawing, alt } = dampFigure('', of.set.room, of.assessment.plan, of.assessment.damp!.results);
  const rings = drawing.marks.flatMap((mark) => ('path' in mark && mark.stroke === 'low' ? [mark.fill] : []));
  expect(rings).toEqual(['low', 'low', 'none']);
  const names = drawing.marks.flatMap((mark) => ('text' in mark && /^P\d$/.test(said(mark.text)) ? [mark.anchor] : []));
  expect(names).toEqual(['start', 'end', 'start']);
  expect(said(alt)).toContain('3 damp tests');
});

test('a series stands to scale: days along, %RH up, the limit dashed, the band where it is dry', () => {
  const at = (day: number) => new Date(Date.parse('2026-05-01T00:00:00Z') + day * 86_400_000).toISOString();
  const values = [90, 85, 80].map((rhPercent, k) => ({ at: at(5 * k), rhPercent }));
  const band = { earlyUtc: at(20), middleUtc: at(30), lateUtc: at(40) };
  const { drawing } = seriesFigure('', { values, limitPercent: 75, band });
  // 40 days on the 182 from 14 to 196; 95 to 70 %RH on the 74 from 4 to 78: worked by hand.
  const paths = drawing.marks.flatMap((mark) => ('path' in mark ? [mark] : []));
  expect(paths.find(({ dash }) => dash)!.path).toBe('M14 63.2L196 63.2');
  expect(paths.find(({ width }) => width === 1.2)!.path).toBe('M14 18.8L36.75 33.6L59.5 48.4');
  expect(paths.find(({ width }) => width === 4)!.path).toBe('M105 63.2L196 63.2');
  const { drawing: wet } = seriesFigure('', { values, limitPercent: 75, band: { ...band, lateUtc: null } });
  expect(wet.marks.some((mark) => 'path' in mark && mark.width === 4)).toBe(false);
});
