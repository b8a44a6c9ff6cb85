import { midSentence, say, type Said } from '../said/index.ts';
import type { FlatnessRule } from '../coverings/index.ts';
import { figuresOf, type FigureOf, type OwnFigure } from '../figures/index.ts';
import { cellAt, cellCentre, type FlatState, type Grid, type Height } from '../flat/index.ts';
import {
  contains,
  distanceToSegmentMm,
  fixtureOutline,
  inRegion,
  isTimber,
  FIXTURES,
  openingName,
  pointOnWall,
  regionAt,
  regionOf,
  serviceSideMm,
  sideDistanceMm,
  type BaseDetails,
  type BaseKind,
  type FixtureKind,
  type PointMm,
  type RoomFacts,
  type Plan,
  type Service,
} from '../room/index.ts';
import { compoundsFor, compoundsOf, hasSulfate, type CompoundCard } from './compound.ts';
import type { PlanLimits, PlanRates } from './programme.ts';
import type { LevelTarget } from './targets.ts';

/** A place that may not be ground, or not be filled. */
export interface KeepOff {
  what: 'grind' | 'fill';
  shape: 'point' | 'line' | 'area';
  points: readonly PointMm[];
  /** How far it reaches about its points or line, mm. */
  reachMm: number;
}

/** Why a cell is held back, for telling which limit binds. */
export type LimitName =
  'grind-depth' | 'fill-depth' | 'opening' | 'keep-off' | 'fixture' | 'heating' | 'service' | 'gate';

export const LIMIT_WORDS: Record<LimitName, Said> = {
  'grind-depth': say('levelling.limitWordsGrindDepth'),
  'fill-depth': say('levelling.limitWordsFillDepth'),
  opening: say('levelling.limitWordsOpening'),
  'keep-off': say('levelling.limitWordsKeepOff'),
  fixture: say('levelling.limitWordsFixture'),
  heating: say('levelling.limitWordsHeating'),
  service: say('levelling.limitWordsService'),
  gate: say('levelling.limitWordsGate'),
};

/** An opening with the cells along it. */
interface OpeningCells {
  id: string;
  name: Said;
  cells: number[];
}

/** Everything levelling of one room is planned from. */
export interface LevellingJob {
  room: RoomFacts;
  plan: Plan;
  grid: Grid;
  heights: Float64Array;
  rules: readonly FlatnessRule[];
  contactsOnly: boolean;
  limits: PlanLimits;
  /** Which limit holds each cell's fill and grinding. */
  boundBy: { fill: LimitName[]; grind: LimitName[] };
  compounds: CompoundCard[];
  /** The product the programme prices a litre of fill by. */
  priced: CompoundCard;
  rates: PlanRates;
  figure: FigureOf;
  timber: boolean;
  /** Whether compound comes to lie on calcium sulfate: its skin goes first, and cement lets go of it. */
  sulfate: boolean;
  /** Whether anything may be screwed or stapled to what the planks will lie over. */
  mayFix: boolean;
  /** Whether boards on joists carry the room, whatever lies on them. */
  suspendedTimber: boolean;
  openings: OpeningCells[];
  /** Places that are to come to a height. */
  targets: LevelTarget[];
  /** Stations as they are read now. */
  stations: readonly Height[];
  provisional: boolean;
  /** Least depth of a pour to one level, mm; null: as thin as its product takes. */
  pourLeastMm: number | null;
}

export interface LevellingAsk {
  room: RoomFacts;
  plan: Plan;
  state: FlatState;
  figures: readonly OwnFigure[];
  keepOff: readonly KeepOff[];
  gates: { grind: boolean; prime: boolean; fix: boolean };
  laidOver: BaseKind;
  /** Least depth of a pour to one level over the highest place, mm; null takes the thinnest its product takes. */
  pourLeastMm?: number | null;
  /** How far the floor is to rise (or come down) at openings and under what stands on it, by their id, mm. */
  rises?: ReadonlyMap<string, number>;
}

/** How far a toilet flange or register stays clear of compound, mm. */
const FIXTURE_CLEAR_MM = 30;

