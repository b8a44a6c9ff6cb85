import { PARTS, type RoomPicture } from '@maquette/core';
import { courseOf, STAGES } from './stages.ts';

const marksOf = (...asked: Parameters<typeof courseOf>) =>
  Object.fromEntries(courseOf(...asked).map(({ stage, verdict }) => [stage, verdict]));

const picture = (
  criteria: [part: string, 'stop' | 'work' | 'measure' | 'lay'][],
  verdict: 'stop' | 'work' | 'lay' | 'measure',
) => ({ verdict, criteria: criteria.map(([part, v]) => ({ part, verdict: v })) }) as unknown as RoomPicture;

test('each plank carries its own criteria: a shut gate marks strip-out and leaves the others their own word', () => {
  const marks = marksOf(
    true,
    picture(
      [
        ['strip', 'stop'],
        ['strip', 'work'],
        ['damp', 'work'],
        ['damp', 'lay'],
        ['sound', 'lay'],
        ['flat', 'lay'],
        ['flat', 'measure'],
      ],
      'stop',
    ),
  );
  expect(marks).toMatchObject({
    room: 'lay',
    strip: 'stop',
    damp: 'work',
    sound: 'lay',
    flat: 'measure',
    level: 'stop',
  });
});

test('a bare base has nothing to strip; a room without a way in is still to be measured', () => {
  expect(marksOf(false, picture([['flat', 'measure']], 'measure'))).toMatchObject({
    room: 'measure',
    strip: 'lay',
    damp: 'measure',
    sound: 'measure',
    flat: 'measure',
    level: 'measure',
  });
});

test('every part is shown in a stage, and in one only: a criterion nobody claims is found here', () => {
  const shown = STAGES.flatMap((s) => s.parts as readonly string[]);
  expect([...shown].sort()).toEqual(PARTS.map((part) => part.id).sort());
});
