import { View } from 'react-native';
import type { JobCourse, ShownLine } from '@maquette/core/planning';
import { useUnits } from '../../data/device-settings.ts';
import type { ShownBook } from '../../data/use-facts.ts';
import { LongTable } from '../../ui/long-table.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { dayWords } from '../day-words.ts';
import { centsWords } from '@maquette/core/bill/money-words';
import { LineCard } from './line-card.tsx';
import { quantityWords } from './quantity-words.ts';

const KINDS: Record<ShownLine['kind'], string> = {
  material: 'to buy',
  labour: 'hours',
  hire: 'to hire',
  disposal: 'to take away',
  trade: 'another trade',
  travel: 'travel',
};

interface Props {
  course: JobCourse;
  jobId: string;
  book: ShownBook;
  currency: string;
}

const FIND_PX = 90;
const ROW_PX = 62;
const MOST_PX = 480;

/** The bill of the whole job, a line each: what is bought first, by the day it is needed. */
export function BillTable({ course: { bill, days }, jobId, book, currency }: Props) {
  const say = useSay();
  const units = useUnits()[0];
  const rank = ({ kind }: ShownLine) => ['material', 'hire', 'trade', 'disposal', 'labour', 'travel'].indexOf(kind);
  const lines = [...bill.lines].sort(
    (a, b) => rank(a) - rank(b) || ((a.firstDay ?? '9') < (b.firstDay ?? '9') ? -1 : 1),
  );
  const much = ({ packs, gross, unit }: ShownLine) =>
    packs
      ? `${packs.count} × ${quantityWords(packs.holds, unit, units)}`
      : gross > 0
        ? quantityWords(gross, unit, units)
        : '';
  const needed = ({ firstDay }: ShownLine) => (firstDay ? dayWords(firstDay, days.today) : '');
  const price = ({ cents, price: { isUnknown } }: ShownLine) => (isUnknown ? 'no price' : centsWords(cents, currency));
  return (
    // Its place is kept while the table is fetched: what lies below is not to move under a finger.
    <View style={{ minHeight: FIND_PX + Math.min(ROW_PX * lines.length, MOST_PX) }}>
      <LongTable
        label="Bill"
        rows={lines}
        rowKey={({ id }) => id}
        columns={[
          { id: 'what', header: 'What', value: (line) => say(line.what), share: 2.2 },
          { id: 'kind', header: 'Kind', value: (line) => KINDS[line.kind], share: 0.9 },
          { id: 'much', header: 'How much', value: much, share: 1.1 },
          { id: 'needed', header: 'Needed', value: (line) => line.firstDay ?? '', show: needed, share: 1 },
          { id: 'price', header: 'Cost', value: (line) => line.cents, show: price, share: 1 },
        ]}
        rowWords={(line) => `${say(line.what)}, ${KINDS[line.kind]}, ${much(line)}, ${price(line)}`}
        line={(line) => (
          <>
            <Words bold>{say(line.what)}</Words>
            <Words size="small" figure>
              {[much(line), price(line), needed(line) && `needed ${needed(line)}`].filter(Boolean).join(' · ')}
            </Words>
          </>
        )}
        details={(line) => <LineCard line={line} days={days} jobId={jobId} book={book} currency={currency} />}
      />
    </View>
  );
}
