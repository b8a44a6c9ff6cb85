import type { Field } from '@maquette/core/fields';
import { KINDS } from '@maquette/facts';
import { useUnits } from '../data/device-settings.ts';
import type { Written } from '../data/history.ts';
import { FactField } from '../form/fact-field.tsx';
import { useFactForm } from '../form/fact-form.ts';
import { valueWords } from '../form/value-words.ts';
import { capital } from '../ui/capital.ts';
import { Choice } from '../ui/choice.tsx';
import { Words } from '../ui/text.tsx';
import { FIELD_WORDS, VALUE_WORDS, type UnderKind } from './under-card-words.ts';

type Body = Record<string, unknown>;

const wordsOf = (value: string) => VALUE_WORDS[value] ?? capital(value);

/** A card’s value as it is read, with its unit. */
function shownValue(name: string, field: Field, value: unknown, units: 'metric' | 'imperial'): string {
  if (value === null || value === undefined) return 'not stated';
  if (typeof value === 'boolean') return value ? 'Yes' : 'No';
  if (field.spec.type === 'choice') return wordsOf(String(value));
  const unit = FIELD_WORDS[name]?.[1];
  return unit
    ? `${String(value)} ${unit}`
    : typeof value === 'number'
      ? valueWords(value, field as Field<number>, units)
      : String(value);
}

/** Fields a card is told apart by, where several stand in a list. */
const TELLING: Record<UnderKind, readonly string[]> = {
  underlays: ['thicknessMm', 'kPa', 'rM2KW', 'stepDb'],
  films: ['thicknessMm', 'sdM', 'rollWidthMm'],
  membranes: ['limitRh', 'coats', 'hardH'],
  panels: ['thicknessMm', 'lengthMm', 'widthMm'],
};

/** The figures of a card that tell it apart, in one line. */
export const figuresLine = (kind: UnderKind, card: object, units: 'metric' | 'imperial'): string =>
  TELLING[kind]
    .map((name) => {
      const fields = KINDS[kind].fields as Readonly<Record<string, Field>>;
      return `${FIELD_WORDS[name]![0]} ${shownValue(name, fields[name]!, (card as Body)[name], units)}`;
    })
    .join(' · ');

/** Every field of a card of what lies under planks; one that ships is read only. */
export function UnderCardForm({
  kind,
  card,
  locked,
  change,
}: {
  kind: UnderKind;
  card: Body;
  locked: boolean;
  change: (part: Body) => Promise<Written>;
}) {
  const [units] = useUnits();
  const fields = KINDS[kind].fields as Readonly<Record<string, Field>>;
  const form = useFactForm(fields, card, units, change);
  return (
    <>
      {Object.entries(fields).map(([name, field]) => {
        const [label, unit] = FIELD_WORDS[name] ?? [name];
        if (locked) return <Words key={name} figure>{`${label}: ${shownValue(name, field, card[name], units)}`}</Words>;
        if (field.spec.type === 'flag')
          return (
            <Choice
              key={name}
              label={label}
              inline
              value={card[name] === true ? 'yes' : 'no'}
              options={[
                { value: 'yes', label: 'Yes' },
                { value: 'no', label: 'No' },
              ]}
              onChange={(value) => void change({ [name]: value === 'yes' })}
            />
          );
        if (field.spec.type === 'choice')
          return (
            <Choice
              key={name}
              label={label}
              inline
              value={String(card[name])}
              options={field.spec.of.map((value) => ({ value: String(value), label: wordsOf(String(value)) }))}
              onChange={(value) => void change({ [name]: value })}
            />
          );
        return (
          <FactField
            key={name}
            form={form}
            name={name}
            label={label}
            {...(unit ? { unit } : {})}
            decimals={3}
            {...(field.orNull ? { hint: 'Leave empty where the sheet says nothing.' } : {})}
          />
        );
      })}
    </>
  );
}
