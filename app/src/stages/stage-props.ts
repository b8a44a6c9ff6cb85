import type { RoomPicture } from '@maquette/core';
import type { SchoolResult } from '@maquette/core/flat';
import type { RoomFacts } from '@maquette/core/room';
import type { Verdict } from '@maquette/core/verdict';
import type { ShownRoom } from '../data/use-facts.ts';
import type { Stage } from './stages.ts';

/** What every stage of a room is given. */
export interface StageProps {
  shown: ShownRoom;
  room: RoomFacts;
  picture: RoomPicture | null;
  schools: readonly SchoolResult[];
  /** Why there is no picture, when something went wrong. */
  failed: string | null;
  wide: boolean;
  go: (stage: Stage) => void;
  stageMarks: Record<Stage, Verdict>;
}
