import { useEffect, useState } from 'react';
import { knows } from '@maquette/words';

/** A sentence of those that come later: known with them. */
const ONE_OF_THEM = 'verdict.aLayer';

let coming: Promise<unknown> | null = null;

/** Has the sentences of the stages come, once. Throws where they cannot be fetched; asked for again, they may come. */
export async function sentences(): Promise<void> {
  if (knows(ONE_OF_THEM)) return;
  coming ??= import('@maquette/words/rest');
  try {
    await coming;
  } catch (error) {
    coming = null;
    throw error;
  }
}

/** Whether what a room's stages say can be said yet; it is sent for. */
export function useSentences(): boolean {
  const [here, setHere] = useState(() => knows(ONE_OF_THEM));
  useEffect(() => {
    if (here) return;
    void sentences().then(
      () => setHere(true),
      () => undefined,
    );
  }, [here]);
  return here;
}
