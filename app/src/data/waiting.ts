import type { FactKind, Made, Problem } from '@maquette/facts';

/** One write on its way to the server. It is on the device before the screen calls it taken, and stays until answered. */
export interface Waiting {
  seq: number;
  writeId: string;
  kind: FactKind;
  id: string;
  roomId: string | null;
  baseVersion: number;
  body: Record<string, unknown>;
  deleted: boolean;
  madeAt: string;
  /** Who made it; absent in what an earlier version of the app left waiting. */
  made?: Made;
  /** Set when the server would not take it: the user decides. */
  trouble: Problem | null;
}
