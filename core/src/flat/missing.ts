import type { Plan, PointMm } from '../room/index.ts';
import type { FloorSurface } from './floor-surface.ts';
import { cellAt } from './grid.ts';
import { proposeStations } from './stations.ts';

/** Places to read yet, as far apart as the rules ask, where nothing that was read is near enough. */
export function stationsMissing(plan: Plan, { grid, evidence }: Pick<FloorSurface, 'grid' | 'evidence'>): PointMm[] {
  return proposeStations(plan, evidence.spacingMm).filter(({ xMm, yMm }) => {
    const cell = cellAt(grid, xMm, yMm);
    return cell < 0 || evidence.covered[cell] === 0;
  });
}
