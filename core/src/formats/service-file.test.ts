import { readOut } from '@maquette/words';
import { invented } from '../room/invented-rooms.ts';
import { planOf, rectangleWalls, SERVICE_FOUND, SERVICE_KINDS, type Service } from '../room/index.ts';
import { readServiceFile, serviceCsv } from './index.ts';

const plan = planOf({ walls: rectangleWalls(4000, 3000) });

test('lines as other hands write them: words of their own, centimetres, decimal commas; what nobody located is supposed', () => {
  const file = readServiceFile(
    'Run;Service;Along (cm);Across (cm);Depth (mm);Status\n1;soil pipe;100;0;120;located\n1;soil pipe;100;250,5;;located\n2;Power;0;10;40;\n2;Power;390;10;55;\n',
    plan,
  );
  expect([file.problems, file.missing]).toEqual([[], []]);
  expect(file.lines).toEqual([
    // One of its points has no depth: how deep the line lies is not known.
    {
      name: '1',
      kind: 'drain',
      found: 'located',
      depthMm: null,
      points: [
        { xMm: 1000, yMm: 0 },
        { xMm: 1000, yMm: 2505 },
      ],
    },
    // Of two depths the least counts.
    {
      name: '2',
      kind: 'cable',
      found: 'supposed',
      depthMm: 40,
      points: [
        { xMm: 0, yMm: 100 },
        { xMm: 3900, yMm: 100 },
      ],
    },
  ]);
});

test('rows that cannot be taken are named with their line; the others stay', () => {
  const file = readServiceFile(
    'line,kind,x_mm,y_mm,depth_mm\na,ghost,0,0,\na,drain,zero,0,\na,drain,0,0,1001\na,drain,0,0,90\na,drain,0,900,95\nb,gas,5,5,\n',
    plan,
  );
  expect(readOut(file.problems.map(({ line, reason }) => [line, reason]))).toEqual([
    [2, '“ghost” is no kind of line: drain, water, gas, cable, heating, tendon or other'],
    [3, 'the place is no number'],
    [4, expect.stringContaining('1001')],
    [7, 'Line b has one point: a line needs two'],
  ]);
  expect(file.lines).toHaveLength(1);
  expect(readServiceFile('kind,x,y\ndrain,1,2\n', plan).missing).toEqual(['line']);
  for (const text of ['', '\n', 'line,kind,x,y', '\u0000']) expect(readServiceFile(text, plan).lines).toEqual([]);
});

test('a room’s own lines come back where they were, in rooms begun and turned anywhere', () => {
  for (let seed = 0; seed < 30; seed++) {
    const { walls, chance } = invented(seed);
    const own = planOf({
      walls,
      start: { xMm: chance() * 900, yMm: -chance() * 900, headingDeg: Math.round(chance() * 360) },
    });
    const services = SERVICE_KINDS.map((kind, i): Service => ({
      id: kind,
      kind,
      found: SERVICE_FOUND[i % 3]!,
      depthMm: i % 2 === 0 ? 40 + i : null,
      points: Array.from({ length: 2 + (i % 3) }, () => ({ xMm: chance() * 4000, yMm: chance() * 3000 })),
      note: '',
    }));
    const back = readServiceFile(serviceCsv(services, own), own);
    expect(back.problems).toEqual([]);
    back.lines.forEach((line, i) => {
      const { kind, found, depthMm, points } = services[i]!;
      expect(line).toMatchObject({ kind, found, depthMm });
      line.points.forEach((p, n) => expect(Math.hypot(p.xMm - points[n]!.xMm, p.yMm - points[n]!.yMm)).toBeLessThan(1));
    });
  }
});
