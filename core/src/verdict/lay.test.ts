import { layCriteria, type LayTold } from './lay.ts';

const lies = { batch: 'A', hoursNeeded: 48 };
const clock = (part: Partial<LayTold['clocks'][number]> = {}): LayTold['clocks'][number] => ({
  boxes: { batch: lies.batch },
  misplaced: [],
  hoursNeeded: lies.hoursNeeded,
  hoursDone: 48,
  dueAt: null,
  isDone: true,
  ...part,
});
const good = { batch: 'A', check: { locks: 'good', straight: 'good', colour: 'good' } } as const;
const told = (part: Partial<LayTold> = {}): LayTold => ({
  isBegun: true,
  hasPlankSize: true,
  clocks: [clock()],
  batches: ['A'],
  mixed: 'ask',
  checks: [good],
  zones: [],
  dewMarginK: null,
  leastDewMarginK: 3,
  bays: { old: [], unrolled: [] },
  ...part,
});
const verdicts = (part: Partial<LayTold>) => Object.fromEntries(layCriteria(told(part)).map((c) => [c.id, c.verdict]));

test('nothing is said before anybody has begun with the planks', () => {
  expect(layCriteria(told({ isBegun: false, clocks: [], batches: [], checks: [] }))).toEqual([]);
});

test('boxes that have rested and a good first box: lay', () => {
  expect(verdicts({})).toEqual({ 'lay-clock': 'lay', 'lay-first-box': 'lay' });
});

test.each([
  ['no boxes on record', { clocks: [], batches: [], checks: [] }, { 'lay-clock': 'measure' }],
  [
    'a clock that runs',
    { clocks: [clock({ isDone: false, hoursDone: 20, dueAt: '2026-05-06T08:00:00.000Z' })] },
    { 'lay-clock': 'wait' },
  ],
  ['air that nobody read', { clocks: [clock({ isDone: false, hoursDone: 0 })] }, { 'lay-clock': 'measure' }],
  ['boxes on concrete', { clocks: [clock({ isDone: false, misplaced: ['on-concrete'] })] }, { 'lay-clock': 'work' }],
  ['a first box nobody opened', { checks: [{ batch: 'A', check: null }] }, { 'lay-first-box': 'measure' }],
  ['bad locks', { checks: [{ batch: 'A', check: { ...good.check, locks: 'bad' } }] }, { 'lay-first-box': 'stop' }],
  ['two batches, the maker not asked', { batches: ['A', 'B'] }, { 'lay-batches': 'measure' }],
  ['two batches that may be mixed', { batches: ['A', 'B'], mixed: 'mix' }, { 'lay-batches': 'lay' }],
  ['two batches that may not', { batches: ['A', 'B'], mixed: 'refuse' }, { 'lay-batches': 'work' }],
  ['a zone without a patch test', { zones: [{ name: 'base', test: 'none' }] }, { 'lay-glue': 'measure' }],
  [
    'a strip that came off',
    {
      zones: [
        { name: 'base', test: 'held' },
        { name: 'mark', test: 'failed' },
      ],
    },
    { 'lay-glue': 'work' },
  ],
  ['every zone held', { zones: [{ name: 'base', test: 'held' }] }, { 'lay-glue': 'lay' }],
  ['a base near its dew point', { zones: [{ name: 'base', test: 'held' }], dewMarginK: 1.2 }, { 'lay-glue': 'wait' }],
  ['adhesive too old', { bays: { old: [2], unrolled: [1] } }, { 'lay-bays': 'work' }],
  ['a bay not rolled', { bays: { old: [], unrolled: [1, 3] } }, { 'lay-bays': 'work' }],
  ['a card without a plank size', { hasPlankSize: false }, { 'lay-size': 'measure' }],
] as [string, Partial<LayTold>, Record<string, string>][])('%s', (_, part, expected) => {
  expect(verdicts(part)).toMatchObject(expected);
});

test('boxes of several batches: the one that lies worst is told first, then the slowest', () => {
  const slow = clock({ boxes: { batch: 'B' }, isDone: false, hoursDone: 5, dueAt: '2026-05-07T08:00:00.000Z' });
  const [first] = layCriteria(
    told({
      clocks: [
        clock(),
        slow,
        clock({ boxes: { batch: 'C' }, isDone: false, hoursDone: 30, dueAt: '2026-05-06T08:00:00.000Z' }),
      ],
    }),
  );
  expect(JSON.stringify(first!.margin)).toContain('"batch":"B"');
  const [wrong] = layCriteria(told({ clocks: [slow, clock({ boxes: { batch: 'D' }, misplaced: ['leaning'] })] }));
  expect(JSON.stringify(wrong!.margin)).toContain('"batch":"D"');
});
