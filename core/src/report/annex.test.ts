import { inWords } from '@maquette/words';
import '@maquette/words/report';
import { roomSet, type RoomSet } from '../assess/room-set.ts';
import { dampOf, testOf } from '../damp/invented-damp.ts';
import { layerOf } from '../stripout/invented-strip.ts';
import { newMark } from '../soundness/index.ts';
import type { Photograph } from '../record/index.ts';
import type { PaperPage } from '../paper/index.ts';
import type { Sayable } from '../said/index.ts';
import { annexes } from './annex.ts';
import { inventedReport, REPORT_AT } from './invented-report.ts';

const said = (what: Sayable) => inWords(what, 'metric', 'Europe/London');
const annex = (id: string, facts: Partial<RoomSet>, atUtc = REPORT_AT): PaperPage => {
  const { room, card } = dampOf({});
  const job = { ...inventedReport([roomSet(room, card, facts)]), atUtc };
  return annexes(job).find((page) => page.id === id)!;
};
const rows = ({ blocks }: PaperPage) =>
  blocks.flatMap((block) => (block.is === 'table' ? block.rows.map((row) => row.map(said)) : []));
const checked = (on: string) => [testOf('probe', 'P1', [1500, 1500], { instrument: 'Hygrometer 3', checkedOn: on })];
const age = (on: string, atUtc?: string) => rows(annex('annex-b', { dampTests: checked(on) }, atUtc))[0]![1];

test.each([
  // Early on the very day, and in the evening of it.
  ['2026-05-06', '2026-05-06T05:00:00.000Z', 'today'],
  ['2026-05-06', '2026-05-06T21:00:00.000Z', 'today'],
  ['2026-05-05', '2026-05-06T05:00:00.000Z', '1 day ago'],
  ['2026-04-06', '2026-05-06T21:00:00.000Z', '30 days ago'],
  // East of Greenwich its day has begun before that of UTC.
  ['2026-05-07', '2026-05-06T21:00:00.000Z', 'today'],
  ['2026-06-01', '2026-05-06T21:00:00.000Z', 'not known'],
  ['', '2026-05-06T21:00:00.000Z', 'not known'],
])('an instrument checked on "%s" was, at %s, checked: %s', (on, atUtc, words) => {
  expect(age(on, atUtc)).toBe(words);
});

test('what read the air stands among the instruments by its name, each once', () => {
  const hand = (id: string, instrument: string) => ({ id, takenAt: REPORT_AT, tempC: 20, rhPercent: 50, instrument });
  const airReadings = [hand('a', 'Dial 1'), hand('b', 'Dial 1'), hand('c', '')] as unknown as RoomSet['airReadings'];
  const names = rows(annex('annex-b', { dampTests: checked('2026-04-01'), airReadings })).map(([name]) => name);
  expect(names).toEqual([expect.stringContaining('Hygrometer 3'), expect.stringContaining('Dial 1')]);
});

test('photographs say what they are of: test, layer and mark by name; what is gone by its kind', () => {
  const layer = layerOf('carpet');
  const mark = newMark('m-1', 'crack', { xMm: 600, yMm: 600 });
  const photo = (about: Photograph['about'], aboutId: string): Photograph => ({
    ...{ id: `p-${about}-${aboutId}`, about, aboutId, xMm: null, yMm: null, takenAt: REPORT_AT, note: '' },
    originalSha256: '',
  });
  const [test] = checked('');
  const photos = [photo('damp', test!.id), photo('layer', layer.id), photo('mark', 'm-1'), photo('mark', 'gone')];
  const page = annex('annex-d', { dampTests: [test!], layers: [layer], marks: [mark], photos });
  expect(rows(page).map(([, what]) => what)).toEqual([
    expect.stringMatching(/, In-slab probe P1$/),
    expect.stringMatching(/, Carpet and pad$/),
    expect.stringMatching(/, Crack/),
    expect.stringMatching(/, mark$/),
  ]);
});
