import { StyleSheet, View } from 'react-native';
import { SHIPPED_CARDS } from '@maquette/core/coverings';
import { allUnder } from '@maquette/core/under/cards';
import { bodyOf } from '@maquette/facts';
import type { CardKind } from '@maquette/facts/card-file';
import { newId } from '../data/ids.ts';
import { useBook } from '../data/use-facts.ts';
import type { Change } from '../data/write.ts';
import { lineProblem } from '../files/line-problem.ts';
import { useSaveFile } from '../files/use-save-file.ts';
import { SPACE } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { fetched } from '../ui/fetched.tsx';
import { Fold } from '../ui/fold.tsx';
import { Words } from '../ui/text.tsx';

const BringIn = fetched(() => import('../files/bring-in.tsx').then((part) => part.BringIn));

/** Cards of a kind as files, out and in: JSON and CSV, each figure with its unit. */
export function CardFiles({ kind }: { kind: CardKind }) {
  const book = useBook();
  const { save, failed } = useSaveFile();
  const cards: readonly object[] = kind === 'cards' ? [...book.cards, ...SHIPPED_CARDS] : allUnder(book)[kind];
  const plain = cards.map((card) => {
    const { id: _, ...body } = bodyOf(card) as { id?: string };
    return body;
  });
  return (
    <Fold title="Files of cards" aside="JSON, CSV">
      <View style={styles.box}>
        <Words size="small">
          Each figure stands with its unit. A file may give lengths in millimetres, centimetres, metres, inches or feet.
        </Words>
        <ButtonRow>
          <Button
            label="Save as JSON"
            onPress={() => save(`${kind}.json`, 'application/json', ({ cardsJson }) => cardsJson(kind, plain))}
          />
          <Button
            label="Save as CSV"
            onPress={() => save(`${kind}.csv`, 'text/csv', ({ cardsCsv }) => cardsCsv(kind, plain))}
          />
        </ButtonRow>
        {failed ? <Words role="alert">{failed}</Words> : null}
        <BringIn
          label="Bring in cards"
          accept=".csv,.json,text/csv,application/json"
          noun="card"
          read={(text, { readCards }, check) => {
            const read = readCards(text, check);
            return {
              changes: read.cards.map(({ body }) => ({ kind: read.kind, id: newId(), body }) as Change),
              problems: read.problems.map(lineProblem),
            };
          }}
        />
      </View>
    </Fold>
  );
}

const styles = StyleSheet.create({ box: { gap: SPACE.part } });
