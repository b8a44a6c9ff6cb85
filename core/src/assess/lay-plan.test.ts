import { BLANK_SHAPE, newFixture, type RoomFacts } from '../room/index.ts';
import type { LaidRow, SetOut } from '../setout/index.ts';
import { cardOf, chosen, drawnM2, laminate, plan, set } from './invented-lay.ts';
import { compareStarts, rulePrices } from './lay-compare.ts';
import { planLaying } from './lay-plan.ts';

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

test('half the floor is laid at a row, by its area', () => {
  const made = plan(set({ setOuts: chosen({ startWall: 2 }) }, laminate, { openings: [] }));
  const upTo = (rows: number) =>
    made.rows.filter(({ row }) => row < rows).reduce((sum, { leftWideMm }) => sum + leftWideMm * 4180, 0) / 1e6;
  expect(upTo(made.half!.rows)).toBeGreaterThanOrEqual(made.areaM2 / 2 - 1e-6);
  expect(upTo(made.half!.rows - 1)).toBeLessThan(made.areaM2 / 2);
  expect(made.half!.reachMm).toBeCloseTo(10 + made.firstMm + (made.half!.rows - 1) * 190, 6);
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
