import { datumLevel, levelFrom, type LevelRead } from './level-read.ts';

const read = (more: Partial<LevelRead>): LevelRead => ({
  id: 'l',
  of: 'beyond',
  aboutId: 'door',
  alongMm: 0,
  readBy: 'staff',
  setupId: 's',
  rodMm: 1330,
  overMm: null,
  lyingMm: null,
  datumMm: null,
  ...more,
});

test('by staff a level is the line of sight less the rod, once its set-up is tied', () => {
  expect(levelFrom(read({}), new Map([['s', 1342]]))).toEqual({ levelMm: 12, offMm: 0.5 });
  expect(levelFrom(read({}), new Map())).toBeNull();
  expect(levelFrom(read({ setupId: null }), new Map([['s', 1342]]))).toBeNull();
});

test('by tape it is what the figure made of the floor there when it was entered, and stays so', () => {
  // Base 1, 2 and 3 along the edge under 12 mm of old floor, 5 mm over that.
  const made = datumLevel(5, { baseMm: [1, 2, 3], lyingMm: 12 }, 'tape')!;
  expect(made.levelMm).toBe(19);
  expect(made.offMm).toBeCloseTo(Math.sqrt(5), 9);
  expect(datumLevel(5, { baseMm: [1, 2, 3], lyingMm: 0 }, 'tape')!.offMm).toBeCloseTo(Math.sqrt(1.25), 9);
  expect(datumLevel(5, { baseMm: [], lyingMm: 12 }, 'tape')).toBeNull();
  const taped = read({ readBy: 'tape', setupId: null, rodMm: null, overMm: 5, lyingMm: 12, datumMm: made.levelMm });
  expect(levelFrom(taped, new Map())).toEqual(made);
  // Entered before the floor was read: it waits for that, and then stands over the base that is read.
  expect(levelFrom({ ...taped, datumMm: null }, new Map())).toBeNull();
  expect(levelFrom({ ...taped, datumMm: null }, new Map(), () => [1, 2, 3])).toEqual(made);
});
