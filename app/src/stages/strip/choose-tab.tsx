import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { layerName, type Layer } from '@maquette/core/layers';
import type { RoomFacts } from '@maquette/core/room';
import {
  CHOICE_WORDS,
  SCHOOL,
  SCHOOL_IDS,
  SCHOOLS,
  type Choice as Decision,
  type Comparison,
  type Option,
  type StripPlan,
} from '@maquette/core/stripout';
import { formatArea, formatGap, formatMass, unitLabel } from '@maquette/core/units';
import type { Question } from '@maquette/core/fields';
import { KINDS } from '@maquette/facts';
import { newId } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Mark } from '../../ui/mark.tsx';
import { Words } from '../../ui/text.tsx';
import { OneField } from '../../form/one-field.tsx';
import { hoursWords, moneyWords } from '../amounts.ts';
import { useAnswers } from '../use-answers.ts';
import { useSay } from '../../ui/shown-in.tsx';

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  plan: StripPlan;
}

/** Keep, make good or take up, layer by layer, side by side. */
export function ChooseTab({ shown, room, plan }: Props) {
  const say = useSay();
  const answers = useAnswers(shown);
  const { layers } = shown.plain;
  const { comparisons } = plan;
  return (
    <View style={styles.box}>
      {comparisons.length === 0 ? <Words>Nothing lies on the base, so there is nothing to decide.</Words> : null}
      {comparisons.map((comparison) => {
        const layer = layers.find((l) => l.id === comparison.layerId);
        return layer ? (
          <LayerChoice key={layer.id} shown={shown} room={room} layer={layer} comparison={comparison} />
        ) : null;
      })}
      {comparisons.length > 0 ? <Together plan={plan} room={room} currency={shown.job?.currency ?? ''} /> : null}
      <Fold title="Where practitioners differ" aside="schools">
        {SCHOOL_IDS.map((school) => {
          const { words, options, why } = SCHOOLS[school];
          const asked: Question<string> = SCHOOL[school];
          const entries = Object.entries(options);
          return (
            <View key={school} style={styles.school}>
              <Choice
                label={say(words)}
                inline
                value={answers.to(asked) ?? entries[0]![0]}
                options={entries.map(([value, label]) => ({ value, label: say(label) }))}
                onChange={(value) => void answers.set(asked, value, `${say(words)}: ${value}`)}
              />
              <Words size="small" quiet>{`Default: ${say(entries[0]![1]).toLowerCase()}. ${say(why)}`}</Words>
            </View>
          );
        })}
      </Fold>
    </View>
  );
}

/** What the choices come to, in the very figures the work is told in. */
function Together({ plan, room, currency }: { plan: StripPlan; room: RoomFacts; currency: string }) {
  const { layers, once, sharedHire } = plan.together;
  return (
    <View testID="together">
      <Words bold figure>
        {`Together: ${hoursWords(plan.hours)}, ${formatMass(plan.debris.massKg, room.units)} of debris, ${moneyWords(plan.cost.total, currency)}`}
      </Words>
      <Words size="small" quiet figure>
        {[
          `The layers as compared ${hoursWords(layers.hours)}, ${moneyWords(layers.cost, currency)}`,
          `once for the room (dust, fixtures, skirting, cleaning) ${hoursWords(once.hours)}, ${moneyWords(once.cost, currency)}`,
          ...(sharedHire < 0 ? [`hire shared by layers −${moneyWords(-sharedHire, currency)}`] : []),
        ].join('; ')}
        .
      </Words>
    </View>
  );
}

function LayerChoice({
  shown,
  room,
  layer,
  comparison,
}: {
  shown: ShownRoom;
  room: RoomFacts;
  layer: Layer;
  comparison: Comparison;
}) {
  const say = useSay();
  const palette = usePalette();
  const { units } = room;
  const [compare, setCompare] = useState(comparison.chosen === null);
  const held = shown.plain.layerChoices.findLast(({ layerId }) => layerId === layer.id);
  const record = (choice: Decision, words: string, why: string) =>
    void write(words, [
      {
        kind: 'layerChoices',
        id: held?.id ?? newId(),
        roomId: room.id,
        body: { layerId: layer.id, choice, note: why },
      },
    ]);
  const choose = (choice: Decision) =>
    record(choice, `${say(layerName(layer))}: ${say(CHOICE_WORDS[choice]).toLowerCase()}`, comparison.note);
  return (
    <View style={[styles.layer, { borderColor: palette.ink }]}>
      <View style={styles.line}>
        <Mark
          verdict={
            comparison.taken === null ? 'stop' : comparison.chosen === null && !comparison.forced ? 'measure' : 'lay'
          }
        />
        <Words bold size="large" style={styles.grow}>
          {say(layerName(layer))}
        </Words>
        <Words figure quiet>
          {formatArea(comparison.areaM2, units)}
        </Words>
      </View>
      <Words>
        {say(
          comparison.forced
            ? 'A layer under it goes, so it goes too.'
            : comparison.recommended === null
              ? comparison.because
              : `${comparison.chosen === null ? 'Suggested' : 'The suggestion was'}: ${say(CHOICE_WORDS[comparison.recommended]).toLowerCase()}. ${say(comparison.because)}`,
        )}
      </Words>
      {comparison.chosen !== null && !comparison.forced ? (
        <Words bold>{`Chosen: ${say(CHOICE_WORDS[comparison.chosen]).toLowerCase()}.`}</Words>
      ) : null}
      {compare ? (
        <View style={styles.options}>
          <SideBySide options={comparison.options} room={room} currency={shown.job?.currency ?? ''} />
          {comparison.options.map((option) => (
            <OptionBlock
              key={option.choice}
              option={option}
              currency={shown.job?.currency ?? ''}
              chosen={comparison.chosen === option.choice}
              suggested={comparison.recommended === option.choice}
              off={comparison.forced ? 'A layer under it goes, so it goes too.' : null}
              onChoose={() => choose(option.choice)}
            />
          ))}
        </View>
      ) : (
        <Button label="Compare again" hint={say(layerName(layer))} onPress={() => setCompare(true)} />
      )}
      {comparison.chosen !== null ? (
        <OneField
          of={KINDS.layerChoices.fields.note}
          value={comparison.note}
          units={units}
          label="Why, and who decided"
          onTaken={(note) => record(comparison.chosen!, 'Note to the choice', note)}
        />
      ) : null}
      <Words
        size="small"
        quiet
      >{`Level steps are the new floor less the floor beyond, ${unitLabel(units)}; above is up.`}</Words>
    </View>
  );
}

