import type { ShownHerringbone, ShownStave } from '../../assess/lay-herringbone.ts';
import { pathOf, type Paper, type PathMark, type TextMark } from '../../paper/index.ts';
import { planOf, type PointMm, type RoomFacts } from '../../room/index.ts';
import { gap, reach, say, type Sayable } from '../../said/index.ts';
import { planSheet } from '../drawn-plan.ts';
import { floorPaper, type FloorPaperOf } from './sheet-of.ts';

/** Numbers on the plan, in letters of the sheet: staves are narrow. */
const NUMBER_SHARE = 0.55;

/** A herringbone floor: its middle and the line of its tips on the plan, every cut stave with its number, and its length. */
export function herringboneSheet(of: FloorPaperOf, room: RoomFacts, shown: ShownHerringbone, wall: Sayable): Paper {
  const sheet = planSheet(planOf(room), room);
  const path = (points: readonly PointMm[], isClosed: boolean) =>
    pathOf(
      points.map(({ xMm, yMm }) => sheet.place(xMm, yMm)),
      isClosed,
    );
  const outline = ({ outline: points, isWhole }: Pick<ShownStave, 'outline' | 'isWhole'>): PathMark => ({
    path: path(points, true),
    stroke: 'quiet',
    width: sheet.letter / 16,
    ...(isWhole ? {} : { fill: 'rule' as const, fillShare: 0.5 }),
  });
  const cut = shown.staves.filter(({ isWhole }) => !isWhole);
  const numbers = cut.map(({ number, outline: points }): TextMark => {
    const [x, y] = sheet.place(mean(points.map(({ xMm }) => xMm)), mean(points.map(({ yMm }) => yMm)));
    const size = sheet.letter * NUMBER_SHARE;
    return { text: String(number), x, y: y + size / 3, size, ink: 'ink', anchor: 'middle' };
  });
  const dash = [sheet.letter / 2, sheet.letter / 3];
  const lines: PathMark[] = [
    { path: path(shown.middle, false), stroke: 'quiet', width: sheet.letter / 8, dash },
    { path: path(shown.tips, false), stroke: 'high', width: sheet.letter / 6 },
  ];
  const border = (shown.border?.outlines ?? []).map((points) => outline({ outline: points, isWhole: true }));
  return floorPaper(of, say('report.cutSheet', { room: room.name }), [
    {
      is: 'text',
      text: say('report.stavesBought', { left: shown.bought.left, right: shown.bought.right, cut: cut.length }),
    },
    { is: 'text', text: say('report.tipsLine', { wall, besideMm: reach(Math.round(shown.tipBesideMm)) }) },
    {
      is: 'figures',
      figures: [
        {
          title: say('report.stavesOnPlan'),
          drawing: sheet.drawing([...border, ...shown.staves.map(outline), ...sheet.walls, ...lines, ...numbers]),
          alt: say('report.stavesAlt', { room: room.name, count: shown.staves.length, cut: cut.length }),
        },
      ],
    },
    { is: 'heading', text: say('report.cuts') },
    {
      is: 'table',
      columns: [
        { title: say('report.piece'), share: 2, isFigure: true },
        { title: say('report.hand'), share: 3 },
        { title: say('report.alongMiddle'), share: 3, isFigure: true },
      ],
      rows: cut.map(({ number, hand, centreMm }): Sayable[] => [
        String(number),
        hand === 'left' ? say('report.leftHand') : say('report.rightHand'),
        say('said.asItIs', { what: gap(Math.round(centreMm)) }),
      ]),
    },
    { is: 'text', text: say('report.sawCare'), quiet: true },
  ]);
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
