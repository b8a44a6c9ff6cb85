import { decimals, gap, mass, say, type Said } from '../said/index.ts';
import type { MembraneCard } from './card-facts.ts';
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

/** The tightest reading of a base that counts, %RH in its depth; null where none was read. */
type Reading = number | null;

function refusal(card: MembraneCard, room: UnderRoom, rh: Reading): MembranePlan['refused'] {
  if (room.base !== 'mineral') return { word: 'work', why: say('under.membraneMineralOnly') };
  if (room.damp === 'stop') return { word: 'stop', why: say('under.membraneSource') };
  // Gypsum goes soft where damp from below is held in it.
  if (room.isSulfate && !(room.hasMembrane === true)) return { word: 'stop', why: say('under.membraneSulfate') };
  if (rh === null) return { word: 'measure', why: say('under.membraneUnread') };
  return rh > card.limitRh
    ? { word: 'work', why: say('under.membraneOver', { rh: decimals(rh, 1), limitRh: card.limitRh }) }
    : null;
}

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
  const potKg = { min: card.potLifeMin };
  const found = refusal(card, room, rh);
  const adhesive: MembranePlan['refused'] =
    isGlued && !card.takesAdhesive ? { word: 'work', why: say('under.membraneNoAdhesive') } : null;
  const steps: MembraneStep[] = [
    { id: 'ground', words: say('under.membraneGround') },
    ...(card.primerKgM2 > 0
      ? [{ id: 'primer', words: say('under.membranePrimer', { kg: mass(primerKg), hours: card.primerH }) }]
      : []),
    { id: 'mix', words: say('under.membraneMix', potKg) },
    ...Array.from({ length: card.coats }, (_, k) => ({
      id: `coat-${k + 1}`,
      words:
        k === 0
          ? say('under.membraneFirst', { kg: mass(coatedM2 * card.coatKgM2), upMm: gap(upturnMm) })
          : say('under.membraneNext', {
              coat: k + 1,
              kg: mass(coatedM2 * card.coatKgM2),
              fromH: card.nextFromH,
              toH: card.nextToH,
            }),
    })),
    { id: 'pin-holes', words: say('under.membranePinHoles') },
    {
      id: 'over',
      words: say(
        card.takesCompound
          ? card.takesAdhesive
            ? 'under.membraneTakesBoth'
            : 'under.membraneTakesCompound'
          : card.takesAdhesive
            ? 'under.membraneTakesAdhesive'
            : 'under.membraneTakesNothing',
        { hardH: card.hardH },
      ),
    },
  ];
  return {
    refused: found ?? adhesive,
    primerKg,
    kg,
    tubs: Math.ceil(kg / card.tubKg - 1e-9),
    hours: card.primerH + (card.coats - 1) * card.nextFromH + card.hardH,
    cost: coatedM2 * card.costM2,
    steps,
    cautions: [...CAUTIONS[card.binder], say('under.cautionVentilate')],
  };
}
