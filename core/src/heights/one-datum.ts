/** One height read in two rooms: what it is over the datum of each, mm, and how far off the difference may be. */
export interface DatumTie {
  id: string;
  roomIds: readonly [string, string];
  levelsMm: readonly [number, number];
  offMm: number;
}

export interface OneDatum {
  /** What is added to a room's own heights to have them over the storey's datum, mm: that of the first room of its group. */
  offsetMm: ReadonlyMap<string, number>;
  /** Rooms tied to one another, those of the first room first. Rooms of different groups cannot be compared yet. */
  groups: string[][];
  /** The tie that agrees least with the others, mm; null where none is read twice over. */
  worst: { tieId: string; apartMm: number } | null;
}

/** Sweeps end once no room moves by this, mm. */
const SETTLED_MM = 1e-9;
const SWEEPS_MOST = 10_000;

/**
 * One datum for the rooms of a storey from the heights they share: each tie is weighed by how sure it is, and loops that do not
 * close are spread over their ties by least squares. Solved by sweeps: every room takes the weighted mean of what its ties say.
 */
export function oneDatum(roomIds: readonly string[], ties: readonly DatumTie[]): OneDatum {
  const offsetMm = new Map<string, number>();
  const groups: string[][] = [];
  // What a tie says of the offset of its room at `end`, given the other's.
  const said = (tie: DatumTie, end: 0 | 1) => {
    const other = end === 0 ? 1 : 0;
    return offsetMm.get(tie.roomIds[other])! + tie.levelsMm[other] - tie.levelsMm[end];
  };
  for (const first of roomIds) {
    if (offsetMm.has(first)) continue;
    offsetMm.set(first, 0);
    const group = [first];
    for (const id of group)
      for (const tie of ties) {
        const end = tie.roomIds.indexOf(id);
        if (end < 0) continue;
        const next = end === 0 ? 1 : 0;
        if (offsetMm.has(tie.roomIds[next])) continue;
        offsetMm.set(tie.roomIds[next], said(tie, next));
        group.push(tie.roomIds[next]);
      }
    groups.push(group);
    settle(group.slice(1));
  }
  return { offsetMm, groups, worst: worstOf() };

  function settle(rooms: readonly string[]) {
    for (let sweep = 0, moved = Infinity; moved > SETTLED_MM && sweep < SWEEPS_MOST; sweep++) {
      moved = 0;
      for (const id of rooms) {
        let [sum, weights] = [0, 0];
        for (const tie of ties) {
          const end = tie.roomIds.indexOf(id);
          if (end < 0) continue;
          const weight = 1 / tie.offMm ** 2;
          sum += weight * said(tie, end === 0 ? 0 : 1);
          weights += weight;
        }
        moved = Math.max(moved, Math.abs(sum / weights - offsetMm.get(id)!));
        offsetMm.set(id, sum / weights);
      }
    }
  }

  function worstOf(): OneDatum['worst'] {
    const apart = ties.map((tie) => ({
      tieId: tie.id,
      apartMm: Math.abs(said(tie, 0) - offsetMm.get(tie.roomIds[0])!),
    }));
    const rooms = groups.reduce((sum, group) => sum + group.length, 0);
    // A tree of ties closes by itself: only what is tied more than once can disagree.
    if (ties.length <= rooms - groups.length) return null;
    return apart.reduce((worst, one) => (one.apartMm > worst.apartMm ? one : worst));
  }
}
