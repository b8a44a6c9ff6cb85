import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { filled, only } from '@maquette/core/fields';
import { weekOf, type JobFacts } from '@maquette/core/planning';
import { bodyOf, KINDS, type BodyOf } from '@maquette/facts';
import { newId } from '../../data/ids.ts';
import type { ShownBook } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { FactField } from '../../form/fact-field.tsx';
import { isRefused, refused, useDraftForm } from '../../form/fact-form.ts';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Field } from '../../ui/field.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { dayWords, LONG_WEEKDAYS } from '../day-words.ts';

/** From Monday on, as a working week is read. */
const FROM_MONDAY = [1, 2, 3, 4, 5, 6, 0] as const;
const PLACES: readonly { value: BodyOf<'siteWeeks'>['holidays']; label: string }[] = [
  { value: 'none', label: 'No holidays' },
  { value: 'GB-ENG', label: 'England' },
  { value: 'IE', label: 'Ireland' },
  { value: 'DE', label: 'Germany' },
  { value: 'FR', label: 'France' },
  { value: 'NL', label: 'Netherlands' },
  { value: 'US', label: 'United States' },
];

const clock = (minutes: number) =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;

/** Hours as they are written: `8:00-12:00, 12:30-15:30`; null where they are none, an empty list where the day is free. */
export function readHours(text: string): [number, number][] | null {
  if (text.trim() === '') return [];
  const found: [number, number][] = [];
  for (const part of text.split(/[,;]/)) {
    const match = /^\s*(\d{1,2})(?:[:.](\d{2}))?\s*[-–]\s*(\d{1,2})(?:[:.](\d{2}))?\s*$/.exec(part);
    if (!match) return null;
    const [from, to] = [Number(match[1]) * 60 + Number(match[2] ?? 0), Number(match[3]) * 60 + Number(match[4] ?? 0)];
    if (from >= to || to > 24 * 60 || Number(match[2] ?? 0) > 59 || Number(match[4] ?? 0) > 59) return null;
    if (found.some(([a, b]) => from < b && a < to)) return null;
    found.push([from, to]);
  }
  return found.sort((a, b) => a[0] - b[0]);
}

const hoursText = (hours: BodyOf<'siteWeeks'>['hours'], weekday: number): string =>
  hours
    .filter((one) => one.weekday === weekday)
    .map(({ fromMin, toMin }) => `${clock(fromMin)}-${clock(toMin)}`)
    .join(', ');

/** When people work on this job: the week, holidays, hours for loud work, and days of their own. */
export function WeekFold({ jobId, book, facts }: { jobId: string; book: ShownBook; facts: JobFacts }) {
  const fact = book.siteWeeks.findLast((one) => one.jobId === jobId);
  const week = weekOf(facts);
  const body = (part: Partial<BodyOf<'siteWeeks'>>): BodyOf<'siteWeeks'> => ({
    jobId,
    hours: week.hours,
    holidays: week.holidays,
    loudFromMin: week.loudFromMin,
    loudToMin: week.loudToMin,
    note: week.note,
    ...part,
  });
  const put = (words: string, part: Partial<BodyOf<'siteWeeks'>>) =>
    write(words, [{ kind: 'siteWeeks', id: fact?.id ?? newId(), body: body(part) }]);
  const worked = FROM_MONDAY.filter((weekday) => week.hours.some((one) => one.weekday === weekday)).length;
  const place = PLACES.find(({ value }) => value === week.holidays)!.label;
  return (
    <Fold title="Working hours and holidays" aside={`${worked} days a week, ${place}`}>
      {FROM_MONDAY.map((weekday) => (
        <HoursField
          key={weekday}
          label={LONG_WEEKDAYS[weekday]}
          text={hoursText(week.hours, weekday)}
          onTaken={(windows) =>
            put(`${LONG_WEEKDAYS[weekday]}: hours`, {
              hours: [
                ...week.hours.filter((one) => one.weekday !== weekday),
                ...windows.map(([fromMin, toMin]) => ({ weekday, fromMin, toMin })),
              ],
            })
          }
        />
      ))}
      <HoursField
        label="Loud work"
        text={`${clock(week.loudFromMin)}-${clock(week.loudToMin)}`}
        isOne
        onTaken={([window]) =>
          window
            ? put('Hours for loud work', { loudFromMin: window[0], loudToMin: window[1] })
            : Promise.resolve(refused('Loud work needs some hours, such as 9:00-17:00.'))
        }
      />
      <Words size="small" quiet>
        Grinding, sawing and hammering keep to the hours for loud work. House rules and neighbours decide.
      </Words>
      <Choice
        label="Holidays of"
        value={week.holidays}
        options={PLACES}
        onChange={(holidays) =>
          void put(`Holidays: ${PLACES.find(({ value }) => value === holidays)!.label}`, { holidays })
        }
      />
      <OwnDays jobId={jobId} book={book} />
    </Fold>
  );
}

