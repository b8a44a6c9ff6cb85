import { SHIPPED_CARDS } from '../coverings/index.ts';
import { factsAt, rectanglePlan } from '../flat/invented.ts';
import { stationsOf, type FloorSurface } from '../flat/index.ts';
import { assessRoom } from './assess-room.ts';
import { pictureOf, surfacePicture, type SurfacePicture } from './picture.ts';
import { roomSet } from './room-set.ts';
import { BLANK_SHAPE, rectangleWalls, type RoomFacts } from '../room/index.ts';

const room: RoomFacts = {
  id: 'r',
  jobId: 'j',
  name: 'Boot room',
  rank: 0,
  ...BLANK_SHAPE,
  walls: rectangleWalls(4000, 3000),
  baseKind: 'slab-on-ground',
  cardId: 'shipped-click-vinyl',
  units: 'metric',
  spacingMm: 600,
  contactsOnly: false,
};
const plan = rectanglePlan(4000, 3000);
const stations = stationsOf(plan, 600, [], [], { xMm: 500, yMm: 0 });
const hump = (x: number, y: number) => 9 * Math.exp(-((x - 2) ** 2 + (y - 1.5) ** 2) / 0.8);
const card = SHIPPED_CARDS.find(({ id }) => id === 'shipped-click-vinyl')!;
const facts = roomSet(room, card, factsAt(stations, hump));
const AT = '2026-05-05T08:00:00.000Z';

test('the map is told before the rules are asked, and is the one that is judged', () => {
  const told: SurfacePicture[] = [];
  const surfaced = (floor: FloorSurface) => {
    expect(floor).not.toHaveProperty('rules');
    told.push(surfacePicture(floor));
  };
  const picture = pictureOf(assessRoom(facts, AT, { surfaced }), room);
  expect(told).toEqual([{ map: picture.map, levels: picture.levels }]);
  // The hump stands out of the plane where it is, and a map was drawn of it.
  const top = told[0]!.levels.reduce((a, b) => (b.levelMm > a.levelMm ? b : a));
  const at = stations.find(({ key }) => key === top.stationKey)!;
  expect(Math.hypot(at.xMm - 2000, at.yMm - 1500)).toBeLessThan(450);
  expect(told[0]!.map!.highs.length).toBeGreaterThan(2);
});

test('a picture is made round what is drawn already, and nothing in it changes', () => {
  const assessment = assessRoom(facts, AT);
  const drawn = surfacePicture(assessment.flat!);
  const picture = pictureOf(assessment, room, [], drawn);
  expect(picture.map).toBe(drawn.map);
  expect(picture).toEqual(pictureOf(assessment, room));
});

test('with nothing read there is no map and no verdict on flatness', () => {
  const nothing = { ...facts, readings: [] };
  const told: FloorSurface[] = [];
  const picture = pictureOf(assessRoom(nothing, AT, { surfaced: (floor) => told.push(floor) }), room);
  expect(told).toEqual([]);
  expect(picture.map).toBeNull();
  expect(picture.levels).toEqual([]);
  expect(picture.verdict).toBe('measure');
});
