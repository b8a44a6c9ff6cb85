import { Colors, DxfWriter, point2d, point3d, Units } from '@tarikjabiri/dxf';
import { boundsMm, type Polygon } from '../room/index.ts';
import { middleOf, type LaySheet } from './lay-sheet.ts';

const LETTER_MM = 70;
const round = (mm: number) => Math.round(mm * 10) / 10;

/** The planks as DXF in real millimetres: WALLS, PLANKS, LAID, CHALK, NUMBERS and NOTES on layers of their own. */
export function layDxf({ title, corners, pieces, chalk, notes }: LaySheet): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  const layers = {
    WALLS: Colors.White,
    PLANKS: Colors.Cyan,
    LAID: Colors.Green,
    CHALK: Colors.Blue,
    NUMBERS: Colors.White,
    NOTES: Colors.White,
  };
  for (const [name, color] of Object.entries(layers)) dxf.addLayer(name, color, 'Continuous');
  const ring = (layerName: keyof typeof layers, outline: Polygon) =>
    void dxf.addLWPolyline(
      outline.map(({ xMm, yMm }) => ({ point: point2d(round(xMm), round(yMm)) })),
      { layerName, flags: 1 },
    );
  ring('WALLS', corners);
  for (const { number, outline, isLaid } of pieces) {
    ring(isLaid ? 'LAID' : 'PLANKS', outline);
    const { xMm, yMm } = middleOf(outline);
    dxf.addText(point3d(round(xMm), round(yMm)), LETTER_MM, String(number), { layerName: 'NUMBERS' });
  }
  for (const [from, to] of chalk)
    dxf.addLine(point3d(round(from.xMm), round(from.yMm)), point3d(round(to.xMm), round(to.yMm)), {
      layerName: 'CHALK',
    });
  const { minX, minY } = boundsMm(corners);
  [title, ...notes].forEach((words, k) =>
    dxf.addText(point3d(minX, minY - (k + 2) * 160), 100, words.replace(/[\r\n]+/g, ' '), { layerName: 'NOTES' }),
  );
  return dxf.stringify();
}
