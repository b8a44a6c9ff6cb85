import { useMemo, useState } from 'react';
import { contains, type Polygon } from '@maquette/core/room';
import { LayPlanksLayer } from '../../sheet/lay-planks-layer.tsx';
import { RoomFrame } from '../../room/room-frame.tsx';
import { BaseLayer } from '../../sheet/base-layer.tsx';
import { Sheet } from '../../sheet/sheet.tsx';
import { toMmPoint, type SheetView } from '../../sheet/view.ts';
import { counted } from '../../ui/counted.ts';
import { fetched } from '../../ui/fetched.tsx';
import { tabParts } from '../../ui/tabs.tsx';
import { criteriaOf } from '../criteria-list.tsx';
import type { StageProps } from '../stage-props.ts';
import { SetOutTab } from './set-out-tab.tsx';
import { useLayPlan } from './use-lay-plan.ts';

const ChalkTab = fetched(() => import('./chalk-tab.tsx').then((tab) => tab.ChalkTab));
const CutTab = fetched(() => import('./cut-tab.tsx').then((tab) => tab.CutTab));
const BoxesTab = fetched(() => import('./boxes-tab.tsx').then((tab) => tab.BoxesTab));
const GlueTab = fetched(() => import('./glue-tab.tsx').then((tab) => tab.GlueTab));
const PaperTab = fetched(() => import('./paper-tab.tsx').then((tab) => tab.PaperTab));

type Tab = 'rows' | 'chalk' | 'cut' | 'boxes' | 'glue' | 'paper';
const LABELS: Record<Tab, string> = {
  rows: 'Set out',
  chalk: 'Chalk',
  cut: 'Cut',
  boxes: 'Boxes',
  glue: 'Glue',
  paper: 'Paper',
};

const NO_BORDER: Polygon[] = [];

/** The planks themselves: set out, chalked, cut in the order of laying, and what is recorded of boxes, rows and adhesive. */
export function LayStage(props: StageProps) {
  const { shown, room, picture } = props;
  const [tab, setTab] = useState<Tab>('rows');
  const [chalkAt, setChalk] = useState(0);
  const [chosen, setChosen] = useState<number | null>(null);
  const planned = useLayPlan(shown.set);
  const { plan } = planned;
  const isElsewhere = plan?.laidFrom != null;
  const pieces = useMemo(() => plan?.pieces ?? [], [plan]);
  // What is not laid yet comes first: whoever goes on the next day begins there.
  const next = pieces.find(({ isLaid }) => !isLaid)?.number ?? null;
  const current = tab === 'cut' ? (chosen ?? next ?? pieces[0]?.number ?? null) : null;
  const isGlued = shown.card?.kind === 'glue-down-vinyl';
  const tabs: Tab[] = isElsewhere
    ? ['rows', 'boxes']
    : ['rows', 'chalk', 'cut', 'boxes', ...(isGlued ? (['glue'] as const) : []), 'paper'];
  const beyond = useMemo(() => plan?.through.flatMap(({ corners }) => corners) ?? [], [plan]);
  const laid = (view: SheetView) =>
    plan && !isElsewhere ? (
      <LayPlanksLayer
        pieces={plan.herringbone?.staves ?? pieces}
        border={plan.herringbone?.border?.outlines ?? NO_BORDER}
        current={current}
        chalk={plan.herringbone ? [plan.herringbone.tips] : plan.chalk.map(({ from, to }) => [from, to] as const)}
        chalkAt={tab === 'chalk' ? chalkAt : null}
        rooms={plan.through}
        view={view}
      />
    ) : (
      <BaseLayer room={room} view={view} />
    );
  const sheet = (
    <Sheet
      room={room}
      description={
        plan
          ? `${room.name}: ${counted(plan.herringbone?.staves.length ?? pieces.length, 'piece')}, laid from ${String(plan.startWall.name)}.`
          : `${room.name} as it is drawn.`
      }
      onTap={(view, x, y) => {
        const at = toMmPoint(view, x, y);
        const hit = pieces.find(({ outline }) => contains(outline, ...at));
        if (!hit) return;
        setChosen(hit.number);
        setTab('cut');
      }}
      beyond={beyond}
      // What runs on into the next room is not cut off at the walls of this one.
      {...(beyond.length > 0 ? { over: laid } : { under: laid })}
    />
  );
  return (
    <RoomFrame
      stage="lay"
      props={props}
      sheet={sheet}
      seen={tab}
      tabs={{
        label: 'Laying the planks',
        tabs: tabParts(
          tabs.map((one) => ({ tab: one, label: LABELS[one] })),
          tab,
          setTab,
        ),
      }}
    >
      {tab === 'rows' ? (
        <SetOutTab
          shown={shown}
          room={room}
          planned={planned}
          criteria={criteriaOf(picture, 'lay')}
          others={picture?.criteria.filter(({ part, verdict }) => part !== 'lay' && verdict !== 'lay') ?? []}
          frames={
            picture?.heights?.undercuts.filter(({ treatment, side }) => treatment === 'saw' && side === 'here')
              .length ?? 0
          }
          onChalk={() => setTab('chalk')}
          onBoxes={() => setTab('boxes')}
        />
      ) : null}
      {tab === 'chalk' ? (
        <ChalkTab room={room} planned={planned} at={chalkAt} onAt={setChalk} onCut={() => setTab('cut')} />
      ) : null}
      {tab === 'cut' ? (
        <CutTab shown={shown} room={room} planned={planned} number={current} onNumber={setChosen} />
      ) : null}
      {tab === 'boxes' ? (
        <BoxesTab
          shown={shown}
          room={room}
          plan={plan}
          state={picture?.lay ?? null}
          criteria={criteriaOf(picture, 'lay')}
        />
      ) : null}
      {tab === 'glue' ? <GlueTab shown={shown} room={room} plan={plan} state={picture?.lay ?? null} /> : null}
      {tab === 'paper' ? <PaperTab shown={shown} room={room} plan={plan} /> : null}
    </RoomFrame>
  );
}
