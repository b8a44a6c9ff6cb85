import { onStorey } from '../heights/index.ts';
import { planOf, tapeFrom, wallName, type PointMm, type Polygon, type WallDistance } from '../room/index.ts';
import type { Sayable } from '../said/index.ts';
import {
  mayBond,
  planFloor,
  plainWay,
  rowTable,
  type FloorPlan,
  type JointBreach,
  type Pattern,
  type RowLine,
  type StockLeft,
} from '../setout/index.ts';
import { overRunOf, type OverRun } from './lay-breaks.ts';
import { bondPlan, type ShortEnd } from './lay-bond.ts';
import { glueOf, type GluePlan } from './lay-glue.ts';
import { laidFrom } from './lay-through.ts';
import { compareKinds, type KindCompared } from './lay-kinds.ts';
import { floorAsk, lyingStrips, type LayOptions } from './lay-ask.ts';
import { layGround, type LayGround } from './lay-ground.ts';
import { boxesOf, cutsOf, halfOf, rackOf, type LayWork } from './lay-work.ts';
import { herringboneOf, type ShownHerringbone } from './lay-herringbone.ts';
import { shownChalk, type ShownChalk } from './lay-chalk.ts';
import { mixedPlan, type MixedBoxes } from './lay-mixed.ts';
import { paceOf, stockOf, type LayingPace } from './lay-stock.ts';
import { shownPlanks, type ShownPlank } from './lay-piece.ts';
import type { StartReason } from './lay-start.ts';
import type { RoomSet } from './room-set.ts';

/** A rule that is not kept, with its place by two tapes. */
export interface ShownBreach {
  rule: JointBreach['rule'];
  row: number;
  shortMm: number;
  tapes: WallDistance[];
}

/** A wall whose edge leaves too narrow a row, by how much, and the gap that would do. */
export interface ShortEdge {
  row: 'first' | 'last' | 'other';
  wall: Sayable | null;
  shortMm: number;
}

/** The floor of a room set out: all that is shown, cut and snapped. */
export interface LayPlan {
  roomId: string;
  /** Mixed: planks of several lengths, as the boxes hold them. */
  pattern: Pattern | 'mixed';
  startWall: { wall: number; name: Sayable; reason: StartReason | 'chosen' };
  /** The room it is laid from, where that one's planks run on into this one; its rows stand there. */
  laidFrom: { roomId: string; name: string } | null;
  /** Clicked and glued vinyl side by side; empty where neither is meant. */
  kinds: KindCompared[];
  /** The other rooms it runs on into, where they lie beside this one. */
  through: { name: string; corners: Polygon }[];
  plankMm: { lengthMm: number; widthMm: number };
  /** Of the first row from the farthest edge of the floor, and of the last to it: in a doorway that is farther than along the wall. */
  firstMm: number;
  lastMm: number;
  /** Along the walls: narrowest and widest at the ends of the first row and of the last. */
  edges: { firstMm: [number, number]; lastMm: [number, number] };
  /** Widths a first row may have; empty where every width leaves some edge too narrow. */
  firstRows: [number, number][];
  isSingleRow: boolean;
  short: ShortEdge[];
  rows: RowLine[];
  planks: number;
  /** No layout takes fewer: of these rows cut as they are listed, of these rows however they are cut, of any rows by area. */
  least: FloorPlan['bound'];
  waste: number;
  areaM2: number;
  pieces: ShownPlank[];
  breaches: ShownBreach[];
  shortEnds: ShortEnd[];
  chalk: ShownChalk[];
  /** The plain way of the trade, the off-cut beginning the next row: its planks, and rows in which it keeps the stagger no longer. */
  plain: { planks: number; broken: number };
  /** What keeps the floor from being laid in one. */
  overRun: OverRun;
  /** Places joints keep off, by what they are. */
  keptOff: Record<'opening' | 'mark' | 'corner' | 'soft' | 'low', number>;
  boxes: LayWork['boxes'];
  minutes: number;
  cuts: LayWork['cuts'];
  /** Where to stop so that about half the floor lies and what stood on it can be carried over: rows, and how far they reach from the start wall. */
  half: LayWork['half'];
  /** Most off-cuts that wait at once for their row. */
  rack: number;
  /** Planks at hand against rows still to lay; null where no boxes are recorded. */
  stock: StockLeft | null;
  pace: LayingPace | null;
  glue: GluePlan | null;
  herringbone: ShownHerringbone | null;
  mixed: MixedBoxes | null;
}

