import { useState } from 'react';
import { Field } from '../../ui/field.tsx';
import { useFollowing } from '../../ui/use-following.ts';
import { fromLocalTime, isDay, localTime } from '../../ui/times.ts';

/** A moment on site, as text; asked back when it is none. */
export function TimeField({ label, utc, onTaken }: { label: string; utc: string; onTaken: (utc: string) => void }) {
  const [text, setText] = useFollowing(localTime(utc));
  const [problem, setProblem] = useState<string | null>(null);
  const take = () => {
    if (text.trim() === localTime(utc)) return setProblem(null);
    const taken = fromLocalTime(text);
    if (!taken) return setProblem(`“${text}”: year, month, day and time are taken, such as 2026-10-08 09:00`);
    setProblem(null);
    return onTaken(taken);
  };
  return <Field label={label} figures value={text} onChange={setText} onDone={take} problem={problem} />;
}

/** A day, or nothing. */
export function DayField({
  label,
  day,
  onTaken,
  hint,
}: {
  label: string;
  day: string;
  onTaken: (day: string) => void;
  hint?: string;
}) {
  const [text, setText] = useFollowing(day);
  const [problem, setProblem] = useState<string | null>(null);
  const take = () => {
    const plain = text.trim();
    if (plain === day) return setProblem(null);
    if (plain !== '' && !isDay(plain)) return setProblem(`“${text}”: a day such as 2026-10-08 is taken, or nothing`);
    setProblem(null);
    return onTaken(plain);
  };
  return <Field label={label} figures value={text} onChange={setText} onDone={take} problem={problem} hint={hint} />;
}
