import { band, outerOf, type CutLine, type Polygon, type Region } from '../room/index.ts';

/** A panel as it is sold, its grain along its length, mm. */
export interface PanelMake {
  lengthMm: number;
  widthMm: number;
  /** Left open between panels, mm. */
  gapMm: number;
}

/** Seams of the base beneath, by their places: those that run along the panels, and those that run across them between two of the former. */
export interface BaseSeams {
  alongMm: readonly number[];
  acrossMm: readonly { atMm: number; fromMm: number; toMm: number }[];
}

/** Distances panels keep, mm. */
export interface PanelRules {
  fromSeamMm: number;
  endsApartMm: number;
  leastPieceMm: number;
}
export const USUAL_PANEL_RULES: PanelRules = { fromSeamMm: 200, endsApartMm: 300, leastPieceMm: 100 };

/** One piece as it lies: its box along the panels and across them, mm, and its row. */
export interface PanelPiece {
  row: number;
  fromMm: number;
  lengthMm: number;
  acrossMm: number;
  widthMm: number;
  /** As it lies, where that is no rectangle: cut to a wall that is not square, or round a corner. */
  outline: Polygon;
}

/** Rows of panels: how much of the first is cut off its width, and where the first joint of each row stands, mm. */
export interface PanelWay {
  startMm: number;
  jointsMm: readonly number[];
}

/** A place a rule is not kept, named so that it can be looked at. */
export interface PanelBreak {
  rule: 'long-seam' | 'end-seam' | 'ends' | 'small';
  row: number;
  atMm: number;
  /** By how much less than asked, and over which length, mm. */
  shortMm: number;
  overMm: number;
}

export interface PanelLayout {
  way: PanelWay;
  pieces: PanelPiece[];
  breaks: PanelBreak[];
  /** What of the rules is not kept, the first rule weighing most: least is best. */
  weight: number;
}

const ACROSS = (mm: number): CutLine => ({ a: 0, b: 1, c: mm });
const ALONG = (mm: number): CutLine => ({ a: 1, b: 0, c: mm });
const RULE_WEIGHT = { 'long-seam': 1e4, 'end-seam': 1e4, ends: 1e2, small: 1 } as const;
/** A crumb left by a cut is none, mm. */
const CRUMB_MM = 0.5;

const reach = (part: Region[number], axis: 0 | 1): [number, number] => {
  const places = part[0]!.map((point) => point[axis]);
  return [Math.min(...places), Math.max(...places)];
};

/** A row of the field with what it is made of. */
export interface PanelRow {
  lowMm: number;
  highMm: number;
  region: Region;
}

/** Rows of a field laid along x: the first cut narrower by `startMm`. */
export function rowsOf(field: Region, { widthMm, gapMm }: PanelMake, startMm: number): PanelRow[] {
  const all = field.map((part) => reach(part, 1));
  const [lowest, highest] = [Math.min(...all.map(([low]) => low)), Math.max(...all.map(([, high]) => high))];
  const rows: PanelRow[] = [];
  for (let at = lowest - startMm; at < highest - CRUMB_MM; at += widthMm + gapMm) {
    const [lowMm, highMm] = [Math.max(lowest, at), Math.min(highest, at + widthMm)];
    rows.push({ lowMm, highMm, region: band(field, ACROSS, lowMm, highMm) });
  }
  return rows;
}

/** Joints of a row, by the middle of their gaps, from its first one on. */
export function jointsOf({ region }: PanelRow, { lengthMm, gapMm }: PanelMake, firstMm: number): number[] {
  const all = region.map((part) => reach(part, 0));
  if (all.length === 0) return [];
  const [low, high] = [Math.min(...all.map(([a]) => a)), Math.max(...all.map(([, b]) => b))];
  const pitch = lengthMm + gapMm;
  // A panel that begins at the wall has half a gap less before its joint than one that begins at a joint; so has the last.
  const near = firstMm - Math.floor((firstMm - low) / pitch) * pitch;
  // A joint at the wall is none: the panel after it begins at the wall, and is no longer than it is.
  const from = Math.min(near > low + CRUMB_MM ? near : near + pitch, low + lengthMm + gapMm / 2);
  const joints: number[] = [];
  for (let at = from; at < high + gapMm / 2 - 1e-9; at += pitch) joints.push(at);
  return joints;
}

