import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { SHIPPED_CARDS } from '@maquette/core/coverings';
import { allUnder } from '@maquette/core/under/cards';
import { bodyOf } from '@maquette/facts';
import type { Sayable } from '@maquette/core/said';
import type { CardKind } from '@maquette/facts/card-file';
import { newId } from '../data/ids.ts';
import { rules } from '../data/rules.ts';
import { saveText } from '../data/save-text.ts';
import { useBook } from '../data/use-facts.ts';
import { write, type Change } from '../data/write.ts';
import { fileFormats } from '../files/formats.ts';
import { useTextFile } from '../files/use-text-file.tsx';
import { SPACE } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { counted } from '../ui/counted.ts';
import { FileFindings } from '../ui/file-findings.tsx';
import { Fold } from '../ui/fold.tsx';
import { Words } from '../ui/text.tsx';

interface Found {
  name: string;
  changes: Change[];
  problems: { line: number; text: string; reason: Sayable }[];
}

const reasonOf = (error: unknown) => (error instanceof Error ? error.message : String(error));

/** Cards of a kind as files, out and in: JSON and CSV, each figure with its unit. */
export function CardFiles({ kind }: { kind: CardKind }) {
  const book = useBook();
  const [found, setFound] = useState<Found | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const textFile = useTextFile();
  const cards: readonly object[] = kind === 'cards' ? [...book.cards, ...SHIPPED_CARDS] : allUnder(book)[kind];
  const plain = cards.map((card) => {
    const { id: _, ...body } = bodyOf(card) as { id?: string };
    return body;
  });
  const save = async (as: 'json' | 'csv') => {
    try {
      const formats = await fileFormats();
      saveText(
        `${kind}.${as}`,
        as === 'json' ? 'application/json' : 'text/csv',
        as === 'json' ? formats.cardsJson(kind, plain) : formats.cardsCsv(kind, plain),
      );
    } catch (error) {
      setSaid(reasonOf(error));
    }
  };
  const bring = async () => {
    let name = 'The file';
    try {
      const file = await textFile.choose('.csv,.json,text/csv,application/json');
      if (!file) return;
      name = file.name;
      const [{ readCards }, check] = await Promise.all([fileFormats(), rules.fetch()]);
      const read = readCards(file.text, check);
      setFound({
        name,
        changes: read.cards.map(({ body }) => ({ kind: read.kind, id: newId(), body }) as Change),
        problems: read.problems.map(({ line, field, value, message }) => ({
          line,
          text: `${field}: ${value === null || value === undefined ? 'nothing' : String(value)}`,
          reason: message,
        })),
      });
      setSaid(null);
    } catch (error) {
      setSaid(`${name} was not taken. ${reasonOf(error)}`);
    }
  };
  const take = async ({ name, changes }: Found) => {
    const result = await write(`${name} brought in`, changes);
    if (result.ok) setFound(null);
    setSaid(
      result.ok
        ? `${counted(changes.length, 'card')} taken from ${name}. Undo takes them back.`
        : result.problems.map((p) => `${p.field} ${p.message}`).join('; '),
    );
  };
  return (
    <Fold title="Files of cards" aside="JSON, CSV">
      <View style={styles.box}>
        <Words size="small">
          Each figure stands with its unit. A file may give lengths in millimetres, centimetres, metres, inches or feet.
        </Words>
        <ButtonRow>
          <Button label="Save as JSON" onPress={() => void save('json')} />
          <Button label="Save as CSV" onPress={() => void save('csv')} />
          <Button label="Bring in cards" onPress={() => void bring()} />
        </ButtonRow>
        {textFile.status}
        {found ? (
          <FileFindings
            found={`${found.name}: ${counted(found.changes.length, 'card')} to take`}
            problems={found.problems}
            missing={[]}
            onTake={found.changes.length > 0 ? () => void take(found) : null}
            onDrop={() => setFound(null)}
          />
        ) : null}
        {said ? <Words role="status">{said}</Words> : null}
      </View>
    </Fold>
  );
}

const styles = StyleSheet.create({ box: { gap: SPACE.part } });
