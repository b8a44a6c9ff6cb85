import type { RoomPicture } from '../../assess/picture.ts';
import type { RoomSet } from '../../assess/room-set.ts';
import type { Paper, TextMark } from '../../paper/index.ts';
import { alongFirstWall, distanceMm, planOf, type PointMm } from '../../room/index.ts';
import { gap, say, type Sayable } from '../../said/index.ts';
import { planSheet } from '../drawn-plan.ts';
import { floorPaper, type FloorPaperOf } from './sheet-of.ts';

/** Stations to be filled in by pencil, in the order of the walk in which the app asks for them: plan, places, and room for figures. */
export function stationSheet(of: FloorPaperOf, { room }: RoomSet, { stations }: Pick<RoomPicture, 'stations'>): Paper {
  const plan = planOf(room);
  const sheet = planSheet(plan, room);
  // Where stations stand close their numbers are small, not over one another.
  const size = Math.min(sheet.letter * 0.9, nearestMm(stations) * 0.42);
  const numbers = stations.map(({ xMm, yMm, number }): TextMark => {
    const [x, y] = sheet.place(xMm, yMm);
    return { text: String(number), x, y: y + size / 3, size, ink: 'ink', anchor: 'middle' };
  });
  const inWalk = [...stations].sort((a, b) => a.number - b.number);
  return floorPaper(of, say('report.stationSheet', { room: room.name }), [
    { is: 'text', text: say('report.stationHow') },
    {
      is: 'figures',
      figures: [
        {
          title: say('report.walkOnPlan'),
          drawing: sheet.drawing([...sheet.walls, ...numbers]),
          alt: say('report.walkAlt', { room: room.name, count: stations.length }),
        },
      ],
    },
    {
      is: 'table',
      columns: [
        { title: say('report.number'), share: 2, isFigure: true },
        { title: say('report.alongFirst'), share: 3, isFigure: true },
        { title: say('report.acrossFirst'), share: 3, isFigure: true },
        { title: say('report.staff'), share: 5 },
        { title: say('report.remark'), share: 6 },
      ],
      rows: [
        [say('report.benchmark'), '', '', '', say('report.atStart')],
        ...inWalk.map((station): Sayable[] => {
          const { xMm, yMm } = alongFirstWall(plan, station);
          return [String(station.number), one(xMm), one(yMm), '', ''];
        }),
        [say('report.benchmark'), '', '', '', say('report.atEnd')],
      ],
    },
  ]);
}

/** The least distance between two stations, mm. */
const nearestMm = (stations: readonly PointMm[]): number =>
  stations.reduce(
    (least, a, k) => stations.slice(k + 1).reduce((near, b) => Math.min(near, distanceMm(a, b)), least),
    Infinity,
  );

const one = (mm: number): Sayable => say('said.asItIs', { what: gap(Math.round(mm)) });
