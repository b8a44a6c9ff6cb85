import { inWords } from '@maquette/words';
import type { LevellingPlan, PlaneChoice, Programmed, Refusal, Way, WayId } from '@maquette/core/levelling';
import { decidedBy } from '@maquette/core/hazards';
import type { RoomFacts } from '@maquette/core/room';
import { planOf } from '@maquette/core/room';
import { formatGap, formatMassPerArea, unitLabel, type UnitSystem } from '@maquette/core/units';
import { placeWords } from '@maquette/core/verdict';
import type { Planned } from '../../worker/use-planned.ts';
import { WAY_WORDS, type ChoiceId } from './way-words.ts';

/** One alternative as it stands beside the others. */
export interface ShownWay {
  id: ChoiceId;
  words: string;
  cost: number | null;
  /** Bags of the product that suits and costs least; null where nothing is poured. */
  bags: number | null;
  hours: number;
  dryH: number;
  /** Largest rise at any opening, mm. */
  riseMm: number;
  dust: string;
  risk: string;
  /** Keeps every rule, re-checked. */
  holds: boolean;
  /** Why it cannot be gone, or is not known yet. */
  refused: string | null;
  working: boolean;
  way: Way | null;
  plane: PlaneChoice | null;
  programmed: Programmed | null;
}

const RISKS: Record<ChoiceId, string> = {
  mixed: 'least material; edges of patches are feathered',
  grind: 'nothing to dry; depth is limited',
  fill: 'no dust; more compound, more to dry',
  ramp: 'the floor comes to a height at the door and runs out as far as the rule asks',
  plane: 'whole floor rises; a race against pot life',
  panel: 'bridges short humps, cures no long low',
};

/** The alternatives, the cheapest that holds first; those that cannot be gone keep their reason and come last. */
export function shownWays(room: RoomFacts, planned: Planned, planeAt: number): ShownWay[] {
  const { plan } = planned;
  if (!plan) return [];
  const timber = plan.panel !== null;
  const ways = ([...(plan.targets.length > 0 ? (['ramp'] as const) : []), 'mixed', 'grind', 'fill'] as const).map(
    (id): ShownWay => {
      const programmed = planned.programmes[id] ?? null;
      const way = programmed?.way ?? (id === 'fill' && !programmed ? plan.fill : null);
      const waiting = !programmed && !(id === 'fill' && plan.fill.holds);
      return {
        ...blank(id),
        ...(way ? priced(way) : {}),
        dust: id === 'fill' ? 'no dust' : timber ? 'wood dust' : 'silica dust, class M',
        holds: way?.holds ?? false,
        refused: refusalOf(room, id, programmed, way),
        working: waiting && planned.working !== null,
        way,
        programmed,
      };
    },
  );
  const plane = plan.planes[planeAt] ?? plan.planes[0] ?? null;
  const list: ShownWay[] = [...ways, ...(plane ? [planeRow(room, plane, timber)] : []), ...panelRow(room, plan)];
  // Where a height is asked for, the way that meets it is the answer, whatever the others cost.
  const rank = (way: ShownWay) =>
    way.refused ? 2 : way.cost === null ? 1 : way.holds ? (way.id === 'ramp' ? -1 : 0) : 1;
  return list.sort((a, b) => rank(a) - rank(b) || (a.cost ?? Infinity) - (b.cost ?? Infinity));
}

/** Whether a way that is not worked out may yet come out cheaper: a dear one may be known long before. */
export const isSoFar = (ways: readonly ShownWay[]): boolean =>
  ways.some((way) => way.working || (way.cost === null && !way.refused));

function blank(id: ChoiceId): ShownWay {
  return {
    id,
    words: WAY_WORDS[id],
    cost: null,
    bags: null,
    hours: 0,
    dryH: 0,
    riseMm: 0,
    dust: 'no dust',
    risk: RISKS[id],
    holds: false,
    refused: null,
    working: false,
    way: null,
    plane: null,
    programmed: null,
  };
}

function priced(from: Pick<Way, 'cost' | 'hours' | 'dryH' | 'rises' | 'needs'>) {
  const riseMm = from.rises.reduce((most, r) => (Math.abs(r.mostMm) > Math.abs(most) ? r.mostMm : most), 0);
  return { cost: from.cost, bags: from.needs[0]?.bags ?? null, hours: from.hours, dryH: from.dryH, riseMm };
}

function planeRow(room: RoomFacts, plane: PlaneChoice, timber: boolean): ShownWay {
  return {
    ...blank('plane'),
    ...priced(plane),
    dust: plane.groundMm === 0 ? 'no dust' : timber ? 'wood dust' : 'silica dust, class M',
    holds: plane.refusal === null,
    refused: plane.refusal ? refusedWords(room, plane.refusal) : null,
    plane,
  };
}

function panelRow(room: RoomFacts, { panel }: LevellingPlan): ShownWay[] {
  if (!panel) return [];
  const { cost, hours, riseMm, refusal } = panel;
  const refused = refusal && refusedWords(room, refusal);
  return [{ ...blank('panel'), cost, hours, riseMm, dust: 'wood dust', refused }];
}

function refusalOf(room: RoomFacts, id: WayId, programmed: Programmed | null, way: Way | null): string | null {
  if (way?.refusal) return refusedWords(room, way.refusal);
  if (way && !way.holds && programmed?.settled)
    return 'what is left after it is over the rule: the depth limits do not allow more';
  if (!programmed || programmed.way) return null;
  const { refusal } = programmed;
  if (!refusal) return 'no depth of it keeps the rule';
  return refusedWords(room, refusal);
}

function refusedWords(room: RoomFacts, refusal: Refusal): string {
  const { units } = room;
  const words = inWords(refusal.words, units);
  const at = inWords(placeWords(room, planOf(room), refusal.at), units);
  if (refusal.limit === 'load') {
    const load = (kgM2: number) => formatMassPerArea(kgM2, units);
    return `stop, held back by ${words}: it would come to ${load(refusal.takesKgM2)} at ${at}, ${load(refusal.allowedKgM2)} allowed. ${inWords(decidedBy(refusal.decides), units)}`;
  }
  const mm = (value: number) => `${formatGap(value, units)} ${unitLabel(units)}`;
  return `held back by ${words}: it would take ${mm(refusal.takesMm)} at ${at}, ${formatGap(refusal.allowedMm, units)} allowed`;
}

/** `no rise at doors`, `+3.0 mm at a door`. */
export function riseWords(riseMm: number, units: UnitSystem): string {
  if (Math.abs(riseMm) < 0.05) return 'no rise at doors';
  return `${riseMm > 0 ? '+' : '−'}${formatGap(Math.abs(riseMm), units)} ${unitLabel(units)} at a door`;
}
