import { readOut } from '@maquette/words';
import { newFixture, newOpening, setOnWall, planOf, rectangleWalls } from '../room/index.ts';
import { laidOver, planStripOut, type Choice } from './index.ts';
import { contextOf, layerOf } from './invented-strip.ts';

const answer = (question: string, answer: string) => ({ id: question, question, answer, note: '' });
const chose = (layerId: string, choice: Choice) => ({ id: layerId, layerId, choice, note: '' });

describe('the plan', () => {
  const carpet = contextOf({ layers: [layerOf('carpet')] }, { openings: [newOpening('d', 0, 100, 800)] });
  const plan = planStripOut(carpet);

  test('hours and kilograms are area by rate: 12 m2 of carpet', () => {
    const step = plan.steps.find((s) => s.key === 'layer/layer-carpet')!;
    expect(step.hours).toBeCloseTo(12 * 0.06, 9);
    expect(plan.debris.massKg).toBeCloseTo(36, 9);
    // 36 kg at 250 kg/m3 loose: 144 litres, five bags of 35; 36 kg in carries of 25.
    expect([plan.debris.bags, plan.debris.carries]).toEqual([5, 2]);
  });

  test('gripper runs round the room less its openings', () => {
    expect(readOut(plan.steps.find((s) => s.group === 'edges')!.words)).toContain('13.2 m of gripper');
  });

  test('skirting pieces are labelled wall by wall and broken at openings', () => {
    expect(plan.trim.map((t) => [t.label, t.lengthMm])).toEqual([
      ['W1-a', 100],
      ['W1-b', 3100],
      ['W2-a', 3000],
      ['W3-a', 4000],
      ['W4-a', 3000],
    ]);
  });

  test('behind a cabinet there is no skirting to take off', () => {
    const { corners } = planOf({ walls: rectangleWalls(4000, 3000) });
    const cabinet = setOnWall(
      corners,
      newFixture('c', 'cabinet', corners[0]!, 0),
      { wall: 2, alongMm: 500, offMm: 0 },
      true,
    );
    const made = planStripOut(contextOf({ layers: [layerOf('carpet')] }, { fixtures: [cabinet] }));
    expect(made.trim.filter((t) => t.wall === 2).map((t) => [t.label, t.lengthMm])).toEqual([
      ['W3-a', 500],
      ['W3-b', 2300],
    ]);
  });

  test('order: dust before fixtures, fixtures before skirting, skirting before layers, cleaning last', () => {
    const order = plan.steps.map((s) => s.group).filter((g, i, all) => all[i - 1] !== g);
    expect(order).toEqual(['dust', 'fixtures', 'trim', 'layer', 'edges', 'clean']);
  });

  test('in a room kept in feet and inches the work is said in them', () => {
    const layers = [layerOf('sheet-on-panel'), layerOf('carpet', { rank: -1 })];
    const made = planStripOut(
      contextOf({ layers, layerChoices: [chose('layer-sheet-on-panel', 'remove')] }, { units: 'imperial' }),
    );
    const words = readOut(
      made.steps.flatMap((s) => [s.words, ...s.lines]),
      'imperial',
    ).join('\n');
    expect(words).toContain('Saw set to 11/32 in');
    expect(words).toMatch(/heaviest [\d.]+ lb/);
    expect(words).toContain(`45' 11" of gripper`);
    expect(words).not.toMatch(/\d mm|\d kg/);
  });

  test('a job’s own rate takes the place of the default', () => {
    const own = contextOf({ layers: [layerOf('carpet')], figures: [{ name: 'hours/carpet', value: 0.1, source: '' }] });
    expect(planStripOut(own).steps.find((s) => s.key === 'layer/layer-carpet')!.hours).toBeCloseTo(1.2, 9);
  });

  test('sheet on a panel: saw depth is the layers and half a millimetre, staples follow, pulled or sunk', () => {
    const layers = [layerOf('sheet-on-panel')];
    const made = planStripOut(contextOf({ layers, layerChoices: [chose('layer-sheet-on-panel', 'remove')] }));
    expect(made.packs[0]!.saw).toMatchObject({ depthMm: 8.5, stop: null, warnings: [] });
    expect(made.steps.some((s) => readOut(s.words).startsWith('Pull the staples'))).toBe(true);
    const sunk = planStripOut(
      contextOf({
        layers,
        layerChoices: [chose('layer-sheet-on-panel', 'remove')],
        answers: [answer('school/staples', 'sink')],
      }),
    );
    expect(sunk.steps.some((s) => readOut(s.words).startsWith('Sink the staples'))).toBe(true);
  });

  test('vinyl glued on an overlay panel comes up with it: one cut through both', () => {
    const layers = [layerOf('sheet-resilient'), layerOf('overlay-panel', { rank: 1 })];
    const made = planStripOut(contextOf({ layers, layerChoices: [chose('layer-overlay-panel', 'remove')] }));
    expect(made.packs).toHaveLength(1);
    expect(made.packs[0]!.saw!.depthMm).toBeCloseTo(8.5, 9);
  });

  test('heating near the surface stops the saw; its depth unknown stops it too', () => {
    const layerChoices = [chose('layer-sheet-on-panel', 'remove')];
    const at = (heatingDepthMm: number | null) =>
      planStripOut(
        contextOf(
          { layers: [layerOf('sheet-on-panel')], layerChoices },
          { base: { ...carpet.room.base, heating: 'water', heatingDepthMm } },
        ),
      ).packs[0]!.saw!.stop;
    expect(readOut(at(null))).toContain('not recorded');
    expect(readOut(at(20))).toContain('within 30 mm');
    expect(at(60)).toBeNull();
  });

  test('a shut gate shows no cuts, no lines, and the step cannot be done', () => {
    const layers = [layerOf('sheet-on-panel', { year: null, yearOf: 'unknown' })];
    const made = planStripOut(contextOf({ layers, layerChoices: [chose('layer-sheet-on-panel', 'remove')] }));
    const step = made.steps.find((s) => s.group === 'layer')!;
    expect([made.packs[0]!.cut, step.lines, step.stops.length > 0]).toEqual([null, [], true]);
    expect(readOut(made.steps[0]!.words)).toContain('Laboratory result');
    expect(JSON.stringify(made.steps)).not.toMatch(/how to take|wet the|scrape a/i);
  });

  test('cabinets keep the saw off: the set distance in front, undercut to the toe-kick', () => {
    const walls = rectangleWalls(4000, 3000);
    const { corners } = planOf({ walls });
    const cabinet = setOnWall(
      corners,
      newFixture('c', 'cabinet', corners[0]!, 0),
      { wall: 0, alongMm: 1000, offMm: 0 },
      true,
    );
    const ctx = contextOf(
      { layers: [layerOf('sheet-on-panel')], layerChoices: [chose('layer-sheet-on-panel', 'remove')] },
      { fixtures: [cabinet] },
    );
    const cut = planStripOut(ctx).packs[0]!.cut!;
    // 12 m2 less 1.2 x 0.6 under the cabinet, but with the recess of 1.2 x 0.05 that can be got at.
    expect(cut.areaM2).toBeCloseTo(12 - 0.72 + 0.06, 3);
    expect(cut.pieces.reduce((sum, p) => sum + p.areaM2, 0)).toBeCloseTo(cut.areaM2, 3);
    const under = cut.pieces.filter((p) => p.undercut).reduce((sum, p) => sum + p.areaM2, 0);
    expect(under).toBeCloseTo(1.2 * 0.15, 3);
    expect(cut.undercutMm).toBe(1200);
  });

  test('dust and fixtures know the room: its door, its register, its toilet', () => {
    const fixtures = [
      newFixture('r', 'register', { xMm: 500, yMm: 500 }, 0),
      newFixture('t', 'toilet', { xMm: 2000, yMm: 1000 }, 0),
    ];
    const made = planStripOut(
      contextOf({ layers: [layerOf('carpet')] }, { fixtures, openings: [newOpening('d', 0, 100, 800)] }),
    );
    const words = readOut(made.steps.map((s) => s.words)).join('\n');
    expect(readOut(words)).toMatch(/Close and tape the door in W1/);
    expect(words).toMatch(/Cover the register/);
    expect(words).toMatch(/Lift the toilet/);
    expect(words).toMatch(/isolated by the trade/);
  });

  test('old carpet that stays beyond the door is cut long there', () => {
    const door = { ...newOpening('d', 0, 100, 800), beyond: 'carpet' as const };
    const made = planStripOut(contextOf({ layers: [layerOf('carpet')] }, { openings: [door] }));
    expect(readOut(made.left[0]!.words)).toContain('25 mm long on the far side');
  });

  test('what the planks lie over follows from what stays', () => {
    const layers = [layerOf('carpet'), layerOf('tile-thin-bed', { rank: 1 })];
    expect(laidOver({ baseKind: 'cement-screed' }, layers, ['layer-tile-thin-bed'])).toBe('existing-tile');
    expect(laidOver({ baseKind: 'cement-screed' }, layers, [])).toBe('cement-screed');
  });

  test('the same facts give the same plan to the last digit', () => {
    expect(JSON.stringify(planStripOut(carpet))).toBe(JSON.stringify(plan));
  });
});
