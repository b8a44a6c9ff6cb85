import { ORIGIN, UNKNOWN_BASE } from '@maquette/core/room';
import { OLD_FLOORS } from '@maquette/core/coverings';
import type { FactKind } from './facts.ts';
import { JOB_FILE_VERSION } from './job-file.ts';

/** What a mark was before it could be a line or an area. */
const POINT_MARK = {
  shape: 'point',
  points: [],
  depthMm: null,
  stepMm: null,
  moveMm: null,
  severity: 'clear',
  moving: false,
};

/**
 * A body written by an earlier version of the product, in today's shape. A room used to have one `door` and nothing else in its
 * walls; jobs had no country and cards said nothing of old floors; marks were points. A body of today comes back as it is.
 */
export function upgradeBody(kind: FactKind, body: Record<string, unknown>): Record<string, unknown> {
  if (kind === 'jobs' && !('country' in body))
    return { ...body, country: null, currency: '', asbestosFrom: null, leadFrom: null };
  if (kind === 'cards' && !('layOver' in body)) return { ...body, layOver: [...OLD_FLOORS] };
  if (kind === 'marks' && !('shape' in body)) return { ...body, ...POINT_MARK };
  if (kind === 'rooms' && !('openings' in body)) {
    const { door, ...rest } = body;
    const opening =
      typeof door === 'object' && door !== null
        ? [{ id: 'door-1', kind: 'door', ...door, beyond: 'unknown', beyondLevelMm: null, sharedId: null }]
        : [];
    return {
      ...rest,
      start: { ...ORIGIN },
      diagonals: [],
      openings: opening,
      fixtures: [],
      lines: [],
      base: { ...UNKNOWN_BASE },
      secondBase: null,
    };
  }
  return body;
}

const OLDER: unknown[] = [1, 2];

/** A job file of an earlier version as one of today's; anything else as it is, to be checked. */
export function upgradeJobFile(plain: unknown): unknown {
  const file = plain as { version?: unknown; facts?: unknown };
  if (typeof plain !== 'object' || plain === null || !OLDER.includes(file.version) || !Array.isArray(file.facts))
    return plain;
  const facts = (file.facts as unknown[]).map((fact) => {
    if (typeof fact !== 'object' || fact === null || !('kind' in fact)) return fact;
    const { kind, body, replaced } = fact as { kind: FactKind; body?: unknown; replaced?: unknown };
    const lift = (b: unknown) =>
      typeof b === 'object' && b !== null && !Array.isArray(b) ? upgradeBody(kind, b as Record<string, unknown>) : b;
    return {
      ...fact,
      body: lift(body),
      ...(Array.isArray(replaced)
        ? {
            replaced: (replaced as unknown[]).map((old) =>
              typeof old === 'object' && old !== null && 'body' in old ? { ...old, body: lift(old.body) } : old,
            ),
          }
        : {}),
    };
  });
  return { ...file, version: JOB_FILE_VERSION, facts };
}
