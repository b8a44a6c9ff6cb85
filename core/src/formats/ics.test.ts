import ICAL from 'ical.js';
import { icsOf, type CalendarEntry } from './ics.ts';

const JOB = { jobId: 'sluice', name: 'Sluice House', edition: 3, writtenAtUtc: '2026-05-04T07:00:00.000Z' };
const entry = (part: Partial<CalendarEntry> = {}): CalendarEntry => ({
  key: 'hall/level/pour',
  stretch: 1,
  fromUtc: '2026-05-05T07:15:00.000Z',
  toUtc: '2026-05-05T10:00:00.000Z',
  summary:
    'Pour: 3 bags, the hall; nobody in until the “cure” has ended – 24 h at 20 °C, longer where it is cold or damp',
  description: 'Two people\nBags: 3, the batch on record; a comma, a \\ and a ; too',
  location: 'Hall',
  isWait: false,
  isGone: false,
  ...part,
});

/** Read by a parser that shares nothing with what wrote it. */
const read = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as unknown[])
    .getAllSubcomponents('vevent')
    .map((event) => ({ event, value: (name: string) => event.getFirstPropertyValue(name) }));

test('lines end with CR and LF, none is longer than 75 octets, and another parser reads what was written', () => {
  const text = icsOf(JOB, [entry(), entry({ stretch: 2, isWait: true }), entry({ key: 'gone', isGone: true })]);
  const lines = text.split('\r\n');
  expect(lines.at(-1)).toBe('');
  expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
  for (const line of lines) expect(Buffer.byteLength(line, 'utf8')).toBeLessThanOrEqual(75);
  const events = read(text);
  expect(events).toHaveLength(3);
  const [work, wait, gone] = events as [(typeof events)[number], (typeof events)[number], (typeof events)[number]];
  expect(work.value('summary')).toBe(entry().summary);
  expect(work.value('description')).toBe(entry().description);
  expect(String(work.value('dtstart'))).toBe('2026-05-05T07:15:00Z');
  expect(String(work.value('dtend'))).toBe('2026-05-05T10:00:00Z');
  expect(work.value('uid')).toBe('sluice/hall/level/pour/1@maquette');
  expect(work.value('sequence')).toBe(3);
  expect([work.value('transp'), wait.value('transp')]).toEqual(['OPAQUE', 'TRANSPARENT']);
  expect([work.value('status'), gone.value('status')]).toEqual(['CONFIRMED', 'CANCELLED']);
});

test('written again an entry keeps its name, so that a calendar moves it', () => {
  const uids = (text: string) => read(text).map(({ value }) => value('uid'));
  const before = icsOf(JOB, [entry()]);
  const after = icsOf({ ...JOB, edition: 4 }, [entry({ fromUtc: '2026-05-06T07:15:00.000Z' })]);
  expect(uids(after)).toEqual(uids(before));
  expect(icsOf(JOB, [entry()])).toBe(before);
});
