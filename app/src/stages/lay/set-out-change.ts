import { USUAL_SET_OUT, type SetOut } from '@maquette/core/setout/facts';
import { bodyOf } from '@maquette/facts';
import { newId } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';

type Part = Partial<Omit<SetOut, 'id'>>;

/** The set-out of a room as it is chosen so far. */
export const setOutOf = (shown: ShownRoom): Omit<SetOut, 'id'> => {
  const held = shown.setOuts.at(-1);
  return held ? bodyOf(held) : USUAL_SET_OUT;
};

/** Changes a part of the set-out, as one step. */
export function changeSetOut(shown: ShownRoom, words: string, part: Part) {
  const held = shown.setOuts.at(-1);
  return write(words, [
    {
      kind: 'setOuts',
      id: held?.id ?? newId(),
      roomId: shown.room!.id,
      body: { ...setOutOf(shown), ...part },
    },
  ]);
}
