import { isWood, type CoveringCard } from '../coverings/index.ts';
import { distanceMm, distanceToSegmentMm, entryPoint, isTimber, type Plan, type RoomFacts } from '../room/index.ts';
import type { SetOut } from '../setout/index.ts';

/** Why a wall is proposed to start at. */
export type StartReason = 'light' | 'joists' | 'longest';

export interface StartWall {
  wall: number;
  reason: StartReason;
  lengthMm: number;
  /** How far the way in lies from it: glued planks are laid towards the way out. */
  doorMm: number;
}

/** The wall with the most window; null where none was entered. */
export function mostWindow(windows: SetOut['windows']): number | null {
  const wide = new Map<number, number>();
  for (const { wall, widthMm } of windows) wide.set(wall, (wide.get(wall) ?? 0) + widthMm);
  const [most] = [...wide].sort((a, b) => b[1] - a[1] || a[0] - b[0]);
  return most?.[0] ?? null;
}

/** Within so much two ways count as the same, degrees. */
const ALIKE_DEG = 20;

const wallDeg = ({ corners }: Plan, wall: number): number => {
  const [a, b] = [corners[wall]!, corners[(wall + 1) % corners.length]!];
  return ((Math.atan2(b.yMm - a.yMm, b.xMm - a.xMm) * 180) / Math.PI + 360) % 180;
};
const apartDeg = (a: number, b: number): number => {
  const off = Math.abs(a - b) % 180;
  return Math.min(off, 180 - off);
};

/** Walls that differ by less are as long as one another, mm. */
const alike = (mm: number) => (Math.abs(mm) < 100 ? 0 : mm);

/**
 * Walls to start at, the best first: planks run from the window into the room, those of wood over boards and panels across the joists, and
 * otherwise along the longest wall.
 */
export function startWalls(
  room: Pick<RoomFacts, 'base' | 'baseKind' | 'openings'>,
  plan: Plan,
  card: CoveringCard,
  { lightWall: said, windows }: Pick<SetOut, 'lightWall' | 'windows'>,
): StartWall[] {
  const lightWall = said ?? mostWindow(windows);
  const light = lightWall !== null && lightWall < plan.corners.length ? (wallDeg(plan, lightWall) + 90) % 180 : null;
  const { joistDeg } = room.base;
  const across = isWood(card) && isTimber(room.baseKind) && joistDeg !== null ? (joistDeg + 90) % 180 : null;
  const door = entryPoint(room, plan);
  const isGlued = card.kind === 'glue-down-vinyl';
  const walls = plan.corners.map((a, wall): StartWall => {
    const deg = wallDeg(plan, wall);
    const reason: StartReason =
      light !== null && apartDeg(deg, light) <= ALIKE_DEG
        ? 'light'
        : across !== null && apartDeg(deg, across) <= ALIKE_DEG
          ? 'joists'
          : 'longest';
    const b = plan.corners[(wall + 1) % plan.corners.length]!;
    return { wall, reason, lengthMm: distanceMm(a, b), doorMm: distanceToSegmentMm(door.xMm, door.yMm, a, b) };
  });
  // What holds the floor together comes before what looks well.
  const rank: Record<StartReason, number> = { joists: across === null ? 2 : 0, light: 1, longest: 2 };
  return walls.sort(
    (a, b) =>
      rank[a.reason] - rank[b.reason] ||
      alike(b.lengthMm - a.lengthMm) ||
      (isGlued ? b.doorMm - a.doorMm : 0) ||
      b.lengthMm - a.lengthMm ||
      a.wall - b.wall,
  );
}
