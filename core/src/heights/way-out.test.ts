import { wayOut, type Exit, type Machine } from './way-out.ts';

const rect = (x0: number, y0: number, x1: number, y1: number) => (x: number, y: number) =>
  x > x0 && x < x1 && y > y0 && y < y1;
/** A door of 800 mm in the wall along y = 0, from 3000 on. */
const DOOR: Exit = { id: 'door', from: { xMm: 3000, yMm: 0 }, to: { xMm: 3800, yMm: 0 }, leafStays: true };
const MACHINE: Machine = { widthMm: 600, depthMm: 640, at: { xMm: 500, yMm: 1500 }, turnDeg: 0 };

test('across an open room it goes out by the door', () => {
  const out = wayOut(rect(0, 0, 4000, 3000), MACHINE, [DOOR]);
  expect(out).toMatchObject({ found: true, exitId: 'door', turns: 0 });
  if (!out.found) return;
  const last = out.path.at(-1)!;
  expect(Math.abs(last.xMm - 3400)).toBeLessThanOrEqual(25);
  expect(last.yMm).toBeLessThanOrEqual(390);
});

test('through a passage it fits one way alone it turns where its diagonal passes first', () => {
  // The passage along x is 660 mm high: only with the 600 mm across it, so it has to turn.
  const floor = (x: number, y: number) =>
    rect(0, 1000, 1400, 2500)(x, y) || rect(0, 1400, 3000, 2060)(x, y) || rect(2800, 0, 4000, 3000)(x, y);
  const door: Exit = { id: 'd', from: { xMm: 3000, yMm: 0 }, to: { xMm: 3900, yMm: 0 }, leafStays: false };
  const out = wayOut(floor, { ...MACHINE, at: { xMm: 700, yMm: 1730 } }, [door]);
  expect(out).toMatchObject({ found: true, turns: 1 });
  // With an island where it would turn there is none.
  const stuck = wayOut(
    (x, y) => floor(x, y) && !rect(100, 1000, 300, 1200)(x, y) && !rect(0, 2300, 1400, 2500)(x, y),
    {
      ...MACHINE,
      at: { xMm: 700, yMm: 1730 },
    },
    [door],
  );
  expect(stuck.found).toBe(true);
  const shut = wayOut(
    (x, y) => floor(x, y) && !rect(1500, 1400, 1600, 1500)(x, y),
    { ...MACHINE, at: { xMm: 700, yMm: 1730 } },
    [door],
  );
  expect(shut).toMatchObject({ found: false, why: 'blocked' });
});

test('no opening wide enough is told with the widest', () => {
  const narrow = { ...DOOR, to: { xMm: 3650, yMm: 0 } };
  expect(wayOut(rect(0, 0, 4000, 3000), MACHINE, [narrow])).toEqual({ found: false, why: 'no-exit', widestMm: 605 });
  // Lifting the leaf off makes it 650, which takes 600 and 20 on each side.
  expect(wayOut(rect(0, 0, 4000, 3000), MACHINE, [{ ...narrow, leafStays: false }]).found).toBe(true);
});

test('the same room turned on the sheet gives the same way', () => {
  const [turn, floor] = [0.4, rect(0, 0, 4000, 3000)];
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const turned = (xMm: number, yMm: number) => ({ xMm: xMm * c - yMm * s, yMm: xMm * s + yMm * c });
  const straight = wayOut(floor, MACHINE, [DOOR]);
  const askew = wayOut(
    (x, y) => floor(x * c + y * s, y * c - x * s),
    { ...MACHINE, at: turned(500, 1500), turnDeg: (turn * 180) / Math.PI },
    [{ ...DOOR, from: turned(3000, 0), to: turned(3800, 0) }],
  );
  expect(askew.found && straight.found && askew.path.length === straight.path.length).toBe(true);
});
