import { combined, READ_BY_MM, type ReadBy } from './uncertain.ts';

/** What a level is of: the floor beyond an opening, a leaf, a flange, the underside over a bay, a sill, a worktop, a skirting, a guard, a groove cut for a bar. */
export const LEVEL_OF = [
  'beyond',
  'leaf',
  'flange',
  'underside',
  'sill',
  'worktop',
  'skirting',
  'guard',
  'groove',
] as const;
export type LevelOf = (typeof LEVEL_OF)[number];
/** How a level names a wall: by its number, as walls may be called anything. */
export const wallAbout = (wall: number): string => `wall-${wall + 1}`;

/** Levels that are read where somebody wants to know: nothing waits for them. */
export const ON_ASKING: readonly LevelOf[] = ['worktop', 'skirting', 'guard', 'groove'];

/**
 * A level as it was read. By staff: from a set-up, with the rod. By tape or by eye: so much over what lay there then, which was
 * turned into a level over the datum when it was entered, so that taking up the old floor does not move it.
 */
export interface LevelRead {
  id: string;
  of: LevelOf;
  /** The opening, the fixture or the wall (`wall-1` is the first), and how far along it, mm. */
  aboutId: string;
  alongMm: number;
  readBy: ReadBy;
  setupId: string | null;
  rodMm: number | null;
  /** Over what lay there, mm; how thick the old floor was that it stood on, and the level over the datum that made: null while the floor there was not read yet. */
  overMm: number | null;
  lyingMm: number | null;
  datumMm: number | null;
}

export interface Level {
  levelMm: number;
  /** How far off it may be, mm. */
  offMm: number;
}

/** Bare base along the edge a tape stood at, mm over the datum; places that are not read are left out. */
export type BaseAlong = (read: LevelRead) => readonly number[];

/**
 * The level something has over the room's datum; null where its set-up is not tied, or where it was taped over a floor that nobody
 * has read to this day.
 */
export function levelFrom(
  read: LevelRead,
  sightMm: ReadonlyMap<string, number>,
  baseAlong: BaseAlong = () => [],
): Level | null {
  if (read.readBy === 'staff') {
    const sight = read.setupId === null ? undefined : sightMm.get(read.setupId);
    return sight === undefined || read.rodMm === null
      ? null
      : { levelMm: sight - read.rodMm, offMm: READ_BY_MM[read.readBy] };
  }
  if (read.datumMm !== null) return { levelMm: read.datumMm, offMm: tapedOff(read.readBy, read.lyingMm ?? 0) };
  if (read.overMm === null) return null;
  return datumLevel(read.overMm, { baseMm: baseAlong(read), lyingMm: read.lyingMm ?? 0 }, read.readBy);
}

/** The surface a tape stood on, as far as it is known. */
export interface Underfoot {
  /** Base along the edge the tape stood at, mm over the datum; places that are not read are left out. */
  baseMm: readonly number[];
  /** What lay over the base there, by what is recorded, mm. */
  lyingMm: number;
}

/**
 * A figure taken over what lies there, as a level over the datum, when it is entered: the mean of the base along the edge, what
 * lies on it, and the figure. Over an old floor it is off by what the recorded thicknesses may be.
 */
export function datumLevel(overMm: number, { baseMm, lyingMm }: Underfoot, readBy: ReadBy): Level | null {
  if (baseMm.length === 0) return null;
  const surfaceMm = baseMm.reduce((sum, mm) => sum + mm, 0) / baseMm.length + lyingMm;
  return { levelMm: surfaceMm + overMm, offMm: tapedOff(readBy, lyingMm) };
}

const tapedOff = (readBy: ReadBy, lyingMm: number) =>
  combined(READ_BY_MM[readBy], lyingMm > 0 ? READ_BY_MM.eye : READ_BY_MM.staff);
