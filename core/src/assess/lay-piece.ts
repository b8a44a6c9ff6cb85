import { common, fixtureName, fixtureOutline, FIXTURES, regionOf, type Fixture, type Polygon } from '../room/index.ts';
import type { Sayable } from '../said/index.ts';
import {
  framed,
  notchFor,
  pipeHole,
  rowTable,
  wayIn,
  waysAllowed,
  type FloorPlan,
  type LaidPiece,
  type Notch,
  type PipeHole,
  type RowStrip,
  type WayIn,
} from '../setout/index.ts';
import type { LayGround } from './lay-ground.ts';

/** A piece as it is cut and laid: numbers, lengths mm, places from its left end and the edge nearer the start wall, face up. */
export interface ShownPlank {
  number: number;
  /** From 1, with the strip of the row where something parts it. */
  row: number;
  strip: number;
  kind: LaidPiece['kind'];
  outline: Polygon;
  /** As it lies along its row, in the laying frame. */
  fromMm: number;
  toMm: number;
  cutMm: number;
  /** Its width at its left end and at its right, where that is less than a plank's; null where it is not ripped. */
  ripMm: [number, number] | null;
  plank: number;
  rippedFrom: number | null;
  /** The piece that is cut from what this one leaves of its plank; null where none is. */
  restTo: number | null;
  restMm: number;
  /** Laid already. */
  isLaid: boolean;
  notches: (Notch & { name: Sayable })[];
  holes: (PipeHole & { name: Sayable })[];
  /** Null where nothing its card allows would bring it in. */
  wayIn: WayIn | null;
  /** What hangs over it, where its way in is not the plain one. */
  under: Sayable | null;
  /** Which figure of the print, where their number is known: pieces that touch differ. */
  print: number | null;
}

const HAIR = 1e-6;

interface Over {
  name: Sayable;
  lowMm: number;
  highMm: number;
  fromMm: number;
  toMm: number;
  freeMm: number;
}

const boxOf = (polygon: readonly [number, number][]) => {
  const [us, vs] = [polygon.map(([u]) => u), polygon.map(([, v]) => v)];
  return {
    fromMm: Math.min(...us),
    toMm: Math.max(...us),
    lowMm: Math.min(...vs),
    highMm: Math.max(...vs),
  };
};

/** What hangs low over the floor, with the height that is free under it; not where nobody has measured it. */
const hangingOver = ({ fixtures, frame }: LayGround): Over[] =>
  fixtures.flatMap((fixture): Over[] =>
    FIXTURES[fixture.kind].standing === 'over' && fixture.heightMm !== null
      ? [{ name: fixtureName(fixture), freeMm: fixture.heightMm, ...boxOf(framed(fixtureOutline(fixture), frame)) }]
      : [],
  );

const isComingThrough = ({ kind }: Fixture) => FIXTURES[kind].standing === 'hole';

