import { figuresOf, type FigureOf } from '../figures/index.ts';
import {
  buildUpMm,
  buildUpOf,
  oneDatum,
  placesAt,
  statedBuildUp,
  type BuildUpFact,
  type DatumTie,
  type HeightRoom,
  type HeightsJob,
  type HeightSystem,
  type StepClass,
} from '../heights/index.ts';
import { ratesOf } from '../levelling/index.ts';
import { areaM2, isTimber } from '../room/index.ts';
import { levellingOf, planRoom } from './level-room.ts';
import { beyondOf } from './beyond-of.ts';
import type { HeightGround } from './height-ground.ts';
import { joinedOpenings } from './joined-openings.ts';
import { leavesOf, limitsOf, openingsOf } from './least-places.ts';
import type { Side } from './least-side.ts';
import { newFloor, type NewFloor } from './new-floor.ts';
import type { RoomSet } from './room-set.ts';

type BuildUpBody = Omit<BuildUpFact, 'id'>;

/** Something that may be laid in a room: its build-up, and whether the old floor stays under it; null where none lies there. */
export interface LeastSystem {
  id: string;
  buildUp: BuildUpBody;
  keeps: boolean | null;
}

/** A job for the least steps, with what its systems stand for and the rooms that are left out of it. */
export interface LeastJob {
  job: HeightsJob;
  systems: { roomId: string; systems: LeastSystem[]; topMm: number; pourAtMm: number }[];
  /** Rooms whose floor is not read: nothing is chosen for them. */
  unread: string[];
}

/** Underlays tried under a floating floor without a pad of its own, mm. */
const UNDERLAYS_MM = [1.5, 2, 3, 5] as const;
/** A pour is looked for up to so much over the thinnest that its product takes, mm. */
const POUR_RANGE_MM = 25;
const POUR_LEAST_MM = 3;

/**
 * The least steps of a job as a programme: rooms whose floors are read, what may lie in each, what pouring takes, and every opening,
 * leaf and bay that a level counts at. Heights are over the datum of the first room of each group that readings tie together.
 */
export function leastJob(sets: readonly RoomSet[], atUtc: string, groundOf: (set: RoomSet) => HeightGround): LeastJob {
  const read = sets.flatMap((set) => {
    const ground = groundOf(set);
    return ground.state ? [{ set, ground, floor: newFloor(set, ground.strip, ground.state, null) }] : [];
  });
  const { offsetMm } = oneDatum(
    read.map(({ set }) => set.room.id),
    tiesOf(read, groundOf),
  );
  const sides = read.map((one): Side => ({
    ...one,
    offsetMm: offsetMm.get(one.set.room.id) ?? 0,
    figure: figuresOf(one.set.figures, one.set.room.units),
  }));
  const rooms = sides.map((side) => ({ side, ...roomOf(side, atUtc) }));
  return {
    job: {
      rooms: rooms.map(({ room }) => room),
      openings: openingsOf(sides, groundOf),
      classes: classesOf(sides[0]?.figure ?? figuresOf([])),
      leaves: sides.flatMap(leavesOf),
      limits: sides.flatMap(limitsOf),
    },
    systems: rooms.map(({ side, systems, topMm }) => ({
      roomId: side.set.room.id,
      systems,
      topMm,
      pourAtMm: side.offsetMm,
    })),
    unread: sets.flatMap(({ room }) => (read.some(({ set }) => set.room.id === room.id) ? [] : [room.id])),
  };
}

function classesOf(figure: FigureOf): StepClass[] {
  return [
    { mostMm: figure('bar-flat-mm'), cost: figure('step-flat') },
    { mostMm: figure('bar-tilted-mm'), cost: figure('step-tilted') },
    { mostMm: figure('bar-reducer-mm'), cost: figure('step-reducer') },
    { mostMm: 400, cost: figure('step-ramp'), avoided: true },
  ];
}

/** What was read beyond a shared opening is a height of the other room's floor: it ties the two. */
function tiesOf(
  read: readonly Omit<Side, 'offsetMm' | 'figure'>[],
  groundOf: (set: RoomSet) => HeightGround,
): DatumTie[] {
  return read.flatMap(({ set, ground, floor }) => {
    const joined = joinedOpenings(set);
    const levels = beyondOf({ set, ground, floor }, joined, groundOf);
    return joined.flatMap(({ opening, other, far }): DatumTie[] => {
      const there = read.find((one) => one.set.room.id === other.room.id);
      const known = levels.get(opening.id);
      if (!there || !known || known.readThere) return [];
      return known.levels.flatMap(({ alongMm, levelMm, offMm }): DatumTie[] => {
        const { inside } = placesAt(there.ground.plan.corners, far, [far.widthMm - Math.min(alongMm, far.widthMm)])[0]!;
        const theirs = there.floor.surfaceAt(inside);
        return theirs === null
          ? []
          : [
              {
                id: `${opening.id}/${alongMm}`,
                roomIds: [set.room.id, other.room.id],
                levelsMm: [levelMm, theirs],
                offMm: Math.hypot(offMm, there.floor.offMm),
              },
            ];
      });
    });
  });
}

