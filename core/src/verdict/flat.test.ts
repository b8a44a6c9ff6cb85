import { readOut } from '@maquette/words';
import { flatCriteria } from './index.ts';
import { assessRoom, roomSet, type RoomSet } from '../index.ts';
import { SHIPPED_CARDS, type CoveringCard } from '../coverings/index.ts';
import { stationsOf, type EdgeWalk, type FlatFacts } from '../flat/index.ts';
import { factsAt, heldEdges, rectanglePlan } from '../flat/invented.ts';
import { BLANK_SHAPE, rectangleWalls, type RoomFacts } from '../room/index.ts';
import type { Scan } from '../scan/index.ts';
import { newMark, type Mark } from '../soundness/index.ts';

const plan = rectanglePlan(3600, 2400);
const card = SHIPPED_CARDS[0]!;
const ROOM: RoomFacts = {
  id: 'room',
  jobId: 'job',
  name: 'Room',
  rank: 0,
  walls: rectangleWalls(3600, 2400),
  ...BLANK_SHAPE,
  baseKind: 'slab-on-ground',
  cardId: card.id,
  units: 'metric',
  spacingMm: null,
  contactsOnly: false,
};
type Floor = (x: number, y: number) => number;
const level: Floor = () => 0;
const everywhere = (floor: Floor) => factsAt(stationsOf(plan, 600, [], [], { xMm: 0, yMm: 0 }), floor);
const criterion = (
  flat: FlatFacts,
  id: string,
  { room = ROOM, ...part }: Partial<RoomSet> = {},
  own: CoveringCard = card,
) =>
  assessRoom(roomSet(room, own, { ...flat, ...part }), '2026-05-05T08:00:00.000Z', {
    parts: ['flat'],
    chance: true,
  }).criteria.find((c) => c.id === id);

function scan(floor: Floor, noiseMm = 0.2): Scan {
  const [nx, ny] = [72, 48];
  return {
    id: 'scan-1',
    fileName: 'room.ply',
    points: 20_000,
    takenAt: '2026-05-04T10:00:00.000Z',
    cellMm: 50,
    nx,
    ny,
    x0Mm: 25,
    y0Mm: 25,
    heightsTenthMm: Array.from({ length: nx * ny }, (_, i) =>
      Math.round(floor((25 + (i % nx) * 50) / 1000, (25 + Math.floor(i / nx) * 50) / 1000) * 10),
    ),
    noiseMm,
    turnDeg: 0,
    xMm: 1800,
    yMm: 1200,
    note: '',
  };
}
const staffs = (floor: Floor, places: [number, number][]) =>
  factsAt(
    places.map(([xMm, yMm], i) => ({ xMm, yMm, key: `s${i}` })),
    floor,
  );
const HELD: [number, number][] = [
  [300, 300],
  [3300, 400],
  [1800, 2100],
  [2400, 1200],
];
const deepLow: Floor = (x, y) => -9 * Math.exp(-((x - 2) ** 2 + (y - 1) ** 2) / 0.1);

test('a scan that no staff holds says measure, whatever it shows; held, a failing place decides', () => {
  const loose = { setups: [], readings: [], stations: [], scans: [scan(deepLow)] };
  expect(readOut(criterion(loose, 'flat'))).toMatchObject({
    verdict: 'measure',
    next: expect.stringContaining('Read 3 more stations'),
  });
  const held = { ...staffs(deepLow, HELD), scans: [scan(deepLow)] };
  expect(criterion(held, 'flat')).toMatchObject({ verdict: 'work' });
});

test('staffs in a line leave its lean open', () => {
  const line = staffs(level, [
    [300, 1200],
    [1800, 1200],
    [3300, 1200],
  ]);
  expect(readOut(criterion({ ...line, scans: [scan(level)] }, 'flat')!.next)).toContain('away from the line');
});

test('a quiet scan of a good floor can lay; one whose noise alone would break the rule cannot', () => {
  const flat = (noiseMm: number) => ({
    ...staffs(level, HELD),
    scans: [scan(level, noiseMm)],
    edgeWalks: heldEdges(),
  });
  expect(criterion(flat(0.2), 'flat')!.verdict).toBe('lay');
  expect(readOut(criterion(flat(1.4), 'flat'))).toMatchObject({
    verdict: 'measure',
    next: expect.stringContaining('own noise'),
  });
});

