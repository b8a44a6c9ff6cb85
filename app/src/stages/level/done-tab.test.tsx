import '@testing-library/jest-dom';
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { RoomPicture } from '@maquette/core';
import type { Achieved } from '@maquette/core/flat';
import type { ShownRoom } from '../../data/use-facts.ts';
import { DoneTab } from './done-tab.tsx';
import type { ShownWay } from './shown-ways.ts';
import { INVENTED_ROOM as room } from '../../data/invented-room.ts';
import { shownIn } from '../../ui/invented-units.tsx';

const mockWrite = jest.fn((_words: string, _changes: { body: Record<string, unknown> }[]) =>
  Promise.resolve({ ok: true }),
);
jest.mock('../../data/write.ts', () => ({ write: (words: string, changes: never[]) => mockWrite(words, changes) }));
jest.mock('../../data/use-facts.ts', () => ({}));
jest.mock('../../data/rules.ts', () => jest.requireActual('../../form/invented-rules.ts'));

const way = {
  id: 'fill',
  words: 'Fill only',
  way: { needs: [{ bags: 2, compound: { name: 'Patching compound' } }], predicted: [{ stationKey: 's1' }] },
  plane: null,
} as unknown as ShownWay;
const station = { stationKey: 's1', beforeMm: -4, afterMm: -1, achievedMm: -1.6, offMm: -0.6, xMm: 0, yMm: 0 };

function achieved(part: Partial<Achieved>): Achieved {
  const work = { id: 'w1', way: 'fill', doneAt: '2026-05-05T08:00:00.000Z', product: 'Patch', batch: 'L 1', note: '' };
  return {
    work: { ...work, bagsPlanned: 2, bagsUsed: 3, tempC: 18, rhPercent: null },
    reread: [],
    waiting: [],
    rmsOffMm: null,
    worst: null,
    ...part,
  } as unknown as Achieved;
}

function show(done: Achieved[], chosen: ShownWay | null = way, criteria: unknown[] = []) {
  const onRead = jest.fn();
  const picture = { achieved: done, stations: [{ key: 's1', number: 7 }], criteria } as unknown as RoomPicture;
  const shown = { room: { ...room, version: 1 }, works: [{ id: 'w1', version: 1 }] } as unknown as ShownRoom;
  render(<DoneTab shown={shown} room={room} way={chosen} picture={picture} onRead={onRead} />, shownIn('metric'));
  return { onRead, user: userEvent.setup() };
}

beforeEach(() => mockWrite.mockClear());
const record = () => screen.getByRole('button', { name: 'Record it as done' });

test('what was done is recorded with what was planned of it; what was not counted is null and not nothing', async () => {
  const { user } = show([]);
  await user.type(screen.getByRole('textbox', { name: 'Batch' }), 'L 2207');
  await user.type(screen.getByRole('textbox', { name: 'Air, °C' }), '17,5');
  await user.click(record());
  await waitFor(() => expect(mockWrite).toHaveBeenCalled());
  expect(mockWrite.mock.calls[0]![0]).toBe('Done: fill only');
  expect(mockWrite.mock.calls[0]![1][0]!.body).toMatchObject({
    way: 'fill',
    product: 'Patching compound',
    batch: 'L 2207',
    bagsPlanned: 2,
    bagsUsed: null,
    tempC: 17.5,
    rhPercent: null,
    predicted: [{ stationKey: 's1' }],
  });
});

test('nothing is told done over a stop: it says what stands stopped', () => {
  const rot = { id: 'sound-marks', verdict: 'stop', title: 'Damage', margin: '1 mark is open.', next: 'Engineer.' };
  show([], way, [rot, { ...rot, id: 'damp-air', verdict: 'measure', title: 'Air' }]);
  expect(screen.queryByRole('button', { name: 'Record it as done' })).toBeNull();
  expect(screen.getByRole('alert')).toHaveTextContent('Damage: 1 mark is open. Engineer.');
  expect(screen.getByRole('alert')).not.toHaveTextContent('Air');
});

test('a way that is not possible here is not told done', () => {
  show([], { ...way, refused: 'stop, held back by the weight' } as ShownWay);
  expect(screen.queryByRole('button', { name: 'Record it as done' })).toBeNull();
  expect(screen.getByText('Not possible here: stop, held back by the weight')).toBeInTheDocument();
});

test.each([
  ['Bags used, bags', 'two', /^“two” is no number/],
  ['Air humidity, %RH', '140', /^140 is out of range/],
])('nothing is recorded past %s = %s, and the rest of what was entered stays', async (name, text, words) => {
  const { user } = show([]);
  await user.type(screen.getByRole('textbox', { name: 'Batch' }), 'L 2207');
  await user.type(screen.getByRole('textbox', { name }), text);
  await user.click(record());
  expect(await screen.findByText(words)).toBeVisible();
  expect(mockWrite).not.toHaveBeenCalled();
  expect(screen.getByRole('textbox', { name: 'Batch' })).toHaveValue('L 2207');
  await user.clear(screen.getByRole('textbox', { name }));
  await user.click(record());
  await waitFor(() => expect(mockWrite).toHaveBeenCalledTimes(1));
  expect(screen.queryByText(words)).toBeNull();
});

test('until moved stations are read again more work is recorded by name only', async () => {
  const { user, onRead } = show([achieved({ waiting: [station] as never })]);
  expect(screen.getByText('0 of 1 moved stations read again.')).toBeVisible();
  expect(screen.queryByRole('button', { name: 'Record it as done' })).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Read them again' }));
  expect(onRead).toHaveBeenCalled();
  await user.click(screen.getByRole('button', { name: 'Record more work' }));
  expect(record()).toBeVisible();
});

test('what came of it stands beside what was meant: bags, the worst station by its number, each in a fold', async () => {
  const { user } = show([achieved({ reread: [station] as never, rmsOffMm: 0.6, worst: station as never })], null);
  expect(screen.getByText(/^Patch, batch L 1 · 3 bags used, 2 planned · 18 °C$/)).toBeVisible();
  expect(screen.getByTestId('achieved')).toHaveTextContent('most: station 7, −0.6 mm');
  expect(screen.getByText('Nothing is left to level.')).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Predicted and achieved' }));
  expect(screen.getByText('Station 7: was −4, planned −1, now −1.6: −0.6 mm')).toBeVisible();
});

test('work that moved nothing that was read says so, and a record can be taken out', async () => {
  const { user } = show([achieved({})]);
  expect(screen.getByText('It moved no station that was read.')).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Take this record out' }));
  expect(mockWrite.mock.calls[0]![1][0]).toMatchObject({ kind: 'works', id: 'w1', deleted: true });
});
