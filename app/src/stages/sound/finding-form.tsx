import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { filled } from '@maquette/core/fields';
import { midSentence, type Said } from '@maquette/core/said';
import { FINDING, type Finding } from '@maquette/core/soundness';
import type { UnitSystem } from '@maquette/core/units';
import { nowUtc } from '../../data/ids.ts';
import type { Written } from '../../data/history.ts';
import { FactField } from '../../form/fact-field.tsx';
import { useDraftForm } from '../../form/fact-form.ts';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { useSay, useTimes } from '../../ui/shown-in.tsx';

interface Props {
  finding: Finding | null;
  /** Whose finding it is. */
  awaits: Said;
  units: UnitSystem;
  onFinding: (finding: Finding | null) => Promise<Written>;
}

const DECISION = {
  by: filled(FINDING.by),
  on: filled(FINDING.on),
  document: filled(FINDING.document),
  may: filled(FINDING.may),
};

/** What whoever has to decide has decided: who, when, in which document, and what may be done. */
export function FindingForm({ finding, awaits, units, onFinding }: Props) {
  const say = useSay();
  const palette = usePalette();
  const { dayOf } = useTimes();
  const [begins] = useState(() => ({ by: '', on: dayOf(nowUtc()), document: '', may: '' }));
  const form = useDraftForm(DECISION, begins, units);
  if (finding)
    return <Button label="Take this decision back" hint={finding.document} onPress={() => void onFinding(null)} />;
  return (
    <Fold title={`What ${say(midSentence(awaits)).replace(/,$/, '')} has decided`} aside="not yet">
      <View style={styles.box}>
        <Words size="small">Until this is written down the floor stays stopped here. A tick does not open it.</Words>
        <FactField form={form} name="by" label="Decided by" />
        <FactField form={form} name="on" label="On" hint="Year, month, day: 2026-05-04" />
        <FactField form={form} name="document" label="Letter, report or drawing" />
        <FactField form={form} name="may" label="What may be done" />
        {form.problem ? (
          <Words role="alert" color={palette.verdict.stop}>
            {form.problem}
          </Words>
        ) : null}
        <ButtonRow>
          <Button kind="main" label="Keep this decision" onPress={() => void form.record(onFinding)} />
        </ButtonRow>
      </View>
    </Fold>
  );
}

const styles = StyleSheet.create({ box: { gap: SPACE.part } });
