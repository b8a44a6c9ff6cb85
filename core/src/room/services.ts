import { say, type Said } from '../said/index.ts';
import { figure, group, list, oneOf, orNull, ownId, text, type Held } from '../fields/index.ts';
import { contains, distanceToSegmentMm, PLACE, segmentsMeet, type PointMm } from './geometry.ts';

export const SERVICE_KINDS = ['drain', 'water', 'gas', 'cable', 'heating', 'tendon', 'other'] as const;
export type ServiceKind = (typeof SERVICE_KINDS)[number];
export const SERVICE_WORDS: Record<ServiceKind, Said> = {
  drain: say('room.serviceDrain'),
  water: say('room.serviceWater'),
  gas: say('room.serviceGas'),
  cable: say('room.serviceCable'),
  heating: say('room.serviceHeating'),
  tendon: say('room.serviceTendon'),
  other: say('room.serviceOther'),
};

/** How a line came on the plan: seen in the open, found with a detector or on a drawing made on site, or only supposed. */
export const SERVICE_FOUND = ['seen', 'located', 'supposed'] as const;
export type ServiceFound = (typeof SERVICE_FOUND)[number];
export const FOUND_WORDS: Record<ServiceFound, Said> = {
  seen: say('room.foundSeen'),
  located: say('room.foundLocated'),
  supposed: say('room.foundSupposed'),
};

export const SERVICE_DEPTH_MM = { min: 0, max: 1000 } as const;

/** A pipe, drain, cable or tendon in the floor: a line on the sheet, with how deep its top lies under the base's surface. */
export const SERVICE = {
  id: ownId('services'),
  kind: oneOf(...SERVICE_KINDS),
  points: list(group(PLACE), 'points', 40, 2),
  found: oneOf(...SERVICE_FOUND),
  /** Depth of its top under the surface of the base, mm; null: nobody has measured it. */
  depthMm: orNull(figure(SERVICE_DEPTH_MM.min, SERVICE_DEPTH_MM.max, 'mm')),
  note: text(200),
} as const;
export type Service = Held<typeof SERVICE>;

/** How near work may come to a line, to its side, mm. What is only supposed may lie elsewhere than it is drawn. */
const SIDE_MM: Record<ServiceFound, number> = { seen: 150, located: 150, supposed: 300 };

/** A place on the sheet that is worked on: a spot, a line or an area, and how far about it. */
export interface WorkedAt {
  points: readonly PointMm[];
  area?: boolean;
  reachMm?: number;
}

/** How near work may come to a line of this kind of knowledge, to its side, mm. */
export const serviceSideMm = ({ found }: Pick<Service, 'found'>): number => SIDE_MM[found];

type Segment = readonly [PointMm, PointMm];

function segmentsOf(points: readonly PointMm[], closed: boolean): Segment[] {
  if (points.length === 1) return [[points[0]!, points[0]!]];
  const open = points.slice(1).map((b, i): Segment => [points[i]!, b]);
  return closed && points.length > 2 ? [...open, [points.at(-1)!, points[0]!]] : open;
}

function apartMm([a, b]: Segment, [c, d]: Segment): number {
  if (segmentsMeet(a, b, c, d)) return 0;
  return Math.min(
    distanceToSegmentMm(a.xMm, a.yMm, c, d),
    distanceToSegmentMm(b.xMm, b.yMm, c, d),
    distanceToSegmentMm(c.xMm, c.yMm, a, b),
    distanceToSegmentMm(d.xMm, d.yMm, a, b),
  );
}

/** How far work at a place stays from a line, to its side, mm; 0 where it lies over it. */
export function sideDistanceMm(
  { points }: Pick<Service, 'points'>,
  { points: worked, area = false, reachMm = 0 }: WorkedAt,
): number {
  if (area && points.some(({ xMm, yMm }) => contains(worked, xMm, yMm))) return 0;
  let least = Infinity;
  for (const line of segmentsOf(points, false))
    for (const edge of segmentsOf(worked, area)) least = Math.min(least, apartMm(line, edge));
  return Math.max(0, least - reachMm);
}
