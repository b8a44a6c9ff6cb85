import type { CoveringCard } from '../coverings/index.ts';
import {
  buildUpMm,
  buildUpOf,
  statedBuildUp,
  type BuildUpFact,
  type HeightRoom,
  type HeightSystem,
} from '../heights/index.ts';
import { ratesOf } from '../levelling/index.ts';
import { areaM2, isTimber } from '../room/index.ts';
import { worstVerdict, VERDICTS } from '../verdict/index.ts';
import type { HeightGround } from './height-ground.ts';
import type { Side } from './least-side.ts';
import { levellingOf, planRoom } from './level-room.ts';
import type { StripState } from './strip-state.ts';
import type { RoomSet } from './room-set.ts';

type BuildUpBody = Omit<BuildUpFact, 'id'>;

/** Something that may be laid in a room: its covering and build-up, and whether the old floor stays under it; null where none lies there. */
export interface LeastSystem {
  id: string;
  cardId: string;
  buildUp: BuildUpBody;
  keeps: boolean | null;
}

/** Underlays tried under a floating floor without a pad of its own, mm. */
const UNDERLAYS_MM = [1.5, 2, 3, 5] as const;
/** A pour is looked for up to so much over the thinnest that its product takes, mm. */
const POUR_RANGE_MM = 25;
const POUR_LEAST_MM = 3;
/** Mass of an overlay panel, kg for each m² and mm. */
const PANEL_KG_M2_MM = 0.7;

/** A covering as it may lie in a room, with what the room asks before it. */
interface Laid {
  card: CoveringCard;
  strip: Pick<StripState, 'plan'>;
  keepCost: number;
}

/** What may be laid in a room and what pouring it takes; levels are of its bare base, so that keeping the old floor adds to them. */
export function roomOf(
  side: Side,
  atUtc: string,
  coverings: readonly CoveringCard[],
): { room: HeightRoom; systems: LeastSystem[]; topMm: number } {
  const { set, ground, offsetMm, figure, levelling, runner } = side;
  const { room } = set;
  const { plan, strip } = ground;
  const floorM2 = areaM2(plan.corners, plan.islands);
  const keepCost = levelling && !levelling.nothingToDo ? levelling.fill.cost : 0;
  const laid: Laid[] = [{ card: set.card, strip, keepCost }, ...othersThat(side, atUtc, coverings)];
  const systems = laid.flatMap((one) => systemsOf(side, one, floorM2));
  const work = levellingOf(set, atUtc, { runner });
  const bare = bareHeights(side);
  const [topMm, meanMm] = [Math.max(...bare), bare.reduce((sum, mm) => sum + mm, 0) / bare.length];
  const lowMm = topMm + offsetMm + POUR_LEAST_MM;
  const rates = work ? ratesOf(work.job.priced, figure, work.job.sulfate) : null;
  const height: HeightRoom = {
    id: room.id,
    areaM2: floorM2,
    systems: systems.map(({ system }) => system),
    keepCost,
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

/**
 * Other coverings that may lie in a room: those whose price is known beside that of its own, and over which damp says nothing
 * worse. What levelling their own rule asks is part of what they cost.
 */
function othersThat({ set, runner }: Side, atUtc: string, coverings: readonly CoveringCard[]): Laid[] {
  if (set.card.costM2 === null) return [];
  const dampRank = (one: RoomSet) =>
    VERDICTS.indexOf(worstVerdict(runner.run(one, atUtc, { parts: ['damp'] }).criteria.map(({ verdict }) => verdict)));
  const own = dampRank(set);
  return coverings.flatMap((card): Laid[] => {
    if (card.id === set.card.id || card.costM2 === null) return [];
    const as = { ...set, card, room: { ...set.room, cardId: card.id } };
    // Verdicts stand from the worst to the best.
    if (dampRank(as) < own) return [];
    const { states } = runner.run(as, atUtc, { parts: ['strip'] });
    const levelling = planRoom(as, atUtc, { runner });
    return [
      {
        card,
        // The part's state is what it says it makes.
        strip: states.get('strip') as StripState,
        keepCost: levelling && !levelling.nothingToDo ? levelling.fill.cost : 0,
      },
    ];
  });
}

/** Build-ups of one covering in a room: every underlay and panel it may have, over the old floor or without it. */
function systemsOf({ set, ground, figure }: Side, { card, strip, keepCost }: Laid, floorM2: number) {
  const isOwn = card.id === set.card.id;
  const stated: BuildUpBody = statedBuildUp(isOwn ? set.buildUps : [], card);
  const floats = card.kind !== 'glue-down-vinyl' && !card.attachedPad;
  const underlays = floats ? [...new Set([stated.underlayMm, ...UNDERLAYS_MM])] : [stated.underlayMm];
  const mayPanel = isTimber(ground.strip.laidOver) && ground.strip.surfaceGates.fix.allowed;
  const panels = mayPanel ? [...new Set([stated.panelMm, 0, figure('panel-mm')])] : [stated.panelMm];
  return keptOrLifted(strip.plan.comparisons).flatMap(({ keeps, addsMm: keptMm, cost: keptCost }) =>
    underlays.flatMap((underlayMm) =>
      panels.map((panelMm) => {
        const buildUp = { ...stated, underlayMm, panelMm };
        const made = buildUpOf([buildUp], card);
        const system: HeightSystem = {
          id: `${set.room.id}/${isOwn ? '' : `${card.id}/`}${keeps === null ? 'bare' : keeps ? 'keep' : 'lift'}/${underlayMm ?? 0}/${panelMm}`,
          buildUpMm: keptMm + buildUpMm(made, 'new'),
          kgM2: made.coveringKgM2 + panelMm * PANEL_KG_M2_MM,
          keepCost,
          cost:
            keptCost +
            floorM2 * (card.costM2 ?? 0) +
            floorM2 * (underlayMm ?? 0) * figure('underlay-cost-mm') +
            (panelMm > 0 ? floorM2 * (figure('panel-cost-m2') + figure('panel-h-m2') * figure('labour-h')) : 0),
        };
        return { system, least: { id: system.id, cardId: card.id, buildUp, keeps } };
      }),
    ),
  );
}

function bareHeights({ floor: { bareAt }, ground }: Side): number[] {
  const { judged } = ground.state!;
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
