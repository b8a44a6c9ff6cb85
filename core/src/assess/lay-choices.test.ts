import { type CoveringCard } from '../coverings/index.ts';
import { newFixture, newOpening, rectangleWalls } from '../room/index.ts';
import { type LaidRow } from '../setout/index.ts';
import { cardOf, chosen, drawnM2, laminate, plan, room, set } from './invented-lay.ts';
import { boxesOfJob } from './lay-boxes.ts';
import { type LayPlan } from './lay-plan.ts';
import { roomSet, type RoomSet } from './room-set.ts';

test('planks run on through an opening into the next room, in one set of rows', () => {
  const shared = (id: string, wall: number, fromMm: number) => ({
    ...newOpening(id, wall, fromMm, 900),
    kind: 'archway' as const,
    sharedId: 'arch',
  });
  const hall = roomSet(
    { ...room, id: 'h', name: 'Hall', walls: rectangleWalls(4200, 1500), openings: [shared('arch', 2, 1000)] },
    laminate,
  );
  const kitchen = set(
    { neighbours: [hall], setOuts: chosen({ startWall: 2, through: [{ openingId: 'mine' }] }) },
    laminate,
    { openings: [shared('mine', 0, 2300)] },
  );
  const made = plan(kitchen);
  expect(made.through.map(({ name }) => name)).toEqual(['Hall']);
  const both = 4.18 * 3.58 + 4.18 * 1.48;
  // The opening: 900 wide less a gap at either jamb, a wall and two gaps deep.
  expect(made.areaM2).toBeCloseTo(both + 0.88 * 0.12, 2);
  expect(drawnM2(made)).toBeCloseTo(made.areaM2, 1);
});

test('planks run on through two openings, the second from the room between; both rooms beyond say where their rows stand', () => {
  const shared = (id: string, wall: number, fromMm: number, sharedId: string) => ({
    ...newOpening(id, wall, fromMm, 900),
    kind: 'archway' as const,
    sharedId,
  });
  const walls = rectangleWalls(4200, 1500);
  const study = roomSet(
    { ...room, id: 's', name: 'Study', walls, openings: [shared('of-study', 2, 1000, 'second')] },
    laminate,
  );
  const between = { ...room, id: 'h', name: 'Hall', walls };
  const hall = (isOn: boolean) =>
    roomSet(
      { ...between, openings: [shared('arch', 2, 1000, 'arch'), shared('on', 0, 2300, 'second')] },
      laminate,
      isOn ? { setOuts: chosen({ through: [{ openingId: 'on' }] }) } : {},
    );
  const kitchen = (isOn: boolean) =>
    set(
      { neighbours: [hall(isOn), study], setOuts: chosen({ startWall: 2, through: [{ openingId: 'mine' }] }) },
      laminate,
      { openings: [shared('mine', 0, 2300, 'arch')] },
    );
  expect(plan(kitchen(false)).through.map(({ name }) => name)).toEqual(['Hall']);
  const made = plan(kitchen(true));
  expect(made.through.map(({ name }) => name)).toEqual(['Hall', 'Study']);
  expect(made.areaM2).toBeCloseTo(4.18 * 3.58 + 2 * 4.18 * 1.48 + 2 * 0.88 * 0.12, 2);
  expect(made.keptOff.opening).toBe(2);
  expect(plan({ ...study, neighbours: [hall(true), kitchen(true)] }).laidFrom).toEqual({
    roomId: 'r',
    name: 'Parlour',
  });
  expect(plan({ ...hall(true), neighbours: [study, kitchen(true)] }).laidFrom).toEqual({
    roomId: 'r',
    name: 'Parlour',
  });
  expect(plan(kitchen(true)).laidFrom).toBeNull();
});

