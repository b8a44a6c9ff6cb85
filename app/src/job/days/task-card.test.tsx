import { render, screen } from '@testing-library/react';
import type { ShownDays, ShownTask } from '@maquette/core/planning';
import '@maquette/words/planning';
import { ShownIn } from '../../ui/shown-in.tsx';
import { TaskCard } from './task-card.tsx';

jest.mock('expo-router', () => ({ useRouter: () => ({ push: () => undefined }) }));

const task = {
  key: 'r/strip/trim',
  roomId: 'r',
  stage: 'strip',
  words: { code: 'planning.trimOff', values: {} },
  kind: 'work',
  from: '2026-05-05T07:00:00.000Z',
  to: '2026-05-05T08:00:00.000Z',
  stretches: [],
  hours: 1,
  people: 1,
  doneAt: null,
  ticks: [],
  isLaying: false,
  decides: true,
  stopped: null,
  trade: null,
  machines: [],
  isLate: false,
  readFirst: null,
  waitsFor: null,
  heldTo: null,
  shutTo: null,
} as ShownTask;
const days = { today: '2026-05-04', rooms: [{ id: 'r', name: 'Parlour' }], tasks: [task] } as unknown as ShownDays;

test('a task says when it lies and that nothing holds it up, and asks for another time', () => {
  render(
    <ShownIn units="metric" zone="Europe/London">
      <TaskCard
        days={days}
        task={task}
        jobId="j"
        holds={[]}
        held={null}
        onHold={() => undefined}
        onClose={() => undefined}
      />
    </ShownIn>,
  );
  expect(screen.getByText('Parlour: Skirting off')).toBeTruthy();
  expect(screen.getByLabelText('Not before')).toBeTruthy();
});
