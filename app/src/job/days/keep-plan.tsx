import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { ShownDays } from '@maquette/core/planning';
import { newId, nowUtc } from '../../data/ids.ts';
import { saveText } from '../../data/save-text.ts';
import type { ShownBook } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { useSay, useTimes } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { dayWords, laterWords } from '../day-words.ts';

interface Props {
  days: ShownDays;
  job: ShownBook['jobs'][number];
  kept: ShownBook['keptPlans'];
}

/** How the plan stands against the one that was kept, and the calendar it goes into. */
export function KeepPlan({ days, job, kept }: Props) {
  const say = useSay();
  const times = useTimes();
  const palette = usePalette();
  const [said, setSaid] = useState<string | null>(null);
  const last = kept
    .filter((one) => one.jobId === job.id)
    .reduce<Props['kept'][number] | null>((a, b) => (!a || b.edition > a.edition ? b : a), null);
  const open = days.tasks.filter(({ doneAt }) => doneAt === null);
  const roomName = (id: string | null) => days.rooms.find((room) => room.id === id)?.name ?? '';
  const named = (key: string) => {
    const task = days.tasks.find((one) => one.key === key);
    return task ? [roomName(task.roomId), say(task.words)].filter(Boolean).join(': ') : key;
  };
  const keep = async () => {
    const result = await write('Plan kept', [
      {
        kind: 'keptPlans',
        id: newId(),
        body: {
          jobId: job.id,
          keptAt: nowUtc(),
          edition: (last?.edition ?? 0) + 1,
          places: open.map(({ key, words, from, to }) => ({
            key,
            words: say(words).slice(0, 200),
            fromAt: from,
            toAt: to,
          })),
          inOrder: days.order,
          layingAt: days.laying?.at ?? null,
          promisedDay: days.chances.p80.laying?.day ?? '',
          note: '',
        },
      },
    ]);
    setSaid(
      result.ok
        ? 'Kept. What moves from now on is told against it.'
        : result.problems.map(({ field, message }) => `${field} ${String(message)}`).join('; '),
    );
  };
  const calendar = async () => {
    try {
      const { icsOf } = await import('@maquette/core/formats/ics');
      const keys = new Set(open.map(({ key }) => key));
      const entries = open.flatMap((task) =>
        task.stretches.map(({ from, to }, k) => ({
          key: task.key,
          stretch: k + 1,
          fromUtc: from,
          toUtc: to,
          summary: [roomName(task.roomId), say(task.words)].filter(Boolean).join(': '),
          description: task.shutTo ? `Nobody in until ${times.localTime(task.shutTo)}.` : '',
          location: job.name,
          isWait: task.kind === 'wait',
          isGone: false,
        })),
      );
      const gone = (last?.places ?? [])
        .filter(({ key }) => !keys.has(key) && !days.tasks.some((task) => task.key === key && task.doneAt !== null))
        .map(({ key, words, fromAt, toAt }) => ({
          key,
          stretch: 1,
          fromUtc: fromAt,
          toUtc: toAt,
          summary: words,
          description: '',
          location: job.name,
          isWait: false,
          isGone: true,
        }));
      const edition = (last?.edition ?? 0) + (days.since && days.since.moved.length > 0 ? 1 : 0);
      const text = icsOf({ jobId: job.id, name: job.name, edition, writtenAtUtc: nowUtc() }, [...entries, ...gone]);
      saveText(`${job.name.toLowerCase().replace(/\W+/g, '-')}-days.ics`, 'text/calendar', text);
      setSaid(null);
    } catch (error) {
      setSaid(error instanceof Error ? error.message : String(error));
    }
  };
  const { since } = days;
  return (
    <View style={styles.box} testID="kept-plan">
      {since && since.moved.length > 0 ? (
        <View style={styles.since} role="status">
          <Words bold color={palette.verdict.work}>
            {`${since.moved.length === 1 ? 'One task lies' : `${since.moved.length} tasks lie`} elsewhere than in the plan you kept.`}
          </Words>
          {since.cause ? <Words>{say(since.cause.words)}</Words> : null}
          {since.layingWas && days.laying ? (
            <Words>
              {`Planks in the last room: ${dayWords(days.laying.day, days.today)}, kept was ${dayWords(times.dayOf(since.layingWas), days.today)}.`}
            </Words>
          ) : null}
          <Fold title="What moved" aside={String(since.moved.length)}>
            {since.moved.map(({ key, byH }) => (
              <Words key={key} size="small">{`${named(key)}: ${laterWords(Math.round(byH / 12) / 2)}`}</Words>
            ))}
          </Fold>
        </View>
      ) : since ? (
        <Words
          size="small"
          quiet
        >{`As in the plan you kept on ${dayWords(times.dayOf(since.keptAt), days.today)}.`}</Words>
      ) : null}
      <ButtonRow>
        <Button label="To the calendar" hint="Save the days as an ICS file" onPress={() => void calendar()} />
        <Button
          label={last ? 'Keep this plan instead' : 'Keep this plan'}
          hint="What moves later is told against it"
          off={open.length === 0 ? 'Nothing is left to plan.' : null}
          onPress={() => void keep()}
        />
      </ButtonRow>
      {said ? <Words role="status">{said}</Words> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { paddingHorizontal: SPACE.edge, gap: SPACE.gap },
  since: { gap: SPACE.near },
});
