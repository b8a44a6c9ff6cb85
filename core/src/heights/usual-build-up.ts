import type { CoveringCard } from '../coverings/index.ts';
import { USUAL_SET_SHARE, type BuildUp } from './build-up.ts';
import type { BuildUpFact } from './facts.ts';

/** Mass of a covering, kg for each m² and mm of it: rigid vinyl, wood fibre board, layered wood. */
const KG_M2_MM = {
  'click-vinyl': 1.9,
  laminate: 0.88,
  'glue-down-vinyl': 1.7,
  'engineered-wood': 0.65,
  'click-herringbone': 0.65,
} as const;

/** An underlay as it is usual under a floating covering without a pad of its own: thickness, and kPa at half a millimetre. */
const UNDERLAY_MM = { laminate: 2, 'click-vinyl': 1.5, 'engineered-wood': 2, 'click-herringbone': 2 } as const;
const UNDERLAY_KPA = { laminate: 60, 'click-vinyl': 200, 'engineered-wood': 60, 'click-herringbone': 60 } as const;
const FILM_MM = 0.2;

type Body = Omit<BuildUpFact, 'id'>;

/** What goes down under a covering unless somebody says otherwise; the maker's sheet wins. */
export function usualBuildUp({ kind, thicknessMm, attachedPad }: CoveringCard): Body {
  const floats = kind !== 'glue-down-vinyl' && !attachedPad;
  return {
    panelMm: 0,
    filmMm: kind === 'glue-down-vinyl' ? 0 : FILM_MM,
    underlayMm: floats ? UNDERLAY_MM[kind] : null,
    kPaAtHalfMm: floats ? UNDERLAY_KPA[kind] : 60,
    setShare: USUAL_SET_SHARE,
    coveringMm: null,
    coveringKgM2: Math.round(KG_M2_MM[kind] * thicknessMm * 10) / 10,
    note: '',
  };
}

/** What is stated of a room's build-up, else what is usual for its covering: as it would be stated anew. */
export function statedBuildUp(stated: readonly Body[], card: CoveringCard): Body {
  const { panelMm, filmMm, underlayMm, kPaAtHalfMm, setShare, coveringMm, coveringKgM2, note } =
    stated.at(-1) ?? usualBuildUp(card);
  return { panelMm, filmMm, underlayMm, kPaAtHalfMm, setShare, coveringMm, coveringKgM2, note };
}

/** The build-up of a room: what was stated last, else what is usual for its covering. */
export function buildUpOf(stated: readonly Body[], card: CoveringCard): BuildUp {
  const { panelMm, filmMm, underlayMm, kPaAtHalfMm, setShare, coveringMm, coveringKgM2 } = statedBuildUp(stated, card);
  return {
    panelMm,
    filmMm,
    underlay: underlayMm === null ? null : { thicknessMm: underlayMm, kPaAtHalfMm, setShare },
    coveringMm: coveringMm ?? card.thicknessMm,
    coveringKgM2,
  };
}
