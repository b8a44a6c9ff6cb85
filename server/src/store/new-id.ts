import { randomBytes } from 'node:crypto';
import { uuidV7 } from '@maquette/core/units';

/** A UUIDv7 from the clock and the system's randomness. */
export function newId(): string {
  return uuidV7(Date.now(), randomBytes(10));
}
