import type { RoomPicture } from '../assess/picture.ts';
import { pathOf, type PaperFigure, type PathMark, type TextMark } from '../paper/index.ts';
import type { Plan, RoomFacts } from '../room/index.ts';
import { gap, gapFigure, say, type Sayable } from '../said/index.ts';
import { planSheet } from './drawn-plan.ts';

type Ring = readonly (readonly [number, number])[];

/** How strongly the highest and the lowest band are laid on; those between by their share. */
const STRONGEST = 0.55;

/**
 * A floor’s level map on paper: highs and lows by bands of one step, the same in every figure it is given with, the zero line
 * heavier, humps and lows with their heights. What is not read stays blank.
 *
 * @param mostMm - the largest departure shown in any figure beside it: one key for all
 */
export function levelFigure(
  title: Sayable,
  room: RoomFacts,
  plan: Plan,
  { map, rules }: RoomPicture,
  mostMm: number,
): PaperFigure {
  const sheet = planSheet(plan, room);
  const path = (rings: readonly Ring[]) =>
    rings
      .map((ring) =>
        pathOf(
          ring.map(([x, y]) => sheet.place(x, y)),
          true,
        ),
      )
      .join('');
  const step = map?.stepMm ?? 1;
  // Bands lie over one another: each adds its share.
  const share = (STRONGEST * step) / Math.max(step, mostMm);
  const judged = path(map?.judged ?? []);
  const bands = (list: { rings: readonly Ring[] }[], ink: 'high' | 'low'): PathMark[] =>
    list.map(({ rings }) => ({
      path: path(rings),
      stroke: ink,
      fill: ink,
      fillShare: share,
      width: sheet.letter / 14,
      clip: judged,
    }));
  const marks: PathMark[] = map
    ? [
        ...bands(map.highs, 'high'),
        ...bands(map.lows, 'low'),
        { path: path(map.zero), stroke: 'quiet', width: sheet.letter / 8, clip: judged },
        {
          path: judged,
          stroke: 'rule',
          width: sheet.letter / 12,
          dash: [sheet.letter / 3, sheet.letter / 4],
        },
      ]
    : [];
  const extremes = (rules[0]?.extremes ?? []).slice(0, 6).map(({ at, worstMm, kind }): TextMark => {
    const [x, y] = sheet.place(...at);
    return {
      text: say('said.asItIs', { what: gapFigure(worstMm) }),
      x,
      y: y + sheet.letter / 3,
      size: sheet.letter,
      ink: kind,
      anchor: 'middle',
      bold: true,
    };
  });
  return {
    title,
    drawing: sheet.drawing([...marks.filter(({ path: d }) => d !== ''), ...sheet.walls, ...extremes]),
    alt: map
      ? say('report.mapAlt', {
          room: room.name,
          stepMm: gap(step),
          highs: map.highs.length,
          lows: map.lows.length,
        })
      : say('report.mapNotRead', { room: room.name }),
  };
}

/** The largest departure from the plane any of some maps shows, mm. */
export const mostOf = (pictures: readonly (RoomPicture | null)[]): number =>
  Math.max(
    0,
    ...pictures.flatMap((one) =>
      [...(one?.map?.highs ?? []), ...(one?.map?.lows ?? [])].map(({ levelMm }) => Math.abs(levelMm)),
    ),
  );
