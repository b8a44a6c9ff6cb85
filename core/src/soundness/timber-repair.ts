import type { Method } from '../hazards/index.ts';
import { reach, say } from '../said/index.ts';
import type { FigureOf } from '../figures/index.ts';
import type { RoomFacts } from '../room/index.ts';
import { extentAlongMm } from './extent.ts';
import type { Mark } from './facts.ts';
import { DEFAULT_JOISTS_MM, ENGINEER, type Usual } from './usual.ts';

/** How far a rotten board is cut back along the joists into sound wood, mm. */
const REACH_MM = 150;

/** Loose and noisy: screwed along the joists. */
export function squeak(mark: Mark, room: RoomFacts, figure: FigureOf): Usual {
  const spacing = room.base.joistSpacingMm ?? DEFAULT_JOISTS_MM;
  const deg = room.base.joistDeg ?? 0;
  const across = wholeMm(extentAlongMm(mark, deg + 90));
  const along = wholeMm(extentAlongMm(mark, deg));
  const does: readonly Method[] = ['screw'];
  const pitch = figure('screw-mm');
  const words = say('soundness.words', { pitch: reach(pitch) });
  const cautions = [say('soundness.cautions1')];
  if (across === null || along === null) return { does, words, cautions, asks: say('soundness.outlineOfTheLoosePart') };
  const joists = Math.floor(across / spacing) + 1;
  // One at each end of what is left over, where that is more than half a pitch.
  const left = along - Math.floor(along / pitch) * pitch;
  const screws = joists * (Math.floor(along / pitch) + 1 + (left > pitch / 2 ? 1 : 0));
  return {
    does,
    words,
    cautions,
    quantities: [
      {
        words: say('soundness.screws'),
        value: screws,
        unit: '',
        formula: say('soundness.screwsFormula', {
          joists,
          across: reach(across),
          spacing: reach(spacing),
          what: room.base.joistSpacingMm === null ? say('soundness.assumed') : '',
          screws: screws / joists,
          along: reach(along),
          pitch: reach(pitch),
        }),
      },
    ],
  };
}

/** Nobody sets out screws finer than a tape reads. */
const wholeMm = (mm: number | null): number | null => (mm === null ? null : Math.round(mm));

/** A rotten patch is cut back to joist centres both ways, and its free edges are blocked. */
export function rot(mark: Mark, room: RoomFacts): Usual {
  const does: readonly Method[] = ['saw', 'screw'];
  const words = say('soundness.words2');
  const decides = mark.severity === 'severe' ? ENGINEER : null;
  const verdict = mark.severity === 'severe' ? 'stop' : 'work';
  const deg = room.base.joistDeg ?? 0;
  const spacing = room.base.joistSpacingMm ?? DEFAULT_JOISTS_MM;
  const [along, across] = [extentAlongMm(mark, deg), extentAlongMm(mark, deg + 90)];
  if (along === null || across === null)
    return { does, verdict, words, decides, asks: say('soundness.outlineOfTheRot') };
  // Out to the joist beyond on each side: the cut falls on joist centres.
  const bays = Math.ceil(across / spacing) + 1;
  const cutM2 = (bays * spacing * (along + 2 * REACH_MM)) / 1e6;
  return {
    does,
    verdict,
    words,
    decides,
    cautions: [say('soundness.rotInAJoistStopStructural')],
    quantities: [
      {
        words: say('soundness.boardOrPanel'),
        value: cutM2,
        unit: 'm²',
        formula: say('soundness.cutFormula', {
          bays,
          spacing: reach(spacing),
          along: reach(along),
          reachMm: reach(REACH_MM),
        }),
      },
      {
        words: say('soundness.blocks'),
        value: bays * 2,
        unit: '',
        formula: say('soundness.bays2FreeEdges', { bays }),
      },
    ],
  };
}
