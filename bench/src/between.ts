import loadHighs from 'highs';
import { type Certificate, highsModels, mixedChange, smallestFill } from '@maquette/core/levelling';
import { bruteWorst } from '../../core/src/flat/invented-search.ts';
import { floorOf, INVENTED_FLOORS, type InventedFloor } from './floors.ts';

const RULE = { gapMm: 3, edgeMm: 2000 };
const RATES = { fillPerL: 3, grindPerL: 10, touchPerM2: 3 };
const DIRECTIONS = 144;
const PHASES = [0, 0.27, 0.5, 0.77];

/** Fourteen invented floors levelled, and what an edge laid by plain search between the certificate's lines then finds. */
const open = highsModels(await loadHighs());
const only = process.argv[2] ?? '';
const over: number[] = [];

for (const floor of INVENTED_FLOORS.filter(({ name }) => name.includes(only))) {
  console.log(floor.name);
  for (const grindMm of [0, 3]) console.log(`  ${grindMm === 0 ? 'fill' : 'mix'}: ${tried(floor, grindMm)}`);
}
const within = (mm: number) => over.filter((by) => by <= mm).length;
console.log(
  `${within(0.05)} of ${over.length} plans within 0.05 mm of the rule by plain search, ${within(0.1)} within 0.1 mm`,
);

function tried(floor: InventedFloor, grindMm: number): string {
  const { grid, heights } = floorOf(floor);
  const cells = grid.inside.length;
  const limits = { fillMm: new Float64Array(cells).fill(Infinity), grindMm: new Float64Array(cells).fill(grindMm) };
  const started = performance.now();
  const made = mixedChange(grid, heights, [RULE], RATES, limits, { open, contactsOnly: false, pace: 'live' })!;
  const seconds = (performance.now() - started) / 1000;
  const after = heights.map((z, cell) => z + made.fillMm[cell]! - made.grindMm[cell]!);
  const seen = PHASES.map((phase) => bruteWorst(grid, after, RULE.edgeMm, DIRECTIONS, phase));
  const [gapMm, crownMm] = [Math.max(...seen.map((s) => s.gapMm)), Math.max(...seen.map((s) => s.crownMm))];
  over.push(Math.max(gapMm, crownMm) - RULE.gapMm);
  const { between } = made.certificates[0] as Certificate;
  const fillL = smallestFill(grid, heights, [RULE], { rocking: true }).fillMm.reduce((sum, f) => sum + f, 0);
  return [
    `${seconds.toFixed(1)} s`,
    `gap ${gapMm.toFixed(3)}, rocking ${crownMm.toFixed(3)}`,
    `said ${Math.max(between.worstGapMm, between.worstCrownMm).toFixed(3)} after ${between.passes} looks`,
    made.holds ? 'holds' : 'DOES NOT HOLD',
    `cost ${made.linearCost.toFixed(2)}, filled by cells alone ${(fillL * grid.cellAreaM2 * 4).toFixed(2)}`,
  ].join(' | ');
}
