import fc from 'fast-check';
import { distanceMm, pointOnWall } from '../room/index.ts';
import { onStorey, storeyOf, type StoreyRoom } from './storey.ts';

const box = (widthMm: number, depthMm: number) => [
  { xMm: 0, yMm: 0 },
  { xMm: widthMm, yMm: 0 },
  { xMm: widthMm, yMm: depthMm },
  { xMm: 0, yMm: depthMm },
];
const opening = (sharedId: string | null, wall: number, fromMm: number, widthMm = 800) => ({
  id: `${sharedId}-${wall}`,
  wall,
  fromMm,
  widthMm,
  sharedId,
});

/** A hall of 4 x 1.5 m; a parlour of 3 x 3 m beyond its far wall, a kitchen of 2 x 2 m beyond its right one. */
const HALL: StoreyRoom = {
  id: 'hall',
  corners: box(4000, 1500),
  openings: [opening('hp', 2, 1000), opening('hk', 1, 300)],
};
const PARLOUR: StoreyRoom = { id: 'parlour', corners: box(3000, 3000), openings: [opening('hp', 0, 500)] };
const KITCHEN: StoreyRoom = { id: 'kitchen', corners: box(2000, 2000), openings: [opening('hk', 0, 600)] };

test('rooms stand in place by their shared openings, a wall apart', () => {
  const { placed, groups, disagreements } = storeyOf([HALL, PARLOUR, KITCHEN]);
  const pose = (id: string) => placed.find(({ roomId }) => roomId === id)!.pose;
  expect(groups).toEqual([['hall', 'parlour', 'kitchen']]);
  expect(disagreements).toEqual([]);
  // The hall's third wall runs back along y = 1500 from x = 4000: its opening lies from 3000 to 2200. The parlour's from 500 to 1300.
  expect(pose('parlour')).toEqual({ xMm: expect.closeTo(1700, 6), yMm: expect.closeTo(1600, 6), turnDeg: 0 });
  // The kitchen's first wall lies along the hall's right one, turned by a quarter clockwise.
  expect(pose('kitchen').turnDeg).toBeCloseTo(270, 6);
  expect(onStorey(pose('kitchen'), { xMm: 1000, yMm: 0 })).toEqual({
    xMm: expect.closeTo(4100, 6),
    yMm: expect.closeTo(700, 6),
  });
});

test('a loop that does not close says at which opening and by how much; a place of its own stays', () => {
  const parlour = { ...PARLOUR, openings: [...PARLOUR.openings, opening('pk', 1, 200)] };
  const kitchen = { ...KITCHEN, openings: [...KITCHEN.openings, opening('pk', 2, 100)] };
  const { disagreements } = storeyOf([HALL, parlour, kitchen]);
  expect(disagreements).toMatchObject([{ sharedId: 'pk', roomIds: ['parlour', 'kitchen'] }]);
  const own = { xMm: 9000, yMm: 0, turnDeg: 0 };
  const moved = storeyOf([HALL, PARLOUR, KITCHEN], new Map([['parlour', own]]));
  expect(moved.placed.find(({ roomId }) => roomId === 'parlour')).toEqual({ roomId: 'parlour', pose: own, by: null });
  expect(moved.disagreements.map(({ sharedId }) => sharedId)).toEqual(['hp']);
});

test('what hangs together by no opening is a group of its own, drawn beside the others', () => {
  const loose = { ...KITCHEN, openings: [] };
  const { groups, placed } = storeyOf([HALL, PARLOUR, loose]);
  expect(groups).toEqual([['hall', 'parlour'], ['kitchen']]);
  expect(placed.at(-1)!.pose.xMm).toBe(4000 + 700 + 1500);
});

test('both sides of a shared opening always lie jamb to jamb, a wall apart', () => {
  const some = fc.record({
    wall: fc.integer({ min: 0, max: 3 }),
    other: fc.integer({ min: 0, max: 3 }),
    fromMm: fc.integer({ min: 0, max: 1200 }),
    otherFromMm: fc.integer({ min: 0, max: 1200 }),
    thicknessMm: fc.integer({ min: 50, max: 500 }),
  });
  fc.assert(
    fc.property(some, ({ wall, other, fromMm, otherFromMm, thicknessMm }) => {
      const a = { id: 'a', corners: box(2600, 2100), openings: [opening('s', wall, fromMm)] };
      const b = { id: 'b', corners: box(3100, 2400), openings: [opening('s', other, otherFromMm)] };
      const { placed } = storeyOf([a, b], new Map(), thicknessMm);
      const jamb = (room: StoreyRoom, alongMm: number) =>
        onStorey(
          placed.find(({ roomId }) => roomId === room.id)!.pose,
          pointOnWall(room.corners, room.openings[0]!.wall, room.openings[0]!.fromMm + alongMm),
        );
      expect(distanceMm(jamb(a, 0), jamb(b, 800))).toBeCloseTo(thicknessMm, 6);
      expect(distanceMm(jamb(a, 800), jamb(b, 0))).toBeCloseTo(thicknessMm, 6);
      // The rooms lie on either side of the wall, not over one another.
      const centre = (room: StoreyRoom) =>
        onStorey(placed.find(({ roomId }) => roomId === room.id)!.pose, {
          xMm: room.corners[2]!.xMm / 2,
          yMm: room.corners[2]!.yMm / 2,
        });
      expect(distanceMm(centre(a), centre(b))).toBeGreaterThan(2100 / 2 + 2400 / 2);
    }),
  );
});
