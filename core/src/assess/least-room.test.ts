import loadHighs from 'highs';
import { SHIPPED_CARDS, type CoveringCard } from '../coverings/index.ts';
import { highsMixed, type LevelFact, type SolveMixed } from '../heights/index.ts';
import { newLayer } from '../layers/index.ts';
import { newFixture } from '../room/index.ts';
import { leastStepsOf, type LeastWith } from './least-room.ts';
import { readRoom, staffLevel, withLevels } from './invented-cottage.ts';
import type { RoomSet } from './room-set.ts';

const AT = '2026-05-05T08:00:00.000Z';
let solve: SolveMixed;
/** Rooms as they were judged before: floors that are the same in every case are read once. */
const kept = new Map();
const leastOf = (sets: readonly RoomSet[], more: LeastWith = {}) => leastStepsOf(sets, AT, solve, { kept, ...more });
beforeAll(async () => {
  solve = highsMixed(await loadHighs());
});

const share = { sharedId: 's', beyond: 'planks' } as const;
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
  const { choices, rooms, unread } = leastOf([set]);
  const chosen = (index: number) =>
    rooms[0]!.systems.find(({ id }) => id === choices[index]!.rooms[0]!.systemId)!.buildUp.underlayMm;
  expect(unread).toEqual([]);
  // A T on a wedge counts 30 more than a flat bar, 3.5 mm more underlay over 12 m2 50: thin and a wedge is cheaper.
  expect(chosen(0)).toBe(1.5);
  expect(choices[0]!.openings[0]).toMatchObject({ stepClass: 1 });
  expect(choices[0]!.cost).toBeCloseTo(45 + 1.5 * 1.2 * 12 + 19 * 12, 6);
  const dear = { ...set, figures: [{ name: 'step-tilted', value: 200, source: '' }] };
  const again = leastOf([dear]);
  const { systemId } = again.choices[0]!.rooms[0]!;
  expect(again.rooms[0]!.systems.find(({ id }) => id === systemId)!.buildUp.underlayMm).toBe(5);
  expect(again.choices[0]!.openings[0]).toMatchObject({ stepClass: 0 });
  // What is stated of a room already is stated anew: a choice is written as a body, and has no id of its own.
  const held = { ...set, buildUps: [{ id: 'held', ...again.rooms[0]!.systems[0]!.buildUp }] };
  for (const { buildUp } of leastOf([held]).rooms[0]!.systems) expect(buildUp).not.toHaveProperty('id');
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
  const { choices } = leastOf(joined(hall, kitchen));
  const [opening] = choices[0]!.openings;
  // 20 mm is more than a bar takes: the kitchen is poured up to it, however dear that is.
  expect(opening!.stepClass).toBeLessThan(3);
  expect(choices[0]!.rooms.find(({ roomId }) => roomId === 'k')!.pourMm).not.toBeNull();
  const apart = leastOf([hall, readRoom('x', () => 0)]);
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
  const { rooms } = leastOf([withLevels(set, 0)]);
  expect(new Set(rooms[0]!.systems.map(({ keeps }) => keeps))).toContain(false);
});

test('a bay whose underside was read by staff limits what is laid, as one that was taped does', () => {
  const washer = newFixture('w', 'appliance', { xMm: 2000, yMm: 310 }, 0);
  const base = readRoom('a', () => 0, { cardId: 'shipped-laminate', room: { fixtures: [washer] } });
  const appliances = [{ id: 'p', fixtureId: 'w', heightMm: 845, airMm: 3, fixed: 'plug' as const, note: '' }];
  // 10 mm are left for the floor: laminate on 1.5 mm of underlay, 9.7 in all, and nothing thicker.
  const by = (level: LevelFact) => leastOf([{ ...base, appliances, levels: [level] }]).choices;
  const staff = staffLevel(base, 'underside', 'w', 300, 858);
  const taped: LevelFact = { ...staff, readBy: 'tape', setupId: null, rodMm: null, overMm: 858, lyingMm: 0 };
  for (const choices of [by(staff), by(taped)]) {
    expect(choices.map(({ rooms }) => rooms[0]!.systemId)).toEqual(['a/bare/1.5/0']);
  }
});

