import { bayRoom } from './bay.ts';
import { gapBeneath, gapsAtWall, judgeSkirting } from './skirting.ts';
import { frameTreatment, undercut } from './undercut.ts';

test('a frame is sawn half a millimetre over the highest floor in its footprint, told over both surfaces', () => {
  expect(undercut([17.1, 17.6, 17.3], 0.4, 6.4)).toEqual({
    levelMm: 18.1,
    overBaseMm: expect.closeTo(17.7, 9),
    overLyingMm: expect.closeTo(11.7, 9),
  });
  expect(undercut([], 0, 0)).toBeNull();
  expect(['wood', 'metal', 'stone', 'fire', 'unknown'].map((kind) => frameTreatment(kind as 'wood'))).toEqual([
    'saw',
    'scribe',
    'scribe',
    'scribe',
    'measure',
  ]);
});

test('a machine gets over the lip at its bay’s edge, floored or not', () => {
  const floored = bayRoom([872, 870, 871], { inBayMm: [17], onEdgeMm: [17.2] }, 845);
  expect(floored).toEqual({ headroomMm: expect.closeTo(852.8, 9), wantedMm: 848, spareMm: expect.closeTo(4.8, 9) });
  const unfloored = bayRoom([870], { inBayMm: [0], onEdgeMm: [17.2] }, 845);
  expect(unfloored.spareMm).toBeCloseTo(floored.spareMm, 9);
  expect(bayRoom([870], { inBayMm: [24], onEdgeMm: [22] }, 845).spareMm).toBeCloseTo(-2, 9);
});

test('the gap at a crooked wall is the perimeter gap where it comes in, and grows where it stands back', () => {
  const wall = [0, 3, -2].map((intoRoomMm, k) => ({ alongMm: 500 * k, intoRoomMm }));
  const gaps = gapsAtWall(wall, 8);
  expect(gaps.map(({ gapMm }) => gapMm)).toEqual([11, 8, 13]);
  // 13 and 2 of drift have to stay 3 within the board: 18 mm just do.
  expect(judgeSkirting(gaps, 18, [])).toEqual({ what: 'refit', spareMm: 0 });
  expect(judgeSkirting(gaps, 14, [14, 6, 3])).toEqual({ what: 'bead', beadMm: 6, spareMm: 2 });
  expect(judgeSkirting(gaps, 9, [6])).toEqual({ what: 'scribe', shortMm: 3 });
});

test('under a straight board laid along a wall the largest gap is found, and a short board follows the floor', () => {
  expect(gapBeneath([0, -4, 0], 500, 1000)).toBe(4);
  expect(gapBeneath([0, 3, 0], 500, 1000)).toBe(0);
  expect(gapBeneath([0, -1, -2, -1, 0], 500, 1000)).toBeCloseTo(1, 9);
  expect(gapBeneath([0, -1, -2, -1, 0], 500, 2000)).toBeCloseTo(2, 9);
});
