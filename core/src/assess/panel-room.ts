import { answerTo } from '../fields/index.ts';
import { figuresOf, type FigureOf } from '../figures/index.ts';
import {
  areaM2 as polygonAreaM2,
  distanceMm,
  entryPoint,
  fixtureName,
  FIXTURES,
  planOf,
  tapeFrom,
  type Plan,
  type PointMm,
  type Polygon,
  type Region,
  type WallDistance,
} from '../room/index.ts';
import { stopsOfServices, stopsSaid } from '../hazards/index.ts';
import type { Said, Sayable } from '../said/index.ts';
import {
  BASE_THINNEST,
  fixingLength,
  FIXINGS_AT,
  fixingsOfRectangle,
  fixingsOfShape,
  LOCATED,
  planPanels,
  PITCHES,
  type CutSheet,
  type FixingLength,
  type FixingPitch,
  type PanelBreak,
  type PanelCard,
  type PanelPiece,
} from '../under/index.ts';
import { panelField, type PanelField } from './panel-field.ts';
import type { RoomSet } from './room-set.ts';

/** One panel as it lies, in the order in which it is fixed. */
export interface ShownPanel {
  number: number;
  row: number;
  outline: Polygon;
  lengthMm: number;
  widthMm: number;
  isWhole: boolean;
  /** The sheet it is cut from, over the whole job. */
  sheet: number;
  fixings: number;
  /** Its corner nearest the first corner of the room, by two tapes. */
  tapes: WallDistance[];
  cutOuts: CutOut[];
  /** Why it may not be fixed where a pipe, drain or cable lies beneath, and who decides; null where nothing does. */
  stopped: Said | null;
}

/** A hole in a panel for what comes through the floor, with a slot to its nearest edge so that it slides under. */
export interface CutOut {
  name: Sayable;
  acrossMm: number;
  /** Its middle from the panel's edges, mm. */
  fromEndMm: number;
  fromSideMm: number;
  slotMm: number;
}

export interface PanelsOfRoom {
  roomId: string;
  panels: ShownPanel[];
  /** What of the rules no layout kept, each with its place by two tapes. */
  breaks: (PanelBreak & { tapes: WallDistance[] })[];
  seamsUnknown: PanelField['seamsUnknown'];
  directionUnknown: boolean;
  fixings: number;
  fixing: FixingLength;
  pitch: FixingPitch;
  /** Joints to fill, m. */
  seamsM: number;
}

const pitchOf = (set: RoomSet, figure: FigureOf): FixingPitch => {
  const at = answerTo(set.answers, FIXINGS_AT) ?? '75/150';
  const usual = PITCHES[set.room.units];
  if (at !== 'own') return usual[at];
  const { insetMm } = usual['75/150'];
  return { edgeMm: figure('fixing-edge-mm'), fieldMm: figure('fixing-field-mm'), insetMm };
};

/** A room laid by the rules, before its pieces are cut. */
export interface LaidRoom {
  set: RoomSet;
  plan: ReturnType<typeof planPanels>;
  order: PanelPiece[];
  outline: Plan;
  field: PanelField;
  figure: FigureOf;
  fieldM2: number;
}

/** Lays the field of a room; its panels in the order in which they are fixed. */
export function layRoom(set: RoomSet, card: PanelCard): LaidRoom {
  const outline = planOf(set.room);
  const figure = figuresOf(set.figures, set.room.units);
  const field = panelField(set.room, outline, figure);
  const plan = planPanels(field.region, card, field.seams, {
    rules: {
      fromSeamMm: figure('panel-seam-mm'),
      endsApartMm: figure('panel-ends-mm'),
      leastPieceMm: figure('panel-least-mm'),
    },
  });
  const door = field.frame.to(entryPoint(set.room, outline));
  const far = ({ acrossMm, widthMm }: PanelPiece) => Math.abs(acrossMm + widthMm / 2 - door.yMm);
  // The row farthest from the way in first, each row from one end to the other.
  const order = [...plan.layout.pieces].sort((a, b) =>
    a.row === b.row ? a.fromMm - b.fromMm : far(b) - far(a) || a.row - b.row,
  );
  const fieldM2 = plan.layout.pieces.reduce((sum, piece) => sum + polygonAreaM2(piece.outline), 0);
  return { set, plan, order, outline, field, figure, fieldM2 };
}

/** A piece whose outline is its box. */
const isBox = ({ outline, lengthMm, widthMm }: PanelPiece) =>
  outline.length === 4 && Math.abs(polygonAreaM2(outline) * 1e6 - lengthMm * widthMm) < 1;

