import { useRefused, type OnProblem } from '../ui/asked-back.ts';
import { Field } from '../ui/field.tsx';
import { PadKey, usePad } from './pad-panel.tsx';
import { useFollowing } from '../ui/use-following.ts';

interface Props {
  label: string;
  value: number | null;
  unit: string;
  range: { min: number; max: number };
  /** Null only where `empty` is allowed. */
  onTaken: (value: number | null) => void;
  decimals?: number;
  /** Whether leaving it empty means something: not measured. */
  empty?: boolean;
  hint?: string;
  /** Told while what stands in the field was not taken. */
  onProblem?: OnProblem;
}

const textOf = (value: number | null) => (value === null ? '' : String(value));

/** A figure with its unit: typed with point or comma, or keyed on the pad; asked back when it cannot be, kept as typed. */
export function NumberField({
  label,
  value,
  unit,
  range,
  onTaken,
  decimals = 1,
  empty = false,
  hint,
  onProblem,
}: Props) {
  const pad = usePad();
  const onRecord = textOf(value);
  const [text, setText] = useFollowing(onRecord);
  const [problem, setProblem] = useRefused(label, onRecord, onProblem);
  const take = () => {
    const plain = text.trim().replace(',', '.');
    if (plain === onRecord) return setProblem(null);
    if (plain === '' && empty) {
      setProblem(null);
      return onTaken(null);
    }
    const figure = Number(plain);
    const span = `${range.min} to ${range.max} ${unit}`.trim();
    if (plain === '' || !Number.isFinite(figure)) return setProblem(`“${text}” is no number: ${span} is taken`);
    if (figure < range.min || figure > range.max) return setProblem(`${text.trim()} is out of range: ${span} is taken`);
    setProblem(null);
    return onTaken(figure);
  };
  return (
    <Field
      label={label}
      value={text}
      onChange={setText}
      onDone={take}
      unit={unit}
      problem={problem}
      hint={hint}
      figures
      beside={
        range.min >= 0 ? (
          <PadKey
            label={label}
            onPress={() =>
              pad({
                title: label,
                units: 'metric',
                plain: { unit, decimals },
                lastMm: value,
                range,
                onTake: (taken) => {
                  setProblem(null);
                  onTaken(taken);
                },
              })
            }
          />
        ) : null
      }
    />
  );
}