/** Rates in money for a litre filled, a litre ground and a m2 touched: kg, bags and hours of each. */
export function ratesOf(compound: CompoundCard, figure: FigureOf, sulfate = false): PlanRates {
  const bagsPerL = (compound.kgPerM2Mm * (1 + figure('waste-pct') / 100)) / compound.bagKg;
  const labour = figure('labour-h');
  return {
    fillPerL: bagsPerL * (compound.bagCost + (figure('bag-min') / 60) * labour),
    grindPerL: labour / figure('grind-l-h'),
    touchPerM2:
      (figure('touch-h-m2') + (sulfate ? figure('skin-h-m2') : 0)) * labour +
      figure('primer-l-m2') * figure('primer-cost-l'),
  };
}

/** Gathers what levelling is planned from: the judged surface, rules, rates, and limits for every cell. */
export function levellingJob(ask: LevellingAsk): LevellingJob {
  const { room, plan, state, figures, laidOver } = ask;
  const figure = figuresOf(figures, room.units);
  const sulfate = hasSulfate(laidOver, room);
  const compounds = compoundsFor(compoundsOf(figures), sulfate);
  const grid = state.judged;
  const timber = isTimber(laidOver);
  const priced = compounds.find((c) => c.id === (sulfate ? 'gypsum-patching' : 'patching'))!;
  const openings = room.openings.map((opening): OpeningCells => {
    const [a, b] = [opening.fromMm, opening.fromMm + opening.widthMm].map((at) =>
      pointOnWall(plan.corners, opening.wall, at),
    ) as [PointMm, PointMm];
    return {
      id: opening.id,
      name: openingName(room, opening),
      cells: cellsWithin(grid, a, b, figure('door-reach-mm')),
    };
  });
  return {
    room,
    plan,
    grid,
    heights: state.surfaceMm,
    rules: state.rules.map((result) => result.rule),
    contactsOnly: room.contactsOnly,
    ...limitsOf(ask, grid, figure, openings),
    compounds,
    priced,
    rates: ratesOf(priced, figure, sulfate),
    figure,
    timber,
    sulfate,
    suspendedTimber: isTimber(room.baseKind) || (room.secondBase !== null && isTimber(room.secondBase.kind)),
    mayFix: ask.gates.fix,
    openings,
    targets: targetsOf(
      [...openings, ...stoodOn(room, grid)],
      state.surfaceMm,
      ask.rises ?? new Map<string, number>(),
      figure('threshold-tol-mm'),
    ),
    stations: state.heights.heights,
    provisional: state.evidence.coveredShare < 0.99,
    pourLeastMm: ask.pourLeastMm ?? null,
  };
}

/** What stands on the floor, or flexes at its edge, and may ask for a height beneath or beside it. */
export const STOOD_ON: readonly FixtureKind[] = ['appliance', 'bath', 'cabinet'];
/** The floor this near to it is what has to come to the height, mm. */
const STOOD_REACH_MM = 100;

function stoodOn({ fixtures }: RoomFacts, grid: Grid): OpeningCells[] {
  return fixtures
    .filter(({ kind }) => STOOD_ON.includes(kind))
    .map((fixture): OpeningCells => {
      const outline = fixtureOutline(fixture, STOOD_REACH_MM);
      const cells: number[] = [];
      eachCell(grid, (cell, x, y) => contains(outline, x, y) && cells.push(cell));
      return { id: fixture.id, name: midSentence(FIXTURES[fixture.kind].words), cells };
    });
}

/** Openings and what stands on the floor, asked to come to a height: so much over what lies there now as a mean. */
function targetsOf(
  places: readonly OpeningCells[],
  heights: Float64Array,
  rises: ReadonlyMap<string, number>,
  toleranceMm: number,
): LevelTarget[] {
  return places.flatMap(({ id, name, cells }) => {
    const riseMm = rises.get(id);
    if (riseMm === undefined || cells.length === 0) return [];
    const nowMm = cells.reduce((sum, cell) => sum + heights[cell]!, 0) / cells.length;
    return [{ id, name, cells, levelMm: nowMm + riseMm, toleranceMm, nowMm }];
  });
}

