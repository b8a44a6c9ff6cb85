import { useState } from 'react';
import type { RoomFacts } from '@maquette/core/room';
import { contains, isTimber } from '@maquette/core/room';
import { PANEL_FIXED } from '@maquette/core/under/questions';
import type { RollsOfJob } from '@maquette/core';
import { RoomFrame } from '../../room/room-frame.tsx';
import { BaseLayer } from '../../sheet/base-layer.tsx';
import { LaidLayer, type LaidPiece } from '../../sheet/laid-layer.tsx';
import { Sheet } from '../../sheet/sheet.tsx';
import { toMmPoint } from '../../sheet/view.ts';
import { fetched } from '../../ui/fetched.tsx';
import { counted } from '../../ui/counted.ts';
import { tabParts } from '../../ui/tabs.tsx';
import { criteriaOf } from '../criteria-list.tsx';
import type { StageProps } from '../stage-props.ts';
import { ChooseTab } from './choose-tab.tsx';
import { RollsTab } from './rolls-tab.tsx';
import { PanelsTab } from './panels-tab.tsx';
import { useOfJob } from '../../worker/use-of-job.ts';

const YearTab = fetched(() => import('./year-tab.tsx').then((tab) => tab.YearTab));
const MembraneTab = fetched(() => import('./membrane-tab.tsx').then((tab) => tab.MembraneTab));
const HeatTab = fetched(() => import('./heat-tab.tsx').then((tab) => tab.HeatTab));

type Tab = 'choose' | 'rolls' | 'panels' | 'membrane' | 'year' | 'heat';
const LABELS: Record<Tab, string> = {
  choose: 'Choose',
  rolls: 'Rolls',
  panels: 'Panels',
  membrane: 'Coat',
  year: 'Year',
  heat: 'Heat',
};

/** What can be looked at here: panels over timber, a coat over concrete, heat where there is some. */
const tabsOf = ({ baseKind, base }: RoomFacts): Tab[] => [
  'choose',
  'rolls',
  isTimber(baseKind) ? 'panels' : 'membrane',
  'year',
  ...(base.heating === 'water' || base.heating === 'electric' ? (['heat'] as const) : []),
];

/** What goes between the prepared floor and the planks: chosen, planned over the job, and held against a year of vapour. */
export function UnderStage(props: StageProps) {
  const { shown, room, picture, go } = props;
  const [tab, setTab] = useState<Tab>('choose');
  const [cardId, setCard] = useState<string | null>(null);
  const [at, setAt] = useState(0);
  const planned = useOfJob('under', room.jobId, tab === 'rolls' || tab === 'panels');
  const under = picture?.under ?? null;
  const rolls = (planned.plan?.rolls ?? []).filter(({ rooms }) => rooms.some(({ roomId }) => roomId === room.id));
  const roll: RollsOfJob | null = rolls.find((one) => one.cardId === cardId) ?? rolls[0] ?? null;
  const mayPanel = under?.panelStops.length === 0;
  const panels = !mayPanel
    ? []
    : (planned.plan?.panels.flatMap((of) => of.rooms).find(({ roomId }) => roomId === room.id)?.panels ?? []);
  const panelAt = Math.min(at, Math.max(0, panels.length - 1));
  const pieces: readonly LaidPiece[] =
    tab === 'rolls'
      ? (roll?.rooms.find(({ roomId }) => roomId === room.id)?.strips ?? [])
      : tab === 'panels'
        ? panels
        : [];
  const fixed = new Set(
    tab === 'panels'
      ? panels.flatMap(({ number }) =>
          shown.ticks.some(({ key }) => key === `${PANEL_FIXED}${room.id}/${number}`) ? [number] : [],
        )
      : [],
  );
  const sheet = (
    <Sheet
      room={room}
      description={
        pieces.length > 0
          ? `${room.name}: ${counted(pieces.length, tab === 'rolls' ? 'strip' : 'panel')}, numbered in the order in which they are laid.`
          : `${room.name} as it is drawn.`
      }
      onTap={(view, x, y) => {
        if (tab !== 'panels') return;
        const hit = panels.findIndex(({ outline }) => contains(outline, ...toMmPoint(view, x, y)));
        if (hit >= 0) setAt(hit);
      }}
      under={(view) =>
        pieces.length > 0 ? (
          <LaidLayer
            pieces={pieces}
            current={tab === 'panels' ? (panels[panelAt]?.number ?? null) : null}
            laid={fixed}
            view={view}
          />
        ) : (
          <BaseLayer room={room} view={view} />
        )
      }
    />
  );
  return (
    <RoomFrame
      stage="under"
      props={props}
      sheet={sheet}
      seen={`${tab}/${under?.chosen?.offered.id ?? ''}`}
      tabs={
        under
          ? {
              label: 'Under the planks',
              tabs: tabParts(
                tabsOf(room).map((one) => ({ tab: one, label: LABELS[one] })),
                tab,
                setTab,
              ),
            }
          : null
      }
    >
      {under && tab === 'choose' ? (
        <ChooseTab
          shown={shown}
          room={room}
          under={under}
          criteria={criteriaOf(picture, 'under')}
          onRoom={() => go('room')}
          onRolls={() => setTab('rolls')}
        />
      ) : null}
      {under && tab === 'rolls' ? (
        <RollsTab
          shown={shown}
          room={room}
          planned={planned}
          of={roll}
          onOf={(one) => setCard(one.cardId)}
          onChoose={() => setTab('choose')}
        />
      ) : null}
      {under && tab === 'panels' ? (
        <PanelsTab
          shown={shown}
          room={room}
          under={under}
          planned={planned}
          at={panelAt}
          onAt={setAt}
          onRoom={() => go('room')}
        />
      ) : null}
      {under && tab === 'membrane' ? <MembraneTab shown={shown} room={room} under={under} /> : null}
      {under && tab === 'year' ? <YearTab shown={shown} room={room} under={under} /> : null}
      {under?.heat && tab === 'heat' ? <HeatTab shown={shown} room={room} heat={under.heat} /> : null}
    </RoomFrame>
  );
}
