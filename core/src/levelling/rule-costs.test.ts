import { underEachSchool } from '../flat/index.ts';
import { inventedLevelling, inventedRoom } from './invented-job.ts';
import { ruleCosts } from './index.ts';

const pit = (x: number, y: number) => -8 * Math.exp(-((x - 1.6) ** 2 + (y - 1.3) ** 2) / 0.4);
const { job, state } = inventedLevelling(inventedRoom(3200, 2600), pit);
const costs = ruleCosts(job, underEachSchool(state, job.rules, false));
const under = (gapMm: number, edgeMm: number) => costs.find((c) => c.rule.gapMm === gapMm && c.rule.edgeMm === edgeMm)!;

test('a stricter rule under the same edge takes more compound', () => {
  expect(under(2, 2000).fillL).toBeGreaterThan(under(3, 2000).fillL);
  expect(under(2, 2000).cost).toBeGreaterThanOrEqual(under(3, 2000).cost);
});

test('bags hold what is filled, with what stays in the bucket', () => {
  const { fillL, bags } = under(2, 2000);
  const kg = fillL * job.priced.kgPerM2Mm * 1.05;
  expect(bags).toBe(Math.ceil(kg / job.priced.bagKg));
});

test('rules that the floor keeps cost nothing and are left out', () => {
  const { job: flat, state: level } = inventedLevelling(inventedRoom(3200, 2600), () => 0);
  expect(ruleCosts(flat, underEachSchool(level, flat.rules, false))).toEqual([]);
});
