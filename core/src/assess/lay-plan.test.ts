import { SHIPPED_CARDS, type CoveringCard } from '../coverings/index.ts';
import { BLANK_SHAPE, newFixture, newOpening, rectangleWalls, type RoomFacts } from '../room/index.ts';
import { USUAL_SET_OUT, type LaidRow, type SetOut } from '../setout/index.ts';
import { boxesOfJob } from './lay-boxes.ts';
import { compareStarts, rulePrices } from './lay-compare.ts';
import { planLaying, type LayPlan } from './lay-plan.ts';
import { roomSet, type RoomSet } from './room-set.ts';

const room: RoomFacts = {
  id: 'r',
  jobId: 'j',
  name: 'Parlour',
  rank: 0,
  ...BLANK_SHAPE,
  walls: rectangleWalls(4200, 3600),
  openings: [{ ...newOpening('door', 0, 600, 800), beyond: 'tile' }],
  baseKind: 'slab-on-ground',
  cardId: 'shipped-laminate',
  units: 'metric',
  spacingMm: null,
  contactsOnly: false,
};
const cardOf = (id: string): CoveringCard => SHIPPED_CARDS.find((card) => card.id === id)!;
const laminate = cardOf('shipped-laminate');
const chosen = (part: Partial<SetOut>): SetOut[] => [{ id: 's', ...USUAL_SET_OUT, ...part }];
const set = (part: Partial<RoomSet> = {}, card = laminate, of: Partial<RoomFacts> = {}) =>
  roomSet({ ...room, ...of }, card, part);
const plan = (of: RoomSet): LayPlan => planLaying(of, { pace: 'live' })!;

/** The area of every piece as it is drawn, m². */
const drawnM2 = ({ pieces }: LayPlan) =>
  pieces.reduce((sum, { outline }) => {
    const twice = outline.reduce((s, a, k) => {
      const b = outline[(k + 1) % outline.length]!;
      return s + a.xMm * b.yMm - b.xMm * a.yMm;
    }, 0);
    return sum + Math.abs(twice) / 2e6;
  }, 0);

test('a plain room: pieces cover the floor once, from no fewer planks than its area asks and no more than the plain way takes', () => {
  const made = plan(set({ setOuts: chosen({ startWall: 2 }) }));
  // 4.2 by 3.6 m less 10 mm at each wall, and the floor of the door to its bar.
  const floorM2 = 4.18 * 3.58;
  expect(made.areaM2).toBeGreaterThan(floorM2);
  expect(made.areaM2).toBeLessThan(floorM2 + 0.8 * 0.1);
  expect(drawnM2(made)).toBeCloseTo(made.areaM2, 2);
  expect(made.planks).toBeGreaterThanOrEqual(made.least.rows);
  expect(made.planks).toBeLessThanOrEqual(made.plain.planks);
  expect(made.breaches).toEqual([]);
  expect(made.startWall).toEqual({ wall: 2, name: 'W3', reason: 'chosen' });
});

test('every plank holds its pieces and the cuts between them, and each rest goes where it is said to go', () => {
  const made = plan(set());
  const byPlank = new Map<number, typeof made.pieces>();
  for (const piece of made.pieces)
    if (piece.rippedFrom === null) byPlank.set(piece.plank, [...(byPlank.get(piece.plank) ?? []), piece]);
  expect(byPlank.size).toBe(made.planks);
  for (const own of byPlank.values()) {
    const cut = own.reduce((sum, { cutMm }) => sum + cutMm, 0) + 3 * (own.length - 1);
    expect(cut).toBeLessThanOrEqual(1285 + 1e-6);
    for (const piece of own) if (piece.restTo !== null) expect(own.map(({ number }) => number)).toContain(piece.restTo);
  }
});

test('boxes are whole, with the spare ones in them', () => {
  const made = plan(set());
  // 2.2 m² a box of planks 1285 by 190: nine of them.
  expect(made.boxes).toMatchObject({ inBox: 9 });
  expect(made.boxes!.boxes * 9).toBeGreaterThanOrEqual(made.planks + made.boxes!.spare);
  expect((made.boxes!.boxes - 1) * 9).toBeLessThan(made.planks + made.boxes!.spare);
});

test('a first row set by hand is the first row; alike ones are alike', () => {
  const byHand = plan(set({ setOuts: chosen({ startWall: 2, firstRow: 'set', firstMm: 120 }) }));
  expect(byHand.firstMm).toBe(120);
  const alike = plan(set({ setOuts: chosen({ startWall: 2, firstRow: 'equal' }) }, laminate, { openings: [] }));
  expect(alike.firstMm).toBeCloseTo(alike.lastMm, 3);
});

