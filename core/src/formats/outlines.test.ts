import { readOut } from '@maquette/words';
import { invented } from '../room/invented-rooms.ts';
import { areaM2, perimeterMm } from '../room/index.ts';
import { levelJson, wallsCsv } from './index.ts';
import { levelsDxf } from './level-dxf.ts';
import { sheet } from './invented-sheet.ts';
import { closed, cornersOf, drawing, lengths, offered } from './invented-drawing.ts';
import type { DrawnUnit } from './outlines.ts';

describe('features', () => {
  const feature = (coordinates: unknown, properties: object = {}, more: object = {}) =>
    JSON.stringify({
      type: 'FeatureCollection',
      ...more,
      features: [{ type: 'Feature', properties, geometry: { type: 'Polygon', coordinates } }],
    });

  test('places in degrees are taken as distances on the ground', () => {
    const [east, north] = [13.4, 52];
    // A second of latitude is 30.9 m, of longitude at 52 degrees 19.1 m (WGS 84 tables): 4.0 by 3.0 m.
    const [dx, dy] = [4 / 68_678, 3 / 111_267];
    const read = offered(
      feature([
        [
          [east, north],
          [east + dx, north],
          [east + dx, north + dy],
          [east, north + dy],
          [east, north],
        ],
      ]),
    );
    expect(read.remarks.map((one) => readOut(one))[0]).toMatch(/^Places are in degrees/);
    for (const [i, mm] of [4000, 3000, 4000, 3000].entries())
      expect(Math.abs(lengths(read.rooms[0]!)[i]! - mm) / mm).toBeLessThan(0.005);
  });

  test('holes and what encloses nothing are said; a place that is none loses the outline, not a corner', () => {
    const ring = [
      [0, 0],
      [4, 0],
      [4, 3],
      [0, 3],
      [0, 0],
    ];
    const read = offered(
      feature(
        [
          ring,
          [
            [1, 1],
            [2, 1],
            [2, 2],
            [1, 1],
          ],
        ],
        { name: 'Sluice room' },
        { units: 'metres' },
      ),
    );
    expect(read.rooms.map(({ name, areaM2: m2 }) => [name, m2])).toEqual([['Sluice room', 12]]);
    expect(read.remarks.map((one) => readOut(one))).toEqual([expect.stringMatching(/^1 hole in outlines is left/)]);
    const broken = offered(
      feature([
        [
          [0, 0],
          [4, 0],
          [4, 'three'],
          [0, 3],
          [0, 0],
        ],
      ]),
    );
    expect(broken.rooms).toEqual([]);
    expect(broken.remarks.map((one) => readOut(one))).toEqual([
      expect.stringMatching(/^1 feature that encloses nothing is left/),
    ]);
  });
});

describe('tables', () => {
  test('lengths with turns, units as headings and cells say', () => {
    const read = offered(
      [
        'room;wall;length (m);turn',
        'Porch;hearth;4,2;left',
        'Porch;;2000 mm;90',
        'Porch;W3;1,2;right',
        'Porch;;1,0;l',
        'Porch;;3,0;',
        'Porch;;3,0;90°',
      ].join('\n'),
    );
    expect(read.problems).toEqual([]);
    expect(read.drawn).toBe(false);
    expect(lengths(read.rooms[0]!)).toEqual([4200, 2000, 1200, 1000, 3000, 3000]);
    expect(read.rooms[0]!.areaM2).toBeCloseTo(11.4, 6);
    expect(read.rooms[0]!.walls.map(({ name }) => name ?? null)).toEqual(['hearth', null, null, null, null, null]);
    // They were taped.
    expect(read.rooms[0]!.walls.some(({ drawn }) => drawn)).toBe(false);
  });

  test('angles inside the corners, feet and inches, and corners by place', () => {
    const feet = offered(`room,length,inside angle\nA,13' 6",90\nA,10',90\nA,13' 6",90\nA,10',90\n`);
    expect(lengths(feet.rooms[0]!)).toEqual([4114.8, 3048, 4114.8, 3048]);
    const corners = offered('room,x_m,y_m\nB,0,0\nB,0,3\nB,4,3\nB,4,0\n');
    expect(corners.rooms[0]!.areaM2).toBeCloseTo(12, 6);
    const square = offered('length_mm\n4000\n3000\n4000\n3000\n');
    expect(square.remarks.map((one) => readOut(one))).toEqual(['No turns are given: every corner is taken as square.']);
  });

  test('a room with a line that cannot be read is not taken without it; the others are', () => {
    const read = offered(
      'room,length_mm,turn\nA,4000,90\nA,3 m and a bit,90\nA,4000,90\nA,3000,90\nB,2000,sideways\nC,2000,\nC,2000,\nC,2000,\nC,2000,\n',
    );
    expect(read.rooms.map(({ name }) => name)).toEqual(['C']);
    expect(read.problems.map(({ line: at, reason }) => [at, readOut(reason)])).toEqual([
      [3, expect.stringContaining('3 m and a bit')],
      [6, expect.stringMatching(/“sideways” is no turn/)],
      [0, expect.stringMatching(/^“A” cannot be taken/)],
      [0, expect.stringMatching(/^“B” cannot be taken/)],
    ]);
  });

  test('walls out of range, too few, crossing and not closing are refused by name, with what is taken', () => {
    const why = (text: string) => offered(text).problems.map(({ reason }) => readOut(reason));
    const table = (...walls: string[]) => `room,length_mm,turn\n${walls.map((wall) => `A,${wall}`).join('\n')}\n`;
    expect(why(table('4000,90', '12,90', '4000,90', '12,90'))).toEqual([
      expect.stringMatching(/wall W2 is 12 mm long, 20 mm to 60/),
    ]);
    expect(why(table('4000,90', '3000,90'))).toEqual([expect.stringMatching(/it has 2 walls, 3 to 60 are taken/)]);
    expect(why(table('4000,90', '3000,90', '4000,90', '2000,90'))).toEqual([
      expect.stringContaining('“A” cannot be taken'),
    ]);
    expect(why(table('4000,180', '3000,90', '4000,90', '2000,90'))).toEqual([expect.stringContaining('doubles back')]);
    expect(why('x,y\n0,0\n4000,3000\n4000,0\n0,3000\n')).toEqual([expect.stringMatching(/crosses/)]);
  });
});

