import { UNDER_PLANKS, type CoveringCard } from '@maquette/core/coverings';
import type { Written } from '../data/history.ts';
import { Fold } from '../ui/fold.tsx';
import { CardFields, type FieldWords } from './card-fields.tsx';

const WORDS: FieldWords = {
  heatRated: ['Rated for a heated floor'],
  rM2KW: ['Holds back heat, R', 'm²K/W'],
  sdM: ['Holds back vapour, sd', 'm'],
  softAllowed: ['Allows a soft layer under its own pad'],
  mostSoftMm: ['Soft layer beneath at most'],
  leastKPa: ['Underlay gives way at no less than', 'kPa'],
  filmOnTimber: ['Asks for a film over timber'],
  filmCures: ['Takes a film as a cure for damp'],
  bumpsMm: ['Bumps it takes without an underlay'],
  wetRoom: ['Allowed in a wet room'],
  fireClass: ['Fire class with an underlay'],
  plankWidthMm: ['Width of a plank'],
  plankLengthMm: ['Length of a plank'],
  packM2: ['A box covers', 'm²'],
  massKgM2: ['Weighs', 'kg/m²'],
};

/** What a covering’s sheet says of what lies under its planks, and of its boxes. */
export function UnderPlanksFields({
  card,
  locked,
  change,
}: {
  card: CoveringCard;
  locked: boolean;
  change: (part: Partial<CoveringCard>) => Promise<Written>;
}) {
  return (
    <Fold title="What may lie under it, and its boxes">
      <CardFields fields={UNDER_PLANKS} words={WORDS} card={card} locked={locked} change={change} />
    </Fold>
  );
}
