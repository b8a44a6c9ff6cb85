import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { jobFiguresOf, type AnyFigureName } from '@maquette/core/figures/job';
import { marginOf, type FirmLine, type JobCourse } from '@maquette/core/planning';
import { useUnits } from '../../data/device-settings.ts';
import { newId, nowUtc } from '../../data/ids.ts';
import { saveText } from '../../data/save-text.ts';
import type { ShownBook } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { useSay, useTimes } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { dayWords } from '../day-words.ts';
import { JobFigures } from '../job-figures.tsx';
import { JobFrame } from '../job-frame.tsx';
import { centsWords } from '@maquette/core/bill/money-words';
import { useCourse } from '../use-course.ts';
import { Changes } from './changes.tsx';
import { MayCome } from './may-come.tsx';
import { quotationText, type QuotationLine } from './quotation-text.ts';

const SETTINGS: readonly AnyFigureName[] = [
  'labour-h',
  'margin-pct',
  'tax-pct',
  'round-to',
  'valid-days',
  'travel-day',
  'travel-h',
];

/** What the job is charged: firm lines, what may come, tax, and changes with before and after. */
export function PriceScreen({ jobId }: { jobId: string }) {
  const shown = useCourse(jobId);
  const { book, job, course, rooms } = shown;
  const units = useUnits()[0];
  const currency = job?.currency ?? '';
  return (
    <JobFrame jobId={jobId} page="price" shown={shown}>
      {course && job ? (
        <View style={styles.parts}>
          <Total course={course} currency={currency} />
          <View style={styles.folds}>
            <Firm course={course} currency={currency} />
            <MayCome course={course} jobId={jobId} rooms={rooms} book={book} currency={currency} />
            <Changes course={course} jobId={jobId} rooms={rooms} book={book} currency={currency} jobName={job.name} />
            <Give course={course} job={job} currency={currency} figures={book.figures} quotations={book.quotations} />
            <Fold title="Rate, margin, tax">
              <JobFigures jobId={jobId} units={units} names={SETTINGS} />
            </Fold>
          </View>
        </View>
      ) : null}
    </JobFrame>
  );
}

function Total({ course: { price, days }, currency }: { course: JobCourse; currency: string }) {
  const tax = price.tax
    .map(({ permille, cents }) => `${permille / 10} % tax ${centsWords(cents, currency)}`)
    .join(', ');
  return (
    <View style={styles.total} testID="price-total">
      <Words size="small" quiet>
        Price with tax
      </Words>
      <Words figure bold size="title">
        {centsWords(price.gross, currency)}
      </Words>
      <Words figure>{`${centsWords(price.net, currency)} and ${tax}`}</Words>
      <Words size="small" quiet figure>
        {`Cost ${centsWords(price.cost, currency)}; ${marginOf(price) / 10} % of the price is margin${price.rounding > 0 ? `, ${centsWords(price.rounding, currency)} of it rounding` : ''}.`}
      </Words>
      {price.contingency > 0 ? (
        <Words>
          {`Keep ${centsWords(price.contingency, currency)} ready for what may come: four of five jobs like this need no more. It is not charged beside the lines it is for.`}
        </Words>
      ) : (
        <Words>
          Nothing has to be kept ready: four of five jobs like this meet none of what may come, or nothing is named.
        </Words>
      )}
      {days.chances.p80.laying ? (
        <Words>{`Day to promise for the planks: ${dayWords(days.chances.p80.laying.day, days.today)}, of the same draws.`}</Words>
      ) : null}
    </View>
  );
}

function useNamed(course: JobCourse) {
  const say = useSay();
  const room = (id: string | null) => course.days.rooms.find((one) => one.id === id)?.name ?? '';
  return { say, room, line: (one: FirmLine) => [room(one.roomId), say(one.what)].filter(Boolean).join(': ') };
}

/** Lines that are charged as they stand, by room. */
function Firm({ course, currency }: { course: JobCourse; currency: string }) {
  const { price, days } = course;
  const { say, room } = useNamed(course);
  const palette = usePalette();
  const groups = [...days.rooms.map(({ id }) => id as string | null), null]
    .map((id) => ({ id, lines: price.firm.filter(({ roomId, netCents }) => roomId === id && netCents !== 0) }))
    .filter(({ lines }) => lines.length > 0);
  const line = (key: string, words: string, cents: number, isSum = false) => (
    <View key={key} style={[styles.line, { borderColor: palette.rule }]}>
      <Words bold={isSum} style={styles.grow}>
        {words}
      </Words>
      <Words figure bold={isSum}>
        {centsWords(cents, currency)}
      </Words>
    </View>
  );
  return (
    <View testID="firm">
      {groups.map(({ id, lines }) => (
        <Fold
          key={id ?? 'job'}
          title={id ? room(id) : 'The whole job'}
          aside={centsWords(
            lines.reduce((sum, { netCents }) => sum + netCents, 0),
            currency,
          )}
        >
          {lines.map((one) => line(one.id, say(one.what), one.netCents))}
        </Fold>
      ))}
      {price.rounding > 0 ? line('rounding', 'Rounded up', price.rounding) : null}
      {line('net', 'Without tax', price.net, true)}
      {price.tax.map(({ permille, cents }) => line(`tax/${permille}`, `Tax, ${permille / 10} %`, cents))}
      {line('gross', 'With tax', price.gross, true)}
    </View>
  );
}

