import loadHighs from 'highs';
import { withoutHopeless } from './hopeless.ts';
import { system } from './invented-heights.ts';
import { leastSteps, USUAL_STEP_CLASSES, type HeightsJob, type SolveMixed } from './least-steps.ts';
import { highsMixed } from './mixed-solver.ts';

let solve: SolveMixed;
beforeAll(async () => {
  solve = highsMixed(await loadHighs());
});

const at = (keptMm: number) => ({ roomId: 'r', keptMm });
const job = (more: Partial<HeightsJob>): HeightsJob => ({
  rooms: [
    {
      id: 'r',
      areaM2: 10,
      systems: [system('thin', 6, 300), system('thick', 15, 420)],
      keepCost: 0,
      pour: null,
      mostKgM2: null,
    },
  ],
  openings: [],
  classes: USUAL_STEP_CLASSES,
  leaves: [],
  limits: [],
  ...more,
});
const leaf = (mostMm: number, more: object = {}) => ({
  id: 'leaf',
  samples: [at(0)],
  mostMm,
  trimMm: 4,
  trimCost: 25,
  ...more,
});
const limit = (id: string, leastMm: number | null, mostMm: number | null) => ({ id, sample: at(0), leastMm, mostMm });
const left = (more: Partial<HeightsJob>) => withoutHopeless(job(more), solve);

test('a leaf is hopeless where the thinnest floor under it is too much even once it is cut, or what lies beyond is', () => {
  expect(left({ leaves: [leaf(2)] }).hopeless).toEqual([]);
  expect(left({ leaves: [leaf(1.9)] }).hopeless).toEqual([{ id: 'leaf', roomId: 'r' }]);
  expect(left({ leaves: [leaf(20, { fixedMm: 25 })] }).hopeless).toEqual([{ id: 'leaf', roomId: 'r' }]);
  const { job: rest } = left({ leaves: [leaf(1.9)] });
  expect(leastSteps(rest, solve)[0]!.cost).toBe(300);
});

test('limits that each can be kept, but not together, are left out together, and those that can are not', () => {
  // 6 or 15 mm of floor: between 7 and 14 there is nothing, though each limit alone is kept by one of them.
  const window = [limit('least', 7, null), limit('most', null, 14)];
  expect(left({ limits: window }).hopeless.map(({ id }) => id)).toEqual(['least', 'most']);
  const wide = left({ limits: [limit('least', 7, null), limit('most', null, 15)] });
  expect(wide.hopeless).toEqual([]);
  expect(leastSteps(wide.job, solve).map(({ rooms }) => rooms[0]!.systemId)).toEqual(['thick']);
});

test('a leaf that has to be cut for what lies beyond is paid for once, and the cut serves this floor as well', () => {
  const choices = leastSteps(job({ leaves: [leaf(3, { fixedMm: 5 })] }), solve);
  expect(choices.map(({ cost, trimmed }) => [cost, trimmed])).toEqual([[325, ['leaf']]]);
});
