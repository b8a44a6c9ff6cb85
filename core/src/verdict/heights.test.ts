import { readOut } from '@maquette/words';
import { judgeHeights, type LevelOf, type LevelRead, type RoomHeights } from '../heights/index.ts';
import { newFixture, newOpening, rectangleWalls, type Fixture } from '../room/index.ts';
import { HEIGHT_DONE } from '../heights/index.ts';
import { heightsRoom } from '../heights/invented-heights.ts';
import { heightCriteria } from './heights.ts';

const walls = rectangleWalls(4000, 3000);
let made = 0;
const level = (of: LevelOf, aboutId: string, alongMm: number, levelMm: number): LevelRead => ({
  id: `l${made++}`,
  of,
  aboutId,
  alongMm,
  readBy: 'tape',
  setupId: null,
  rodMm: null,
  overMm: null,
  lyingMm: null,
  datumMm: levelMm,
});
/** A room of 4 x 3 m whose new floor lies at 17 mm, with a door, and what else is given. */
function judged(more: Partial<RoomHeights>, done: string[] = []) {
  const openings = more.openings ?? [newOpening('d', 0, 500, 800)];
  const fixtures = more.fixtures ?? [];
  const heights = judgeHeights(heightsRoom({ openings, fixtures, ...more }));
  const criteria = heightCriteria(
    { walls, openings: [...openings], fixtures: [...fixtures] },
    { judged: heights },
    new Set(done.map((id) => HEIGHT_DONE + id)),
  );
  return readOut(criteria).map(({ verdict, margin, next }) => [verdict, margin, next]);
}
const beyond = (mm: number) => [level('beyond', 'd', 0, mm), level('beyond', 'd', 800, mm)];
const hung = (mm: number) => [level('leaf', 'd', 0, mm), level('leaf', 'd', 800, mm)];
const leaf = (kind: 'solid' | 'fire', more: object = {}) =>
  new Map([['d', { kind, dropSeal: false, cutBeforeMm: 0, opensDeg: 90, airMm: null, rugMm: 0, ...more }]]);

test('nothing read: the level beyond is asked for, and what leaf it is', () => {
  expect(judged({})).toEqual([
    ['measure', 'The level beyond the door in W1 is not read.', 'Read the floor beyond the door in W1 at both ends.'],
    [
      'measure',
      'What the leaf of the door in W1 is, and how it hangs over the new floor, is not known.',
      'Say what leaf it is, and read its underside at hinge and latch.',
    ],
  ]);
});

test('a step has its bar; one end alone, or a limit as near as the reading is off, is read again', () => {
  const step = (levels: LevelRead[], done: string[] = []) => judged({ levels }, done)[0];
  expect(step(beyond(13))).toEqual([
    'lay',
    'At the door in W1 the largest step is 4 mm: track bar on a tilted base.',
    'When the planks are down: track bar on a tilted base.',
  ]);
  expect(step(beyond(13).slice(0, 1))![0]).toBe('measure');
  expect(step(beyond(11.2))).toMatchObject(['measure', expect.stringContaining('limit of 6 mm'), expect.anything()]);
  expect(step(beyond(-3))).toMatchObject([
    'work',
    expect.stringContaining('20 mm'),
    expect.stringContaining('ramp of 3.33 m'),
  ]);
  expect(step(beyond(-3), ['d'])![0]).toBe('lay');
  expect(step([level('beyond', 'd', 0, 12), level('beyond', 'd', 800, 22)])).toMatchObject([
    'work',
    expect.stringContaining('both ways'),
    expect.stringContaining('Make good'),
  ]);
});

test('a tight leaf is trimmed; a fire leaf is nobody’s to cut, whatever is ticked', () => {
  const leaves = (levels: LevelRead[], of: RoomHeights['leaves'], done: string[] = []) =>
    judged({ levels, leaves: of }, done)[1];
  expect(leaves([...beyond(17), ...hung(20)], leaf('solid'))).toMatchObject([
    'work',
    expect.stringContaining('clears the new floor by 3 mm'),
    'Take 2 mm off its underside before the floor is laid.',
  ]);
  expect(leaves([...beyond(17), ...hung(20)], leaf('solid'), ['leaf/d'])![0]).toBe('lay');
  expect(leaves([...beyond(17), ...hung(24)], leaf('solid'))![0]).toBe('lay');
  expect(leaves([...beyond(17), ...hung(18)], leaf('fire'), ['leaf/d'])).toMatchObject([
    'stop',
    'The leaf of the door in W1: a fire leaf comes too near the floor, by 1 mm.',
    expect.stringContaining('Do not cut it.'),
  ]);
  expect(leaves([...beyond(17), ...hung(19.5)], leaf('fire', { dropSeal: true }))).toMatchObject([
    'stop',
    'The leaf of the door in W1: the drop seal of a fire leaf has to be set again.',
    expect.anything(),
  ]);
});

