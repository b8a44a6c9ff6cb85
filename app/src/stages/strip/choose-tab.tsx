import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { layerName, type Layer } from '@maquette/core/layers';
import type { RoomFacts } from '@maquette/core/room';
import {
  CHOICE_WORDS,
  SCHOOLS,
  type Choice as Decision,
  type Comparison,
  type Option,
  type School,
} from '@maquette/core/stripout';
import { formatArea, formatGap, formatMass, unitLabel } from '@maquette/core/units';
import type { ShownRoom } from '../../data/use-facts.ts';
import { usePalette } from '../../theme/theme.tsx';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Field } from '../../ui/field.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Mark } from '../../ui/mark.tsx';
import { Words } from '../../ui/text.tsx';
import { useFollowing } from '../../ui/use-following.ts';
import { hoursWords, moneyWords } from './amounts.ts';
import { useAnswers, type Answers } from './use-answers.ts';

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  comparisons: readonly Comparison[];
}

/** Keep, make good or take up, layer by layer, side by side. */
export function ChooseTab({ shown, room, comparisons }: Props) {
  const answers = useAnswers(shown);
  const layers = shown.layers as unknown as Layer[];
  return (
    <View style={styles.box}>
      {comparisons.length === 0 ? <Words>Nothing lies on the base, so there is nothing to decide.</Words> : null}
      {comparisons.map((comparison) => {
        const layer = layers.find((l) => l.id === comparison.layerId);
        return layer ? (
          <LayerChoice
            key={layer.id}
            shown={shown}
            room={room}
            layer={layer}
            comparison={comparison}
            answers={answers}
          />
        ) : null;
      })}
      <Fold title="Where practitioners differ" aside="schools">
        {(Object.keys(SCHOOLS) as School[]).map((school) => {
          const { words, options, why } = SCHOOLS[school];
          const entries = Object.entries(options);
          return (
            <View key={school} style={styles.school}>
              <Choice
                label={words}
                inline
                value={answers.value(school) ?? entries[0]![0]}
                options={entries.map(([value, label]) => ({ value, label }))}
                onChange={(value) => void answers.set(school, value, `${words}: ${value}`)}
              />
              <Words size="small" quiet>{`Default: ${entries[0]![1].toLowerCase()}. ${why}`}</Words>
            </View>
          );
        })}
      </Fold>
    </View>
  );
}

function LayerChoice({
  shown,
  room,
  layer,
  comparison,
  answers,
}: {
  shown: ShownRoom;
  room: RoomFacts;
  layer: Layer;
  comparison: Comparison;
  answers: Answers;
}) {
  const palette = usePalette();
  const { units } = room;
  const topic = `layer/${layer.id}`;
  const [note, setNote] = useFollowing(comparison.note);
  const [compare, setCompare] = useState(comparison.chosen === null);
  const choose = (choice: Decision) =>
    void answers.set(topic, choice, `${layerName(layer)}: ${CHOICE_WORDS[choice].toLowerCase()}`, note);
  return (
    <View style={[styles.layer, { borderColor: palette.ink }]}>
      <View style={styles.line}>
        <Mark
          verdict={
            comparison.taken === null ? 'stop' : comparison.chosen === null && !comparison.forced ? 'measure' : 'lay'
          }
        />
        <Words bold size="large" style={styles.grow}>
          {layerName(layer)}
        </Words>
        <Words figure quiet>
          {formatArea(comparison.areaM2, units)}
        </Words>
      </View>
      <Words>
        {comparison.forced
          ? 'A layer under it goes, so it goes too.'
          : comparison.recommended === null
            ? comparison.because
            : `${comparison.chosen === null ? 'Suggested' : 'The suggestion was'}: ${CHOICE_WORDS[comparison.recommended].toLowerCase()}. ${comparison.because}`}
      </Words>
      {comparison.chosen !== null && !comparison.forced ? (
        <Words bold>{`Chosen: ${CHOICE_WORDS[comparison.chosen].toLowerCase()}.`}</Words>
      ) : null}
      {compare ? (
        <View style={styles.options}>
          {comparison.options.map((option) => (
            <OptionBlock
              key={option.choice}
              option={option}
              room={room}
              currency={shown.job?.currency ?? ''}
              chosen={comparison.chosen === option.choice}
              suggested={comparison.recommended === option.choice}
              disabled={comparison.forced}
              onChoose={() => choose(option.choice)}
            />
          ))}
        </View>
      ) : (
        <Button label="Compare again" hint={layerName(layer)} onPress={() => setCompare(true)} />
      )}
      {comparison.chosen !== null ? (
        <Field
          label="Why, and who decided"
          value={note}
          onChange={setNote}
          onDone={() =>
            note === comparison.note
              ? undefined
              : void answers.set(topic, comparison.chosen!, 'Note to the choice', note.slice(0, 500))
          }
        />
      ) : null}
      <Words
        size="small"
        quiet
      >{`Level steps are the new floor less the floor beyond, ${unitLabel(units)}; above is up.`}</Words>
    </View>
  );
}

