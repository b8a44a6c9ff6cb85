import '@testing-library/jest-dom';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { BLANK_SHAPE, newOpening, rectangleWalls, UNKNOWN_BASE, type RoomFacts, type Wall } from '@maquette/core/room';
import { figure } from '@maquette/core/fields';
import { OneField } from '../../form/one-field.tsx';
import { PadHost } from '../../bench/pad-panel.tsx';
import { Pad } from '../../bench/pad.tsx';
import { FixturesEditor } from './fixtures-editor.tsx';
import { OpeningsEditor } from './openings-editor.tsx';
import { WalkClosing, WalkWalls } from './walk-walls.tsx';
import { shownIn } from '../../ui/invented-units.tsx';

jest.mock('../../data/rules.ts', () => jest.requireActual('../../form/invented-rules.ts'));
jest.mock('../../data/use-facts.ts', () => ({ useBook: () => ({ rooms: [] }) }));
jest.mock('../../data/write.ts', () => ({ write: jest.fn() }));

// Labels are looked up and clicks made without asking every ancestor for its style: jsdom is slow at that, and what can be seen and
// touched is tried in the real browser end to end.
const user = userEvent.setup({ pointerEventsCheck: 0 });

const LEVEL = figure(-400, 400, 'mm');

const room: RoomFacts = {
  id: 'room-1',
  jobId: 'job-1',
  name: 'Room',
  rank: 0,
  ...BLANK_SHAPE,
  walls: rectangleWalls(4000, 3000),
  baseKind: 'slab-on-ground',
  base: UNKNOWN_BASE,
  cardId: 'shipped-laminate',
  units: 'metric',
  spacingMm: null,
  contactsOnly: false,
};
const key = async (digits: string) => {
  for (const digit of digits) await user.click(screen.getByLabelText(digit));
  await user.click(screen.getByLabelText('Take'));
};

test('walls are walked by length and turn, and the rest is offered once it follows', async () => {
  const done = jest.fn();
  function Walk() {
    const [walls, setWalls] = useState<Wall[]>([]);
    return (
      <>
        <WalkWalls units="metric" walls={walls} onWalls={setWalls} onLeave={() => undefined} />
        <WalkClosing units="metric" walls={walls} onDone={done} />
      </>
    );
  }
  render(<Walk />, shownIn('metric'));
  await key('4000');
  expect(screen.getByText('At the end of W1 turn')).toBeInTheDocument();
  await user.click(screen.getByLabelText('Left'));
  await key('3000');
  await user.click(screen.getByLabelText('Left'));
  await user.click(screen.getByLabelText(/^Close it with W3 4\s000, W4 3\s000/));
  expect(done).toHaveBeenCalledWith([
    { lengthMm: 4000, turnDeg: 90 },
    { lengthMm: 3000, turnDeg: 90 },
    { lengthMm: 4000, turnDeg: 90, drawn: true },
    { lengthMm: 3000, turnDeg: 90, drawn: true },
  ]);
});

test('a wall too short to be one is asked back on the pad, and the walk goes back a wall', async () => {
  const onWalls = jest.fn();
  render(
    <WalkWalls units="metric" walls={[{ lengthMm: 4000, turnDeg: 90 }]} onWalls={onWalls} onLeave={() => undefined} />,
    shownIn('metric'),
  );
  await key('7');
  expect(screen.getByRole('alert', { hidden: true })).toHaveTextContent(/7 mm is out of range: 20 to 60\s000 is taken/);
  await user.click(screen.getByLabelText('Back'));
  expect(onWalls).toHaveBeenCalledWith([]);
});

test('the pad of a field: keyed, taken and closed; below zero where that makes sense', async () => {
  const taken = jest.fn();
  render(
    <PadHost pad={Pad}>
      <OneField of={LEVEL} value={null} units="metric" label="Level" signed onTaken={taken} />
    </PadHost>,
    shownIn('metric'),
  );
  await user.click(screen.getByLabelText(/Key Level on the pad/));
  await user.click(screen.getByLabelText('Above'));
  await key('900');
  expect(screen.getByRole('alert', { hidden: true })).toHaveTextContent('900 mm is out of range: 0 to 400 is taken');
  for (let i = 0; i < 3; i++) await user.click(screen.getByLabelText('Correct'));
  await key('12');
  expect(taken).toHaveBeenCalledWith(-12);
  expect(screen.queryByRole('dialog', { hidden: true })).toBeNull();
});

test('an opening is put where the wall is free, and one that does not fit is asked back beside the field', async () => {
  const change = jest.fn(() => Promise.resolve(true));
  const door = newOpening('d', 0, 100, 800);
  const { rerender } = render(
    <OpeningsEditor room={{ ...room, openings: [] }} change={change} chosen={null} onChoose={() => undefined} />,
    shownIn('metric'),
  );
  await user.click(screen.getByLabelText('Put a door in W1'));
  expect(change).toHaveBeenCalledWith('Door put in', {
    openings: [expect.objectContaining({ kind: 'door', wall: 0, fromMm: 100, widthMm: 800 })],
  });
  change.mockClear();
  rerender(
    <OpeningsEditor room={{ ...room, openings: [door] }} change={change} chosen="d" onChoose={() => undefined} />,
  );
  const from = screen.getByRole('textbox', { name: /^From the start of W1/ });
  await user.clear(from);
  await user.type(from, '3500{enter}');
  expect(change).not.toHaveBeenCalled();
  expect(screen.getByText('The door ends at 4300 mm, past the wall’s 4000 mm')).toBeInTheDocument();
  expect(from).toHaveValue('3500');
});

test('a fixture is set along another wall with its back to it', async () => {
  const change = jest.fn(() => Promise.resolve(true));
  const cabinet = {
    id: 'c',
    kind: 'cabinet' as const,
    name: '',
    xMm: 1000,
    yMm: 300,
    widthMm: 1200,
    depthMm: 600,
    turnDeg: 0,
    round: false,
    heightMm: 150,
    toeKickMm: 50,
  };
  render(
    <FixturesEditor room={{ ...room, fixtures: [cabinet] }} change={change} chosen="c" onChoose={() => undefined} />,
    shownIn('metric'),
  );
  await user.click(screen.getByRole('radio', { name: 'W2' }));
  // W2 runs up the right side: 400 mm along it, back at x = 4000.
  expect(change).toHaveBeenCalledWith('Cabinet changed', {
    fixtures: [expect.objectContaining({ turnDeg: 90, xMm: 3700, yMm: 1000 })],
  });
});