test('gaps of one’s own at a wall make the floor smaller by just that', () => {
  const wider = plan(
    set({ setOuts: chosen({ startWall: 0, gaps: [{ wall: 2, gapMm: 25 }] }) }, laminate, { openings: [] }),
  );
  const usual = plan(set({ setOuts: chosen({ startWall: 0 }) }, laminate, { openings: [] }));
  expect(usual.areaM2 - wider.areaM2).toBeCloseTo(4.18 * 0.015, 4);
});

test('the light decides the way, joists come before it under wood, the longest wall where neither is known', () => {
  const wallOf = (part: Partial<SetOut>, card = laminate, of: Partial<RoomFacts> = {}) =>
    plan(set({ setOuts: chosen(part) }, card, of)).startWall;
  expect(wallOf({})).toMatchObject({ wall: 0, reason: 'longest' });
  expect(wallOf({ lightWall: 0 })).toMatchObject({ wall: 1, reason: 'light' });
  const onJoists = {
    baseKind: 'panels-on-joists' as const,
    base: { ...BLANK_SHAPE.base, joistDeg: 0, joistSpacingMm: 400 },
  };
  expect(wallOf({ lightWall: 1 }, cardOf('shipped-engineered'), onJoists)).toMatchObject({ wall: 1, reason: 'joists' });
});

test('a row that lies stays: the rest is planned round it, and a measured end makes the strip as long as it was found', () => {
  const before = plan(set({ setOuts: chosen({ startWall: 2 }) }));
  const [first, second] = before.rows;
  const lies = (row: number, part: Partial<LaidRow>): LaidRow => ({
    id: `row-${row}`,
    startWall: 2,
    hand: 'left-to-right',
    firstMm: before.firstMm,
    row,
    strip: 1,
    startMm: first!.startMm,
    wholes: first!.wholes,
    endMm: first!.endMm,
    isLaid: true,
    laidAt: '2026-05-04T09:00:00.000Z',
    batch: '',
    note: '',
    ...part,
  });
  const after = plan(
    set({
      setOuts: chosen({ startWall: 2 }),
      laidRows: [
        lies(1, {}),
        lies(2, { startMm: second!.startMm, wholes: second!.wholes, endMm: second!.endMm - 6, isLaid: false }),
      ],
    }),
  );
  expect(after.firstMm).toBe(before.firstMm);
  expect(after.rows[0]).toMatchObject({ startMm: first!.startMm, endMm: first!.endMm });
  expect(after.rows[1]).toMatchObject({ startMm: second!.startMm, endMm: second!.endMm - 6 });
  expect(after.pieces.filter(({ isLaid }) => isLaid).every(({ row }) => row === 1)).toBe(true);
  expect(after.breaches).toEqual([]);
});

test('a pipe makes a hole from the plank’s own edges; a low radiator says how the piece comes in', () => {
  const pipe = newFixture('pipe', 'pipe', { xMm: 2000, yMm: 3400 }, 0);
  const radiator = { ...newFixture('rad', 'radiator', { xMm: 2100, yMm: 3540 }, 0), heightMm: 40 };
  const made = plan(set({ setOuts: chosen({ startWall: 0 }) }, laminate, { fixtures: [pipe, radiator] }));
  const holed = made.pieces.filter(({ holes }) => holes.length > 0);
  expect(holed.length).toBeGreaterThan(0);
  // 22 mm and the gap of 10 mm on either side of it.
  expect(holed[0]!.holes[0]).toMatchObject({ pipeId: 'pipe', diameterMm: 42 });
  expect(made.pieces.some(({ wayIn, under }) => wayIn !== 'angled' && under !== null)).toBe(true);
});

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

test('chalk lines say two tapes at either end that add up to the room', () => {
  const made = plan(set({ setOuts: chosen({ startWall: 2 }) }, laminate, { openings: [] }));
  const [line] = made.chalk;
  expect(line!.afterRow).toBe(1);
  expect(line!.fromStartMm[0]).toBeCloseTo(10 + made.firstMm, 6);
  expect(line!.fromStartMm[0] + line!.toFarMm[0]).toBeCloseTo(3600, 6);
  expect(line!.fromStartMm[1] + line!.toFarMm[1]).toBeCloseTo(3600, 6);
});

test('glued planks are laid in bays by the clock, with the tack of the patch test where there is one', () => {
  const glued = cardOf('shipped-glue-vinyl');
  const made = plan(set({ setOuts: chosen({ startWall: 0 }) }, glued));
  expect(made.glue!.bays.reduce((sum, { rows }) => sum + rows, 0)).toBe(
    Math.max(...made.rows.map(({ row }) => row)) + 1,
  );
  expect(made.glue!.bays.every(({ holds }) => holds)).toBe(true);
  expect(made.glue!.kg).toBeCloseTo(made.areaM2 * 0.3, 6);
  const test = { id: 't', zone: 'base', begunAt: '2026-05-04T09:00:00.000Z', tackMin: 40, isHeld: true, note: '' };
  const slow = plan(set({ setOuts: chosen({ startWall: 0 }), glueTests: [test] }, glued));
  expect(slow.glue).toMatchObject({ isTested: true, work: { tackMin: 40, workingMin: 55 } });
});

