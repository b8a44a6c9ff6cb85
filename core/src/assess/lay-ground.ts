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
  middleFrame,
  type JointZone,
  type KeptOff,
  type LaidPlank,
  type LayingFrame,
  USUAL_SET_OUT,
  type SetOut,
} from '../setout/index.ts';
import type { SoftSpot } from './lay-soft.ts';
import type { RoomSet } from './room-set.ts';
import { breakStrips } from './lay-break-strips.ts';
import { reveal, WALL_MM } from './lay-reveal.ts';
import { spotZones, zonesOf } from './lay-zones.ts';
import { startWalls, type StartWall } from './lay-start.ts';
import { roomsThrough } from './lay-through.ts';

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
  const { plankWidthMm, mixedLengths } = card;
  // Of several lengths the longest: ends and staggers are asked of it.
  const plankLengthMm =
    mixedLengths.length > 0 ? Math.max(...mixedLengths.map(({ lengthMm }) => lengthMm)) : card.plankLengthMm;
  if (plankLengthMm === null || plankWidthMm === null) return null;
  return {
    lengthMm: plankLengthMm,
    widthMm: plankWidthMm,
    kerfMm: figure('kerf-mm'),
    // No plank can be asked to leave two ends longer than itself.
    leastEndMm: Math.min(card.endPieceMm, plankLengthMm / 2),
    staggerMm: Math.min(card.staggerMm, plankLengthMm / 2),
    secondStaggerMm: Math.min(
      card.secondStaggerMm ?? (card.staggerMm * figure('second-row-pct')) / 100,
      plankLengthMm / 2,
    ),
    leastRowMm: Math.min(card.lastRowMm, plankWidthMm),
    ends: card.kind === 'glue-down-vinyl' ? 'plain' : 'click',
    trimMm: figure('wall-trim-mm'),
  };
}

/** Whether the planks run on into an opening at all: not over a stair's edge, and not out of the house. */
const isEntered = ({ kind, beyond }: Opening) => kind !== 'stair' && beyond !== 'outside' && beyond !== 'stair';

/** Region of one room, in its own frame; within a border its walls are moved in by as much more, and its openings are left out. */
function regionOfRoom(
  set: RoomSet,
  setOut: Omit<SetOut, 'id'>,
  through: ReadonlySet<string>,
  figure: FigureOf,
  withinMm: number | null = null,
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
  const entered = withinMm === null ? room.openings.filter(isEntered) : [];
  const ways = entered.map((opening) => {
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
  const gapsMm = corners.map((_, wall) => gapAt(wall) + (withinMm ?? 0));
  const breaks = breakStrips(room, setOut, card.perimeterGapMm, figure);
  return layableRegion({ outline: corners, gapsMm, through: ways, holes, breaks });
}

/** The floor of a room inside so much along its walls, in the laying frame: what a border leaves. */
export const regionWithin = ({ set, setOut, figure, frame }: LayGround, insetMm: number): Region =>
  inFrame(regionOfRoom(set, setOut, new Set(), figure, insetMm), frame);

/** The laying frame as a room sees it that lies beside the one it was made for. */
const moved = ({ to }: LayingFrame, pose: Pose): Pick<LayingFrame, 'to'> => ({ to: (at) => to(onStorey(pose, at)) });

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
  const walls = startWalls(set.room, plan, set.card, setOut);
  const laidBy = set.laidRows.at(-1);
  const chosen = laidBy?.startWall ?? setOut.startWall;
  const startWall = chosen !== null && chosen < plan.corners.length ? chosen : (walls[0]?.wall ?? 0);
  const own = new Set(setOut.through.map(({ openingId }) => openingId));
  const near = roomsThrough(set);
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
  const hand = laidBy?.hand ?? (set.card.layHand === 'unsaid' ? setOut.hand : set.card.layHand);
  const frame = (setOut.firstRow === 'centre' ? middleFrame : layingFrame)(plan.corners, startWall, hand);
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
    zones: [
      ...zonesOf(set, plan, frame, figure, own),
      ...rooms.flatMap(({ set: there, pose, onward }) =>
        zonesOf(there, planOf(there.room), moved(frame, pose), figure, onward),
      ),
      ...spotZones(soft, frame),
    ],
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