interface GiveProps {
  course: JobCourse;
  job: ShownBook['jobs'][number];
  currency: string;
  figures: ShownBook['figures'];
  quotations: ShownBook['quotations'];
}

/** The quotation as it is given: it stands from then on, and what differs later is told against it. */
function Give({ course, job, currency, figures, quotations }: GiveProps) {
  const { price, days } = course;
  const { say, line, room } = useNamed(course);
  const times = useTimes();
  const [said, setSaid] = useState<string | null>(null);
  const own = quotations.filter(({ jobId }) => jobId === job.id).sort((a, b) => a.number - b.number);
  const last = own.at(-1) ?? null;
  const figure = jobFiguresOf(figures.filter(({ jobId }) => jobId === job.id));
  const lines: QuotationLine[] = price.firm
    .filter(({ netCents }) => netCents !== 0)
    .map((one) => ({ what: line(one).slice(0, 200), cents: one.netCents }));
  if (price.rounding > 0) lines.push({ what: 'Rounded up', cents: price.rounding });
  const text = (number: number) =>
    quotationText({
      job: job.name,
      number,
      day: days.today,
      validDays: Math.round(figure('valid-days')),
      lines,
      net: price.net,
      tax: price.tax,
      gross: price.gross,
      provisional: price.provisional.map((one) => ({
        what: [room(one.roomId), say(one.what)].filter(Boolean).join(': '),
        trigger: say(one.trigger),
        cents: one.netCents,
      })),
      promisedDay: days.chances.p80.laying ? dayWords(days.chances.p80.laying.day, days.today) : null,
      left: days.caveats.filter(({ isStop }) => isStop).map(({ roomId, title }) => `${room(roomId)}: ${say(title)}`),
      currency,
    });
  const give = async () => {
    const number = (last?.number ?? 0) + 1;
    const result = await write(`Quotation ${number} given`, [
      {
        kind: 'quotations',
        id: newId(),
        body: {
          jobId: job.id,
          number,
          givenAt: nowUtc(),
          validDays: Math.round(figure('valid-days')),
          lines,
          netCents: price.net,
          taxCents: price.gross - price.net,
          grossCents: price.gross,
          contingencyCents: price.contingency,
          promisedDay: days.chances.p80.laying?.day ?? '',
          note: '',
        },
      },
    ]);
    if (result.ok)
      saveText(`${job.name.toLowerCase().replace(/\W+/g, '-')}-quotation-${number}.txt`, 'text/plain', text(number));
    setSaid(
      result.ok
        ? `Quotation ${number} is on record as it was given.`
        : result.problems.map(({ field, message }) => `${field} ${String(message)}`).join('; '),
    );
  };
  return (
    <View style={styles.give} testID="give">
      {last ? (
        <Words>
          {`Quotation ${last.number} of ${dayWords(times.dayOf(last.givenAt), days.today)}: ${centsWords(last.grossCents, currency)} with tax${last.grossCents === price.gross ? ', as it stands now.' : `; as the job stands now it is ${centsWords(Math.abs(price.gross - last.grossCents), currency)} ${price.gross > last.grossCents ? 'more' : 'less'}.`}`}
        </Words>
      ) : null}
      <ButtonRow>
        <Button
          kind="main"
          label={last ? 'Give a new quotation' : 'Give the quotation'}
          hint="Puts it on record as it stands, and saves it as text"
          off={price.gross === 0 ? 'There is nothing to charge yet.' : null}
          onPress={() => void give()}
        />
      </ButtonRow>
      {said ? <Words role="status">{said}</Words> : null}
      {own.length > 0 ? (
        <Fold title="Given before" aside={String(own.length)}>
          {own.map(({ id, number, givenAt, grossCents, promisedDay, validDays }) => (
            <Words key={id} figure>
              {`${number}, ${dayWords(times.dayOf(givenAt), days.today)}: ${centsWords(grossCents, currency)}, held for ${validDays} days${promisedDay ? `, planks by ${dayWords(promisedDay, days.today)}` : ''}`}
            </Words>
          ))}
        </Fold>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  parts: { gap: SPACE.edge, paddingTop: SPACE.part },
  total: { paddingHorizontal: SPACE.edge, gap: SPACE.near },
  folds: { paddingHorizontal: SPACE.edge, gap: SPACE.gap },
  line: { flexDirection: 'row', gap: SPACE.part, borderBottomWidth: 1, paddingVertical: SPACE.gap, minHeight: 40 },
  grow: { flex: 1 },
  give: { gap: SPACE.gap, paddingVertical: SPACE.gap },
});
