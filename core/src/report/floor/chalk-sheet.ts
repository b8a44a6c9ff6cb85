import type { LayPlan } from '../../assess/lay-plan.ts';
import type { RoomSet } from '../../assess/room-set.ts';
import { chalkPoints, type Way } from '../../levelling/index.ts';
import type { Block, Paper } from '../../paper/index.ts';
import { entryPoint, planOf } from '../../room/index.ts';
import { gap, listed, say, type Sayable } from '../../said/index.ts';
import { floorPaper, type FloorPaperOf } from './sheet-of.ts';

const mm = (value: number): Sayable => say('said.asItIs', { what: gap(Math.round(value)) });

function areas(set: RoomSet, way: Way): Block[] {
  const plan = planOf(set.room);
  const points = chalkPoints(set.room, plan, [...way.patches, ...way.grinding], entryPoint(set.room, plan));
  return [
    {
      is: 'table',
      columns: [
        { title: say('report.area'), share: 2 },
        { title: say('report.what'), share: 3 },
        { title: say('report.deepest'), share: 3, isFigure: true },
      ],
      rows: [
        ...way.patches.map(({ label, deepestMm }): Sayable[] => [label, say('report.toFill'), one(deepestMm)]),
        ...way.grinding.map(({ label, deepestMm }): Sayable[] => [label, say('report.toGrind'), one(deepestMm)]),
      ],
    },
    {
      is: 'table',
      columns: [
        { title: say('report.point'), share: 2 },
        { title: say('report.tapes'), share: 8 },
      ],
      rows: points.map(({ label, number, tapes }): Sayable[] => [
        `${label}${number}`,
        say('said.asItIs', {
          what: listed(
            tapes.map(({ name, distanceMm }) =>
              say('report.fromWall', { distance: gap(Math.round(distanceMm)), wall: name }),
            ),
            ', ',
          ),
        }),
      ]),
    },
  ];
}

const one = (value: number): Sayable => say('said.asItIs', { what: gap(value) });

/** Lines to snap and areas to outline in a room, each by tapes from its walls. */
export function chalkSheet(of: FloorPaperOf, set: RoomSet, way: Way | null, lay: LayPlan | null): Paper {
  const lines: Block[] =
    lay && lay.chalk.length > 0
      ? [
          { is: 'heading', text: say('report.linesToSnap') },
          { is: 'text', text: say('report.facingWall', { wall: lay.startWall.name }) },
          {
            is: 'table',
            columns: [
              { title: say('report.afterRow'), share: 2, isFigure: true },
              { title: say('report.leftEnd'), share: 3, isFigure: true },
              { title: say('report.rightEnd'), share: 3, isFigure: true },
            ],
            rows: lay.chalk.map(({ afterRow, fromStartMm }): Sayable[] => [
              String(afterRow),
              mm(fromStartMm[0]),
              mm(fromStartMm[1]),
            ]),
          },
        ]
      : [];
  const marked = way && way.patches.length + way.grinding.length > 0 ? areas(set, way) : [];
  return floorPaper(of, say('report.chalkSheet', { room: set.room.name }), [
    ...(marked.length > 0 ? [{ is: 'heading' as const, text: say('report.areasToOutline') }, ...marked] : []),
    ...lines,
    ...(marked.length + lines.length === 0 ? [{ is: 'text' as const, text: say('report.nothingToChalk') }] : []),
  ]);
}
