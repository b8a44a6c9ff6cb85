import type { LayPlan } from '../../assess/lay-plan.ts';
import type { UnderPlan } from '../../assess/under-plan.ts';
import type { Block, Paper } from '../../paper/index.ts';
import type { RoomFacts } from '../../room/index.ts';
import { gap, say, type Sayable } from '../../said/index.ts';
import { herringboneSheet } from './herringbone-sheet.ts';
import { floorPaper, type FloorPaperOf } from './sheet-of.ts';

const mm = (value: number): Sayable => say('said.asItIs', { what: gap(Math.round(value)) });

/** The planks of a room row by row, and what is cut from which plank, in the order in which they are laid. */
export function cutSheet(of: FloorPaperOf, room: RoomFacts, plan: LayPlan | null): Paper {
  const title = say('report.cutSheet', { room: room.name });
  if (!plan) return floorPaper(of, title, [{ is: 'text', text: say('report.notSetOut') }]);
  if (plan.herringbone) return herringboneSheet(of, room, plan.herringbone, plan.startWall.name);
  const cut = plan.pieces.filter(({ kind, ripMm }) => kind !== 'whole' || ripMm !== null);
  return floorPaper(of, title, [
    { is: 'text', text: say('report.planksAndWall', { count: plan.planks, wall: plan.startWall.name }) },
    {
      is: 'table',
      columns: [
        { title: say('report.row'), share: 2, isFigure: true },
        { title: say('report.wideLeft'), share: 3, isFigure: true },
        { title: say('report.wideRight'), share: 3, isFigure: true },
        { title: say('report.begins'), share: 3, isFigure: true },
        { title: say('report.wholes'), share: 2, isFigure: true },
        { title: say('report.ends'), share: 3, isFigure: true },
      ],
      rows: plan.rows.map(({ row, leftWideMm, rightWideMm, startMm, wholes, endMm }): Sayable[] => [
        String(row + 1),
        mm(leftWideMm),
        mm(rightWideMm),
        mm(startMm),
        String(wholes),
        endMm > 0 ? mm(endMm) : '',
      ]),
    },
    { is: 'heading', text: say('report.cuts') },
    {
      is: 'table',
      columns: [
        { title: say('report.piece'), share: 2, isFigure: true },
        { title: say('report.row'), share: 2, isFigure: true },
        { title: say('report.length'), share: 3, isFigure: true },
        { title: say('report.rippedTo'), share: 3, isFigure: true },
        { title: say('report.fromPlank'), share: 3, isFigure: true },
        { title: say('report.restTo'), share: 3, isFigure: true },
      ],
      rows: cut.map(({ number, row, cutMm, ripMm, plank, restTo }): Sayable[] => [
        String(number),
        String(row),
        mm(cutMm),
        ripMm ? mm(Math.min(...ripMm)) : '',
        String(plank),
        restTo === null ? '' : String(restTo),
      ]),
    },
    { is: 'text', text: say('report.sawCare'), quiet: true },
  ]);
}

/** Rolls and panels over the job: what each is cut into, and where it goes. */
export function rollSheet(of: FloorPaperOf, { rolls, panels }: UnderPlan, nameOf: (roomId: string) => string): Paper {
  const blocks = [
    ...rolls.flatMap(({ name, rolls: cut }): Block[] => [
      { is: 'heading', text: name },
      {
        is: 'table',
        columns: [
          { title: say('report.roll'), share: 2, isFigure: true },
          { title: say('report.room'), share: 4 },
          { title: say('report.strip'), share: 2, isFigure: true },
          { title: say('report.length'), share: 3, isFigure: true },
        ],
        rows: cut.flatMap(({ pieces }, k) =>
          pieces.map(({ roomId, number, lengthMm }): Sayable[] => [
            String(k + 1),
            nameOf(roomId),
            String(number),
            mm(lengthMm),
          ]),
        ),
      },
    ]),
    ...panels.flatMap(({ rooms }): Block[] =>
      rooms.flatMap(({ roomId, panels: own }): Block[] => [
        { is: 'heading', text: say('report.panelsOf', { room: nameOf(roomId) }) },
        {
          is: 'table',
          columns: [
            { title: say('report.panel'), share: 2, isFigure: true },
            { title: say('report.sheetNo'), share: 2, isFigure: true },
            { title: say('report.length'), share: 3, isFigure: true },
            { title: say('report.width'), share: 3, isFigure: true },
            { title: say('report.fixings'), share: 2, isFigure: true },
          ],
          rows: own.map(({ number, sheet, lengthMm, widthMm, fixings }): Sayable[] => [
            String(number),
            String(sheet),
            mm(lengthMm),
            mm(widthMm),
            String(fixings),
          ]),
        },
      ]),
    ),
  ];
  return floorPaper(
    of,
    say('report.rollSheet'),
    blocks.length > 0 ? blocks : [{ is: 'text', text: say('report.noRolls') }],
  );
}
