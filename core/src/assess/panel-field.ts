import type { FigureOf } from '../figures/index.ts';
import {
  alongFirstWall,
  fixtureOutline,
  FIXTURES,
  isTimber,
  regionOf,
  turnedFrame,
  without,
  type BaseDetails,
  type BaseKind,
  type Plan,
  type Polygon,
  type Region,
  type RoomFacts,
  type TurnedFrame,
} from '../room/index.ts';
import { grown, type BaseSeams } from '../under/index.ts';

/** Where panels go in a room: turned so that they run along x. */
export interface PanelField {
  frame: TurnedFrame;
  region: Region;
  seams: BaseSeams;
  /** Null where the seams of the base are known; else why they are not heard. */
  seamsUnknown: 'not-recorded' | 'boards' | null;
  /** Nobody has said which way joists run: panels lie along the first wall. */
  directionUnknown: boolean;
}

const NO_SEAMS: BaseSeams = { alongMm: [], acrossMm: [] };

/** The way panels run, degrees from the first wall: across the joists over panels, across the boards over boards. */
function directionOf(kind: BaseKind, { joistDeg }: BaseDetails): { deg: number; isUnknown: boolean } {
  if (joistDeg === null) return { deg: 0, isUnknown: true };
  // Boards run across the joists, so that across the boards is along the joists.
  return { deg: kind === 'floorboards-on-joists' ? joistDeg : (joistDeg + 90) % 180, isUnknown: false };
}

/** Places of a row of seams over the floor. */
function every(firstMm: number, pitchMm: number, lowMm: number, highMm: number): number[] {
  const places: number[] = [];
  for (let at = firstMm - Math.ceil((firstMm - lowMm) / pitchMm) * pitchMm; at <= highMm; at += pitchMm)
    if (at >= lowMm) places.push(at);
  return places;
}

/** Seams of the panels beneath, in the turned frame: they too run across the joists; ends of every other row stand half a panel on. */
function seamsOf({ base }: Pick<RoomFacts, 'base'>, plan: Plan, frame: TurnedFrame): BaseSeams | null {
  const { panelLongMm: long, panelShortMm: short, seamXMm: x, seamYMm: y } = base;
  if (long === null || short === null || x === null || y === null) return null;
  const at = plan.corners.map(frame.to);
  const reach = (of: 'xMm' | 'yMm'): [number, number] => [
    Math.min(...at.map((p) => p[of])),
    Math.max(...at.map((p) => p[of])),
  ];
  const [left, right] = reach('xMm');
  const [low, high] = reach('yMm');
  const alongMm = every(y, short, low - short, high + short);
  return {
    alongMm: alongMm.filter((mm) => mm > low && mm < high),
    acrossMm: alongMm.slice(0, -1).flatMap((fromMm, row) =>
      every(x + (row % 2 === 0 ? 0 : long / 2), long, left, right).map((atMm) => ({
        atMm,
        fromMm,
        toMm: alongMm[row + 1]!,
      })),
    ),
  };
}

/** The field of panels: the floor off its walls and off what stands on it, more narrowly off baths and trays that give. */
export function panelField(room: RoomFacts, plan: Plan, figure: FigureOf): PanelField {
  const { deg, isUnknown } = directionOf(room.baseKind, room.base);
  const frame = turnedFrame(plan, deg);
  const turned = (polygon: Polygon) => polygon.map(frame.to);
  const wallMm = figure('panel-wall-mm');
  const stand = room.fixtures
    .filter(({ kind }) => FIXTURES[kind].standing === 'island')
    .map((fixture) =>
      regionOf(
        grown(
          anticlockwise(turned(fixtureOutline(fixture))),
          fixture.kind === 'bath' ? figure('panel-tub-mm') : wallMm,
        ),
      ),
    );
  const region = without(regionOf(grown(turned(plan.corners), -wallMm)), ...stand);
  const isBoards = room.baseKind === 'floorboards-on-joists';
  const seams = isTimber(room.baseKind) && !isBoards ? seamsOf(room, plan, frame) : null;
  return {
    frame,
    region,
    seams: seams ?? NO_SEAMS,
    seamsUnknown: isBoards ? 'boards' : seams ? null : 'not-recorded',
    directionUnknown: isUnknown,
  };
}

const anticlockwise = (polygon: Polygon): Polygon => {
  const twice = polygon.reduce((sum, a, k) => {
    const b = polygon[(k + 1) % polygon.length]!;
    return sum + a.xMm * b.yMm - b.xMm * a.yMm;
  }, 0);
  return twice < 0 ? [...polygon].reverse() : polygon;
};

/** How far a place lies along the first wall and across it: what a tape finds. */
export const taped = (plan: Plan, frame: TurnedFrame, xMm: number, yMm: number) =>
  alongFirstWall(plan, frame.back({ xMm, yMm }));
