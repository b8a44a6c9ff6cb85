import { regionAreaM2, regionOf, together } from '../room/index.ts';
import { BASE_THINNEST, JOINED, LAPS, LOCATED, ROLLS_EDGE, ROLLS_LIE } from '../under/index.ts';
import { flangeAt, roomOver, underSet } from './invented-under.ts';
import { underPlanOf } from './under-plan.ts';

const boards = roomOver('wash', 'floorboards-on-joists', { joistDeg: 0 }, [3000, 2400]);
const parlour = roomOver('parlour', 'slab-on-ground', {}, [5200, 4400]);
const kitchen = roomOver('kitchen', 'slab-on-ground', {}, [3100, 2700]);
const foam = { underlayId: 'shipped-foam', filmId: 'shipped-film' };

test('rooms with one material are cut from the same rolls; strips cover each floor once', () => {
  const { rolls } = underPlanOf([underSet(parlour, foam), underSet(kitchen, foam)]);
  const [underlay, film] = [rolls.find(({ of }) => of === 'underlay')!, rolls.find(({ of }) => of === 'film')!];
  expect(underlay.rooms.map(({ roomId }) => roomId)).toEqual(['parlour', 'kitchen']);
  for (const room of underlay.rooms) {
    const regions = room.strips.map(({ outline }) => regionOf(outline));
    const sum = regions.reduce((all, one) => all + regionAreaM2(one), 0);
    // Eight short of every wall, nothing twice.
    const floor = room.roomId === 'parlour' ? 5.184 * 4.384 : 3.084 * 2.684;
    expect(sum).toBeCloseTo(floor, 3);
    expect(regionAreaM2(together(regions))).toBeCloseTo(floor, 3);
  }
  for (const { make, rolls: cut } of [underlay, film])
    for (const { pieces, restMm } of cut)
      expect(Math.max(...pieces.map(({ lengthMm }) => lengthMm))).toBeLessThanOrEqual(make.lengthMm - restMm + 1e-6);
  // Rolls together are no more than by rooms.
  const apart = [parlour, kitchen].flatMap((room) =>
    underPlanOf([underSet(room, foam)]).rolls.filter(({ of }) => of === 'underlay'),
  );
  expect(underlay.rolls.length).toBeLessThanOrEqual(apart.reduce((all, one) => all + one.rolls.length, 0));
  expect(underlay.rolls.length).toBeGreaterThanOrEqual(underlay.leastRolls);
});

test('strips are numbered from the wall farther from the door', () => {
  const { rolls } = underPlanOf([underSet(parlour, { underlayId: 'shipped-foam' }, [[ROLLS_LIE, 'along']])]);
  const { strips } = rolls[0]!.rooms[0]!;
  // Along the first wall, which has the door: the first strip lies at the wall across the room.
  const middle = (k: number) => strips[k]!.outline.reduce((sum, { yMm }) => sum + yMm / 4, 0);
  expect(strips.map(({ number }) => number)).toEqual(strips.map((_, k) => k + 1));
  for (let k = 1; k < strips.length; k++) expect(middle(k)).toBeLessThan(middle(k - 1));
  // Rolls are opened in that order as well.
  expect(strips[0]!.rolls).toContain(1);
});

test('schools of a room: to the wall, laps, along, joined', () => {
  const plan = (answers: Parameters<typeof underSet>[2]) => underPlanOf([underSet(parlour, foam, answers)]).rolls;
  const usual = plan([]);
  const [underlay, film] = usual;
  expect(plan([[ROLLS_EDGE, 'to-wall']])[0]!.rooms[0]!.strips[0]!.lengthMm).toBeCloseTo(
    underlay!.rooms[0]!.strips[0]!.lengthMm + 16,
    6,
  );
  expect(plan([[LAPS, 100]])[1]!.rooms[0]!.strips.length).toBeLessThanOrEqual(film!.rooms[0]!.strips.length);
  expect(plan([[ROLLS_LIE, 'along']])[0]!.rooms[0]!.runs).not.toBe(underlay!.rooms[0]!.runs);
  expect(plan([[JOINED, 'joined']])[0]!.rolls.length).toBeLessThanOrEqual(underlay!.rolls.length);
  expect(underlay!.joints).toBe(0);
});