/** Pieces of a planned floor as they are cut, in the order of laying. */
export function shownPlanks(
  ground: LayGround,
  plan: FloorPlan,
  lying: ReadonlySet<number>,
  prints: number | null,
): ShownPlank[] {
  const { plank, frame, set, figure, fixtures } = ground;
  const isGlued = set.card.kind === 'glue-down-vinyl';
  const over = hangingOver(ground);
  const allowed = waysAllowed(set.card, figure('tilt-deg'));
  const through = fixtures.filter(isComingThrough);
  const standing = fixtures.filter(({ kind }) => FIXTURES[kind].standing === 'island');
  const table = rowTable(plan.strips, plan.rows.divisions);
  const usedBy = new Map(plan.cuts.planks.map((used) => [used.number, used]));
  const inRow = plan.strips.map(
    ({ row }, k) => 1 + plan.strips.slice(0, k).filter((other) => other.row === row).length,
  );
  const shown = plan.cuts.pieces.map((piece): ShownPlank => {
    const strip = plan.strips[piece.strip]!;
    const { leftWideMm, rightWideMm } = table[piece.strip]!;
    const at = (u: number) =>
      leftWideMm + ((rightWideMm - leftWideMm) * (u - strip.fromMm)) / Math.max(1, strip.toMm - strip.fromMm);
    const wide: [number, number] = [at(piece.fromMm), at(piece.toMm)];
    const low = Math.min(strip.lowMm, strip.highMm - Math.max(...wide));
    const box = { fromMm: piece.fromMm, toMm: piece.toMm, lowMm: strip.lineMm, highMm: strip.lineMm + plank.widthMm };
    const used = usedBy.get(piece.plank)!;
    const after = used.pieces.filter((number) => number > piece.number);
    const round = { ...box, lowMm: Math.max(box.lowMm, low), highMm: Math.min(box.highMm, strip.highMm) };
    const holes = through.flatMap((fixture) => {
      if (!fixture.round) return [];
      const [u, v] = frame.to(fixture);
      const gapMm = set.card.perimeterGapMm;
      const hole = pipeHole(round, { id: fixture.id, uMm: u, vMm: v, diameterMm: fixture.widthMm, gapMm });
      return hole ? [{ ...hole, name: fixtureName(fixture) }] : [];
    });
    const notches = [...through.filter(({ round: isRound }) => !isRound), ...standing].flatMap((fixture) => {
      const grow = FIXTURES[fixture.kind].standing === 'island' ? set.card.perimeterGapMm : 0;
      const outline = framed(fixtureOutline(fixture, grow), frame).map(([xMm, yMm]) => ({ xMm, yMm }));
      const notch = notchFor(round, { id: fixture.id, outline });
      return notch ? [{ ...notch, name: fixtureName(fixture) }] : [];
    });
    const low2 = over.find(
      (one) =>
        one.fromMm < piece.toMm && one.toMm > piece.fromMm && one.lowMm < round.highMm && one.highMm > round.lowMm,
    );
    const way = wayIn(
      { wideMm: round.highMm - round.lowMm, longMm: piece.toMm - piece.fromMm, thickMm: set.card.thicknessMm },
      { freeMm: low2?.freeMm ?? null, openMm: strip.toMm - piece.toMm },
      allowed,
    );
    return {
      number: piece.number,
      row: piece.row + 1,
      strip: inRow[piece.strip]!,
      kind: piece.kind,
      outline: outlineOf(ground, round, strip),
      fromMm: piece.fromMm,
      toMm: piece.toMm,
      cutMm: piece.cutMm,
      ripMm: Math.min(...wide) < plank.widthMm - 0.5 ? wide : null,
      plank: piece.plank,
      rippedFrom: piece.rippedFrom,
      restTo: after[0] ?? null,
      restMm: used.restMm,
      isLaid: lying.has(piece.strip),
      notches,
      holes,
      wayIn: way,
      under: way === 'angled' || (isGlued && way !== null) ? null : (low2?.name ?? null),
      print: null,
    };
  });
  return prints === null ? shown : withPrints(shown, plan, prints);
}

/** A piece as it lies in the room: its box, cut by the edges of the floor. */
function outlineOf(
  { frame }: LayGround,
  { fromMm, toMm, lowMm, highMm }: { fromMm: number; toMm: number; lowMm: number; highMm: number },
  { part }: RowStrip,
): Polygon {
  const box: Polygon = [
    { xMm: fromMm, yMm: lowMm },
    { xMm: toMm, yMm: lowMm },
    { xMm: toMm, yMm: highMm },
    { xMm: fromMm, yMm: highMm },
  ];
  const isPlain = part.length === 1 && part[0]!.length <= 4;
  const cut = isPlain ? [] : common(regionOf(box), [part]);
  const ring = cut[0]?.[0]?.map(([xMm, yMm]) => ({ xMm, yMm })) ?? box;
  return ring.map(({ xMm, yMm }) => frame.back(xMm, yMm));
}

/** A figure of the print for each piece: pieces of one plank bear the same, those that touch differ, and all are drawn alike often. */
function withPrints(pieces: readonly ShownPlank[], plan: FloorPlan, prints: number): ShownPlank[] {
  const drawn = new Map<number, number>();
  const times = new Array<number>(prints).fill(0);
  const printOf = (planks: Iterable<number>) =>
    new Set([...planks].flatMap((plank) => (drawn.has(plank) ? [drawn.get(plank)!] : [])));
  const laid = plan.cuts.pieces;
  const touches = (a: LaidPiece, b: LaidPiece) =>
    Math.abs(a.row - b.row) <= 1 &&
    a.number !== b.number &&
    Math.min(a.toMm, b.toMm) - Math.max(a.fromMm, b.fromMm) > (a.row === b.row ? -1 : HAIR);
  for (const { plank } of laid) {
    if (drawn.has(plank)) continue;
    const own = laid.filter((piece) => piece.plank === plank);
    const beside = printOf(laid.filter((other) => own.some((piece) => touches(piece, other))).map((one) => one.plank));
    const free = times.map((_, k) => k).filter((k) => !beside.has(k));
    const pick = (free.length > 0 ? free : times.map((_, k) => k)).reduce((a, b) => (times[b]! < times[a]! ? b : a));
    drawn.set(plank, pick);
    times[pick]!++;
  }
  return pieces.map((piece) => ({ ...piece, print: drawn.get(piece.plank)! + 1 }));
}
