import { figure, moment, orNull } from '@maquette/core/fields';
import { inWords, timesIn } from '@maquette/words';
import { askedBack } from './asked-back.ts';
import { readTyped, textOf } from './typed.ts';

const times = timesIn('Europe/London');
const metric = { units: 'metric', times } as const;
const imperial = { units: 'imperial', times } as const;
const air = orNull(figure(-20, 60, '°C'));

test('a temperature is typed and shown in the room’s own degrees, and kept in Celsius', () => {
  expect([readTyped('68', air, imperial), readTyped('68', air, metric)]).toEqual([20, 68]);
  expect([textOf(20, air, imperial), textOf(20, air, metric)]).toEqual(['68', '20']);
  // What was typed comes back as it was, to the tenth.
  for (const typed of ['71.3', '-3.5', '32', '59.9']) {
    const kept = readTyped(typed, air, imperial);
    expect(textOf(kept, air, imperial)).toBe(typed);
  }
  expect([readTyped('', air, imperial), readTyped('warm', air, imperial)]).toEqual([null, 'warm']);
});

test('what is asked back of a temperature names the range in the degrees it was typed in', () => {
  expect(inWords(askedBack('200', air, imperial), 'imperial')).toContain('-4 to 140 °F');
  expect(inWords(askedBack('200', air, metric), 'metric')).toContain('-20 to 60 °C');
});

test('a moment is shown and typed by the site’s clock; emptied it is none where it may be, and words stay as they are', () => {
  const until = orNull(moment());
  expect(textOf('2026-07-06T07:30:00.000Z', until, metric)).toBe('2026-07-06 08:30');
  expect(readTyped('2026-07-06 08:30', until, metric)).toBe('2026-07-06T07:30:00.000Z');
  expect([null, undefined].map((none) => textOf(none, until, metric))).toEqual(['', '']);
  expect([readTyped('', until, metric), readTyped(' ', until, metric)]).toEqual([null, null]);
  expect([readTyped('', moment(), metric), readTyped('soon', until, metric)]).toEqual(['', 'soon']);
});
