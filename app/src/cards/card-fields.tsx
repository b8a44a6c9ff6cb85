import type { Field, Fields } from '@maquette/core/fields';
import { useUnits } from '../data/device-settings.ts';
import type { Written } from '../data/history.ts';
import { FactField } from '../form/fact-field.tsx';
import { useFactForm } from '../form/fact-form.ts';
import { valueWords } from '../form/value-words.ts';
import { capital } from '../ui/capital.ts';
import { Choice } from '../ui/choice.tsx';
import { Words } from '../ui/text.tsx';
import type { UnitSystem } from '@maquette/core/units';

/** What is asked of a card, by its field: the label, and the unit where the fact’s own field states none. */
export type FieldWords = Readonly<Record<string, readonly [label: string, unit?: string]>>;

/** Words of a choice; any other stands as it is. */
const VALUE_WORDS: Readonly<Record<string, string>> = {
  unsaid: 'Not stated',
  'left-to-right': 'From left to right',
  'right-to-left': 'From right to left',
  yes: 'Yes',
  no: 'No',
  mineral: 'Concrete or screed',
  timber: 'Timber',
  'fibre-cement': 'Fibre cement',
};
const wordsOf = (value: string) => VALUE_WORDS[value] ?? capital(value);
const FLAG = ['yes', 'no'];

/** A card’s value as it is read, with its unit. */
export function shownValue(field: Field, value: unknown, unit: string | undefined, units: UnitSystem): string {
  if (value === null || value === undefined) return 'not stated';
  if (typeof value === 'boolean') return value ? 'Yes' : 'No';
  if (field.spec.type === 'choice') return wordsOf(String(value));
  if (unit) return `${String(value)} ${unit}`;
  return typeof value === 'number' ? valueWords(value, field, units) : String(value);
}

/** Fields of a card, one under the other: figures and text typed, the rest chosen; on a card that ships read only. */
export function CardFields({
  fields,
  words,
  card,
  locked,
  change,
}: {
  fields: Fields;
  words: FieldWords;
  card: object;
  locked: boolean;
  change: (part: Record<string, unknown>) => Promise<Written>;
}) {
  const [units] = useUnits();
  const held = card as Record<string, unknown>;
  const form = useFactForm(fields, held, units, change);
  return (
    <>
      {Object.entries(fields).map(([name, field]) => {
        const [label, unit] = words[name] ?? [name];
        const { spec, orNull } = field;
        const value = held[name];
        if (locked) return <Words key={name} figure>{`${label}: ${shownValue(field, value, unit, units)}`}</Words>;
        if (spec.type === 'flag' || spec.type === 'choice') {
          const isFlag = spec.type === 'flag';
          const chosen = isFlag ? (value === true ? 'yes' : 'no') : String(value);
          return (
            <Choice
              key={name}
              label={label}
              inline
              value={chosen}
              options={(spec.type === 'flag' ? FLAG : spec.of.map(String)).map((one) => ({
                value: one,
                label: wordsOf(one),
              }))}
              onChange={(one) => void change({ [name]: isFlag ? one === 'yes' : one })}
            />
          );
        }
        return (
          <FactField
            key={name}
            form={form}
            name={name}
            label={label}
            {...(unit ? { unit } : {})}
            decimals={3}
            {...(orNull ? { hint: 'Leave empty where the sheet says nothing.' } : {})}
          />
        );
      })}
    </>
  );
}
