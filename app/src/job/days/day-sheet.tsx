import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import type { ShownDays, ShownTask } from '@maquette/core/planning';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Icon } from '../../ui/icon.tsx';
import { useSay, useTimes } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { Touch } from '../../ui/touch.tsx';
import { dayWords, longWeekday } from '../day-words.ts';
import { tickTask } from './tick-task.ts';
import { whereTold } from './where-told.ts';

/** One line of a day: a stretch of work, or something that ends. */
interface Line {
  task: ShownTask;
  from: string;
  to: string;
  /** It is done at the end of this stretch: only there it can be ticked. */
  ends: boolean;
}

/** What is done on one day, by the clock, each with its tick; the day before and the next with work beside it. */
export function DaySheet({ days, onTask }: { days: ShownDays; onTask: (key: string) => void }) {
  const times = useTimes();
  const lines = days.tasks.flatMap((task): Line[] =>
    task.kind === 'work'
      ? task.stretches.map(({ from, to }, k, all) => ({ task, from, to, ends: k === all.length - 1 }))
      : [],
  );
  const dayOf = (utc: string) => times.dayOf(utc);
  const open = lines.filter(({ task }) => task.doneAt === null);
  const worked = [...new Set(lines.map(({ from }) => dayOf(from)))].sort();
  const next = [...new Set(open.map(({ from }) => dayOf(from)))].sort().find((day) => day >= days.today);
  const [chosen, setChosen] = useState<string | null>(null);
  const day = chosen ?? next ?? days.today;
  // What was ticked today stays in sight below the rest, to be taken back where a finger slipped.
  const isTickedToday = ({ task }: Line) =>
    task.doneAt !== null && task.ticks.length > 0 && dayOf(task.doneAt) === days.today;
  const own = [
    ...lines.filter((line) => !isTickedToday(line) && dayOf(line.from) === day).sort(byClock),
    ...(day === next || day === days.today ? lines.filter((line) => isTickedToday(line) && line.ends) : []).sort(
      byClock,
    ),
  ];
  const orders = days.tasks.filter(
    ({ kind, key, from, doneAt }) =>
      kind === 'wait' && key.includes('/order/delivery/') && doneAt === null && dayOf(from) === day,
  );
  const [before, after] = [worked.findLast((one) => one < day), worked.find((one) => one > day)];
  return (
    <View style={styles.box} testID="day-sheet">
      <Words bold size="title" role="heading" aria-level={2}>
        {day === days.today ? `Today, ${dayWords(day)}` : `${longWeekday(day)}, ${dayWords(day, days.today).slice(4)}`}
      </Words>
      <ButtonRow>
        <Button
          label="Day before"
          hint={before ? dayWords(before, days.today) : undefined}
          off={before ? null : 'No work lies before it.'}
          onPress={() => setChosen(before!)}
        />
        <Button
          label="Next day"
          hint={after ? dayWords(after, days.today) : undefined}
          off={after ? null : 'No work lies after it.'}
          onPress={() => setChosen(after!)}
        />
      </ButtonRow>
      {own.length === 0 && orders.length === 0 ? <Words>Nothing is to be done on this day.</Words> : null}
      {orders.map((task) => (
        <OrderLine key={task.key} task={task} today={days.today} />
      ))}
      <View role="list">
        {own.map((line, k) => (
          <TaskLine key={`${line.task.key}/${k}`} line={line} days={days} onTask={onTask} />
        ))}
      </View>
    </View>
  );
}

const byClock = (a: Line, b: Line): number => (a.from < b.from ? -1 : 1);

function OrderLine({ task, today }: { task: ShownTask; today: string }) {
  const say = useSay();
  const times = useTimes();
  return (
    <View style={styles.order}>
      <Words bold>Order today</Words>
      <Words size="small">{`${say(task.words)}, to be there on ${dayWords(times.dayOf(task.to), today)}.`}</Words>
    </View>
  );
}

function TaskLine({
  line: { task, from, to, ends },
  days,
  onTask,
}: {
  line: Line;
  days: ShownDays;
  onTask: (key: string) => void;
}) {
  const say = useSay();
  const times = useTimes();
  const palette = usePalette();
  const router = useRouter();
  const words = say(task.words);
  const room = days.rooms.find(({ id }) => id === task.roomId)?.name ?? '';
  const clock = (utc: string) => times.localTime(utc).slice(11);
  const until = (utc: string) =>
    [times.dayOf(utc) === times.dayOf(from) ? '' : dayWords(times.dayOf(utc), days.today), clock(utc)].join(' ').trim();
  const shut = task.shutTo && task.doneAt === null ? `nobody in until ${until(task.shutTo)}` : '';
  const isTicked = task.doneAt !== null;
  const where = whereTold(task.stage, task.key);
  const machines = task.machines.length > 0 ? task.machines.join(', ') : '';
  const who = task.trade ? 'another trade' : task.people > 1 ? `${task.people} people` : '';
  return (
    <View role="listitem" style={[styles.line, { borderColor: palette.rule }]}>
      <Touch label={`${clock(from)} ${words}, ${room}. Why then`} onPress={() => onTask(task.key)} style={styles.what}>
        <Words figure bold size="large" style={styles.clock}>
          {clock(from)}
        </Words>
        <View style={styles.grow}>
          <Words bold color={isTicked ? palette.quiet : undefined}>
            {words}
          </Words>
          <Words size="small" quiet>
            {[
              room,
              isTicked ? 'done' : ends ? `until ${clock(to)}` : `until ${clock(to)}, then on`,
              who,
              machines,
              shut,
            ]
              .filter(Boolean)
              .join(' · ')}
          </Words>
          {task.stopped ? (
            <Words size="small" color={palette.verdict.stop}>
              {`Not yet: ${say(task.stopped)}`}
            </Words>
          ) : null}
          {task.readFirst ? <Words size="small">{say(task.readFirst)}</Words> : null}
          {task.isLate ? (
            <Words size="small" color={palette.verdict.stop}>
              Too late for what it had to follow. Do that once more first.
            </Words>
          ) : null}
        </View>
      </Touch>
      {!ends ? (
        <View style={styles.tick} />
      ) : task.ticks.length > 0 ? (
        <Touch
          role="checkbox"
          aria-checked={isTicked}
          label={`${words} is done, ${room}`}
          onPress={() => void tickTask(task, words)}
          style={[styles.tick, { borderColor: isTicked ? palette.verdict.lay : palette.ink }]}
        >
          {isTicked ? <Icon name="done" color={palette.verdict.lay} size={30} /> : null}
        </Touch>
      ) : isTicked || task.roomId === null ? (
        <View style={styles.tick} />
      ) : (
        <Button
          label={where.label}
          hint={`It is recorded there: ${words}`}
          onPress={() => router.push(`/rooms/${task.roomId}/${where.stage}`)}
          style={styles.where}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { paddingHorizontal: SPACE.edge, gap: SPACE.gap },
  order: { gap: 2 },
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: SPACE.part,
    borderBottomWidth: 1,
    paddingVertical: SPACE.gap,
  },
  what: { flex: 1, flexDirection: 'row', alignItems: 'center', gap: SPACE.part, minHeight: 56 },
  clock: { width: 62 },
  grow: { flex: 1, gap: 2 },
  tick: {
    width: 52,
    height: 52,
    borderWidth: 2.5,
    borderColor: 'transparent',
    alignItems: 'center',
    justifyContent: 'center',
  },
  where: { flexGrow: 0, minWidth: 76 },
});
