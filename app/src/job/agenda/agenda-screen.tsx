import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import type { AgendaItem, JobCourse } from '@maquette/core/planning';
import { useUnits } from '../../data/device-settings.ts';
import { nowUtc } from '../../data/ids.ts';
import { useBook, type ShownBook } from '../../data/use-facts.ts';
import { Header } from '../../room/header.tsx';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { ShownIn, useSay, useTimes } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { Touch } from '../../ui/touch.tsx';
import { dayWords } from '../day-words.ts';
import { whereTold } from '../days/where-told.ts';
import { useCourse } from '../use-course.ts';
import { Reminders } from './reminders.tsx';

/** What is due across all jobs: today, and next with its time. */
export function AgendaScreen() {
  const palette = usePalette();
  const router = useRouter();
  const book = useBook();
  const units = useUnits()[0];
  const jobs = book.jobs.filter(({ id }) => book.rooms.some(({ jobId }) => jobId === id));
  // One job after another: each is gone through in the same worker.
  const [known, setKnown] = useState<ReadonlyMap<string, JobCourse>>(new Map());
  const turn = jobs.find(({ id }) => !known.has(id))?.id ?? null;
  return (
    <View style={[styles.screen, { backgroundColor: palette.sheet }]}>
      <Header title="What is due" backLabel="Site book" onBack={() => router.replace('/')} />
      <ScrollView role="main" style={styles.grow} contentContainerStyle={styles.list}>
        {jobs.map((job) => (
          <ShownIn key={job.id} units={units} zone={job.zone ?? ''}>
            <OfJob
              job={job}
              wanted={turn === job.id || known.has(job.id)}
              onKnown={(course) =>
                setKnown((before) => (before.get(job.id) === course ? before : new Map(before).set(job.id, course)))
              }
            />
          </ShownIn>
        ))}
        {!book.loading && jobs.length === 0 ? <Words>No job with a room yet: nothing is due.</Words> : null}
      </ScrollView>
    </View>
  );
}

function OfJob({
  job,
  wanted,
  onKnown,
}: {
  job: ShownBook['jobs'][number];
  wanted: boolean;
  onKnown: (course: JobCourse) => void;
}) {
  const palette = usePalette();
  const router = useRouter();
  const { course, working, failed, isNow } = useCourse(job.id, wanted);
  const [told, setTold] = useState<JobCourse | null>(null);
  if (course && isNow && told !== course) {
    setTold(course);
    queueMicrotask(() => onKnown(course));
  }
  return (
    <View style={[styles.job, { borderColor: palette.rule }]} testID={`agenda-${job.id}`}>
      <Touch
        label={`Open the days of ${job.name}`}
        onPress={() => router.push(`/jobs/${job.id}/days`)}
        style={styles.title}
      >
        <Words bold size="large" role="heading" aria-level={2}>
          {job.name}
        </Words>
      </Touch>
      {working !== null && !course ? (
        <Words role="status" figure>{`Its rooms are gone through, ${Math.round(working * 100)} % …`}</Words>
      ) : null}
      {failed ? <Words role="alert">{failed}</Words> : null}
      {course ? <Items course={course} job={job} /> : null}
    </View>
  );
}

const SHOWN_MOST = 12;

function Items({ course, job }: { course: JobCourse; job: ShownBook['jobs'][number] }) {
  const times = useTimes();
  const { agenda, days } = course;
  const today = agenda.filter(({ at, isOverdue }) => isOverdue || times.dayOf(at) <= days.today);
  const next = agenda.filter((one) => !today.includes(one)).slice(0, SHOWN_MOST);
  return (
    <>
      <Reminders items={agenda} rooms={days.rooms} jobName={job.name} />
      <Words bold>Today</Words>
      {today.length === 0 ? <Words quiet>Nothing is due today.</Words> : null}
      {today.map((item) => (
        <Item key={item.key} item={item} course={course} jobId={job.id} />
      ))}
      {next.length > 0 ? <Words bold>Next</Words> : null}
      {next.map((item) => (
        <Item key={item.key} item={item} course={course} jobId={job.id} />
      ))}
    </>
  );
}

function Item({ item, course: { days }, jobId }: { item: AgendaItem; course: JobCourse; jobId: string }) {
  const say = useSay();
  const times = useTimes();
  const palette = usePalette();
  const router = useRouter();
  const room = days.rooms.find(({ id }) => id === item.roomId)?.name ?? '';
  const task = days.tasks.find(({ key }) => key === item.key);
  const when = (utc: string) => `${dayWords(times.dayOf(utc), days.today)}, ${times.localTime(utc).slice(11)}`;
  const open = () => {
    const where =
      task && task.roomId ? whereTold(task.stage, task.key) : item.kind === 'old' ? { stage: 'damp' } : null;
    if (where && item.roomId) router.push(`/rooms/${item.roomId}/${where.stage}`);
    else router.push(item.kind === 'back' ? `/jobs/${jobId}/buy` : `/jobs/${jobId}/days`);
  };
  return (
    <Touch
      label={`${say(item.words)}, ${room}, ${when(item.at)}`}
      onPress={open}
      style={[styles.item, { borderColor: palette.rule }]}
    >
      <Words bold color={item.isOverdue || item.kind === 'old' ? palette.verdict.work : undefined}>
        {[room, say(item.words)].filter(Boolean).join(': ')}
      </Words>
      <Words size="small" figure quiet>
        {[
          item.kind === 'back'
            ? `until ${dayWords(item.at.slice(0, 10), days.today)}`
            : when(item.at < nowUtc() && item.kind !== 'old' ? nowUtc() : item.at),
          item.until ? `${item.isOverdue ? 'was to be done' : 'no later than'} ${when(item.until)}` : '',
        ]
          .filter(Boolean)
          .join(' · ')}
      </Words>
    </Touch>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1 },
  grow: { flex: 1 },
  list: { padding: SPACE.edge, gap: SPACE.edge, width: '100%', maxWidth: 1000, alignSelf: 'center' },
  job: { borderBottomWidth: 1, paddingBottom: SPACE.edge, gap: SPACE.gap },
  title: { minHeight: 48, justifyContent: 'center' },
  item: { minHeight: 56, justifyContent: 'center', borderBottomWidth: 1, paddingVertical: SPACE.gap },
});
