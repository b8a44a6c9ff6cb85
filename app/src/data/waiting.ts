import type { FactKind, Problem } from '@maquette/facts';

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
  /** Set when the server would not take it: the user decides. */
  trouble: Problem | null;
}
