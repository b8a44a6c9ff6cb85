import { inWords } from '@maquette/words';
import '@maquette/words/report';
import { cardOf, plan, set } from '../../assess/invented-lay.ts';
import { readRoom } from '../../assess/invented-cottage.ts';
import { assessRoom } from '../../assess/assess-room.ts';
import { pictureOf } from '../../assess/picture.ts';
import type { Block, Paper } from '../../paper/index.ts';
import type { Sayable } from '../../said/index.ts';
import { cutSheet, stationSheet } from './index.ts';

const OF = { job: 'Sluice House', atUtc: '2026-05-06T12:00:00.000Z', address: 'http://127.0.0.1:4173/rooms/r/flat' };
const say = (what: Sayable) => inWords(what, 'metric', 'Europe/London');
type Is<T extends Block['is']> = Extract<Block, { is: T }>;
const blocksOf = <T extends Block['is']>({ pages }: Paper, is: T) =>
  pages.flatMap(({ blocks }) => blocks).filter((block): block is Is<T> => block.is === is);
const figureOf = (text: string) => Number(text.replace(/[^0-9.]/g, ''));

test('a cut sheet lists every row and every piece that is cut, none twice, as the plan has them', () => {
  const made = plan(set());
  const [rows, cuts] = blocksOf(cutSheet(OF, set().room, made), 'table');
  expect(rows!.rows).toHaveLength(made.rows.length);
  const numbers = cuts!.rows.map(([number]) => Number(say(number!)));
  expect(new Set(numbers).size).toBe(numbers.length);
  expect([...numbers].sort((a, b) => a - b)).toEqual(
    made.pieces
      .filter(({ kind, ripMm }) => kind !== 'whole' || ripMm !== null)
      .map(({ number }) => number)
      .sort((a, b) => a - b),
  );
  // Across the floor the rows' widths make up the room less its gaps: 3.6 m less 10 mm at each wall.
  const wide = rows!.rows.reduce((sum, [, left]) => sum + figureOf(say(left!)), 0);
  expect(Math.abs(wide - 3580)).toBeLessThan(made.rows.length);
});

test('herringbone has a sheet too: each cut stave numbered on the plan and in the list, with its hand and length', () => {
  const of = set({}, cardOf('shipped-herringbone'));
  const shown = plan(of).herringbone!;
  const sheet = cutSheet(OF, of.room, plan(of));
  const cut = shown.staves.filter(({ isWhole }) => !isWhole);
  expect(cut.length).toBeGreaterThan(5);
  const [list] = blocksOf(sheet, 'table');
  expect(list!.rows.map((row) => row.map(say))).toEqual(
    cut.map(({ number, hand, centreMm }) => [
      String(number),
      hand,
      expect.stringContaining(String(Math.round(centreMm))),
    ]),
  );
  const marks = blocksOf(sheet, 'figures')[0]!.figures[0]!.drawing.marks;
  const numbers = marks.flatMap((mark) => ('text' in mark ? [say(mark.text)] : []));
  for (const { number } of cut) expect(numbers).toContain(String(number));
  // Every stave is drawn, and the two lines that are snapped.
  expect(marks.filter((mark) => 'path' in mark).length).toBeGreaterThanOrEqual(shown.staves.length + 2);
});

test('a station sheet asks in the order of the walk, between one benchmark and the other', () => {
  const of = readRoom('Parlour', () => 0);
  const at = '2026-05-06T12:00:00.000Z';
  const { stations } = pictureOf(assessRoom(of, at, { parts: ['flat'] }), of.room);
  const [list] = blocksOf(stationSheet(OF, of, { stations: [...stations].reverse() }), 'table');
  const numbers = list!.rows.map(([number]) => say(number!));
  expect(numbers[0]).toBe(numbers.at(-1));
  expect(numbers.slice(1, -1)).toEqual(stations.map((_, k) => String(k + 1)));
});
