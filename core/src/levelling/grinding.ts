import { say, type Said } from '../said/index.ts';
import type { FigureOf } from '../figures/index.ts';
import type { Patch } from './patches.ts';

/** What working one high down takes. On timber the same place is sanded or planed. */
interface GrindingTask {
  label: string;
  passes: number;
  hours: number;
  words: Said;
  dust: Said;
}

const SILICA = say('levelling.silica');
const WOOD = say('levelling.wood');

/** Passes and hours of a place to take down: passes = deepest / a pass, hours = litres / rate. */
export function grindingTask(area: Patch, timber: boolean, figure: FigureOf): GrindingTask {
  return {
    label: area.label,
    passes: Math.max(1, Math.ceil(area.deepestMm / figure('grind-pass-mm') - 1e-9)),
    hours: area.volumeL / figure('grind-l-h'),
    words: timber
      ? area.deepestMm > 1.5
        ? say('levelling.planeThenSand')
        : say('levelling.sand')
      : say('levelling.grind'),
    dust: timber ? WOOD : SILICA,
  };
}

/** Steps of felt or card that fill a low under a floating floor over timber, thickest in the middle. */
export function shimSteps(deepestMm: number, sheetMm = 1): number[] {
  const sheets = Math.max(0, Math.floor(deepestMm / sheetMm + 1e-9));
  return Array.from({ length: sheets }, (_, i) => (i + 1) * sheetMm);
}
