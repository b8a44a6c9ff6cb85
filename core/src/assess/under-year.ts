import type { FigureOf } from '../figures/index.ts';
import {
  floorLayers,
  vapourVerdict,
  type Offered,
  type PanelCard,
  type UnderRoom,
  type VapourLayer,
  type VapourLimits,
  type VapourVerdict,
} from '../under/index.ts';
import { climateOf, type FloorClimate } from './under-climate.ts';
import type { RoomSet } from './room-set.ts';

/** A year of vapour through a room's floor as it would be laid, with what would mend it. */
export interface YearOfRoom {
  layers: VapourLayer[];
  /** Layers a sheet says too little of are taken as usual. */
  isAssumed: boolean;
  climate: FloorClimate;
  verdict: VapourVerdict;
  limits: VapourLimits;
  /** Under the covering on a mineral base, the dampest month: %RH, and what its sheet takes. */
  underCovering: { rh: number; month: number; limitRh: number } | null;
  cures: YearCure[];
}

/** What the same floor does another way. */
export interface YearCure {
  id: 'cover-ground' | 'with-film' | 'no-film';
  verdict: VapourVerdict;
}

const limitsOf = (figure: FigureOf): VapourLimits => ({
  mostG: figure('vapour-most-g'),
  woodRh: figure('vapour-wood-rh'),
  reserveG: figure('vapour-reserve-g'),
});

/** A film a cure is tried with: what is usual on a slab. */
const TRIED_FILM = { sdM: 100, rM2KW: 0 };

/** The year of one option in a room. */
export function yearOf(
  set: RoomSet,
  room: UnderRoom,
  { underlay, film }: Pick<Offered, 'underlay' | 'film'>,
  panel: PanelCard | null,
  figure: FigureOf,
): YearOfRoom {
  const makeUp = {
    base: room.base,
    slabMm: set.room.base.slabMm,
    panel,
    underlay,
    covering: { sdM: set.card.sdM, rM2KW: set.card.rM2KW },
  };
  const { layers, isAssumed } = floorLayers({ ...makeUp, film });
  const climate = climateOf(set, room, figure);
  const limits = limitsOf(figure);
  const of = (floor: readonly VapourLayer[], { months, face }: FloorClimate = climate) =>
    vapourVerdict(floor, months, face, limits);
  const verdict = of(layers);
  const hasFilm = film !== null || (underlay?.filmSdM ?? 0) > 0;
  const cures: YearCure[] = [];
  if (room.base === 'timber') {
    if (climate.below === 'crawl')
      cures.push({ id: 'cover-ground', verdict: of(layers, climateOf(set, room, figure, true)) });
    cures.push(
      hasFilm
        ? {
            id: 'no-film',
            verdict: of(
              floorLayers({ ...makeUp, underlay: underlay && { ...underlay, filmSdM: 0 }, film: null }).layers,
            ),
          }
        : { id: 'with-film', verdict: of(floorLayers({ ...makeUp, film: TRIED_FILM }).layers) },
    );
  }
  const at = layers.length - 1;
  const rhs = verdict.year.months.map(({ rh }) => rh[at]!);
  const rh = Math.max(...rhs);
  return {
    layers,
    isAssumed,
    climate,
    verdict,
    limits,
    underCovering: room.base === 'timber' ? null : { rh, month: rhs.indexOf(rh), limitRh: set.card.cementLimitRh },
    cures,
  };
}
