import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ruleWords } from '@maquette/core/coverings';
import { chalkPoints, PLANE_CHOSEN, WAY_CHOSEN, type LevellingPlan } from '@maquette/core/levelling';
import { entryPoint, isTimber, planOf } from '@maquette/core/room';
import { gapWords, type UnitSystem } from '@maquette/core/units';
import { RoomFrame } from '../../room/room-frame.tsx';
import { AchievedLayer } from '../../sheet/achieved-layer.tsx';
import { BaysLayer } from '../../sheet/bays-layer.tsx';
import { ChalkLayer } from '../../sheet/chalk-layer.tsx';
import { LevelLayer } from '../../sheet/level-layer.tsx';
import { PatchesLayer } from '../../sheet/patches-layer.tsx';
import { Sheet } from '../../sheet/sheet.tsx';
import { Mark } from '../../ui/mark.tsx';
import { fetched } from '../../ui/fetched.tsx';
import { tabParts } from '../../ui/tabs.tsx';
import { Words } from '../../ui/text.tsx';
import { usePlanned } from '../../worker/use-planned.ts';
import type { StageProps } from '../stage-props.ts';
import { useAnswers } from '../use-answers.ts';
import { areasOf } from './areas.ts';
import { isChalked } from './chalked.ts';
import { LevelSide } from './level-side.tsx';
import { shownWays } from './shown-ways.ts';
import { WAY_WORDS, type ChoiceId } from './way-words.ts';
import { WaysTab } from './ways-tab.tsx';
import { counted } from '../../ui/counted.ts';
import { useSay } from '../../ui/shown-in.tsx';
import { SPACE } from '../../theme/theme.tsx';

const WorkTab = fetched(() => import('./work-tab.tsx').then((part) => part.WorkTab));
const ChalkTab = fetched(() => import('./chalk-tab.tsx').then((part) => part.ChalkTab));
const FilesFold = fetched(() => import('./files-fold.tsx').then((part) => part.FilesFold));
const DoneTab = fetched(() => import('./done-tab.tsx').then((tab) => tab.DoneTab));

type Tab = 'ways' | 'work' | 'chalk' | 'done';
const TABS = [
  { tab: 'ways', label: 'Ways' },
  { tab: 'work', label: 'Work' },
  { tab: 'chalk', label: 'Chalk' },
  { tab: 'done', label: 'Done' },
] as const;

