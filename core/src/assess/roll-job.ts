import { answerTo } from '../fields/index.ts';
import { figuresOf, type FigureOf } from '../figures/index.ts';
import { entryPoint, perimeterMm, planOf, turnedFrame, type Plan, type PointMm, type Polygon } from '../room/index.ts';
import {
  allUnder,
  cardOf,
  JOINED,
  LAPS,
  PLANKS_RUN,
  planRolls,
  ROLLS_EDGE,
  ROLLS_LIE,
  USUAL_ROLL_PRICES,
  type FloorToRoll,
  type JobRolls,
  type RollMake,
  type Strip,
} from '../under/index.ts';
import type { RoomSet } from './room-set.ts';

/** One strip on the sheet of its room, in the order in which it is rolled out. */
export interface ShownStrip {
  number: number;
  outline: Polygon;
  lengthMm: number;
  widthMm: number;
  /** Rolls it is cut from, by their numbers. */
  rolls: number[];
}

export interface RollsOfRoom {
  roomId: string;
  runs: 'along' | 'across';
  strips: ShownStrip[];
  seamMm: number;
  /** Along every wall and everything that stands on the floor, where a film is turned up, mm. */
  upturnMm: number;
}

/** One material over all rooms that take it. */
export interface RollsOfJob {
  of: 'underlay' | 'film';
  cardId: string;
  name: string;
  make: RollMake;
  isTacky: boolean;
  /** Boards by the piece, which are laid in rows as strips are. */
  isBoards: boolean;
  rolls: { pieces: { roomId: string; number: number; lengthMm: number; joinedFromMm: number }[]; restMm: number }[];
  rooms: RollsOfRoom[];
  joints: number;
  tapeM: number;
  tapeRolls: number;
  leastRolls: number;
  cost: number;
  /** Rests of a square metre and more. */
  offcuts: { roll: number; lengthMm: number; areaM2: number }[];
  /** The same with all strips across the planks, and along them. */
  ways: { lie: 'across' | 'along'; rolls: number; tapeM: number; cost: number }[];
}

/** What is no longer than this is no roll, mm. */
const BOARD_MOST_MM = 3000;
/** A rest of so much is kept, m². */
const KEPT_M2 = 1;

const floorToRoll = (set: RoomSet, plan: Plan, figure: FigureOf, of: RollsOfJob['of']): FloorToRoll => {
  const frame = turnedFrame(plan, 0);
  const turned = (polygon: Polygon) => polygon.map(frame.to);
  const { answers } = set;
  const planks = answerTo(answers, PLANKS_RUN) ?? longestWay(turned(plan.corners));
  return {
    id: set.room.id,
    outline: turned(plan.corners),
    islands: plan.islands.map(turned),
    planks: planks === 'along' ? 'x' : 'y',
    own: {
      lie: answerTo(answers, ROLLS_LIE) ?? 'across',
      edgeMm:
        of === 'film'
          ? figure('film-upturn-mm')
          : answerTo(answers, ROLLS_EDGE) === 'to-wall'
            ? 0
            : -figure('roll-short-mm'),
      lapMm: of === 'film' ? (answerTo(answers, LAPS) ?? 200) : 0,
    },
  };
};

/** Planks run the longer way of a room unless somebody says otherwise. */
function longestWay(outline: Polygon): 'along' | 'across' {
  const reach = (of: (at: PointMm) => number) => Math.max(...outline.map(of)) - Math.min(...outline.map(of));
  return reach(({ xMm }) => xMm) >= reach(({ yMm }) => yMm) ? 'along' : 'across';
}

/** Corners of a strip on the sheet. */
function outlineOf(strip: Strip, runs: 'x' | 'y', plan: Plan): Polygon {
  const [a, b] = [strip.startMm, strip.startMm + strip.lengthMm];
  const [low, high] = [strip.fromMm, strip.fromMm + strip.widthMm];
  const corners: [number, number][] =
    runs === 'x'
      ? [
          [a, low],
          [b, low],
          [b, high],
          [a, high],
        ]
      : [
          [low, a],
          [high, a],
          [high, b],
          [low, b],
        ];
  const { back } = turnedFrame(plan, 0);
  return corners.map(([xMm, yMm]) => back({ xMm, yMm }));
}

/** Materials that rooms of a job take on rolls, each planned over all of them at once; a board is none. */
export function rollsOfJob(sets: readonly RoomSet[], tell: (share: number) => void = () => undefined): RollsOfJob[] {
  const taken = new Map<string, { of: RollsOfJob['of']; sets: RoomSet[] }>();
  for (const set of sets) {
    const choice = set.underChoices.at(-1);
    for (const [of, id] of [
      ['underlay', choice?.underlayId],
      ['film', choice?.filmId],
    ] as const)
      if (id) {
        const held = taken.get(id) ?? { of, sets: [] };
        held.sets.push(set);
        taken.set(id, held);
      }
  }
  const entries = [...taken];
  return entries.flatMap(([id, { of, sets: own }], k): RollsOfJob[] => {
    tell(k / entries.length);
    const made = rollsOf(of, id, own);
    return made ? [made] : [];
  });
}

