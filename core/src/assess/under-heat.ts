import type { FigureOf } from '../figures/index.ts';
import {
  heatedFloor,
  heatRamp,
  underRug,
  type HeatDay,
  type HeatedFloor,
  type HeatedRules,
  type Offered,
  type PanelCard,
  type UnderRoom,
} from '../under/index.ts';
import { probeHolds } from './under-ground.ts';
import type { RoomSet } from './room-set.ts';

/** A heated floor as it would be laid: what its water has to be, with a rug as well, and the flow day by day after laying. */
export interface HeatOfRoom {
  by: 'water' | 'electric';
  /** Null where a sheet does not state its resistance. */
  floor: HeatedFloor | null;
  rug: HeatedFloor | null;
  rules: HeatedRules;
  wantedW: number;
  /** Flow on each day after laying, °C; null where the floor is electric. */
  ramp: number[] | null;
  days: { before: HeatDay[]; after: HeatDay[] };
  /** Days on which the surface was warmer than the covering takes. */
  tooWarm: HeatDay[];
  /** Of electric heating: a probe holds it; tested before, and after. */
  probe: boolean | null;
  tested: { before: boolean; after: boolean };
}

/** A cable whose insulation holds this much is taken as whole, MΩ. */
const SOUND_MOHM = 1;

export function heatOf(
  set: RoomSet,
  room: UnderRoom,
  { underlay, film }: Pick<Offered, 'underlay' | 'film'>,
  panel: PanelCard | null,
  figure: FigureOf,
): HeatOfRoom | null {
  if (room.heated !== 'water' && room.heated !== 'electric') return null;
  const parts = [set.card.rM2KW, underlay ? underlay.rM2KW : 0, film?.rM2KW ?? 0, panel?.rM2KW ?? 0];
  const sumR = parts.includes(null) ? null : parts.reduce<number>((sum, r) => sum + (r ?? 0), 0);
  const rules: HeatedRules = {
    roomC: figure('heat-room-c'),
    mostSurfaceC: figure('heat-surface-c'),
    screedR: figure('heat-screed-r'),
    halfDropK: figure('heat-drop-k') / 2,
    rugR: figure('heat-rug-r'),
  };
  const wantedW = figure('heat-wanted-w');
  const floor = sumR === null ? null : heatedFloor(sumR, wantedW, rules);
  const byDay = [...set.heatDays].sort((a, b) => (a.day < b.day ? -1 : 1));
  const tests = (phase: 'before' | 'after') =>
    set.cableTests.some((test) => test.phase === phase && test.insulationMOhm >= SOUND_MOHM);
  return {
    by: room.heated,
    floor,
    rug: sumR === null ? null : underRug(sumR, wantedW, rules),
    rules,
    wantedW,
    ramp: room.heated === 'water' && floor ? heatRamp(figure('heat-wanted-c'), floor.mostFlowC) : null,
    days: {
      before: byDay.filter(({ phase }) => phase === 'before'),
      after: byDay.filter(({ phase }) => phase === 'after'),
    },
    tooWarm: byDay.filter(({ surfaceC }) => surfaceC !== null && surfaceC > rules.mostSurfaceC),
    probe: probeHolds(set.answers),
    tested: { before: tests('before'), after: tests('after') },
  };
}
