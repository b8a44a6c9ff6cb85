import { useCallback, useMemo } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { useRouter } from 'expo-router';
import type { RoomFacts } from '@maquette/core/room';
import { useRoom } from '../data/use-facts.ts';
import { DampStage } from '../stages/damp/damp-stage.tsx';
import { FlatStage } from '../stages/flat/flat-stage.tsx';
import { PlanStage } from '../stages/plan/plan-stage.tsx';
import { RoomStage } from '../stages/room/room-stage.tsx';
import type { StageProps } from '../stages/stage-props.ts';
import { isStage, marksOf, type Stage } from '../stages/stages.ts';
import { SoundStage } from '../stages/sound/sound-stage.tsx';
import { StripStage } from '../stages/strip/strip-stage.tsx';
import { usePalette, WIDE_PX } from '../theme/theme.tsx';
import { Words } from '../ui/text.tsx';
import { useJudged } from '../worker/use-judged.ts';
import { Header } from './header.tsx';

const STAGE_VIEWS = {
  room: RoomStage,
  strip: StripStage,
  damp: DampStage,
  sound: SoundStage,
  flat: FlatStage,
  plan: PlanStage,
} as const;

/** One room: the sheet, the bench of the chosen stage, the course. */
export function RoomScreen({ roomId, stage: asked }: { roomId: string; stage: string }) {
  const shown = useRoom(roomId);
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
          <Words style={styles.note}>It is not on this device or on the server. It may have been removed.</Words>
        ) : null}
      </View>
    );
  }
  return <OpenRoom shown={shown} room={shown.facts} stage={isStage(asked) ? asked : 'flat'} />;
}

function OpenRoom({ shown, room, stage }: { shown: ReturnType<typeof useRoom>; room: RoomFacts; stage: Stage }) {
  const router = useRouter();
  const wide = useWindowDimensions().width >= WIDE_PX;
  const { picture, schools, failed } = useJudged(shown.set);
  const go = useCallback((next: Stage) => router.replace(`/rooms/${room.id}/${next}`), [router, room.id]);
  const stageMarks = useMemo(() => marksOf(room.openings.length > 0, picture), [room.openings.length, picture]);
  const props: StageProps = { shown, room, picture, schools, failed, wide, go, stageMarks };
  const StageView = STAGE_VIEWS[stage];
  return <StageView {...props} />;
}

const styles = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  note: { padding: 16, gap: 12 },
});
