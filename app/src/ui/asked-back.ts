import { useCallback, useState } from 'react';

/** Told by a field what it asks back, by its label; null once there is nothing to ask. */
export type OnProblem = (label: string, words: string | null) => void;

/** What the figures of one form ask back: a form is not recorded past a figure that was not taken. */
export function useAskedBack(): { onProblem: OnProblem; askedBack: string | null } {
  const [asked, setAsked] = useState<Readonly<Record<string, string>>>({});
  const onProblem = useCallback<OnProblem>(
    (label, words) =>
      setAsked((now) => {
        if (words !== null) return { ...now, [label]: words };
        if (!(label in now)) return now;
        return Object.fromEntries(Object.entries(now).filter(([other]) => other !== label));
      }),
    [],
  );
  const [first] = Object.entries(asked);
  return { onProblem, askedBack: first ? `${first[0]}: ${first[1]}` : null };
}