/** A chalk line every so many rows where no adhesive asks for others. */
const CHALK_EVERY = 6;

/** Sets a room's floor out; null where its card has no plank size, or nothing is left to lay on. */
export function planLaying(set: RoomSet, options: LayOptions): LayPlan | null {
  const ground = layGround(set, options.soft);
  if (!ground) return null;
  const isHerringbone = set.card.kind === 'click-herringbone' || ground.setOut.pattern === 'herringbone';
  if (isHerringbone) return herringbonePlan(ground);
  const mixed = mixedPlan(ground, options);
  if (mixed) return shownPlan(ground, mixed.floor, 'mixed', [], mixed.mixed);
  const { pattern } = ground.setOut;
  const floor = planFloor(floorAsk(ground, options));
  if (!floor) return null;
  const isBond = (pattern === 'half' || pattern === 'third') && mayBond(ground.plank, pattern);
  const bonded = isBond ? bondPlan(ground, floor, pattern) : null;
  return shownPlan(ground, bonded?.floor ?? floor, isBond ? pattern : 'stagger', bonded?.shortEnds ?? []);
}

const common = (ground: LayGround, areaM2: number) => {
  const { set, setOut, startWall, walls, rooms, plank } = ground;
  const lead = laidFrom(set);
  return {
    roomId: set.room.id,
    laidFrom: lead && { roomId: lead.id, name: lead.name },
    kinds: compareKinds(set, areaM2, ground.figure),
    overRun: overRunOf(ground),
    startWall: {
      wall: startWall,
      name: wallName(set.room.walls, startWall),
      reason:
        setOut.startWall === startWall
          ? ('chosen' as const)
          : (walls.find(({ wall }) => wall === startWall)?.reason ?? 'longest'),
    },
    through: rooms.map((one) => ({
      name: one.set.room.name,
      corners: planOf(one.set.room).corners.map((corner) => onStorey(one.pose, corner)),
    })),
    plankMm: { lengthMm: plank.lengthMm, widthMm: plank.widthMm },
  };
};

/** Places joints keep off, counted by what they are. */
const keptOffBy = ({ zones }: LayGround): LayPlan['keptOff'] => {
  const of = (what: string) => zones.filter(({ id }) => id.startsWith(`${what}/`)).length;
  return { opening: of('opening'), mark: of('mark'), corner: of('corner'), soft: of('soft'), low: of('low') };
};

