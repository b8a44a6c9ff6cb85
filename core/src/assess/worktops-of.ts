import { fixturePoint, type RoomFacts } from '../room/index.ts';
import type { LevelsOf } from './levels-of.ts';
import type { NewFloor } from './new-floor.ts';
import type { ThicknessAt } from './old-layers.ts';

/** A worktop over the floor at its front edge, mm: over what lies there today, and once the floor is laid. */
export interface WorktopJudged {
  fixtureId: string;
  todayMm: number;
  afterMm: number;
}

/** Worktops whose level is read, over the highest floor along their front. */
export function worktopsOf(
  { fixtures }: Pick<RoomFacts, 'fixtures'>,
  floor: NewFloor | null,
  lyingMm: ThicknessAt,
  levelsOf: LevelsOf,
): WorktopJudged[] {
  if (!floor) return [];
  return fixtures.flatMap((fixture): WorktopJudged[] => {
    const top = fixture.kind === 'cabinet' ? levelsOf('worktop', fixture.id).at(-1) : undefined;
    const front = [-0.5, -0.25, 0, 0.25, 0.5].map((share) =>
      fixturePoint(fixture, share * fixture.widthMm, fixture.depthMm / 2),
    );
    const today = front.flatMap((at) => {
      const bareMm = floor.bareAt(at);
      return bareMm === null ? [] : [bareMm + lyingMm(at)];
    });
    const after = front.flatMap(({ xMm, yMm }) => floor.finishedAt(xMm, yMm)?.new ?? []);
    return top && today.length > 0 && after.length > 0
      ? [
          {
            fixtureId: fixture.id,
            todayMm: top.levelMm - Math.max(...today),
            afterMm: top.levelMm - Math.max(...after),
          },
        ]
      : [];
  });
}
