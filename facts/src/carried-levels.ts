import type { BodyOf } from '@maquette/core/fields';
import type { KINDS } from './kinds.ts';

type LevelBody = BodyOf<(typeof KINDS)['levels']>;

/** As far as earlier versions kept it: an opening with the level beyond, over what lay in the room then. */
interface OldOpening {
  id: string;
  widthMm: number;
  beyondLevelMm?: number | null;
}
interface OldLayer {
  id: string;
  thicknessMm: number;
  where: readonly unknown[];
}

/** Ids are 64 characters at most; what is added takes the rest. */
const ROOM_ID_MOST = 48;
const TAKEN_UP = 'layer/';

/**
 * Levels beyond openings that earlier versions kept with the opening, each as a level of its own: taped in the middle, over what lay
 * there when it was carried over, so that taking up the old floor moves it no more. The same room gives the same ids.
 */
export function carriedLevels(
  room: { id: string; openings: readonly OldOpening[] },
  layers: readonly OldLayer[],
  doneKeys: readonly string[],
  takenAt: string,
): { id: string; body: LevelBody }[] {
  const gone = new Set(
    doneKeys.flatMap((key) => (key.startsWith(TAKEN_UP) ? key.slice(TAKEN_UP.length).split('+') : [])),
  );
  // A layer in a part of the room alone may not reach the opening: only what lies everywhere is sure to have lain there.
  const lyingMm = layers
    .filter(({ id, where }) => !gone.has(id) && where.length === 0)
    .reduce((sum, { thicknessMm }) => sum + thicknessMm, 0);
  return room.openings.flatMap(({ id, widthMm, beyondLevelMm = null }, index) =>
    beyondLevelMm === null
      ? []
      : [
          {
            id: `${room.id.slice(0, ROOM_ID_MOST)}-beyond-${index + 1}`,
            body: {
              of: 'beyond' as const,
              aboutId: id,
              alongMm: widthMm / 2,
              readBy: 'tape' as const,
              setupId: null,
              rodMm: null,
              overMm: beyondLevelMm,
              lyingMm,
              datumMm: null,
              takenAt,
              note: '',
            },
          },
        ],
  );
}
