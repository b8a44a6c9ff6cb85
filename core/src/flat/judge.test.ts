import { readOut } from '@maquette/words';
import { assessRoom, roomSet } from '../index.ts';
import { SHIPPED_CARDS } from '../coverings/index.ts';
import { BLANK_SHAPE, newOpening, rectangleWalls, type RoomFacts } from '../room/index.ts';
import { flatMemo, judgeFlat, profileOf, stationsOf, underEachSchool } from './index.ts';
import { factsAt, heldEdges, rectanglePlan, setup } from './invented.ts';

const FLAT = { parts: ['strip', 'flat'] } as const;
const rule = { gapMm: 3, edgeMm: 2000 };
const plan = rectanglePlan(5000, 4000);
const door = { xMm: 500, yMm: 0 };
const stations = stationsOf(plan, 600, [], [], door);
const hump = (x: number, y: number) => 9 * Math.exp(-((x - 3) ** 2 + (y - 2) ** 2) / 0.8);
const pit = (x: number, y: number) => -hump(x, y);

test('a hump is told as a high, a pit as a low, each at its place', () => {
  for (const [formula, kind] of [
    [hump, 'high'],
    [pit, 'low'],
  ] as const) {
    const state = judgeFlat(plan, factsAt(stations, formula), [rule])!;
    const first = state.rules[0]!.extremes[0]!;
    expect(first.kind).toBe(kind);
    expect(Math.hypot(first.at[0] - 3000, first.at[1] - 2000)).toBeLessThan(450);
    expect(state.rules[0]!.extremes.filter((e) => e.kind !== kind && e.areaM2 > 0.3)).toEqual([]);
  }
});

test('the profile shows the gap it is called by', () => {
  const state = judgeFlat(plan, factsAt(stations, pit), [rule])!;
  const { placements } = state.rules[0]!;
  const profile = profileOf(state.judged, state.surfaceMm, placements[0]!, 2000);
  expect(profile.rocks).toBe(false);
  expect(profile.gaps[0]!.gapMm).toBeCloseTo(placements[0]!.valueMm, 1);
  expect(profile.edge.toMm - profile.edge.fromMm).toBeCloseTo(2000, 0);
});

test('a rocking edge is drawn with equal end gaps', () => {
  const state = judgeFlat(plan, factsAt(stations, hump), [rule])!;
  const crown = state.rules[0]!.placements.find((p) => p.kind === 'crown')!;
  const profile = profileOf(state.judged, state.surfaceMm, crown, 2000);
  expect(profile.rocks).toBe(true);
  expect(profile.gaps[0]!.gapMm).toBeCloseTo(profile.gaps[1]!.gapMm, 6);
});

test('what is not read is not judged, and is said', () => {
  const half = stations.filter((s) => s.xMm < 2000);
  const state = judgeFlat(plan, factsAt(half, hump), [rule])!;
  expect(state.evidence.coveredShare).toBeLessThan(0.5);
  expect(state.evidence.blindAt![0]).toBeGreaterThan(4500);
  expect(state.judged.inside.reduce((a, b) => a + b, 0)).toBeLessThan(state.grid.inside.reduce((a, b) => a + b, 0));
});

test('the same facts give the same answer to the last digit, with kept work or without', () => {
  const memo = flatMemo();
  const facts = factsAt(stations, hump);
  for (let n = 30; n < stations.length; n += 20)
    judgeFlat(plan, { ...facts, readings: facts.readings.slice(0, n) }, [rule], { memo });
  const kept = judgeFlat(plan, facts, [rule], { memo })!;
  const anew = judgeFlat(plan, facts, [rule])!;
  expect(kept.rules[0]!.worst).toEqual(anew.rules[0]!.worst);
  expect(Array.from(kept.surfaceMm)).toEqual(Array.from(anew.surfaceMm));
});

