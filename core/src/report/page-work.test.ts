import { inWords } from '@maquette/words';
import '@maquette/words/report';
import type { Quotation } from '../bill/facts.ts';
import type { Block } from '../paper/index.ts';
import type { Sayable } from '../said/index.ts';
import type { KeptPlan } from '../schedule/facts.ts';
import type { UnitSystem } from '../units/index.ts';
import { inventedReport, lowRoom } from './invented-report.ts';
import { materialsPage } from './page-materials.ts';
import { workPage } from './page-work.ts';

const said = (what: Sayable, units: UnitSystem = 'metric') => inWords(what, units, 'Europe/London');
const doneAt = '2026-05-05T08:00:00.000Z';
const work = {
  ...{ id: 'w', way: 'fill' as const, doneAt, product: '', batch: '', bagsPlanned: 2.5, bagsUsed: null },
  ...{ tempC: 18, rhPercent: null, note: '', predicted: [] },
};
const pairsOf = (blocks: readonly Block[]) =>
  blocks.flatMap((block) =>
    block.is === 'pairs'
      ? [new Map(block.rows.map(([label, lines]) => [said(label), lines.map((one) => said(one))]))]
      : [],
  );
const rowsOf = (blocks: readonly Block[], units: UnitSystem = 'metric') =>
  blocks.flatMap((block) =>
    block.is === 'table' ? block.rows.map((row) => row.map((cell) => said(cell, units))) : [],
  );

test('of each room what was found, done and is left is told, cut so that all of it is read in a minute; how much more there is stands there', () => {
  const named = ['Parlour', 'Hall', 'Kitchen', 'Landing', 'Boot room'];
  const report = inventedReport(named.map((name) => lowRoom(name, 7, { works: [work] })));
  for (const [count, most] of [
    [1, 3],
    [3, 3],
    [4, 2],
    [5, 1],
  ] as const) {
    const pairs = pairsOf(workPage({ ...report, rooms: report.rooms.slice(0, count) }).blocks);
    expect(pairs).toHaveLength(count);
    for (const pair of pairs) {
      const left = pair.get('Left')!;
      expect([count, left.length]).toEqual([count, most]);
      // As many are told of as there are: those that stand here and those that are counted.
      const open = report.rooms[0]!.assessment.criteria.filter(({ verdict }) => verdict !== 'lay').length;
      const more = Number(/And (\d+) things more/.exec(left.at(-1)!)?.[1] ?? 0);
      expect([count, left.length + more]).toEqual([count, open]);
      expect(pair.get('Done')).toEqual(['Levelled on 2026-05-05: lows filled.']);
    }
  }
});

test('price and day are those that were given last; a plan that promises no day says so', () => {
  const quotation = (number: number, grossCents: number): Quotation => ({
    ...{ id: `q-${number}`, jobId: 'j', number, givenAt: doneAt, validDays: 30, lines: [], netCents: 0, taxCents: 0 },
    ...{ grossCents, contingencyCents: 0, promisedDay: '', note: '' },
  });
  const plan = (edition: number, promisedDay: string): KeptPlan => ({
    ...{ id: `p-${edition}`, jobId: 'j', keptAt: doneAt, edition, places: [], inOrder: [], layingAt: null },
    ...{ promisedDay, note: '' },
  });
  const texts = (part: object) =>
    workPage(inventedReport([lowRoom('Hall', 0.4)], part)).blocks.flatMap((block) =>
      block.is === 'text' ? [said(block.text)] : [],
    );
  expect(texts({}).slice(0, 2)).toEqual(['No price has been given yet.', 'No day has been promised yet.']);
  const given = texts({
    quotations: [quotation(1, 100_000), quotation(2, 123_456)],
    keptPlans: [plan(1, '2026-06-01'), plan(2, '2026-06-09')],
  });
  expect(given[0]).toBe('Quotation 2, given on 2026-05-05: £1\u2009234.56 with tax.');
  expect(given[1]).toContain('2026-06-09');
  expect(texts({ keptPlans: [plan(1, '2026-06-01'), plan(2, '')] })[1]).toBe('No day has been promised yet.');
});

test('what was poured stands with its batch and air; what was not named, counted or read says so', () => {
  const works = [
    work,
    { ...work, id: 'w-2', product: 'Compound', batch: 'L 2207', bagsPlanned: 3, bagsUsed: 4, rhPercent: 55 },
    { ...work, id: 'w-3', tempC: null },
  ];
  const { blocks } = materialsPage(inventedReport([lowRoom('Parlour', 7, { works })]));
  const at = '2026-05-05 09:00';
  expect(rowsOf(blocks)).toEqual([
    ['not named', 'not named', at, '2.5', 'not counted', '18.0 °C'],
    ['Compound', 'L 2207', at, '3', '4', '18.0 °C, 55 %RH'],
    ['not named', 'not named', at, '2.5', 'not counted', 'not read'],
  ]);
  expect(rowsOf(blocks, 'imperial')[0]!.at(-1)).toBe('64.4 °F');
});
