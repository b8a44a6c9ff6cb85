import { ScrollView, StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import { allUnder } from '@maquette/core/under/cards';
import { bodyOf, KINDS } from '@maquette/facts';
import { useUnits } from '../data/device-settings.ts';
import { useBook } from '../data/use-facts.ts';
import { write } from '../data/write.ts';
import { Header } from '../room/header.tsx';
import { UndoBar } from '../room/undo-bar.tsx';
import { SPACE, usePalette } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { ShownIn } from '../ui/shown-in.tsx';
import { Words } from '../ui/text.tsx';
import { cardChange } from './card-change.ts';
import { CardFields } from './card-fields.tsx';
import { FIELD_WORDS, KIND_WORDS, UNDER_KINDS } from './under-card-words.ts';

/** One card of what lies under planks, field by field. */
export function UnderCardScreen({ cardId }: { cardId: string }) {
  const router = useRouter();
  const palette = usePalette();
  const [units] = useUnits();
  const book = useBook();
  const all = allUnder(book);
  const back = () => (router.canGoBack() ? router.back() : router.replace('/cards/under'));
  const kind = UNDER_KINDS.find((one) => all[one].some(({ id }) => id === cardId));
  const card = kind && all[kind].find(({ id }) => id === cardId);
  if (!kind || !card) return <Header title={book.loading ? 'Opening …' : 'No such card'} onBack={back} />;
  const own = book[kind].find(({ id }) => id === cardId);
  const remove = () => {
    if (
      !own ||
      !globalThis.confirm(`Remove ${card.name}? Rooms that use it will ask for another. Undo brings it back.`)
    )
      return;
    void write(`${card.name} removed`, [cardChange(kind, cardId, bodyOf(own), true)]);
    back();
  };
  return (
    <ShownIn units={units}>
      <View style={[styles.screen, { backgroundColor: palette.sheet }]}>
        <Header above={KIND_WORDS[kind].one} title={card.name} onBack={back} />
        <ScrollView role="main" contentContainerStyle={styles.list}>
          {own ? null : <Words>This card ships with Maquette and stays as it is. Copy it to change its figures.</Words>}
          <CardFields
            fields={KINDS[kind].fields}
            words={FIELD_WORDS}
            card={card}
            locked={!own}
            change={(part) => write('Card changed', [cardChange(kind, cardId, { ...bodyOf(own ?? card), ...part })])}
          />
          {own ? (
            <ButtonRow>
              <Button label="Remove this card" onPress={remove} />
            </ButtonRow>
          ) : null}
        </ScrollView>
        <UndoBar />
      </View>
    </ShownIn>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1 },
  list: { padding: SPACE.edge, gap: SPACE.edge, width: '100%', maxWidth: 700, alignSelf: 'center' },
});