test('a stricter school is never kinder', () => {
  const state = judgeFlat(plan, factsAt(stations, pit), [rule])!;
  const schools = underEachSchool(state, [rule], false);
  expect(schools.find((s) => s.chosen)!.overMm).toBeCloseTo(state.rules[0]!.overMm, 12);
  const at = (gapMm: number, edgeMm: number) =>
    schools.find((s) => s.rule.gapMm === gapMm && s.rule.edgeMm === edgeMm)!;
  expect(at(2, 2000).overMm).toBeCloseTo(at(3, 2000).overMm + 1, 9);
  expect(at(3, 3000).worstMm).toBeGreaterThanOrEqual(at(3, 2000).worstMm - 1e-6);
});

const room: RoomFacts = {
  id: 'room',
  jobId: 'job',
  name: 'Test room',
  rank: 0,
  walls: rectangleWalls(5000, 4000),
  ...BLANK_SHAPE,
  openings: [newOpening('d', 0, 100, 800)],
  baseKind: 'slab-on-ground',
  cardId: 'shipped-click-vinyl',
  units: 'metric',
  spacingMm: null,
  contactsOnly: false,
};
const card = SHIPPED_CARDS[0]!;
const at = '2026-05-04T08:00:00Z';
const flat = (x: number, y: number) => 0.3 * Math.sin(x) + 0.2 * y;

test.each([
  ['nothing read', { setups: [], readings: [], stations: [] }, 'measure', 'Nothing has been read'],
  ['flat, all read and closed', { ...factsAt(stations, flat), edgeWalks: heldEdges() }, 'lay', 'inside'],
  ['flat, not tried', factsAt(stations, flat), 'measure', 'inside'],
  [
    'flat, half read',
    { ...factsAt(stations, flat), readings: factsAt(stations, flat).readings.slice(0, 20) },
    'measure',
    'inside',
  ],
  ['flat, set-up not closed', { ...factsAt(stations, flat), setups: [setup('A', 1000, null)] }, 'measure', 'inside'],
  ['flat, closes 2 mm off', { ...factsAt(stations, flat), setups: [setup('A', 1000, 1002)] }, 'measure', 'inside'],
  [
    'hump, half read',
    { ...factsAt(stations, hump), readings: factsAt(stations, hump).readings.slice(0, 55) },
    'work',
    'over',
  ],
] as const)('verdict with %s', (_, facts, verdict, words) => {
  const assessment = assessRoom(roomSet(room, card, facts as never), at, FLAT);
  expect(assessment.verdict).toBe(verdict);
  expect(readOut(assessment.criteria[0]!.margin)).toContain(words);
});

test('a verdict of lay says that the failure probability is not computed', () => {
  const tried = { ...factsAt(stations, flat), edgeWalks: heldEdges() };
  expect(readOut(assessRoom(roomSet(room, card, tried), at, FLAT).criteria[0]!)).toMatchObject({
    verdict: 'lay',
    next: expect.stringContaining('being worked out'),
  });
});

test('a card that refuses steps stays open until lips are entered', () => {
  const glued = SHIPPED_CARDS.find((c) => c.kind === 'glue-down-vinyl')!;
  const assessment = assessRoom(roomSet(room, glued, factsAt(stations, flat)), at, FLAT);
  expect(assessment.verdict).toBe('measure');
  expect(assessment.criteria.map((c) => c.id)).toEqual(['flat', 'lips']);
});

test('edges alone, however many, say nothing of how level a floor is; staffs do, once there are enough for its tilt', () => {
  const plan = rectanglePlan(3000, 2000);
  const rule = { gapMm: 3, edgeMm: 2000 };
  const edges = heldEdges('2026-05-05T08:00:00.000Z').map((walk) => ({ ...walk, asked: false }));
  const only = { setups: [], readings: [], stations: [], edgeWalks: edges };
  expect(judgeFlat(plan, only, [rule])!.levelness).toBeNull();
  const staffs = factsAt(stationsOf(plan, 600, [], [], { xMm: 0, yMm: 0 }), (x) => 4 * x);
  expect(judgeFlat(plan, { ...staffs, edgeWalks: edges }, [rule])!.levelness!.fallMmPerM).toBeCloseTo(4, 0);
  for (const count of [1, 3, 8]) {
    const few = { ...staffs, readings: staffs.readings.slice(0, count), edgeWalks: edges };
    expect(judgeFlat(plan, few, [rule])!.levelness).toBeNull();
  }
});
