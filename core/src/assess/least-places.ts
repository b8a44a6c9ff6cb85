import {
  beyondAt,
  leafOf,
  levelFrom,
  levelsBeyond,
  placesAt,
  type HeightLeaf,
  type HeightLimit,
  type HeightOpening,
  type LevelOf,
} from '../heights/index.ts';
import { fixturePoint, type Opening, type PointMm } from '../room/index.ts';
import { beyondOf, type Beyond } from './beyond-of.ts';
import type { HeightGround } from './height-ground.ts';
import { baseAlongOf } from './height-places.ts';
import { joinedOpenings } from './joined-openings.ts';
import type { Side } from './least-side.ts';
import type { RoomSet } from './room-set.ts';
import { sightOf } from './sight.ts';

const sampleOf = ({ set, floor, offsetMm }: Side, at: PointMm) => {
  const mm = floor.bareAt(at);
  return mm === null ? null : { roomId: set.room.id, keptMm: mm + offsetMm };
};

const alongOf = ({ widthMm }: Opening) => [0, widthMm / 2, widthMm];

/** Openings at which levels are held against one another, each once: rooms that nothing ties together are left out. */
export function openingsOf(sides: readonly Side[], groundOf: (set: RoomSet) => HeightGround): HeightOpening[] {
  const seen = new Set<string>();
  return sides.flatMap((side) => {
    const { set, ground, floor, offsetMm } = side;
    const joined = joinedOpenings(set);
    const beyond: Map<string, Beyond> = beyondOf({ set, ground, floor }, joined, groundOf);
    return set.room.openings.flatMap((opening): HeightOpening[] => {
      const name = opening.sharedId ?? opening.id;
      const pair = joined.find((one) => one.opening.id === opening.id);
      const there = pair && sides.find((one) => one.set.room.id === pair.other.room.id);
      if (seen.has(name) || opening.kind === 'stair') return [];
      const levels = beyond.get(opening.id)?.levels ?? ownLevels(side, opening);
      const samples = alongOf(opening).flatMap((alongMm) => {
        const here = sampleOf(side, placesAt(ground.plan.corners, opening, [alongMm])[0]!.inside);
        const far =
          there && pair
            ? sampleOf(there, placesAt(there.ground.plan.corners, pair.far, [pair.far.widthMm - alongMm])[0]!.inside)
            : null;
        const level = beyondAt(levels, alongMm);
        if (!here || (!far && level === null)) return [];
        return [{ here, beyond: far ?? { levelMm: level! + offsetMm } }];
      });
      // Rooms that no reading ties together cannot be held against one another.
      if (samples.length === 0 || (there && levels.length === 0)) return [];
      seen.add(name);
      return [{ id: opening.id, samples }];
    });
  });
}

const ownLevels = ({ set, ground, floor }: Side, { id }: Opening) =>
  levelsBeyond(set.levels, id, sightOf(ground.state), baseAlongOf(ground.plan, set.room, floor));

/** Levels of something as they were read, by staff, tape or eye, over the room's own datum, mm. */
const readOf = ({ set, ground, floor }: Side, of: LevelOf, aboutId: string): number[] => {
  const [sight, base] = [sightOf(ground.state), baseAlongOf(ground.plan, set.room, floor)];
  return set.levels.flatMap((level) =>
    level.of === of && level.aboutId === aboutId ? (levelFrom(level, sight, base)?.levelMm ?? []) : [],
  );
};

/** Leaves that swing over a room's floor, sampled over their sector; those that are not cut on site may not be trimmed. */
export function leavesOf(side: Side): HeightLeaf[] {
  const { set, ground, offsetMm, figure } = side;
  return set.room.openings.flatMap((opening): HeightLeaf[] => {
    const leaf = set.leaves.findLast(({ openingId }) => openingId === opening.id);
    // The lower end of the leaf decides.
    const read = readOf(side, 'leaf', opening.id);
    const mm = read.length === 0 ? null : Math.min(...read);
    if (opening.kind !== 'door' || opening.swing !== 'in' || !leaf || leaf.kind === 'unknown' || mm === null) return [];
    const { hinge, closedDeg, openDeg } = leafOf(ground.plan.corners, opening, {
      hingeMm: 0,
      latchMm: 0,
      openDeg: leaf.opensDeg,
    });
    const samples = [0.3, 0.6, 1].flatMap((share) =>
      [0.15, 0.4, 0.7, 1].flatMap((turned) => {
        const angle = ((closedDeg + openDeg * turned) * Math.PI) / 180;
        const r = opening.widthMm * share;
        return sampleOf(side, { xMm: hinge.xMm + r * Math.cos(angle), yMm: hinge.yMm + r * Math.sin(angle) }) ?? [];
      }),
    );
    const most =
      leaf.kind === 'hollow' ? figure('leaf-hollow-mm') : leaf.kind === 'solid' ? figure('leaf-solid-mm') : 0;
    const wanted = leaf.kind === 'fire' ? figure('leaf-fire-clear-mm') : figure('leaf-clear-mm');
    return samples.length === 0
      ? []
      : [
          {
            id: opening.id,
            samples,
            mostMm: mm + offsetMm - wanted - leaf.rugMm,
            trimMm: Math.max(0, most - leaf.cutBeforeMm),
            trimCost: figure('leaf-trim-h') * figure('labour-h'),
          },
        ];
  });
}

/** Bays that an appliance has to fit: the floor at their front edge may come so high. */
export function limitsOf(side: Side): HeightLimit[] {
  const { set, offsetMm } = side;
  return set.appliances.flatMap((appliance): HeightLimit[] => {
    const fixture = set.room.fixtures.find(({ id }) => id === appliance.fixtureId);
    const undersides = readOf(side, 'underside', appliance.fixtureId);
    const sample = fixture && sampleOf(side, fixturePoint(fixture, 0, fixture.depthMm / 2));
    if (!sample || undersides.length === 0) return [];
    return [
      {
        id: appliance.fixtureId,
        sample,
        leastMm: null,
        mostMm: Math.min(...undersides) + offsetMm - appliance.heightMm - appliance.airMm,
      },
    ];
  });
}
