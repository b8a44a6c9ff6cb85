import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import {
  CARD_RANGES,
  findCard,
  isShipped,
  LONGEST_RUN_M,
  RULE_EDGE_MM,
  RULE_GAP_MM,
  ruleWords,
  STEP_MM,
  type CardFigure,
  type CoveringCard,
} from '@maquette/core/coverings';
import { bodyOf } from '@maquette/facts';
import { useBook } from '../data/use-facts.ts';
import { write } from '../data/write.ts';
import { Header } from '../room/header.tsx';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { Choice } from '../ui/choice.tsx';
import { Field } from '../ui/field.tsx';
import { Words } from '../ui/text.tsx';
import { useFollowing } from '../ui/use-following.ts';
import { UndoBar } from '../room/undo-bar.tsx';
import { useSay } from '../ui/shown-in.tsx';

interface FigureProps {
  label: string;
  value: number | null;
  unit: string;
  range: { min: number; max: number };
  locked: boolean;
  /** Whether the field may be left empty. */
  optional?: boolean;
  onTaken: (value: number | null) => void;
}

/** One figure of a card, kept as typed until it can be taken. */
function Figure({ label, value, unit, range, locked, optional = false, onTaken }: FigureProps) {
  const [text, setText] = useFollowing(value === null ? '' : String(value));
  const [problem, setProblem] = useState<string | null>(null);
  if (locked) return <Words figure>{`${label}: ${value === null ? 'none named' : `${value} ${unit}`}`}</Words>;
  const take = () => {
    if (optional && text.trim() === '') return value === null ? undefined : onTaken(null);
    const next = Number(text.replace(',', '.'));
    if (text.trim() === '' || !Number.isFinite(next) || next < range.min || next > range.max)
      return setProblem(
        `${text.trim() || 'Empty'}: ${range.min} to ${range.max} ${unit} is taken${optional ? ', or nothing' : ''}`,
      );
    setProblem(null);
    return next === value ? undefined : onTaken(next);
  };
  return <Field label={label} value={text} unit={unit} figures onChange={setText} onDone={take} problem={problem} />;
}

/** One card, figure by figure. */
export function CardScreen({ cardId }: { cardId: string }) {
  const say = useSay();
  const palette = usePalette();
  const router = useRouter();
  const book = useBook();
  const card = findCard(book.cards, cardId);
  const [name, setName] = useFollowing(card?.name ?? '');
  const [source, setSource] = useFollowing(card?.source ?? '');
  const back = () => (router.canGoBack() ? router.back() : router.replace('/cards'));
  if (!card) return <Header title={book.loading ? 'Opening …' : 'No such card'} onBack={back} />;
  const locked = isShipped(card.id);
  const change = (part: Partial<CoveringCard>) =>
    void write('Card changed', [{ kind: 'cards', id: card.id, body: { ...bodyOf(card), ...part } }]);
  return (
    <View style={[styles.screen, { backgroundColor: palette.sheet }]}>
      <Header title={card.name} onBack={back} />
      <ScrollView role="main" contentContainerStyle={styles.list}>
        {locked ? (
          <Words>This card ships with Maquette and stays as it is. Copy it to change its figures.</Words>
        ) : (
          <Field
            label="Name"
            value={name}
            onChange={setName}
            onDone={() => (name.trim() && name !== card.name ? change({ name: name.trim() }) : undefined)}
          />
        )}
        <Words bold>Flatness: all of these hold</Words>
        {card.rules.map((rule, index) => (
          <View key={index} style={styles.pair}>
            <Figure
              label={`Rule ${index + 1}, gap`}
              value={rule.gapMm}
              unit="mm"
              range={RULE_GAP_MM}
              locked={locked}
              onTaken={(gapMm) =>
                change({ rules: card.rules.map((r, i) => (i === index ? { ...r, gapMm: gapMm! } : r)) })
              }
            />
            <Figure
              label={`Rule ${index + 1}, edge`}
              value={rule.edgeMm}
              unit="mm"
              range={RULE_EDGE_MM}
              locked={locked}
              onTaken={(edgeMm) =>
                change({ rules: card.rules.map((r, i) => (i === index ? { ...r, edgeMm: edgeMm! } : r)) })
              }
            />
            {!locked && card.rules.length > 1 ? (
              <Button
                label="Drop"
                hint={say(ruleWords(rule))}
                onPress={() => change({ rules: card.rules.filter((_, i) => i !== index) })}
              />
            ) : null}
          </View>
        ))}
        {!locked && card.rules.length < 6 ? (
          <Button label="Add a rule" onPress={() => change({ rules: [...card.rules, { gapMm: 3, edgeMm: 1000 }] })} />
        ) : null}
        <Figure
          label="No step over"
          value={card.stepMm}
          unit="mm"
          range={STEP_MM}
          locked={locked}
          optional
          onTaken={(stepMm) => change({ stepMm })}
        />
        {locked ? (
          <Words>{card.attachedPad ? 'Attached pad' : 'No attached pad'}</Words>
        ) : (
          <Choice
            label="Pad"
            inline
            value={card.attachedPad ? 'yes' : 'no'}
            options={[
              { value: 'yes', label: 'Attached' },
              { value: 'no', label: 'None' },
            ]}
            onChange={(value) => change({ attachedPad: value === 'yes' })}
          />
        )}
        {(Object.keys(CARD_RANGES) as CardFigure[]).map((field) => (
          <Figure
            key={field}
            label={say(CARD_RANGES[field].words)}
            value={card[field]}
            unit={CARD_RANGES[field].unit}
            range={CARD_RANGES[field]}
            locked={locked}
            onTaken={(value) => change({ [field]: value! })}
          />
        ))}
        <Figure
          label="Longest run without a joint"
          value={card.longestRunM}
          unit="m"
          range={LONGEST_RUN_M}
          locked={locked}
          optional
          onTaken={(longestRunM) => change({ longestRunM })}
        />
        {locked ? (
          <Words quiet>{card.source}</Words>
        ) : (
          <Field
            label="Where these figures come from"
            value={source}
            onChange={setSource}
            onDone={() => (source !== card.source ? change({ source: source.slice(0, 300) }) : undefined)}
          />
        )}
        {!locked ? (
          <ButtonRow>
            <Button
              label="Remove this card"
              onPress={() => {
                if (
                  !globalThis.confirm(
                    `Remove ${card.name}? Rooms that use it will ask for another. Undo brings it back.`,
                  )
                )
                  return;
                void write(`${card.name} removed`, [{ kind: 'cards', id: card.id, body: bodyOf(card), deleted: true }]);
                back();
              }}
            />
          </ButtonRow>
        ) : null}
      </ScrollView>
      <UndoBar />
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1 },
  list: { padding: SPACE.edge, gap: SPACE.edge, width: '100%', maxWidth: 700, alignSelf: 'center' },
  pair: { flexDirection: 'row', gap: SPACE.part, flexWrap: 'wrap', alignItems: 'flex-end' },
});
