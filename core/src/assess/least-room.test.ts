import loadHighs from 'highs';
import { highsMixed, type LevelFact, type SolveMixed } from '../heights/index.ts';
import { newLayer } from '../layers/index.ts';
import { newFixture } from '../room/index.ts';
import { leastStepsOf } from './least-room.ts';
import { readRoom, staffLevel } from './invented-cottage.ts';
import type { RoomSet } from './room-set.ts';

const AT = '2026-05-05T08:00:00.000Z';
let solve: SolveMixed;
beforeAll(async () => {
  solve = highsMixed(await loadHighs());
});

const share = { sharedId: 's', beyond: 'planks' } as const;
const withLevels = (set: RoomSet, mm: number): RoomSet => ({
  ...set,
  levels: [0, 800].map((along) => staffLevel(set, 'beyond', `${set.room.id}-door`, along, mm)),
});
const joined = (a: RoomSet, b: RoomSet): RoomSet[] => [
  { ...a, neighbours: [b] },
  { ...b, neighbours: [a] },
];

test('of the underlays that are sold the one is chosen that brings a floating floor level with what lies beyond', () => {
  // Laminate of 8 mm on a film of 0.2: with 5 mm of underlay 13.1, with 1.5 mm 9.7.
  const set = withLevels(
    readRoom('a', () => 0, { cardId: 'shipped-laminate' }),
    14.6,
  );
  const { choices, rooms, unread } = leastStepsOf([set], AT, solve);
  const chosen = (index: number) =>
    rooms[0]!.systems.find(({ id }) => id === choices[index]!.rooms[0]!.systemId)!.buildUp.underlayMm;
  expect(unread).toEqual([]);
  // A T on a wedge counts 30 more than a flat bar, 3.5 mm more underlay over 12 m2 50: thin and a wedge is cheaper.
  expect(chosen(0)).toBe(1.5);
  expect(choices[0]!.openings[0]).toMatchObject({ stepClass: 1 });
  expect(choices[0]!.cost).toBeCloseTo(45 + 1.5 * 1.2 * 12, 6);
  const dear = { ...set, figures: [{ name: 'step-tilted', value: 200, source: '' }] };
  const again = leastStepsOf([dear], AT, solve);
  const { systemId } = again.choices[0]!.rooms[0]!;
  expect(again.rooms[0]!.systems.find(({ id }) => id === systemId)!.buildUp.underlayMm).toBe(5);
  expect(again.choices[0]!.openings[0]).toMatchObject({ stepClass: 0 });
  // What is stated of a room already is stated anew: a choice is written as a body, and has no id of its own.
  const held = { ...set, buildUps: [{ id: 'held', ...again.rooms[0]!.systems[0]!.buildUp }] };
  for (const { buildUp } of leastStepsOf([held], AT, solve).rooms[0]!.systems) expect(buildUp).not.toHaveProperty('id');
  // Each choice that follows costs no less, and differs.
  expect(again.choices[1]!.cost).toBeGreaterThanOrEqual(again.choices[0]!.cost);
  expect(again.choices[0]!.boundCost).toBeCloseTo(again.choices[0]!.cost, 3);
});

test('rooms with datums of their own are held against one another by what was read through their door', () => {
  // The hall reads the kitchen’s surface 20 mm down; by its own datum the kitchen calls that 500.
  const kitchen = readRoom('k', () => 500, { opening: share });
  const hall = withLevels(
    readRoom('h', () => 0, { opening: share }),
    -20,
  );
  const { choices } = leastStepsOf(joined(hall, kitchen), AT, solve);
  const [opening] = choices[0]!.openings;
  // 20 mm is more than a bar takes: the kitchen is poured up to it, however dear that is.
  expect(opening!.stepClass).toBeLessThan(3);
  expect(choices[0]!.rooms.find(({ roomId }) => roomId === 'k')!.pourMm).not.toBeNull();
  const apart = leastStepsOf([hall, readRoom('x', () => 0)], AT, solve);
  expect(apart.choices[0]!.rooms.every(({ pourMm }) => pourMm === null)).toBe(true);
});

test('an old floor that may stay or come up is one of the things that are chosen', () => {
  const carpet = newLayer('t', 'tile-thin-bed', {
    thicknessMm: 10,
    year: 2015,
    yearOf: 'layer',
    groutMm: 3,
    lippageMm: 0.3,
  });
  const taps = Array.from({ length: 30 }, (_, k) => ({
    id: `tap${k}`,
    layerId: 't',
    xMm: 200 + 100 * k,
    yMm: 1500,
    sound: 'sound' as const,
  }));
  const facts = { layers: [carpet], taps, country: { country: 'GB', asbestosFrom: null, leadFrom: null } };
  const set = readRoom('a', () => 0, { facts });
  const { rooms } = leastStepsOf([withLevels(set, 0)], AT, solve);
  expect(new Set(rooms[0]!.systems.map(({ keeps }) => keeps))).toContain(false);
});

test('a bay whose underside was read by staff limits what is laid, as one that was taped does', () => {
  const washer = newFixture('w', 'appliance', { xMm: 2000, yMm: 310 }, 0);
  const base = readRoom('a', () => 0, { cardId: 'shipped-laminate', room: { fixtures: [washer] } });
  const appliances = [{ id: 'p', fixtureId: 'w', heightMm: 845, airMm: 3, fixed: 'plug' as const, note: '' }];
  // 10 mm are left for the floor: laminate on 1.5 mm of underlay, 9.7 in all, and nothing thicker.
  const by = (level: LevelFact) => leastStepsOf([{ ...base, appliances, levels: [level] }], AT, solve).choices;
  const staff = staffLevel(base, 'underside', 'w', 300, 858);
  const taped: LevelFact = { ...staff, readBy: 'tape', setupId: null, rodMm: null, overMm: 858, lyingMm: 0 };
  for (const choices of [by(staff), by(taped)]) {
    expect(choices.map(({ rooms }) => rooms[0]!.systemId)).toEqual(['a/bare/1.5/0']);
  }
});

test('a room that is not read is left out and told; with none read there is nothing to choose', () => {
  const bare = { ...readRoom('a', () => 0), readings: [], setups: [] };
  expect(leastStepsOf([bare], AT, solve)).toEqual({ choices: [], rooms: [], unread: ['a'], openings: 0 });
});
