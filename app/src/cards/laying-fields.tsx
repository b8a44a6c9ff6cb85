import { LAYING, MIXED_LENGTH, type CoveringCard } from '@maquette/core/coverings';
import { useUnits } from '../data/device-settings.ts';
import type { Written } from '../data/history.ts';
import { FactField } from '../form/fact-field.tsx';
import { useFactForm } from '../form/fact-form.ts';
import { Button } from '../ui/button.tsx';
import { Fold } from '../ui/fold.tsx';
import { Words } from '../ui/text.tsx';
import { valueWords } from '../form/value-words.ts';
import { CardFields, type FieldWords } from './card-fields.tsx';

const WORDS: FieldWords = {
  secondStaggerMm: ['Joints of every second row apart by'],
  layHand: ['Rows are laid, facing the start wall'],
  tiltDeg: ['Tilt at which the long lock closes'],
  endsSlide: ['May be slid along its row'],
  longTaps: ['Long lock may be tapped flat'],
  lipShaved: ['Lip may be shaved off and the joint glued'],
};

type Change = (part: Partial<CoveringCard>) => Promise<Written>;

/** What a covering’s sheet says of how its planks are laid, and the lengths of a box that holds several. */
export function LayingFields({ card, locked, change }: { card: CoveringCard; locked: boolean; change: Change }) {
  const { mixedLengths } = card;
  return (
    <Fold title="How its planks are laid">
      <CardFields fields={LAYING} words={WORDS} card={card} locked={locked} change={change} />
      {mixedLengths.map((_, index) => (
        <LengthLine key={index} card={card} index={index} locked={locked} change={change} />
      ))}
      {locked ? null : (
        <>
          <Words size="small">
            Where a box holds planks of several lengths, enter how many of each: rows are then made of them as they
            come, and boxes keep their mix.
          </Words>
          {mixedLengths.length < 8 ? (
            <Button
              label="Add a length"
              onPress={() =>
                void change({
                  mixedLengths: [...mixedLengths, { lengthMm: card.plankLengthMm ?? 1200, inBox: 2 }],
                })
              }
            />
          ) : null}
        </>
      )}
    </Fold>
  );
}

function LengthLine({
  card,
  index,
  locked,
  change,
}: {
  card: CoveringCard;
  index: number;
  locked: boolean;
  change: Change;
}) {
  const [units] = useUnits();
  const { mixedLengths } = card;
  const held = mixedLengths[index]!;
  const form = useFactForm(MIXED_LENGTH, held, units, (part) =>
    change({ mixedLengths: mixedLengths.map((one, i) => (i === index ? { ...one, ...part } : one)) }),
  );
  if (locked)
    return (
      <Words
        figure
      >{`Length ${index + 1}: ${valueWords(held.lengthMm, MIXED_LENGTH.lengthMm, units)}, ${held.inBox} in a box`}</Words>
    );
  return (
    <>
      <FactField form={form} name="lengthMm" label={`Length ${index + 1}`} />
      <FactField form={form} name="inBox" label={`Length ${index + 1}, in a box`} />
      <Button
        label={`Drop length ${index + 1}`}
        onPress={() => void change({ mixedLengths: mixedLengths.filter((_, i) => i !== index) })}
      />
    </>
  );
}
