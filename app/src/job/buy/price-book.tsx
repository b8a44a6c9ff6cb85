import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { bodyOf } from '@maquette/facts';
import { newId } from '../../data/ids.ts';
import { rules } from '../../data/rules.ts';
import { saveText } from '../../data/save-text.ts';
import type { ShownBook } from '../../data/use-facts.ts';
import { write, type Change } from '../../data/write.ts';
import { fileFormats } from '../../files/formats.ts';
import { useTextFile } from '../../files/use-text-file.tsx';
import { SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { counted } from '../../ui/counted.ts';
import { FileFindings } from '../../ui/file-findings.tsx';
import { Words } from '../../ui/text.tsx';

interface Found {
  name: string;
  changes: Change[];
  problems: { line: number; text: string; reason: string }[];
}

/** One's own prices as a table, out to a spreadsheet and in again. */
export function PriceBook({ jobId, prices }: { jobId: string; prices: ShownBook['prices'] }) {
  const textFile = useTextFile();
  const [found, setFound] = useState<Found | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const saveBook = async () => {
    const { tableOf } = await fileFormats();
    const rows = prices.map((fact) => ({ id: fact.id, roomId: null, body: bodyOf(fact) as Record<string, unknown> }));
    saveText('price-book.csv', 'text/csv', tableOf('prices', rows));
  };
  const bring = async () => {
    let name = 'The file';
    try {
      const file = await textFile.choose('.csv,text/csv');
      if (!file) return;
      name = file.name;
      const [{ readTable }, check] = await Promise.all([fileFormats(), rules.fetch()]);
      const read = readTable(file.text, check);
      if (read.kind !== 'prices') {
        setSaid(`${name} is a table of ${read.kind}, not of prices: its first column is to be called prices.`);
        return;
      }
      const ids = new Set(prices.map(({ id }) => id));
      const seen = new Set<string>();
      const problems = read.problems.map(({ line, field, value, message }) => ({
        line,
        text: '',
        reason: `${field}: ${String(value)} ${String(message)}`,
      }));
      const changes = read.rows.flatMap((row): Change[] => {
        const twice = row.id !== '' && seen.has(row.id);
        const isElsewhere = row.body['jobId'] !== jobId;
        const strange = row.id !== '' && !isElsewhere && !ids.has(row.id);
        seen.add(row.id);
        if (twice || strange) {
          problems.push({
            line: row.line,
            text: '',
            reason: twice
              ? `${row.id} stands in the table twice`
              : `there is no price ${row.id}: leave the id empty for a new one`,
          });
          return [];
        }
        // A book that was saved in another job is this job's from now on.
        return [
          { kind: 'prices', id: isElsewhere ? newId() : row.id || newId(), body: { ...row.body, jobId } } as Change,
        ];
      });
      setFound({ name, changes, problems });
      setSaid(null);
    } catch (error) {
      setSaid(`${name} was not taken. ${error instanceof Error ? error.message : String(error)}`);
    }
  };
  const take = async ({ name, changes }: Found) => {
    const result = await write(`${name} brought in`, changes);
    if (result.ok) setFound(null);
    setSaid(
      result.ok
        ? `${counted(changes.length, 'price')} taken from ${name}. Undo takes them back.`
        : result.problems.map(({ field, message }) => `${field} ${String(message)}`).join('; '),
    );
  };
  return (
    <View style={styles.box}>
      <Words size="small" quiet>
        Prices of your own stand before the usual ones in this job; saved as a table they go into the next one. A line
        each: product, pack, price, whether tax is in it, supplier and day. Put one in at a line of the bill, or bring
        in a table.
      </Words>
      <ButtonRow>
        <Button label="Save the price book (CSV)" onPress={() => void saveBook()} />
        <Button label="Bring in prices (CSV)" onPress={() => void bring()} />
      </ButtonRow>
      {textFile.status}
      {found ? (
        <FileFindings
          found={`${found.name}: ${counted(found.changes.length, 'price')} to take`}
          problems={found.problems}
          missing={[]}
          onTake={found.changes.length > 0 ? () => void take(found) : null}
          onDrop={() => setFound(null)}
        />
      ) : null}
      {said ? <Words role="status">{said}</Words> : null}
    </View>
  );
}

const styles = StyleSheet.create({ box: { gap: SPACE.gap } });
