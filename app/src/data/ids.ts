import { v7 } from 'uuid';

/** A new UUIDv7 made on this device. */
export const newId = (): string => v7();

/** Now, in UTC. */
export function nowUtc(): string {
  return new Date().toISOString();
}
