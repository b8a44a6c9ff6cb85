import { useMemo, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import { floorAreaM2 } from '@maquette/core/room';
import { formatArea } from '@maquette/core/units';
import type { ShownBook } from '../data/use-facts.ts';
import { useBook } from '../data/use-facts.ts';
import { useUnits } from '../data/device-settings.ts';
import { Header } from '../room/header.tsx';
import { WhatWaits } from '../room/what-waits.tsx';
import { Trouble } from '../room/trouble.tsx';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { fetched } from '../ui/fetched.tsx';
import { Fold } from '../ui/fold.tsx';
import { Words } from '../ui/text.tsx';
import { UndoBar } from '../room/undo-bar.tsx';
import type { RoomLine } from '../worker/kept-lines.ts';
import { useVerdicts } from '../worker/use-verdicts.ts';
import { RemovedList } from './removed.tsx';
import { Arrange } from './arrange.tsx';
import { RoomRow, rowScale } from './room-row.tsx';
import { useBringIn } from './bring-in.tsx';
import { bodyOf } from '@maquette/facts';
import { placed } from '../data/placed.ts';
import { write } from '../data/write.ts';
import { Touch } from '../ui/touch.tsx';

/** The forms come in a file of their own: the book stands without them. */
const NewJob = fetched(() => import('./new-job.tsx').then((part) => part.NewJob));

/** Home: jobs as ruled lines, their rooms drawn to one scale, and the next thing to do. */
export function SiteBook() {
  const palette = usePalette();
  const router = useRouter();
  const book = useBook();
  const lines = useVerdicts(book);
  const units = useUnits()[0];
  const bringIn = useBringIn();
  const [looking, setLooking] = useState(false);
  const [naming, setNaming] = useState(false);
  return (
    <View style={[styles.screen, { backgroundColor: palette.sheet }]}>
      <Header
        title="Site book"
        onWaits={() => setLooking(!looking)}
        right={
          <Button kind="quiet" label="Settings" onPress={() => router.push('/settings')} style={styles.settings} />
        }
      />
      {looking ? <WhatWaits /> : null}
      <ScrollView role="main" style={styles.grow} contentContainerStyle={styles.list}>
        <Trouble units={units} />
        {book.jobs.map((job) => (
          <JobEntry key={job.id} job={job} book={book} lines={lines} units={units} />
        ))}
        {!book.loading && book.jobs.length === 0 ? (
          <View style={styles.empty}>
            <Words bold size="large">
              No job yet
            </Words>
            <Words>
              Name the job, add its rooms by two tape measures each, then walk them with a laser and a staff. Start the
              server with its demo to see Sluice House, a worked example.
            </Words>
          </View>
        ) : null}
        {book.loading ? <Words style={styles.empty}>Opening the book …</Words> : null}
        {book.rooms.length > 0 ? (
          <View style={styles.due}>
            <ButtonRow>
              <Button label="What is due" hint="Today and next, over all jobs" onPress={() => router.push('/agenda')} />
              <Button label="Find" hint="A batch, a covering, a reading" onPress={() => router.push('/search')} />
            </ButtonRow>
          </View>
        ) : null}
        <View style={styles.removed}>
          <Arrange
            title="Move or remove jobs"
            items={book.jobs}
            onPlace={(id, to) => {
              const moved = placed(book.jobs, id, to);
              void write(
                `${book.jobs.find((job) => job.id === id)!.name} moved`,
                moved.map((job) => ({ kind: 'jobs', id: job.id, body: bodyOf(job) })),
              );
            }}
            onRemove={(id) => {
              const job = book.jobs.find((one) => one.id === id)!;
              if (!globalThis.confirm(`Remove ${job.name} and its rooms from the book? Undo brings it back.`)) return;
              void write(`${job.name} removed`, [{ kind: 'jobs', id, body: bodyOf(job), deleted: true }]);
            }}
          />
          <Fold title="Removed jobs and rooms">
            <RemovedList />
          </Fold>
        </View>
      </ScrollView>
      {bringIn.card}
      <UndoBar asked={looking} />
      <View style={[styles.foot, { borderColor: palette.rule, backgroundColor: palette.sheet }]}>
        {naming ? (
          <NewJob jobs={book.jobs} onLeave={() => setNaming(false)} />
        ) : (
          <ButtonRow>
            <Button kind="main" label="New job" onPress={() => setNaming(true)} style={styles.wideButton} />
            {bringIn.key}
          </ButtonRow>
        )}
      </View>
    </View>
  );
}

function JobEntry({
  job,
  book,
  lines,
  units,
}: {
  job: ShownBook['jobs'][number];
  book: ShownBook;
  lines: ReadonlyMap<string, RoomLine>;
  units: 'metric' | 'imperial';
}) {
  const palette = usePalette();
  const router = useRouter();
  const rooms = useMemo(() => book.rooms.filter((room) => room.jobId === job.id), [book.rooms, job.id]);
  const scale = useMemo(() => rowScale(book.rooms), [book.rooms]);
  const area = useMemo(() => rooms.reduce((sum, room) => sum + floorAreaM2(room), 0), [rooms]);
  return (
    <View style={[styles.job, { borderColor: palette.rule, backgroundColor: palette.paper }]}>
      <Touch label={`Open ${job.name}`} onPress={() => router.push(`/jobs/${job.id}`)} style={styles.title}>
        <Words bold size="large" role="heading" aria-level={2} style={styles.grow}>
          {job.name}
        </Words>
        <Words figure quiet>
          {[job.about, formatArea(area, units)].filter(Boolean).join(' · ')}
        </Words>
      </Touch>
      <View>
        {rooms.map((room) => (
          <RoomRow key={room.id} room={room} line={lines.get(room.id) ?? null} zone={job.zone ?? ''} scale={scale} />
        ))}
        {rooms.length === 0 ? (
          <Button label="Add the first room" onPress={() => router.push(`/jobs/${job.id}`)} style={styles.first} />
        ) : null}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  removed: { paddingHorizontal: SPACE.edge },
  due: { padding: SPACE.edge },
  screen: { flex: 1 },
  grow: { flex: 1 },
  list: { paddingBottom: SPACE.edge, width: '100%', maxWidth: 1000, alignSelf: 'center' },
  settings: { paddingHorizontal: SPACE.near, flexGrow: 0 },
  empty: { padding: SPACE.edge, gap: SPACE.gap },
  job: { borderBottomWidth: 1, paddingHorizontal: SPACE.edge, paddingBottom: SPACE.edge, gap: SPACE.gap },
  title: { flexDirection: 'row', alignItems: 'center', gap: SPACE.part, minHeight: 56 },
  first: { flexGrow: 0 },
  foot: { padding: SPACE.edge, borderTopWidth: 1, gap: SPACE.gap, width: '100%', maxWidth: 1000, alignSelf: 'center' },
  wideButton: { flexGrow: 3 },
});
