import type { CoveringCard } from '../coverings/index.ts';
import { figuresOf } from '../figures/index.ts';
import { planOf, type BaseKind, type Plan, type RoomFacts } from '../room/index.ts';
import { fromTheTop, LAYERS, type Layer } from '../layers/index.ts';
import type { HazardFacts } from '../hazards/index.ts';
import type { Underfoot } from '../soundness/index.ts';
import type { StripContext, StripFacts } from './facts.ts';

/** Everything strip-out works from, looked up once. */
export function stripContext(
  room: RoomFacts,
  card: CoveringCard,
  facts: StripFacts,
  plan: Plan = planOf(room),
): StripContext {
  return {
    room,
    plan,
    card,
    facts,
    hazards: hazardsOf(room, facts),
    figure: figuresOf(facts.figures, room.units),
    areasM2: new Map(),
  };
}

const hazardsOf = (
  room: RoomFacts,
  facts: Pick<StripFacts, 'country' | 'samples' | 'answers' | 'figures'>,
): HazardFacts => ({
  job: facts.country,
  samples: facts.samples,
  answers: facts.answers,
  baseKind: room.baseKind,
  base: room.base,
  second: room.secondBase,
  services: room.services ?? [],
  serviceClearMm: figuresOf(facts.figures, room.units)('services-clear-mm'),
});

/** What lies on the floor and in it as it is now, for whatever is to be done to it. */
export const underfootOf = (
  room: RoomFacts,
  facts: Pick<StripFacts, 'country' | 'samples' | 'answers' | 'layers' | 'ticks' | 'figures'>,
): Underfoot => ({ hazards: hazardsOf(room, facts), layers: layersLeft(facts) });

/** What the planks will lie over: the highest layer that stays, else the room's base. */
export function laidOver(
  room: Pick<RoomFacts, 'baseKind'>,
  layers: readonly Layer[],
  keptIds: readonly string[],
): BaseKind {
  const top = fromTheTop(layers).find((layer) => keptIds.includes(layer.id));
  if (!top) return room.baseKind;
  const { family } = LAYERS[top.kind];
  if (family === 'tile') return 'existing-tile';
  if (family === 'resilient') return 'existing-resilient';
  if (top.kind === 'nailed-boards' || top.kind === 'glued-wood') return 'floorboards-on-joists';
  if (top.kind === 'overlay-panel') return 'panels-on-joists';
  return room.baseKind;
}

/** Prefix of the key under which the taking up of a pack of layers is ticked; their ids follow. */
export const TAKEN_UP = 'layer/';

/** Layers that still lie on the floor: those whose taking up is not ticked. */
export function layersLeft({ layers, ticks }: Pick<StripFacts, 'layers' | 'ticks'>): Layer[] {
  const gone = new Set(
    ticks.flatMap(({ key }) => (key.startsWith(TAKEN_UP) ? key.slice(TAKEN_UP.length).split('+') : [])),
  );
  return layers.filter((layer) => !gone.has(layer.id));
}
