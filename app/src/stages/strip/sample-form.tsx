import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { PART_WORDS, type Layer, type Part } from '@maquette/core/layers';
import { newId, nowUtc } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Field } from '../../ui/field.tsx';
import { PhotoStrip } from '../../photos/photo-strip.tsx';
import { Words } from '../../ui/text.tsx';
import { dayOf } from '../../ui/times.ts';
import { useSay } from '../../ui/shown-in.tsx';

interface Props {
  shown: ShownRoom;
  /** Null for painted trim. */
  layer: Layer | null;
  parts: readonly Part[];
  onDone: () => void;
}

/** A laboratory's answer as it stands on its sheet: material, sample, laboratory, date, result, the sheet itself as a picture. */
export function SampleForm({ shown, layer, parts, onDone }: Props) {
  const say = useSay();
  const palette = usePalette();
  const [id] = useState(newId);
  const [part, setPart] = useState<Part>(parts[0]!);
  const [sampleNo, setSampleNo] = useState('');
  const [laboratory, setLaboratory] = useState('');
  const [date, setDate] = useState(dayOf(nowUtc()));
  const [result, setResult] = useState<'negative' | 'positive' | ''>('');
  const [problem, setProblem] = useState<string | null>(null);
  const save = async () => {
    const missing = [
      ...(sampleNo.trim() === '' ? ['the sample’s number'] : []),
      ...(laboratory.trim() === '' ? ['the laboratory'] : []),
      ...(result === '' ? ['the result'] : []),
      ...(/^\d{4}-\d{2}-\d{2}$/.test(date) && !Number.isNaN(Date.parse(date))
        ? []
        : [`a date such as 2026-05-04 (${date || 'empty'})`]),
    ];
    if (missing.length > 0 || result === '') return setProblem(`Still needed: ${missing.join(', ')}`);
    const written = await write(`Result for the ${say(PART_WORDS[part])}: ${result}`, [
      {
        kind: 'samples',
        id,
        roomId: shown.room!.id,
        body: {
          layerId: layer?.id ?? 'trim',
          part,
          where: layer?.where ?? [],
          sampleNo: sampleNo.trim(),
          laboratory: laboratory.trim(),
          resultOn: date,
          result,
          note: '',
        },
      },
    ]);
    if (!written.ok) return setProblem(written.problems.map((p) => `${p.field} ${p.message}`).join('; '));
    return onDone();
  };
  return (
    <View style={[styles.box, { borderColor: palette.chalk }]}>
      <Choice
        label="Which material was sampled"
        inline
        value={part}
        options={parts.map((p) => ({ value: p, label: say(PART_WORDS[p]) }))}
        onChange={setPart}
      />
      <Field label="Sample number" value={sampleNo} onChange={setSampleNo} />
      <Field label="Laboratory" value={laboratory} onChange={setLaboratory} />
      <Field label="Date of the result" value={date} onChange={setDate} hint="Year, month, day: 2026-05-04" />
      <Choice
        label="Result"
        inline
        value={result}
        options={[
          { value: 'negative', label: 'Negative: nothing found' },
          { value: 'positive', label: 'Positive' },
        ]}
        onChange={setResult}
      />
      <PhotoStrip shown={shown} about={{ about: 'sample', aboutId: id, at: null }} label="Photograph the sheet" />
      {problem ? (
        <Words role="alert" color={palette.verdict.stop}>
          {problem}
        </Words>
      ) : null}
      <Words size="small" quiet>
        A negative opens this material only, and only in the area it was taken from. A positive stays for good.
      </Words>
      <ButtonRow>
        <Button kind="main" label="Keep this result" onPress={() => void save()} />
        <Button label="Not now" onPress={onDone} />
      </ButtonRow>
    </View>
  );
}

const styles = StyleSheet.create({ box: { borderWidth: 1, padding: SPACE.part, gap: SPACE.part } });
