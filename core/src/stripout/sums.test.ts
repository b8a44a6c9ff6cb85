import { tapedBeyond } from '../heights/invented-heights.ts';
import { LAYER_KINDS, type LayerKind } from '../layers/index.ts';
import { newFixture, newOpening, type RoomFacts } from '../room/index.ts';
import { CHOICES, type Choice, type StripFacts } from './facts.ts';
import { contextOf, layerOf } from './invented-strip.ts';
import { planStripOut } from './index.ts';

const chose = (layerId: string, choice: Choice) => ({ id: `c-${layerId}`, layerId, choice, note: '' });

/** A kitchen with all that asks for work once, and a door whose far side lies low. */
const kitchen: Partial<RoomFacts> = {
  openings: [newOpening('d', 0, 100, 800), newOpening('e', 2, 300, 900)],
  fixtures: [
    newFixture('cab', 'cabinet', { xMm: 2000, yMm: 2700 }, 180),
    newFixture('wc', 'toilet', { xMm: 3500, yMm: 600 }, 0),
    newFixture('reg', 'register', { xMm: 1000, yMm: 200 }, 0),
  ],
};

/** What is decided, and what is worked by, must be one sum: each is put together on its own. */
function expectOneSum(facts: Partial<StripFacts>, room: Partial<RoomFacts> = kitchen) {
  const lyingMm = (facts.layers ?? []).reduce((sum, { thicknessMm }) => sum + thicknessMm, 0);
  const levels = [tapedBeyond('d', -15, lyingMm)];
  const plan = planStripOut(contextOf({ levels, ...facts }, room));
  const { layers, once, sharedHire } = plan.together;
  expect(layers.hours + once.hours).toBeCloseTo(plan.hours, 9);
  expect(layers.debrisKg).toBeCloseTo(plan.debris.massKg, 9);
  expect(layers.cost + once.cost + sharedHire).toBeCloseTo(plan.cost.total, 9);
  return plan;
}

const every = LAYER_KINDS.flatMap((kind) => CHOICES.map((choice): [LayerKind, Choice] => [kind, choice]));

test.each(every)('%s, %s: what is decided comes to what the work comes to', (kind, choice) => {
  const layer = layerOf(kind);
  // As it usually is, and by an unknown year, behind a gate that may be shut.
  for (const own of [
    layer,
    { ...layer, year: null, yearOf: 'unknown' as const },
    { ...layer, fixing: 'stapled' as const },
  ])
    expectOneSum({ layers: [own], layerChoices: [chose(own.id, choice)] });
  // Nobody has chosen yet: the sum is of what is suggested.
  expectOneSum({ layers: [layer] });
});

test('layers on one another, in every pair: what goes takes along what lies on it, and hire is shared', () => {
  let shared = 0;
  for (const upper of LAYER_KINDS)
    for (const lower of LAYER_KINDS) {
      if (upper === lower) continue;
      const layers = [layerOf(upper, { rank: 1 }), layerOf(lower, { rank: 2 })];
      for (const choice of ['remove', 'keep'] as const) {
        const plan = expectOneSum({
          layers,
          layerChoices: [chose(layers[1]!.id, choice), chose(layers[0]!.id, 'remove')],
        });
        if (plan.together.sharedHire < 0) shared++;
        expect(plan.together.sharedHire).toBeLessThanOrEqual(1e-9);
      }
    }
  expect(shared).toBeGreaterThan(0);
});

test('a step up is got over once, whatever lies beneath the floor on top', () => {
  const layers = [layerOf('overlay-panel', { rank: 1 }), layerOf('nailed-boards', { rank: 2 })];
  const plan = expectOneSum({ layers, layerChoices: layers.map((l) => chose(l.id, 'keep')) });
  expect(plan.steps.filter((step) => step.key.startsWith('kept/ramp/'))).toHaveLength(1);
});
