import type { RoomPicture } from '@maquette/core';
import { marksOf } from './stages.ts';

const picture = (
  criteria: [string, 'stop' | 'work' | 'measure' | 'lay'][],
  verdict: 'stop' | 'work' | 'lay' | 'measure',
) => ({ verdict, criteria: criteria.map(([id, v]) => ({ id, verdict: v })) }) as unknown as RoomPicture;

test('each plank carries its own criteria: a shut gate marks strip-out and leaves the others their own word', () => {
  const marks = marksOf(
    true,
    picture(
      [
        ['hazard-gate', 'stop'],
        ['strip-work', 'work'],
        ['damp-probe', 'work'],
        ['damp-air', 'lay'],
        ['sound-walk', 'lay'],
        ['flat', 'lay'],
        ['lips', 'measure'],
      ],
      'stop',
    ),
  );
  expect(marks).toEqual({
    room: 'lay',
    strip: 'stop',
    damp: 'work',
    sound: 'lay',
    flat: 'measure',
    plan: 'stop',
  });
});

test('a bare base has nothing to strip; a room without a way in is still to be measured', () => {
  expect(marksOf(false, picture([['flat', 'measure']], 'measure'))).toEqual({
    room: 'measure',
    strip: 'lay',
    damp: 'measure',
    sound: 'measure',
    flat: 'measure',
    plan: 'measure',
  });
});
