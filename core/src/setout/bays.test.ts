import fc from 'fast-check';
import { bayTimes, glueBays, type AdhesiveWork } from './bays.ts';

const WORK: AdhesiveWork = { spreadM2Min: 1, layM2Min: 0.4, tackMin: 15, workingMin: 30, reachMm: 800 };

test('a floor 4600 wide in rows of 228: three rows a bay, spread 3.1, laid from 15 to 22.9, at most 19.7 old', () => {
  const bays = glueBays(
    Array.from({ length: 9 }, () => 4.6 * 0.228),
    228,
    WORK,
  )!;
  expect(bays.map(({ fromRow, rows }) => [fromRow, rows])).toEqual([
    [0, 3],
    [3, 3],
    [6, 3],
  ]);
  const [first] = bays;
  expect(first!.spreadMin).toBeCloseTo(3.146, 2);
  expect(first!.beginMin).toBe(15);
  expect(first!.endMin).toBeCloseTo(22.87, 2);
  expect(first!.oldestMin).toBeCloseTo(19.72, 2);
});

test('what is left over is spread evenly, and where no row holds there is no plan', () => {
  expect(
    glueBays(
      Array.from({ length: 7 }, () => 1),
      228,
      WORK,
    )!.map(({ rows }) => rows),
  ).toEqual([2, 3, 2]);
  expect(glueBays([1, 1], 228, { ...WORK, workingMin: 18 })).toBeNull();
  expect(glueBays([], 228, WORK)).toEqual([]);
});

test('property: every row once, none beyond an arm, and no adhesive older than eight tenths of its time', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 0.1, max: 2, noNaN: true }), { maxLength: 40 }),
      fc.integer({ min: 90, max: 300 }),
      fc.double({ min: 0.1, max: 1, noNaN: true }),
      (rowM2, widthMm, layM2Min) => {
        const bays = glueBays(rowM2, widthMm, { ...WORK, layM2Min });
        if (!bays) return;
        let next = 0;
        for (const { fromRow, rows, oldestMin } of bays) {
          expect(fromRow).toBe(next);
          next += rows;
          expect(rows === 1 || rows * widthMm <= 800).toBe(true);
          expect(oldestMin).toBeLessThanOrEqual(24 + 1e-6);
        }
        expect(next).toBe(rowM2.length);
      },
    ),
  );
});

test('slow laying is what ages it: begun later, and no earlier than spreading is done', () => {
  const { beginMin, oldestMin } = bayTimes(6, { ...WORK, layM2Min: 2 });
  // Six minutes of spreading, three of laying: begun so late that it does not overtake the tack of what was spread last.
  expect(beginMin).toBeCloseTo(18, 9);
  expect(oldestMin).toBeCloseTo(18, 9);
});
