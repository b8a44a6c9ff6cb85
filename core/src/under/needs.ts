import { asFlag, type CoveringCard } from '../coverings/index.ts';
import type { FilmCard, UnderlayCard } from './card-facts.ts';
import type { CoveringNeeds, FilmFigures, UnderlayFigures } from './option.ts';

/** What joints of a kind of planks need under them where its sheet names nothing, kPa at half a millimetre; a thin lock asks for twice that. */
const USUAL_KPA = {
  'click-vinyl': 200,
  'click-herringbone': 60,
  laminate: 60,
  'engineered-wood': 60,
  'glue-down-vinyl': null,
} as const;
/** Thickest soft layer under rigid vinyl where its sheet names none, mm. */
const USUAL_SOFT_MM = { 'click-vinyl': 2 } as const;

/** What a covering asks of what lies under it: its sheet, and where that names nothing what is usual for its kind. */
export const needsOf = (card: CoveringCard): CoveringNeeds => ({
  floats: card.kind !== 'glue-down-vinyl',
  hasOwnPad: card.attachedPad,
  allowsSoft: asFlag(card.softAllowed),
  mostSoftMm: card.mostSoftMm ?? (card.kind === 'click-vinyl' ? USUAL_SOFT_MM[card.kind] : null),
  leastKPa: card.leastKPa ?? USUAL_KPA[card.kind],
  sdM: card.sdM,
  rM2KW: card.rM2KW,
  isHeatRated: asFlag(card.heatRated),
  asksFilmOnTimber: card.filmOnTimber,
  filmCures: card.filmCures,
  bumpsMm: card.bumpsMm,
  allowsWetRoom: card.wetRoom,
  fireClassWithUnderlay: card.fireClass === 'unsaid' ? null : card.fireClass,
});

/** Figures of an underlay's card as the rules read them. */
export const underlayFigures = (card: UnderlayCard): UnderlayFigures => ({
  kind: card.kind,
  thicknessMm: card.thicknessMm,
  kPa: card.kPa,
  rM2KW: card.rM2KW,
  sdM: card.sdM,
  filmSdM: card.filmSdM,
  stepDb: card.stepDb,
  stepDbOn: card.stepDbOn === 'unsaid' ? null : card.stepDbOn,
  conformsMm: card.conformsMm,
  isHeatRated: asFlag(card.heatRated),
  costM2: card.costM2,
});

/** Figures of a film's card; it is planned with its seams taped. */
export const filmFigures = ({ sdM, rM2KW, costM2 }: FilmCard): FilmFigures => ({ sdM, isTaped: true, rM2KW, costM2 });
