import { useCallback, useMemo, useState } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { useRouter } from 'expo-router';
import type { RoomFacts, Wall } from '@maquette/core/room';
import { useBook, useRoom } from '../data/use-facts.ts';
import { undoLast } from '../data/write.ts';
import { Course } from '../course/course.tsx';
import { EdgeLayer, ExtremesLayer } from '../sheet/edge-layer.tsx';
import { LevelLayer } from '../sheet/level-layer.tsx';
import { PatchesLayer } from '../sheet/patches-layer.tsx';
import { Sheet } from '../sheet/sheet.tsx';
import { StationsLayer } from '../sheet/stations-layer.tsx';
import { Findings, FindingsActions } from '../stages/flat/findings.tsx';
import { ReadBench } from '../stages/flat/read-bench.tsx';
import { StationsPanel } from '../stages/flat/stations-panel.tsx';
import { usePlacing } from '../stages/flat/use-placing.ts';
import { useRun } from '../stages/flat/use-run.ts';
import { PlanBench, type Way } from '../stages/plan/plan-bench.tsx';
import { PlanSide } from '../stages/plan/plan-side.tsx';
import { RoomBench } from '../stages/room/room-bench.tsx';
import { isStage, markOf, STAGES, type Stage } from '../stages/stages.ts';
import { BENCH_PX, usePalette, WIDE_PX } from '../theme/theme.tsx';
import { Button } from '../ui/button.tsx';
import { Words } from '../ui/text.tsx';
import { UndoBar } from '../ui/undo-bar.tsx';
import { useJudged, usePlanned } from '../worker/use-judged.ts';
import { Header } from './header.tsx';
import { Keys } from './keys.tsx';
import { Trouble } from './trouble.tsx';
import { UnitsButton } from './units-button.tsx';

/** Height of the bench while reading on a phone: the pad and no more, the rest is for the sheet. */
const PAD_PX = { metric: 376, imperial: 472 } as const;

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

