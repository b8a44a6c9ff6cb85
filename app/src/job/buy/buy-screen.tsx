import { StyleSheet, View } from 'react-native';
import type { AnyFigureName } from '@maquette/core/figures/job';
import type { JobCourse } from '@maquette/core/planning';
import { useUnits } from '../../data/device-settings.ts';
import { useSaveFile } from '../../files/use-save-file.ts';
import { SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { counted } from '../../ui/counted.ts';
import { Fold } from '../../ui/fold.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { moreWords } from '../more-words.ts';
import { JobFigures } from '../job-figures.tsx';
import { JobFrame } from '../job-frame.tsx';
import { centsWords } from '@maquette/core/bill/money-words';
import { useCourse } from '../use-course.ts';
import { WhatIfs } from '../days/what-if-fold.tsx';
import { BillTable } from './bill-table.tsx';
import { PriceBook } from './price-book.tsx';
import { NextRun, Tools, Trips } from './trips.tsx';
import { Used } from './used.tsx';

const CHARGES: readonly AnyFigureName[] = [
  'labour-h',
  'travel-day',
  'travel-h',
  'run-cost',
  'van-kg',
  'van-l',
  'hire-trip',
  'hire-week-days',
  'grinder-day',
  'extractor-day',
  'hammer-day',
  'grinder-buy',
  'grinder-resale-pct',
  'toilet-hire-day',
  'sample-cost',
  'lab-cost',
  'licensed-cost',
  'repair-cost',
  'fixing-cost',
  'tape-cost-m',
  'primer-cost-l',
  'glue-cost-kg',
  'bar-cost-m',
  'ramp-cost-m',
  'disposal-kg',
  'waste-pct',
  'spare-pct',
  'fetch-early-days',
  'return-days',
];

/** What the whole job takes: one bill over all stages and rooms, the trips it needs, and what is carried. */
export function BuyScreen({ jobId }: { jobId: string }) {
  const shown = useCourse(jobId);
  const { book, job, course } = shown;
  const units = useUnits()[0];
  const currency = job?.currency ?? '';
  return (
    <JobFrame jobId={jobId} page="buy" shown={shown}>
      {course ? (
        <View style={styles.parts}>
          <NextRun course={course} units={units} />
          <Total course={course} currency={currency} />
          <View style={styles.folds}>
            <BillTable course={course} jobId={jobId} book={book} currency={currency} />
            <SaveBill course={course} name={job?.name ?? 'job'} />
            <Trips course={course} units={units} />
            <Fold title="Tools to take" aside={counted(course.bill.tools.length, 'day')}>
              <Tools course={course} />
            </Fold>
            <Used
              course={course}
              jobId={jobId}
              wasteId={book.figures.find((f) => f.jobId === jobId && f.name === 'waste-pct')?.id ?? null}
            />
            <Fold title="Alternatives" aside="by price and date">
              <WhatIfs shown={shown} course={course} currency={currency} />
            </Fold>
            <Fold title="Price book" aside={counted(book.prices.filter((one) => one.jobId === jobId).length, 'price')}>
              <PriceBook jobId={jobId} prices={book.prices.filter((one) => one.jobId === jobId)} />
            </Fold>
            <Fold title="Rates and charges">
              <JobFigures jobId={jobId} units={units} names={CHARGES} />
            </Fold>
          </View>
        </View>
      ) : null}
    </JobFrame>
  );
}

function Total({ course: { bill }, currency }: { course: JobCourse; currency: string }) {
  const { asStages, together, besides, cost } = bill.total;
  const unknown = bill.lines.filter(({ price }) => price.isUnknown).length;
  return (
    <View style={styles.next} testID="bill-total">
      <Words figure bold size="large">{`Cost ${centsWords(cost, currency)}`}</Words>
      <Words size="small" figure>
        {`${centsWords(asStages, currency)} as the stages reckon one by one, ${moreWords(together, currency)} bought, packed and hired together, ${centsWords(besides, currency)} travel and what else the job takes. Without margin and tax.`}
      </Words>
      {unknown > 0 ? (
        <Words role="alert">{`${counted(unknown, 'line')} without a price: put one in, or the job is priced too low.`}</Words>
      ) : null}
    </View>
  );
}

function SaveBill({ course: { bill }, name }: { course: JobCourse; name: string }) {
  const say = useSay();
  const { save, failed } = useSaveFile();
  return (
    <>
      <ButtonRow>
        <Button
          label="Save the bill (CSV)"
          onPress={() =>
            save(`${name.toLowerCase().replace(/\W+/g, '-')}-bill.csv`, 'text/csv', ({ billCsv }) =>
              billCsv(
                bill.lines.map((line) => ({
                  id: line.id,
                  what: say(line.what),
                  kind: line.kind,
                  unit: line.unit,
                  net: line.net,
                  gross: line.gross,
                  packs: line.packs?.count ?? null,
                  packHolds: line.packs?.holds ?? null,
                  eachCents: line.packs?.eachCents ?? null,
                  cents: line.cents,
                  supplier: line.price.supplier,
                  pricedOn: line.price.on,
                  firstDay: line.firstDay ?? '',
                  lastDay: line.lastDay ?? '',
                  kg: line.kg,
                })),
              ),
            )
          }
        />
      </ButtonRow>
      {failed ? <Words role="alert">{failed}</Words> : null}
    </>
  );
}

const styles = StyleSheet.create({
  parts: { gap: SPACE.edge, paddingTop: SPACE.part },
  next: { paddingHorizontal: SPACE.edge, gap: 2 },
  folds: { paddingHorizontal: SPACE.edge, gap: SPACE.gap },
});
