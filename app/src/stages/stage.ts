import { lazy, type ComponentType } from 'react';
import type { PartName, RoomPicture } from '@maquette/core';
import type { Verdict } from '@maquette/core/verdict';
import { fetchPart } from '../ui/fetch-part.ts';
import type { StageProps } from './stage-props.ts';

/** What marks a stage's plank: what its parts say, unless it has a mark of its own. */
interface Marks {
  /** Parts whose criteria are shown here. */
  parts: readonly PartName[];
  /** Said while nothing of its parts is open; without it that is `measure`. */
  clear?: Verdict;
  /** The mark of a stage that no part of its own judges. */
  mark?: (picture: RoomPicture | null, hasWayIn: boolean) => Verdict;
}

/** One stage of a room: its folder's front. What it shows is fetched when it is opened first. */
export interface StageFront<Id extends string = string> extends Marks {
  id: Id;
  label: string;
  View: ComponentType<StageProps>;
  /** Begins to fetch what it shows, before it is asked to. */
  prepare: () => void;
}

export function stage<Id extends string>(
  id: Id,
  label: string,
  fetch: () => Promise<ComponentType<StageProps>>,
  marks: Marks,
): StageFront<Id> {
  let coming: Promise<ComponentType<StageProps>> | null = null;
  const come = () => {
    // What did not come is asked for again.
    coming ??= fetchPart(fetch).catch((error: unknown) => {
      coming = null;
      throw error;
    });
    return coming;
  };
  const View = lazy(async () => ({ default: await come() }));
  return { id, label, View, prepare: () => void come().catch(() => undefined), ...marks };
}
