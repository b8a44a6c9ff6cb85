import type { UnderPlan } from '@maquette/core';
import type { PlannedOver } from '../../worker/use-of-job.ts';

/** Rolls and panels over all rooms of a job at once. */
export type Planned = PlannedOver<UnderPlan>;
