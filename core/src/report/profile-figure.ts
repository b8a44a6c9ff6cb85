import type { ShownPlacement, ShownRule } from '../assess/picture.ts';
import { boxPath, pathOf, type PaperFigure, type PathMark, type TextMark } from '../paper/index.ts';
import { gap, reach, say, type Sayable } from '../said/index.ts';

const [WIDTH, HEIGHT, TOP, EDGE] = [200, 74, 22, 5];
/** Heights are drawn so many times larger than lengths: round, and said beside it. */
const FACTORS = [5, 10, 20, 30, 40, 60, 80, 100, 150, 200];

/** The tallest thing a section shows, mm: floor and edge. */
function spanOf({ profile: { points, edge } }: ShownPlacement): { topMm: number; lowMm: number } {
  const heights = points.map(({ heightMm }) => heightMm);
  return { topMm: Math.max(edge.fromHeightMm, edge.toHeightMm, ...heights), lowMm: Math.min(...heights) };
}

const lengthOf = ({ profile: { points } }: ShownPlacement) => points.at(-1)!.alongMm - points[0]!.alongMm;

/** The factor by which heights may be drawn larger in all of some sections alike. */
export function factorFor(placements: readonly ShownPlacement[]): number {
  const scale = WIDTH / Math.max(1, ...placements.map(lengthOf));
  const tall = Math.max(0.5, ...placements.map((one) => spanOf(one).topMm - spanOf(one).lowMm));
  return FACTORS.findLast((factor) => tall * scale * factor <= HEIGHT - TOP - 8) ?? FACTORS[0]!;
}

/**
 * The floor in section under the edge where it lies worst, the gap in figures.
 *
 * @param factor - by which heights are drawn larger: the same before and after
 * @param lengthMm - what the width stands for: the same before and after
 */
export function profileFigure(
  title: Sayable,
  { rule, overMm }: Pick<ShownRule, 'rule' | 'overMm'>,
  shown: ShownPlacement,
  factor: number,
  lengthMm: number,
): PaperFigure {
  const { profile, place } = shown;
  const from = profile.points[0]!.alongMm;
  const scale = WIDTH / Math.max(1, lengthMm);
  const { topMm } = spanOf(shown);
  const x = (mm: number) => (mm - from) * scale;
  const y = (mm: number) => TOP + (topMm - mm) * scale * factor;
  const { edge } = profile;
  const ends = [
    [x(edge.fromMm), y(edge.fromHeightMm)],
    [x(edge.toMm), y(edge.toHeightMm)],
  ] as const;
  const gaps = profile.gaps.map(({ alongMm, floorMm }): PathMark => {
    const share = (alongMm - edge.fromMm) / Math.max(1, edge.toMm - edge.fromMm);
    const under = edge.fromHeightMm + (edge.toHeightMm - edge.fromHeightMm) * share;
    return {
      path: pathOf([
        [x(alongMm), y(under)],
        [x(alongMm), y(floorMm)],
      ]),
      stroke: overMm > 0 ? 'high' : 'good',
      width: 1.2,
    };
  });
  const marks: (PathMark | TextMark)[] = [
    { path: pathOf(profile.points.map((p) => [x(p.alongMm), y(p.heightMm)] as const)), stroke: 'ink', width: 1.1 },
    {
      path: pathOf([ends[0], ends[1], [ends[1][0], ends[1][1] - EDGE], [ends[0][0], ends[0][1] - EDGE]], true),
      stroke: 'ink',
      fill: 'none',
      width: 0.7,
    },
    ...gaps,
    { path: boxPath(0, HEIGHT - 0.4, WIDTH, 0.4), stroke: 'none', fill: 'rule', width: 0 },
  ];
  const worst = rule.gapMm + overMm;
  return {
    title,
    drawing: { width: WIDTH, height: HEIGHT, marks },
    figure: say('said.asItIs', { what: gap(worst) }),
    alt: say('report.profileAlt', {
      edge: reach(rule.edgeMm),
      place,
      worst: gap(worst),
      allowed: gap(rule.gapMm),
      factor,
    }),
  };
}

export { lengthOf as sectionLength };
