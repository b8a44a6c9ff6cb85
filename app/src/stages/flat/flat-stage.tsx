import { useMemo, useState } from 'react';
import type { CoveringCard } from '@maquette/core/coverings';
import type { Rings } from '@maquette/core/flat';
import { StyleSheet, View } from 'react-native';
import { RoomFrame } from '../../room/room-frame.tsx';
import { EdgeLayer, ExtremesLayer } from '../../sheet/edge-layer.tsx';
import { LevelLayer } from '../../sheet/level-layer.tsx';
import { ScanLayer } from '../../sheet/scan-layer.tsx';
import { Sheet } from '../../sheet/sheet.tsx';
import { UnsureLayer } from '../../sheet/unsure-layer.tsx';
import { WalksLayer } from '../../sheet/walks-layer.tsx';
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
import { EdgeBench } from './edge-bench.tsx';
import { useEdges } from './use-edges.ts';
import { ScanBench } from './scan-bench.tsx';
import { useScan } from './use-scan.ts';
import { useRun } from './use-run.ts';
import { useSay } from '../../ui/shown-in.tsx';
import { counted } from '../../ui/counted.ts';

/** Is the floor flat: reading it, and what the readings say. */
export function FlatStage(props: StageProps) {
  const say = useSay();
  const { shown, room, picture, schools, failed, go } = props;
  const palette = usePalette();
  const [mode, setMode] = useState<'read' | 'edge' | 'scan' | 'verdict' | null>(null);
  const setFindings = (on: boolean) => setMode(on ? 'verdict' : 'read');
  const [showing, setShowing] = useState(0);
  const stations = useMemo(() => picture?.stations ?? [], [picture]);
  const run = useRun(shown, stations);
  const { placing, setPlacing, tap } = usePlacing(shown, stations, run, () => setFindings(false));
  const levels = useMemo(() => new Map((picture?.levels ?? []).map((l) => [l.stationKey, l.levelMm])), [picture]);
  // A floor that is fully read opens on its verdict; one that is not opens where the reading goes on.
  const closed = run.setup !== null && (run.setup.openRodMm === null || run.setup.closeRodMm !== null);
  const complete = shown.readings.length > 0 && run.left === 0 && closed;
  const shownMode = mode ?? (complete ? 'verdict' : 'read');
  const reading = shownMode === 'read';
  const edging = shownMode === 'edge';
  const scanning = useScan(shown, room, picture);
  const scans = shownMode === 'scan';
  const rule = picture?.rules[0];
  const edges = useEdges(shown, room, longestEdge(shown.card));
  const placement = rule?.placements[showing] ?? rule?.placements[0];
  const flatCriterion = picture?.criteria.find((c) => c.id === 'flat');
  const sheet = (
    <Sheet
      room={room}
      description={`${room.name}: ${counted(stations.length, 'station')}, ${levels.size} read. ${say(flatCriterion?.margin ?? '')}`}
      onTap={edging ? edges.tap : scans ? () => undefined : tap}
      grip={scans ? scanning.grip : null}
      // A scan that is being laid is seen by itself.
      under={(view) =>
        picture?.map && !(scans && scanning.answer) ? <LevelLayer map={picture.map} view={view} /> : null
      }
      over={(view) =>
        scans ? (
          scanning.answer && scanning.place ? (
            <ScanLayer answer={scanning.answer} place={scanning.place} view={view} />
          ) : null
        ) : edging ? (
          <WalksLayer
            proposed={edges.proposed}
            laid={edges.laid}
            current={edges.current}
            started={edges.started}
            view={view}
            units={room.units}
          />
        ) : reading ? (
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
            {picture ? (
              <UnsureLayer unsure={picture.failure?.unsure ?? NO_RINGS} breaks={picture.breaks} view={view} />
            ) : null}
            {placement ? <EdgeLayer shown={placement} view={view} /> : null}
            {rule ? <ExtremesLayer extremes={rule.extremes} view={view} /> : null}
          </>
        )
      }
    />
  );
  const actions =
    shownMode === 'verdict' && picture ? (
      <FindingsActions picture={picture} onRead={() => setFindings(false)} onPlan={() => go('level')} />
    ) : null;
  return (
    <RoomFrame
      stage="flat"
      props={props}
      sheet={sheet}
      actions={actions}
      keying={reading || (edging && edges.current !== null)}
      onStep={(by) => {
        run.step(by);
        setFindings(false);
      }}
    >
      {!shown.card ? <NoCard onChoose={() => go('room')} /> : null}
      {picture ? (
        <View style={[styles.switch, { borderColor: palette.rule }]}>
          <Button label="Read" selected={reading} onPress={() => setFindings(false)} style={styles.tab} />
          <Button label="Edge" selected={edging} onPress={() => setMode('edge')} style={styles.tab} />
          <Button label="Scan" selected={scans} onPress={() => setMode('scan')} style={styles.tab} />
          <Button
            label="Verdict"
            selected={shownMode === 'verdict'}
            onPress={() => setFindings(true)}
            style={styles.tab}
          />
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
      {shown.card && picture && edging ? <EdgeBench shown={shown} room={room} edges={edges} /> : null}
      {shown.card && picture && scans ? (
        <ScanBench shown={shown} room={room} picture={picture} scanning={scanning} onRead={() => setFindings(false)} />
      ) : null}
      {shown.card && picture && shownMode === 'verdict' ? (
        <Findings
          room={room}
          card={shown.card}
          picture={picture}
          schools={schools}
          shown={showing}
          onShow={setShowing}
          onSet={(key) => {
            run.choose(key);
            setFindings(false);
          }}
        />
      ) : null}
      {shown.card && picture && !edging && !scans ? (
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

const NO_RINGS: Rings = [];

/** The longest edge a card's rules ask for, mm; two metres where none is chosen. */
function longestEdge(card: CoveringCard | null): number {
  return card ? Math.max(...card.rules.map((rule) => rule.edgeMm)) : 2000;
}

const styles = StyleSheet.create({
  note: { padding: 16 },
  switch: { flexDirection: 'row', gap: 8, paddingHorizontal: 16, paddingVertical: 6 },
  tab: { minHeight: 48, paddingHorizontal: 4 },
});
