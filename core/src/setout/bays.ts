/** Adhesive by its sheet and by who spreads it. */
export interface AdhesiveWork {
  /** m² a minute, spread and laid. */
  spreadM2Min: number;
  layM2Min: number;
  /** From spreading until it is tacky enough to lay into, and until it no longer takes, min. */
  tackMin: number;
  workingMin: number;
  /** How far an arm reaches over fresh adhesive, mm. */
  reachMm: number;
}

/** One bay between two chalk lines, with its minutes from the moment it is begun to be spread. */
export interface GlueBay {
  /** Rows of it, the first and how many. */
  fromRow: number;
  rows: number;
  areaM2: number;
  spreadMin: number;
  /** Laying begins, and ends. */
  beginMin: number;
  endMin: number;
  /** How old the adhesive is at most when planks come into it. */
  oldestMin: number;
  /** Within what may be. */
  holds: boolean;
}

/** Share of the working time that is planned with: the rest is for what goes wrong. */
const PLANNED = 0.8;
const HAIR = 1e-9;

/**
 * Minutes of a bay that one worker spreads and then lays. Laying begins once what was spread last lets it, or once what was spread first is tacky and the laying does not overtake
 * the spreading.
 */
export function bayTimes(areaM2: number, work: AdhesiveWork): Omit<GlueBay, 'fromRow' | 'rows' | 'areaM2'> {
  const { spreadM2Min, layM2Min, tackMin, workingMin } = work;
  const spreadMin = areaM2 / spreadM2Min;
  const layMin = areaM2 / layM2Min;
  const beginMin = Math.max(tackMin, spreadMin, spreadMin + tackMin - layMin);
  const oldestMin = Math.max(beginMin, beginMin + layMin - spreadMin);
  return { spreadMin, beginMin, endMin: beginMin + layMin, oldestMin, holds: oldestMin <= PLANNED * workingMin + HAIR };
}

/**
 * Bays of whole rows between chalk lines, as wide as an arm reaches and the adhesive's clock lets them be, the rest spread evenly. `rowM2` is the area of each row in the order
 * of laying. Null where not even one row holds: a slower adhesive, a shorter row or a second pair of hands is asked.
 */
export function glueBays(rowM2: readonly number[], widthMm: number, work: AdhesiveWork): GlueBay[] | null {
  const reach = Math.max(1, Math.floor(work.reachMm / widthMm + HAIR));
  const holds = (from: number, rows: number) => bayTimes(areaOf(rowM2, from, rows), work).holds;
  const bays: [number, number][] = [];
  for (let from = 0; from < rowM2.length;) {
    let rows = Math.min(reach, rowM2.length - from);
    while (rows > 0 && !holds(from, rows)) rows--;
    if (rows === 0) return null;
    bays.push([from, rows]);
    from += rows;
  }
  return evenly(rowM2.length, bays.length, bays, holds, reach).map(([fromRow, rows]) => {
    const areaM2 = areaOf(rowM2, fromRow, rows);
    return { fromRow, rows, areaM2, ...bayTimes(areaM2, work) };
  });
}

const areaOf = (rowM2: readonly number[], from: number, rows: number) =>
  rowM2.slice(from, from + rows).reduce((sum, one) => sum + one, 0);

/** As many bays, their rows as alike as can be; as they were found where alike ones do not hold. */
function evenly(
  rows: number,
  count: number,
  found: readonly [number, number][],
  holds: (from: number, rows: number) => boolean,
  reach: number,
): readonly [number, number][] {
  const alike = Array.from({ length: count }, (_, k): [number, number] => {
    const [from, to] = [Math.round((rows * k) / count), Math.round((rows * (k + 1)) / count)];
    return [from, to - from];
  });
  return alike.every(([from, some]) => some <= reach && some > 0 && holds(from, some)) ? alike : found;
}
