import { proposeStations } from '../flat/index.ts';
import { reading, setup } from '../flat/invented.ts';
import { invented } from '../room/invented-rooms.ts';
import { moveWall, outlineOf, planOf, type Shaped } from '../room/index.ts';
import { factsFromRodFile, readProbeFile, readRodFile, rodCsv } from './index.ts';

let made = 0;
const newId = () => `id-${String(++made).padStart(5, '0')}`;

/** Invented rooms that do not start at the sheet's corner: begun elsewhere and turned, walls pulled, a diagonal measured. */
function rooms(): Shaped[] {
  return Array.from({ length: 24 }, (_, seed) => {
    const { walls, chance } = invented(seed);
    const start = {
      xMm: Math.round(chance() * 4000 - 2000),
      yMm: Math.round(chance() * 4000 - 2000),
      headingDeg: seed % 3 === 0 ? 0 : Math.round(chance() * 3600) / 10 - 180,
    };
    const pulled = moveWall(outlineOf(walls, start).corners, walls, 0, -85, start);
    const room = pulled ?? { walls, start };
    const { corners } = outlineOf(room.walls, room.start);
    const across = Math.hypot(corners[2]!.xMm - corners[0]!.xMm, corners[2]!.yMm - corners[0]!.yMm);
    const diagonals = seed % 2 === 0 ? [{ from: 0, to: 2, lengthMm: Math.round(across) + 6 }] : [];
    return { ...room, diagonals };
  });
}

test('a room’s own readings, saved and brought back, lie where they were to a millimetre', () => {
  for (const room of rooms()) {
    const plan = planOf(room);
    const stations = proposeStations(plan, 900).map((at, i) => ({
      ...at,
      key: `s${i}`,
      number: i + 1,
      source: 'proposed' as const,
    }));
    const readings = stations.map((s, i) =>
      reading(`r${String(i).padStart(4, '0')}`, 'A', s.key, s.xMm, s.yMm, 1300 + (i % 7)),
    );
    const text = rodCsv({ setups: [setup('A', 1300)], readings, stations: [] }, stations, plan);
    const file = readRodFile(text, plan);
    expect(file.problems).toEqual([]);
    const back = factsFromRodFile(file, file.readings, '2026-05-04T08:00:00.000Z', newId).readings;
    expect(back).toHaveLength(readings.length);
    back.forEach((r, i) => expect(Math.hypot(r.xMm - readings[i]!.xMm, r.yMm - readings[i]!.yMm)).toBeLessThan(1));
  }
});

test('an export of an earlier version has its places as the sheet had them, and is laid there', () => {
  const plan = planOf({ ...invented(3), start: { xMm: 700, yMm: -300, headingDeg: 90 } });
  const at = { xMm: plan.corners[0]!.xMm - 400, yMm: plan.corners[0]!.yMm + 300 };
  const readings = [reading('r1', 'A', 's1', at.xMm, at.yMm, 1300)];
  const facts = { setups: [setup('A', 1300)], readings, stations: [] };
  expect(readRodFile(rodCsv(facts, []), plan).readings[0]).toMatchObject(at);
  const own = readRodFile(rodCsv(facts, [], plan), plan).readings[0]!;
  expect(Math.hypot(own.xMm - at.xMm, own.yMm - at.yMm)).toBeLessThan(0.02);
});

test('a file written with the tape is laid from the first corner, wherever the room was drawn', () => {
  const plan = planOf({ ...invented(3), start: { xMm: 700, yMm: -300, headingDeg: 90 } });
  const read = readRodFile('x_mm,y_mm,rod_mm\n400,250,1300\n', plan).readings[0]!;
  // The first wall runs up the sheet: along it is up, across it into the room is to the left.
  expect(read).toMatchObject({ xMm: 450, yMm: 100 });
  const probes = readProbeFile(
    'probe,x_mm,y_mm,depth_mm,drilled,read,rh\nP1,400,250,40,2026-05-01T08:00Z,2026-05-03T08:00Z,81\n',
    plan,
  );
  expect(probes.probes[0]).toMatchObject({ xMm: 450, yMm: 100 });
});

test('what lies outside is told by the figures that stand in the file', () => {
  const plan = planOf({ ...invented(3), start: { xMm: 5000, yMm: 5000, headingDeg: 0 } });
  const { problems } = readRodFile('x_mm,y_mm,rod_mm\n-400,250,1300\n', plan);
  expect(problems).toHaveLength(1);
  expect(JSON.stringify(problems[0]!.reason)).toContain('-400');
});