test('panels of the wash house: sheets, tapes, a slot to slide under the flange, fixings by each piece', () => {
  const room = { ...boards, fixtures: [flangeAt(2500, 1900)] };
  const [of] = underPlanOf([underSet(room, { panelId: 'shipped-plywood-6' }, [[BASE_THINNEST, 21]])]).panels;
  const [here] = of!.rooms;
  expect(of!.sheets.length).toBeGreaterThanOrEqual(of!.leastSheets);
  expect(here!.panels.map(({ number }) => number)).toEqual(here!.panels.map((_, k) => k + 1));
  const holed = here!.panels.filter(({ cutOuts }) => cutOuts.length > 0);
  expect(holed).toHaveLength(1);
  const [cut] = holed[0]!.cutOuts;
  expect(cut!.slotMm).toBeGreaterThan(0);
  expect(cut!.fromEndMm).toBeLessThan(holed[0]!.lengthMm);
  // 6 on 21: three times the panel is 18, and 25 still stays in.
  expect(here!.fixing).toEqual({ lengthMm: 20, why: null });
  expect(here!.fixings).toBe(here!.panels.reduce((sum, { fixings }) => sum + fixings, 0));
  for (const { tapes } of here!.panels) expect(tapes).toHaveLength(2);
  // Every piece of every room stands in the cut list, from the sheet it names.
  for (const panel of here!.panels) {
    const sheet = of!.sheets[panel.sheet - 1]!;
    expect(sheet.strips.flatMap(({ pieces }) => pieces.map(({ number }) => number))).toContain(panel.number);
  }
});

test('joints to fill are the length of all seams, by hand for three half sheets in a row', () => {
  // 3.6 by 1.2 m of field: two joints of 1.2 m.
  const strip = roomOver('strip', 'floorboards-on-joists', { joistDeg: 90 }, [1212, 3612]);
  const [of] = underPlanOf([underSet(strip, { panelId: 'shipped-plywood-6' })]).panels;
  expect(of!.rooms[0]!.panels).toHaveLength(3);
  expect(of!.rooms[0]!.seamsM).toBeCloseTo(2.4, 1);
});

test('fixings are refused where nobody knows how thick the base is, and taken once services are located', () => {
  const fixing = (answers: Parameters<typeof underSet>[2], base = {}) =>
    underPlanOf([
      underSet({ ...boards, base: { ...boards.base, ...base } }, { panelId: 'shipped-plywood-9-long' }, answers),
    ]).panels[0]!.rooms[0]!.fixing;
  expect(fixing([]).why).toBe('measure');
  expect(fixing([[BASE_THINNEST, 15]]).why).toBe('services');
  expect(
    fixing([
      [BASE_THINNEST, 15],
      [LOCATED, 'yes'],
    ]),
  ).toEqual({ lengthMm: 30, why: null });
  expect(
    fixing(
      [
        [BASE_THINNEST, 15],
        [LOCATED, 'yes'],
      ],
      { heating: 'water' },
    ).why,
  ).toBe('none');
});

test('panels over panels lie across the joists and away from their seams; over unknown seams it says so', () => {
  const base = { joistDeg: 90, panelLongMm: 2400, panelShortMm: 600, seamXMm: 400, seamYMm: 300 };
  const over = (part: object) =>
    underPlanOf([
      underSet(roomOver('hall', 'panels-on-joists', { ...base, ...part }, [4200, 2600]), {
        panelId: 'shipped-plywood-6-long',
      }),
    ]).panels[0]!.rooms[0]!;
  const known = over({});
  expect(known.seamsUnknown).toBeNull();
  for (const { shortMm, tapes } of known.breaks) expect([shortMm > 0, tapes.length]).toEqual([true, 2]);
  expect(over({ seamXMm: null }).seamsUnknown).toBe('not-recorded');
  expect(over({ joistDeg: null }).directionUnknown).toBe(true);
});

test('a rest of a square metre is kept, a smaller one is not', () => {
  const of = (depthMm: number) =>
    underPlanOf([
      underSet(roomOver('strip', 'floorboards-on-joists', { joistDeg: 90 }, [1232, depthMm]), {
        panelId: 'shipped-plywood-6-long',
      }),
    ]).panels[0]!.offcuts;
  // Of one sheet of 2440 x 1220: 1000 taken leaves 1.75 m², 2000 leaves half of one.
  expect(of(1012)).toHaveLength(1);
  expect(of(2012)).toEqual([]);
});

test('boards by the piece are counted as boards, a whole floor of them at most a row of cuts over the least', () => {
  const [boards] = underPlanOf([underSet(parlour, { underlayId: 'shipped-wood-fibre' })]).rolls;
  expect(boards!.isBoards).toBe(true);
  expect(boards!.rolls.length).toBeGreaterThanOrEqual(boards!.leastRolls);
  expect(boards!.rolls.length).toBeLessThanOrEqual(boards!.leastRolls + 12);
  expect(underPlanOf([underSet(parlour, foam)]).rolls[0]!.isBoards).toBe(false);
});
