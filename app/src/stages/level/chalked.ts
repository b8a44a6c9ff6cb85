import type { ChalkPoint } from '@maquette/core/levelling';
import type { ShownRoom } from '../../data/use-facts.ts';

/** Whether a point is ticked as chalked on the floor. */
export const isChalked = (shown: ShownRoom, point: ChalkPoint) => shown.ticks.some((tick) => tick.key === point.key);
