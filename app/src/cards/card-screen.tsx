import { ScrollView, StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import {
  CARD_RANGES,
  findCard,
  isShipped,
  RULE,
  ruleWords,
  type CardFigure,
  type CoveringCard,
} from '@maquette/core/coverings';
import { filled, only } from '@maquette/core/fields';
import { bodyOf, KINDS } from '@maquette/facts';
import { useUnits } from '../data/device-settings.ts';
import type { Written } from '../data/history.ts';
import { useBook } from '../data/use-facts.ts';
import { write } from '../data/write.ts';
import { FactField } from '../form/fact-field.tsx';
import { useFactForm } from '../form/fact-form.ts';
import { valueWords } from '../form/value-words.ts';
import { Header } from '../room/header.tsx';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { Choice } from '../ui/choice.tsx';
import { LayingFields } from './laying-fields.tsx';
import { UnderPlanksFields } from './under-planks-fields.tsx';
import { Words } from '../ui/text.tsx';
import { UndoBar } from '../room/undo-bar.tsx';
import { useSay } from '../ui/shown-in.tsx';

const FIGURES = Object.keys(CARD_RANGES) as CardFigure[];
const CARD_FIELDS = {
  ...only(KINDS.cards.fields, 'source', 'stepMm', 'longestRunM', 'costM2', ...FIGURES),
  name: filled(KINDS.cards.fields.name),
};

type Change = (part: Partial<CoveringCard>) => Promise<Written>;

/** One rule of a card: its gap under its edge. */
function RuleLine({ card, index, change }: { card: CoveringCard; index: number; change: Change }) {
  const say = useSay();
  const [units] = useUnits();
  const rule = card.rules[index]!;
  const form = useFactForm(RULE, rule, units, (part) =>
    change({ rules: card.rules.map((r, i) => (i === index ? { ...r, ...part } : r)) }),
  );
  return (
    <View style={styles.pair}>
      <FactField form={form} name="gapMm" label={`Rule ${index + 1}, gap`} />
      <FactField form={form} name="edgeMm" label={`Rule ${index + 1}, edge`} />
      {card.rules.length > 1 ? (
        <Button
          label="Drop"
          style={styles.drop}
          hint={say(ruleWords(rule))}
          onPress={() => void change({ rules: card.rules.filter((_, i) => i !== index) })}
        />
      ) : null}
    </View>
  );
}

/** One card, figure by figure. */
export function CardScreen({ cardId }: { cardId: string }) {
  const router = useRouter();
  const book = useBook();
  const card = findCard(book.cards, cardId);
  const back = () => (router.canGoBack() ? router.back() : router.replace('/cards'));
  if (!card) return <Header title={book.loading ? 'Opening …' : 'No such card'} onBack={back} />;
  return <Card card={card} back={back} />;
}

function Card({ card, back }: { card: CoveringCard; back: () => void }) {
  const say = useSay();
  const palette = usePalette();
  const [units] = useUnits();
  const locked = isShipped(card.id);
  const change: Change = (part) =>
    write('Card changed', [{ kind: 'cards', id: card.id, body: { ...bodyOf(card), ...part } }]);
  const form = useFactForm(CARD_FIELDS, card, units, change);
  const figure = (name: CardFigure | 'stepMm' | 'longestRunM' | 'costM2', label: string) =>
    locked ? (
      <Words key={name} figure>
        {`${label}: ${card[name] === null ? 'none named' : valueWords(card[name], CARD_FIELDS[name], units)}`}
      </Words>
    ) : (
      <FactField key={name} form={form} name={name} label={label} />
    );
  return (
    <View style={[styles.screen, { backgroundColor: palette.sheet }]}>
      <Header title={card.name} onBack={back} />
      <ScrollView role="main" contentContainerStyle={styles.list}>
        {locked ? (
          <Words>This card ships with Maquette and stays as it is. Copy it to change its figures.</Words>
        ) : (
          <FactField form={form} name="name" label="Name" />
        )}
        <Words bold>Flatness: all of these hold</Words>
        {card.rules.map((rule, index) =>
          locked ? (
            <Words key={index} figure>{`Rule ${index + 1}: ${say(ruleWords(rule))}`}</Words>
          ) : (
            <RuleLine key={index} card={card} index={index} change={change} />
          ),
        )}
        {!locked && card.rules.length < 6 ? (
          <Button
            label="Add a rule"
            onPress={() => void change({ rules: [...card.rules, { gapMm: 3, edgeMm: 1000 }] })}
          />
        ) : null}
        {figure('stepMm', 'No step over')}
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
            onChange={(value) => void change({ attachedPad: value === 'yes' })}
          />
        )}
        {FIGURES.map((name) => figure(name, say(CARD_RANGES[name].words)))}
        {figure('longestRunM', 'Longest run without a joint')}
        {figure('costM2', 'Cost of a square metre, laid')}
        <UnderPlanksFields card={card} locked={locked} change={change} />
        <LayingFields card={card} locked={locked} change={change} />
        {locked ? (
          <Words quiet>{card.source}</Words>
        ) : (
          <FactField form={form} name="source" label="Where these figures come from" />
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
  pair: { flexDirection: 'row', gap: SPACE.part, flexWrap: 'wrap', alignItems: 'flex-start' },
  drop: { alignSelf: 'flex-end' },
});
