import { inWords } from '@maquette/words';
import { formatReach, formatSpan, parseLength, type UnitSystem } from '@maquette/core/units';
import { useRefused, type OnProblem } from '../ui/asked-back.ts';
import { Field } from '../ui/field.tsx';
import { PadKey, usePad } from './pad-panel.tsx';
import { useFollowing } from '../ui/use-following.ts';

interface Props {
  label: string;
  mm: number | null;
  units: UnitSystem;
  range: { min: number; max: number };
  onTaken: (mm: number) => void;
  hint?: string;
  problem?: string | null;
  /** Lengths below zero make sense here (a level beyond, for example). */
  signed?: boolean;
  /** Told while what stands in the field was not taken. */
  onProblem?: OnProblem;
}

/** A room length as text that can be edited: `5400`, or `17' 8 5/8"`. */
export function lengthText(mm: number | null, units: UnitSystem): string {
  if (mm === null) return '';
  return units === 'metric' ? String(Math.round(mm * 10) / 10) : formatSpan(mm, units);
}

/** A length written as people write it; asked back when it cannot be read or is out of range, and kept as typed meanwhile. */
export function LengthField({ label, mm, units, range, onTaken, hint, problem, signed = false, onProblem }: Props) {
  const pad = usePad();
  const onRecord = lengthText(mm, units);
  const [text, setText] = useFollowing(onRecord);
  const [wrong, setWrong] = useRefused(label, onRecord, onProblem);
  const take = () => {
    if (text.trim() === onRecord) return setWrong(null);
    const parsed = parseLength(text, units === 'metric' ? 'mm' : 'in');
    if (!parsed.ok) return setWrong(text.trim() === '' ? 'Empty: a length is needed' : inWords(parsed.reason, units));
    if (parsed.mm < range.min || parsed.mm > range.max) {
      return setWrong(
        `${text.trim()} is out of range: ${formatReach(range.min, units)} to ${formatReach(range.max, units)} is taken`,
      );
    }
    setWrong(null);
    return onTaken(parsed.mm);
  };
  const example = units === 'metric' ? undefined : (hint ?? 'feet and inches, such as 12\' 4 1/2"');
  return (
    <Field
      label={label}
      value={text}
      onChange={setText}
      onDone={take}
      unit={units === 'metric' ? 'mm' : undefined}
      problem={wrong ?? problem ?? null}
      hint={hint ?? example}
      figures={units === 'metric'}
      beside={
        <PadKey
          label={label}
          onPress={() =>
            pad({
              title: label,
              units,
              lastMm: mm,
              range,
              signed,
              onTake: (taken) => {
                setWrong(null);
                onTaken(taken);
              },
            })
          }
        />
      }
    />
  );
}