test('known joists ask for readings on and between them, and are content with a line across', () => {
  const timber = {
    ...ROOM,
    baseKind: 'panels-on-joists' as const,
    base: { ...ROOM.base, joistDeg: 90, joistSpacingMm: 400 },
  };
  // Every 800 mm from 200: always on a joist.
  const inStep = staffs(
    level,
    Array.from({ length: 15 }, (_, i): [number, number] => [200 + (i % 5) * 800, 300 + Math.floor(i / 5) * 800]),
  );
  expect(criterion(inStep, 'flat-joists', { room: timber })).toMatchObject({ verdict: 'measure' });
  expect(criterion(inStep, 'flat-joists')).toBeUndefined();
  const line = staffs(
    level,
    Array.from({ length: 17 }, (_, i): [number, number] => [200 + i * 200, 1200]),
  );
  expect(criterion(line, 'flat-joists', { room: timber })).toBeUndefined();
});

test('a short rule is judged by lips or by places walked with an edge of its own length', () => {
  const short: CoveringCard = { ...card, rules: [...card.rules, { gapMm: 1, edgeMm: 200 }] };
  const marks: Mark[] = [];
  const walk = (i: number, gapMm: number): EdgeWalk => ({
    id: `e${i}`,
    fromXMm: 400 + 400 * i,
    fromYMm: 800,
    toXMm: 600 + 400 * i,
    toYMm: 800,
    tool: 'straightedge',
    contactsMm: [0, 200],
    gaps: [{ atMm: 100, gapMm }],
    rocksMm: null,
    takenAt: '2026-05-04T12:00:00.000Z',
    note: '',
    asked: false,
  });
  const flat = everywhere(level);
  expect(criterion(flat, 'lips', { marks }, short)!.verdict).toBe('measure');
  const walked = { ...flat, edgeWalks: [0, 1, 2, 3, 4].map((i) => walk(i, 0.3)) };
  expect(criterion(walked, 'lips', { marks }, short)!.verdict).toBe('lay');
  // One place over it, or a floor levelled since, and they no longer pass it.
  const oneOver = { ...walked, edgeWalks: [...walked.edgeWalks.slice(1), walk(0, 1.6)] };
  expect(criterion(oneOver, 'lips', { marks }, short)!.verdict).toBe('measure');
  const levelled = { ...walked, works: [{ doneAt: '2026-05-04T18:00:00.000Z', predicted: [] }] as never };
  expect(criterion(levelled, 'lips', { marks }, short)!.verdict).toBe('measure');
  expect(criterion({ ...walked, edgeWalks: [walk(0, 1.6)] }, 'flat-edge', { marks }, short)!.verdict).toBe('work');
});

test('a lip of 5 mm marked as a line breaks the surface there: the edge shows nearly all of it', () => {
  const step: Floor = (x) => (x < 1.8 ? 0 : 5);
  const lip = newMark(
    'm1',
    'lippage',
    { xMm: 1800, yMm: 0 },
    {
      shape: 'line',
      points: [
        { xMm: 1800, yMm: 0 },
        { xMm: 1800, yMm: 2400 },
      ],
      stepMm: 5,
    },
  );
  const judged = (marks: (typeof lip)[]) =>
    assessRoom(roomSet(ROOM, card, { ...everywhere(step), marks }), '2026-05-05T08:00:00.000Z').flat!;
  const broken = judged([lip]);
  expect(broken.breaks).toHaveLength(1);
  expect(broken.rules[0]!.worst!.valueMm).toBeCloseTo(5 * 0.975, 1);
  expect(judged([]).rules[0]!.worst!.valueMm).toBeLessThan(broken.rules[0]!.worst!.valueMm);
  // A lip under a millimetre is told as a lip, and breaks nothing.
  expect(judged([{ ...lip, stepMm: 0.5 }]).breaks).toEqual([]);
});