function OpenRoom({
  shown,
  room: onRecord,
  stage,
}: {
  shown: ReturnType<typeof useRoom>;
  room: RoomFacts;
  stage: Stage;
}) {
  const palette = usePalette();
  const router = useRouter();
  const book = useBook();
  const wide = useWindowDimensions().width >= WIDE_PX;
  const [draft, setDraft] = useState<Wall[] | null>(null);
  const [findings, setFindings] = useState<boolean | null>(null);
  const [showing, setShowing] = useState(0);
  const [way, setWay] = useState<Way>('fill');
  const [patch, setPatch] = useState<string | null>(null);
  const [trouble, setTrouble] = useState(true);
  const [help, setHelp] = useState(false);
  const room = useMemo(() => (draft ? { ...onRecord, walls: draft, door: null } : onRecord), [draft, onRecord]);
  const { picture, schools, failed } = useJudged(onRecord, shown.flat, shown.card);
  const planned = usePlanned(onRecord, shown.flat, shown.card, stage === 'plan' && shown.readings.length > 0);
  const stations = useMemo(() => picture?.stations ?? [], [picture]);
  const run = useRun(shown, stations);
  const { placing, setPlacing, tap } = usePlacing(shown, stations, run, () => setFindings(false));
  const levels = useMemo(() => new Map((picture?.levels ?? []).map((l) => [l.stationKey, l.levelMm])), [picture]);
  const job = book.jobs.find((j) => j.id === onRecord.jobId);
  // A floor that is fully read opens on its verdict; one that is not opens where the reading goes on.
  const closed = run.setup !== null && (run.setup.openRodMm === null || run.setup.closeRodMm !== null);
  const complete = shown.readings.length > 0 && run.left === 0 && closed;
  const reading = stage === 'flat' && !(findings ?? complete);
  const rule = picture?.rules[0];
  const placement = rule?.placements[showing] ?? rule?.placements[0];

  const go = useCallback((next: Stage) => router.replace(`/rooms/${onRecord.id}/${next}`), [router, onRecord.id]);

  const description = `${onRecord.name}: ${stations.length} stations, ${levels.size} read. ${picture?.criteria[0]?.margin ?? ''}`;
  const sheet = (
    <Sheet
      room={room}
      description={description}
      wallNames={stage === 'room'}
      {...(stage === 'flat' ? { onTap: tap } : {})}
      under={(view) =>
        draft || stage === 'room' ? null : <>{picture?.map ? <LevelLayer map={picture.map} view={view} /> : null}</>
      }
      over={(view) =>
        draft || stage === 'room' ? null : (
          <>
            {stage === 'flat' && reading ? (
              <StationsLayer
                stations={stations}
                levels={levels}
                currentKey={run.current?.key ?? null}
                spacingMm={picture?.spacingMm ?? 600}
                view={view}
                units={room.units}
                walk
              />
            ) : null}
            {stage === 'flat' && !reading && placement ? <EdgeLayer shown={placement} view={view} /> : null}
            {stage === 'flat' && !reading && rule ? <ExtremesLayer extremes={rule.extremes} view={view} /> : null}
            {stage === 'plan' && planned.plan && way === 'fill' ? (
              <PatchesLayer patches={planned.plan.fill.patches} view={view} chosen={patch} />
            ) : null}
          </>
        )
      }
    />
  );

  const bench =
    stage === 'room' ? (
      <RoomBench
        key={onRecord.id}
        shown={shown}
        room={onRecord}
        card={shown.card}
        onDraft={setDraft}
        onNext={() => go('flat')}
      />
    ) : !shown.card ? (
      <View style={styles.note}>
        <Words bold>The covering card of this room is not here.</Words>
        <Button kind="main" label="Choose a covering" onPress={() => go('room')} />
      </View>
    ) : stage === 'flat' ? (
      reading || !picture ? (
        picture ? (
          <ReadBench
            room={onRecord}
            run={run}
            total={stations.length}
            onKeyed={() => setFindings(false)}
            onFindings={() => setFindings(true)}
          />
        ) : (
          <Words style={styles.note}>{failed ?? 'Setting out stations …'}</Words>
        )
      ) : (
        <Findings
          room={onRecord}
          card={shown.card}
          picture={picture}
          schools={schools}
          shown={showing}
          onShow={setShowing}
        />
      )
    ) : (
      <PlanSide planned={planned} none={shown.readings.length === 0} onRead={() => go('flat')}>
        {planned.plan ? (
          <PlanBench room={onRecord} plan={planned.plan} way={way} onWay={setWay} chosen={patch} onChoose={setPatch} />
        ) : null}
      </PlanSide>
    );
  const extra =
    stage === 'flat' && picture && shown.card ? (
      <StationsPanel
        shown={shown}
        room={onRecord}
        card={shown.card}
        picture={picture}
        current={run.current}
        placing={placing}
        onPlacing={setPlacing}
      />
    ) : null;
  const course = (
    <Course
      planks={STAGES.map(({ stage: s, label }) => ({
        stage: s,
        label,
        verdict: markOf(s, onRecord.door !== null, picture, planned.plan),
      }))}
      chosen={stage}
      onChoose={go}
      wide={wide}
    />
  );
  const switcher =
    stage === 'flat' && picture && levels.size > 0 ? (
      <View style={[styles.switch, { borderColor: palette.rule }]}>
        <Button label="Read" selected={reading} onPress={() => setFindings(false)} style={styles.tab} />
        <Button label="Verdict" selected={!reading} onPress={() => setFindings(true)} style={styles.tab} />
      </View>
    ) : null;
  const benchBody = (
    <ScrollView style={styles.scroll} contentContainerStyle={styles.scrollBody} keyboardShouldPersistTaps="handled">
      {trouble ? <Trouble units={onRecord.units} /> : null}
      {switcher}
      {bench}
      {extra}
    </ScrollView>
  );
  const actions =
    stage === 'flat' && !reading && picture ? (
      <FindingsActions picture={picture} onRead={() => setFindings(false)} onPlan={() => go('plan')} />
    ) : null;

  return (
    <View style={[styles.screen, { backgroundColor: palette.sheet }]}>
      <Keys
        onStage={(index) => (STAGES[index] ? go(STAGES[index].stage) : undefined)}
        onStep={(by) => {
          run.step(by);
          setFindings(false);
        }}
        onUndo={() => void undoLast()}
        onHelp={() => setHelp(!help)}
        help={help}
        digitsTyped={reading}
      />
      <Header
        above={job?.name ?? ''}
        title={onRecord.name}
        backLabel="Site book"
        onBack={() => router.replace('/')}
        right={<UnitsButton room={shown.room!} />}
        onTrouble={() => setTrouble(!trouble)}
      />
      {wide ? (
        <View role="main" style={styles.wide}>
          {course}
          <View style={styles.sheet}>{sheet}</View>
          <View style={[styles.bench, { backgroundColor: palette.bench, borderColor: palette.ink }]}>
            {benchBody}
            {actions}
            <UndoBar />
          </View>
        </View>
      ) : (
        <>
          <View role="main" style={styles.phone}>
            <View style={reading ? styles.sheet : styles.sheetShort}>{sheet}</View>
            <View
              style={[
                reading ? [styles.benchRead, { height: PAD_PX[room.units] }] : styles.benchPhone,
                { backgroundColor: palette.bench, borderColor: palette.ink },
              ]}
            >
              {benchBody}
            </View>
            {actions}
            <UndoBar />
          </View>
          {course}
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  note: { padding: 16, gap: 12 },
  wide: { flex: 1, flexDirection: 'row', minHeight: 0 },
  phone: { flex: 1, minHeight: 0 },
  sheet: { flex: 1, minHeight: 0 },
  sheetShort: { height: '36%', minHeight: 220 },
  bench: { width: BENCH_PX, borderLeftWidth: 2, minHeight: 0 },
  benchPhone: { flex: 1, borderTopWidth: 2, minHeight: 0 },
  benchRead: { borderTopWidth: 2, flexShrink: 0 },
  scroll: { flex: 1 },
  scrollBody: { paddingBottom: 8 },
  switch: { flexDirection: 'row', gap: 8, paddingHorizontal: 16, paddingVertical: 6 },
  tab: { minHeight: 48 },
});
