import { useState } from 'react';
import { RoomFrame } from '../../room/room-frame.tsx';
import { LevelLayer } from '../../sheet/level-layer.tsx';
import { PatchesLayer } from '../../sheet/patches-layer.tsx';
import { Sheet } from '../../sheet/sheet.tsx';
import { usePlanned } from '../../worker/use-judged.ts';
import { NoCard } from '../no-card.tsx';
import type { StageProps } from '../stage-props.ts';
import { PlanBench, type Way } from './plan-bench.tsx';
import { PlanSide } from './plan-side.tsx';

/** What to do about the floor: levelling so far. */
export function PlanStage(props: StageProps) {
  const { shown, room, picture, go } = props;
  const [way, setWay] = useState<Way>('fill');
  const [patch, setPatch] = useState<string | null>(null);
  const planned = usePlanned(room, shown, shown.card, shown.readings.length > 0);
  const sheet = (
    <Sheet
      room={room}
      description={`${room.name}: levelling plan. ${planned.plan ? `${planned.plan.fill.patches.length} places to fill` : ''}`}
      under={(view) => (picture?.map ? <LevelLayer map={picture.map} view={view} /> : null)}
      over={(view) =>
        planned.plan && way === 'fill' ? (
          <PatchesLayer patches={planned.plan.fill.patches} view={view} chosen={patch} />
        ) : null
      }
    />
  );
  return (
    <RoomFrame
      stage="plan"
      props={props}
      sheet={sheet}
      {...(planned.plan && !planned.plan.nothingToDo ? { marks: { plan: 'work' as const } } : {})}
    >
      {!shown.card ? (
        <NoCard onChoose={() => go('room')} />
      ) : (
        <PlanSide planned={planned} none={shown.readings.length === 0} onRead={() => go('flat')}>
          {planned.plan && picture ? (
            <PlanBench
              room={room}
              plan={planned.plan}
              gates={picture.surfaceGates}
              way={way}
              onWay={setWay}
              chosen={patch}
              onChoose={setPatch}
            />
          ) : null}
        </PlanSide>
      )}
    </RoomFrame>
  );
}
