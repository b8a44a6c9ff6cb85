import '@testing-library/jest-dom';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { RoomPicture } from '@maquette/core';
import type { ScanState } from '@maquette/core/flat';
import { anchorOf } from '@maquette/core/scan';
import { ScanBench } from './scan-bench.tsx';
import type { Scanning } from './use-scan.ts';
import { shownIn } from '../../ui/invented-units.tsx';

const room = { id: 'room', units: 'metric' } as never;
const shown = { scans: [] } as never;

const scanning = (part: Partial<Scanning> = {}): Scanning => ({
  file: null,
  progress: null,
  failed: null,
  answer: null,
  place: null,
  choose: jest.fn(),
  readUp: jest.fn(),
  again: jest.fn(),
  stop: jest.fn(),
  leave: jest.fn(),
  nudge: jest.fn(),
  turn: jest.fn(),
  snap: jest.fn(),
  take: jest.fn(),
  grip: null,
  ...part,
});
const state = (places: [number, number][], part: Partial<ScanState> = {}): ScanState => ({
  id: 'scan-1',
  fileName: 'landing.ply',
  takenAt: '2026-05-04T10:00:00.000Z',
  points: 9000,
  anchor: anchorOf(places.map(([xMm, yMm]) => ({ xMm, yMm, rodMm: 1, scanMm: 0 }))),
  coveredShare: 0.934,
  noiseFloorMm: 1.3,
  ...part,
});
const show = (held: Scanning, scans: ScanState[] = []) => {
  const onRead = jest.fn();
  render(
    <ScanBench
      shown={shown}
      room={room}
      picture={{ scans } as unknown as RoomPicture}
      scanning={held}
      onRead={onRead}
    />,
    shownIn('metric'),
  );
  return { onRead, user: userEvent.setup() };
};

test('with nothing brought in it says what to bring, and what was wrong with the last file', async () => {
  const held = scanning({ failed: 'The file is cut off: its heading declares 9 points and 4 are there' });
  const { user } = show(held);
  expect(screen.getByRole('alert')).toHaveTextContent('declares 9 points and 4 are there');
  await user.click(screen.getByRole('button', { name: 'Choose the file' }));
  expect(held.choose).toHaveBeenCalled();
});

test('while a file is read its share is told, and it can be stopped', async () => {
  const held = scanning({ progress: 0.426 });
  const { user } = show(held);
  expect(screen.getByRole('progressbar')).toHaveAttribute('aria-valuenow', '43');
  await user.click(screen.getByRole('button', { name: 'Stop' }));
  expect(held.stop).toHaveBeenCalled();
});

test('while it is laid every key does what it says, and lines that could not be read are told', async () => {
  const held = scanning({
    place: { turnDeg: 0, xMm: 0, yMm: 0 },
    answer: {
      floor: { points: 1_250_000, noiseMm: 0.84 },
      pointsInFile: 2_100_000,
      badLines: 3,
      up: 'z',
      wasMm: true,
    } as never,
  });
  const { user } = show(held);
  expect(screen.getByTestId('laying')).toHaveTextContent(
    '2.1 million points, 1.3 million of them floor; a cell’s noise 0.8 mm. The file counts in millimetres. 3 lines could not be read.',
  );
  for (const name of [
    '↺ 90°. Turn left',
    '↻ 1°. Turn right',
    '←. Left by 20 mm',
    '↑. Up by 20 mm',
    'Snap to the walls',
  ])
    await user.click(screen.getByRole('button', { name }));
  expect(held.turn).toHaveBeenNthCalledWith(1, 90);
  expect(held.turn).toHaveBeenNthCalledWith(2, -1);
  expect(held.nudge).toHaveBeenNthCalledWith(1, -20, 0);
  expect(held.nudge).toHaveBeenNthCalledWith(2, 0, 20);
  expect(held.snap).toHaveBeenCalledTimes(1);
  await user.click(screen.getByRole('radio', { name: 'Y' }));
  expect(held.readUp).toHaveBeenCalledWith('y');
  await user.click(screen.getByRole('button', { name: 'It lies right' }));
  expect(held.take).toHaveBeenCalled();
});

test('a scan says what holds it: too few staffs, staffs in a line, or enough with what is left', async () => {
  const { onRead, user } = show(scanning(), [
    state([[0, 0]], { id: 'few' }),
    state(
      [
        [0, 0],
        [1000, 0],
        [2000, 0],
      ],
      { id: 'line' },
    ),
    state([
      [0, 0],
      [2000, 0],
      [0, 2000],
      [2000, 2000],
    ]),
  ]);
  const [few, line, held] = screen.getAllByTestId('held-scan');
  expect(few).toHaveTextContent('93 % of the floor is scanned');
  expect(few).toHaveTextContent('Not held yet: 1 of 3 staff readings stand on it');
  expect(line).toHaveTextContent('its staffs stand in a line');
  expect(held).toHaveTextContent('Held by 4 staff readings, which took a lean of 0 mm in each metre out of it.');
  expect(held).toHaveTextContent('Noise floor: 1.3 mm');
  await user.click(screen.getAllByRole('button', { name: 'Read stations on it' })[0]!);
  expect(onRead).toHaveBeenCalled();
});
