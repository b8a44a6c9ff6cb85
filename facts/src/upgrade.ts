import { LAYING, UNDER_PLANKS } from '@maquette/core/coverings';
import { ORIGIN, UNKNOWN_BASE } from '@maquette/core/room';
import { carriedLevels } from './carried-levels.ts';
import { JOB_FILE_VERSION } from './format.ts';
import { isFactKind, KINDS, type FactKind } from './kinds.ts';
import { upgradedAnswer } from './upgrade-answers.ts';

type Body = Record<string, unknown>;
/** A kind and a body as some version of the product wrote them. */
interface Written {
  kind: FactKind;
  body: Body;
}

/** A room used to have one `door` and nothing else in its walls. */
function upgradedRoom({ door, ...rest }: Body): Body {
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

/**
 * What an earlier version of the product wrote, in today's shape. Fields that came later take what their kind says; answers kept
 * as topic and text become typed facts, some of a kind of their own. What is of today comes back as it is.
 */
export function upgraded(kind: FactKind, body: Body): Written {
  if (kind === 'answers' && 'topic' in body) return upgradedAnswer(body);
  if (kind === 'rooms' && !('openings' in body)) return upgraded(kind, upgradedRoom(body));
  const since = Object.entries(KINDS[kind].since).filter(([name]) => !(name in body));
  return since.length === 0 ? { kind, body } : { kind, body: { ...body, ...Object.fromEntries(since) } };
}

/** Fields that came with the last versions of the product. */
const LATEST: Partial<Record<FactKind, readonly string[]>> = {
  cards: ['costM2', ...Object.keys(UNDER_PLANKS), ...Object.keys(LAYING), 'mixedLengths'],
  setOuts: ['windows', 'breaks', 'borderRows'],
  samples: ['analyte'],
  marks: ['finding'],
  edgeWalks: ['asked'],
  skirtings: ['fit'],
  photos: ['originalSha256'],
  approvals: ['unaskedCents', 'unaskedDays'],
};

/**
 * What an app that was opened before the server was renewed writes, with the fields it cannot know. Of earlier ones nothing is made up: a
 * write that lacks those is half a write, and is refused.
 */
export function withLatest(kind: FactKind, body: Body): Body {
  const lacking = (LATEST[kind] ?? []).filter((name) => !(name in body));
  const since: Body = KINDS[kind].since;
  return lacking.length === 0 ? body : { ...body, ...Object.fromEntries(lacking.map((name) => [name, since[name]])) };
}

const OLDER: unknown[] = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14];
const isObject = (value: unknown): value is Body =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Whether a job file says it is of an earlier version of the product. */
export const isOlder = (version: unknown): boolean => OLDER.includes(version);

/** A fact of a job file with its body, and every body it replaced, in today's shape. */
export function upgradedFact(fact: unknown): unknown {
  if (!isObject(fact) || !isFactKind(fact['kind']) || !isObject(fact['body'])) return fact;
  const { kind } = fact;
  const lifted = upgraded(kind as FactKind, fact['body']);
  const replaced: unknown = fact['replaced'];
  return {
    ...fact,
    ...lifted,
    ...(Array.isArray(replaced)
      ? {
          replaced: replaced.map((old: unknown) =>
            isObject(old) && isObject(old['body'])
              ? { ...old, body: upgraded(kind as FactKind, old['body']).body }
              : old,
          ),
        }
      : {}),
  };
}

const list = (value: unknown): Body[] => (Array.isArray(value) ? value.filter(isObject) : []);

/** Levels beyond openings, which earlier versions kept with the opening, as facts of their own that follow the file’s. */
export function carriedOf(facts: readonly unknown[]): Body[] {
  const kept = list(facts).filter(({ kind, deletedAt }) => typeof kind === 'string' && deletedAt === null);
  const bodies = (kind: string, roomId: unknown) =>
    kept.flatMap((fact) =>
      fact['kind'] === kind && fact['roomId'] === roomId && isObject(fact['body'])
        ? [{ ...fact['body'], id: String(fact['id']) }]
        : [],
    );
  return kept.flatMap((fact) => {
    const { kind, id, updatedAt, writeId, body } = fact;
    if (kind !== 'rooms' || typeof id !== 'string' || typeof updatedAt !== 'string' || !isObject(body)) return [];
    const openings = list(body['openings']) as never[];
    const layers = bodies('layers', id).map((layer) => ({ where: [], ...layer })) as never[];
    const done = bodies('ticks', id).map((tick: Body) => String(tick['key']));
    return carriedLevels({ id, openings }, layers, done, updatedAt).map((level) => ({
      kind: 'levels',
      ...level,
      roomId: id,
      version: 1,
      writeId,
      updatedAt,
      deletedAt: null,
      replaced: [],
    }));
  });
}

/** A job file of an earlier version as one of today's; anything else as it is, to be checked. */
export function upgradeJobFile(plain: unknown): unknown {
  if (!isObject(plain) || !isOlder(plain['version']) || !Array.isArray(plain['facts'])) return plain;
  const facts = (plain['facts'] as unknown[]).map(upgradedFact);
  return { ...plain, version: JOB_FILE_VERSION, facts: [...facts, ...carriedOf(facts)] };
}
