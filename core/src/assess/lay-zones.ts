import type { FigureOf } from '../figures/index.ts';
import type { Plan, Polygon } from '../room/index.ts';
import { framed, type JointZone, type LayingFrame } from '../setout/index.ts';
import { reveal, WALL_MM } from './lay-reveal.ts';
import type { SoftSpot } from './lay-soft.ts';
import type { RoomSet } from './room-set.ts';

const zone = (id: string, polygon: Polygon, frame: Pick<LayingFrame, 'to'>, aroundMm: number): JointZone => {
  const at = framed(polygon, frame);
  const [us, vs] = [at.map(([u]) => u), at.map(([, v]) => v)];
  return {
    id,
    fromMm: Math.min(...us) - aroundMm,
    toMm: Math.max(...us) + aroundMm,
    lowMm: Math.min(...vs) - aroundMm,
    highMm: Math.max(...vs) + aroundMm,
  };
};

/** Soft spots and lows of the floor as it was read. */
export const spotZones = (soft: readonly SoftSpot[], frame: Pick<LayingFrame, 'to'>): JointZone[] =>
  soft.map(({ from, xMm, yMm, radiusMm }, k) => zone(`${from}/${k}`, [{ xMm, yMm }], frame, radiusMm));

/** Joints lie so far from the end of a soft spot, mm. */
const ROUND_SOFT_MM = 50;

/** Where joints should not lie: in openings laid through and at the head of a stair, over what gives way underfoot, before corners that stand into the floor where that is asked. */
export function zonesOf(
  set: RoomSet,
  { corners }: Plan,
  frame: Pick<LayingFrame, 'to'>,
  figure: FigureOf,
  through: ReadonlySet<string>,
): JointZone[] {
  const openings = set.room.openings
    .filter((opening) => through.has(opening.id) || opening.kind === 'stair')
    .map((opening) =>
      zone(
        `opening/${opening.id}`,
        reveal(corners, opening, { jambMm: 0, inMm: 0, outMm: WALL_MM }),
        frame,
        ROUND_SOFT_MM,
      ),
    );
  const soft = set.marks
    .filter(({ kind, points }) => (kind === 'soft' || kind === 'hollow') && points.length > 0)
    .map(({ id, points }) => zone(`mark/${id}`, points, frame, ROUND_SOFT_MM));
  const cornerMm = figure('corner-joint-mm');
  const inner = cornerMm === 0 ? [] : corners.filter((_, k) => isReflex(corners, k));
  return [...openings, ...soft, ...inner.map((at, k) => zone(`corner/${k}`, [at], frame, cornerMm))];
}

function isReflex(corners: Polygon, k: number): boolean {
  const n = corners.length;
  const [a, b, c] = [corners[(k + n - 1) % n]!, corners[k]!, corners[(k + 1) % n]!];
  return (b.xMm - a.xMm) * (c.yMm - b.yMm) - (b.yMm - a.yMm) * (c.xMm - b.xMm) < 0;
}
