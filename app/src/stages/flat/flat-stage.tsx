import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { RoomFrame } from '../../room/room-frame.tsx';
import { EdgeLayer, ExtremesLayer } from '../../sheet/edge-layer.tsx';
import { LevelLayer } from '../../sheet/level-layer.tsx';
import { Sheet } from '../../sheet/sheet.tsx';
import { StationsLayer } from '../../sheet/stations-layer.tsx';
import { usePalette } from '../../theme/theme.tsx';
import { Button } from '../../ui/button.tsx';
import { Words } from '../../ui/text.tsx';
import { NoCard } from '../no-card.tsx';
import type { StageProps } from '../stage-props.ts';
import { Findings, FindingsActions } from './findings.tsx';
import { ReadBench } from './read-bench.tsx';
import { StationsPanel } from './stations-panel.tsx';
import { usePlacing } from './use-placing.ts';
import { useRun } from './use-run.ts';

/** Is the floor flat: reading it, and what the readings say. */
export function FlatStage(props: StageProps) {
  const { shown, room, picture, schools, failed, go } = props;
  const palette = usePalette();
  const [findings, setFindings] = useState<boolean | null>(null);
  const [showing, setShowing] = useState(0);
  const stations = useMemo(() => picture?.stations ?? [], [picture]);
  const run = useRun(shown, stations);
  const { placing, setPlacing, tap } = usePlacing(shown, stations, run, () => setFindings(false));
  const levels = useMemo(() => new Map((picture?.levels ?? []).map((l) => [l.stationKey, l.levelMm])), [picture]);
  // A floor that is fully read opens on its verdict; one that is not opens where the reading goes on.
  const closed = run.setup !== null && (run.setup.openRodMm === null || run.setup.closeRodMm !== null);
  const complete = shown.readings.length > 0 && run.left === 0 && closed;
  const reading = !(findings ?? complete);
  const rule = picture?.rules[0];
  const placement = rule?.placements[showing] ?? rule?.placements[0];
  const flatCriterion = picture?.criteria.find((c) => c.id === 'flat');
  const sheet = (
    <Sheet
      room={room}
      description={`${room.name}: ${stations.length} stations, ${levels.size} read. ${flatCriterion?.margin ?? ''}`}
      onTap={tap}
      under={(view) => (picture?.map ? <LevelLayer map={picture.map} view={view} /> : null)}
      over={(view) =>
        reading ? (
          <StationsLayer
            stations={stations}
            levels={levels}
            currentKey={run.current?.key ?? null}
            spacingMm={picture?.spacingMm ?? 600}
            view={view}
            units={room.units}
            walk
          />
        ) : (
          <>
            {placement ? <EdgeLayer shown={placement} view={view} /> : null}
            {rule ? <ExtremesLayer extremes={rule.extremes} view={view} /> : null}
          </>
        )
      }
    />
  );
  const actions =
    !reading && picture ? (
      <FindingsActions picture={picture} onRead={() => setFindings(false)} onPlan={() => go('plan')} />
    ) : null;
  return (
    <RoomFrame
      stage="flat"
      props={props}
      sheet={sheet}
      actions={actions}
      keying={reading}
      onStep={(by) => {
        run.step(by);
        setFindings(false);
      }}
    >
      {!shown.card ? <NoCard onChoose={() => go('room')} /> : null}
      {picture && levels.size > 0 ? (
        <View style={[styles.switch, { borderColor: palette.rule }]}>
          <Button label="Read" selected={reading} onPress={() => setFindings(false)} style={styles.tab} />
          <Button label="Verdict" selected={!reading} onPress={() => setFindings(true)} style={styles.tab} />
        </View>
      ) : null}
      {shown.card && !picture ? <Words style={styles.note}>{failed ?? 'Setting out stations …'}</Words> : null}
      {shown.card && picture && reading ? (
        <ReadBench
          room={room}
          run={run}
          total={stations.length}
          onKeyed={() => setFindings(false)}
          onFindings={() => setFindings(true)}
        />
      ) : null}
      {shown.card && picture && !reading ? (
        <Findings
          room={room}
          card={shown.card}
          picture={picture}
          schools={schools}
          shown={showing}
          onShow={setShowing}
        />
      ) : null}
      {shown.card && picture ? (
        <StationsPanel
          shown={shown}
          room={room}
          card={shown.card}
          picture={picture}
          current={run.current}
          placing={placing}
          onPlacing={setPlacing}
        />
      ) : null}
    </RoomFrame>
  );
}

const styles = StyleSheet.create({
  note: { padding: 16 },
  switch: { flexDirection: 'row', gap: 8, paddingHorizontal: 16, paddingVertical: 6 },
  tab: { minHeight: 48 },
});