/** Pieces of one row between its joints, a gap apart. */
export function piecesOf(row: PanelRow, index: number, { gapMm }: PanelMake, joints: readonly number[]): PanelPiece[] {
  const edges = [-Infinity, ...joints, Infinity];
  return edges.slice(1).flatMap((to, k) =>
    band(row.region, ALONG, edges[k]! + gapMm / 2, to - gapMm / 2).map((part): PanelPiece => {
      const [from, end] = reach(part, 0);
      const [low, high] = reach(part, 1);
      return {
        row: index,
        fromMm: from,
        lengthMm: end - from,
        acrossMm: low,
        widthMm: high - low,
        outline: outerOf(part),
      };
    }),
  );
}

/** Where rows of panels do not keep the rules: seams near those of the base, ends near one another, pieces too small. */
export function breaksOfRows(
  rows: readonly PanelRow[],
  joints: readonly (readonly number[])[],
  pieces: readonly PanelPiece[],
  { gapMm }: PanelMake,
  base: BaseSeams,
  rules: PanelRules,
): PanelBreak[] {
  const breaks: PanelBreak[] = [];
  rows.forEach((row, index) => {
    const seamAt = row.highMm + gapMm / 2;
    if (index < rows.length - 1)
      for (const at of base.alongMm) {
        const shortMm = rules.fromSeamMm - Math.abs(at - seamAt);
        if (shortMm > 1e-6)
          breaks.push({
            rule: 'long-seam',
            row: index,
            atMm: seamAt,
            shortMm,
            overMm: seamLength(row, rows[index + 1]!),
          });
      }
    for (const joint of joints[index]!) {
      for (const { atMm, fromMm, toMm } of base.acrossMm) {
        const overMm = Math.min(toMm, row.highMm) - Math.max(fromMm, row.lowMm);
        const shortMm = rules.fromSeamMm - Math.abs(atMm - joint);
        if (overMm > 1e-6 && shortMm > 1e-6)
          breaks.push({ rule: 'end-seam', row: index, atMm: joint, shortMm, overMm });
      }
      for (const other of joints[index + 1] ?? []) {
        const shortMm = rules.endsApartMm - Math.abs(other - joint);
        if (shortMm > 1e-6)
          breaks.push({ rule: 'ends', row: index, atMm: joint, shortMm, overMm: row.highMm - row.lowMm });
      }
    }
  });
  for (const { row, fromMm, lengthMm, widthMm } of pieces) {
    const shortMm = rules.leastPieceMm - Math.min(lengthMm, widthMm);
    if (shortMm > 1e-6) breaks.push({ rule: 'small', row, atMm: fromMm, shortMm, overMm: Math.max(lengthMm, widthMm) });
  }
  return breaks;
}

/** How long two rows touch, mm. */
const seamLength = (a: PanelRow, b: PanelRow): number => {
  const spans = (row: PanelRow) => row.region.map((part) => reach(part, 0));
  return spans(a).reduce(
    (sum, [low, high]) =>
      sum + spans(b).reduce((all, [from, to]) => all + Math.max(0, Math.min(high, to) - Math.max(low, from)), 0),
    0,
  );
};

export const weightOf = (breaks: readonly PanelBreak[]): number =>
  breaks.reduce(
    (sum, { rule, shortMm, overMm }) => sum + (RULE_WEIGHT[rule] * shortMm * Math.max(1, overMm)) / 1000,
    0,
  );

/** A field laid one way, with all it does not keep. */
export function layPanels(
  field: Region,
  make: PanelMake,
  way: PanelWay,
  base: BaseSeams,
  rules: PanelRules = USUAL_PANEL_RULES,
): PanelLayout {
  const rows = rowsOf(field, make, way.startMm);
  const joints = rows.map((row, k) => jointsOf(row, make, way.jointsMm[k] ?? 0));
  const pieces = rows.flatMap((row, k) => piecesOf(row, k, make, joints[k]!));
  const breaks = breaksOfRows(rows, joints, pieces, make, base, rules);
  return { way, pieces, breaks, weight: weightOf(breaks) };
}
