import type { Method } from '../hazards/index.ts';
import { reach, say, type Said } from '../said/index.ts';
import type { FigureOf } from '../figures/index.ts';
import { boundsMm, joistOffsetMm, joistsWithin, outlineOf, type RoomFacts } from '../room/index.ts';
import { extentAlongMm, stretchAlong } from './extent.ts';
import type { Mark } from './facts.ts';
import { DEFAULT_JOISTS_MM, ENGINEER, type Usual } from './usual.ts';

/** How far a rotten board is cut back along the joists into sound wood, mm. */
const REACH_MM = { metric: 150, imperial: 6 * 25.4 } as const;

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
  const known = joistsUnder(mark, room, deg, spacing);
  const joists = known?.under ?? Math.floor(across / spacing) + 1;
  const counted = (screws: number, formula: Said): Usual => ({
    does,
    words,
    cautions,
    quantities: [{ words: say('soundness.screws'), value: screws, unit: '', formula }],
  });
  const assumed =
    room.base.joistSpacingMm === null ? say('soundness.assumed') : known ? say('soundness.joistsKnown') : '';
  if (room.baseKind === 'floorboards-on-joists') {
    // A board is held at both edges on every joist: one screw in its middle lets it cup.
    const width = figure('board-mm');
    const boards = Math.ceil(along / width);
    return counted(
      joists * boards * SCREWS_A_BOARD,
      say('soundness.boardScrewsFormula', {
        joists,
        across: reach(across),
        spacing: reach(spacing),
        what: assumed,
        boards,
        width: reach(width),
        each: SCREWS_A_BOARD,
      }),
    );
  }
  // One at each end of what is left over, where that is more than half a pitch.
  const left = along - Math.floor(along / pitch) * pitch;
  const screws = joists * (Math.floor(along / pitch) + 1 + (left > pitch / 2 ? 1 : 0));
  return counted(
    screws,
    say('soundness.screwsFormula', {
      joists,
      across: reach(across),
      spacing: reach(spacing),
      what: assumed,
      screws: screws / joists,
      along: reach(along),
      pitch: reach(pitch),
    }),
  );
}

/**
 * Joists under a mark, and bays from the joist before it to the joist beyond, where it is known where the first one lies; else null,
 * and they are counted by what the mark's width can rest on.
 */
function joistsUnder(
  mark: Mark,
  room: RoomFacts,
  deg: number,
  spacingMm: number,
): { under: number; bays: number } | null {
  const { joistFirstMm: firstMm, joistSpacingMm } = room.base;
  const stretch = stretchAlong(mark, deg + 90);
  if (firstMm === null || firstMm === undefined || joistSpacingMm === null || !stretch) return null;
  const plan = outlineOf(room.walls, room.start);
  const { minX, minY } = boundsMm(plan.corners);
  const turn = (deg * Math.PI) / 180;
  // Offsets count from the lower left of the outline, marks from the sheet's own corner.
  const offset = joistOffsetMm(plan, { deg, spacingMm, firstMm }) - Math.sin(turn) * minX + Math.cos(turn) * minY;
  const [low, high] = stretch.map((mm) => (mm - offset) / spacingMm) as [number, number];
  return {
    under: joistsWithin(...stretch, offset, spacingMm),
    bays: Math.max(1, Math.ceil(high - 1e-9) - Math.floor(low + 1e-9)),
  };
}

/** Screws in each board on each joist. */
const SCREWS_A_BOARD = 2;

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
  const reachMm = REACH_MM[room.units];
  const [along, across] = [extentAlongMm(mark, deg), extentAlongMm(mark, deg + 90)];
  if (along === null || across === null)
    return { does, verdict, words, decides, asks: say('soundness.outlineOfTheRot') };
  // Out to the joist beyond on each side: the cut falls on joist centres.
  const bays = joistsUnder(mark, room, deg, spacing)?.bays ?? Math.ceil(across / spacing) + 1;
  const cutM2 = (bays * spacing * (along + 2 * reachMm)) / 1e6;
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
          reachMm: reach(reachMm),
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
