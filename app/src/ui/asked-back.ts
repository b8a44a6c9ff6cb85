import { useCallback, useEffect, useState } from 'react';

/** Told by a field what it asks back, by its label; null once there is nothing to ask. */
export type OnProblem = (label: string, words: string | null) => void;

/**
 * What a field asks back, and the way to set it. A value that comes from elsewhere, an instrument or an undo, leaves nothing to
 * ask back: what was asked belongs to the value on record then.
 */
export function useRefused(
  label: string,
  onRecord: string,
  onProblem: OnProblem | undefined,
): [words: string | null, refuse: (words: string | null) => void] {
  const [refused, setRefused] = useState<{ onRecord: string; words: string } | null>(null);
  const words = refused?.onRecord === onRecord ? refused.words : null;
  useEffect(() => {
    onProblem?.(label, words);
    return () => onProblem?.(label, null);
  }, [onProblem, label, words]);
  return [words, (now) => setRefused(now === null ? null : { onRecord, words: now })];
}

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
