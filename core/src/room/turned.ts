import { alongFirstWall, onSheet } from './frame.ts';
import type { PointMm } from './geometry.ts';
import type { Plan } from './room.ts';

/** The floor turned so that one way over it is x, and back again. */
export interface TurnedFrame {
  to: (at: PointMm) => PointMm;
  back: (at: PointMm) => PointMm;
}

/** x at an angle to the first wall, degrees anticlockwise, from the first corner. */
export function turnedFrame(plan: Plan, deg: number): TurnedFrame {
  const rad = (deg * Math.PI) / 180;
  const [c, s] = [Math.cos(rad), Math.sin(rad)];
  return {
    to: (at) => {
      const { xMm, yMm } = alongFirstWall(plan, at);
      return { xMm: xMm * c + yMm * s, yMm: yMm * c - xMm * s };
    },
    back: ({ xMm, yMm }) => onSheet(plan, { xMm: xMm * c - yMm * s, yMm: xMm * s + yMm * c }),
  };
}
