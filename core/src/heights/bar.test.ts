import {
  accessAt,
  capReachMm,
  chooseBar,
  underAccess,
  USUAL_ACCESS,
  USUAL_BAR_LIMITS,
  type OpeningStep,
} from './bar.ts';
import { placesAlong, stepProfile } from './step-profile.ts';

/** An opening of 900 mm whose step runs from one figure to another, the floor lived on a little lower. */
function opening(fromMm: number, toMm: number, more: Partial<OpeningStep> = {}): OpeningStep {
  const profile = (by: number) =>
    stepProfile(
      placesAlong(900).map((alongMm) => ({ alongMm, stepMm: fromMm + ((toMm - fromMm) * alongMm) / 900 - by })),
      900,
    );
  return {
    profiles: { new: profile(0), used: profile(0.2) },
    offMm: 0.4,
    stairEdge: false,
    carpetBeyond: false,
    goesOn: false,
    bearingMm: 38,
    ...more,
  };
}

test('the bar follows the step: flat, tilted, reducer, ramp; each says what else serves', () => {
  expect(chooseBar(opening(1, 1.3))).toMatchObject({ kind: 'flat', others: ['ramp-bar', 'reducer'] });
  expect(chooseBar(opening(3, 4.2))).toMatchObject({ kind: 'tilted', worstMm: 4.2, age: 'new', nearLimitMm: null });
  expect(chooseBar(opening(7, 9))).toMatchObject({ kind: 'reducer', others: ['made-ramp'], lessByMm: 3 });
  expect(chooseBar(opening(16, 20))).toMatchObject({ kind: 'made-ramp', others: [], lessByMm: 5 });
});

test('the same floor runs through where nothing asks for a break and the step is half a millimetre at most', () => {
  expect(chooseBar(opening(0.1, 0.3, { goesOn: true })).kind).toBe('run-through');
  expect(chooseBar(opening(0.1, 0.3)).kind).toBe('flat');
});

test('a stair has its nosing; unknown levels are measured; a step both ways is made good first', () => {
  expect(chooseBar(opening(40, 40, { stairEdge: true })).kind).toBe('nosing');
  expect(chooseBar(opening(1, 1, { profiles: null })).kind).toBe('measure');
  expect(chooseBar(opening(-3, 3.5))).toMatchObject({ kind: 'make-good', nearLimitMm: null });
  // Within what the readings may be off it may not be so: one more decides.
  expect(chooseBar(opening(-2.3, 3.5))).toMatchObject({ kind: 'make-good', nearLimitMm: 2 });
});

test('carpet beyond takes gripper and carpet bar up to its limit, less where access rules apply', () => {
  expect(chooseBar(opening(12, 14, { carpetBeyond: true })).kind).toBe('carpet-bar');
  const access = underAccess(USUAL_BAR_LIMITS, USUAL_ACCESS);
  expect(chooseBar(opening(12, 14, { carpetBeyond: true }), access).kind).toBe('made-ramp');
  expect(chooseBar(opening(12, 14), access).kind).toBe('made-ramp');
});

test('a short bearing would tilt too far, and a wavy step rocks a tilted bar: a ramp bar then', () => {
  expect(chooseBar(opening(5, 5, { bearingMm: 25 })).kind).toBe('ramp-bar');
  const wavy = opening(3, 3);
  const profile = stepProfile(
    placesAlong(900).map((alongMm, k) => ({ alongMm, stepMm: k % 2 ? 5.4 : 3 })),
    900,
  );
  expect(chooseBar({ ...wavy, profiles: { new: profile, used: profile } }).kind).toBe('ramp-bar');
});

test('a limit within what the step may be off asks for one more reading', () => {
  expect(chooseBar(opening(5.8, 5.8)).nearLimitMm).toBe(6);
  expect(chooseBar(opening(5.8, 5.8, { offMm: 0.1 })).nearLimitMm).toBeNull();
});

test('where the floor has settled below the one beyond, the larger step of the two ages decides', () => {
  expect(chooseBar(opening(-5.9, -5.9))).toMatchObject({ kind: 'reducer', age: 'used' });
});

test('access rules judge the bar’s top over the lower floor; a cap reaches past its track by the gap and 5 mm', () => {
  expect(accessAt(6, USUAL_ACCESS)).toEqual({ shape: 'upright', lengthMm: 0 });
  expect(accessAt(9, USUAL_ACCESS)).toEqual({ shape: 'bevelled', lengthMm: 18 });
  expect(accessAt(15, USUAL_ACCESS)).toEqual({ shape: 'ramp', lengthMm: 180 });
  expect(capReachMm(8)).toBe(13);
});
