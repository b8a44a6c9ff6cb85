import fc from 'fast-check';
import { fixingLength, fixingsOfRectangle, fixingsOfShape } from './fixings.ts';
import { PITCHES } from './pitches.ts';

const { '75/150': USUAL_PITCH, '50/100': CLOSE_PITCH } = PITCHES.metric;

const rectangle = (a: number, b: number) => [
  { xMm: 0, yMm: 0 },
  { xMm: a, yMm: 0 },
  { xMm: a, yMm: b },
  { xMm: 0, yMm: b },
];

test('fixings of a whole sheet and of a piece, by both schools', () => {
  expect(fixingsOfRectangle(1220, 2440, USUAL_PITCH)).toEqual({ edge: 98, field: 112, all: 210 });
  expect(fixingsOfRectangle(1220, 2440, CLOSE_PITCH).all).toBe(410);
  expect(fixingsOfRectangle(600, 1000, USUAL_PITCH).all).toBe(62);
});

test('a shape counts its sides one by one, and its field where that lies half a pitch inside', () => {
  expect(fixingsOfShape(rectangle(1000, 600), USUAL_PITCH).edge).toBe(fixingsOfRectangle(1000, 600, USUAL_PITCH).edge);
  // A notch of 400 x 300 takes a corner: six sides of 1000 600 600 300 400 300.
  const notched = [
    { xMm: 0, yMm: 0 },
    { xMm: 1000, yMm: 0 },
    { xMm: 1000, yMm: 300 },
    { xMm: 600, yMm: 300 },
    { xMm: 600, yMm: 600 },
    { xMm: 0, yMm: 600 },
  ];
  expect(fixingsOfShape(notched, USUAL_PITCH).edge).toBe(14 + 4 + 6 + 4 + 8 + 8);
  expect(fixingsOfShape(notched, USUAL_PITCH).field).toBeLessThan(fixingsOfRectangle(1000, 600, USUAL_PITCH).field);
});

test('in feet and inches fixings are sold by the eighth, and stand in round inches', () => {
  const hidden = { isLocated: false, isHeated: false };
  expect(fixingLength(6.35, 19.05, hidden, 'imperial').lengthMm! / 25.4).toBeCloseTo(3 / 4, 9);
  const { edgeMm, fieldMm, insetMm } = PITCHES.imperial['75/150'];
  [edgeMm, fieldMm, insetMm].forEach((mm, k) => expect(mm / 25.4).toBeCloseTo([3, 6, 0.375][k]!, 9));
});

test('fixings are three times the panel, and stay inside the base', () => {
  const hidden = { isLocated: false, isHeated: false };
  expect(fixingLength(6, 18, hidden)).toEqual({ lengthMm: 20, why: null });
  expect(fixingLength(9, 15, hidden)).toEqual({ lengthMm: null, why: 'services' });
  expect(fixingLength(6, null, hidden)).toEqual({ lengthMm: null, why: 'measure' });
  // Where nothing beneath can be hit they may come through, over heating never.
  expect(fixingLength(9, 15, { isLocated: true, isHeated: false })).toEqual({ lengthMm: 30, why: null });
  expect(fixingLength(9, 15, { isLocated: true, isHeated: true })).toEqual({ lengthMm: null, why: 'none' });
});

test('property: a piece never takes fewer fixings than a smaller one', () => {
  const side = fc.integer({ min: 100, max: 2400 });
  fc.assert(
    fc.property(side, side, fc.integer({ min: 0, max: 300 }), (a, b, more) => {
      expect(fixingsOfRectangle(a + more, b, USUAL_PITCH).all).toBeGreaterThanOrEqual(
        fixingsOfRectangle(a, b, USUAL_PITCH).all,
      );
    }),
  );
});
