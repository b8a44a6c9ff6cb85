import { readOut } from '@maquette/words';
import {
  floorRuns,
  isLaid,
  heightAt,
  judgeFlat,
  krige,
  proposeEdges,
  edgeProblem,
  edgeReadings,
  worstUnder,
  type EdgeWalk,
} from './index.ts';
import { findCard } from '../coverings/index.ts';
import { inventedRoom } from '../levelling/invented-job.ts';
import { flatCriteria } from '../verdict/index.ts';
import { factsAt, rectanglePlan } from './invented.ts';
import { stationsOf } from './index.ts';

const room = inventedRoom(4000, 3000);

const walk = (part: Partial<EdgeWalk> = {}): EdgeWalk => ({
  id: 'w1',
  fromXMm: 500,
  fromYMm: 1000,
  toXMm: 2500,
  toYMm: 1000,
  tool: 'straightedge',
  contactsMm: [0, 2000],
  gaps: [{ atMm: 1000, gapMm: 4 }],
  rocksMm: null,
  takenAt: '2026-05-04T09:00:00.000Z',
  note: '',
  asked: false,
  ...part,
});
const rule = { gapMm: 3, edgeMm: 2000 };

test('contacts are nothing, gaps lie below; an edge that rocks has both ends below its contact', () => {
  expect(edgeReadings(walk()).map((r) => [r.xMm, r.alongM, r.offMm])).toEqual([
    [500, -1, 0],
    [2500, 1, 0],
    [1500, 0, -4],
  ]);
  const rocking = walk({ contactsMm: [900], gaps: [], rocksMm: 2.5 });
  expect(edgeReadings(rocking).map((r) => r.offMm)).toEqual([0, -2.5, -2.5]);
  expect(worstUnder(rocking)).toEqual({ gapMm: 2.5, atMm: 900, rocks: true });
});

test.each([
  [{ contactsMm: [0] }, 'two places'],
  [{ rocksMm: 2 }, 'one place'],
  [{ gaps: [{ atMm: 2400, gapMm: 1 }] }, 'past the edge'],
  [{ toXMm: 560 }, '150 to 5000'],
])('%j says nothing, and why', (part, words) => {
  expect(readOut(edgeProblem(walk(part)))).toContain(words);
});

test('the surface has the gap under the edge whatever the level and tilt it was laid at', () => {
  const staffs = { x: [500, 2500, 500, 2500], y: [200, 200, 1800, 1800], z: [10, 30, 12, 32] };
  const readings = edgeReadings(walk());
  const sites = {
    x: Float64Array.from([...staffs.x, ...readings.map((r) => r.xMm)]),
    y: Float64Array.from([...staffs.y, ...readings.map((r) => r.yMm)]),
    z: Float64Array.from([...staffs.z, ...readings.map((r) => r.offMm)]),
    edge: {
      group: Int32Array.from([-1, -1, -1, -1, 0, 0, 0]),
      alongM: Float64Array.from([0, 0, 0, 0, ...readings.map((r) => r.alongM)]),
    },
  };
  const surface = krige(sites, {}, { sillMm2: 9, rangeMm: 1600, nuggetMm2: 0.01 });
  const at = (x: number) => heightAt(surface, x, 1000);
  expect((at(500) + at(2500)) / 2 - at(1500)).toBeCloseTo(4, 0);
  // Level comes from the staffs: a slope of 10 mm to the metre from 11 to 31.
  expect(at(2500) - at(500)).toBeGreaterThan(12);
});

test('walks alone judge a floor: a 4 mm gap under two metres is over a rule of three', () => {
  const plan = rectanglePlan(3000, 2000);
  const facts = { setups: [], readings: [], stations: [], edgeWalks: [walk()] };
  const state = judgeFlat(plan, facts, [rule])!;
  expect(state.rules[0]!.overMm).toBeGreaterThan(0.5);
  expect(state.rules[0]!.overMm).toBeLessThan(1.5);
  expect(state.evidence.coveredShare).toBeLessThan(1);
});

