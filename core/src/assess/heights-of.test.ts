import fc from 'fast-check';
import { newLayer } from '../layers/index.ts';
import { newFixture } from '../room/index.ts';
import { ON_ASKING, usualBuildUp } from '../heights/index.ts';
import { heightsAfter } from './heights-room.ts';
import { readRoom, staffLevel, withLevels } from './invented-cottage.ts';
import type { RoomSet } from './room-set.ts';

const AT = '2026-05-05T08:00:00.000Z';
const LATER = '2026-05-04T15:00:00.000Z';
const level = () => 0;

const opening = (set: RoomSet) => heightsAfter(set, AT, null).judged.openings[0]!;
const meanStep = (set: RoomSet) => opening(set).step!.profiles.new.meanMm;

test('finished level here is the map and the build-up; the step is that less what lies beyond', () => {
  const set = withLevels(readRoom('a', level), 3);
  // Click vinyl of 5 mm with a pad of its own, on a film of 0.2.
  expect(heightsAfter(set, AT, null).addsMm.new).toBeCloseTo(5.2, 9);
  expect(meanStep(set)).toBeCloseTo(2.2, 1);
  expect(opening(set).bar.kind).toBe('tilted');
});

test('property: raising the build-up by d raises the floor by d everywhere and moves every step by d', () => {
  const set = withLevels(
    readRoom('a', (x, y) => x - y),
    2,
    4,
  );
  const usual = { ...usualBuildUp(set.card), id: 'b' };
  const at = (panelMm: number) => opening({ ...set, buildUps: [{ ...usual, panelMm }] });
  const before = at(0);
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 30, noNaN: true }), (d) => {
      const after = at(d);
      after.here.forEach(({ levelMm }, k) => expect(levelMm! - before.here[k]!.levelMm!).toBeCloseTo(d, 9));
      for (const age of ['new', 'used'] as const)
        after.step!.profiles[age].at.forEach(({ stepMm }, k) =>
          expect(stepMm - before.step!.profiles[age].at[k]!.stepMm).toBeCloseTo(d, 9),
        );
    }),
    { numRuns: 12 },
  );
});

describe('an old floor', () => {
  const carpet = newLayer('carpet', 'carpet', { thicknessMm: 9, year: 2015, yearOf: 'layer' });
  const chosen = (choice: 'keep' | 'remove') => ({ id: 'c', layerId: 'carpet', choice, note: '' });
  const taped = { of: 'beyond', readBy: 'tape', setupId: null, rodMm: null, takenAt: AT, note: '' } as const;
  const over = (overMm: number, lyingMm: number, datumMm: number | null) =>
    [0, 800].map((alongMm, k) => ({ id: `t${k}`, ...taped, aboutId: 'a-door', alongMm, overMm, lyingMm, datumMm }));

  test('what was taped over it stands where it stood when it is taken up, chosen otherwise, or corrected', () => {
    // Read on the bare floor, once the carpet was up; taped before, 2 mm over 9 of carpet.
    const up = { id: 't', key: 'layer/carpet', doneAt: '2026-05-04T09:00:00.000Z', note: '' };
    const beyond = (facts: Partial<RoomSet>) => {
      const set = { ...readRoom('a', level), layers: [carpet], ticks: [up], levels: over(2, 9, null), ...facts };
      const judged = opening(set);
      return judged.here[0]!.levelMm! - judged.step!.profiles.new.at[0]!.stepMm;
    };
    expect(beyond({})).toBeCloseTo(11, 1);
    expect(beyond({ layerChoices: [chosen('keep')] })).toBeCloseTo(11, 1);
    // A level that was turned into the datum moves with nothing at all, whatever becomes of the layers.
    const kept = (layers: RoomSet['layers'], ticks: RoomSet['ticks']) =>
      beyond({ levels: over(2, 9, 10.7), layers, ticks });
    expect(kept([carpet], [up])).toBeCloseTo(10.7, 9);
    expect(kept([{ ...carpet, thicknessMm: 30 }], [])).toBeCloseTo(10.7, 9);
    expect(kept([], [])).toBeCloseTo(10.7, 9);
  });

  test('read on a floor that goes, the surface that stays lies lower by it, and is less sure', () => {
    const set = { ...withLevels(readRoom('a', level), 0), layers: [carpet], layerChoices: [chosen('remove')] };
    expect(opening(set).here[0]!.levelMm).toBeCloseTo(5.2 - 9, 1);
    expect(heightsAfter(set, AT, null).overOldFloor).toBe(true);
    expect(opening(set).step!.offMm).toBeGreaterThan(2);
    // Once it is up and read again nothing is reckoned any more.
    const ticks = [{ id: 't', key: 'layer/carpet', doneAt: '2026-05-04T09:00:00.000Z', note: '' }];
    expect(opening({ ...set, ticks }).here[0]!.levelMm).toBeCloseTo(5.2, 1);
  });
});

