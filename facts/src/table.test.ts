import fc from 'fast-check';
import Papa from 'papaparse';
import { aBody, anId } from './invented.ts';
import { FACT_KINDS, isRoomKind } from './kinds.ts';
import { checkWrite } from './check.ts';
import { readTable as read, tableOf, TableProblem } from './table.ts';

const readTable = (text: string) => read(text, checkWrite);

test.each(FACT_KINDS)('%s go into a table and come out of it as they were', (kind) => {
  const row = fc.record({
    id: anId,
    roomId: isRoomKind(kind) ? anId : fc.constant(null),
    body: aBody(kind),
  });
  fc.assert(
    fc.property(fc.array(row, { minLength: 1, maxLength: 4 }), (rows) => {
      const back = readTable(tableOf(kind, rows));
      expect(back.problems).toEqual([]);
      expect(back.rows.map(({ line: _line, ...rest }) => rest)).toEqual(rows);
      // A spreadsheet runs nothing of it.
      const cells = Papa.parse<string[]>(tableOf(kind, rows), { delimiter: ',' }).data.flat();
      expect(cells.filter((cell) => /^[=+@\t\r]/.test(cell))).toEqual([]);
    }),
    { numRuns: 30 },
  );
});

const TABLE = 'readings,room,setupId,stationKey,xMm,yMm,rodMm,takenAt,note\r\n';
const line = (rodMm: string, at = '2026-05-04T08:00:00.000Z') => `,room-1,setup-1,p1:1,100,200,${rodMm},${at},\r\n`;

test('what is wrong with a line is told by line, column and range; the other lines are read', () => {
  const { rows, problems } = readTable(
    `${TABLE}${line('1300')}${line('high')}${line('9000')}${line('1301', 'monday')}`,
  );
  expect(rows).toMatchObject([{ id: '', roomId: 'room-1', line: 2, body: { rodMm: 1300, note: '' } }]);
  expect(problems).toMatchObject([
    { line: 3, field: 'rodMm', value: 'high', message: 'takes a number of 0 to 5000' },
    { line: 4, field: 'rodMm', value: 9000, message: 'takes 0 to 5000' },
    { line: 5, field: 'takenAt', value: 'monday' },
  ]);
});

test('a spreadsheet may turn the columns about, write semicolons and commas, and flags in capitals', () => {
  const { rows } = readTable('\uFEFFstations;dropped;room;xMm;yMm;replacesKey\r\nabc-1;TRUE;room-1;"12,5";30;\r\n');
  expect(rows).toMatchObject([{ id: 'abc-1', body: { dropped: true, xMm: 12.5, yMm: 30, replacesKey: null } }]);
});

test.each([
  ['', 'no kind of fact'],
  ['planks,room\r\n', 'no kind of fact'],
  ['constructor,room\r\n', 'no kind of fact'],
  [TABLE.replace('rodMm', 'rod'), 'no column rod in'],
  [TABLE.replace(',rodMm', ''), 'has no column rodMm'],
])('%j is no table of facts, and why is said', (text, why) => {
  expect(() => readTable(text)).toThrow(TableProblem);
  expect(() => readTable(text)).toThrow(why);
});
