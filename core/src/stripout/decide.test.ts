import { readOut } from '@maquette/words';
import { newOpening } from '../room/index.ts';
import { compareLayers, planStripOut, tapResult, type Choice } from './index.ts';
import { contextOf, layerOf } from './invented-strip.ts';
import { beyondOverMm } from './beyond-over.ts';
import { tapedBeyond } from '../heights/invented-heights.ts';

const answer = (question: string, answer: string) => ({ id: question, question, answer, note: '' });
const chose = (layerId: string, choice: Choice) => ({ id: layerId, layerId, choice, note: '' });
const comparison = (ctx: ReturnType<typeof contextOf>, id: string) => compareLayers(ctx).find((c) => c.layerId === id)!;
const option = (ctx: ReturnType<typeof contextOf>, id: string, choice: string) =>
  comparison(ctx, id).options.find((o) => o.choice === choice)!;

describe('keep, make good or take up', () => {
  test('carpet and floating floors are never covered', () => {
    for (const kind of ['carpet', 'floating-laminate', 'felt-or-paper', 'foam'] as const) {
      const ctx = contextOf({ layers: [layerOf(kind)] });
      expect(option(ctx, `layer-${kind}`, 'keep').allowed).toBe(false);
      expect(comparison(ctx, `layer-${kind}`).recommended).toBe('remove');
    }
  });

  test('thin sheet vinyl, firm and single: the default school skims, the other takes it up', () => {
    const layers = [layerOf('sheet-resilient')];
    expect(comparison(contextOf({ layers }), 'layer-sheet-resilient').recommended).toBe('make-good');
    const other = contextOf({ layers, answers: [answer('school/vinyl', 'remove')] });
    expect(comparison(other, 'layer-sheet-resilient').recommended).toBe('remove');
  });

  test.each([
    ['thick', layerOf('sheet-resilient', { thicknessMm: 3.5 }), '3.5 mm thick'],
    ['loose', layerOf('sheet-resilient', { condition: 'loose' }), 'not firm'],
    ['not bonded', layerOf('sheet-resilient', { fixing: 'loose' }), 'not bonded'],
  ])('sheet vinyl that is %s may not be covered, and it is said why', (_, layer, words) => {
    const kept = option(contextOf({ layers: [layer] }), layer.id, 'keep');
    expect([kept.allowed, readOut(kept.refusals).join(' ')]).toEqual([false, expect.stringContaining(words)]);
  });

  test('making good, chosen before the layer turned out to be one that cannot be, is no choice any more', () => {
    const layers = [layerOf('sheet-resilient')];
    const chosen = (kind: Parameters<typeof layerOf>[0]) =>
      contextOf({ layers: [layerOf(kind)], layerChoices: [chose(`layer-${kind}`, 'make-good')] });
    expect(comparison(chosen(layers[0]!.kind), 'layer-sheet-resilient').taken).toBe('make-good');
    expect(comparison(chosen('carpet'), 'layer-carpet')).toMatchObject({ chosen: null, taken: 'remove' });
    expect(() => planStripOut(chosen('carpet'))).not.toThrow();
  });

  test('two resilient layers are one too many', () => {
    const layers = [layerOf('sheet-resilient'), layerOf('resilient-tile', { rank: 1 })];
    expect(readOut(option(contextOf({ layers }), 'layer-sheet-resilient', 'keep').refusals).join()).toContain(
      'more than one',
    );
  });

  test('a card that does not allow resilient beneath refuses it by name', () => {
    const refusals = option(
      contextOf({ layers: [layerOf('sheet-resilient')] }, {}, 'shipped-glue-vinyl'),
      'layer-sheet-resilient',
      'keep',
    ).refusals;
    expect(readOut(refusals).join()).toContain('does not allow resilient');
  });

  describe('tile', () => {
    const tile = layerOf('tile-thin-bed', { groutMm: 4, lippageMm: 0.5 });
    const grid = tapResult(
      [
        [
          [
            [0, 0],
            [4000, 0],
            [4000, 3000],
            [0, 3000],
          ],
        ],
      ],
      tile,
      [],
      500,
    ).grid;
    const taps = (hollow: number[]) =>
      grid.map((at, i) => ({
        id: `t${i}`,
        layerId: tile.id,
        xMm: at.xMm,
        yMm: at.yMm,
        sound: hollow.includes(i) ? ('hollow' as const) : ('sound' as const),
      }));

    test('one tap a grid square: 4 x 3 m at 500 mm is 48', () => expect(grid).toHaveLength(48));

    test('untapped it is not known, sound it is kept, hollow over 5 % it goes', () => {
      const keep = (hollow: number[] | null) =>
        option(contextOf({ layers: [tile], taps: hollow === null ? [] : taps(hollow) }), tile.id, 'keep');
      expect(readOut(keep(null).refusals).join()).toContain('Not tapped');
      expect(keep([]).allowed).toBe(true);
      expect(keep([5, 20]).allowed).toBe(true);
      expect(readOut(keep([5, 20, 40]).refusals).join()).toContain('6.3 % hollow');
    });

    test('hollow taps side by side are a loose field whatever their share', () => {
      const kept = option(contextOf({ layers: [tile], taps: taps([5, 6]) }), tile.id, 'keep');
      expect(readOut(kept.refusals).join()).toContain('loose field');
    });

    test('wide grout is skimmed first; lippage is held to the card', () => {
      const wide = { ...tile, groutMm: 8 };
      const ctx = contextOf({ layers: [wide], taps: taps([]) });
      expect(readOut(option(ctx, tile.id, 'keep').refusals).join()).toContain('skimmed level');
      expect(comparison(ctx, tile.id).recommended).toBe('make-good');
      const lip = contextOf({ layers: [{ ...tile, lippageMm: 2.5 }], taps: taps([]) });
      expect(readOut(option(lip, tile.id, 'keep').refusals).join()).toContain('2 mm stand');
    });

    test('too high at a door it is not refused: a ramp, or a lower build-up with a bar, each with its cost', () => {
      const openings = [newOpening('d', 0, 100, 800)];
      const keep = (overMm: number) => {
        const levels = [tapedBeyond('d', overMm, tile.thicknessMm)];
        return option(contextOf({ layers: [tile], taps: taps([]), levels }, { openings }), tile.id, 'keep');
      };
      const up = keep(-10);
      expect(up.allowed).toBe(true);
      // 18 mm at 1 in 12; 13 mm are left to a bevelled bar. 0.8 m of each at its price, and the hours at 42.
      expect(readOut(up.offers.map((o) => [o.words, o.cost]))).toEqual([
        ['18 mm up at the door in W1: a ramp of 216 mm, 1 in 12', 0.8 * 55 + 1.5 * 42],
        ['A build-up 5 mm lower at the door in W1: a bevelled bar takes the 13 mm that are left', 0.8 * 18 + 0.4 * 42],
      ]);
      expect([keep(0).offers, up.cost - keep(0).cost]).toEqual([[], 0.8 * 55 + 1.5 * 42]);
    });
  });

  test('level and step: keeping adds the covering, taking up takes the layer off', () => {
    const layers = [layerOf('sheet-on-panel')];
    const levels = [tapedBeyond('d', 2, layers[0]!.thicknessMm)];
    const ctx = contextOf({ layers, levels }, { openings: [newOpening('d', 0, 100, 800)] });
    // Laminate is 8 mm, the sheet with its panel 8 mm.
    expect(option(ctx, 'layer-sheet-on-panel', 'keep')).toMatchObject({ levelMm: 8, steps: [{ stepMm: 6 }] });
    expect(option(ctx, 'layer-sheet-on-panel', 'remove')).toMatchObject({ levelMm: 0, steps: [{ stepMm: -2 }] });
  });

  test('a level that was taped over an old floor stands where it stood once that floor is up', () => {
    const layers = [layerOf('carpet'), layerOf('sheet-on-panel', { rank: 1 })];
    const lyingMm = layers.reduce((sum, { thicknessMm }) => sum + thicknessMm, 0);
    const levels = [tapedBeyond('d', 2, lyingMm)];
    const step = (ticks: string[]) => {
      const done = ticks.map((key) => ({ id: key, key, doneAt: '2026-05-05T08:00:00.000Z', note: '' }));
      const ctx = contextOf({ layers, levels, ticks: done }, { openings: [newOpening('d', 0, 100, 800)] });
      return beyondOverMm(ctx, ctx.room.openings[0]!);
    };
    expect(step([])).toBe(2);
    expect(step(['layer/layer-carpet'])).toBe(2 + layers[0]!.thicknessMm);
    expect(step(['layer/layer-carpet+layer-sheet-on-panel'])).toBe(2 + lyingMm);
  });

  test('what lies on a layer that goes, goes', () => {
    const layers = [layerOf('sheet-resilient'), layerOf('overlay-panel', { rank: 1 })];
    const ctx = contextOf({
      layers,
      layerChoices: [chose('layer-sheet-resilient', 'keep'), chose('layer-overlay-panel', 'remove')],
    });
    expect(comparison(ctx, 'layer-sheet-resilient')).toMatchObject({ taken: 'remove', forced: true });
  });

  test('a suspect layer is never kept under a floor that is glued to it: that needs priming', () => {
    const suspect = { year: null, yearOf: 'unknown' as const };
    const layers = [layerOf('compound', suspect)];
    const kept = (card: string) => option(contextOf({ layers }, {}, card), 'layer-compound', 'keep');
    expect(kept('shipped-laminate').allowed).toBe(true);
    expect(kept('shipped-glue-vinyl')).toMatchObject({ allowed: false, stopped: true });
  });

  test('suspect and allowed to be covered: covering is suggested, and its presence goes on', () => {
    const layers = [layerOf('sheet-resilient', { year: null, yearOf: 'unknown' })];
    const ctx = contextOf({ layers });
    expect(comparison(ctx, 'layer-sheet-resilient').recommended).toBe('keep');
    const plan = planStripOut(contextOf({ layers, layerChoices: [chose('layer-sheet-resilient', 'keep')] }));
    expect(readOut(plan.leftInPlace).join()).toContain('suspect for asbestos');
  });
});