test('with levelling the heights stand on what it leaves: a fill of so much, or a pour to one level', () => {
  const set = withLevels(
    readRoom('a', (x) => x),
    0,
  );
  const cells = 200 * 200;
  const fill = { fillMm: new Float64Array(cells).fill(4), grindMm: new Float64Array(cells).fill(1) };
  const here = (change: Parameters<typeof heightsAfter>[2]) => heightsAfter(set, AT, change).judged.openings[0]!.here;
  const before = here(null);
  here(fill).forEach(({ levelMm }, k) => expect(levelMm! - before[k]!.levelMm!).toBeCloseTo(3, 9));
  here({ levelMm: 12 }).forEach(({ levelMm }) => expect(levelMm).toBeCloseTo(12 + 5.2, 9));
});

test('a floor that is not read asks for nothing but its levels, and says so', () => {
  const bare = { ...readRoom('a', level), readings: [], setups: [] };
  const heights = heightsAfter(bare, AT, null);
  expect(heights.isRead).toBe(false);
  expect(heights.judged.openings[0]!.bar.kind).toBe('measure');
  expect(heights.places.filter(({ of }) => !ON_ASKING.includes(of)).map(({ of, bareMm }) => [of, bareMm])).toEqual([
    ['beyond', null],
    ['beyond', null],
    ['leaf', null],
    ['leaf', null],
  ]);
});

test('a flight: what the floor rises here lengthens or shortens its last riser', () => {
  const stair = { kind: 'stair', beyond: 'stair' } as const;
  const set = readRoom('a', level, { opening: stair });
  const flight = (leads: 'down' | 'up') => ({
    id: 'f',
    openingId: 'a-door',
    risersMm: [190, 190, 190],
    leads,
    otherMm: 0,
    treadMm: 0,
    note: '',
  });
  const risers = (leads: 'down' | 'up') =>
    heightsAfter({ ...set, flights: [flight(leads)] }, AT, null).stairs[0]!.after.risersMm;
  expect(risers('down').map((mm) => Math.round(mm * 10) / 10)).toEqual([190, 190, 195.2]);
  expect(risers('up').map((mm) => Math.round(mm * 10) / 10)).toEqual([184.8, 190, 190]);
});

test('a machine that stands walled in by a cabinet has no way out; without it it leaves by the door', () => {
  const washer = newFixture('w', 'appliance', { xMm: 3600, yMm: 310 }, 0);
  const wall = { ...newFixture('c', 'cabinet', { xMm: 3000, yMm: 1500 }, 90), widthMm: 3000, depthMm: 100 };
  const way = (fixtures: (typeof wall)[]) =>
    heightsAfter(readRoom('a', level, { room: { fixtures } }), AT, null).waysOut.find(
      ({ fixtureId }) => fixtureId === 'w',
    )!.way;
  expect(way([washer])).toMatchObject({ found: true, exitId: 'a-door' });
  expect(way([washer, wall])).toMatchObject({ found: false, why: 'blocked' });
});

test('skirting is judged wall by wall: a board that covers the gap goes back, a thin one takes a bead', () => {
  const set = readRoom('a', level);
  const skirtings = [{ id: 's', wall: 1, boardMm: 10, fit: 'refit' as const, waver: [], note: '' }];
  const [door, thin] = heightsAfter({ ...set, skirtings }, AT, null).skirting;
  // 8 mm of gap, 2 of drift and 3 of cover: 15 mm covers 13, 10 mm needs a bead.
  // 4 m less a door of 800 mm and an architrave of 60 mm on either side of it.
  expect(door).toMatchObject({ assumed: true, verdict: { what: 'refit' }, piecesMm: [940, 2140], lengthMm: 3080 });
  expect(thin).toMatchObject({ assumed: false, verdict: { what: 'bead', beadMm: 10 }, lengthMm: 3000 });
});

