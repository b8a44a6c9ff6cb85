import { layersLeft } from './context.ts';
import { contextOf, layerOf } from './invented-strip.ts';
import { planStripOut } from './plan.ts';

const tick = (key: string) => ({ id: key, key, doneAt: '2026-05-04T08:00:00.000Z', note: '' });

test('a layer lies there until its own taking up is ticked, whatever else is done', () => {
  const layers = [layerOf('carpet', { rank: 1 }), layerOf('sheet-resilient', { rank: 2 })];
  const left = (keys: string[]) => layersLeft({ layers, ticks: keys.map(tick) }).map((l) => l.id);
  expect(left(['clean/vacuum', 'edges/gripper/layer-carpet'])).toEqual(['layer-carpet', 'layer-sheet-resilient']);
  expect(left(['layer/layer-carpet'])).toEqual(['layer-sheet-resilient']);
  expect(left(['layer/layer-carpet+layer-sheet-resilient'])).toEqual([]);
});

test('the key ticked is the key the plan gives the step', () => {
  const facts = { layers: [layerOf('carpet')] };
  const layerChoices = [{ id: 'a', layerId: 'layer-carpet', choice: 'remove' as const, note: '' }];
  const step = planStripOut(contextOf({ ...facts, layerChoices })).steps.find((s) => s.group === 'layer')!;
  expect(layersLeft({ ...facts, ticks: [tick(step.key)] })).toEqual([]);
});
