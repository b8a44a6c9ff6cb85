import { useState } from 'react';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Words } from '../../ui/text.tsx';
import type { JobPaper, RoomPaper } from '../../worker/paper-ask.ts';
import type { CourseShown } from '../use-course.ts';
import { PartBox } from './part-box.tsx';
import { PlanFirst } from './plan-first.tsx';
import type { PaperMaker } from './use-record.ts';

interface Props {
  jobId: string;
  rooms: CourseShown['rooms'];
  paper: PaperMaker;
  shown: CourseShown;
  /** Has days and bill worked out. */
  onPlan: () => void;
}

const OF_ROOM: readonly { paper: RoomPaper; label: string; page: string }[] = [
  { paper: 'stations', label: 'Station sheet', page: 'flat' },
  { paper: 'chalk', label: 'Chalk sheet', page: 'level' },
  { paper: 'cuts', label: 'Rows and cuts', page: 'lay' },
];

const OF_JOB: readonly { paper: JobPaper; label: string; page: string; needsCourse: boolean }[] = [
  { paper: 'days', label: 'Day sheet', page: '/days', needsCourse: true },
  { paper: 'shopping', label: 'Shopping list', page: '/buy', needsCourse: true },
  { paper: 'rolls', label: 'Rolls and panels', page: '', needsCourse: false },
  { paper: 'ramps', label: 'Ramp card', page: '/heights', needsCourse: false },
];

/** Sheets to print and take to the floor: one style, black on white, each with a code that leads back here. */
export function Papers({ jobId, rooms, paper, shown, onPlan }: Props) {
  const [roomId, setRoomId] = useState(rooms[0]?.id ?? '');
  const room = rooms.find(({ id }) => id === roomId) ?? rooms[0];
  return (
    <PartBox>
      <Words>Each is saved as one page to print. The code on it leads back to the same page here.</Words>
      {room ? (
        <>
          <Choice
            label="Room"
            value={room.id}
            options={rooms.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={setRoomId}
          />
          <ButtonRow>
            {OF_ROOM.map(({ paper: kind, label, page }) => (
              <Button
                key={kind}
                label={label}
                hint={room.name}
                onPress={() =>
                  paper.make(
                    { paper: kind, roomId: room.id, address: `/rooms/${room.id}/${page}` },
                    `${label} ${room.name}`,
                  )
                }
              />
            ))}
          </ButtonRow>
        </>
      ) : null}
      <Words bold>The whole job</Words>
      <ButtonRow>
        {OF_JOB.filter(({ needsCourse }) => shown.course !== null || !needsCourse).map(
          ({ paper: kind, label, page }) => (
            <Button
              key={kind}
              label={label}
              onPress={() => paper.make({ paper: kind, address: `/jobs/${jobId}${page}` }, label)}
            />
          ),
        )}
      </ButtonRow>
      {shown.course === null ? (
        <PlanFirst
          what="The day sheet and the shopping list are made of days and price."
          shown={shown}
          onAsk={onPlan}
        />
      ) : null}
      {paper.making ? (
        <Words role="status" figure>{`Being made, ${Math.round(paper.making.share * 100)} % …`}</Words>
      ) : null}
      {paper.failed ? <Words role="alert">{paper.failed}</Words> : null}
    </PartBox>
  );
}
