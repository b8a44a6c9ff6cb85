import { Colors, DxfWriter, point2d, point3d, Units } from '@tarikjabiri/dxf';
import { boundsMm, type Polygon } from '../room/index.ts';
import { certificateLine, type LevelSheet, type Written } from './level-sheet.ts';

type Ring = readonly (readonly [number, number])[];

/** Height of lettering on the drawing, mm on the floor. */
const LETTER_MM = 100;

const LAYERS = {
  WALLS: Colors.White,
  CONTOURS: Colors.Cyan,
  FILL: Colors.Blue,
  GRIND: Colors.Red,
  BAYS: Colors.Green,
  CHALK: Colors.Yellow,
  NOTES: Colors.White,
};

/** Free space between rooms that stand beside one another on a drawing, mm. */
const BESIDE_MM = 1000;

/**
 * The level map and the work on it as DXF in real millimetres: WALLS, CONTOURS (with their height as elevation), FILL, GRIND,
 * BAYS, CHALK and NOTES on layers of their own.
 */
export const levelDxf = (sheet: LevelSheet, written: Written): string => levelsDxf([sheet], written);

/** Several rooms as one drawing, each in its own frame, one beside another along x. */
export function levelsDxf(sheets: readonly LevelSheet[], written: Written): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  for (const [name, color] of Object.entries(LAYERS)) dxf.addLayer(name, color, 'Continuous');
  let fromX = 0;
  sheets.forEach((sheet, k) => {
    const { minX, maxX } = boundsMm(sheet.plan.corners);
    // The first room keeps its own places.
    const moveX = k === 0 ? 0 : fromX - minX;
    addSheet(dxf, sheet, written, moveX);
    fromX = maxX + moveX + BESIDE_MM;
  });
  return dxf.stringify();
}

function addSheet(dxf: DxfWriter, sheet: LevelSheet, written: Written, moveX: number): void {
  const ring = (layer: keyof typeof LAYERS, points: Ring, elevation = 0) => {
    const open = closed(points) ? points.slice(0, -1) : points;
    if (open.length < 2) return;
    dxf.addLWPolyline(
      open.map(([x, y]) => ({ point: point2d(round(x + moveX), round(y)) })),
      { layerName: layer, flags: 1, elevation },
    );
  };
  const text = (layer: keyof typeof LAYERS, x: number, y: number, words: string, height = LETTER_MM) =>
    void dxf.addText(point3d(round(x + moveX), round(y)), height, words, { layerName: layer });
  for (const outline of [sheet.plan.corners, ...sheet.plan.islands]) ring('WALLS', ringOf(outline));
  for (const band of [...(sheet.map?.highs ?? []), ...(sheet.map?.lows ?? [])])
    for (const line of band.rings) ring('CONTOURS', line, band.levelMm);
  for (const line of sheet.map?.zero ?? []) ring('CONTOURS', line, 0);
  for (const [layer, areas] of [
    ['FILL', sheet.fills],
    ['GRIND', sheet.grinding],
  ] as const)
    for (const area of areas) {
      for (const outline of area.outlines) ring(layer, outline);
      text(layer, ...area.deepestAt, `${area.label} ${area.deepestMm.toFixed(1)} mm`);
    }
  for (const bay of sheet.bays) {
    for (const line of bay.region.flat()) ring('BAYS', line);
    const [first] = bay.region[0]?.[0] ?? [];
    if (first) text('BAYS', first[0] + LETTER_MM, first[1] + LETTER_MM, `bay ${bay.number}: ${bay.bags} bags`);
  }
  for (const point of sheet.chalk) {
    dxf.addPoint(point.at.xMm + moveX, point.at.yMm, 0, { layerName: 'CHALK' });
    text('CHALK', point.at.xMm, point.at.yMm, `${point.label}${point.number}`, LETTER_MM / 2);
  }
  const { minX, minY, maxX, maxY } = boundsMm(sheet.plan.corners);
  // On the walls' own layer: by it a reader knows what the outline is called.
  text('WALLS', (minX + maxX) / 2, (minY + maxY) / 2, plain(sheet.title));
  [sheet.title, ...sheet.certificates.map((one) => written(certificateLine(one)))].forEach((words, i) =>
    text('NOTES', minX, minY - (i + 2) * LETTER_MM * 1.6, plain(words)),
  );
}

const round = (mm: number) => Math.round(mm * 10) / 10;
const ringOf = (polygon: Polygon): Ring => polygon.map((p) => [p.xMm, p.yMm]);
/** One line of text: what breaks a line would break the file. */
const plain = (words: string) => words.replace(/[\r\n]+/g, ' ');

function closed(points: Ring): boolean {
  const [first, last] = [points[0], points.at(-1)];
  return points.length > 2 && first![0] === last![0] && first![1] === last![1];
}
