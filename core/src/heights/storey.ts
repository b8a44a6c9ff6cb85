import { distanceMm, pointOnWall, type Opening, type PointMm, type Polygon } from '../room/index.ts';

/** A room as it stands among the others: its corners and its openings, in its own frame. */
export interface StoreyRoom {
  id: string;
  corners: Polygon;
  openings: readonly Pick<Opening, 'id' | 'wall' | 'fromMm' | 'widthMm' | 'sharedId'>[];
}

/** Where a room lies on the storey's sheet: turned about its first corner's frame, then moved. */
export interface Pose {
  xMm: number;
  yMm: number;
  turnDeg: number;
}

export interface PlacedRoom {
  roomId: string;
  pose: Pose;
  /** The room and the shared opening it was placed by; null for the first of its group and where it was placed by hand. */
  by: { roomId: string; sharedId: string } | null;
}

/** Two rooms that share an opening but do not come together at it: what is taped and what is drawn disagree. */
export interface Disagreement {
  sharedId: string;
  roomIds: [string, string];
  apartMm: number;
}

export interface Storey {
  placed: PlacedRoom[];
  /** Rooms that hang together by openings, the largest group first; more than one means something is not tied. */
  groups: string[][];
  disagreements: Disagreement[];
}

/** An inner wall is so thick unless it is measured, mm. */
export const WALL_THICKNESS_MM = 100;
/** Openings that come together within this agree, mm. */
const AGREE_MM = 20;
/** Groups that hang together by nothing are drawn so far apart, mm. */
const GROUPS_APART_MM = 1500;

/**
 * Rooms of a storey in place by the openings they share: each is laid against one already placed, jamb to jamb and a wall's
 * thickness apart, breadth first from the first room. Where a loop of rooms does not close, the opening says by how much.
 * A room with a place of its own, by hand or by tape, keeps it.
 */
export function storeyOf(
  rooms: readonly StoreyRoom[],
  own: ReadonlyMap<string, Pose> = new Map(),
  thicknessMm = WALL_THICKNESS_MM,
): Storey {
  const placed = new Map<string, PlacedRoom>();
  const groups: string[][] = [];
  const shared = sharedOpenings(rooms);
  const place = (room: StoreyRoom, pose: Pose, by: PlacedRoom['by']) =>
    placed.set(room.id, { roomId: room.id, pose: own.get(room.id) ?? pose, by: own.has(room.id) ? null : by });
  for (const first of rooms) {
    if (placed.has(first.id)) continue;
    place(first, { xMm: besideAll(rooms, placed), yMm: 0, turnDeg: 0 }, null);
    const group = [first.id];
    for (const id of group)
      for (const { sharedId, ends } of shared) {
        const [from, to] = ends[0].room.id === id ? ends : ends[1].room.id === id ? [ends[1], ends[0]] : [];
        if (!from || !to || placed.has(to.room.id)) continue;
        place(to.room, against(placed.get(id)!.pose, from, to, thicknessMm), { roomId: id, sharedId });
        group.push(to.room.id);
      }
    groups.push(group);
  }
  return {
    placed: [...placed.values()],
    groups: groups.sort((a, b) => b.length - a.length),
    disagreements: shared.flatMap(({ sharedId, ends: [a, b] }) => {
      const wanted = against(placed.get(a.room.id)!.pose, a, b, thicknessMm);
      const apartMm = Math.max(
        ...jambs(b).map((jamb) => distanceMm(onStorey(wanted, jamb), onStorey(placed.get(b.room.id)!.pose, jamb))),
      );
      return apartMm > AGREE_MM ? [{ sharedId, roomIds: [a.room.id, b.room.id], apartMm }] : [];
    }),
  };
}

/** A place of a room on the storey's sheet. */
export function onStorey({ xMm, yMm, turnDeg }: Pose, at: PointMm): PointMm {
  const turn = (turnDeg * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return { xMm: xMm + at.xMm * c - at.yMm * s, yMm: yMm + at.xMm * s + at.yMm * c };
}

interface End {
  room: StoreyRoom;
  opening: StoreyRoom['openings'][number];
}

/** Openings that two rooms share, with both of their sides. */
function sharedOpenings(rooms: readonly StoreyRoom[]): { sharedId: string; ends: [End, End] }[] {
  const bySharedId = new Map<string, End[]>();
  for (const room of rooms)
    for (const opening of room.openings)
      if (opening.sharedId) {
        const ends = bySharedId.get(opening.sharedId) ?? [];
        bySharedId.set(opening.sharedId, [...ends, { room, opening }]);
      }
  return [...bySharedId].flatMap(([sharedId, [a, b]]) =>
    a && b && a.room.id !== b.room.id ? [{ sharedId, ends: [a, b] as [End, End] }] : [],
  );
}

const jambs = ({ room, opening: { wall, fromMm, widthMm } }: End): [PointMm, PointMm] => [
  pointOnWall(room.corners, wall, fromMm),
  pointOnWall(room.corners, wall, fromMm + widthMm),
];

const directionDeg = ([a, b]: [PointMm, PointMm]) => (Math.atan2(b.yMm - a.yMm, b.xMm - a.xMm) * 180) / Math.PI;
const middleOf = ([a, b]: [PointMm, PointMm]): PointMm => ({ xMm: (a.xMm + b.xMm) / 2, yMm: (a.yMm + b.yMm) / 2 });

/** The pose that lays a room's side of an opening against the other's: run the other way, the thickness of the wall beyond it. */
function against(pose: Pose, from: End, to: End, thicknessMm: number): Pose {
  const here = jambs(from).map((jamb) => onStorey(pose, jamb)) as [PointMm, PointMm];
  const direction = directionDeg(here);
  const turnDeg = direction + 180 - directionDeg(jambs(to));
  // The room lies to the left of its walls, so what is beyond lies to their right.
  const out = ((direction - 90) * Math.PI) / 180;
  const middle = middleOf(here);
  const turned = onStorey({ xMm: 0, yMm: 0, turnDeg }, middleOf(jambs(to)));
  return {
    xMm: middle.xMm + thicknessMm * Math.cos(out) - turned.xMm,
    yMm: middle.yMm + thicknessMm * Math.sin(out) - turned.yMm,
    turnDeg: ((turnDeg % 360) + 360) % 360,
  };
}

/** Where a group that hangs together with nothing placed is begun: to the right of all the others. */
function besideAll(rooms: readonly StoreyRoom[], placed: ReadonlyMap<string, PlacedRoom>): number {
  const right = rooms.flatMap(({ id, corners }) => {
    const pose = placed.get(id)?.pose;
    return pose ? corners.map((corner) => onStorey(pose, corner).xMm) : [];
  });
  return right.length === 0 ? 0 : Math.max(...right) + GROUPS_APART_MM;
}