test('two rooms that each run on into the other: one of them leads', () => {
  const shared = (id: string, wall: number) => ({
    ...newOpening(id, wall, 1000, 900),
    kind: 'archway' as const,
    sharedId: 'arch',
  });
  const one = (id: string, opening: string, wall: number, near: RoomSet[] = []) =>
    roomSet({ ...room, id, name: id, openings: [shared(opening, wall)] }, laminate, {
      setOuts: chosen({ through: [{ openingId: opening }] }),
      neighbours: near,
    });
  expect(plan(one('a', 'of-a', 2, [one('b', 'of-b', 0)])).laidFrom).toBeNull();
  expect(plan(one('b', 'of-b', 0, [one('a', 'of-a', 2)])).laidFrom).toEqual({ roomId: 'a', name: 'a' });
});

test('a card whose boxes hold several lengths: rows of them as they come, boxes that keep their mix, and spare planks within them', () => {
  const mixed = {
    ...laminate,
    mixedLengths: [
      { lengthMm: 2000, inBox: 2 },
      { lengthMm: 1400, inBox: 2 },
      { lengthMm: 900, inBox: 2 },
    ],
  };
  const made = plan(set({}, mixed));
  expect(made.pattern).toBe('mixed');
  expect(drawnM2(made)).toBeCloseTo(made.areaM2, 2);
  const { boxes, inBox, spare, leastBoxes } = made.mixed!;
  expect([inBox, made.boxes]).toEqual([6, made.mixed]);
  expect(boxes).toBeGreaterThanOrEqual(leastBoxes);
  expect(boxes * inBox).toBeGreaterThanOrEqual(made.planks + spare);
  // The same floor is the same plan however long is asked: a row that lies stays the row that is shown.
  const lies = {
    id: 'l',
    startWall: made.startWall.wall,
    hand: 'left-to-right',
    firstMm: made.firstMm,
    row: 1,
    strip: 1,
  };
  const row = {
    startMm: 1,
    wholes: 0,
    endMm: 0,
    isLaid: true,
    laidAt: '2026-03-01T08:00:00.000Z',
    batch: '',
    note: '',
  };
  const after = plan(set({ laidRows: [{ ...lies, ...row } as LaidRow] }, mixed));
  expect(after.pieces.map(({ fromMm, toMm }) => [fromMm, toMm])).toEqual(
    made.pieces.map(({ fromMm, toMm }) => [fromMm, toMm]),
  );
  expect(after.pieces.filter(({ isLaid }) => isLaid).map(({ row: at }) => at)).toEqual(
    after.pieces.filter(({ row: at }) => at === 1).map(() => 1),
  );
});

test('a border round herringbone takes staves of its own, leaves the pattern the rest, and is told where it leaves none', () => {
  const staves = cardOf('shipped-herringbone');
  const plain = plan(set({}, staves));
  const bordered = plan(set({ setOuts: chosen({ borderRows: 2 }) }, staves));
  expect(plain.herringbone!.border).toBeNull();
  const { border, areaM2 } = bordered.herringbone!;
  expect(border!.rows).toBe(2);
  expect(border!.planks).toBeGreaterThan(0);
  expect(areaM2).toBeCloseTo(plain.areaM2, 1);
  expect(bordered.planks).toBe(bordered.herringbone!.bought.left + bordered.herringbone!.bought.right + border!.planks);
  const narrow = set({ setOuts: chosen({ borderRows: 3 }) }, staves, {
    walls: rectangleWalls(3000, 500),
    openings: [],
  });
  expect(plan(narrow).herringbone!.border).toBeNull();
});

test('windows give the light where no wall is named: the wall with most of them', () => {
  const windows = [
    { wall: 1, widthMm: 1200 },
    { wall: 0, widthMm: 900 },
    { wall: 0, widthMm: 800 },
  ];
  expect(plan(set({ setOuts: chosen({ windows }) })).startWall).toMatchObject({ wall: 1, reason: 'light' });
  expect(plan(set({ setOuts: chosen({ windows, lightWall: 1 }) })).startWall).toMatchObject({
    reason: 'light',
    wall: 0,
  });
});

