import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { JudgedOption } from '@maquette/core';
import { openingName, type RoomFacts } from '@maquette/core/room';
import { gapWords } from '@maquette/core/units';
import { hoursWords } from '../amounts.ts';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Words } from '../../ui/text.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { optionName, TERM_WORDS } from './option-words.ts';

interface Props {
  option: JudgedOption;
  room: RoomFacts;
  currency: string;
  isChosen: boolean;
  /** Greyed: it may not be laid here, or something has to be known first. */
  isHeld: boolean;
  /** What to press next here: the best, while nothing is chosen. */
  isNext: boolean;
  onTake: () => void;
  /** How many rolls the chosen one takes. */
  onRolls: () => void;
}

/** One thing that could be laid: what it does here, what speaks against it, and how its score comes. */
export function OptionCard({ option, room, currency, isChosen, isHeld, isNext, onTake, onRolls }: Props) {
  const say = useSay();
  const palette = usePalette();
  const [open, setOpen] = useState(false);
  const { offered, ownBreaks, year, terms, score, stepDb, rM2KW, costM2, liftsMm, worstStep, hours } = option;
  const name = optionName(offered);
  const opening = room.openings.find(({ id }) => id === worstStep?.openingId);
  const reasons = [
    ...ownBreaks.map(({ rule, why }) => `${rule}: ${say(why)}`),
    ...(year === 'refused' ? ['Over the year, water would come together in it or wood could not dry. See Year.'] : []),
  ];
  const facts = [
    `adds ${gapWords(liftsMm, room.units)}`,
    ...(worstStep && opening
      ? [`a step of ${gapWords(Math.abs(worstStep.stepMm), room.units)} at ${say(openingName(room, opening))}`]
      : []),
    costM2 === 0 ? 'costs nothing' : `${currency}${costM2.toFixed(2)} a square metre`,
    ...(hours > 0 ? [`${hoursWords(hours)} to roll out`] : []),
    stepDb === null ? 'step noise not stated' : `${stepDb} dB of step noise`,
    rM2KW === null ? 'warmth not stated' : `R ${rM2KW} m²K/W`,
  ];
  return (
    <View
      style={[
        styles.card,
        {
          borderColor: isChosen ? palette.chalk : palette.rule,
          borderLeftWidth: isChosen ? 6 : 1,
          backgroundColor: isChosen ? palette.chalkWash : palette.bench,
        },
      ]}
      testID={`option-${offered.id}`}
    >
      <View style={styles.line}>
        <Words bold style={styles.grow} quiet={isHeld}>
          {name}
        </Words>
        {isHeld ? null : (
          <Words bold figure size="large" accessibilityLabel={`score ${score.toFixed(2)}`}>
            {score.toFixed(2)}
          </Words>
        )}
      </View>
      {reasons[0] ? <Words>{reasons[0]}</Words> : null}
      <Words size="small" figure quiet={isHeld}>
        {facts.join(' · ')}
      </Words>
      {open ? (
        <View style={styles.more}>
          {reasons.slice(1).map((reason) => (
            <Words key={reason} size="small">
              {reason}
            </Words>
          ))}
          {(Object.keys(terms) as (keyof typeof terms)[]).map((term) => (
            <View key={term} style={styles.line}>
              <Words size="small" style={styles.grow}>
                {TERM_WORDS[term]}
              </Words>
              <Words size="small" figure>
                {terms[term].toFixed(3)}
              </Words>
            </View>
          ))}
          <Words size="small">
            Each term is its weight times how far the figure lies along a fixed scale, from nothing to the whole of it;
            the score is their sum. The weights stand below.
          </Words>
        </View>
      ) : null}
      <ButtonRow>
        {isChosen ? (
          <Words bold color={palette.chalk} style={styles.chosen}>
            Chosen
          </Words>
        ) : (
          <Button
            kind={isNext ? 'main' : 'plain'}
            label={isHeld ? 'Choose all the same' : 'Lay this'}
            hint={name}
            onPress={onTake}
          />
        )}
        {isChosen && (offered.underlay || offered.film) ? (
          <Button kind={isHeld ? 'plain' : 'main'} label="How many rolls" hint={name} onPress={onRolls} />
        ) : null}
        <Button
          label={open ? 'Less' : reasons.length > 1 ? `Why: ${reasons.length} reasons` : 'How it scores'}
          hint={name}
          onPress={() => setOpen(!open)}
        />
      </ButtonRow>
    </View>
  );
}

const styles = StyleSheet.create({
  card: { borderWidth: 1, padding: SPACE.part, gap: SPACE.near },
  line: { flexDirection: 'row', alignItems: 'baseline', gap: SPACE.gap },
  grow: { flex: 1 },
  more: { gap: SPACE.near, paddingVertical: SPACE.near },
  chosen: { minHeight: 48, paddingTop: 14 },
});
