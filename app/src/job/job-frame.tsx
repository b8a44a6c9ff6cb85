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
  children: ReactNode;
}

/** A page of a job: the course of its pages below, or at the side where there is room. */
export function JobFrame({ jobId, page, shown, above, children }: Props) {
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
            <Working shown={shown} />
            {course || shown.rooms.length > 0 ? children : <NoRooms jobId={jobId} />}
          </ScrollView>
        </View>
        <UndoBar />
        {wide ? null : <JobCourseRow jobId={jobId} page={page} shown={shown} />}
      </View>
    </ShownIn>
  );
}

/** How far it is worked out, and why not where it is not. */
function Working({ shown: { working, failed, isNow, course, stop, again } }: { shown: CourseShown }) {
  if (working !== null)
    return (
      <View role="status" style={styles.note} testID="working">
        <Words figure>
          {course
            ? `Worked out anew, ${Math.round(working * 100)} % …`
            : `Every room is gone through, ${Math.round(working * 100)} % …`}
        </Words>
        <ButtonRow>
          <Button label="Stop" hint="working it out" onPress={stop} />
        </ButtonRow>
      </View>
    );
  if (failed)
    return (
      <View style={styles.note}>
        <Words role="alert">{failed}</Words>
        <ButtonRow>
          <Button label="Work it out" onPress={again} />
        </ButtonRow>
      </View>
    );
  return course && !isNow ? (
    <View style={styles.note}>
      <Words size="small" quiet role="status">
        As it stood before: the rooms are still being read.
      </Words>
    </View>
  ) : null;
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
  note: { paddingHorizontal: SPACE.edge, paddingVertical: SPACE.gap, gap: SPACE.gap },
});