/** What may be laid in a room and what pouring it takes; levels are of its bare base, so that keeping the old floor adds to them. */
function roomOf({ set, ground, floor, offsetMm, figure }: Side, atUtc: string) {
  const { room, card } = set;
  const { plan, strip, state } = ground;
  const floorM2 = areaM2(plan.corners, plan.islands);
  const stated: BuildUpBody = statedBuildUp(set.buildUps, card);
  const floats = card.kind !== 'glue-down-vinyl' && !card.attachedPad;
  const underlays = floats ? [...new Set([stated.underlayMm, ...UNDERLAYS_MM])] : [stated.underlayMm];
  const timber = isTimber(strip.laidOver);
  const panels =
    timber && strip.surfaceGates.fix.allowed ? [...new Set([stated.panelMm, 0, figure('panel-mm')])] : [stated.panelMm];
  const keeping = keptOrLifted(strip.plan.comparisons);
  const systems = keeping.flatMap(({ keeps, addsMm: keptMm, cost: keptCost }) =>
    underlays.flatMap((underlayMm) =>
      panels.map((panelMm) => {
        const buildUp = { ...stated, underlayMm, panelMm };
        const made = buildUpOf([buildUp], card);
        const system: HeightSystem = {
          id: `${room.id}/${keeps === null ? 'bare' : keeps ? 'keep' : 'lift'}/${underlayMm ?? 0}/${panelMm}`,
          buildUpMm: keptMm + buildUpMm(made, 'new'),
          kgM2: made.coveringKgM2 + panelMm * PANEL_KG_M2_MM,
          cost:
            keptCost +
            floorM2 * (underlayMm ?? 0) * figure('underlay-cost-mm') +
            (panelMm > 0 ? floorM2 * (figure('panel-cost-m2') + figure('panel-h-m2') * figure('labour-h')) : 0),
        };
        return { system, least: { id: system.id, buildUp, keeps } };
      }),
    ),
  );
  const work = levellingOf(set, atUtc);
  const levelling = planRoom(set, atUtc);
  const bare = bareHeights(floor, state!);
  const [topMm, meanMm] = [Math.max(...bare), bare.reduce((sum, mm) => sum + mm, 0) / bare.length];
  const lowMm = topMm + offsetMm + POUR_LEAST_MM;
  const rates = work ? ratesOf(work.job.priced, figure, work.job.sulfate) : null;
  const height: HeightRoom = {
    id: room.id,
    areaM2: floorM2,
    systems: systems.map(({ system }) => system),
    keepCost: levelling && !levelling.nothingToDo ? levelling.fill.cost : 0,
    pour:
      rates && work && strip.surfaceGates.prime.allowed
        ? {
            lowMm,
            highMm: lowMm + POUR_RANGE_MM,
            // Over the highest place a pour fills every cell: what it takes grows by the whole floor with its level.
            pieces: [{ perMm: floorM2, litres: -floorM2 * (meanMm + offsetMm) }],
            costPerL: rates.fillPerL,
            kgPerL: work.job.priced.kgPerM2Mm,
            cost: rates.touchPerM2 * floorM2,
          }
        : null,
    mostKgM2: isTimber(room.baseKind) ? figure('timber-load-kg-m2') : null,
  };
  return { room: height, systems: systems.map(({ least }) => least), topMm };
}

/** Mass of an overlay panel, kg for each m² and mm. */
const PANEL_KG_M2_MM = 0.7;

function bareHeights({ bareAt }: NewFloor, { judged }: NonNullable<HeightGround['state']>): number[] {
  const heights: number[] = [];
  for (let cell = 0; cell < judged.inside.length; cell++) {
    if (!judged.inside[cell]) continue;
    const at = {
      xMm: judged.x0Mm + (cell % judged.nx) * judged.cellMm,
      yMm: judged.y0Mm + Math.floor(cell / judged.nx) * judged.cellMm,
    };
    const mm = bareAt(at);
    if (mm !== null) heights.push(mm);
  }
  return heights;
}

/** Whether the old floor may stay, may come up, or both; with its thickness and what either costs. */
function keptOrLifted(comparisons: HeightGround['strip']['plan']['comparisons']) {
  if (comparisons.length === 0) return [{ keeps: null, addsMm: 0, cost: 0 }];
  const of = (choice: 'keep' | 'remove') =>
    comparisons.map(({ options }) => options.find((one) => one.choice === choice)!);
  const [keep, lift] = [of('keep'), of('remove')];
  const sum = (options: readonly { cost: number }[]) => options.reduce((all, { cost }) => all + cost, 0);
  const thicknessMm = lift.at(-1)!.levelMm - keep[0]!.levelMm;
  const ways = [
    ...(keep.every(({ allowed }) => allowed) ? [{ keeps: true, addsMm: Math.abs(thicknessMm), cost: sum(keep) }] : []),
    ...(lift.every(({ allowed }) => allowed) ? [{ keeps: false, addsMm: 0, cost: sum(lift) }] : []),
  ];
  // Neither may be done yet: the floor stands as it lies until somebody decides.
  return ways.length > 0 ? ways : [{ keeps: null, addsMm: Math.abs(thicknessMm), cost: 0 }];
}
