import { checkWrite } from '@maquette/facts/check';
import { readTable, tableOf } from '@maquette/facts/table';
import { inWords } from '@maquette/words';
import type { FieldProblem } from '@maquette/facts';
import { takePrices } from './take-prices.ts';

const PRICE = {
  ...{ jobId: 'job-1', productId: 'card/boards', name: 'Boards', unit: 'm²', pack: 2.1, price: 24.5, hasTax: true },
  ...{ supplier: 'Weir Timber', pricedOn: '2026-10-02', kg: 19, litres: 30, openedH: null, sealedDays: null },
  source: '',
};
type Price = Partial<Record<keyof typeof PRICE, unknown>>;
const check = (...asked: Parameters<typeof checkWrite>): FieldProblem[] =>
  checkWrite(...asked).map((one) => ({ ...one, message: inWords(one.message, 'metric') }));
const taken = (rows: { id: string; body?: Price }[]) =>
  takePrices(
    readTable(
      tableOf(
        'prices',
        rows.map(({ id, body }) => ({ id, roomId: null, body: { ...PRICE, ...body } })),
      ),
      check,
    ),
    { jobId: 'job-1', ids: ['price-1'], newId: () => 'made-here' },
  );

test('a line of this job changes its price, one without an id is new, and one of another job becomes this job’s own', () => {
  const { changes, problems } = taken([{ id: 'price-1' }, { id: '' }, { id: 'price-8', body: { jobId: 'job-2' } }]);
  expect(problems).toEqual([]);
  expect(changes.map(({ id, body }) => [id, (body as unknown as { jobId: string }).jobId])).toEqual([
    ['price-1', 'job-1'],
    ['made-here', 'job-1'],
    ['made-here', 'job-1'],
  ]);
});

test.each<[{ id: string; body?: Price }[], number, RegExp]>([
  [[{ id: 'price-7' }], 2, /there is no price price-7/],
  [[{ id: 'price-1' }, { id: 'price-1' }], 3, /price-1 stands in the table twice/],
  [[{ id: '', body: { price: -3 } }], 2, /^price: -3 /],
  [[{ id: '', body: { pricedOn: 'soon' } }], 2, /^pricedOn: soon /],
  [[{ id: '', body: { pack: 0 } }], 2, /^pack: 0 /],
])('of %j line %i is named with why, and the good lines are kept', (rows, line, why) => {
  const { changes, problems } = taken([...rows, { id: '' }]);
  expect(problems.map((one) => one.line)).toEqual([line]);
  expect(problems[0]!.reason).toMatch(why);
  expect(changes.at(-1)!.id).toBe('made-here');
});

test('a table of something else is not taken', () => {
  const table = tableOf('figures', []);
  expect(() => takePrices(readTable(table, check), { jobId: 'job-1', ids: [], newId: () => 'x' })).toThrow(
    /table of figures, not of prices/,
  );
});