test('without a benchmark read before and after no floor is flat: nobody knows whether the instrument stood still', () => {
  const facts = { ...everywhere(level), edgeWalks: heldEdges() };
  const withBench = (open: number | null, close: number | null) => ({
    ...facts,
    setups: facts.setups.map((s) => ({ ...s, openRodMm: open, closeRodMm: close })),
  });
  expect(criterion(withBench(1000, 1000), 'flat')?.verdict).toBe('lay');
  for (const [open, close] of [
    [null, null],
    [1000, null],
    [null, 1000],
  ] as const)
    expect(criterion(withBench(open, close), 'flat')?.verdict).toBe('measure');
  expect(readOut(criterion(withBench(null, null), 'flat')!.next)).toMatch(/Set-up A has no benchmark/);
});

test('over a stop nothing of the floor is planned: the stop is named first; no grinding is advised where none is allowed', () => {
  const ridge: Floor = (x) => 9 * Math.exp(-((x - 1.8) ** 2) / 0.02);
  const next = ({ room = ROOM, ...part }: Partial<RoomSet>) => {
    const set = roomSet(room, card, { ...everywhere(ridge), ...part });
    const { criteria, verdict } = assessRoom(set, '2026-05-05T08:00:00.000Z', { parts: ['sound', 'flat'] });
    return { verdict, next: readOut(criteria.find((c) => c.id === 'flat')!.next) };
  };
  const unheated = { ...ROOM, base: { ...ROOM.base, heating: 'none' as const } };
  expect(next({ room: unheated })).toEqual({
    verdict: 'work',
    next: expect.stringMatching(/^Plan the levelling: the high place has to come down/),
  });
  // Whether heating lies in the base is not known: nothing may be ground.
  expect(next({}).next).toMatch(/nothing may be ground here, so the flanks/);
  const wet = newMark('m', 'damp', { xMm: 900, yMm: 900 });
  expect(next({ room: unheated, marks: [wet] })).toEqual({ verdict: 'stop', next: 'First what is stopped: damage.' });
});

test('before it is laid, three placements that would best break it are named; a floor that may go either way is sent for an edge, not for compound', () => {
  const sure = (floor: Floor) => {
    const set = roomSet(ROOM, card, everywhere(floor));
    const {
      criteria,
      chance,
      flat: state,
    } = assessRoom(set, '2026-05-05T08:00:00.000Z', {
      parts: ['flat'],
      chance: true,
    });
    return { chance: chance!, state, flat: criteria.find((c) => c.id === 'flat')! };
  };
  const calm = sure(level);
  expect(calm.chance.breakers).toHaveLength(3);
  expect(calm.flat.verdict).toBe('measure');
  expect(readOut(calm.flat.next)).toMatch(/^Try to break it first: lay the 2 m edge .* 3 to go\.$/);
  const deep = sure((x, y) => -9 * Math.exp(-((x - 1.8) ** 2 + (y - 1.2) ** 2) / 0.4));
  // Over the rule as it was read; had twelve of twenty floors that fit been over it, an edge would settle it.
  const either = { ...deep.chance, anyShare: 0.6 };
  const [open] = flatCriteria(ROOM, plan, card, deep.state, undefined, either);
  expect(open!.verdict).toBe('measure');
  expect(readOut(open!.next)).toMatch(/^In 8 of 20 floors that fit the readings it keeps the rule: lay the 2 m edge /);
  expect([deep.flat.verdict, deep.chance.anyShare]).toEqual(['work', 1]);
});

test('tried and sure, it says what trying showed; an asked edge over the rule is work however many others held', () => {
  const sure = (edgeWalks: EdgeWalk[]) =>
    readOut(
      assessRoom(roomSet(ROOM, card, { ...everywhere(level), edgeWalks }), '2026-05-05T08:00:00.000Z', {
        parts: ['flat'],
        chance: true,
      }).criteria,
    );
  expect(sure(heldEdges()).find(({ id }) => id === 'flat')).toMatchObject({
    verdict: 'lay',
    next: '3 edges laid to break it held, the worst at 0.2 mm.',
  });
  const nine = Array.from({ length: 9 }, (_, i) => ({ ...heldEdges()[i % 3]!, id: `n${i}`, takenAt: `z${i}` }));
  const over = nine.map((walk, i) => (i === 4 ? { ...walk, gaps: [{ atMm: 1000, gapMm: 3.4 }] } : walk));
  const criteria = sure(over);
  expect(criteria.find(({ id }) => id === 'flat-edge')!.verdict).toBe('work');
  expect(criteria.find(({ id }) => id === 'flat')!.verdict).not.toBe('lay');
});
