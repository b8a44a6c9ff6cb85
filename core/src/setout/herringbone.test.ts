import { regionAreaM2, regionOf } from '../room/index.ts';
import { herringboneAt, laidStaves, planHerringbone, stavesFor, tipBesideMm, type LaidStave } from './herringbone.ts';
import { boxAt, outline } from './invented-floors.ts';

const STAVE = { lengthMm: 600, widthMm: 120, kerfMm: 3 };

test('staves cover the floor once, whatever its shape and the pattern’s place', () => {
  const l = regionOf(outline([0, 0], [4000, 0], [4000, 1800], [2200, 1800], [2200, 3000], [0, 3000]));
  for (const [offset, tip] of [
    [0, 0],
    [57, 1333],
    [-400, 90],
  ] as const) {
    const staves = laidStaves(l, STAVE, offset, tip);
    const sum = staves.reduce((all, { part }) => all + regionAreaM2([part]), 0);
    expect(sum).toBeGreaterThan(regionAreaM2(l) - 0.02);
    expect(sum).toBeLessThanOrEqual(regionAreaM2(l) + 1e-3);
    // As many of the one hand as of the other, but for the edges.
    const whole = (hand: string) => staves.filter((one) => one.hand === hand && one.isWhole).length;
    expect(Math.abs(whole('left') - whole('right'))).toBeLessThan(14);
  }
});

test('the line through the tips lies w over two root two beside the middle', () => {
  expect(tipBesideMm(120)).toBeCloseTo(42.43, 2);
});

test('two cut pieces share a stave if they keep different ends, are cut alike, and fit', () => {
  const piece = (keeps: 'near' | 'far', centreMm: number, cutSlope = 1): LaidStave => ({
    hand: 'left',
    part: [],
    isWhole: false,
    centreMm,
    keeps,
    cutSlope,
  });
  expect(stavesFor([piece('near', 300), piece('far', 290)], STAVE)).toBe(1);
  // 600 less a cut of 3 at 45 degrees: 4.24 is lost.
  expect(stavesFor([piece('near', 300), piece('far', 296)], STAVE)).toBe(2);
  expect(stavesFor([piece('near', 300), piece('near', 200)], STAVE)).toBe(2);
  expect(stavesFor([piece('near', 300), piece('far', 200, 0)], STAVE)).toBe(2);
});

test('a room of 20 m² in staves of 600 x 120: under 9 % beyond what is laid', () => {
  const region = regionOf(boxAt(0, 0, 5000, 4000));
  const plan = planHerringbone(region, STAVE, 2000)!;
  const { left, right } = plan.bought;
  expect(left.whole + right.whole).toBeGreaterThan(200);
  expect(left.whole + left.cut + right.whole + right.cut).toBeGreaterThanOrEqual(Math.ceil(20 / (0.6 * 0.12)));
  expect(plan.waste).toBeLessThan(0.09);
  const other = herringboneAt(region, STAVE, plan.offsetMm + 40, 2000)!;
  expect(other.bought.left.whole + other.bought.left.cut).toBeGreaterThan(100);
});
