import { useEffect } from 'react';
import { spokenLength } from '@maquette/words/spoken';
import type { UnitSystem } from '@maquette/core/units';
import { useSpeech } from '../data/device-settings.ts';

/** Whether this browser can speak. */
export const canSpeak = (): boolean => typeof globalThis.speechSynthesis === 'object';

/** Says something aloud; what is still being said gives way to it. */
export function speak(words: string): void {
  if (!canSpeak()) return;
  speechSynthesis.cancel();
  const said = new SpeechSynthesisUtterance(words);
  said.lang = 'en';
  speechSynthesis.speak(said);
}

/** A place as it is said: what it is, then its two tapes, the wall after each figure. */
export const spokenPlace = (
  what: string,
  tapes: readonly { distanceMm: number; name: string }[],
  units: UnitSystem,
): string =>
  [what, ...tapes.map(({ distanceMm, name }) => `${spokenLength(distanceMm, units)} from ${spokenWall(name)}`)].join(
    '. ',
  );

/** `W3` is read out as a letter and a figure. */
const spokenWall = (name: string) => name.replace(/\bW(\d+)/g, 'wall $1');

/** Says what stands next, each time it is another, where this device is set to speak: the eyes stay on the staff. */
export function useSpoken(words: string | null): void {
  const [speech] = useSpeech();
  useEffect(() => {
    if (speech === 'on' && words) speak(words);
  }, [speech, words]);
  // Whoever leaves the bench is not spoken to any more.
  useEffect(() => () => void (canSpeak() && speechSynthesis.cancel()), []);
}
