import { cellCentre } from '../flat/index.ts';
import type { LevellingJob } from './job.ts';
import { LIMIT_WORDS } from './job.ts';
import type { Refusal } from './refusal.ts';

/** Panels over the whole floor: what that takes, and why it cannot be done. */
export interface PanelWay {
  areaM2: number;
  cost: number;
  hours: number;
  riseMm: number;
  refusal: Refusal | null;
}

/** What a panel is to levelling: how far it lifts the floor, mm, and what a m² of it costs. */
export interface PanelStuff {
  thicknessMm: number;
  costM2: number;
}

/** The panel a job reckons with while none is chosen. */
export const usualPanel = ({ figure }: Pick<LevellingJob, 'figure'>): PanelStuff => ({
  thicknessMm: figure('panel-mm'),
  costM2: figure('panel-cost-m2'),
});

/** Panels over a whole floor of timber; null where the base is none. They bridge short spans and cure no long low. */
export function panelOver(job: LevellingJob, { thicknessMm, costM2 }: PanelStuff): PanelWay | null {
  const { grid, figure, timber } = job;
  if (!timber) return null;
  const areaM2 = grid.cellAreaM2 * grid.inside.reduce((sum, on) => sum + on, 0);
  const hours = areaM2 * figure('panel-h-m2');
  return {
    areaM2,
    cost: areaM2 * costM2 + hours * figure('labour-h'),
    hours,
    riseMm: thicknessMm,
    refusal: panelRefusal(job, thicknessMm),
  };
}

/** Panels are fixed through, and raise the floor at every opening by what they are thick. */
function panelRefusal({ grid, limits, openings, mayFix }: LevellingJob, riseMm: number): Refusal | null {
  const first = grid.inside.findIndex((on) => on === 1);
  const held = openings
    .flatMap(({ cells }) => cells)
    .reduce((least, cell) => (least < 0 || limits.fillMm[cell]! < limits.fillMm[least]! ? cell : least), -1);
  const at = (cell: number): [number, number] => {
    const { xMm, yMm } = cellCentre(grid, cell);
    return [xMm, yMm];
  };
  const refuse = (limit: 'gate' | 'opening', cell: number, allowedMm: number): Refusal => ({
    limit,
    words: LIMIT_WORDS[limit],
    at: at(cell),
    takesMm: riseMm,
    allowedMm,
    decides: null,
  });
  if (!mayFix) return refuse('gate', first, 0);
  return held >= 0 && limits.fillMm[held]! < riseMm ? refuse('opening', held, limits.fillMm[held]!) : null;
}
