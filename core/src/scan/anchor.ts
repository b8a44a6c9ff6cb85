/** A staff reading on ground that a scan saw: both heights, mm, each over its own level. */
export interface AnchorPair {
  xMm: number;
  yMm: number;
  scanMm: number;
  rodMm: number;
}

/** What staff readings say of a scan's level and lean. */
export interface Anchor {
  rods: number;
  /** Taken to the staff's datum by adding level + slopeX (x - cx) + slopeY (y - cy), mm. */
  levelMm: number;
  slopeX: number;
  slopeY: number;
  cxMm: number;
  cyMm: number;
  /** Three staffs or more that do not stand in a line: level and lean are known. */
  holds: boolean;
  /** What is left between scan and staffs after that: root mean square and largest, mm. This is drift and noise. */
  rmsMm: number;
  worstMm: number;
}

export const ANCHORS_LEAST = 3;
/** Staffs that spread less than this across their line say nothing of the lean that way, mm. */
const SPREAD_LEAST_MM = 250;

/** Fits the plane by which staffs and scan differ (least squares); with too few staffs only the level, and `holds` is false. */
export function anchorOf(pairs: readonly AnchorPair[]): Anchor {
  const n = pairs.length;
  const mean = (of: (pair: AnchorPair) => number) => (n === 0 ? 0 : pairs.reduce((sum, p) => sum + of(p), 0) / n);
  const [cxMm, cyMm, levelMm] = [mean((p) => p.xMm), mean((p) => p.yMm), mean((p) => p.rodMm - p.scanMm)];
  let [xx, yy, xy, xd, yd] = [0, 0, 0, 0, 0];
  for (const { xMm, yMm, rodMm, scanMm } of pairs) {
    const [x, y, d] = [xMm - cxMm, yMm - cyMm, rodMm - scanMm - levelMm];
    xx += x * x;
    yy += y * y;
    xy += x * y;
    xd += x * d;
    yd += y * d;
  }
  // The smaller spread of the staffs, whichever way it lies: root of the smaller eigenvalue of their scatter.
  const smaller = n === 0 ? 0 : (xx + yy - Math.hypot(xx - yy, 2 * xy)) / 2 / n;
  const holds = n >= ANCHORS_LEAST && Math.sqrt(Math.max(0, smaller)) >= SPREAD_LEAST_MM;
  const det = xx * yy - xy * xy;
  const slopeX = holds ? (xd * yy - yd * xy) / det : 0;
  const slopeY = holds ? (yd * xx - xd * xy) / det : 0;
  const left = pairs.map(
    ({ xMm, yMm, rodMm, scanMm }) => rodMm - scanMm - levelMm - slopeX * (xMm - cxMm) - slopeY * (yMm - cyMm),
  );
  return {
    rods: n,
    levelMm,
    slopeX,
    slopeY,
    cxMm,
    cyMm,
    holds,
    rmsMm: n === 0 ? 0 : Math.sqrt(left.reduce((sum, d) => sum + d * d, 0) / n),
    worstMm: left.reduce((most, d) => Math.max(most, Math.abs(d)), 0),
  };
}

/** What an anchor adds to the scan at a place, mm. */
export function anchoredBy({ levelMm, slopeX, slopeY, cxMm, cyMm }: Anchor, xMm: number, yMm: number): number {
  return levelMm + slopeX * (xMm - cxMm) + slopeY * (yMm - cyMm);
}
