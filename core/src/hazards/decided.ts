import { allOf, say, type Said } from '../said/index.ts';
import type { Caution, Stop } from './gate.ts';

/** Says whose decision something is: not the installer's. */
export const decidedBy = (who: Said): Said => say('hazards.decidedBy', { who });

/** Why something may not be done, and who decides, as one thought. */
export const stopSaid = ({ words, decides }: Pick<Stop, 'words' | 'decides'>): Said =>
  say('hazards.stopped', { what: words, who: decides });

/** Everything against something, and who decides: each of them is named once, after all that is theirs. */
export function stopsSaid(stops: readonly Pick<Stop, 'words' | 'decides'>[]): Said {
  const theirs = new Map<string, Pick<Stop, 'words' | 'decides'>[]>();
  for (const stop of stops) {
    const who = JSON.stringify(stop.decides);
    theirs.set(who, [...(theirs.get(who) ?? []), stop]);
  }
  return allOf(
    [...theirs.values()].map((own) =>
      stopSaid({
        words: allOf(
          own.map(({ words }) => words),
          '. ',
        ),
        decides: own[0]!.decides,
      }),
    ),
    ' ',
  );
}

/** A caution with who has the last word on it. */
export const cautionSaid = ({ words, decides }: Pick<Caution, 'words' | 'decides'>): Said =>
  say('hazards.cautioned', { what: words, who: decides });
