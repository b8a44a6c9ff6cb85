import { cutWhole, planPanels, planRolls, stripsOf, type PanelMake, type RollMake } from '@maquette/core/under';
import { fieldOf, inventedFloor, inventedFloors } from '../../core/src/under/invented-floors.ts';

/*
 * Under the planks: panels over twenty invented rooms, rolls over thirty invented jobs, held against what their areas take and against
 * the plain way. Times in seconds on one thread.
 */
const ROOMS = 20;
const JOBS = 30;
/** A base of panels: seams every 1220 mm along, ends every 2440 mm, half a sheet on in every other row. */
const base = (() => {
  const alongMm = Array.from({ length: 6 }, (_, k) => 610 + 1220 * k);
  const acrossMm = alongMm.flatMap((to, row) =>
    Array.from({ length: 4 }, (_, k) => ({ atMm: 700 + (row % 2) * 1220 + 2440 * k, fromMm: to - 1220, toMm: to })),
  );
  return { alongMm, acrossMm };
})();

for (const make of [
  { lengthMm: 2440, widthMm: 1220, gapMm: 1.5 },
  { lengthMm: 1220, widthMm: 1220, gapMm: 1.5 },
  { lengthMm: 1220, widthMm: 610, gapMm: 1.5 },
] satisfies PanelMake[]) {
  let [sheets, least, plain, breaking, plainBreaking, worstS, allS] = [0, 0, 0, 0, 0, 0, 0];
  for (let seed = 1; seed <= ROOMS; seed++) {
    const field = fieldOf(inventedFloor(seed));
    const began = performance.now();
    const plan = planPanels(field, make, base, { seed });
    const seconds = (performance.now() - began) / 1000;
    allS += seconds;
    worstS = Math.max(worstS, seconds);
    const half = planPanels(field, make, base, { trials: 0 });
    sheets += plan.sheets.length;
    least += plan.leastSheets;
    plain += half.sheets.length;
    if (plan.layout.breaks.length > 0) breaking++;
    if (half.layout.breaks.length > 0) plainBreaking++;
  }
  console.log(
    `${make.lengthMm} x ${make.widthMm}: ${sheets} sheets, ${((100 * sheets) / least - 100).toFixed(1)} % over the bound of ${least}; plain way ${plain}; rooms that break a rule ${breaking} (plain ${plainBreaking}); ${(allS / ROOMS).toFixed(2)} s, worst ${worstS.toFixed(2)}`,
  );
}

for (const [make, isJoined] of [
  [{ widthMm: 1000, lengthMm: 15_000, lapMm: 0, edgeMm: -8 }, false],
  [{ widthMm: 1000, lengthMm: 15_000, lapMm: 0, edgeMm: -8 }, true],
  [{ widthMm: 1200, lengthMm: 10_000, lapMm: 0, edgeMm: -8 }, false],
  [{ widthMm: 1200, lengthMm: 10_000, lapMm: 0, edgeMm: -8 }, true],
] satisfies [RollMake, boolean][]) {
  let [rolls, least, plain, worse, worstS, allS] = [0, 0, 0, 0, 0, 0];
  for (let seed = 1; seed <= JOBS; seed++) {
    const floors = inventedFloors(seed);
    const began = performance.now();
    const plan = planRolls(floors, make, { schools: { lie: 'either', isJoined } });
    const seconds = (performance.now() - began) / 1000;
    allS += seconds;
    worstS = Math.max(worstS, seconds);
    const byHand = floors.reduce(
      (sum, floor) =>
        sum +
        cutWhole(stripsOf(floor, make, { direction: floor.planks === 'x' ? 'y' : 'x' }).strips, make).rolls.length,
      0,
    );
    rolls += plan.plan.rolls.length;
    least += plan.leastRolls;
    plain += byHand;
    if (plan.plan.rolls.length > byHand) worse++;
  }
  console.log(
    `${make.widthMm / 1000} x ${make.lengthMm / 1000} m${isJoined ? ', joined' : ''}: ${rolls} rolls, ${((100 * rolls) / least - 100).toFixed(1)} % over the bound of ${least}; room by room ${plain}, worse than that on ${worse}; ${(allS / JOBS).toFixed(2)} s, worst ${worstS.toFixed(2)}`,
  );
}