test('a room written as walls comes back wall for wall, whatever its shape', () => {
  for (let seed = 0; seed < 60; seed++) {
    const { walls } = invented(seed);
    const named = walls.map((wall, i) => (i === 1 ? { ...wall, name: 'hearth' } : wall));
    const read = offered(
      wallsCsv([
        { name: `Room ${seed}`, walls: named },
        { name: 'Other', walls },
      ]),
    );
    expect(read.problems).toEqual([]);
    expect(read.rooms.map((room) => room.walls)).toEqual([named, walls]);
  }
});

test('an outline is the same room in any unit, from any corner, either way round, far off on the drawing', () => {
  const per: Record<DrawnUnit, number> = { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8 };
  const numbers: Record<DrawnUnit, number> = { in: 1, ft: 2, mm: 4, cm: 5, m: 6 };
  for (let seed = 0; seed < 40; seed++) {
    const { plan } = invented(seed);
    const unit = (['mm', 'cm', 'm', 'in', 'ft'] as const)[seed % 5]!;
    const from = seed % plan.corners.length;
    const turned = [...plan.corners.slice(from), ...plan.corners.slice(0, from)];
    const ring = (seed % 2 ? turned.reverse() : turned).map(({ xMm, yMm }) => [
      (xMm + 5e5) / per[unit],
      (yMm - 3e5) / per[unit],
    ]);
    const dxf = drawing(closed('ROOM', ring), { unit: numbers[unit] });
    const json = JSON.stringify({ units: unit, type: 'Polygon', coordinates: [ring] });
    for (const text of [dxf, json]) {
      const [room] = offered(text).rooms;
      expect(room!.areaM2).toBeCloseTo(areaM2(plan.corners), 2);
      expect(Math.abs(perimeterMm(cornersOf(room!)) - perimeterMm(plan.corners))).toBeLessThan(2);
    }
  }
});

test('a drawing that names no unit takes the one that makes a house of it', () => {
  const side = (units: number) =>
    drawing(
      closed('ROOM', [
        [0, 0],
        [units, 0],
        [units, units],
        [0, units],
      ]),
    );
  expect([4.2, 4200, 420].map((units) => offered(side(units)).unit)).toEqual(['m', 'mm', 'cm']);
  expect([14, 168].map((units) => offered(side(units), null, 'imperial').unit)).toEqual(['ft', 'in']);
  // What is chosen by hand wins.
  expect(offered(side(4.2), 'ft').rooms[0]!.walls[0]!.lengthMm).toBeCloseTo(1280.2, 1);
});

test('what is no drawing, and a drawing cut short anywhere, is said and breaks nothing', () => {
  const missing = (text: string) => offered(text).missing.map((one) => readOut(one));
  expect(missing('')).toEqual(['a header']);
  expect(missing('{"type": "Feature')).toEqual(['drawing that can be read']);
  expect(missing('{"a": 1}')).toEqual(['outlines of rooms']);
  expect(missing('AutoCAD Binary DXF\r\n')).toEqual([expect.stringContaining('save the drawing as DXF in text')]);
  expect(missing('AC1032')).toEqual([expect.stringContaining('save the drawing as DXF in text')]);
  expect(missing('rod,reading\n1,2\n')).toEqual([expect.stringContaining('lengths of walls')]);
  const whole = levelsDxf([sheet], readOut);
  for (let cut = 0; cut < whole.length; cut += 97) expect(() => offered(whole.slice(0, cut))).not.toThrow();
  const json = levelJson(sheet, readOut);
  for (let cut = 0; cut < json.length; cut += 97) expect(() => offered(json.slice(0, cut))).not.toThrow();
});
