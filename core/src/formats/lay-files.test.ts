import { layCsv, laySvg, type LaySheet } from './index.ts';
import { layDxf } from './dxf.ts';

const box = (x: number, y: number, w: number, d: number) => [
  { xMm: x, yMm: y },
  { xMm: x + w, yMm: y },
  { xMm: x + w, yMm: y + d },
  { xMm: x, yMm: y + d },
];
const SHEET: LaySheet = {
  title: 'Lock & <weir>',
  corners: box(0, 0, 2000, 1000),
  pieces: [
    { number: 1, outline: box(10, 10, 900, 200), isLaid: true },
    { number: 2, outline: box(910, 10, 1080, 200) },
  ],
  chalk: [
    [
      { xMm: 10, yMm: 210 },
      { xMm: 1990, yMm: 210 },
    ],
  ],
  notes: ['12 planks'],
};

test('the drawing is in millimetres, with y up turned down, and text that breaks no markup', () => {
  const svg = laySvg(SHEET);
  expect(svg).toContain('<title>Lock &amp; &lt;weir&gt;</title>');
  expect(svg).toContain('viewBox="0 0 2500 1650"');
  // The first piece's lower left corner: 10 mm in from the margin, 990 mm down from the top wall.
  expect(svg).toContain('d="M260 1240L1160 1240L1160 1040L260 1040Z" fill="#D9D4C8"');
  expect(svg.match(/<text[^>]*>2<\/text>/)).not.toBeNull();
});

test('the DXF has walls, planks, laid planks, lines and numbers on layers of their own', () => {
  const dxf = layDxf(SHEET);
  for (const layer of ['WALLS', 'PLANKS', 'LAID', 'CHALK', 'NUMBERS', 'NOTES']) expect(dxf).toContain(layer);
  expect(dxf.split('LWPOLYLINE').length - 1).toBe(3);
});

test('the cut list has a line a piece; a whole plank has no widths', () => {
  const piece = {
    number: 1,
    row: 1,
    kind: 'start',
    cutMm: 612.34,
    ripMm: [110, 112] as const,
    plank: 1,
    restTo: 5,
    restMm: 604.6,
    isLaid: true,
  };
  const csv = layCsv([
    piece,
    { ...piece, number: 2, kind: 'whole', cutMm: 1220, ripMm: null, restTo: null, restMm: 0, isLaid: false },
  ]);
  expect(csv.split('\n')).toEqual([
    'piece,row,kind,length_mm,left_width_mm,right_width_mm,plank,rest_to,rest_mm,laid',
    '1,1,start,612.3,110,112,1,5,604.6,yes',
    '2,1,whole,1220,,,1,,0,no',
  ]);
});
