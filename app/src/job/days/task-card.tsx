import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import { KINDS } from '@maquette/facts';
import { only } from '@maquette/core/fields';
import type { JobCourse, ShownDays, ShownTask } from '@maquette/core/planning';
import { newId } from '../../data/ids.ts';
import type { ShownBook } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { FactField } from '../../form/fact-field.tsx';
import { useFactForm } from '../../form/fact-form.ts';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { useSay, useTimes } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { dayWords, laterWords } from '../day-words.ts';
import { whereTold } from './where-told.ts';

const WAITED: Record<NonNullable<ShownTask['waitsFor']>['kind'], string> = {
  after: 'It follows',
  people: 'Somebody is free for it after',
  machine: 'Its machine is free after',
  room: 'The room is free after',
  way: 'Its way in is open after',
  held: 'What it needs is free after',
};

/** A task that is to be held back, and what would move with it. */
export interface HeldBack {
  key: string;
  notBefore: string | null;
  after: JobCourse | null;
  failed: string | null;
}

interface Props {
  days: ShownDays;
  task: ShownTask;
  jobId: string;
  holds: ShownBook['taskHolds'];
  held: HeldBack | null;
  onHold: (key: string, notBefore: string | null) => void;
  onClose: () => void;
}

const HOLD = only(KINDS.taskHolds.fields, 'notBefore');
const DAY_MS = 86_400_000;

/** One task: when and why then, where it is recorded, and what moves when it begins later. */
export function TaskCard({ days, task, jobId, holds, held, onHold, onClose }: Props) {
  const say = useSay();
  const times = useTimes();
  const palette = usePalette();
  const router = useRouter();
  const [said, setSaid] = useState<string | null>(null);
  const room = days.rooms.find(({ id }) => id === task.roomId)?.name ?? '';
  const when = (utc: string) => `${dayWords(times.dayOf(utc), days.today)}, ${times.localTime(utc).slice(11)}`;
  const cause = task.waitsFor && days.tasks.find(({ key }) => key === task.waitsFor?.key);
  const where = whereTold(task.stage, task.key);
  const fact = holds.findLast((one) => one.jobId === jobId && one.key === task.key);
  const form = useFactForm(HOLD, { notBefore: held?.notBefore ?? task.heldTo }, 'metric', (part) => {
    onHold(task.key, part.notBefore ?? null);
  });
  const keep = async () => {
    const body = { jobId, key: task.key, notBefore: held?.notBefore ?? null, note: '' };
    const result = await write(`${say(task.words)} held back`, [{ kind: 'taskHolds', id: fact?.id ?? newId(), body }]);
    if (result.ok) onClose();
    else setSaid(result.problems.map(({ field, message }) => `${field} ${String(message)}`).join('; '));
  };
  const canHold = task.doneAt === null && task.kind === 'work';
  return (
    <View style={[styles.card, { borderColor: palette.chalk, backgroundColor: palette.paper }]} testID="task-card">
      <Words bold size="large" role="heading" aria-level={2}>
        {[room, say(task.words)].filter(Boolean).join(': ')}
      </Words>
      <Words figure>
        {task.doneAt
          ? `Done ${when(task.doneAt)}.`
          : `${when(task.from)} to ${when(task.to)}${task.kind === 'work' ? `, ${task.hours < 1 ? `${Math.round(task.hours * 60)} min` : `${task.hours.toFixed(1)} h`} of work` : ''}.`}
      </Words>
      {cause ? (
        <Words>{`${WAITED[task.waitsFor?.kind ?? 'after']} “${[days.rooms.find(({ id }) => id === cause.roomId)?.name, say(cause.words)].filter(Boolean).join(': ')}”, until ${when(cause.to)}.`}</Words>
      ) : task.doneAt ? null : (
        <Words>Nothing holds it up: it lies where it is first wanted.</Words>
      )}
      {task.decides ? <Words>It decides when the last planks go down: an hour here is an hour there.</Words> : null}
      {task.heldTo ? <Words>{`Held back to ${when(task.heldTo)}.`}</Words> : null}
      {canHold ? (
        <>
          <FactField
            form={form}
            name="notBefore"
            label="Not before"
            hint="Date and time, such as 2026-12-07 08:00; empty lets it go. Then see what moves."
          />
          <ButtonRow>
            <Button
              label="A day later"
              hint={say(task.words)}
              onPress={() =>
                onHold(task.key, new Date(Date.parse(held?.notBefore ?? task.from) + DAY_MS).toISOString())
              }
            />
            {task.heldTo ? <Button label="Let it go" onPress={() => onHold(task.key, null)} /> : null}
          </ButtonRow>
        </>
      ) : null}
      {held ? <Moved days={days} held={held} /> : null}
      {said ? <Words role="alert">{said}</Words> : null}
      <ButtonRow>
        {held?.after ? <Button kind="main" label="Keep it so" onPress={() => void keep()} /> : null}
        {task.roomId ? (
          <Button label={`Open ${where.label}`} onPress={() => router.push(`/rooms/${task.roomId}/${where.stage}`)} />
        ) : null}
        <Button label="Close" onPress={onClose} />
      </ButtonRow>
    </View>
  );
}