test('flanges take rings or a plumber, bays have room or stop', () => {
  const fixture = (of: Fixture, levels: LevelRead[], done: string[] = []) =>
    judged(
      { openings: [], fixtures: [of], levels, appliances: new Map([['w', { heightMm: 845, airMm: 3 }]]) },
      done,
    )[0];
  const toilet = newFixture('t', 'toilet', { xMm: 1000, yMm: 1000 }, 0);
  const washer = { ...newFixture('w', 'appliance', { xMm: 2000, yMm: 300 }, 0), name: 'Washer' };
  const under = (mm: number) => [0, 300, 600].map((along) => level('underside', 'w', along, mm));
  expect(fixture(toilet, [])![0]).toBe('measure');
  // Two places of three leave the lowest open.
  expect(fixture(washer, under(870).slice(0, 2))![0]).toBe('measure');
  expect(fixture(toilet, [level('flange', 't', 0, 12)])).toMatchObject([
    'work',
    expect.stringContaining('5 mm under'),
    'Set a ring of 6 mm under it.',
  ]);
  expect(fixture(toilet, [level('flange', 't', 0, 4)])).toMatchObject([
    'work',
    expect.anything(),
    'Set 2 rings of 13 mm together under it.',
  ]);
  expect(fixture(toilet, [level('flange', 't', 0, 12)], ['t'])![0]).toBe('lay');
  expect(fixture(toilet, [level('flange', 't', 0, 30)])).toMatchObject([
    'stop',
    expect.stringContaining('13 mm over'),
    'That is for a plumber to decide.',
  ]);
  expect(fixture(washer, under(870))).toMatchObject([
    'lay',
    'The washer has 5 mm to spare in its bay.',
    'Nothing more is to be done.',
  ]);
  expect(fixture(washer, under(860))).toMatchObject([
    'stop',
    'The washer lacks 5 mm of height in its bay.',
    expect.stringContaining('lift the worktop'),
  ]);
});

test('of several openings the worst decides', () => {
  const openings = [newOpening('d', 0, 500, 800), newOpening('e', 2, 500, 800)];
  const [verdict, margin] = judged({ openings, levels: beyond(-3) })[0]!;
  expect(verdict).toBe('work');
  expect(margin).toContain('door in W1');
});

test('an outside door asks for the water bar of its sill, and stops a floor that would stand over it', () => {
  const openings = [{ ...newOpening('d', 0, 500, 800), beyond: 'outside' as const }];
  const of = (levels: LevelRead[]) => judged({ openings, levels })[0]!;
  expect(of(beyond(13))).toMatchObject(['measure', expect.stringContaining('water bar'), expect.anything()]);
  expect(of([...beyond(13), level('sill', 'd', 400, 30)])[0]).toBe('lay');
  expect(of([...beyond(13), level('sill', 'd', 400, 14)])).toMatchObject([
    'stop',
    'At the door in W1 the new floor would stand 3 mm over the water bar of the sill.',
    expect.stringContaining('Lower the build-up'),
  ]);
});

test('a stair is asked for its risers, keeps its code, or is stopped', () => {
  const openings = [{ ...newOpening('d', 0, 500, 800), kind: 'stair' as const }];
  const heights = judgeHeights(heightsRoom({ openings }));
  const after = (holds: boolean, rangeMm: number) => ({ risersMm: [190, 190], rangeMm, past: [], holds });
  const stair = (now: boolean, best: boolean) => ({
    openingId: 'd',
    leads: 'down' as const,
    beforeMm: [190, 190],
    beforeRangeMm: 0,
    hereMm: 5,
    otherMm: 0,
    treadMm: 0,
    isBest: false,
    after: after(now, now ? 4 : 9),
    best: { treadMm: 5, after: after(best, best ? 3 : 8) },
  });
  const said = (stairs: ReturnType<typeof stair>[]) =>
    readOut(heightCriteria({ walls, openings, fixtures: [] }, { judged: heights, stairs }, new Set())).find(
      ({ id }) => id === 'heights-stairs',
    )!;
  expect(said([])).toMatchObject({ verdict: 'measure', margin: 'The risers at the stair edge in W1 are not read.' });
  expect(said([stair(true, true)])).toMatchObject({ verdict: 'lay', margin: expect.stringContaining('4 mm') });
  expect(said([stair(false, true)])).toMatchObject({ verdict: 'work', next: expect.stringContaining('5 mm') });
  expect(said([stair(false, false)])).toMatchObject({ verdict: 'stop', next: expect.stringContaining('Do not cover') });
});