function rollsOf(of: RollsOfJob['of'], cardId: string, sets: readonly RoomSet[]): RollsOfJob | null {
  const first = sets[0]!;
  const cards = allUnder(first.underCards);
  const underlay = of === 'underlay' ? cardOf(cards.underlays, cardId) : null;
  const film = of === 'film' ? cardOf(cards.films, cardId) : null;
  const card = underlay ?? film;
  if (!card) return null;
  const figure = figuresOf(first.figures, first.room.units);
  const make: RollMake = {
    widthMm: card.rollWidthMm,
    lengthMm: card.rollLengthMm,
    lapMm: of === 'film' ? 200 : 0,
    edgeMm: of === 'film' ? figure('film-upturn-mm') : -figure('roll-short-mm'),
  };
  const plans = new Map(sets.map((set) => [set.room.id, planOf(set.room)]));
  const floors = sets.map((set) => floorToRoll(set, plans.get(set.room.id)!, figure, of));
  const isJoined = sets.every((set) => answerTo(set.answers, JOINED) === 'joined');
  const prices = {
    ...USUAL_ROLL_PRICES,
    roll: (card.costM2 * card.rollWidthMm * card.rollLengthMm) / 1e6,
    tapeM: figure('tape-cost-m'),
  };
  const planned = (lie: 'across' | 'along' | null): JobRolls =>
    planRolls(lie ? floors.map((floor) => ({ ...floor, own: { ...floor.own, lie } })) : floors, make, {
      schools: { lie: 'across', isJoined },
      prices,
    });
  const best = planned(null);
  const numbers = numbersOf(best, sets, plans);
  // Rolls are numbered as they are opened: room after room, by the first strip that is laid from each.
  const opened = ({ pieces }: (typeof best.plan.rolls)[number]) =>
    Math.min(
      ...pieces.flatMap(({ strips }) =>
        strips.map((strip) => 1000 * sets.findIndex(({ room }) => room.id === strip.floorId) + numbers.get(strip)!),
      ),
    );
  const cut = [...best.plan.rolls].sort((a, b) => opened(a) - opened(b));
  const rollsOfStrip = (strip: Strip) =>
    cut.flatMap(({ pieces }, k) => (pieces.some(({ strips }) => strips.includes(strip)) ? [k + 1] : []));
  return {
    of,
    cardId,
    name: card.name,
    make,
    isTacky: underlay?.isTacky ?? false,
    isBoards: make.lengthMm < BOARD_MOST_MM,
    rolls: cut.map(({ pieces, usedMm }) => ({
      pieces: pieces.flatMap(({ strips, fromMm, lengthMm }) =>
        strips.map((strip) => ({
          roomId: strip.floorId,
          number: numbers.get(strip)!,
          lengthMm: Math.min(lengthMm, strip.lengthMm - fromMm),
          joinedFromMm: fromMm,
        })),
      ),
      restMm: make.lengthMm - usedMm,
    })),
    rooms: best.layouts.map(({ floorId, way, strips, seamMm }) => ({
      roomId: floorId,
      runs: way.direction === 'x' ? 'along' : 'across',
      seamMm,
      upturnMm: [plans.get(floorId)!.corners, ...plans.get(floorId)!.islands].reduce(
        (sum, edge) => sum + perimeterMm(edge),
        0,
      ),
      strips: strips
        .map((strip) => ({
          number: numbers.get(strip)!,
          outline: outlineOf(strip, way.direction, plans.get(floorId)!),
          lengthMm: strip.lengthMm,
          widthMm: strip.widthMm,
          rolls: rollsOfStrip(strip),
        }))
        .sort((a, b) => a.number - b.number),
    })),
    joints: best.plan.joints.length,
    tapeM: best.tapeM,
    tapeRolls: Math.ceil(best.tapeM / figure('tape-m') - 1e-9),
    leastRolls: best.leastRolls,
    cost: best.cost,
    offcuts: cut.flatMap(({ usedMm }, k) => {
      const lengthMm = make.lengthMm - usedMm;
      const areaM2 = (lengthMm * make.widthMm) / 1e6;
      return areaM2 >= KEPT_M2 - 1e-9 ? [{ roll: k + 1, lengthMm, areaM2 }] : [];
    }),
    ways: (['across', 'along'] as const).map((lie) => {
      const { plan, tapeM, cost } = planned(lie);
      return { lie, rolls: plan.rolls.length, tapeM, cost };
    }),
  };
}

/**
 * Strips of each room by number: from the wall farther from the way in towards the other, so that nobody walks over what is laid; within one
 * band the end farther from the way in first.
 */
function numbersOf(
  { layouts }: JobRolls,
  sets: readonly RoomSet[],
  plans: ReadonlyMap<string, Plan>,
): Map<Strip, number> {
  const numbers = new Map<Strip, number>();
  for (const { floorId, way, strips } of layouts) {
    const plan = plans.get(floorId)!;
    const { room } = sets.find((set) => set.room.id === floorId)!;
    const door = turnedFrame(plan, 0).to(entryPoint(room, plan));
    const [across, along] = way.direction === 'x' ? [door.yMm, door.xMm] : [door.xMm, door.yMm];
    const middle = ({ fromMm, widthMm }: Strip) => fromMm + widthMm / 2;
    const end = ({ startMm, lengthMm }: Strip) => Math.abs(startMm + lengthMm / 2 - along);
    const [low, high] = [Math.min(...strips.map(middle)), Math.max(...strips.map(middle))];
    const sign = across - low > high - across ? 1 : -1;
    [...strips]
      .sort((a, b) => sign * (middle(a) - middle(b)) || end(b) - end(a))
      .forEach((strip, k) => numbers.set(strip, k + 1));
  }
  return numbers;
}
