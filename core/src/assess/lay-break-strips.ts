import type { FigureOf } from '../figures/index.ts';
import type { Polygon, RoomFacts } from '../room/index.ts';
import type { SetOut } from '../setout/index.ts';

/** A dividing line runs on to the walls: so far beyond its ends there is none, mm. */
const BEYOND_MM = 100_000;

/** Strips along dividing lines that no plank covers: a bar's track and the gap on either side of it. */
export const breakStrips = (
  { lines }: Pick<RoomFacts, 'lines'>,
  { breaks }: Pick<SetOut, 'breaks'>,
  gapMm: number,
  figure: FigureOf,
): Polygon[] =>
  lines
    .filter(({ id }) => breaks.some(({ lineId }) => lineId === id))
    .map(({ axMm, ayMm, bxMm, byMm }) => {
      const long = Math.hypot(bxMm - axMm, byMm - ayMm) || 1;
      const [ux, uy] = [(bxMm - axMm) / long, (byMm - ayMm) / long];
      const half = figure('bar-track-mm') / 2 + gapMm;
      const at = (along: number, across: number) => ({
        xMm: axMm + ux * along - uy * across,
        yMm: ayMm + uy * along + ux * across,
      });
      const [from, to] = [-BEYOND_MM, long + BEYOND_MM];
      return [at(from, -half), at(to, -half), at(to, half), at(from, half)];
    });
