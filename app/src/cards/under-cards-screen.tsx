import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import { allUnder } from '@maquette/core/under/cards';
import { bodyOf } from '@maquette/facts';
import { useUnits } from '../data/device-settings.ts';
import { newId } from '../data/ids.ts';
import { useBook } from '../data/use-facts.ts';
import { write } from '../data/write.ts';
import { Header } from '../room/header.tsx';
import { UndoBar } from '../room/undo-bar.tsx';
import { SPACE, usePalette } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { ShownIn } from '../ui/shown-in.tsx';
import { tabParts, Tabs } from '../ui/tabs.tsx';
import { Words } from '../ui/text.tsx';
import { cardChange } from './card-change.ts';
import { CardFiles } from './card-files.tsx';
import { figuresLine, KIND_WORDS, UNDER_KINDS, type UnderKind } from './under-card-words.ts';

/** Cards of underlays, films, membranes and panels: those that ship, and one’s own. */
export function UnderCardsScreen() {
  const palette = usePalette();
  const router = useRouter();
  const [units] = useUnits();
  const book = useBook();
  const [kind, setKind] = useState<UnderKind>('underlays');
  const own = book[kind];
  const copy = async (card: { id: string; name: string }) => {
    const id = newId();
    const { id: _, ...body } = bodyOf(card) as { id?: string };
    const name = `${card.name}, my copy`.slice(0, 80);
    const source = `Copied from “${card.name}”. Write here whose sheet the figures come from.`;
    const result = await write(`${name} added`, [cardChange(kind, id, { ...body, name, source })]);
    if (result.ok) router.push(`/cards/under/${id}`);
  };
  return (
    <ShownIn units={units}>
      <View style={[styles.screen, { backgroundColor: palette.sheet }]}>
        <Header
          title="What lies under planks"
          backLabel="Back"
          onBack={() => (router.canGoBack() ? router.back() : router.replace('/cards'))}
        />
        <ScrollView role="main" contentContainerStyle={styles.list}>
          <Words>
            A card holds what a sheet says of an underlay, a film, a membrane or a panel. Shipped cards are generic:
            copy one and write in the maker’s figures, or bring in a file of them.
          </Words>
          <Tabs
            label="Kinds of card"
            tabs={tabParts(
              UNDER_KINDS.map((one) => ({ tab: one, label: KIND_WORDS[one].several })),
              kind,
              setKind,
            )}
          />
          <CardFiles kind={kind} />
          {allUnder(book)[kind].map((card) => {
            const isOwn = own.some(({ id }) => id === card.id);
            return (
              <View key={card.id} style={[styles.card, { borderColor: palette.rule }]}>
                <Words bold size="large">
                  {card.name}
                </Words>
                <Words figure>{figuresLine(kind, card, units)}</Words>
                <Words size="small" quiet>
                  {card.source}
                </Words>
                <ButtonRow>
                  <Button
                    label={isOwn ? 'Edit' : 'See'}
                    hint={card.name}
                    onPress={() => router.push(`/cards/under/${card.id}`)}
                  />
                  <Button label="Copy" hint={card.name} onPress={() => void copy(card)} />
                </ButtonRow>
              </View>
            );
          })}
        </ScrollView>
        <UndoBar />
      </View>
    </ShownIn>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1 },
  list: { padding: SPACE.edge, gap: SPACE.edge, width: '100%', maxWidth: 800, alignSelf: 'center' },
  card: { borderTopWidth: 1, paddingTop: SPACE.part, gap: SPACE.near },
});
