import fc from 'fast-check';
import { parallelCut, taperedCut } from './leaf-cut.ts';
import type { LeafClearance } from './leaf.ts';
import { judgeLeaf, USUAL_LEAF, type LeafFacts } from './leaf-verdict.ts';

const clear = (leastMm: number, need: [number, number][] = []): LeafClearance => ({
  leastMm,
  fromHingeMm: 0,
  atDeg: 0,
  closedMm: leastMm,
  closedMeanMm: leastMm,
  bindsDeg: null,
  need: need.map(([fromHingeMm, needMm]) => ({ fromHingeMm, needMm })),
  unknownShare: 0,
});
const leaf = (kind: LeafFacts['kind'], more: Partial<LeafFacts> = {}): LeafFacts => ({
  kind,
  dropSeal: false,
  cutBeforeMm: 0,
  ...more,
});

test('unknown leaves and levels are measured first', () => {
  expect(judgeLeaf(leaf('unknown'), clear(9), 9, 760)).toEqual({ what: 'measure' });
  expect(judgeLeaf(leaf('solid'), null, null, 760)).toEqual({ what: 'measure' });
  expect(judgeLeaf(leaf('solid'), { ...clear(9), unknownShare: 0.2 }, 9, 760)).toEqual({ what: 'measure' });
});

test('a fire leaf is never cut, and its gap holds even where the floor sinks', () => {
  expect(judgeLeaf(leaf('fire'), clear(1, [[700, 1]]), 1, 760)).toMatchObject({
    what: 'stop',
    why: 'fire-need',
    byMm: 1,
  });
  expect(judgeLeaf(leaf('fire', { dropSeal: true }), clear(2.5), 2.5, 760)).toMatchObject({
    what: 'stop',
    why: 'fire-seal',
  });
  expect(judgeLeaf(leaf('fire'), clear(2.5), 2.5, 760, { ...USUAL_LEAF, airMm: 10 })).toMatchObject({ what: 'stop' });
  expect(judgeLeaf(leaf('fire'), clear(4), 4.5, 760)).toMatchObject({ what: 'stop', why: 'fire-gap', byMm: 1.5 });
  expect(judgeLeaf(leaf('fire'), clear(2.5), 2.8, 760)).toEqual({ what: 'nothing' });
});

test('glass, metal and outer leaves are asked about; wood is trimmed as far as it goes', () => {
  const need: [number, number][] = [[571, 2.75]];
  for (const kind of ['glazed', 'metal', 'plastic', 'outside'] as const)
    expect(judgeLeaf(leaf(kind), clear(2.25, need), null, 760)).toMatchObject({ what: 'stop', why: 'not-cut' });
  expect(judgeLeaf(leaf('solid'), clear(2.25, need), null, 760)).toMatchObject({
    what: 'trim',
    parallel: { hingeMm: 2.75, latchMm: 2.75 },
  });
  expect(judgeLeaf(leaf('hollow', { cutBeforeMm: 8 }), clear(2.25, need), null, 760)).toMatchObject({
    what: 'stop',
    why: 'past-trim',
    byMm: 0.75,
  });
  expect(judgeLeaf(leaf('solid', { cutBeforeMm: 8 }), clear(2.25, need), null, 760).what).toBe('trim');
  expect(judgeLeaf(leaf('solid'), clear(6), null, 760)).toEqual({ what: 'nothing' });
});

test('air asked under a closed leaf is cut for, though the leaf swings free', () => {
  const asked = judgeLeaf(
    leaf('solid'),
    clear(6, [
      [0, 0],
      [760, 0],
    ]),
    null,
    760,
    { ...USUAL_LEAF, airMm: 10 },
  );
  expect(asked).toMatchObject({ what: 'trim', parallel: { hingeMm: 4, latchMm: 4 } });
});

test('a cut that is asked for at the latch alone tapers to nothing at the hinge', () => {
  const need: [number, number][] = [
    [0, 0],
    [380, 2],
    [760, 8],
  ];
  expect(taperedCut(clear(0, need).need, 760)).toEqual({ hingeMm: 0, latchMm: 8 });
  expect(judgeLeaf(leaf('solid'), clear(0, need), null, 760)).toMatchObject({ tapered: { hingeMm: 0, latchMm: 8 } });
  // Little more at one end than at the other is not worth setting up.
  expect(
    judgeLeaf(
      leaf('solid'),
      clear(0, [
        [0, 3],
        [760, 5],
      ]),
      null,
      760,
    ),
  ).toMatchObject({ tapered: null });
});

test('a tapered cut covers all that is missing, takes no wood where there is none to take, and least on the whole', () => {
  const point = fc.record({
    fromHingeMm: fc.integer({ min: 0, max: 760 }),
    needMm: fc.double({ min: 0, max: 12, noNaN: true }),
  });
  fc.assert(
    fc.property(fc.array(point, { minLength: 1, maxLength: 12 }), (need) => {
      const cut = taperedCut(need, 760);
      const at = (r: number, { hingeMm, latchMm }: typeof cut) => hingeMm + ((latchMm - hingeMm) * r) / 760;
      for (const { fromHingeMm, needMm } of need) expect(at(fromHingeMm, cut)).toBeGreaterThanOrEqual(needMm - 1e-9);
      expect(Math.min(cut.hingeMm, cut.latchMm)).toBeGreaterThanOrEqual(-1e-9);
      // Every straight cut through two of the points, or through one and an end, that covers them all takes off as much or more.
      const ends = [...need, { fromHingeMm: 0, needMm: 0 }, { fromHingeMm: 760, needMm: 0 }];
      for (const a of ends)
        for (const b of ends) {
          if (a.fromHingeMm === b.fromHingeMm) continue;
          const slope = (b.needMm - a.needMm) / (b.fromHingeMm - a.fromHingeMm);
          const other = {
            hingeMm: a.needMm - slope * a.fromHingeMm,
            latchMm: a.needMm + slope * (760 - a.fromHingeMm),
          };
          const covers = ends.every(({ fromHingeMm, needMm }) => at(fromHingeMm, other) >= needMm - 1e-9);
          if (covers) expect(at(380, cut)).toBeLessThanOrEqual(at(380, other) + 1e-6);
        }
      expect(at(380, cut)).toBeLessThanOrEqual(parallelCut(need).hingeMm + 1e-9);
    }),
  );
});