/** A laid room as it is shown and fixed, its panels cut from these sheets. */
export function shownRoom(
  { set, plan, order, outline, field, figure }: LaidRoom,
  card: PanelCard,
  sheets: readonly CutSheet[],
): PanelsOfRoom {
  const pitch = pitchOf(set, figure);
  const { base } = set.room;
  const fixing = fixingLength(
    card.thicknessMm,
    answerTo(set.answers, BASE_THINNEST),
    { isLocated: answerTo(set.answers, LOCATED) === 'yes', isHeated: base.heating !== 'none' },
    set.room.units,
  );
  // How far a point goes into the base; where no length is known as far as staples go.
  const deepMm = fixing.lengthMm === null ? undefined : fixing.lengthMm - card.thicknessMm;
  const panels = order.map((piece, k): ShownPanel => {
    const count = isBox(piece)
      ? fixingsOfRectangle(piece.widthMm, piece.lengthMm, pitch)
      : fixingsOfShape(piece.outline, pitch);
    return {
      number: k + 1,
      row: piece.row + 1,
      outline: piece.outline.map(field.frame.back),
      lengthMm: piece.lengthMm,
      widthMm: piece.widthMm,
      isWhole: piece.lengthMm > card.lengthMm - 0.5 && piece.widthMm > card.widthMm - 0.5,
      sheet: 1 + sheets.findIndex(({ shelves }) => shelves.some(({ pieces }) => pieces.includes(piece))),
      fixings: count.all,
      tapes: tapeFrom(set.room, outline, field.frame.back({ xMm: piece.fromMm, yMm: piece.acrossMm })),
      cutOuts: cutOutsOf(set, field, piece),
      stopped: stoppedOver(set, piece.outline.map(field.frame.back), deepMm, figure),
    };
  });
  return {
    roomId: set.room.id,
    panels,
    breaks: plan.layout.breaks.map((broken) => ({
      ...broken,
      tapes: tapeFrom(set.room, outline, field.frame.back(placeOf(broken, plan.layout.pieces))),
    })),
    seamsUnknown: field.seamsUnknown,
    directionUnknown: field.directionUnknown,
    fixings: panels.reduce((sum, { fixings }) => sum + fixings, 0),
    fixing,
    pitch,
    seamsM: seamsOf(plan.layout.pieces, field.region),
  };
}

/** Where a rule is not kept, in the turned frame: on the seam over its row, or at the joint or piece in the middle of its row. */
function placeOf({ rule, row, atMm }: PanelBreak, pieces: readonly PanelPiece[]): PointMm {
  const own = pieces.filter((piece) => piece.row === row);
  const [first] = own;
  if (!first) return { xMm: atMm, yMm: atMm };
  return rule === 'long-seam'
    ? { xMm: Math.min(...own.map(({ fromMm }) => fromMm)), yMm: atMm }
    : { xMm: atMm, yMm: first.acrossMm + first.widthMm / 2 };
}

/** What lies beneath a panel and stops its fixings; every one of them is asked of the one predicate of hazards. */
function stoppedOver({ room }: RoomSet, outline: Polygon, deepMm: number | undefined, figure: FigureOf): Said | null {
  const stops = stopsOfServices(
    'staple',
    { services: room.services ?? [], serviceClearMm: figure('services-clear-mm') },
    { at: { points: outline, area: true }, ...(deepMm === undefined ? {} : { deepMm }) },
  );
  return stops.length === 0 ? null : stopsSaid(stops);
}

/** Length of all joints between panels, m: half of what the sides of all pieces have more than those of the field. */
function seamsOf(pieces: readonly PanelPiece[], field: Region): number {
  const roundMm = (ring: Polygon) => ring.reduce((sum, at, k) => sum + distanceMm(at, ring[(k + 1) % ring.length]!), 0);
  const sidesMm = pieces.reduce((sum, { outline }) => sum + roundMm(outline), 0);
  const edgesMm = field.flat().reduce((sum, ring) => sum + roundMm(ring.map(([xMm, yMm]) => ({ xMm, yMm }))), 0);
  return Math.max(0, sidesMm - edgesMm) / 2000;
}

/** What comes through the floor within a piece: where its middle is from the piece's edges, and how long the slot to the nearest edge. */
function cutOutsOf(
  { room }: RoomSet,
  { frame }: PanelField,
  { fromMm, acrossMm, lengthMm, widthMm }: PanelPiece,
): CutOut[] {
  return room.fixtures.flatMap((fixture): CutOut[] => {
    if (FIXTURES[fixture.kind].standing !== 'hole') return [];
    const at = frame.to(fixture);
    const [u, v] = [at.xMm - fromMm, at.yMm - acrossMm];
    if (u <= 0 || v <= 0 || u >= lengthMm || v >= widthMm) return [];
    const edgeMm = Math.min(u, v, lengthMm - u, widthMm - v);
    return [
      {
        name: fixtureName(fixture),
        acrossMm: fixture.widthMm,
        fromEndMm: u,
        fromSideMm: v,
        slotMm: Math.max(0, edgeMm - fixture.widthMm / 2),
      },
    ];
  });
}
