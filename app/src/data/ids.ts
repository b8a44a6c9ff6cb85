import { uuidV7 } from '@maquette/core/units';

/** A new UUIDv7 made on this device. */
export function newId(): string {
  return uuidV7(Date.now(), crypto.getRandomValues(new Uint8Array(10)));
}

/** Now, in UTC. */
export function nowUtc(): string {
  return new Date().toISOString();
}
