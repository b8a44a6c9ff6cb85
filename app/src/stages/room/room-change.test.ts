import { newOpening } from '@maquette/core/room';
import { seenFromBeyond } from './room-change.ts';

jest.mock('../../data/use-facts.ts', () => ({ useBook: () => ({ rooms: [] }) }));
jest.mock('../../data/write.ts', () => ({ write: jest.fn() }));

test('a shared opening seen from the other room: same width, hinge and swing turned, level turned over', () => {
  const own = { ...newOpening('a', 2, 300, 900), hinge: 'start' as const, swing: 'in' as const, beyondLevelMm: 6 };
  const other = { ...newOpening('b', 0, 1200, 800), beyond: 'carpet' as const, sharedId: 's' };
  expect(seenFromBeyond(own, other)).toMatchObject({
    id: 'b',
    wall: 0,
    fromMm: 1200,
    widthMm: 900,
    hinge: 'end',
    swing: 'out',
    beyond: 'carpet',
    beyondLevelMm: -6,
  });
});

test('a level not measured on this side does not wipe out the other’s', () => {
  const other = { ...newOpening('b', 0, 0, 800), beyondLevelMm: 4 };
  expect(seenFromBeyond(newOpening('a', 0, 0, 800), other).beyondLevelMm).toBe(4);
});
