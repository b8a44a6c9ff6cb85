import type { Change } from '../data/write.ts';
import type { UnderKind } from './under-card-words.ts';

/** A write of a card of some kind: its fields are those of the kind, which the write's own check holds. */
export const cardChange = (kind: UnderKind, id: string, body: object, deleted = false): Change =>
  ({ kind, id, body, deleted }) as Change;
