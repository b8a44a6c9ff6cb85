import { readOut } from '@maquette/words';
import Papa from 'papaparse';
import { gridOver } from '../flat/invented.ts';
import { inventedRoom } from '../levelling/invented-job.ts';
import { planOf } from '../room/index.ts';
import { esriGrid, levelJson, patchCsv } from './index.ts';
import { levelDxf } from './level-dxf.ts';
import { fills, sheet } from './invented-sheet.ts';

/** Group codes and values of a DXF file, in their order: the file is pairs of lines (DXF reference, group codes). */
function pairs(text: string): [code: number, value: string][] {
  const lines = text.split(/\r?\n/);
  return Array.from({ length: Math.floor(lines.length / 2) }, (_, i) => [Number(lines[2 * i]), lines[2 * i + 1]!]);
}

test('DXF: every entity stands on a layer that exists, walls in millimetres, contours at their height', () => {
  const all = pairs(levelDxf(sheet, readOut));
  expect(all.every(([code]) => Number.isInteger(code))).toBe(true);
  const insunits = all.findIndex(([code, value]) => code === 9 && value === '$INSUNITS');
  // 4 is millimetres.
  expect(all[insunits + 1]![1]).toBe('4');
  const layers = new Set(
    all.flatMap(([code, value], i) =>
      code === 2 && all.slice(Math.max(0, i - 8), i).some(([c, v]) => c === 0 && v === 'LAYER') ? [value] : [],
    ),
  );
  const entities = all.slice(all.findIndex(([code, value]) => code === 2 && value === 'ENTITIES'));
  const used = new Set(entities.filter(([code]) => code === 8).map(([, value]) => value));
  for (const name of ['WALLS', 'CONTOURS', 'FILL', 'GRIND', 'BAYS', 'CHALK', 'NOTES']) {
    expect(used).toContain(name);
    expect(layers).toContain(name);
  }
  const at = entities.findIndex(([code, value]) => code === 8 && value === 'WALLS');
  const wall = entities
    .slice(at, at + 30)
    .filter(([code]) => code === 10)
    .map(([, value]) => Number(value));
  expect(Math.max(...wall.slice(0, 4))).toBe(3000);
  expect(entities.filter(([code]) => code === 38).map(([, value]) => Number(value))).toEqual(
    expect.arrayContaining([1, -1]),
  );
});

test('the features are closed rings of local millimetres, each told apart by its kind', () => {
  const read = JSON.parse(levelJson(sheet, readOut)) as {
    units: string;
    certificates: string[];
    features: { properties: Record<string, unknown>; geometry: { type: string; coordinates: number[][][][] } }[];
  };
  expect(read.units).toBe('mm');
  expect(read.certificates[0]).toContain('holds');
  expect(new Set(read.features.map((f) => f.properties.kind))).toEqual(
    new Set(['room', 'contour', 'fill', 'grind', 'bay', 'chalk']),
  );
  for (const { geometry } of read.features.filter((f) => f.geometry.type === 'MultiPolygon'))
    for (const [ring] of geometry.coordinates) expect(ring!.at(-1)).toEqual(ring![0]);
  expect(read.features.find((f) => f.properties.kind === 'fill')!.properties).toMatchObject({
    label: 'A',
    deepest_mm: 2.98,
  });
});

test('ESRI grid: header, far row first, nothing where nothing is judged', () => {
  const small = gridOver(planOf(inventedRoom(300, 200)), 100);
  small.inside[0] = 0;
  const text = esriGrid(small, Float64Array.from([1, 2, 3, 4, 5, 6.126]));
  expect(text.split('\n')).toEqual([
    'ncols 3',
    'nrows 2',
    'xllcorner 0',
    'yllcorner 0',
    'cellsize 100',
    'NODATA_value -9999',
    '4.00 5.00 6.13',
    '-9999 2.00 3.00',
    '',
  ]);
});

test('patch list: kilograms by the product, every chalk point with two tapes', () => {
  const rows = Papa.parse<string[]>(patchCsv(sheet, 1.4, readOut).trim()).data;
  const fill = rows.find((row) => row[0] === 'fill')!;
  expect(Number(fill[6])).toBeCloseTo(fills[0]!.volumeL * 1.4, 2);
  const points = rows.filter((row) => row[0] === 'chalk');
  expect(points).toHaveLength(sheet.chalk.length);
  expect(points.every((row) => row.length === 9 && Number(row[5]) >= 0 && Number(row[7]) >= 0)).toBe(true);
});
