import type { RoomPicture } from '@maquette/core';
import type { SchoolResult } from '@maquette/core/flat';
import type { RoomFacts } from '@maquette/core/room';
import type { Verdict } from '@maquette/core/verdict';
import type { ShownRoom } from '../data/use-facts.ts';

/** One stage as it stands in the course. */
export interface CoursePlank {
  stage: string;
  label: string;
  verdict: Verdict;
}

/** What every stage of a room is given. */
export interface StageProps {
  shown: ShownRoom;
  room: RoomFacts;
  picture: RoomPicture | null;
  schools: readonly SchoolResult[];
  /** Why there is no picture, when something went wrong. */
  failed: string | null;
  wide: boolean;
  /** Opens another stage of the room, by its name in the address. */
  go: (stage: string) => void;
  /** The stages of the room in order, each with its mark. */
  course: readonly CoursePlank[];
}
