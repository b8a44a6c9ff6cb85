import { Suspense, useCallback, useMemo } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { useRouter } from 'expo-router';
import type { RoomFacts } from '@maquette/core/room';
import { useUnits } from '../data/device-settings.ts';
import { useRoom } from '../data/use-facts.ts';
import type { StageProps } from '../stages/stage-props.ts';
import { courseOf, isStage, STAGES, type Stage } from '../stages/stages.ts';
import { usePalette, WIDE_PX, SPACE } from '../theme/theme.tsx';
import { PartBoundary } from '../ui/part-boundary.tsx';
import { Words } from '../ui/text.tsx';
import { ShownIn } from '../ui/shown-in.tsx';
import { useJudged } from '../worker/use-judged.ts';
import { Header } from './header.tsx';
import { Trouble } from './trouble.tsx';

/** One room: the sheet, the bench of the chosen stage, the course. */
export function RoomScreen({ roomId, stage: asked }: { roomId: string; stage: string }) {
  const shown = useRoom(roomId);
  const [units] = useUnits();
  const palette = usePalette();
  const router = useRouter();
  if (shown.loading || !shown.room || !shown.facts) {
    return (
      <View style={[styles.screen, { backgroundColor: palette.sheet }]}>
        <Header
          title={shown.loading ? 'Opening …' : 'No such room'}
          backLabel="Site book"
          onBack={() => router.replace('/')}
        />
        {!shown.loading ? (
          <ScrollView role="main">
            {/* What was entered in it before it went is told here as well: this is where its author stands. */}
            <Trouble units={units} />
            <Words style={styles.note}>It is not on this device or on the server. It may have been removed.</Words>
          </ScrollView>
        ) : null}
      </View>
    );
  }
  return (
    <ShownIn units={shown.facts.units} zone={shown.job?.zone ?? ''}>
      <OpenRoom shown={shown} room={shown.facts} stage={isStage(asked) ? asked : 'flat'} />
    </ShownIn>
  );
}

/** Stands while a stage is fetched, the first time it is opened. */
function Opening({ title }: { title: string }) {
  const palette = usePalette();
  const router = useRouter();
  return (
    <View style={[styles.screen, { backgroundColor: palette.sheet }]}>
      <Header title={title} backLabel="Site book" onBack={() => router.replace('/')} />
    </View>
  );
}

function OpenRoom({ shown, room, stage }: { shown: ReturnType<typeof useRoom>; room: RoomFacts; stage: Stage }) {
  const router = useRouter();
  const wide = useWindowDimensions().width >= WIDE_PX;
  const { picture, schools, failed } = useJudged(shown.set, shown.writes);
  const go = useCallback((next: string) => router.replace(`/rooms/${room.id}/${next}`), [router, room.id]);
  const hasWayIn = room.openings.length > 0;
  const course = useMemo(() => courseOf(hasWayIn, picture), [hasWayIn, picture]);
  const props: StageProps = { shown, room, picture, schools, failed, wide, go, course };
  const { View: StageView } = STAGES.find((s) => s.id === stage)!;
  return (
    <PartBoundary key={stage}>
      <Suspense fallback={<Opening title={room.name} />}>
        <StageView {...props} />
      </Suspense>
    </PartBoundary>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  note: { padding: SPACE.edge, gap: SPACE.part },
});
