import { decimals, gap, mass, say, type Said } from '../said/index.ts';
import type { MembraneCard } from './card-facts.ts';
import { MEMBRANE_STEP } from './questions.ts';
import type { UnderRoom } from './option.ts';

/** A step of laying a membrane, with what it takes. */
export interface MembraneStep {
  id: string;
  words: Said;
}

export interface MembranePlan {
  /** Why it cannot be laid here, or not yet; null where it can. */
  refused: { word: 'stop' | 'work' | 'measure'; why: Said } | null;
  primerKg: number;
  /** Of the membrane itself, all coats. */
  kg: number;
  tubs: number;
  /** From the primer to a floor that may be worked on, h. */
  hours: number;
  cost: number;
  steps: MembraneStep[];
  cautions: Said[];
}

const CAUTIONS: Record<MembraneCard['binder'], readonly Said[]> = {
  epoxy: [say('under.cautionEpoxy'), say('under.cautionPot')],
  polyurethane: [say('under.cautionIsocyanate'), say('under.cautionSolvent')],
  dispersion: [say('under.cautionSkin')],
};

/** What a membrane is asked about before it goes on: the base, and what is known of water in it. */
type Ground = Pick<UnderRoom, 'base' | 'damp' | 'isSulfate' | 'hasMembrane'>;

/** The tightest reading of a base that counts, %RH in its depth; null where none was read. */
type Reading = number | null;

/** Why a membrane cannot lie over a base, or not yet, and nothing glued over it; null where it can. */
function refusal(
  card: Pick<MembraneCard, 'limitRh' | 'takesAdhesive'>,
  room: Ground,
  rh: Reading,
  isGlued: boolean,
): MembranePlan['refused'] {
  if (room.base !== 'mineral') return { word: 'work', why: say('under.membraneMineralOnly') };
  if (room.damp === 'stop') return { word: 'stop', why: say('under.membraneSource') };
  // Gypsum goes soft where damp from below is held in it.
  if (room.isSulfate && !(room.hasMembrane === true)) return { word: 'stop', why: say('under.membraneSulfate') };
  if (rh === null) return { word: 'measure', why: say('under.membraneUnread') };
  if (rh > card.limitRh)
    return { word: 'work', why: say('under.membraneOver', { rh: decimals(rh, 1), limitRh: card.limitRh }) };
  return isGlued && !card.takesAdhesive ? { word: 'work', why: say('under.membraneNoAdhesive') } : null;
}

/** The steps of a membrane in their order, by the names under which they are ticked. */
const stepIds = ({ primerKgM2, coats }: Pick<MembraneCard, 'primerKgM2' | 'coats'>): string[] => [
  'ground',
  ...(primerKgM2 > 0 ? ['primer'] : []),
  'mix',
  ...Array.from({ length: coats }, (_, k) => `coat-${k + 1}`),
  'pin-holes',
  'over',
];

/** Whether a membrane holds damp back: every step of it ticked, over a base it may lie on. `ticked` are keys of ticks. */
export const membraneHolds = (
  card: MembraneCard,
  ticked: ReadonlySet<string>,
  room: Ground,
  rh: Reading,
  isGlued: boolean,
): boolean =>
  refusal(card, room, rh, isGlued) === null &&
  stepIds(card).every((step) => ticked.has(`${MEMBRANE_STEP}${card.id}/${step}`));

const overWords = ({ takesCompound, takesAdhesive, hardH }: MembraneCard): Said =>
  say(
    takesCompound
      ? takesAdhesive
        ? 'under.membraneTakesBoth'
        : 'under.membraneTakesCompound'
      : takesAdhesive
        ? 'under.membraneTakesAdhesive'
        : 'under.membraneTakesNothing',
    { hardH },
  );

/**
 * What a membrane takes on a floor of so many m²: primer, coats with the hours between which each goes on, tubs, and what may lie over it.
 * Wet rooms, cracks and joints are the maker's; the steps say where to look.
 */
export function membranePlan(
  card: MembraneCard,
  {
    areaM2,
    perimeterMm,
    upturnMm,
    isGlued,
  }: { areaM2: number; perimeterMm: number; upturnMm: number; isGlued: boolean },
  room: UnderRoom,
  rh: Reading,
): MembranePlan {
  const coatedM2 = areaM2 + (perimeterMm * upturnMm) / 1e6;
  const primerKg = coatedM2 * card.primerKgM2;
  const kg = coatedM2 * card.coatKgM2 * card.coats;
  const firstCoat = stepIds(card).indexOf('coat-1');
  const coatWords = (coat: number): Said =>
    coat === 1
      ? say('under.membraneFirst', { kg: mass(coatedM2 * card.coatKgM2), upMm: gap(upturnMm) })
      : say('under.membraneNext', {
          coat,
          kg: mass(coatedM2 * card.coatKgM2),
          fromH: card.nextFromH,
          toH: card.nextToH,
        });
  const words: Record<string, Said> = {
    ground: say('under.membraneGround'),
    primer: say('under.membranePrimer', { kg: mass(primerKg), hours: card.primerH }),
    mix: say('under.membraneMix', { min: card.potLifeMin }),
    'pin-holes': say('under.membranePinHoles'),
    over: overWords(card),
  };
  return {
    refused: refusal(card, room, rh, isGlued),
    primerKg,
    kg,
    tubs: Math.ceil(kg / card.tubKg - 1e-9),
    hours: card.primerH + (card.coats - 1) * card.nextFromH + card.hardH,
    cost: coatedM2 * card.costM2,
    steps: stepIds(card).map((id, k) => ({ id, words: words[id] ?? coatWords(k - firstCoat + 1) })),
    cautions: [...CAUTIONS[card.binder], say('under.cautionVentilate')],
  };
}
