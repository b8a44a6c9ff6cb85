import { UNDER_PLANKS, type CoveringCard } from '@maquette/core/coverings';
import type { Field } from '@maquette/core/fields';
import { useUnits } from '../data/device-settings.ts';
import type { Written } from '../data/history.ts';
import { FactField } from '../form/fact-field.tsx';
import { useFactForm } from '../form/fact-form.ts';
import { Choice } from '../ui/choice.tsx';
import { Words } from '../ui/text.tsx';
import { Fold } from '../ui/fold.tsx';

type Name = keyof typeof UNDER_PLANKS;

const WORDS: Record<Name, readonly [label: string, unit?: string]> = {
  heatRated: ['Rated for a heated floor'],
  rM2KW: ['Holds back heat, R', 'm²K/W'],
  sdM: ['Holds back vapour, sd', 'm'],
  softAllowed: ['Allows a soft layer under its own pad'],
  mostSoftMm: ['Soft layer beneath at most'],
  leastKPa: ['Underlay gives way at no less than', 'kPa'],
  filmOnTimber: ['Asks for a film over timber'],
  filmCures: ['Takes a film as a cure for damp'],
  bumpsMm: ['Bumps it takes without an underlay'],
  wetRoom: ['Allowed in a wet room'],
  fireClass: ['Fire class with an underlay'],
  plankWidthMm: ['Width of a plank'],
  plankLengthMm: ['Length of a plank'],
  packM2: ['A box covers', 'm²'],
  massKgM2: ['Weighs', 'kg/m²'],
};
const SAID: Readonly<Record<string, string>> = { unsaid: 'Not stated', yes: 'Yes', no: 'No' };

/** What a covering’s sheet says of what lies under its planks, and of its boxes. */
export function UnderPlanksFields({
  card,
  locked,
  change,
}: {
  card: CoveringCard;
  locked: boolean;
  change: (part: Partial<CoveringCard>) => Promise<Written>;
}) {
  const [units] = useUnits();
  const form = useFactForm(UNDER_PLANKS, card, units, change);
  return (
    <Fold title="What may lie under it, and its boxes">
      {(Object.entries(UNDER_PLANKS) as [Name, Field][]).map(([name, { spec, orNull }]) => {
        const [label, unit] = WORDS[name];
        const value = card[name];
        if (spec.type === 'figure' && !locked)
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
        if (locked) {
          const said =
            value === null
              ? 'not stated'
              : typeof value === 'boolean'
                ? value
                  ? 'Yes'
                  : 'No'
                : (SAID[String(value)] ?? String(value));
          return (
            <Words key={name} figure>{`${label}: ${said}${typeof value === 'number' ? ` ${unit ?? 'mm'}` : ''}`}</Words>
          );
        }
        const options = spec.type === 'choice' ? spec.of.map(String) : ['yes', 'no'];
        return (
          <Choice
            key={name}
            label={label}
            inline
            value={typeof value === 'boolean' ? (value ? 'yes' : 'no') : String(value)}
            options={options.map((one) => ({ value: one, label: SAID[one] ?? one }))}
            onChange={(one) => void change({ [name]: spec.type === 'flag' ? one === 'yes' : one })}
          />
        );
      })}
    </Fold>
  );
}
