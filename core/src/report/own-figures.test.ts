import { inWords } from '@maquette/words';
import '@maquette/words/figure-names';
import '@maquette/words/report';
import { ALL_FIGURES, isPrivateFigure, type AnyFigureName } from '../figures/index.ts';
import type { UnitSystem } from '../units/index.ts';
import { inventedReport, lowRoom } from './invented-report.ts';
import { ownFigures } from './own-figures.ts';
import { reportOf } from './index.ts';

const of = (name: string, value: number) => ({ id: name, jobId: 'j', name, value, source: 'The maker’s sheet' });
const rows = (figures: Parameters<typeof ownFigures>[0], units: UnitSystem) =>
  ownFigures(figures).flatMap((block) =>
    block.is === 'table' ? block.rows.map((row) => row.map((cell) => inWords(cell, units))) : [],
  );

test('a figure of the job’s own stands by its name, in the units of whoever reads, with where it is from', () => {
  const name: AnyFigureName = 'screw-mm';
  const [metric] = rows([of(name, 152.4)], 'metric');
  expect(metric).toEqual([inWords(ALL_FIGURES[name].words, 'metric'), '152 mm', 'The maker’s sheet']);
  expect(rows([of(name, 152.4)], 'imperial')[0]![1]).toBe('6 in');
  expect(rows([of('damp-age-days', 21)], 'imperial')[0]![1]).toBe('21 days');
});

test('whatever figure it is: its name is no code, no digit of it is lost, and no length is told in the other units', () => {
  for (const name of Object.keys(ALL_FIGURES).filter((one) => !isPrivateFigure(one))) {
    const { value, unit } = ALL_FIGURES[name as AnyFigureName];
    for (const units of ['metric', 'imperial'] as const) {
      const [[title, figure]] = rows([of(name, value)], units) as [[string, string]];
      expect([name, title === name || title.includes('figures.')]).toEqual([name, false]);
      if (units === 'imperial')
        expect([name, figure]).toEqual([name, expect.not.stringMatching(/\d (mm|m²|kg|l|°C)$/)]);
      if (!['mm', 'm²', 'kg', 'l', '°C', 'K'].includes(unit))
        expect([name, Number.parseFloat(figure)]).toEqual([name, value]);
    }
  }
});

test('the newest of a figure counts, and what things cost is in no report, wherever it is made', () => {
  const figures = [of('damp-age-days', 21), of('margin-pct', 33), of('primer-cost-l', 7.77), of('damp-age-days', 28)];
  expect(rows(figures, 'metric').map(([, value]) => value)).toEqual(['28 days']);
  const { pages } = reportOf(inventedReport([lowRoom('Hall', 0.4)], { figures }));
  const texts = JSON.stringify(pages.filter(({ id }) => id === 'annex-c'));
  expect(texts.includes('The maker’s sheet')).toBe(true);
  expect(/margin-pct|marginPct|primerCost|7\.77/.exec(texts)?.[0]).toBeUndefined();
  expect(rows([of('margin-pct', 33)], 'metric')).toEqual([]);
});
