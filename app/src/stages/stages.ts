import type { RoomPicture } from '@maquette/core';
import { worstVerdict, type Verdict } from '@maquette/core/verdict/words';
import damp from './damp/index.tsx';
import flat from './flat/index.tsx';
import heights from './heights/index.tsx';
import lay from './lay/index.tsx';
import level from './level/index.tsx';
import room from './room/index.tsx';
import sound from './sound/index.tsx';
import type { StageFront } from './stage.ts';
import type { CoursePlank } from './stage-props.ts';
import strip from './strip/index.tsx';
import under from './under/index.tsx';

/** The stages of a room, in the order of the work: course, keys, addresses and marks follow from this list. */
export const STAGES = [room, strip, damp, sound, flat, level, heights, under, lay] as const;
export type Stage = (typeof STAGES)[number]['id'];

export function isStage(value: unknown): value is Stage {
  return STAGES.some((s) => s.id === value);
}

function markOf({ parts, clear, mark }: StageFront, picture: RoomPicture | null, hasWayIn: boolean): Verdict {
  if (mark) return mark(picture, hasWayIn);
  const own = picture?.criteria.filter((c) => (parts as readonly string[]).includes(c.part)) ?? [];
  if (picture && own.length === 0 && clear) return clear;
  return worstVerdict(own.map((c) => c.verdict));
}

/** The planks of the course in order, each with its mark: the criteria of its own parts only. */
export function courseOf(hasWayIn: boolean, picture: RoomPicture | null): CoursePlank[] {
  return STAGES.map((s) => ({ stage: s.id, label: s.label, verdict: markOf(s, picture, hasWayIn) }));
}
