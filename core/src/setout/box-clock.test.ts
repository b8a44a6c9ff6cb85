import { airHistory } from '../air/index.ts';
import { boxClock } from './box-clock.ts';
import type { PlankBoxes } from './facts.ts';
import { spareSeen, stockLeft } from './stock-left.ts';

const BANDS = { airMinC: 15, airMaxC: 28, airMinRh: 35, airMaxRh: 70 };
const at = (hour: number) => new Date(Date.UTC(2026, 4, 4) + hour * 3_600_000).toISOString();
/** Air read every hour, out of its band in some of them. */
const air = (hours: number, out: readonly number[] = []) =>
  airHistory(
    Array.from({ length: hours + 1 }, (_, h) => ({ at: at(h), tempC: out.includes(h) ? 10 : 20, rhPercent: 50 })),
    BANDS,
    6,
  );
const boxes = (part: Partial<PlankBoxes> = {}): PlankBoxes => ({
  id: 'b',
  batch: 'A',
  boxes: 5,
  planksEach: 10,
  stoodAt: at(0),
  isFlat: true,
  isOffConcrete: true,
  isOffOuterWall: true,
  isOffVentsAndSun: true,
  isOpened: false,
  note: '',
  ...part,
});

test('hours count from when the boxes were put in, up to the last reading', () => {
  expect(boxClock(boxes({ stoodAt: at(10) }), air(40), 48)).toMatchObject({
    hoursDone: 30,
    isDone: false,
    dueAt: at(58),
  });
  expect(boxClock(boxes(), air(48), 48)).toMatchObject({ hoursDone: 48, isDone: true, dueAt: null });
});

test('the clock begins anew when the air leaves its band', () => {
  expect(boxClock(boxes(), air(40, [25]), 48)).toMatchObject({ hoursDone: 14, isDone: false, dueAt: at(26 + 48) });
});

test('boxes that lie wrong have no clock; a card that asks for no hours needs none', () => {
  const wrong = boxClock(boxes({ isFlat: false, isOffOuterWall: false }), air(60), 48);
  expect(wrong).toMatchObject({ misplaced: ['leaning', 'outer-wall'], hoursDone: 0, isDone: false, dueAt: null });
  expect(boxClock(boxes(), air(0), 0).isDone).toBe(true);
});

test('a short batch is seen in the row in which it runs out', () => {
  // Twelve rows of four planks each: 46 planks at hand are enough for eleven of them.
  const rows = new Array<number>(12).fill(4);
  expect(stockLeft({ bought: 60, damaged: 2, used: 12 }, rows)).toMatchObject({
    left: 46,
    needed: 48,
    rowsLeft: 12,
    rowsCovered: 11,
  });
  expect(stockLeft({ bought: 60, damaged: 0, used: 12 }, rows).rowsCovered).toBe(12);
});

test('spare planks by what was set aside so far: to the whole percent upwards, and not before twenty planks lie', () => {
  expect(spareSeen({ used: 19, damaged: 3 })).toBeNull();
  expect(spareSeen({ used: 20, damaged: 0 })).toBe(0);
  expect(spareSeen({ used: 40, damaged: 1 })).toBe(3);
  expect(spareSeen({ used: 50, damaged: 2 })).toBe(4);
});