/** Moved by less is not told, hours. */
const MOVED_H = 0.25;
const SHOWN_MOST = 8;

/** What lies elsewhere once a task is held back, and why each moves. */
function Moved({ days, held: { key, after, failed } }: { days: ShownDays; held: HeldBack }) {
  const say = useSay();
  const times = useTimes();
  if (failed) return <Words role="alert">{failed}</Words>;
  if (!after) return <Words role="status">Looking what moves …</Words>;
  if (after.days.none) return <Words role="alert">{say(after.days.none)}</Words>;
  const was = new Map(days.tasks.map((task) => [task.key, task]));
  const moved = after.days.tasks
    .flatMap((task) => {
      const before = was.get(task.key);
      const byH = before ? (Date.parse(task.from) - Date.parse(before.from)) / 3_600_000 : 0;
      return Math.abs(byH) >= MOVED_H && task.key !== key ? [{ task, byH }] : [];
    })
    .sort((a, b) => (a.task.from < b.task.from ? -1 : 1));
  const [old, now] = [days.laying, after.days.laying];
  const name = (task: ShownTask) =>
    [days.rooms.find(({ id }) => id === task.roomId)?.name, say(task.words)].filter(Boolean).join(': ');
  const why = ({ waitsFor }: ShownTask) => {
    const cause = waitsFor && after.days.tasks.find((task) => task.key === waitsFor.key);
    return cause ? `${WAITED[waitsFor.kind].toLowerCase()} “${name(cause)}”` : 'it lies where it is first wanted';
  };
  return (
    <View role="status" style={styles.moved} testID="moved">
      <Words bold>
        {moved.length === 0
          ? 'Nothing else moves.'
          : `${moved.length === 1 ? 'One other task moves' : `${moved.length} other tasks move`}:`}
      </Words>
      {moved.slice(0, SHOWN_MOST).map(({ task, byH }) => (
        <Words key={task.key} size="small">
          {`${name(task)}: to ${dayWords(times.dayOf(task.from), days.today)}, ${times.localTime(task.from).slice(11)} (${Math.abs(byH) < 24 ? `${Math.abs(byH).toFixed(1)} h ${byH > 0 ? 'later' : 'earlier'}` : laterWords(Math.round(byH / 24))}); ${why(task)}.`}
        </Words>
      ))}
      {moved.length > SHOWN_MOST ? <Words size="small">{`and ${moved.length - SHOWN_MOST} more.`}</Words> : null}
      {old && now ? (
        <Words>
          {`Planks in the last room: ${dayWords(now.day, days.today)}${now.day === old.day ? ', as before' : `, before it was ${dayWords(old.day, days.today)}`}.`}
        </Words>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  card: { marginHorizontal: SPACE.edge, borderWidth: 2, padding: SPACE.part, gap: SPACE.gap },
  moved: { gap: SPACE.near },
});
