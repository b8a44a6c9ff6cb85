import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { useRouter } from 'expo-router';
import { useUnits } from '../data/device-settings.ts';
import { Header } from '../room/header.tsx';
import { UndoBar } from '../room/undo-bar.tsx';
import { SPACE, usePalette, WIDE_PX } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { ShownIn } from '../ui/shown-in.tsx';
import { Words } from '../ui/text.tsx';
import { JobCourseRow } from './job-course-row.tsx';
import { JOB_PAGES, type JobPage } from './job-pages.ts';
import type { CourseShown } from './use-course.ts';

interface Props {
  jobId: string;
  page: JobPage;
  shown: CourseShown;
  /** What is said above all: it stays where it is. */
  above?: ReactNode;
  /** The page says itself how far the job is worked out, where that is wanted. */
  tellsItself?: boolean;
  children: ReactNode;
}

/** A page of a job: the course of its pages below, or at the side where there is room. */
export function JobFrame({ jobId, page, shown, above, tellsItself = false, children }: Props) {
  const palette = usePalette();
  const router = useRouter();
  const units = useUnits()[0];
  const wide = useWindowDimensions().width >= WIDE_PX;
  const { job, course } = shown;
  const title = JOB_PAGES.find((one) => one.page === page)!.label;
  return (
    <ShownIn units={units} zone={job?.zone ?? ''}>
      <View style={[styles.screen, { backgroundColor: palette.sheet }]}>
        <Header above={job?.name ?? ''} title={title} backLabel="Site book" onBack={() => router.replace('/')} />
        <View style={wide ? styles.beside : styles.grow}>
          {wide ? <JobCourseRow jobId={jobId} page={page} shown={shown} wide /> : null}
          <ScrollView role="main" style={styles.grow} contentContainerStyle={styles.list}>
            {above}
            <Unjudged rooms={shown.unjudged} />
            {course || tellsItself ? null : <Working shown={shown} />}
            {course || shown.rooms.length > 0 ? children : <NoRooms jobId={jobId} />}
          </ScrollView>
        </View>
        {course ? <WorkingBar shown={shown} /> : null}
        <UndoBar />
        {wide ? null : <JobCourseRow jobId={jobId} page={page} shown={shown} />}
      </View>
    </ShownIn>
  );
}

/** Rooms that are left out of all that follows, and where that is mended. */
function Unjudged({ rooms }: { rooms: CourseShown['unjudged'] }) {
  const router = useRouter();
  const [first] = rooms;
  if (!first) return null;
  const names = rooms.map(({ name }) => name).join(', ');
  return (
    <View style={styles.note} role="alert">
      <Words>{`${names}: the card of the covering was removed. Nothing here counts ${rooms.length === 1 ? 'this room' : 'these rooms'} until another covering is chosen.`}</Words>
      <ButtonRow>
        <Button label={`Choose one for ${first.name}`} onPress={() => router.push(`/rooms/${first.id}/room`)} />
      </ButtonRow>
    </View>
  );
}

/** How far a job that was not shown yet is worked out, and why not where it is not. */
function Working({ shown: { working, failed, stop, again } }: { shown: CourseShown }) {
  if (working !== null)
    return (
      <View role="status" style={styles.note} testID="working">
        <Words figure>{`Every room is gone through, ${Math.round(working * 100)} % …`}</Words>
        <ButtonRow>
          <Button label="Stop" hint="working it out" onPress={stop} />
        </ButtonRow>
      </View>
    );
  return failed ? (
    <View style={styles.note}>
      <Words role="alert">{failed}</Words>
      <ButtonRow>
        <Button label="Work it out" onPress={again} />
      </ButtonRow>
    </View>
  ) : null;
}

/**
 * What is shown is of before, and what is done about it. It stands below the page: above, it would come and go and push what
 * a finger is about to touch.
 */
function WorkingBar({ shown: { working, failed, isNow, stop, again } }: { shown: CourseShown }) {
  const palette = usePalette();
  const bar = [styles.bar, { backgroundColor: palette.plank, borderColor: palette.rule }];
  if (working !== null)
    return (
      <View role="status" style={bar} testID="working">
        <Words figure style={styles.grow}>{`Worked out anew, ${Math.round(working * 100)} % …`}</Words>
        <Button kind="quiet" label="Stop" hint="working it out" onPress={stop} style={styles.button} />
      </View>
    );
  if (failed)
    return (
      <View style={bar}>
        <Words role="alert" style={styles.grow}>
          {failed}
        </Words>
        <Button kind="quiet" label="Work it out" onPress={again} style={styles.button} />
      </View>
    );
  return isNow ? null : (
    <View role="status" style={bar}>
      <Words size="small">As it stood before: the rooms are still being read.</Words>
    </View>
  );
}

function NoRooms({ jobId }: { jobId: string }) {
  const router = useRouter();
  return (
    <View style={styles.note}>
      <Words>No room yet. Days, bill and price are made of what the rooms need.</Words>
      <ButtonRow>
        <Button kind="main" label="Add a room" onPress={() => router.replace(`/jobs/${jobId}`)} />
      </ButtonRow>
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1 },
  grow: { flex: 1 },
  beside: { flex: 1, flexDirection: 'row' },
  list: { width: '100%', maxWidth: 1100, marginHorizontal: 'auto', paddingBottom: 32 },
  bar: { flexDirection: 'row', alignItems: 'center', minHeight: 48, paddingLeft: SPACE.edge, borderTopWidth: 1 },
  button: { flexGrow: 0, paddingHorizontal: SPACE.edge },
  note: { paddingHorizontal: SPACE.edge, paddingVertical: SPACE.gap, gap: SPACE.gap },
});
