import { readOut } from '@maquette/words';
import { levelJson } from './index.ts';
import { levelsDxf } from './level-dxf.ts';
import { sheet } from './invented-sheet.ts';
import { closed, cornersOf, drawing, lengths, line, offered, word } from './invented-drawing.ts';
import { ROOMS_MOST } from './outlines.ts';

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
  expect(read.remarks.map((one) => readOut(one))).toEqual([expect.stringMatching(/^1 single line closes no outline/)]);
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

test('an outline of which a corner cannot be read is left and said, never taken without it', () => {
  const read = offered(
    drawing(
      [
        ...closed('ROOM', L),
        ...closed('ROOM', [
          [0, 0],
          [4, 0],
          [NaN, 3],
          [0, 3],
        ]),
      ],
      { unit: 6 },
    ),
  );
  expect(read.rooms.map((room) => room.areaM2)).toEqual([expect.closeTo(11.4, 6)]);
  expect(read.remarks.map((one) => readOut(one))).toEqual([
    expect.stringMatching(/^1 outline has a corner that cannot be read/),
  ]);
  // Refused for its shape, one without a name is told by its layer and its number in the file.
  const bow = offered(
    drawing(
      [
        ...closed('ROOM', L),
        ...closed('ROOM', [
          [0, 0],
          [4, 3],
          [4, 0],
          [0, 3],
        ]),
      ],
      { unit: 6 },
    ),
  );
  expect(bow.problems.map(({ reason }) => readOut(reason))).toEqual([
    expect.stringMatching(/^“ROOM 2” cannot be taken: .*crosses/),
  ]);
});
