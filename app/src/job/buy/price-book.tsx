import { StyleSheet, View } from 'react-native';
import { bodyOf } from '@maquette/facts';
import { newId } from '../../data/ids.ts';
import type { ShownBook } from '../../data/use-facts.ts';
import { useSaveFile } from '../../files/use-save-file.ts';
import { SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { fetched } from '../../ui/fetched.tsx';
import { Words } from '../../ui/text.tsx';
import { takePrices } from './take-prices.ts';

const BringIn = fetched(() => import('../../files/bring-in.tsx').then((part) => part.BringIn));

/** One's own prices as a table, out to a spreadsheet and in again. */
export function PriceBook({ jobId, prices }: { jobId: string; prices: ShownBook['prices'] }) {
  const { save, failed } = useSaveFile();
  const rows = () =>
    prices.map((fact) => ({ id: fact.id, roomId: null, body: bodyOf(fact) as Record<string, unknown> }));
  return (
    <View style={styles.box}>
      <Words size="small" quiet>
        Prices of your own stand before the usual ones in this job; saved as a table they go into the next one. A line
        each: product, pack, price, whether tax is in it, supplier and day. Put one in at a line of the bill, or bring
        in a table.
      </Words>
      <ButtonRow>
        <Button
          label="Save the price book (CSV)"
          onPress={() => save('price-book.csv', 'text/csv', ({ tableOf }) => tableOf('prices', rows()))}
        />
      </ButtonRow>
      {failed ? <Words role="alert">{failed}</Words> : null}
      <BringIn
        label="Bring in prices (CSV)"
        accept=".csv,text/csv"
        noun="price"
        read={(text, { readTable }, check) =>
          takePrices(readTable(text, check), { jobId, ids: prices.map(({ id }) => id), newId })
        }
      />
    </View>
  );
}

const styles = StyleSheet.create({ box: { gap: SPACE.gap } });