/** What to do about the floor: ways to level it side by side, the chosen one as work, and marking it out. */
export function LevelStage(props: StageProps) {
  const { shown, room, picture, go } = props;
  const [tab, setTab] = useState<Tab>('ways');
  const [area, setArea] = useState<string | null>(null);
  const [at, setAt] = useState(0);
  const answers = useAnswers(shown);
  const read = shown.readings.length + shown.edgeWalks.length > 0;
  const planned = usePlanned(shown.set, read);
  const planes = planned.plan?.planes ?? [];
  const keptPlane = answers.to(PLANE_CHOSEN);
  // Until one is chosen: the least grinding with which the pour can be done at all.
  const planeAt =
    keptPlane === null
      ? Math.max(
          0,
          planes.findIndex((p) => p.refusal === null),
        )
      : keptPlane;
  const ways = useMemo(() => shownWays(room, planned, planeAt), [room, planned, planeAt]);
  const wanted = answers.to(WAY_CHOSEN);
  const way = ways.find((w) => w.id === wanted) ?? ways[0];
  const areas = areasOf(way);
  const labels = areas.map((a) => `${a.area.label}${a.area.areaM2}`).join();
  const points = useMemo(
    () => {
      const plan = planOf(room);
      return chalkPoints(
        room,
        plan,
        areas.map((a) => a.area),
        entryPoint(room, plan),
      );
    },
    // Areas are new objects at every drawing: their labels and sizes tell.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [room, labels],
  );
  const point = Math.min(at, Math.max(0, points.length - 1));
  const nothing = planned.plan?.nothingToDo ?? false;
  const sheet = (
    <Sheet
      room={room}
      description={`${room.name}: levelling plan. ${way?.way ? `${counted(way.way.patches.length, 'place')} to fill, ${way.way.grinding.length} to grind.` : ''}`}
      under={(view) => (picture?.map ? <LevelLayer map={picture.map} view={view} /> : null)}
      over={(view) =>
        (nothing || tab === 'done') && picture?.achieved[0] ? (
          <AchievedLayer achieved={picture.achieved[0]} view={view} units={room.units} />
        ) : nothing ? null : (
          <>
            {way?.plane?.pour ? <BaysLayer bays={way.plane.pour.bays} view={view} /> : null}
            <PatchesLayer areas={areas} view={view} chosen={tab === 'chalk' ? (points[point]?.label ?? null) : area} />
            {tab === 'chalk' ? (
              <ChalkLayer
                points={points}
                at={point}
                chalked={points.map((p) => isChalked(shown, p))}
                corners={planOf(room).corners}
                view={view}
              />
            ) : null}
          </>
        )
      }
    />
  );
  const { plan } = planned;
  const toDo = read && plan !== null && !nothing && picture !== null && way !== undefined;
  return (
    <RoomFrame
      stage="level"
      props={props}
      sheet={sheet}
      needs="card"
      marks={plan && !nothing ? { level: 'work' } : {}}
      tabs={toDo ? { label: 'Level', tabs: tabParts(TABS, tab, setTab) } : null}
      actions={
        toDo && (tab === 'ways' || tab === 'work')
          ? [
              tab === 'ways'
                ? { label: 'Show the work', act: () => setTab('work'), main: true }
                : { label: 'Chalk it out', act: () => setTab('chalk'), main: true },
            ]
          : []
      }
    >
      <LevelSide planned={planned} none={!read} onRead={() => go('flat')}>
        {plan && nothing ? (
          <>
            <NothingToDo plan={plan} units={room.units} />
            {picture && picture.achieved.length > 0 ? (
              <DoneTab shown={shown} room={room} way={null} picture={picture} onRead={() => go('flat')} />
            ) : null}
          </>
        ) : null}
        {plan && !nothing && picture && way ? (
          <>
            {tab === 'ways' ? (
              <WaysTab
                shown={shown}
                room={room}
                planned={{ ...planned, plan }}
                gates={picture.surfaceGates}
                heights={picture.heights}
                ways={ways}
                way={way}
                onWay={(id: ChoiceId) => void answers.set(WAY_CHOSEN, id, WAY_WORDS[id])}
                planeAt={planeAt}
                onPlane={(index) => void answers.set(PLANE_CHOSEN, index, 'Ground before the pour')}
                onMark={() => go('sound')}
              />
            ) : null}
            {tab === 'work' ? (
              <WorkTab
                caution={plan.caution}
                shown={shown}
                room={room}
                timber={isTimber(picture.laidOver)}
                way={way}
                chosen={area}
                onChoose={setArea}
                onPanels={() => go('under')}
              >
                <FilesFold shown={shown} room={room} picture={picture} planned={planned} way={way} points={points} />
              </WorkTab>
            ) : null}
            {tab === 'chalk' ? <ChalkTab shown={shown} room={room} points={points} at={point} onAt={setAt} /> : null}
            {tab === 'done' ? (
              <DoneTab shown={shown} room={room} way={way} picture={picture} onRead={() => go('flat')} />
            ) : null}
          </>
        ) : null}
      </LevelSide>
    </RoomFrame>
  );
}

function NothingToDo({ plan, units }: { plan: LevellingPlan; units: UnitSystem }) {
  const say = useSay();
  const { provisional, untouched } = plan;
  return (
    <View style={styles.box}>
      <View style={styles.line}>
        <Mark verdict={provisional ? 'measure' : 'lay'} width={56} />
        <Words bold size="large" style={styles.grow}>
          Nothing to level
        </Words>
      </View>
      <Words>
        {provisional
          ? 'So far. The readings do not cover the floor yet.'
          : 'What has been read keeps the rule as it is.'}
      </Words>
      {provisional
        ? null
        : untouched.map(({ rule, worstMm, mostMm }) => (
            <Words key={say(ruleWords(rule))} size="small" figure>
              {`${say(ruleWords(rule))}: ${gapWords(worstMm, units)} at worst along the lines that were looked along; between them, by how much the floor bends from cell to cell, at most ${gapWords(mostMm, units)}.`}
            </Words>
          ))}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.part },
  grow: { flex: 1 },
});