/** The three side by side: level and steps, hours, debris, dust, hire, cost. */
function SideBySide({ options, room, currency }: { options: readonly Option[]; room: RoomFacts; currency: string }) {
  const say = useSay();
  const palette = usePalette();
  const { units } = room;
  const signed = (mm: number) => `${mm > 0 ? '+' : ''}${formatGap(mm, units)}`;
  const step = (i: number) => (option: Option) => {
    const mm = option.steps[i]!.stepMm;
    return mm === null ? '?' : signed(mm);
  };
  const rows: { label: string; of: (option: Option) => string }[] = [
    { label: 'May it be?', of: (o) => (o.allowed ? 'yes' : o.stopped ? 'gate shut' : 'not here') },
    { label: `New level, ${unitLabel(units)}`, of: (o) => signed(o.levelMm) },
    ...options[0]!.steps.map((s, i) => ({ label: `Step, ${say(s.name)}`, of: step(i) })),
    { label: 'Hours', of: (o) => hoursWords(o.hours) },
    { label: 'Debris', of: (o) => (o.debrisKg > 0 ? formatMass(o.debrisKg, units) : 'none') },
    { label: 'Dust', of: (o) => o.dust },
    { label: 'Cost', of: (o) => moneyWords(o.cost, currency) },
  ];
  return (
    <View role="table" accessibilityLabel="Side by side">
      <View role="row" style={styles.row}>
        <View role="columnheader" style={styles.label}>
          <Words size="small" quiet>
            {' '}
          </Words>
        </View>
        {options.map((o) => (
          <View key={o.choice} role="columnheader" style={styles.cell}>
            <Words size="small" bold>
              {SHORT[o.choice]}
            </Words>
          </View>
        ))}
      </View>
      {rows.map((row) => (
        <View key={row.label} role="row" style={[styles.row, { borderColor: palette.rule, borderTopWidth: 1 }]}>
          <View role="rowheader" style={styles.label}>
            <Words size="small" quiet>
              {row.label}
            </Words>
          </View>
          {options.map((o) => (
            <View key={o.choice} role="cell" style={styles.cell}>
              <Words
                size="small"
                figure
                color={o.stopped ? palette.verdict.stop : o.allowed ? palette.ink : palette.quiet}
              >
                {row.of(o)}
              </Words>
            </View>
          ))}
        </View>
      ))}
    </View>
  );
}

const SHORT: Record<Decision, string> = { keep: 'Keep', 'make-good': 'Make good', remove: 'Take up' };

/** One of the three in words, and the way to choose it. */
function OptionBlock({
  option,
  currency,
  chosen,
  suggested,
  off,
  onChoose,
}: {
  option: Option;
  currency: string;
  chosen: boolean;
  suggested: boolean;
  off: string | null;
  onChoose: () => void;
}) {
  const say = useSay();
  const palette = usePalette();
  const words = [
    option.flat,
    option.damp,
    ...(option.hireWords.length > 0 ? [`Hire: ${option.hireWords.map(say).join(', ')}.`] : []),
    option.risk,
  ];
  return (
    <View
      style={[styles.option, { borderColor: chosen ? palette.chalk : palette.rule, borderWidth: chosen ? 2 : 1 }]}
      testID={`option-${option.choice}`}
    >
      {option.refusals.map((refusal) => (
        <Words key={say(refusal)} size="small" color={option.stopped ? palette.verdict.stop : palette.ink}>
          {say(refusal).endsWith('.') ? say(refusal) : `${say(refusal)}.`}
        </Words>
      ))}
      {option.allowed ? <Words size="small">{words.map(say).join(' ')}</Words> : null}
      {option.allowed
        ? option.offers.map((offer) => (
            <Words key={say(offer.words)} size="small">
              {`${offer.first ? '' : 'Or: '}${say(offer.words)}, ${moneyWords(offer.cost, currency)}${offer.first ? ' (in the cost)' : ''}.`}
            </Words>
          ))
        : null}
      <Button
        label={`${chosen ? 'Chosen: ' : ''}${say(CHOICE_WORDS[option.choice])}${suggested && !chosen ? ' (suggested)' : ''}`}
        selected={chosen}
        off={off ?? (option.allowed ? null : say(option.refusals[0] ?? ''))}
        onPress={onChoose}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: 20 },
  layer: { borderTopWidth: 2, paddingTop: SPACE.part, gap: SPACE.gap },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.part },
  grow: { flex: 1 },
  options: { gap: SPACE.gap },
  option: { padding: SPACE.part, gap: SPACE.gap },
  row: { flexDirection: 'row', gap: 6, paddingVertical: 5 },
  label: { flex: 1.25 },
  cell: { flex: 1 },
  school: { gap: SPACE.near },
});
