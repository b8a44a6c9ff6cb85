import { divide, nearestStart, startsOf, type Division } from './division.ts';
import { jointsOf, neighboursOf } from './joints.ts';
import { piecesOf } from './pieces.ts';
import type { LaidPlank } from './plank.ts';
import type { RowStrip } from './rows.ts';

export interface PlainWay {
  divisions: Division[];
  /** As they are opened one after another, an off-cut going nowhere but into the next row. */
  planks: number;
  /** Rows whose joints came too near to those before: nothing that was at hand kept them apart. */
  broken: number;
}

/** Starts that are tried from a fresh plank, as shares of it. */
const FRESH = [1, 2 / 3, 1 / 2, 1 / 3, 5 / 6];

/**
 * The plain way of the trade: the off-cut of a row begins the next where it is long enough and its joints stay apart from those before; else a fresh plank is begun. With
 * `both` the second row before is looked at as well.
 */
export function plainWay(strips: readonly RowStrip[], plank: LaidPlank, both: boolean): PlainWay {
  const pairs = neighboursOf(strips, plank).pairs.filter(({ rule }) => both || rule === 'stagger');
  const joints: number[][] = [];
  const divisions: Division[] = [];
  let [planks, broken] = [0, 0];
  let offcutMm = 0;
  strips.forEach((strip, k) => {
    const lengthMm = strip.toMm - strip.fromMm;
    const starts = startsOf(lengthMm, plank);
    const stays = (division: Division) =>
      pairs.every(
        ({ a, b, apartMm }) =>
          a !== k ||
          jointsOf(strip, division, plank.lengthMm).every((at) =>
            joints[b]!.every((other) => Math.abs(at - other) >= apartMm - 1e-6),
          ),
      );
    const at = (wishMm: number) => divide(lengthMm, nearestStart(starts, wishMm), plank)!;
    const fromOffcut = offcutMm > 0 ? divide(lengthMm, Math.floor(offcutMm), plank) : null;
    const kept = fromOffcut && stays(fromOffcut) ? fromOffcut : null;
    const fresh = kept ?? FRESH.map((share) => at(share * plank.lengthMm)).find(stays) ?? null;
    if (!fresh) broken++;
    const division = fresh ?? at(plank.lengthMm);
    const { wholes, startMm, endMm, freeMm } = piecesOf(division, plank);
    planks += wholes + (startMm !== null && !kept ? 1 : 0) + (endMm !== null ? 1 : 0) + (freeMm !== null ? 1 : 0);
    const lastMm = endMm ?? freeMm;
    offcutMm = lastMm === null ? 0 : plank.lengthMm - plank.kerfMm - lastMm - plank.trimMm;
    divisions.push(division);
    joints.push(jointsOf(strip, division, plank.lengthMm));
  });
  return { divisions, planks, broken };
}
