import { readOut } from '@maquette/words';
import { newOpening, rectangleWalls, planOf } from '../room/index.ts';
import { placeWords, worstVerdict } from './index.ts';

test('stop over work over measure over wait over lay', () => {
  expect(worstVerdict(['lay', 'wait', 'measure', 'work', 'stop'])).toBe('stop');
  expect(worstVerdict(['lay', 'wait', 'measure', 'work'])).toBe('work');
  expect(worstVerdict(['lay', 'wait', 'measure'])).toBe('measure');
  expect(worstVerdict(['lay', 'wait'])).toBe('wait');
  expect(worstVerdict(['lay'])).toBe('lay');
  expect(worstVerdict([])).toBe('measure');
});

test('a place is told by two tapes, in the room’s units', () => {
  const room = {
    walls: rectangleWalls(5000, 4000),
    openings: [newOpening('d', 0, 0, 800)],
    units: 'metric' as const,
  };
  expect(readOut(placeWords(room as never, planOf(room), [4160, 810]))).toBe(
    '0.81 m from the door wall, 0.84 m from W2',
  );
  expect(readOut(placeWords(room as never, planOf(room), [4160, 810]), 'imperial')).toContain(
    `2' 8" from the door wall`,
  );
});