function HoursField({
  label,
  text,
  onTaken,
  isOne = false,
}: {
  label: string;
  text: string;
  onTaken: (windows: [number, number][]) => Promise<unknown>;
  isOne?: boolean;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const leave = async () => {
    if (typed === null) return;
    const windows = readHours(typed);
    if (!windows || (isOne && windows.length !== 1)) {
      setProblem(
        `“${typed}” is not taken: hours are written 8:00-12:00${isOne ? '' : ', several with a comma between, none for a free day'}, from 0:00 to 24:00, none over another.`,
      );
      return;
    }
    const written = await onTaken(windows);
    if (isRefused(written)) return setProblem('That is not taken.');
    setTyped(null);
    setProblem(null);
  };
  return (
    <Field label={label} value={typed ?? text} onChange={setTyped} onDone={() => void leave()} problem={problem} />
  );
}

const DAY = only({ ...KINDS.siteDays.fields, day: filled(KINDS.siteDays.fields.day) }, 'day', 'note');
const NO_DAY = { day: '', note: '' };
const WHOSE = { site: 'Everybody’s', sampler: 'The sampler’s', licensed: 'The licensed trade’s' } as const;

/** Days that are not as the week has them. */
function OwnDays({ jobId, book }: { jobId: string; book: ShownBook }) {
  const palette = usePalette();
  const form = useDraftForm(DAY, NO_DAY, 'metric');
  const [isFree, setFree] = useState<'free' | 'part'>('free');
  const [whose, setWhose] = useState<BodyOf<'siteDays'>['whose']>('site');
  const [hours, setHours] = useState('8:00-12:00');
  const [problem, setProblem] = useState<string | null>(null);
  const own = book.siteDays.filter((one) => one.jobId === jobId).sort((a, b) => (a.day < b.day ? -1 : 1));
  const record = () => {
    const windows = readHours(hours);
    if (isFree === 'part' && windows?.length !== 1) {
      setProblem(`“${hours}” is not taken: write one time, such as 8:00-12:00.`);
      return;
    }
    setProblem(null);
    const [fromMin, toMin] = windows?.[0] ?? [0, 0];
    void form.record(async ({ day, note }) => {
      const held = own.find((one) => one.day === day && one.whose === whose);
      return write(`${day}: ${isFree === 'free' ? 'free' : hours}`, [
        {
          kind: 'siteDays',
          id: held?.id ?? newId(),
          body: { jobId, day, isFree: isFree === 'free', fromMin, toMin, whose, note },
        },
      ]);
    });
  };
  return (
    <View style={styles.own}>
      <Words bold>Days of their own</Words>
      {own.map((one) => (
        <View key={one.id} style={[styles.day, { borderColor: palette.rule }]}>
          <Words figure style={styles.grow}>
            {`${dayWords(one.day)}${one.whose === 'site' ? '' : `, ${WHOSE[one.whose].toLowerCase()}`}: ${one.isFree ? 'free' : `${clock(one.fromMin)} to ${clock(one.toMin)}`}${one.note ? `, ${one.note}` : ''}`}
          </Words>
          <Button
            label="Remove"
            hint={one.day}
            onPress={() =>
              void write(`${one.day} as the week has it`, [
                { kind: 'siteDays', id: one.id, body: bodyOf(one), deleted: true },
              ])
            }
            style={styles.key}
          />
        </View>
      ))}
      <Choice
        label="Whose day"
        value={whose}
        inline
        options={(Object.keys(WHOSE) as (keyof typeof WHOSE)[]).map((value) => ({ value, label: WHOSE[value] }))}
        onChange={setWhose}
      />
      <Choice
        label="The day is"
        value={isFree}
        inline
        options={[
          { value: 'free', label: 'Free' },
          { value: 'part', label: 'Worked at own hours' },
        ]}
        onChange={setFree}
      />
      <FactField form={form} name="day" label="Day" hint="Such as 2026-12-24" />
      {isFree === 'part' ? <Field label="Hours" value={hours} onChange={setHours} problem={problem} /> : null}
      <FactField form={form} name="note" label="Why" />
      {form.problem ? <Words role="alert">{form.problem}</Words> : null}
      <ButtonRow>
        <Button label="Add the day" onPress={record} />
      </ButtonRow>
    </View>
  );
}

const styles = StyleSheet.create({
  own: { gap: SPACE.gap },
  day: { flexDirection: 'row', alignItems: 'center', gap: SPACE.gap, borderBottomWidth: 1 },
  grow: { flex: 1 },
  key: { flexGrow: 0 },
});
