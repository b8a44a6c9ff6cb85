import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { AnyFigureName } from '@maquette/core/figures/job';
import { jobFactsOf } from '@maquette/facts/job-facts';
import { deviceZone } from '@maquette/words';
import { useUnits } from '../../data/device-settings.ts';
import { SPACE } from '../../theme/theme.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Reminders } from '../agenda/reminders.tsx';
import { JobFigures } from '../job-figures.tsx';
import { JobFrame } from '../job-frame.tsx';
import { askHeld, useCourse } from '../use-course.ts';
import { Bars } from './bars.tsx';
import { Caveats } from './caveats.tsx';
import { DaySheet } from './day-sheet.tsx';
import { KeepPlan } from './keep-plan.tsx';
import { Promise as PromiseLines } from './promise.tsx';
import { RoomsFold } from './rooms-fold.tsx';
import { TaskCard, type HeldBack } from './task-card.tsx';
import { TaskTable } from './task-table.tsx';
import { WeekFold } from './week-fold.tsx';
import { WhatIfs } from './what-if-fold.tsx';

/** Times the plan is made with, where no stage has them. */
const TIMES: readonly AnyFigureName[] = [
  'crew',
  'delivery-days',
  'lab-days',
  'lab-positive-pct',
  'sample-notice-days',
  'licensed-notice-days',
  'licensed-days',
  'decider-days',
  'breathe-days',
  'drying-days',
  'damp-age-days',
  'dry-temp-c',
  'primer-dry-h',
  'prime-within-h',
  'repair-h',
  'repair-set-h',
  'test-set-h',
  'test-read-h',
  'read-h-m2',
  'reread-share',
  'walk-h-m2',
  'panel-stand-h',
  'panel-fill-h',
  'film-h-m2',
  'glue-wait-h',
  'heat-off-h',
  'skirting-on-h-m',
  'toilet-on-h',
  'appliance-h',
  'hand-over-h',
  'toilets-more',
];

/** When planks can go down, what is done on which day, and what decides it. */
export function DaysScreen({ jobId }: { jobId: string }) {
  const shown = useCourse(jobId);
  const { book, job, course, rooms } = shown;
  const units = useUnits()[0];
  const [chosen, setChosen] = useState<string | null>(null);
  const [held, setHeld] = useState<HeldBack | null>(null);
  const facts = useMemo(() => jobFactsOf(book, jobId, deviceZone()), [book, jobId]);
  const days = course?.days ?? null;
  const task = days?.tasks.find(({ key }) => key === chosen) ?? null;
  const choose = (key: string | null) => {
    setChosen(key);
    setHeld(null);
  };
  const hold = (key: string, notBefore: string | null) => {
    setChosen(key);
    setHeld({ key, notBefore, after: null, failed: null });
    const ask = shown.ask();
    if (ask) askHeld(ask, { key, notBefore }, (after, failed) => setHeld({ key, notBefore, after, failed }));
  };
  return (
    <JobFrame jobId={jobId} page="days" shown={shown}>
      {days ? (
        <View style={styles.parts}>
          {job ? <Reminders items={course!.agenda} rooms={days.rooms} jobName={job.name} /> : null}
          <PromiseLines days={days} />
          {days.none ? null : <Bars days={days} chosen={chosen} onChoose={choose} onHold={hold} />}
          {task ? (
            <TaskCard
              key={task.key}
              days={days}
              task={task}
              jobId={jobId}
              holds={book.taskHolds}
              held={held?.key === task.key ? held : null}
              onHold={hold}
              onClose={() => choose(null)}
            />
          ) : null}
          {days.none ? null : <DaySheet days={days} onTask={choose} />}
          {job && !days.none ? <KeepPlan days={days} job={job} kept={book.keptPlans} /> : null}
          <Caveats days={days} />
          <View style={styles.folds}>
            {days.none ? null : (
              <Fold title="What if …">
                <WhatIfs shown={shown} course={course!} currency={job?.currency ?? ''} />
              </Fold>
            )}
            <Fold title="All tasks as a table" aside={String(days.tasks.length)}>
              <TaskTable days={days} onTask={choose} />
            </Fold>
            <WeekFold jobId={jobId} book={book} facts={facts} />
            <RoomsFold jobId={jobId} book={book} rooms={rooms} />
            <Fold title="People, waits and hours">
              <JobFigures jobId={jobId} units={units} names={TIMES} />
            </Fold>
          </View>
        </View>
      ) : null}
    </JobFrame>
  );
}

const styles = StyleSheet.create({
  parts: { gap: SPACE.edge, paddingTop: SPACE.part },
  folds: { paddingHorizontal: SPACE.edge },
});
