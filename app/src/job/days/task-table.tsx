import type { ShownDays, ShownTask } from '@maquette/core/planning';
import { LongTable } from '../../ui/long-table.tsx';
import { useSay, useTimes } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { dayWords } from '../day-words.ts';

/** The same plan as a table: for whoever does not see the bars, and to look something up. */
export function TaskTable({ days, onTask }: { days: ShownDays; onTask: (key: string) => void }) {
  const say = useSay();
  const times = useTimes();
  const room = (id: string | null) => days.rooms.find((one) => one.id === id)?.name ?? 'Orders';
  const when = (utc: string) => `${dayWords(times.dayOf(utc), days.today)}, ${times.localTime(utc).slice(11)}`;
  const kind = ({ kind: of, doneAt }: ShownTask) => (doneAt ? 'done' : of === 'work' ? 'work' : 'wait');
  return (
    <LongTable
      label="Tasks"
      rows={[...days.tasks].sort((a, b) => (a.from < b.from ? -1 : 1))}
      rowKey={({ key }) => key}
      columns={[
        { id: 'what', header: 'What', value: (task) => say(task.words), share: 2.4 },
        { id: 'room', header: 'Room', value: (task) => room(task.roomId) },
        { id: 'from', header: 'From', value: (task) => task.from, show: (task) => when(task.from), share: 1.3 },
        { id: 'to', header: 'To', value: (task) => task.to, show: (task) => when(task.to), share: 1.3 },
        { id: 'kind', header: 'Kind', value: kind, share: 0.6 },
        {
          id: 'decides',
          header: 'Decides',
          value: (task) => (task.decides ? 'yes' : ''),
          share: 0.6,
        },
      ]}
      rowWords={(task) =>
        `${say(task.words)}, ${room(task.roomId)}, ${kind(task)}, ${when(task.from)} to ${when(task.to)}`
      }
      line={(task) => (
        <>
          <Words bold>{`${room(task.roomId)}: ${say(task.words)}`}</Words>
          <Words size="small" quiet figure>
            {`${kind(task)} · ${when(task.from)} to ${when(task.to)}${task.decides ? ' · decides the date' : ''}`}
          </Words>
        </>
      )}
      details={(task) => <TaskLink task={task} onTask={onTask} />}
    />
  );
}

function TaskLink({ task, onTask }: { task: ShownTask; onTask: (key: string) => void }) {
  return (
    <Words role="link" onPress={() => onTask(task.key)}>
      Why then, and what moves with it
    </Words>
  );
}
