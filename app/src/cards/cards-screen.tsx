import { ScrollView, StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import { ruleWords, SHIPPED_CARDS, strictness, type CoveringCard, isShipped } from '@maquette/core/coverings';
import { CardFiles } from './card-files.tsx';
import { newId } from '../data/ids.ts';
import { bodyOf } from '@maquette/facts';
import { useBook } from '../data/use-facts.ts';
import { write } from '../data/write.ts';
import { Header } from '../room/header.tsx';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { Words } from '../ui/text.tsx';
import { UndoBar } from '../room/undo-bar.tsx';
import { useSay } from '../ui/shown-in.tsx';

/** A copy's body: everything but the id, under a name of its own. */
function copyOf(card: CoveringCard): Omit<CoveringCard, 'id'> {
  return {
    ...bodyOf(card),
    rules: card.rules.map((rule) => ({ ...rule })),
    name: `${card.name}, my copy`.slice(0, 80),
    source: `Copied from “${card.name}”. Write here whose sheet the figures come from.`,
  };
}

/** Cards that ship and cards of one's own. */
export function CardsScreen() {
  const say = useSay();
  const palette = usePalette();
  const router = useRouter();
  const book = useBook();
  const own = book.cards;
  const copy = async (card: CoveringCard) => {
    const id = newId();
    const body = copyOf(card);
    const result = await write(`${body.name} added`, [{ kind: 'cards', id, body }]);
    if (result.ok) router.push(`/cards/${id}`);
  };
  return (
    <View style={[styles.screen, { backgroundColor: palette.sheet }]}>
      <Header
        title="Covering cards"
        backLabel="Back"
        onBack={() => (router.canGoBack() ? router.back() : router.replace('/'))}
      />
      <ScrollView role="main" contentContainerStyle={styles.list}>
        <Words>
          A card holds what the covering’s sheet asks of the floor. Shipped cards are generic: copy one and write in the
          maker’s figures.
        </Words>
        <ButtonRow>
          <Button label="Underlays, films, membranes, panels" onPress={() => router.push('/cards/under')} />
        </ButtonRow>
        <CardFiles kind="cards" />
        {[...own, ...SHIPPED_CARDS].map((card) => (
          <View key={card.id} style={[styles.card, { borderColor: palette.rule }]}>
            <Words bold size="large">
              {card.name}
            </Words>
            <Words
              figure
            >{`${card.rules.map((rule) => say(ruleWords(rule))).join(' and ')}${card.stepMm === null ? '' : ` · no step over ${card.stepMm} mm`} · ${Math.round(Math.min(...card.rules.map(strictness)) * 10) / 10} mm/m²`}</Words>
            <Words size="small" quiet>
              {card.source}
            </Words>
            <ButtonRow>
              <Button
                label={isShipped(card.id) ? 'See' : 'Edit'}
                hint={card.name}
                onPress={() => router.push(`/cards/${card.id}`)}
              />
              <Button label="Copy" hint={card.name} onPress={() => void copy(card)} />
            </ButtonRow>
          </View>
        ))}
      </ScrollView>
      <UndoBar />
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1 },
  list: { padding: SPACE.edge, gap: SPACE.edge, width: '100%', maxWidth: 800, alignSelf: 'center' },
  card: { borderTopWidth: 1, paddingTop: SPACE.part, gap: SPACE.near },
});
