import { beyondAt, frameTreatment, placesAt, undercut, type BeyondLevel, type Undercut } from '../heights/index.ts';
import type { Opening, Plan } from '../room/index.ts';
import type { NewFloor } from './new-floor.ts';
import { thicknessAt } from './old-layers.ts';
import { layersLeft } from '../stripout/index.ts';
import type { RoomSet } from './room-set.ts';

/** A foot of a frame that the floor goes under: where the saw is set, or why it is not sawn. */
export interface UndercutJudged {
  openingId: string;
  /** The jamb at the hinge or at the latch, on this side of the wall or beyond it. */
  end: 'hinge' | 'latch';
  side: 'here' | 'beyond';
  treatment: 'saw' | 'scribe' | 'measure';
  /** Null where no level is known there. */
  cut: Undercut | null;
}

/** A jamb and its architrave stand on so much of the floor beside an opening, mm. */
const FOOT_MM = [0, 40, 80] as const;

/** Feet of the frames of a room's doors, each with the level of its cut over what lies there today. */
export function undercutsOf(
  set: RoomSet,
  plan: Plan,
  floor: NewFloor | null,
  beyondOf: (openingId: string) => readonly BeyondLevel[],
): UndercutJudged[] {
  const lying = thicknessAt(set.room, layersLeft(set));
  return set.room.openings
    .filter(({ kind }) => kind === 'door')
    .flatMap((opening) => {
      const frame = set.leaves.findLast(({ openingId }) => openingId === opening.id)?.frame ?? 'unknown';
      const treatment = frameTreatment(frame);
      return (['hinge', 'latch'] as const).flatMap((end): UndercutJudged[] => {
        const alongMm = (end === 'hinge') === (opening.hinge === 'start') ? 0 : opening.widthMm;
        const about = { openingId: opening.id, end, treatment };
        const here = cutHere(plan, opening, alongMm, floor, lying);
        const there = beyondAt(beyondOf(opening.id), alongMm);
        const surface = floor?.bareAt(placesAt(plan.corners, opening, [alongMm])[0]!.inside) ?? null;
        return [
          { ...about, side: 'here', cut: here },
          {
            ...about,
            side: 'beyond',
            cut:
              there === null || surface === null || !reaches(set, opening.id)
                ? null
                : undercut([there], surface, surface),
          },
        ];
      });
    });
}

/** Beyond an opening a frame is sawn only where the next room of the job lays a floor too. */
const reaches = ({ room, neighbours }: RoomSet, openingId: string) => {
  const shared = room.openings.find(({ id }) => id === openingId)?.sharedId ?? null;
  return shared !== null && neighbours.length > 0;
};

function cutHere(
  plan: Plan,
  opening: Opening,
  alongMm: number,
  floor: NewFloor | null,
  lying: ReturnType<typeof thicknessAt>,
): Undercut | null {
  if (!floor) return null;
  const inward = alongMm === 0 ? 1 : -1;
  const places = placesAt(
    plan.corners,
    opening,
    FOOT_MM.map((mm) => alongMm + inward * mm),
  ).map(({ inside }) => inside);
  const finished = places.flatMap(({ xMm, yMm }) => floor.finishedAt(xMm, yMm)?.new ?? []);
  const bare = places.flatMap((at) => floor.bareAt(at) ?? []);
  if (bare.length === 0) return null;
  const baseMm = bare.reduce((sum, mm) => sum + mm, 0) / bare.length;
  return undercut(finished, baseMm, baseMm + lying(places[0]!));
}