function OptionBlock({
  option,
  room,
  currency,
  chosen,
  suggested,
  disabled,
  onChoose,
}: {
  option: Option;
  room: RoomFacts;
  currency: string;
  chosen: boolean;
  suggested: boolean;
  disabled: boolean;
  onChoose: () => void;
}) {
  const palette = usePalette();
  const { units } = room;
  const signed = (mm: number) => `${mm > 0 ? '+' : ''}${formatGap(mm, units)}`;
  const ink = option.allowed ? palette.ink : palette.quiet;
  const rows: [string, string][] = [
    ['Level', `${signed(option.levelMm)} ${unitLabel(units)}`],
    ...option.steps.map((s): [string, string] => [
      s.name,
      s.stepMm === null ? 'level beyond not measured' : `step ${signed(s.stepMm)} ${unitLabel(units)}`,
    ]),
    ['Hours', hoursWords(option.hours)],
    ['Debris', option.debrisKg > 0 ? formatMass(option.debrisKg, units) : 'none'],
    ['Dust', option.dust],
    ['Hire', option.hireWords.length > 0 ? option.hireWords.join(', ') : 'none'],
    ['Cost', moneyWords(option.cost, currency)],
    ['Flat', option.flat],
    ['Damp', option.damp],
    ['Risk', option.risk],
  ];
  return (
    <View
      style={[styles.option, { borderColor: chosen ? palette.chalk : palette.rule, borderWidth: chosen ? 2 : 1 }]}
      testID={`option-${option.choice}`}
    >
      <View style={styles.line}>
        <Words bold color={ink} style={styles.grow}>
          {CHOICE_WORDS[option.choice]}
        </Words>
        {suggested ? (
          <Words size="small" bold color={palette.chalk}>
            suggested
          </Words>
        ) : null}
        {!option.allowed ? (
          <Words size="small" bold color={option.stopped ? palette.verdict.stop : palette.quiet}>
            {option.stopped ? 'gate shut' : 'not here'}
          </Words>
        ) : null}
      </View>
      {option.refusals.map((refusal) => (
        <Words key={refusal} size="small" color={option.stopped ? palette.verdict.stop : palette.ink}>
          {refusal.endsWith('.') ? refusal : `${refusal}.`}
        </Words>
      ))}
      {option.allowed ? (
        <View>
          {rows.map(([label, value]) => (
            <View key={label} style={[styles.row, { borderColor: palette.rule }]}>
              <Words size="small" quiet style={styles.label}>
                {label}
              </Words>
              <Words size="small" figure style={styles.grow}>
                {value}
              </Words>
            </View>
          ))}
        </View>
      ) : null}
      <Button
        label={chosen ? 'Chosen' : CHOICE_WORDS[option.choice]}
        selected={chosen}
        disabled={disabled || !option.allowed}
        onPress={onChoose}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  box: { padding: 16, gap: 20 },
  layer: { borderTopWidth: 2, paddingTop: 12, gap: 8 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  grow: { flex: 1 },
  options: { gap: 8 },
  option: { padding: 12, gap: 8 },
  row: { flexDirection: 'row', gap: 8, borderTopWidth: 1, paddingVertical: 4 },
  label: { width: 96 },
  school: { gap: 4 },
});
