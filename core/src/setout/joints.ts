import type { Division } from './division.ts';
import { STAIR_MM, type LaidPlank } from './plank.ts';
import type { RowStrip } from './rows.ts';

/** Where joints should not lie: a soft spot, an opening's strip, so far from a corner; in the laying frame, mm. */
export interface JointZone {
  id: string;
  fromMm: number;
  toMm: number;
  lowMm: number;
  highMm: number;
}

export type JointRule = 'stagger' | 'second' | 'stair' | 'zone';

/** A rule that is not kept, with its place and by how much. */
export interface JointBreach {
  rule: JointRule;
  strip: number;
  atMm: number;
  shortMm: number;
  zoneId?: string;
}

/** Joints of a divided strip, by their places along the rows. */
export function jointsOf(
  { fromMm }: Pick<RowStrip, 'fromMm'>,
  { startMm, wholes, endMm }: Division,
  plankMm: number,
): number[] {
  if (endMm === 0) return [];
  return Array.from({ length: wholes + 1 }, (_, k) => fromMm + startMm + k * plankMm);
}

/** Which strips lie beside which: in the row before and in the one before that, wherever they overlap along the rows. */
export interface Neighbours {
  pairs: { a: number; b: number; apartMm: number; rule: 'stagger' | 'second' }[];
  /** Strips one behind another over three rows, the nearest to the start wall first. */
  triples: [number, number, number][];
}

const overlapMm = (a: RowStrip, b: RowStrip) => Math.min(a.toMm, b.toMm) - Math.max(a.fromMm, b.fromMm);

export function neighboursOf(strips: readonly RowStrip[], { staggerMm, secondStaggerMm }: LaidPlank): Neighbours {
  const pairs: Neighbours['pairs'] = [];
  const before: number[] = [];
  strips.forEach((strip, a) => {
    let most = 0;
    before.push(-1);
    strips.forEach((other, b) => {
      const rows = strip.row - other.row;
      const shared = overlapMm(strip, other);
      if ((rows !== 1 && rows !== 2) || shared <= 0) return;
      if (rows === 1 && shared > most) [most, before[a]] = [shared, b];
      const apartMm = rows === 1 ? staggerMm : secondStaggerMm;
      if (apartMm > 0) pairs.push({ a, b, apartMm, rule: rows === 1 ? 'stagger' : 'second' });
    });
  });
  const triples = strips.flatMap((_, c): [number, number, number][] => {
    const b = before[c]!;
    const a = b < 0 ? -1 : before[b]!;
    return a < 0 ? [] : [[a, b, c]];
  });
  return { pairs, triples };
}

/** By how much two steps running are too much alike, mm: they are compared round a plank's length. */
export function stairShortMm(first: number, second: number, third: number, plankMm: number): number {
  const off = third - 2 * second + first;
  const apart = Math.abs(off - Math.round(off / plankMm) * plankMm);
  return Math.max(0, STAIR_MM - apart);
}

/** Joints of a strip in zones. */
export const zonesHit = (strip: RowStrip, joints: readonly number[], zones: readonly JointZone[]) =>
  zones.flatMap((zone) =>
    zone.lowMm < strip.highMm && zone.highMm > strip.lowMm
      ? joints
          .filter((at) => at > zone.fromMm && at < zone.toMm)
          .map((atMm) => ({ zone, atMm, shortMm: Math.min(atMm - zone.fromMm, zone.toMm - atMm) }))
      : [],
  );

const HAIR = 1e-6;

/** Every rule that joints do not keep, listed with its place. */
export function breachesOf(
  strips: readonly RowStrip[],
  divisions: readonly Division[],
  plank: LaidPlank,
  neighbours: Neighbours,
  zones: readonly JointZone[] = [],
): JointBreach[] {
  const joints = strips.map((strip, k) => jointsOf(strip, divisions[k]!, plank.lengthMm));
  return breachesAt(strips, joints, plank, neighbours, zones);
}

/** The same of joints by their places along the rows, whatever lies between them. */
export function breachesAt(
  strips: readonly RowStrip[],
  joints: readonly (readonly number[])[],
  plank: LaidPlank,
  { pairs, triples }: Neighbours,
  zones: readonly JointZone[] = [],
): JointBreach[] {
  const near = pairs.flatMap(({ a, b, apartMm, rule }) =>
    joints[a]!.flatMap((atMm): JointBreach[] => {
      const apart = Math.min(...joints[b]!.map((other) => Math.abs(atMm - other)));
      return apart < apartMm - HAIR ? [{ rule, strip: a, atMm, shortMm: apartMm - apart }] : [];
    }),
  );
  const stairs = triples.flatMap(([a, b, c]): JointBreach[] => {
    const [first, second, third] = [joints[a]![0], joints[b]![0], joints[c]![0]];
    if (first === undefined || second === undefined || third === undefined) return [];
    const shortMm = stairShortMm(first, second, third, plank.lengthMm);
    return shortMm > HAIR ? [{ rule: 'stair', strip: c, atMm: third, shortMm }] : [];
  });
  const zoned = strips.flatMap((strip, k) =>
    zonesHit(strip, joints[k]!, zones).map(({ zone, atMm, shortMm }): JointBreach => ({
      rule: 'zone',
      strip: k,
      atMm,
      shortMm,
      zoneId: zone.id,
    })),
  );
  return [...near, ...stairs, ...zoned];
}
