import { say } from '../said/index.ts';
import { figure, key, kind, moment, oneOf, orNull, text, type FactOf } from '../fields/index.ts';
import { SHEET_MM } from '../room/index.ts';

/** What a photograph is of and where it was taken; the picture itself is sent apart. */
export const photos = kind(
  'room',
  'Photograph',
  {
    about: oneOf('room', 'layer', 'step', 'mark', 'sample', 'damp', 'air', 'box'),
    aboutId: key(200),
    xMm: orNull(figure(-SHEET_MM, SHEET_MM, 'mm')),
    yMm: orNull(figure(-SHEET_MM, SHEET_MM, 'mm')),
    takenAt: moment(),
    note: text(500),
  },
  {
    logged: {
      as: 'photo',
      line: ({ takenAt, about }) => ({ at: takenAt, what: say('formats.photographOf', { about }) }),
    },
  },
);
export type Photograph = FactOf<typeof photos>;
