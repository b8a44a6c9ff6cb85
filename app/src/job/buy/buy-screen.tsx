import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { AnyFigureName } from '@maquette/core/figures/job';
import type { JobCourse } from '@maquette/core/planning';
import { formatArea, formatBulk, formatMass, type UnitSystem } from '@maquette/core/units';
import { useUnits } from '../../data/device-settings.ts';
import { newId } from '../../data/ids.ts';
import { write } from '../../data/write.ts';
import { useSaveFile } from '../../files/use-save-file.ts';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { counted } from '../../ui/counted.ts';
import { Fold } from '../../ui/fold.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { dayWords } from '../day-words.ts';
import { JobFigures } from '../job-figures.tsx';
import { JobFrame } from '../job-frame.tsx';
import { centsWords, moreWords } from '../money.ts';
import { useCourse } from '../use-course.ts';
import { WhatIfs } from '../days/what-if-fold.tsx';
import { BillTable } from './bill-table.tsx';
import { PriceBook } from './price-book.tsx';

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
            <Runs course={course} units={units} />
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

/** What is fetched next, and when. */
function NextRun({ course: { bill, days }, units }: { course: JobCourse; units: UnitSystem }) {
  const say = useSay();
  const next = bill.runs[0];
  if (!next)
    return (
      <View style={styles.next}>
        <Words bold size="large">
          Nothing is left to buy
        </Words>
      </View>
    );
  return (
    <View style={styles.next} testID="next-run">
      <Words size="small" quiet>
        Fetch next
      </Words>
      <Words bold size="title">
        {`Before ${dayWords(next.byDay, days.today)}`}
      </Words>
      <Words figure>{`${next.supplier || 'Any merchant'} · ${formatMass(next.kg, units)}`}</Words>
      {next.load.map(({ what, packs }, k) => (
        <Words key={k} figure>{`${packs} × ${say(what)}`}</Words>
      ))}
    </View>
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

function Runs({ course: { bill, days }, units }: { course: JobCourse; units: UnitSystem }) {
  const say = useSay();
  const palette = usePalette();
  return (
    <Fold title="Trips and carrying" aside={counted(bill.runs.length, 'trip')}>
      {bill.runs.map((run, k) => (
        <View key={k} style={[styles.run, { borderColor: palette.rule }]}>
          <Words
            bold
          >{`Trip ${k + 1}, before ${dayWords(run.byDay, days.today)}: ${run.supplier || 'any merchant'}`}</Words>
          <Words size="small" figure>
            {`${formatMass(run.kg, units)}, ${formatBulk(run.litres / 1000, units)} in the van: ${run.load.map(({ what, packs }) => `${packs} × ${say(what)}`).join(', ')}`}
          </Words>
        </View>
      ))}
      {bill.least.map(({ supplier, trips, isMet }) => (
        <Words key={supplier} size="small" quiet>
          {`${supplier || 'Any merchant'}: ${isMet ? `by weight and room in the van it cannot be fewer than ${counted(trips, 'trip')}.` : `by weight and room alone ${counted(trips, 'trip')} would do; packs are not parted, and nothing is fetched long before it is needed.`}`}
        </Words>
      ))}
      <Words>
        {`To carry: ${formatMass(bill.carry.kg, units)} in all${bill.carry.heaviest ? `, the heaviest piece ${formatMass(bill.carry.heaviest.kg, units)} (${say(bill.carry.heaviest.what)})` : ''}. Spread over ${formatArea(bill.carry.stackM2, units)} at least, so that no floor bears more than its stacks may weigh.`}
      </Words>
      {bill.carry.heaviest && bill.carry.heaviest.kg > CARRIED_KG ? (
        <Words>
          Two people carry what weighs more than one may: bend the knees, keep it close, clear the way first.
        </Words>
      ) : null}
    </Fold>
  );
}
/** More than this is for two people. */
const CARRIED_KG = 25;

function Tools({ course: { bill, days } }: { course: JobCourse }) {
  const say = useSay();
  const palette = usePalette();
  return (
    <>
      {bill.tools.map(({ day, machines, tools }) => (
        <View key={day} style={[styles.run, { borderColor: palette.rule }]}>
          <Words bold>{dayWords(day, days.today)}</Words>
          {machines.length > 0 ? <Words>{`Hired: ${machines.join(', ')}`}</Words> : null}
          {tools.map((one, k) => (
            <Words key={k} size="small">
              {say(one)}
            </Words>
          ))}
        </View>
      ))}
    </>
  );
}

/** What was counted: what goes back, and what it says of the next estimate. */
function Used({
  course: { bill, days },
  jobId,
  wasteId,
}: {
  course: JobCourse;
  jobId: string;
  wasteId: string | null;
}) {
  const say = useSay();
  const [said, setSaid] = useState<string | null>(null);
  if (bill.counted.length === 0) return null;
  const waste = bill.usedRatio === null ? null : Math.max(0, Math.round(bill.usedRatio * 105 - 100));
  return (
    <Fold title="Bought, opened, going back" aside={counted(bill.counted.length, 'product')}>
      {bill.counted.map(({ count, what, back, backBy, ratio }) => (
        <Words key={count.id} figure>
          {`${say(what)}: ${count.bought} bought, ${count.opened} opened${ratio === null ? '' : ` of ${count.planned} planned`}${back > 0 ? `; ${counted(back, 'sealed pack')} can go back${backBy ? ` until ${dayWords(backBy, days.today)}` : ''}` : ''}.`}
        </Words>
      ))}
      {waste !== null && bill.usedRatio !== null && Math.abs(bill.usedRatio - 1) > 0.02 ? (
        <>
          <Words>
            {`Over all that is counted ${Math.round(bill.usedRatio * 100)} % of what was planned was opened. Reckoned with ${waste} % of waste the next estimate would have met it.`}
          </Words>
          <ButtonRow>
            <Button
              label={`Reckon with ${waste} % of waste`}
              onPress={() =>
                void write(`Waste: ${waste} %`, [
                  {
                    kind: 'figures',
                    id: wasteId ?? newId(),
                    body: {
                      jobId,
                      name: 'waste-pct',
                      value: Math.min(40, waste),
                      source: 'What was opened on this job',
                    },
                  },
                ]).then((result) => setSaid(result.ok ? 'Taken.' : 'That is not taken.'))
              }
            />
          </ButtonRow>
        </>
      ) : null}
      {said ? <Words role="status">{said}</Words> : null}
    </Fold>
  );
}

const styles = StyleSheet.create({
  parts: { gap: SPACE.edge, paddingTop: SPACE.part },
  next: { paddingHorizontal: SPACE.edge, gap: 2 },
  folds: { paddingHorizontal: SPACE.edge, gap: SPACE.gap },
  run: { borderBottomWidth: 1, paddingVertical: SPACE.gap, gap: 2 },
});
