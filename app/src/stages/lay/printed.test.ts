/** @jest-environment node */
import { planLaying, roomSet, type LayPlan } from '@maquette/core';
import { findCard } from '@maquette/core/coverings';
import { inWords } from '@maquette/words';
import '@maquette/words/rest';
import { INVENTED_ROOM } from '../../data/invented-room.ts';
import { sawn, tapering } from './lengths.ts';
import { pageOf } from './printed.ts';
import { isProved } from './use-lay-plan.ts';

jest.mock('../../worker/use-judged.ts', () => ({}));

const plan = planLaying(roomSet(INVENTED_ROOM, findCard([], INVENTED_ROOM.cardId)!), { pace: 'live' })!;
const page = (part: Partial<LayPlan> = {}, units: 'metric' | 'imperial' = 'metric') =>
  pageOf({
    title: 'Lock & <weir>',
    svg: '<svg></svg>',
    plan: { ...plan, ...part },
    units,
    say: (said) => inWords(said, units),
  });

test('lengths for the saw are told to the millimetre, or the sixteenth', () => {
  expect(sawn(612.4, 'metric')).toBe('612 mm');
  expect(sawn(1220, 'metric')).toBe('1\u2009220 mm');
  expect(sawn(611.1875, 'imperial')).toBe(`2' 1/16"`);
  expect(tapering([112, 112.2], 'metric')).toBe('112 mm');
  expect(tapering([112, 118], 'metric')).toBe('112 mm at its left end, 118 mm at its right');
});

test('the page lists every line, every row and every piece that is cut, in both units', () => {
  for (const units of ['metric', 'imperial'] as const) {
    const html = page({}, units);
    const rows = html.split('<tr>').length - 1;
    const cut = plan.pieces.filter(({ kind, ripMm }) => kind !== 'whole' || ripMm !== null).length;
    // Three tables, each with a head.
    expect(rows).toBe(3 + plan.chalk.length + plan.rows.length + cut);
    expect(html).toContain('Lock &amp; &lt;weir&gt;');
  }
});

test('proved least is only what keeps every rule and meets its bound', () => {
  const met = {
    ...plan,
    planks: 20,
    least: { longest: 20, rows: 19, area: 18 },
    breaches: [],
    pattern: 'stagger' as const,
  };
  expect(isProved(met)).toBe(true);
  expect(isProved({ ...met, planks: 21 })).toBe(false);
  expect(isProved({ ...met, breaches: [{ rule: 'stair', row: 3, shortMm: 5, tapes: [] }] })).toBe(false);
  expect(isProved({ ...met, pattern: 'half' })).toBe(false);
});
