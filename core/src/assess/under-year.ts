import type { FigureOf } from '../figures/index.ts';
import {
  floorLayers,
  type FloorMakeUp,
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
  underCovering: UnderCovering | null;
  cures: YearCure[];
}

export interface UnderCovering {
  rh: number;
  month: number;
  limitRh: number;
  /** Where it is over: whether the tightest film there is would bring it under. A slab that is cooler than the room is damp by that alone. */
  filmCures: boolean;
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

/** As tight as a film can be: foil. */
const TIGHTEST_FILM = { sdM: 1500, rM2KW: 0 };

/** Air under the covering by months, %RH. */
const underCoveringRh = (verdict: VapourVerdict, layers: readonly VapourLayer[]): number[] =>
  verdict.year.months.map(({ rh }) => rh[layers.length - 1]!);

/** Years of a room's floor, whatever is laid on it: its climate is put together once for all of them. */
export interface RoomYears {
  /** What the year says of an option, and no more. */
  verdictOf: (offered: Pick<Offered, 'underlay' | 'film'>) => VapourVerdict;
  /** The year of an option with all that is shown of it. */
  yearOf: (offered: Pick<Offered, 'underlay' | 'film'>) => YearOfRoom;
}

export function yearsOf(set: RoomSet, room: UnderRoom, panel: PanelCard | null, figure: FigureOf): RoomYears {
  const climate = climateOf(set, room, figure);
  const limits = limitsOf(figure);
  const covering = { sdM: set.card.sdM, rM2KW: set.card.rM2KW };
  const floorOf = ({ underlay, film }: Pick<FloorMakeUp, 'underlay' | 'film'>) =>
    floorLayers({ base: room.base, slabMm: set.room.base.slabMm, panel, covering, underlay, film });
  const of = (layers: readonly VapourLayer[], { months, face }: FloorClimate = climate) =>
    vapourVerdict(layers, months, face, limits);
  const curesOf = ({ underlay, film }: Pick<Offered, 'underlay' | 'film'>): YearCure[] => {
    if (room.base !== 'timber') return [];
    const covered: YearCure[] =
      climate.below === 'crawl'
        ? [{ id: 'cover-ground', verdict: of(floorOf({ underlay, film }).layers, climateOf(set, room, figure, true)) }]
        : [];
    const bare = underlay && { ...underlay, filmSdM: 0 };
    const hasFilm = film !== null || (underlay?.filmSdM ?? 0) > 0;
    const other: YearCure = hasFilm
      ? { id: 'no-film', verdict: of(floorOf({ underlay: bare, film: null }).layers) }
      : { id: 'with-film', verdict: of(floorOf({ underlay, film: TRIED_FILM }).layers) };
    return [...covered, other];
  };
  const coveringOf = (
    underlay: Offered['underlay'],
    layers: readonly VapourLayer[],
    verdict: VapourVerdict,
  ): UnderCovering => {
    const limitRh = set.card.cementLimitRh;
    const rhs = underCoveringRh(verdict, layers);
    const rh = Math.max(...rhs);
    const tight = rh > limitRh ? floorOf({ underlay, film: TIGHTEST_FILM }).layers : null;
    const filmCures = tight !== null && Math.max(...underCoveringRh(of(tight), tight)) <= limitRh;
    return { rh, month: rhs.indexOf(rh), limitRh, filmCures };
  };
  return {
    verdictOf: (offered) => of(floorOf(offered).layers),
    yearOf: (offered) => {
      const { layers, isAssumed } = floorOf(offered);
      const verdict = of(layers);
      const underCovering = room.base === 'timber' ? null : coveringOf(offered.underlay, layers, verdict);
      return { layers, isAssumed, climate, verdict, limits, underCovering, cures: curesOf(offered) };
    },
  };
}
