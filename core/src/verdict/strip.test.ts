import { readOut } from '@maquette/words';
import '@maquette/words/figure-names';
import { assessRoom, roomSet } from '../index.ts';
import { SHIPPED_CARDS } from '../coverings/index.ts';
import { FIGURES, figuresOf, isFigure, type FigureName } from '../figures/index.ts';
import { LAYER_KINDS, LAYERS, newLayer, type Layer } from '../layers/index.ts';
import { BLANK_SHAPE, newFixture, rectangleWalls, UNKNOWN_BASE, type RoomFacts } from '../room/index.ts';
import { type Choice, type StripFacts } from '../stripout/index.ts';

const card = SHIPPED_CARDS.find((c) => c.id === 'shipped-laminate')!;
const room: RoomFacts = {
  id: 'room-1',
  jobId: 'job-1',
  name: 'Test',
  rank: 0,
  ...BLANK_SHAPE,
  walls: rectangleWalls(4000, 3000),
  baseKind: 'cement-screed',
  base: { ...UNKNOWN_BASE, heating: 'none' },
  cardId: card.id,
  units: 'metric',
  spacingMm: null,
  contactsOnly: false,
};
const judge = (strip: Partial<StripFacts>, own: Partial<RoomFacts> = {}) => {
  const country = { country: 'GB', asbestosFrom: null, leadFrom: null };
  const set = roomSet({ ...room, ...own }, card, { country, ...strip });
  const { verdict, criteria, laidOver, surfaceGates } = assessRoom(set, '2026-05-04T12:00:00Z', {
    parts: ['strip', 'flat'],
  });
  return {
    verdict,
    laidOver,
    surfaceGates,
    strip: criteria.filter((c) => c.id !== 'flat').map((c) => [c.id, c.verdict]),
  };
};
const chose = (layerId: string, choice: Choice) => ({ id: layerId, layerId, choice, note: '' });
const answer = (question: string, answer: string) => ({ id: question, question, answer, note: '' });
const vinyl = (part: Partial<Layer> = {}) => newLayer('l', 'sheet-resilient', part);
const old = { year: null, yearOf: 'unknown' } as const;
const late = { year: 2015, yearOf: 'layer' } as const;

test('a bare base has nothing of strip-out to say', () => {
  expect(judge({})).toMatchObject({ verdict: 'measure', strip: [], laidOver: 'cement-screed' });
});

test('suspect and undecided: stop, though it might be covered', () => {
  expect(judge({ layers: [vinyl(old)] }).strip).toEqual([
    ['hazard-gate', 'stop'],
    ['strip-choice', 'measure'],
  ]);
});

test('suspect and kept undisturbed: the gate is not in the way any more, the covering lies over it', () => {
  const kept = judge({ layers: [vinyl(old)], layerChoices: [chose('l', 'keep')] });
  expect(kept).toMatchObject({ verdict: 'measure', strip: [], laidOver: 'existing-resilient' });
  // Nothing that stays there may be ground or primed: the one predicate answers levelling too.
  expect([kept.surfaceGates.grind.allowed, kept.surfaceGates.prime.allowed]).toEqual([false, false]);
});

test('a toilet on a floor that stays is in the way until it is lifted', () => {
  const toilet = newFixture('wc', 'toilet', { xMm: 1000, yMm: 1000 }, 0);
  const kept = { layers: [vinyl(late)], layerChoices: [chose('l', 'keep')] };
  expect(judge(kept, { fixtures: [toilet] }).strip).toEqual([['strip-work', 'work']]);
  const ticks = [{ id: 't', key: 'lift/wc', doneAt: '2026-05-04T10:00:00Z', note: '' }];
  expect(judge({ ...kept, ticks }, { fixtures: [toilet] }).strip).toEqual([]);
  expect(judge(kept).strip).toEqual([]);
});

test('suspect and chosen to be taken up: stop until a laboratory has answered', () => {
  expect(judge({ layers: [vinyl(old)], layerChoices: [chose('l', 'remove')] }).strip[0]).toEqual([
    'hazard-gate',
    'stop',
  ]);
});

test('open and chosen: work; ticked: nothing left', () => {
  const layerChoices = [chose('l', 'remove')];
  expect(judge({ layers: [vinyl(late)], layerChoices }).strip).toEqual([['strip-work', 'work']]);
  const ticks = [{ id: 't', key: 'layer/l', doneAt: '2026-05-04T10:00:00Z', note: '' }];
  expect(judge({ layers: [vinyl(late)], layerChoices, ticks })).toMatchObject({ strip: [], laidOver: 'cement-screed' });
});

test('a hazard seen in the room stops it whatever lies there, until it is made safe', () => {
  expect(judge({ answers: [answer('site/needles', 'seen')] })).toMatchObject({
    verdict: 'stop',
    strip: [['site/needles', 'stop']],
  });
  expect(judge({ answers: [answer('site/needles', 'made-safe')] }).strip).toEqual([]);
});

test('a second judgement of other facts is not the first one kept', () => {
  const layerChoices = [chose('l', 'remove')];
  const first = judge({ layers: [vinyl(late)], layerChoices });
  judge({ layers: [vinyl(old)], layerChoices });
  expect(judge({ layers: [vinyl(late)], layerChoices })).toEqual(first);
});

test.each(Object.keys(FIGURES) as FigureName[])(
  'the default of %s lies in the range it takes, and says where it is from',
  (name) => {
    const { value, min, max, source, words } = FIGURES[name];
    expect(value).toBeGreaterThanOrEqual(min);
    expect(value).toBeLessThanOrEqual(max);
    expect([readOut(source).length > 5, readOut(words).length > 3, isFigure(name)]).toEqual([true, true, true]);
    expect(figuresOf([{ name, value: max, source: '' }])(name)).toBe(max);
    expect(figuresOf([])(name)).toBe(value);
  },
);

test.each(LAYER_KINDS)('%s has a thickness, rates and a warning', (kind) => {
  const spec = LAYERS[kind];
  expect(spec.thicknessMm).toBeGreaterThan(0);
  expect(spec.hoursM2).toBeGreaterThan(0);
  expect(spec.kgM2).toBeGreaterThan(0);
  expect(spec.watch).not.toBe('');
});