function shownPlan(
  ground: LayGround,
  floor: FloorPlan,
  pattern: LayPlan['pattern'],
  shortEnds: ShortEnd[],
  mixed: MixedBoxes | null = null,
): LayPlan {
  const { set, plan, plank, figure, frame } = ground;
  const prints = set.boxChecks.at(-1)?.prints ?? null;
  const lying = lyingStrips(ground, floor);
  const pieces = shownPlanks(ground, floor, lying, prints);
  const areaM2 = floor.strips.reduce((sum, strip) => sum + strip.areaM2, 0);
  const glue = glueOf(ground, floor);
  const lastRow = Math.max(...floor.strips.map(({ row }) => row));
  const table = rowTable(floor.strips, floor.rows.divisions);
  const after = glue
    ? glue.bays.map(({ fromRow, rows }) => fromRow + rows)
    : Array.from({ length: Math.floor(lastRow / CHALK_EVERY) }, (_, k) => 1 + (k + 1) * CHALK_EVERY);
  const lines = [...new Set([1, ...after])].filter((row) => row <= lastRow).sort((a, b) => a - b);
  const cuts = cutsOf(pieces, floor);
  const at = ({ strip, atMm }: JointBreach): PointMm => frame.back(atMm, floor.strips[strip]!.lineMm);
  const work = (name: Parameters<typeof figure>[0]) => figure(name);
  return {
    ...common(ground, areaM2),
    pattern,
    firstMm: floor.firstMm,
    lastMm: floor.lastMm,
    edges: { firstMm: endsOf(table, 0), lastMm: endsOf(table, lastRow) },
    firstRows: floor.firsts.widths,
    isSingleRow: floor.firsts.isSingle,
    short: shortOf(ground, floor),
    rows: table,
    planks: floor.cuts.planks.length,
    least: floor.bound,
    waste: floor.waste,
    areaM2,
    pieces,
    breaches: floor.rows.breaches.map((breach) => ({
      rule: breach.rule,
      row: floor.strips[breach.strip]!.row + 1,
      shortMm: breach.shortMm,
      tapes: tapeFrom(set.room, plan, at(breach)),
    })),
    shortEnds,
    chalk: shownChalk(ground, floor, lines),
    plain: mixed ? { planks: floor.cuts.planks.length, broken: 0 } : plainWay(floor.strips, plank, true),
    keptOff: keptOffBy(ground),
    boxes: mixed ?? boxesOf(ground, floor.cuts.planks.length),
    minutes:
      floor.cuts.planks.length * work('plank-lay-min') +
      cuts.cross * work('cross-cut-min') +
      cuts.rips * work('rip-min') +
      floor.rippedM +
      cuts.notches * work('notch-min') +
      cuts.holes * work('hole-min'),
    cuts,
    half: halfOf(floor, plank.widthMm),
    rack: rackOf(floor),
    stock: stockOf(set, floor, lying),
    pace: paceOf(set, new Set(floor.strips.flatMap(({ row }, k) => (lying.has(k) ? [] : [row]))).size),
    glue,
    herringbone: null,
    mixed,
  };
}

/** Narrowest and widest of a row at the ends of its strips, mm. */
function endsOf(table: readonly RowLine[], row: number): [number, number] {
  const wide = table
    .filter((line) => line.row === row)
    .flatMap(({ leftWideMm, rightWideMm }) => [leftWideMm, rightWideMm]);
  return wide.length === 0 ? [0, 0] : [Math.min(...wide), Math.max(...wide)];
}

/** Which walls leave too narrow a row. */
function shortOf({ set, plan, frame }: LayGround, { firsts }: FloorPlan): ShortEdge[] {
  return (firsts.best?.short ?? []).map((edge): ShortEdge => {
    const [across, along] = [(edge.lowMm + edge.highMm) / 2, (edge.fromMm + edge.toMm) / 2];
    const [tape] = tapeFrom(set.room, plan, frame.back(along, across));
    return { row: edge.floorIs === 'above' ? 'first' : 'last', wall: tape?.name ?? null, shortMm: edge.shortMm };
  });
}

function herringbonePlan(ground: LayGround): LayPlan | null {
  const shown = herringboneOf(ground);
  if (!shown) return null;
  const planks = shown.bought.left + shown.bought.right + (shown.border?.planks ?? 0);
  return {
    ...common(ground, shown.areaM2),
    pattern: 'herringbone',
    firstMm: 0,
    lastMm: 0,
    edges: { firstMm: [0, 0], lastMm: [0, 0] },
    firstRows: [],
    isSingleRow: false,
    short: [],
    rows: [],
    planks,
    least: { longest: shown.leastByArea, rows: shown.leastByArea, area: shown.leastByArea },
    waste: shown.waste,
    areaM2: shown.areaM2,
    pieces: [],
    breaches: [],
    shortEnds: [],
    chalk: [],
    plain: { planks: shown.withoutSharing, broken: 0 },
    keptOff: keptOffBy(ground),
    boxes: boxesOf(ground, planks),
    minutes:
      planks * ground.figure('plank-lay-min') +
      shown.staves.filter(({ isWhole }) => !isWhole).length * ground.figure('cross-cut-min'),
    cuts: { cross: shown.staves.filter(({ isWhole }) => !isWhole).length, rips: 0, notches: 0, holes: 0 },
    half: null,
    rack: 0,
    stock: null,
    pace: null,
    glue: null,
    herringbone: shown,
    mixed: null,
  };
}
