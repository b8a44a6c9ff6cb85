import { isTimber } from '../room/index.ts';
import type { DampContext } from './facts.ts';

/** Whether the base lies on the ground or below it: damp may come through its outer walls. */
export function onGround({ room: { baseKind, base } }: Pick<DampContext, 'room'>): boolean {
  if (isTimber(baseKind)) return false;
  return (
    baseKind === 'slab-on-ground' ||
    base.beneath === 'ground' ||
    base.grade === 'below' ||
    (base.grade === 'on' && base.beneath === 'unknown')
  );
}
