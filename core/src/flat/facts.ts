import type { Scan } from '../scan/index.ts';
import type { EdgeWalk } from './walks.ts';
import type { LevellingWork } from './works.ts';

/** One position of the instrument. A moved or knocked instrument is a new set-up. */
export interface SetUp {
  id: string;
  name: string;
  /** Staff reading on the benchmark at the start, mm; null when this set-up is tied by shared stations instead. */
  openRodMm: number | null;
  /** Staff reading on the same benchmark at the end, mm; null until it is closed. */
  closeRodMm: number | null;
  startedAt: string;
}

/** One staff reading. A larger reading is a lower floor. */
export interface RodReading {
  id: string;
  setupId: string;
  /** Key of the station it was taken at; readings that came from a file carry a key of their own. */
  stationKey: string;
  xMm: number;
  yMm: number;
  rodMm: number;
  takenAt: string;
  note: string;
}

/** A station placed by hand, or one of the proposed stations moved or taken out of the walk. */
export interface StationMark {
  id: string;
  /** The proposed station this replaces, or null for an added one. */
  replacesKey: string | null;
  xMm: number;
  yMm: number;
  /** True takes the station out of the walk. */
  dropped: boolean;
}

export interface FlatFacts {
  setups: SetUp[];
  readings: RodReading[];
  stations: StationMark[];
  /** Levelling that was done; absent: none. */
  works?: LevellingWork[];
  /** Placements of a straightedge; absent: none. */
  edgeWalks?: EdgeWalk[];
  /** Floors taken from scans; absent: none. */
  scans?: Scan[];
}

/** Staff readings outside this are asked back; a five-metre staff is the longest in use. */
export const ROD_MM = { min: 0, max: 5000 } as const;
