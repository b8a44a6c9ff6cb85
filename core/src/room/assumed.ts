import { oneOf } from '../fields/index.ts';

/** What a new room is taken to be until somebody says so: what it lies on, what is beneath that, and that nothing lies on it. */
export const ASSUMPTIONS = ['base', 'place', 'layers'] as const;
export type Assumption = (typeof ASSUMPTIONS)[number];
export const ASSUMPTION = oneOf(...ASSUMPTIONS);

/**
 * What is still taken for granted in a room. A place that was recorded and layers that were entered are no assumption any more,
 * whoever entered them; a base is one until it was confirmed or changed.
 */
export function openAssumptions(
  { assumed, base }: { assumed?: readonly Assumption[]; base: { grade: string; beneath: string } },
  layers: number,
): Assumption[] {
  return (assumed ?? []).filter((one) =>
    one === 'place' ? base.grade === 'unknown' || base.beneath === 'unknown' : one === 'layers' ? layers === 0 : true,
  );
}