test('a walk finds a dip that lies between the stations', () => {
  const plan = rectanglePlan(4000, 3000);
  const dip = (x: number, y: number) => -5 * Math.exp(-((x - 1.5) ** 2 + (y - 1.5) ** 2) / 0.05);
  const stations = stationsOf(plan, 1000, [], [], { xMm: 0, yMm: 0 }).filter(
    (s) => Math.hypot(s.xMm - 1500, s.yMm - 1500) > 350,
  );
  const facts = factsAt(stations, dip);
  const without = judgeFlat(plan, facts, [rule], { spacingMm: 1000 })!;
  const edge = walk({
    fromYMm: 1500,
    toYMm: 1500,
    gaps: [
      { atMm: 1000, gapMm: 5 },
      { atMm: 600, gapMm: 0.3 },
      { atMm: 1400, gapMm: 0.3 },
    ],
  });
  const withWalk = judgeFlat(plan, { ...facts, edgeWalks: [edge] }, [rule], { spacingMm: 1000 })!;
  const card = { ...findCard([], 'shipped-click-vinyl')!, rules: [rule] };
  const said = (state: typeof without) => flatCriteria(room, plan, card, state);
  expect(said(without).some((c) => c.verdict === 'work')).toBe(false);
  // The stations saw nothing; what the edge showed stands by itself.
  expect(readOut(said(withWalk).find((c) => c.id === 'flat-edge'))).toMatchObject({
    verdict: 'work',
    margin: expect.stringContaining('2 mm over: under the edge 5 mm'),
  });
  const plank = judgeFlat(plan, { ...facts, edgeWalks: [{ ...edge, tool: 'plank' }] }, [rule], { spacingMm: 1000 })!;
  expect(readOut(said(plank).find((c) => c.id === 'flat-edge')!.next)).toContain('tells less than an edge');
});

test('placements go both ways, end to end, and keep to the floor', () => {
  const edges = proposeEdges(rectanglePlan(5000, 3000), 2000);
  const across = edges.filter((e) => e.fromYMm === e.toYMm);
  expect(across.length).toBeGreaterThan(0);
  expect(edges.length - across.length).toBeGreaterThan(0);
  for (const e of across) {
    expect(e.toXMm - e.fromXMm).toBe(2000);
    expect(e.fromXMm).toBeGreaterThanOrEqual(100);
    expect(e.toXMm).toBeLessThanOrEqual(4900);
  }
  expect(new Set(edges.map((e) => e.key)).size).toBe(edges.length);
  // A passage shorter than the edge takes a shorter one.
  const short = proposeEdges(rectanglePlan(1500, 900), 2000);
  expect(Math.max(...short.map((e) => e.toXMm - e.fromXMm))).toBe(1300);
});

test('a line across the floor is broken by what stands on it', () => {
  const island = [
    { xMm: 1000, yMm: 500 },
    { xMm: 1600, yMm: 500 },
    { xMm: 1600, yMm: 1500 },
    { xMm: 1000, yMm: 1500 },
  ];
  const plan = { ...rectanglePlan(4000, 2000), islands: [island] };
  expect(floorRuns(plan, true, 1000)).toEqual([
    [0, 1000],
    [1600, 4000],
  ]);
  expect(floorRuns(plan, true, 200)).toEqual([[0, 4000]]);
  expect(floorRuns(plan, false, 1200)).toEqual([
    [0, 500],
    [1500, 2000],
  ]);
});

test('an edge laid either way round near its proposal counts for it', () => {
  const [edge] = proposeEdges(rectanglePlan(5000, 3000), 2000);
  const laid = walk({
    fromXMm: edge!.toXMm + 90,
    fromYMm: edge!.toYMm,
    toXMm: edge!.fromXMm + 90,
    toYMm: edge!.fromYMm + 60,
  });
  expect(isLaid(edge!, [laid])).toBe(true);
  expect(isLaid(edge!, [walk({ fromYMm: 2500, toYMm: 2500 })])).toBe(false);
});
