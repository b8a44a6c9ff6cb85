import type { AllRoomFacts, RoomPicture } from '@maquette/core';
import type { CoveringCard } from '@maquette/core/coverings';
import type { SchoolResult } from '@maquette/core/flat';
import type { LevellingPlan } from '@maquette/core/levelling';

/** What the screen asks of the worker. */
export interface Ask {
  id: number;
  kind: 'judge' | 'schools' | 'plan';
  facts: AllRoomFacts;
  card: CoveringCard;
  atUtc: string;
}

export interface Answers {
  judge: RoomPicture;
  schools: SchoolResult[];
  plan: LevellingPlan | null;
}

/** What comes back: an answer, or why there is none. */
export type Told =
  { id: number; ok: true; answer: Answers[Ask['kind']]; tookMs: number } | { id: number; ok: false; reason: string };
