import { figuresOf, type FigureOf } from '../figures/index.ts';
import { onStorey, storeyOf, type Pose } from '../heights/index.ts';
import {
  fixtureOutline,
  FIXTURES,
  planOf,
  together,
  type Fixture,
  type Opening,
  type Plan,
  type Region,
} from '../room/index.ts';
import {
  inFrame,
  layableRegion,
  layingFrame,
  type JointZone,
  type KeptOff,
  type LaidPlank,
  type LayingFrame,
  USUAL_SET_OUT,
  type SetOut,
} from '../setout/index.ts';
import { joinedOpenings } from './joined-openings.ts';
import type { SoftSpot } from './lay-soft.ts';
import type { RoomSet } from './room-set.ts';
import { reveal, WALL_MM } from './lay-reveal.ts';
import { spotZones, zonesOf } from './lay-zones.ts';
import { startWalls, type StartWall } from './lay-start.ts';

/** What a set-out is planned on, in the frame of its start wall. */
export interface LayGround {
  set: RoomSet;
  setOut: Omit<SetOut, 'id'>;
  plan: Plan;
  figure: FigureOf;
  plank: LaidPlank;
  walls: StartWall[];
  startWall: number;
  frame: LayingFrame;
  region: Region;
  zones: JointZone[];
  /** Rooms it is laid through into, each where it lies beside this one. */
  rooms: { set: RoomSet; pose: Pose }[];
  /** Everything that stands on the floor or comes through it, in this room's own frame. */
  fixtures: Fixture[];
}

/** The card as the set-out reads it; null where its planks have no size yet. */
export function plankOf({ card }: Pick<RoomSet, 'card'>, figure: FigureOf): LaidPlank | null {
  const { plankLengthMm, plankWidthMm } = card;
  if (plankLengthMm === null || plankWidthMm === null) return null;
  return {
    lengthMm: plankLengthMm,
    widthMm: plankWidthMm,
    kerfMm: figure('kerf-mm'),
    // No plank can be asked to leave two ends longer than itself.
    leastEndMm: Math.min(card.endPieceMm, plankLengthMm / 2),
    staggerMm: Math.min(card.staggerMm, plankLengthMm / 2),
    secondStaggerMm: (Math.min(card.staggerMm, plankLengthMm / 2) * figure('second-row-pct')) / 100,
    leastRowMm: Math.min(card.lastRowMm, plankWidthMm),
    ends: card.kind === 'glue-down-vinyl' ? 'plain' : 'click',
    trimMm: figure('wall-trim-mm'),
  };
}

/** Whether the planks run on into an opening at all: not over a stair's edge, and not out of the house. */
const isEntered = ({ kind, beyond }: Opening) => kind !== 'stair' && beyond !== 'outside' && beyond !== 'stair';

/** Region of one room, in its own frame. */
function regionOfRoom(
  set: RoomSet,
  setOut: Omit<SetOut, 'id'>,
  through: ReadonlySet<string>,
  figure: FigureOf,
): Region {
  const { room, card } = set;
  const { corners } = planOf(room);
  const gapAt = (wall: number) => setOut.gaps.find((own) => own.wall === wall)?.gapMm ?? card.perimeterGapMm;
  const isGlued = card.kind === 'glue-down-vinyl';
  const holes = room.fixtures.flatMap(({ ...fixture }): KeptOff[] =>
    FIXTURES[fixture.kind].standing === 'island'
      ? [
          {
            outline: fixtureOutline(fixture),
            gapMm: fixture.kind === 'bath' && isGlued ? figure('tub-glued-mm') : card.perimeterGapMm,
          },
        ]
      : [],
  );
  const ways = room.openings.filter(isEntered).map((opening) => {
    const gapMm = gapAt(opening.wall);
    const frame = set.leaves.findLast(({ openingId }) => openingId === opening.id)?.frame ?? 'unknown';
    const isThrough = through.has(opening.id);
    return reveal(corners, opening, {
      // Under a frame that is sawn the planks reach in beneath it.
      jambMm: frame === 'wood' && opening.kind === 'door' ? -figure('frame-under-mm') : gapMm,
      inMm: gapMm + 1,
      outMm: isThrough ? WALL_MM : Math.max(0, WALL_MM / 2 - figure('bar-track-mm') / 2 - gapMm),
    });
  });
  return layableRegion({ outline: corners, gapsMm: corners.map((_, wall) => gapAt(wall)), through: ways, holes });
}

/** Rooms reached through openings laid through, from this one on, by their own doors. */
function roomsThrough(set: RoomSet, own: ReadonlySet<string>): { set: RoomSet; doors: Set<string> }[] {
  const found = joinedOpenings(set)
    .filter(({ opening }) => own.has(opening.id))
    .map(({ other, far }) => ({ set: other, doors: new Set([far.id]) }));
  return found.filter((one, k) => found.findIndex(({ set: s }) => s.room.id === one.set.room.id) === k);
}

const movedBy = (region: Region, pose: Pose): Region =>
  region.map((part) =>
    part.map((ring) =>
      ring.map(([xMm, yMm]): [number, number] => {
        const at = onStorey(pose, { xMm, yMm });
        return [at.xMm, at.yMm];
      }),
    ),
  );

/** What a room is set out on; null where its card does not say how large its planks are. */
export function layGround(set: RoomSet, soft: readonly SoftSpot[] = []): LayGround | null {
  const figure = figuresOf(set.figures, set.room.units);
  const plank = plankOf(set, figure);
  if (!plank) return null;
  const setOut = set.setOuts.at(-1) ?? USUAL_SET_OUT;
  const plan = planOf(set.room);
  const walls = startWalls(set.room, plan, set.card, setOut.lightWall);
  const laidBy = set.laidRows.at(-1);
  const chosen = laidBy?.startWall ?? setOut.startWall;
  const startWall = chosen !== null && chosen < plan.corners.length ? chosen : (walls[0]?.wall ?? 0);
  const own = new Set(setOut.through.map(({ openingId }) => openingId));
  const near = roomsThrough(set, own);
  const poses = storeyOf(
    [set, ...near.map((one) => one.set)].map(({ room }) => ({
      id: room.id,
      corners: planOf(room).corners,
      openings: room.openings,
    })),
  ).placed;
  const rooms = near.map((one) => ({
    ...one,
    pose: poses.find(({ roomId }) => roomId === one.set.room.id)!.pose,
  }));
  const frame = layingFrame(plan.corners, startWall, laidBy?.hand ?? setOut.hand);
  const regions = [
    regionOfRoom(set, setOut, own, figure),
    ...rooms.map(({ set: there, doors, pose }) =>
      movedBy(regionOfRoom({ ...there, card: set.card }, USUAL_SET_OUT, doors, figure), pose),
    ),
  ];
  return {
    set,
    setOut,
    plan,
    figure,
    plank,
    walls,
    startWall,
    frame,
    region: inFrame(regions.length === 1 ? regions[0]! : together(regions), frame),
    zones: [...zonesOf(set, plan, frame, figure, own), ...spotZones(soft, frame)],
    rooms,
    fixtures: [set, ...rooms.map((one) => one.set)].flatMap(({ room }, k): Fixture[] =>
      room.fixtures.map((fixture) => {
        if (k === 0) return fixture;
        const { pose } = rooms[k - 1]!;
        return { ...fixture, ...onStorey(pose, fixture), turnDeg: fixture.turnDeg + pose.turnDeg };
      }),
    ),
  };
}