test('what a card says of laying wins: hand, second stagger, and ways in', () => {
  const right = plan(set({}, { ...laminate, layHand: 'right-to-left' }));
  const left = plan(set({}, { ...laminate, layHand: 'left-to-right' }));
  const firstAt = ({ pieces }: LayPlan) => pieces[0]!.outline.reduce((sum, { xMm }) => sum + xMm, 0);
  expect(firstAt(right)).not.toBeCloseTo(firstAt(left), 0);
  const loose = plan(set({}, { ...laminate, secondStaggerMm: 0 }));
  expect(loose.breaches).toEqual([]);
  expect(loose.planks).toBeLessThanOrEqual(plan(set()).planks);
  const low = newFixture('low', 'radiator', { xMm: 2100, yMm: 3500 }, 0);
  const of = { fixtures: [{ ...low, heightMm: 40, widthMm: 1500, depthMm: 200 }] };
  const ways = (card: CoveringCard) => new Set(plan(set({}, card, of)).pieces.map(({ wayIn }) => wayIn));
  expect(ways({ ...laminate, endsSlide: 'no', lipShaved: 'no', longTaps: 'yes' })).toContain('tapped');
  expect(ways({ ...laminate, endsSlide: 'no', lipShaved: 'no', longTaps: 'no' })).toContain(null);
});

test('boxes over rooms of one covering: planks of all of them, one lot of spare, and no more than room by room', () => {
  const one = set();
  const two = roomSet(
    { ...room, id: 'r2', name: 'Study', walls: rectangleWalls(3100, 2700), openings: [] },
    laminate,
    {},
  );
  const other = roomSet(
    { ...room, id: 'r3', name: 'Store', cardId: 'shipped-click-vinyl' },
    cardOf('shipped-click-vinyl'),
    {},
  );
  const [boxes, vinyl, ...more] = boxesOfJob([one, two, other]);
  expect(more).toEqual([]);
  expect(boxes!.rooms.map(({ name, planks }) => [name, planks])).toEqual([
    ['Parlour', plan(one).planks],
    ['Study', plan(two).planks],
  ]);
  expect(boxes!.planks).toBe(plan(one).planks + plan(two).planks);
  expect(boxes!.boxes).toBe(Math.ceil((boxes!.planks + boxes!.spare) / boxes!.inBox));
  expect(boxes!.boxes).toBeLessThanOrEqual(boxes!.apart);
  expect(vinyl!.rooms).toHaveLength(1);
});

test('parted at a dividing line: a bar and two gaps are left, and no field is longer than the card allows', () => {
  const line = { id: 'half', name: 'line 1', axMm: 2100, ayMm: 0, bxMm: 2100, byMm: 3600 };
  const short = { ...laminate, longestRunM: 4 };
  const of = { openings: [], lines: [line] };
  const whole = plan(set({}, short, of));
  expect(whole.overRun.longM).toEqual({ isM: 4.18, mayM: 4 });
  const parted = plan(set({ setOuts: chosen({ breaks: [{ lineId: 'half' }] }) }, short, of));
  expect(parted.overRun).toEqual({ longM: null, parted: [] });
  // The track of 16 and the card's 10 on either side, from wall to wall.
  expect(whole.areaM2 - parted.areaM2).toBeCloseTo(0.036 * 3.58, 6);
  expect(parted.pieces.some(({ outline }) => outline.some(({ xMm }) => Math.abs(xMm - 2100) < 17))).toBe(false);
});

test('an opening laid through in which the floor has to be parted is told', () => {
  const shared = (id: string, wall: number, fromMm: number) => ({
    ...newOpening(id, wall, fromMm, 900),
    kind: 'archway' as const,
    sharedId: 'arch',
  });
  const walls = rectangleWalls(4200, 1500);
  const hall = roomSet({ ...room, id: 'h', name: 'Hall', walls, openings: [shared('arch', 2, 1000)] }, laminate);
  const of = { openings: [shared('mine', 0, 2300)] };
  const part = { neighbours: [hall], setOuts: chosen({ through: [{ openingId: 'mine' }] }) };
  expect(plan(set(part, { ...laminate, longestRunM: 20 }, of)).overRun).toEqual({ longM: null, parted: [] });
  const broken = { id: 'p', openingId: 'mine', asked: 'break' as const, note: '' };
  expect(plan(set({ ...part, partings: [broken] }, { ...laminate, longestRunM: 20 }, of)).overRun.parted).toHaveLength(
    1,
  );
});
