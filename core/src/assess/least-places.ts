import {
  ACCESS,
  accessOf,
  beyondAt,
  leafOf,
  levelsBeyond,
  placesAt,
  type HeightLeaf,
  type HeightOpening,
  type HeightSample,
  type StepClass,
} from '../heights/index.ts';
import { answerTo } from '../fields/index.ts';
import type { FigureOf } from '../figures/index.ts';
import type { Opening } from '../room/index.ts';
import { beyondOf, type Beyond } from './beyond-of.ts';
import type { HeightGround } from './height-ground.ts';
import { baseAlongOf } from './height-places.ts';
import { joinedOpenings } from './joined-openings.ts';
import { readOf, sampleOf, type Side } from './least-side.ts';
import type { RoomSet } from './room-set.ts';
import { sightOf } from './sight.ts';

const alongOf = ({ widthMm }: Opening) => [0, widthMm / 2, widthMm];

/** What a step is counted as, by the figures of the job; bars take no more than `mostMm` where somebody has to get over them on wheels. */
export function classesOf(figure: FigureOf, mostMm = Infinity): StepClass[] {
  return [
    { mostMm: figure('bar-flat-mm'), cost: figure('step-flat') },
    { mostMm: figure('bar-tilted-mm'), cost: figure('step-tilted') },
    { mostMm: Math.min(figure('bar-reducer-mm'), mostMm), cost: figure('step-reducer') },
    { mostMm: 400, cost: figure('step-ramp'), avoided: true },
  ];
}

/** Openings at which levels are held against one another, each once: rooms that nothing ties together are left out. */
export function openingsOf(sides: readonly Side[], groundOf: (set: RoomSet) => HeightGround): HeightOpening[] {
  const seen = new Set<string>();
  return sides.flatMap((side) => {
    const { set, ground, floor, offsetMm } = side;
    const joined = joinedOpenings(set);
    const beyond: Map<string, Beyond> = beyondOf({ set, ground, floor }, joined, groundOf);
    const access = answerTo(set.answers, ACCESS) === 'yes' ? accessOf(set.country.country, set.figures).rule : null;
    return set.room.openings.flatMap((opening): HeightOpening[] => {
      const name = opening.sharedId ?? opening.id;
      const pair = joined.find((one) => one.opening.id === opening.id);
      const there = pair && sides.find((one) => one.set.room.id === pair.other.room.id);
      if (seen.has(name) || opening.kind === 'stair') return [];
      const levels = beyond.get(opening.id)?.levels ?? ownLevels(side, opening);
      const samples = alongOf(opening).flatMap((alongMm) => {
        const here = sampleOf(side, placesAt(ground.plan.corners, opening, [alongMm])[0]!.inside);
        const far = there && pair ? acrossFrom(there, pair.far, alongMm) : null;
        const level = beyondAt(levels, alongMm);
        if (!here || (!far && level === null)) return [];
        return [{ here, beyond: far ?? { levelMm: level! + offsetMm } }];
      });
      // Rooms that no reading ties together cannot be held against one another.
      if (samples.length === 0 || (there && levels.length === 0)) return [];
      seen.add(name);
      const classes = access ? { classes: classesOf(side.figure, access.bevelledMm) } : {};
      return [{ id: opening.id, samples, ...classes }];
    });
  });
}

/** The place on the other side of a shared opening, so far along it as it is seen from this one. */
const acrossFrom = (there: Side, far: Opening, alongMm: number): HeightSample | null =>
  sampleOf(there, placesAt(there.ground.plan.corners, far, [Math.max(0, far.widthMm - alongMm)])[0]!.inside);

/** The floor beyond an opening as it was read from here. */
export const ownLevels = ({ set, ground, floor }: Side, { id }: Opening) =>
  levelsBeyond(set.levels, id, sightOf(ground.state), baseAlongOf(ground.plan, set.room, floor));

/**
 * Leaves of a room, sampled over their sector wherever in the job they swing, and closed over the bar; those that are not cut on
 * site may not be trimmed.
 */
export function leavesOf(sides: readonly Side[]): HeightLeaf[] {
  const seen = new Set<string>();
  return sides.flatMap((side) =>
    leavesIn(side, sides).filter(({ id }) => {
      // Told of from both sides of a shared opening it is one leaf all the same.
      const name = side.set.room.openings.find((opening) => opening.id === id)?.sharedId ?? id;
      const isNew = !seen.has(name);
      seen.add(name);
      return isNew;
    }),
  );
}

function leavesIn(side: Side, sides: readonly Side[]): HeightLeaf[] {
  const { set, ground, offsetMm, figure } = side;
  const joined = joinedOpenings(set);
  return set.room.openings.flatMap((opening): HeightLeaf[] => {
    const leaf = set.leaves.findLast(({ openingId }) => openingId === opening.id);
    // The lower end of the leaf decides.
    const read = readOf(side, 'leaf', opening.id);
    if (opening.kind !== 'door' || !leaf || leaf.kind === 'unknown' || read.length === 0) return [];
    const pair = joined.find((one) => one.opening.id === opening.id);
    const there = pair && sides.find((one) => one.set.room.id === pair.other.room.id);
    const swung =
      opening.swing === 'in'
        ? swingSamples(side, opening, leaf.opensDeg)
        : there && pair
          ? swingSamples(there, pair.far, leaf.opensDeg)
          : [];
    // Closed, the leaf hangs over the cap of the bar; a rug lies where it swings.
    const capMm = figure('bar-cap-mm');
    const closed = alongOf(opening).flatMap((alongMm) => [
      sampleOf(side, placesAt(ground.plan.corners, opening, [alongMm])[0]!.inside),
      there && pair ? acrossFrom(there, pair.far, alongMm) : null,
    ]);
    const over = (samples: readonly (HeightSample | null)[], mm: number) =>
      samples.flatMap((sample) => (sample ? [{ ...sample, overMm: mm }] : []));
    const samples = [...over(swung, leaf.rugMm), ...over(closed, capMm)];
    const fixed = there ? [] : ownLevels(side, opening).map(({ levelMm }) => levelMm + offsetMm + capMm);
    const most =
      leaf.kind === 'hollow' ? figure('leaf-hollow-mm') : leaf.kind === 'solid' ? figure('leaf-solid-mm') : 0;
    const wanted = leaf.kind === 'fire' ? figure('leaf-fire-clear-mm') : figure('leaf-clear-mm');
    return samples.length === 0
      ? []
      : [
          {
            id: opening.id,
            samples,
            mostMm: Math.min(...read) + offsetMm - wanted,
            trimMm: Math.max(0, most - leaf.cutBeforeMm),
            trimCost: figure('leaf-trim-h') * figure('labour-h'),
            ...(fixed.length > 0 ? { fixedMm: Math.max(...fixed) } : {}),
          },
        ];
  });
}

/** Places of a room under a leaf that swings over it. */
function swingSamples(side: Side, opening: Opening, opensDeg: number): (HeightSample | null)[] {
  const { hinge, closedDeg, openDeg } = leafOf(
    side.ground.plan.corners,
    { ...opening, swing: 'in' },
    { hingeMm: 0, latchMm: 0, openDeg: opensDeg },
  );
  return [0.3, 0.6, 1].flatMap((share) =>
    [0.15, 0.4, 0.7, 1].map((turned) => {
      const angle = ((closedDeg + openDeg * turned) * Math.PI) / 180;
      const r = opening.widthMm * share;
      return sampleOf(side, { xMm: hinge.xMm + r * Math.cos(angle), yMm: hinge.yMm + r * Math.sin(angle) });
    }),
  );
}
