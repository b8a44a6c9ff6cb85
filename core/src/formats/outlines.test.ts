import { readOut } from '@maquette/words';
import { invented } from '../room/invented-rooms.ts';
import { areaM2, outlineOf, perimeterMm, type Polygon } from '../room/index.ts';
import { levelJson, wallsCsv } from './index.ts';
import { levelsDxf } from './level-dxf.ts';
import { sheet } from './invented-sheet.ts';
import { closed, drawing, line, word } from './invented-drawing.ts';
import { offeredOf, outlinesOf, ROOMS_MOST, type DrawnUnit } from './outlines.ts';

const offered = (text: string, unit: DrawnUnit | null = null, units: 'metric' | 'imperial' = 'metric') =>
  offeredOf(outlinesOf(text), units, unit);
const lengths = (room: { walls: readonly { lengthMm: number }[] }) => room.walls.map(({ lengthMm }) => lengthMm);
const cornersOf = (room: { walls: Parameters<typeof outlineOf>[0]; start: Parameters<typeof outlineOf>[1] }): Polygon =>
  outlineOf(room.walls, room.start).corners;

describe('drawings', () => {
  /** An L of 4.2 by 3 m with 1.2 by 1 m off: 11.4 m2, drawn clockwise. */
  const L = [
    [10, 20],
    [10, 23],
    [13, 23],
    [13, 22],
    [14.2, 22],
    [14.2, 20],
  ];

  test('a closed outline becomes walls with the room on the left, called by the word in it, in the unit the drawing names', () => {
    const read = offered(
      drawing(
        [...closed('A-ROOMS', L), ...word('TEXTS', 11, 21, 'SCULLERY'), ...word('TEXTS', 11, 21.5, '11.4 m2', 0.5)],
        {
          unit: 6,
        },
      ),
    );
    expect(read).toMatchObject({ unit: 'm', unitNamed: true, problems: [], remarks: [], missing: [] });
    const [room] = read.rooms;
    expect(room).toMatchObject({ name: 'SCULLERY', ticked: true, doubt: null, at: { xMm: 0, yMm: 0 } });
    expect(lengths(room!)).toEqual([4200, 2000, 1200, 1000, 3000, 3000]);
    expect(room!.walls.map(({ turnDeg }) => turnDeg)).toEqual([90, 90, -90, 90, 90, 90]);
    // Nobody has taped it.
    expect(room!.walls.every(({ drawn }) => drawn)).toBe(true);
    expect(room!.areaM2).toBeCloseTo(11.4, 6);
  });

  test('a styled word names by its line that is no size, and not the storey it also stands in', () => {
    const styled = [
      [0, 'MTEXT'],
      [8, 'NAMES'],
      [10, 2],
      [20, 2],
      [40, 0.2],
      [1, '{\\fBold|b1;12.3 m2}\\P{\\C1;Net loft \\U+00E9}'],
    ] as const;
    const square = (x: number, size: number) => [
      [x, x],
      [x + size, x],
      [x + size, x + size],
      [x, x + size],
    ];
    const read = offered(
      drawing([...closed('ROOM', square(0, 9)), ...closed('ROOM', square(1, 3)), ...styled], { unit: 6 }),
    );
    expect(read.rooms.map(({ name }) => name)).toEqual([null, 'Net loft é']);
  });

  test('corners that later versions number are all read', () => {
    const [room] = offered(drawing(closed('ROOM', L, true), { unit: 6 })).rooms;
    expect(room!.areaM2).toBeCloseTo(11.4, 6);
  });

  test('single lines that share walls part a storey into its rooms; one that leads nowhere is said', () => {
    const read = offered(
      drawing([
        ...line('WALLS', 0, 0, 6000, 0),
        ...line('WALLS', 6000, 4000, 6000, 0),
        ...line('WALLS', 6000, 4000, 0, 4000),
        ...line('WALLS', 0, 4000, 0, 0),
        // Ends in the middle of two others, as a partition does.
        ...line('WALLS', 2500, 0, 2500, 4000),
        ...line('WALLS', 2500, 1000, 3500, 1000),
      ]),
    );
    expect(read.unit).toBe('mm');
    expect(read.rooms.map((room) => room.areaM2).sort()).toEqual([10, 14]);
    expect(read.rooms.every(({ ticked }) => ticked)).toBe(true);
    expect(read.remarks.map((one) => readOut(one))).toEqual([
      expect.stringMatching(/^1 single line closes no outline/),
    ]);
  });

  test('a block is read where it is put: moved, turned and drawn larger', () => {
    const blocks = [
      [0, 'BLOCK'],
      [2, 'UNIT'],
      [10, 1],
      [20, 1],
      ...closed('0', [
        [1, 1],
        [3, 1],
        [3, 2],
        [1, 2],
      ]),
      [0, 'ENDBLK'],
    ] as const;
    const put = [
      [0, 'INSERT'],
      [8, 'ROOMS'],
      [2, 'UNIT'],
      [10, 5],
      [20, 5],
      [41, 2],
      [42, 2],
      [50, 90],
    ] as const;
    const [room, none] = offered(drawing(put, { unit: 6, blocks })).rooms;
    expect(none).toBeUndefined();
    expect(lengths(room!)).toEqual([4000, 2000, 4000, 2000]);
    // Turned by a right angle its first wall runs up the drawing.
    expect(room!.start.headingDeg).toBe(90);
  });

  test('a curved wall bulges to the side its sign says, and stays on its circle', () => {
    const half = [
      [0, 0],
      [2, 0, 1],
      [2, 2],
      [0, 2],
    ];
    const out = offered(drawing(closed('ROOM', half), { unit: 6 }));
    const [room] = out.rooms;
    // A square of 2 m and half a circle of 1 m radius, less what twelve chords cut off: n/4 sin(2 pi/n) with n = 24.
    expect(room!.areaM2).toBeCloseTo(4 + 6 * Math.sin(Math.PI / 12), 2);
    for (const { xMm, yMm } of cornersOf(room!).slice(2, -2))
      expect(Math.hypot(xMm - 2000, yMm - 1000)).toBeCloseTo(1000, 0);
    expect(out.remarks.map((one) => readOut(one))).toEqual(['Curved walls are taken as short straight ones.']);
    const inwards = offered(
      drawing(
        closed(
          'ROOM',
          half.map(([x, y, b]) => [x!, y!, -(b ?? 0)]),
        ),
        { unit: 6 },
      ),
    );
    expect(inwards.rooms[0]!.areaM2).toBeCloseTo(4 - 6 * Math.sin(Math.PI / 12), 2);
  });

  test('the outline round the storey, a pillar and furniture are offered, not ticked', () => {
    const box = (layer: string, x: number, y: number, w: number, d: number) =>
      closed(layer, [
        [x, y],
        [x + w, y],
        [x + w, y + d],
        [x, y + d],
      ]);
    const read = offered(
      drawing(
        [
          ...box('WALLS', 0, 0, 10, 6),
          ...box('WALLS', 0.2, 0.2, 4.6, 5.6),
          ...box('WALLS', 5, 0.2, 4.8, 5.6),
          ...box('WALLS', 6, 2, 1, 1),
          ...box('WALLS', 8, 2, 0.3, 0.3),
          ...box('WALLS', 5, 0, 0.1, 6),
          ...box('FURNITURE', 1, 1, 2, 1),
          [0, 'HATCH'],
          [8, 'WALLS'],
        ],
        { unit: 6 },
      ),
    );
    expect(read.rooms.map(({ ticked, doubt }) => (ticked ? 'room' : readOut(doubt!)))).toEqual([
      'It goes round other rooms',
      'room',
      'room',
      'It lies within a room',
      'Narrow as a wall',
      'Drawn as “FURNITURE”, which other rooms are not',
    ]);
    expect(read.remarks.map((one) => readOut(one))).toEqual([
      '1 thing drawn in other ways is left: hatch.',
      '1 outline is too small for a room and left: pillars, cupboards, signs.',
    ]);
  });

  test('what this product draws comes back: the room of a level map in both its ways, and no work on it', () => {
    for (const text of [levelsDxf([sheet, sheet], readOut), levelJson(sheet, readOut)]) {
      const read = offered(text);
      expect(read).toMatchObject({ unit: 'mm', unitNamed: true, problems: [] });
      for (const room of read.rooms.filter(({ ticked }) => ticked))
        expect(lengths(room)).toEqual([3000, 2000, 3000, 2000]);
      expect(read.rooms.filter(({ ticked }) => ticked).length).toBe(text.startsWith('{') ? 1 : 2);
    }
    expect(offered(levelsDxf([sheet], readOut)).rooms.find(({ ticked }) => ticked)!.name).toBe('Store <north> & hall');
  });

  test('no more are offered than can be looked through, and that is said', () => {
    const many = Array.from({ length: ROOMS_MOST + 5 }, (_, i) =>
      closed('ROOM', [
        [3 * i, 0],
        [3 * i + 2, 0],
        [3 * i + 2, 2],
        [3 * i, 2],
      ]),
    );
    const read = offered(drawing(many.flat(), { unit: 6 }));
    expect(read.rooms.length).toBe(ROOMS_MOST);
    expect(read.remarks.map((one) => readOut(one))).toEqual(['65 outlines were found: the first 60 are shown.']);
  });
});

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
