import { useMemo, useState } from 'react';
import type { CoveringCard } from '@maquette/core/coverings';
import type { ProposedEdge, Rings } from '@maquette/core/flat';
import { RoomFrame } from '../../room/room-frame.tsx';
import { EdgeLayer, ExtremesLayer } from '../../sheet/edge-layer.tsx';
import { LevelLayer } from '../../sheet/level-layer.tsx';
import { ScanLayer } from '../../sheet/scan-layer.tsx';
import { Sheet } from '../../sheet/sheet.tsx';
import { UnsureLayer } from '../../sheet/unsure-layer.tsx';
import { WalksLayer } from '../../sheet/walks-layer.tsx';
import { StationsLayer } from '../../sheet/stations-layer.tsx';
import { tabParts } from '../../ui/tabs.tsx';
import type { StageProps } from '../stage-props.ts';
import { Findings } from './findings.tsx';
import { nextActions } from './next-actions.ts';
import { usePlacing } from './use-placing.ts';
import { useEdges } from './use-edges.ts';
import { useScan } from './use-scan.ts';
import { useRun } from './use-run.ts';
import { useSay } from '../../ui/shown-in.tsx';
import { counted } from '../../ui/counted.ts';
import { fetched } from '../../ui/fetched.tsx';

const ReadTwice = fetched(() => import('./read-twice-card.tsx').then((part) => part.ReadTwice));
const StationsPanel = fetched(() => import('./stations-panel.tsx').then((part) => part.StationsPanel));
const ReadBench = fetched(() => import('./read-bench.tsx').then((part) => part.ReadBench));
const EdgeBench = fetched(() => import('./edge-bench.tsx').then((part) => part.EdgeBench));
const ScanBench = fetched(() => import('./scan-bench.tsx').then((part) => part.ScanBench));

const TABS = [
  { tab: 'read', label: 'Read' },
  { tab: 'edge', label: 'Edge' },
  { tab: 'scan', label: 'Scan' },
  { tab: 'verdict', label: 'Verdict' },
] as const;
type Mode = (typeof TABS)[number]['tab'];

/** Is the floor flat: reading it, and what the readings say. */
export function FlatStage(props: StageProps) {
  const say = useSay();
  const { shown, room, picture, schools, go } = props;
  const [mode, setMode] = useState<Mode | null>(null);
  const [showing, setShowing] = useState(0);
  const stations = useMemo(() => picture?.stations ?? [], [picture]);
  const run = useRun(shown, stations);
  const { placing, setPlacing, placeAt, tap } = usePlacing(shown, stations, run, () => setMode('read'));
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
  const flatCriterion = picture?.criteria.find((c) => c.id === 'flat');
  // Edges are laid to break it while the verdict is open; afterwards one goes wherever it is wanted.
  const open = flatCriterion?.verdict === 'measure' && (picture?.coveredShare ?? 0) >= 0.99;
  const breakers = open ? (picture?.failure?.breakers ?? null) : NO_EDGES;
  const edges = useEdges(shown, room, longestEdge(shown.card), breakers);
  const placement = rule?.placements[showing] ?? rule?.placements[0];
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
            {breakers && breakers.length > 0 ? (
              <WalksLayer proposed={breakers} laid={[]} current={null} started={null} view={view} units={room.units} />
            ) : null}
            {placement ? <EdgeLayer shown={placement} view={view} /> : null}
            {rule ? <ExtremesLayer extremes={rule.extremes} view={view} /> : null}
          </>
        )
      }
    />
  );
  const actions =
    shownMode === 'verdict' && picture
      ? nextActions(
          picture,
          () => setMode('read'),
          () => go('level'),
          () => setMode('edge'),
        )
      : [];
  return (
    <RoomFrame
      stage="flat"
      props={props}
      sheet={sheet}
      actions={actions}
      tabs={picture ? { label: 'Flat', tabs: tabParts(TABS, shownMode, setMode) } : null}
      keying={reading || (edging && edges.current !== null)}
      onStep={(by) => {
        run.step(by);
        setMode('read');
      }}
    >
      <ReadTwice shown={shown} stations={stations} />
      {shown.card && picture && reading ? (
        <ReadBench
          room={room}
          run={run}
          total={stations.length}
          edges={edges.left}
          onQuick={() => setMode('edge')}
          onScan={() => setMode('scan')}
          begun={shown.setups.length > 0 || edges.laid.length > 0 || (shown.plain.scans ?? []).length > 0}
          onKeyed={() => setMode('read')}
          onFindings={() => setMode('verdict')}
        />
      ) : null}
      {shown.card && picture && edging ? <EdgeBench shown={shown} room={room} edges={edges} /> : null}
      {shown.card && picture && scans ? (
        <ScanBench shown={shown} room={room} picture={picture} scanning={scanning} onRead={() => setMode('read')} />
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
            setMode('read');
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
          onPlace={placeAt}
        />
      ) : null}
    </RoomFrame>
  );
}

const NO_RINGS: Rings = [];
const NO_EDGES: readonly ProposedEdge[] = [];

/** The longest edge a card's rules ask for, mm; two metres where none is chosen. */
function longestEdge(card: CoveringCard | null): number {
  return card ? Math.max(...card.rules.map((rule) => rule.edgeMm)) : 2000;
}
