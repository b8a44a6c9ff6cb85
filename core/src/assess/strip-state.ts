import type { Gate } from '../hazards/index.ts';
import type { BaseKind } from '../room/index.ts';
import type { StripContext, StripPlan } from '../stripout/index.ts';

/** What strip-out makes of a room, as the parts after it need it. */
export interface StripState {
  context: StripContext;
  plan: StripPlan;
  /** Whether the surface that stays may be ground, and cleaned and primed for compound. */
  surfaceGates: Record<'grind' | 'prime' | 'fix', Gate>;
  /** What the planks will lie over once the choices are carried out. */
  laidOver: BaseKind;
}
