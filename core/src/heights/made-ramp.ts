import type { FlatnessRule } from '../coverings/index.ts';

/** A ramp of compound on the lower side of a step, under planks that keep to a flatness rule. */
export interface MadeRamp {
  stepMm: number;
  /** From the step to where the lower floor begins as it was, mm. */
  lengthMm: number;
  /** `none`: the rule takes the step as it is, feathered. */
  shape: 'none' | 'straight' | 'curved';
  /** Compound for each metre of the opening's width, litres. */
  litresPerM: number;
}

/**
 * The shortest ramp by which planks pass a step s inside gap T under edge L: none up to T; straight over L(1 - T/s) up to 2T;
 * straight at a slope of 4T/L up to 8T; beyond that two parabolas over L sqrt(s/2T). The worst reading is then T itself.
 */
export function madeRamp(step: number, { gapMm, edgeMm }: FlatnessRule): MadeRamp {
  const stepMm = Math.abs(step);
  const ramp = (shape: MadeRamp['shape'], lengthMm: number): MadeRamp => ({
    stepMm,
    shape,
    lengthMm,
    litresPerM: (stepMm * lengthMm) / 2 / 1000,
  });
  if (stepMm <= gapMm) return ramp('none', 0);
  if (stepMm <= 2 * gapMm) return ramp('straight', edgeMm * (1 - gapMm / stepMm));
  if (stepMm <= 8 * gapMm) return ramp('straight', (stepMm * edgeMm) / (4 * gapMm));
  return ramp('curved', edgeMm * Math.sqrt(stepMm / (2 * gapMm)));
}

/** Height of the ramp over the lower floor, mm, at a distance from the step. */
export function rampAtMm({ shape, stepMm, lengthMm }: MadeRamp, fromStepMm: number): number {
  if (shape === 'none' || fromStepMm >= lengthMm) return fromStepMm <= 0 && shape !== 'none' ? stepMm : 0;
  const down = Math.max(0, fromStepMm / lengthMm);
  if (shape === 'straight') return stepMm * (1 - down);
  return down < 0.5 ? stepMm * (1 - 2 * down * down) : 2 * stepMm * (1 - down) ** 2;
}
