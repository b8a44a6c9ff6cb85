import type { BodyOf, FactKind } from '@maquette/facts';

/** Puts one fact of the demo in. */
export type Put = <K extends FactKind>(kind: K, id: string, roomId: string | null, body: BodyOf<K>) => Promise<void>;
