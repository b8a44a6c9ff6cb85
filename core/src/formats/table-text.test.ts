import { safeText } from './safe-text.ts';
import { cellsOf, delimiterOf, linesOf, numberOf } from './table-text.ts';

test('lines keep the number they have in the file, whatever ends them; comments and blanks are passed over', () => {
  expect(linesOf('# from the laser\r\nx;y\r\n\r\n1;2\n3;4\r')).toEqual([
    { line: 2, text: 'x;y' },
    { line: 4, text: '1;2' },
    { line: 5, text: '3;4' },
  ]);
});

test.each([
  ['tabs, though commas stand in the figures', ['1,5\t2,5', '3,5\t4,5'], '\t'],
  ['semicolons, though commas stand in the figures', ['1,5;2,5', '3,5;4,5'], ';'],
  ['commas', ['1.5,2.5', '3.5,4.5'], ','],
  ['the most frequent where a line has none', ['station', '1;2;3', '4;5;6'], ';'],
])('cells are separated by %s', (_, head, mark) => {
  expect(delimiterOf(head)).toBe(mark);
});

test('cells lose the blanks and the quotes about them, and nothing else', () => {
  expect(cellsOf(' "Hall" ; 1,5 ;by "the" door', ';')).toEqual(['Hall', '1,5', 'by "the" door']);
});

test('figures are read with point or comma; what is none is not made into one', () => {
  expect(['1.5', '1,5', ' -3 ', '+0.25', '007'].map(numberOf)).toEqual([1.5, 1.5, -3, 0.25, 7]);
  expect(['', '1.', '.5', '1e3', '1.2.3', '1,2,3', '12 mm', 'NaN', '0x10'].map(numberOf)).toEqual(
    Array.from({ length: 9 }, () => null),
  );
});

test('what a spreadsheet would run stays text; figures and words are left as they are', () => {
  expect(['=1+1', '+44', '-x', '@me', '\tx'].map(safeText)).toEqual(["'=1+1", "'+44", "'-x", "'@me", "'\tx"]);
  expect(['12', 'x=1', 'by the door', ''].map(safeText)).toEqual(['12', 'x=1', 'by the door', '']);
});