function limitsOf(
  { room, plan, keepOff, gates }: LevellingAsk,
  grid: Grid,
  figure: FigureOf,
  openings: readonly OpeningCells[],
): Pick<LevellingJob, 'limits' | 'boundBy'> {
  const cells = grid.inside.length;
  const limits: PlanLimits = {
    fillMm: new Float64Array(cells).fill(gates.prime ? figure('fill-most-mm') : 0),
    grindMm: new Float64Array(cells).fill(gates.grind ? figure('grind-most-mm') : 0),
  };
  const boundBy = {
    fill: new Array<LimitName>(cells).fill(gates.prime ? 'fill-depth' : 'gate'),
    grind: new Array<LimitName>(cells).fill(gates.grind ? 'grind-depth' : 'gate'),
  };
  const hold = (what: 'fill' | 'grind', cell: number, mm: number, why: LimitName) => {
    const held = what === 'fill' ? limits.fillMm : limits.grindMm;
    if (mm >= held[cell]!) return;
    held[cell] = mm;
    boundBy[what][cell] = why;
  };
  for (const { cells: along } of openings)
    for (const cell of along) hold('fill', cell, figure('door-fill-mm'), 'opening');
  for (const fixture of room.fixtures) {
    if (FIXTURES[fixture.kind].standing !== 'hole' || fixture.kind === 'pipe') continue;
    const outline = fixtureOutline(fixture, FIXTURE_CLEAR_MM);
    eachCell(grid, (cell, x, y) => contains(outline, x, y) && hold('fill', cell, 0, 'fixture'));
  }
  holdOverHeating(room, plan, figure('heating-cover-mm'), (inside, mm) =>
    eachCell(grid, (cell, x, y) => inside(x, y) && hold('grind', cell, mm, 'heating')),
  );
  for (const service of room.services ?? []) {
    const mm = mostOver(service, figure('services-clear-mm'));
    const sideMm = serviceSideMm(service);
    eachCell(
      grid,
      (cell, xMm, yMm) =>
        sideDistanceMm(service, { points: [{ xMm, yMm }] }) <= sideMm && hold('grind', cell, mm, 'service'),
    );
  }
  for (const { what, shape, points, reachMm } of keepOff) {
    const [first] = points;
    if (!first) continue;
    const ends = points.length > 1 ? points : [first, first];
    eachCell(grid, (cell, x, y) => {
      const near = ends.slice(1).some((b, i) => distanceToSegmentMm(x, y, ends[i]!, b) <= reachMm);
      if (near || (shape === 'area' && contains(points, x, y))) hold(what, cell, 0, 'keep-off');
    });
  }
  return { limits, boundBy };
}

/** How much may be ground over a line in the base, mm: what leaves its cover; nothing where how deep it lies is not known. */
const mostOver = ({ found, depthMm }: Service, clearMm: number): number =>
  found === 'supposed' || depthMm === null ? 0 : Math.max(0, depthMm - clearMm);

/**
 * Says how much may be ground over heating that lies in a base: what leaves its cover; nothing where its depth, or whether there is any,
 * is not known. A second base has its own part of the room.
 */
function holdOverHeating(
  room: RoomFacts,
  plan: Plan,
  coverMm: number,
  hold: (inside: (xMm: number, yMm: number) => boolean, mm: number) => void,
): void {
  const second = room.secondBase;
  const beyond = second ? regionAt(regionOf(plan.corners), room.lines, second.where) : [];
  const most = ({ heating, heatingDepthMm }: BaseDetails): number | null => {
    if (heating === 'none') return null;
    return heatingDepthMm === null ? 0 : Math.max(0, heatingDepthMm - coverMm);
  };
  const here = most(room.base);
  if (here !== null) hold((x, y) => !inRegion(beyond, x, y), here);
  const there = second ? most(second) : null;
  if (there !== null) hold((x, y) => inRegion(beyond, x, y), there);
}

function eachCell(grid: Grid, visit: (cell: number, xMm: number, yMm: number) => void): void {
  for (let cell = 0; cell < grid.inside.length; cell++) {
    if (!grid.inside[cell]) continue;
    const { xMm, yMm } = cellCentre(grid, cell);
    visit(cell, xMm, yMm);
  }
}

function cellsWithin(grid: Grid, a: PointMm, b: PointMm, reachMm: number): number[] {
  const found: number[] = [];
  eachCell(grid, (cell, x, y) => {
    if (distanceToSegmentMm(x, y, a, b) <= reachMm) found.push(cell);
  });
  return found;
}

/** What a map says at a place of the plan, mm; 0 off the floor. */
export function mapAt(grid: Grid, values: Float64Array, at: PointMm): number {
  const cell = cellAt(grid, at.xMm, at.yMm);
  return cell < 0 || !grid.inside[cell] ? 0 : values[cell]!;
}
