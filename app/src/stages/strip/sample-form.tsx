import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import {
  ANALYTE_WORDS,
  ANALYTES,
  LAYERS,
  PART_WORDS,
  type Analyte,
  type Layer,
  type Part,
} from '@maquette/core/layers';
import { filled, oneOf } from '@maquette/core/fields';
import { KINDS } from '@maquette/facts';
import { newId, nowUtc } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { FactField } from '../../form/fact-field.tsx';
import { useDraftForm } from '../../form/fact-form.ts';
import { PhotoStrip } from '../../photos/photo-strip.tsx';
import { Words } from '../../ui/text.tsx';
import { useSay, useTimes } from '../../ui/shown-in.tsx';

interface Props {
  shown: ShownRoom;
  /** Null for painted trim. */
  layer: Layer | null;
  parts: readonly Part[];
  onDone: () => void;
}

const SAMPLE = {
  sampleNo: filled(KINDS.samples.fields.sampleNo),
  laboratory: filled(KINDS.samples.fields.laboratory),
  resultOn: filled(KINDS.samples.fields.resultOn),
  analyte: oneOf(...ANALYTES),
  result: KINDS.samples.fields.result,
};

/** A laboratory's answer as it stands on its sheet: material, sample, laboratory, date, result, the sheet itself as a picture. */
export function SampleForm({ shown, layer, parts, onDone }: Props) {
  const { dayOf } = useTimes();
  const say = useSay();
  const palette = usePalette();
  const [id] = useState(newId);
  const [part, setPart] = useState<Part>(parts[0]!);
  const [begins] = useState(() => ({
    sampleNo: '',
    laboratory: '',
    resultOn: dayOf(nowUtc()),
    analyte: soleSuspect(layer, parts[0]!),
    result: '',
  }));
  const form = useDraftForm(SAMPLE, begins, 'metric');
  const result = form.standing('result');
  const analyte = form.standing('analyte');
  const record = () =>
    form.record(async (sample) => {
      const written = await write(
        `Result for the ${say(PART_WORDS[part])}: ${sample.result} for ${say(ANALYTE_WORDS[sample.analyte])}`,
        [
          {
            kind: 'samples',
            id,
            roomId: shown.room!.id,
            body: { layerId: layer?.id ?? 'trim', part, where: layer?.where ?? [], ...sample, note: '' },
          },
        ],
      );
      if (written.ok) onDone();
      return written;
    });
  return (
    <View style={[styles.box, { borderColor: palette.chalk }]}>
      <Choice
        label="Which material was sampled"
        inline
        value={part}
        options={parts.map((p) => ({ value: p, label: say(PART_WORDS[p]) }))}
        onChange={(next) => {
          setPart(next);
          void form.put('analyte', soleSuspect(layer, next));
        }}
      />
      <Choice
        label="What was it analysed for? A sheet that names two is two results"
        inline
        value={isAnalyte(analyte) ? analyte : ''}
        options={[
          ...ANALYTES.map((of) => ({
            value: of,
            label: `${sentenceCase(say(ANALYTE_WORDS[of]))}${suspected(layer, part).includes(of) ? ', suspected here' : ''}`,
          })),
        ]}
        onChange={(chosen) => void form.put('analyte', chosen)}
      />
      {form.asks('analyte') ? (
        <Words role="alert" size="small" color={palette.verdict.stop}>
          Say what the sheet says it was analysed for.
        </Words>
      ) : null}
      <FactField form={form} name="sampleNo" label="Sample number" />
      <FactField form={form} name="laboratory" label="Laboratory" />
      <FactField form={form} name="resultOn" label="Date of the result" hint="Year, month, day: 2026-05-04" />
      <Choice
        label="Result"
        inline
        value={result === 'negative' || result === 'positive' ? result : ''}
        options={[
          { value: 'negative', label: 'Negative: nothing found' },
          { value: 'positive', label: 'Positive' },
        ]}
        onChange={(chosen) => void form.put('result', chosen)}
      />
      <PhotoStrip shown={shown} about={{ about: 'sample', aboutId: id, at: null }} label="Photograph the sheet" />
      {form.asks('result') ? (
        <Words role="alert" size="small" color={palette.verdict.stop}>
          Say what the sheet says: negative or positive.
        </Words>
      ) : null}
      {form.problem ? (
        <Words role="alert" color={palette.verdict.stop}>
          {form.problem}
        </Words>
      ) : null}
      <Words size="small" quiet>
        A negative opens this material only, only for what it was analysed for, and only in the area it was taken from.
        A positive stays for good.
      </Words>
      <ButtonRow>
        <Button kind="main" label="Keep this result" onPress={() => void record()} />
        <Button label="Not now" onPress={onDone} />
      </ButtonRow>
    </View>
  );
}

const isAnalyte = (value: unknown): value is Analyte => ANALYTES.some((of) => of === value);
const sentenceCase = (text: string) => `${text[0]!.toUpperCase()}${text.slice(1)}`;

/** What the material is suspected of by its kind; painted trim of lead. */
const suspected = (layer: Layer | null, part: Part): Analyte[] =>
  layer ? LAYERS[layer.kind].suspect.filter((s) => s.part === part).map((s) => s.hazard) : ['lead'];

/** What a material is suspected of where that is one thing; empty where whoever reads the sheet has to say. */
function soleSuspect(layer: Layer | null, part: Part): Analyte | '' {
  const [first, ...more] = suspected(layer, part);
  return first && more.length === 0 ? first : '';
}

const styles = StyleSheet.create({ box: { borderWidth: 1, padding: SPACE.part, gap: SPACE.part } });