describe('levels that must not be passed', () => {
  const laminate = (more: Parameters<typeof readRoom>[2] = {}) =>
    readRoom('a', () => 0, { cardId: 'shipped-laminate', ...more });
  const systems = (set: RoomSet) => leastOf([set]).choices.map(({ rooms }) => [rooms[0]!.systemId, rooms[0]!.pourMm]);
  /** What stops the room whatever is laid: it is told, and bars no choice. */
  const hopeless = (set: RoomSet) => {
    const answer = leastOf([set]);
    expect(answer.choices.length).toBe(3);
    return answer.hopeless.map(({ id }) => id);
  };
  const leaf = (kind: 'fire' | 'hollow') => ({
    id: 'l',
    openingId: 'a-door',
    kind,
    dropSeal: false,
    cutBeforeMm: 0,
    opensDeg: 90,
    airMm: null,
    rugMm: 0,
    frame: 'wood' as const,
    note: '',
  });
  const hung = (set: RoomSet, mm: number) => [0, 800].map((along) => staffLevel(set, 'leaf', 'a-door', along, mm));

  // Laminate of 8 mm on a film of 0.2: 9.7 on 1.5 mm of underlay, 10.2 on 2, 11.2 on 3, 13.2 on 5, pressed a little.
  test('the sill of an outside door leaves what stays under its water bar', () => {
    const set = laminate({ opening: { beyond: 'outside' } });
    const sill = (mm: number) => ({ ...set, levels: [staffLevel(set, 'sill', 'a-door', 400, mm)] });
    expect(systems(sill(10))).toEqual([['a/bare/1.5/0', null]]);
    expect(hopeless(sill(9))).toEqual(['sill/a-door']);
    expect(systems(sill(40)).length).toBe(3);
  });

  test('a guard keeps its height over what is laid', () => {
    const set = laminate();
    const guard = (mm: number) => ({ ...set, levels: [staffLevel(set, 'guard', 'wall-3', 2000, mm)] });
    expect(systems(guard(910))).toEqual([['a/bare/1.5/0', null]]);
    expect(hopeless(guard(909))).toEqual(['guard/wall-3']);
  });

  test('beside a stair the floor rises as far as its risers allow', () => {
    const set = laminate({ opening: { kind: 'stair' } });
    const flight = (otherMm: number, treadMm: number | null) => ({
      ...set,
      flights: [
        { id: 'f', openingId: 'a-door', risersMm: [190, 190, 190], leads: 'down' as const, otherMm, treadMm, note: '' },
      ],
    });
    // 8 mm on the treads, 8 below: the floor here may come to between 3 and 13.
    expect(
      systems(flight(8, 8))
        .map(([id]) => id)
        .sort(),
    ).toEqual(['a/bare/1.5/0', 'a/bare/2/0', 'a/bare/3/0']);
    expect(hopeless(flight(8, 3))).toEqual(['stair/a-door']);
    // A stair that nothing holds stops the room by itself, and bars no choice.
    expect(systems(flight(60, 0)).length).toBe(3);
  });

  test('a fire leaf is not cut, and keeps the gap beneath it once the floor is lived on', () => {
    const set = laminate();
    const under = (mm: number) => ({ ...set, leaves: [leaf('fire')], levels: hung(set, mm) });
    const fire = (mm: number) => systems(under(mm));
    // A cap of 3 over 9.7 to 13.2 of floor; 2 clear and no more than 3 of gap: 15 takes 9.7 alone.
    expect(fire(15).map(([id]) => id)).toEqual(['a/bare/1.5/0']);
    expect(hopeless(under(12))).toEqual(['a-door']);
    // With 40 the floor has to be poured up to it.
    expect(fire(34).map(([, pourMm]) => pourMm !== null)).toEqual([true, true, true]);
  });

  test('a leaf that swings out over the next room limits what is laid there', () => {
    const hall = readRoom('h', () => 0, { opening: { ...share, swing: 'in' }, cardId: 'shipped-laminate' });
    const kitchen = readRoom('a', () => 0, { opening: { ...share, swing: 'out' } });
    const rooms = (mm: number) => {
      const levels = [
        ...withLevels(kitchen, 0).levels.map((one) => ({ ...one, aboutId: 'a-door' })),
        ...hung(kitchen, mm),
      ];
      const told = { ...kitchen, levels, leaves: [{ ...leaf('hollow'), cutBeforeMm: 10 }] };
      return leastOf(joined(told, hall)).choices.map(
        ({ rooms: of }) => of.find(({ roomId }) => roomId === 'h')!.systemId,
      );
    };
    // Over the hall’s 10.2 a cap of 3 and 5 mm clear: 18.2; nothing may come off any more.
    expect(new Set(rooms(18))).toEqual(new Set(['h/bare/1.5/0']));
    expect(rooms(30).length).toBe(3);
  });

  test('where access rules apply a bar takes less, and a thicker underlay is worth its price', () => {
    const set = withLevels(laminate(), -3.5);
    const answers = [{ id: 'q', question: 'heights/access', answer: 'yes', note: '' }];
    // 9.7 over -3.5 is 13.2: a reducer takes that, under the usual access rule nothing but a ramp does.
    expect(leastOf([set]).choices[0]!.openings[0]!.stepClass).toBe(2);
    expect(leastOf([{ ...set, answers }]).choices[0]!.openings[0]!.stepClass).toBe(3);
  });
});

test('another covering is taken where its price and its height make the job cheaper, never over worse damp, and none unasked', () => {
  const set = withLevels(
    readRoom('a', () => 0, { cardId: 'shipped-engineered' }),
    12,
  );
  const laminate = SHIPPED_CARDS.find(({ id }) => id === 'shipped-laminate')!;
  const cards = (coverings: CoveringCard[], of: RoomSet = set) => {
    const { choices, rooms } = leastOf([of], { coverings });
    return new Set(
      choices.map(({ rooms: [room] }) => rooms[0]!.systems.find(({ id }) => id === room!.systemId)!.cardId),
    );
  };
  expect(cards([])).toEqual(new Set(['shipped-engineered']));
  expect(cards([laminate])).toEqual(new Set(['shipped-laminate']));
  expect(cards([{ ...laminate, costM2: 200 }])).toEqual(new Set(['shipped-engineered']));
  // Without a price on either side nothing is held against anything.
  expect(cards([{ ...laminate, costM2: null }])).toEqual(new Set(['shipped-engineered']));
  expect(cards([laminate], { ...set, card: { ...set.card, costM2: null } })).toEqual(new Set(['shipped-engineered']));
});

test('a room that is not read is left out and told; with none read there is nothing to choose', () => {
  const bare = { ...readRoom('a', () => 0), readings: [], setups: [] };
  expect(leastOf([bare])).toEqual({ choices: [], rooms: [], unread: ['a'], hopeless: [], openings: 0 });
});
