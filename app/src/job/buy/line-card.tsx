import { StyleSheet, View } from 'react-native';
import { only } from '@maquette/core/fields';
import { stageWords, type JobCourse, type ShownLine } from '@maquette/core/planning';
import { bodyOf, KINDS, type BodyOf } from '@maquette/facts';
import { useUnits } from '../../data/device-settings.ts';
import { newId } from '../../data/ids.ts';
import type { ShownBook } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { FactField } from '../../form/fact-field.tsx';
import { useFactForm } from '../../form/fact-form.ts';
import { SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { moreWords } from '../more-words.ts';
import { dayWords } from '../day-words.ts';
import { centsWords } from '@maquette/core/bill/money-words';
import { quantityWords } from './quantity-words.ts';

interface Props {
  line: ShownLine;
  days: JobCourse['days'];
  jobId: string;
  book: ShownBook;
  currency: string;
}

/** Where a line of the bill comes from: which room and stage takes how much, how packs were counted, and its price. */
export function LineCard({ line, days, jobId, book, currency }: Props) {
  const say = useSay();
  const units = useUnits()[0];
  const room = (id: string) => days.rooms.find((one) => one.id === id)?.name ?? '';
  const { packs, price, shares, hire } = line;
  return (
    <View style={styles.box}>
      {shares.map((share) => (
        <Words key={`${share.roomId}/${share.stage}`} size="small" figure>
          {`${room(share.roomId)}, ${say(stageWords(share.stage)).toLowerCase()}: ${quantityWords(share.quantity, line.unit, units)}, ${centsWords(share.cents, currency)}${share.cents === share.asStageCents ? '' : ` (the stage by itself ${centsWords(share.asStageCents, currency)})`}`}
        </Words>
      ))}
      {packs ? (
        <Words size="small">
          {`${quantityWords(line.gross, line.unit, units)} in packs of ${quantityWords(packs.holds, line.unit, units)}: ${packs.count} at ${centsWords(packs.eachCents, currency)}.${packs.apart > packs.count ? ` Room by room it would be ${packs.apart}.` : ''}${line.gross > line.net + 1e-6 ? ` ${quantityWords(line.net, line.unit, units)} without waste.` : ''}`}
        </Words>
      ) : null}
      {hire
        ? hire.stretches.map(({ fromDay, toDay, cents }) => (
            <Words key={fromDay} size="small">
              {`Kept ${toDay === fromDay ? dayWords(days.days[fromDay]?.day ?? days.today, days.today) : `from ${dayWords(days.days[fromDay]?.day ?? days.today, days.today)} to ${dayWords(days.days[toDay]?.day ?? days.today, days.today)}`}: ${centsWords(cents, currency)} with bringing and fetching.`}
            </Words>
          ))
        : null}
      {hire?.buyCents != null ? (
        <Words size="small">
          {`Buying one comes to ${centsWords(hire.buyCents, currency)}, what it sells for afterwards taken off: ${moreWords(hire.buyCents - line.cents, currency)}.`}
        </Words>
      ) : null}
      {line.atHand > 0 ? <Words size="small">{`${line.atHand} of them are there already.`}</Words> : null}
      {line.isOneBatch ? (
        <Words size="small">All of it of one batch: ask for it when you order, and note it from the box.</Words>
      ) : null}
      {line.tooOldOn ? (
        <Words size="small" role="alert">
          {`It keeps to ${dayWords(line.tooOldOn, days.today)} and is used on ${dayWords(line.lastDay!, days.today)}: buy it later.`}
        </Words>
      ) : null}
      <Words size="small" quiet>
        {price.isUnknown
          ? 'Nobody has said what it costs: it stands at nothing until you put a price in.'
          : `Price: ${say(price.source)}${price.supplier ? `, ${price.supplier}` : ''}${price.on ? `, of ${dayWords(price.on, days.today)}` : ''}.`}
      </Words>
      {packs ? <OwnPrice line={line} jobId={jobId} book={book} currency={currency} /> : null}
      {packs && packs.count > 0 ? <Counted line={line} jobId={jobId} book={book} today={days.today} /> : null}
    </View>
  );
}

const PRICE = only(KINDS.prices.fields, 'price', 'pack', 'supplier', 'pricedOn', 'hasTax');

/** What a pack costs where one buys it: one's own price stands before the usual one. */
function OwnPrice({ line, jobId, book, currency }: Pick<Props, 'line' | 'jobId' | 'book' | 'currency'>) {
  const say = useSay();
  const held = book.prices.findLast((one) => one.jobId === jobId && one.productId === line.id);
  const packs = line.packs!;
  const body: BodyOf<'prices'> = held
    ? bodyOf(held)
    : {
        jobId,
        productId: line.id,
        name: say(line.what).slice(0, 120),
        unit: line.unit,
        pack: packs.holds,
        price: packs.eachCents / 100,
        hasTax: false,
        supplier: '',
        pricedOn: '',
        kg: packs.count > 0 ? line.kg / packs.count : 0,
        litres: packs.count > 0 ? line.litres / packs.count : 0,
        openedH: null,
        sealedDays: line.sealedDays,
        source: 'Own price',
      };
  const form = useFactForm(PRICE, body, 'metric', (part) =>
    write(`Price: ${body.name}`, [{ kind: 'prices', id: held?.id ?? newId(), body: { ...body, ...part } }]),
  );
  return (
    <Fold title="Own price" aside={held ? centsWords(Math.round(held.price * 100), currency) : 'none'}>
      <FactField form={form} name="price" label="A pack costs" />
      <FactField form={form} name="pack" label={`A pack holds${line.unit ? `, ${line.unit}` : ''}`} />
      <FactField form={form} name="supplier" label="Supplier" />
      <FactField form={form} name="pricedOn" label="Price of" hint="Day, such as 2026-11-29" />
      <ButtonRow>
        <Button
          label={body.hasTax ? 'Tax is in it' : 'Without tax'}
          selected={body.hasTax}
          onPress={() =>
            void write(`Price: ${body.name}`, [
              { kind: 'prices', id: held?.id ?? newId(), body: { ...body, hasTax: !body.hasTax } },
            ])
          }
        />
        {held ? (
          <Button
            label="Back to the usual price"
            onPress={() =>
              void write(`Price of ${body.name} taken out`, [
                { kind: 'prices', id: held.id, body: bodyOf(held), deleted: true },
              ])
            }
          />
        ) : null}
      </ButtonRow>
    </Fold>
  );
}

const COUNT = only(KINDS.packCounts.fields, 'bought', 'opened', 'boughtOn', 'batch', 'useBy');

/** What was bought and opened: the rest goes back, and the next estimate is made by it. */
function Counted({ line, jobId, book, today }: { line: ShownLine; jobId: string; book: ShownBook; today: string }) {
  const say = useSay();
  const held = book.packCounts.findLast((one) => one.jobId === jobId && one.productId === line.id);
  const body: BodyOf<'packCounts'> = held
    ? bodyOf(held)
    : {
        jobId,
        productId: line.id,
        boughtOn: today,
        bought: line.packs!.count,
        opened: 0,
        planned: line.packs!.count,
        batch: '',
        useBy: '',
        note: '',
      };
  const form = useFactForm(COUNT, body, 'metric', (part) =>
    write(`Packs: ${say(line.what)}`, [{ kind: 'packCounts', id: held?.id ?? newId(), body: { ...body, ...part } }]),
  );
  return (
    <Fold title="Bought and opened" aside={held ? `${held.bought} bought, ${held.opened} opened` : 'not yet'}>
      <FactField form={form} name="bought" label="Packs bought" />
      <FactField form={form} name="opened" label="Packs opened" />
      <FactField form={form} name="boughtOn" label="Bought on" hint="Day, such as 2026-11-29" />
      <FactField form={form} name="batch" label="Batch" hint="As it stands on the pack" />
      <FactField form={form} name="useBy" label="Use by" hint="Day on the pack, such as 2027-05-31" />
    </Fold>
  );
}

const styles = StyleSheet.create({ box: { gap: SPACE.near, paddingBottom: SPACE.gap } });