test('herringbone is counted by hand, and shares staves', () => {
  const made = plan(set({}, cardOf('shipped-herringbone')));
  expect(made.pattern).toBe('herringbone');
  const { bought, staves, withoutSharing } = made.herringbone!;
  expect(bought.left + bought.right).toBe(made.planks);
  expect(made.planks).toBeLessThan(withoutSharing);
  expect(staves).toHaveLength(withoutSharing);
  expect(made.areaM2).toBeCloseTo(4.184 * 3.584, 1);
});

test('without a plank size there is nothing to plan', () => {
  expect(planLaying(set({}, { ...laminate, plankLengthMm: null }), { pace: 'live' })).toBeNull();
});

test('figures of the print are known only once a box was looked at; pieces that touch differ', () => {
  const made = plan(
    set({
      boxChecks: [
        {
          id: 'c',
          batch: 'A1',
          locks: 'good',
          straight: 'good',
          colour: 'good',
          prints: 8,
          checkedAt: '2026-05-04T09:00:00.000Z',
          note: '',
        },
      ],
    }),
  );
  const drawn = new Map<number, number>();
  for (const { print } of made.pieces) drawn.set(print!, (drawn.get(print!) ?? 0) + 1);
  expect(drawn.size).toBe(8);
  // In one row two pieces side by side.
  for (const [k, piece] of made.pieces.entries()) {
    const next = made.pieces[k + 1];
    if (next?.row === piece.row && next.plank !== piece.plank) expect(next.print).not.toBe(piece.print);
  }
});

test('starts are compared, the chosen wall first; a rule’s price is never below nothing', () => {
  const of = set({ setOuts: chosen({ startWall: 1 }) });
  const starts = compareStarts(of);
  expect(starts[0]!.wall).toBe(1);
  expect(starts.length).toBeGreaterThan(2);
  expect(starts[0]!.planks).toBe(plan(of).planks);
  for (const { planks } of rulePrices(of)) expect(planks).toBeGreaterThanOrEqual(0);
});

test('joints keep off soft spots of the floor where they can, and say so where they cannot', () => {
  const of = set({ setOuts: chosen({ startWall: 2 }) }, laminate, { openings: [] });
  const spot = { from: 'soft' as const, xMm: 2000, yMm: 1800, radiusMm: 250 };
  const made = planLaying(of, { pace: 'live', soft: [spot] })!;
  expect(made.keptOff).toMatchObject({ soft: 1, low: 0 });
  const over = made.pieces.filter(({ outline }) =>
    // A joint is where a piece ends within the spot, off the walls.
    outline.some(({ xMm, yMm }) => Math.abs(xMm - 2000) < 249 && Math.abs(yMm - 1800) < 249),
  );
  expect(over.length > 0).toBe(made.breaches.some(({ rule }) => rule === 'zone'));
  expect(over).toEqual([]);
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

test('half the floor is laid at a row, by its area', () => {
  const made = plan(set({ setOuts: chosen({ startWall: 2 }) }, laminate, { openings: [] }));
  const upTo = (rows: number) =>
    made.rows.filter(({ row }) => row < rows).reduce((sum, { leftWideMm }) => sum + leftWideMm * 4180, 0) / 1e6;
  expect(upTo(made.half!.rows)).toBeGreaterThanOrEqual(made.areaM2 / 2 - 1e-6);
  expect(upTo(made.half!.rows - 1)).toBeLessThan(made.areaM2 / 2);
  expect(made.half!.reachMm).toBeCloseTo(10 + made.firstMm + (made.half!.rows - 1) * 190, 6);
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

test('the first row is told along its wall, and from the doorway where it is deeper there', () => {
  const made = plan(set({ setOuts: chosen({ startWall: 0 }) }));
  // The door lies in the start wall: the floor begins at its bar, which the row along the wall does not reach.
  const [least, most] = made.edges.firstMm;
  expect(most).toBeCloseTo(least, 3);
  expect(made.firstMm).toBeGreaterThan(most + 10);
  expect(made.chalk[0]!.rowMm[1]).toBeCloseTo(most, 3);
  expect(made.chalk[0]!.fromStartMm[0]).toBeCloseTo(10 + most, 3);
  const plain = plan(set({ setOuts: chosen({ startWall: 2 }) }, laminate, { openings: [] }));
  expect(plain.edges.firstMm[0]).toBeCloseTo(plain.firstMm, 3);
  expect(plain.edges.lastMm[1]).toBeCloseTo(plain.lastMm, 3);
});