test('a board that goes down with the floor leaves old wall to be seen, and an outside door is sealed along its sill', () => {
  const carpet = newLayer('carpet', 'carpet', { thicknessMm: 9, year: 2015, yearOf: 'layer' });
  const gone = {
    layers: [carpet],
    layerChoices: [{ id: 'c', layerId: 'carpet', choice: 'remove' as const, note: '' }],
  };
  const set = readRoom('a', level, { opening: { beyond: 'outside' } });
  const of = (more: Partial<RoomSet>) => heightsAfter({ ...set, ...more }, AT, null);
  // 5.2 mm are laid; where 9 mm of carpet come up the floor ends 3.8 lower than it lies today.
  for (const { riseMm } of of({}).skirting) expect(riseMm).toBeCloseTo(5.2, 9);
  for (const { riseMm } of of(gone).skirting) expect(riseMm).toBeCloseTo(-3.8, 9);
  expect(of({}).sealantMm).toBe(800);
  const leaf = {
    openingId: 'a-door',
    kind: 'metal',
    dropSeal: false,
    cutBeforeMm: 0,
    opensDeg: 90,
    airMm: null,
    rugMm: 0,
  } as const;
  // Two feet of a frame that planks are scribed to, 150 mm round each.
  expect(of({ leaves: [{ id: 'l', ...leaf, frame: 'metal', note: '' }] }).sealantMm).toBe(800 + 300);
});

test('feet of a wooden frame are sawn level with the new floor and some air, over what lies there today', () => {
  const carpet = newLayer('carpet', 'carpet', { thicknessMm: 9, year: 2015, yearOf: 'layer' });
  const leaf = {
    kind: 'hollow',
    dropSeal: false,
    cutBeforeMm: 0,
    opensDeg: 90,
    airMm: null,
    rugMm: 0,
    note: '',
  } as const;
  const frame = (of: 'wood' | 'metal') => ({ id: 'l', openingId: 'a-door', ...leaf, frame: of });
  const set = {
    ...readRoom('a', level),
    layers: [carpet],
    layerChoices: [{ id: 'c', layerId: 'carpet', choice: 'remove' as const, note: '' }],
  };
  const [first] = heightsAfter({ ...set, leaves: [frame('wood')] }, AT, null).undercuts;
  // 5.2 of floor and 0.5 of air over the bare base; the carpet that still lies is 9 mm thick: the saw waits until it is up.
  expect(first).toMatchObject({ treatment: 'saw', side: 'here' });
  expect(first!.cut!.overBaseMm).toBeCloseTo(5.7, 1);
  expect(first!.cut!.overLyingMm).toBeCloseTo(5.7 - 9, 1);
  expect(heightsAfter({ ...set, leaves: [frame('metal')] }, AT, null).undercuts[0]!.treatment).toBe('scribe');
});

test('where access rules apply the country’s own hold the bar’s top, and a figure of the job stands before them', () => {
  const answers = [{ id: 'q', question: 'heights/access', answer: 'yes', note: '' }];
  const country = { country: 'GB', asbestosFrom: null, leadFrom: null };
  // 7 mm of step and 3 mm of cap: 10 mm over the lower floor.
  const set = { ...withLevels(readRoom('a', level), -1.8), answers };
  const access = (more: Partial<RoomSet>) => opening({ ...set, ...more }).access;
  expect(opening(withLevels(readRoom('a', level), -1.8)).access).toBeNull();
  expect(access({})).toMatchObject({ shape: 'bevelled' });
  expect(access({ country })).toMatchObject({ shape: 'bevelled' });
  const figures = [{ name: 'access-bevel-mm', value: 8, source: '' }];
  expect(access({ country, figures })).toMatchObject({ shape: 'ramp' });
});

test('a level read twice counts as the mean, is surer, and decides what was near a limit', () => {
  const set = readRoom('a', level);
  const levels = [3.1, 3.3].flatMap((mm) => [
    staffLevel(set, 'beyond', 'a-door', 0, mm, LATER),
    staffLevel(set, 'beyond', 'a-door', 800, mm, LATER),
  ]);
  const once = opening({ ...set, levels: levels.slice(0, 2) });
  const twice = opening({ ...set, levels });
  expect([once.again, twice.again]).toEqual([true, false]);
  expect(twice.step!.offMm).toBeLessThan(once.step!.offMm);
  expect(meanStep({ ...set, levels })).toBeCloseTo(2, 1);
});
