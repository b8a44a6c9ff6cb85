import { newOpening } from '../room/index.ts';
import { CORNERS } from './invented-heights.ts';
import { barsToBuy, changedRows, ledgerOf, type LedgerOpening } from './ledger.ts';
import { judgeOpening, usualOpeningRules } from './opening-judged.ts';

/** A door whose floor here lies so much over the floor beyond; null: nothing read beyond. */
function opening(id: string, stepMm: number | null, widthMm = 800): LedgerOpening {
  const beyond = stepMm === null ? [] : [0, widthMm].map((alongMm) => ({ alongMm, levelMm: 17 - stepMm, offMm: 0.5 }));
  const leaf = {
    kind: 'solid' as const,
    dropSeal: false,
    cutBeforeMm: 0,
    hingeMm: 20,
    latchMm: 20,
    opensDeg: 90,
    airMm: null,
    rugMm: 0,
  };
  const inside = (x: number, y: number) => (x > 0 && x < 4000 && y > 0 && y < 3000 ? { new: 17, used: 17 } : null);
  const judged = judgeOpening(
    CORNERS,
    { opening: newOpening(id, 0, 500, widthMm), beyond, leaf, goesOn: false, grooveMm: null, buildUpMm: 17 },
    inside,
    usualOpeningRules({ gapMm: 3, edgeMm: 2000 }),
  );
  return { roomId: 'r', otherRoomId: null, widthMm, judged };
}

test('a row an opening: step, bar, packing, ramp and what comes off the leaf', () => {
  const rows = ledgerOf([opening('a', 1), opening('b', 4), opening('c', 20), opening('d', null)]);
  expect(rows.map(({ bar, leaf }) => [bar, leaf])).toEqual([
    ['flat', 'trim'],
    ['tilted', 'trim'],
    ['made-ramp', 'trim'],
    ['measure', 'measure'],
  ]);
  expect(rows[0]).toMatchObject({
    stepMm: [1, 1],
    packingMm: [],
    rampMm: null,
    cut: { hingeMm: expect.closeTo(5, 6) },
  });
  expect(rows[1]!.packingMm).toHaveLength(2);
  // 20 mm at a slope of 4 x 3/2000.
  expect(rows[2]!.rampMm).toBeCloseTo(20 / 0.006, 6);
  expect(rows[3]).toMatchObject({ stepMm: null, provisional: true });
});

test('the bars bought add up to their openings, and ramps buy none', () => {
  const rows = ledgerOf([opening('a', 1), opening('b', 1.2, 900), opening('c', 4), opening('d', 20)]);
  const bought = barsToBuy(rows, [900, 1800, 2700]);
  expect(bought.map(({ bar }) => bar)).toEqual(['flat', 'tilted']);
  expect(bought.flatMap(({ plan }) => plan.cuts.flatMap(({ piecesMm }) => piecesMm)).sort()).toEqual([800, 800, 900]);
});

test('what changed is marked: another step, another bar, a new opening; hundredths are not', () => {
  const before = ledgerOf([opening('a', 1), opening('b', 4)]);
  expect(changedRows(before, ledgerOf([opening('a', 1.01), opening('b', 4)]))).toEqual([]);
  expect(changedRows(before, ledgerOf([opening('a', 1.5), opening('b', 4), opening('c', 1)]))).toEqual(['a', 'c']);
  expect(changedRows(before, ledgerOf([opening('a', null), opening('b', 7)]))).toEqual(['a', 'b']);
});
