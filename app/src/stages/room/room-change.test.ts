import { act, renderHook } from '@testing-library/react';
import { BLANK_SHAPE, newOpening, rectangleWalls, type RoomFacts } from '@maquette/core/room';
import { isFarSide, onWalls, seenFromBeyond, useRoomChange } from './room-change.ts';
import { shownIn } from '../../ui/invented-units.tsx';

const mockBook: { rooms: object[] } = { rooms: [] };
const mockWrite = jest.fn((_words: string, _changes: { id: string; body: { openings: object[] } }[]) =>
  Promise.resolve({ ok: true }),
);
jest.mock('../../data/use-facts.ts', () => ({ useBook: () => mockBook }));
jest.mock('../../data/write.ts', () => ({ write: (words: string, changes: never) => mockWrite(words, changes) }));
beforeEach(() => mockWrite.mockClear());

test('a shared opening seen from the other room: same width, hinge and swing turned, the rest its own', () => {
  const own = { ...newOpening('a', 2, 300, 900), hinge: 'start' as const, swing: 'in' as const };
  const other = { ...newOpening('b', 0, 1200, 800), beyond: 'carpet' as const, sharedId: 's' };
  expect(seenFromBeyond(own, other)).toMatchObject({
    id: 'b',
    wall: 0,
    fromMm: 1200,
    widthMm: 900,
    hinge: 'end',
    swing: 'out',
    beyond: 'carpet',
  });
});

describe('sharing an opening with another room of the job', () => {
  const near = { ...BLANK_SHAPE, id: 'near', jobId: 'j', walls: rectangleWalls(4000, 3000) };
  const far = {
    ...near,
    id: 'far',
    name: 'Hall',
    walls: rectangleWalls(1000, 5000),
    openings: [newOpening('b', 0, 100, 800)],
  };
  const own = newOpening('a', 1, 200, 850);
  const changing = async (sharedId: string, widthMm: number) => {
    mockBook.rooms = [{ ...near, openings: [own] }, far];
    const { result } = renderHook(
      () => useRoomChange({ room: { ...near, openings: [own] } } as never),
      shownIn('metric'),
    );
    let ok = false;
    await act(async () => {
      ok = await result.current.change('Opening shared', { openings: [{ ...own, sharedId, widthMm }] });
    });
    return { ok, problem: result.current.problem };
  };

  test('one that was not shared yet goes by its own id, and both rooms are written in one step', async () => {
    expect(isFarSide(far.openings[0]!, 'b')).toBe(true);
    expect((await changing('b', 850)).ok).toBe(true);
    const changes = mockWrite.mock.calls[0]![1];
    expect(changes.map((c) => c.id)).toEqual(['near', 'far']);
    expect(changes[1]!.body.openings).toEqual([expect.objectContaining({ id: 'b', sharedId: 'b', widthMm: 850 })]);
  });

  test('a width the other room’s wall has no place for is refused there by name, and nothing is written', async () => {
    const { ok, problem } = await changing('b', 950);
    expect(ok).toBe(false);
    expect(problem).toContain('Hall, door in W1: The door ends at 1050 mm');
    expect(mockWrite).not.toHaveBeenCalled();
  });
});

describe('a room on new walls', () => {
  const room = {
    ...BLANK_SHAPE,
    walls: rectangleWalls(4000, 3000),
    openings: [newOpening('a', 1, 2100, 800)],
    diagonals: [{ from: 0, to: 2, lengthMm: 5000 }],
  } as unknown as RoomFacts;

  test('pulled narrower, its door moves back along the wall instead of standing past its end', () => {
    const { words, part } = onWalls(room, 'Wall W3 moved', { walls: rectangleWalls(4000, 2400) });
    expect(part.openings![0]).toMatchObject({ fromMm: 1600, widthMm: 800 });
    expect(part.diagonals).toEqual([]);
    expect(words).toBe('Wall W3 moved; diagonals went with the old corners');
  });

  test('what cannot be kept is said', () => {
    expect(onWalls(room, 'Room resized', { walls: rectangleWalls(4000, 250), keepDiagonals: true }).words).toBe(
      'Room resized; 1 opening no longer fit and went',
    );
  });
});
