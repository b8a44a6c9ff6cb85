import type { Side } from '../room/index.ts';
import { UNKNOWN_BASE } from '../room/index.ts';
import { LAYER_KINDS, LAYERS, newLayer, type Layer, type Sample } from '../layers/index.ts';
import {
  gateOf,
  materialsOf,
  mayDo,
  METHOD_NAMES,
  METHODS,
  releasedFrom,
  SITE_HAZARDS,
  type HazardFacts,
  type Method,
  type MethodSpec,
} from './index.ts';

const layer = (part: Partial<Layer> = {}): Layer =>
  newLayer('layer-1', part.kind ?? 'sheet-resilient', { fixing: 'glued', ...part });

const sample = (part: Partial<Sample>): Sample => ({
  id: `s-${part.part}`,
  layerId: 'layer-1',
  part: 'covering',
  analyte: 'asbestos',
  where: [],
  sampleNo: '1',
  laboratory: 'invented',
  resultOn: '2026-05-04',
  result: 'negative',
  note: '',
  ...part,
});

const facts = (part: Partial<HazardFacts> = {}): HazardFacts => ({
  job: { country: 'GB', asbestosFrom: null, leadFrom: null },
  samples: [],
  answers: [],
  baseKind: 'panels-on-joists',
  base: { ...UNKNOWN_BASE, heating: 'none' },
  ...part,
});

const negative = (['covering', 'backing', 'adhesive'] as const).map((part) => sample({ part }));
const STATES: Record<string, { layer: Layer; facts: HazardFacts; closes: boolean }> = {
  'shut, year unknown': { layer: layer(), facts: facts(), closes: true },
  'shut, year of the building only': { layer: layer({ year: 2010, yearOf: 'building' }), facts: facts(), closes: true },
  'shut, before the cut-off': { layer: layer({ year: 1975, yearOf: 'layer' }), facts: facts(), closes: true },
  'shut, country not set': {
    layer: layer({ year: 2015, yearOf: 'layer' }),
    facts: facts({ job: { country: null, asbestosFrom: null, leadFrom: null } }),
    closes: true,
  },
  'shut, country without a cut-off': {
    layer: layer({ year: 2015, yearOf: 'layer' }),
    facts: facts({ job: { country: 'US', asbestosFrom: null, leadFrom: null } }),
    closes: true,
  },
  'one of three parts negative': { layer: layer(), facts: facts({ samples: negative.slice(0, 1) }), closes: true },
  'all parts negative': { layer: layer(), facts: facts({ samples: negative }), closes: false },
  'one part positive': {
    layer: layer(),
    facts: facts({ samples: [...negative, sample({ id: 'later', part: 'adhesive', result: 'positive' })] }),
    closes: true,
  },
  'released by the year of the layer': { layer: layer({ year: 2015, yearOf: 'layer' }), facts: facts(), closes: false },
  'not suspect at all': { layer: layer({ kind: 'foam', fixing: 'loose' }), facts: facts(), closes: false },
};

describe.each(Object.entries(STATES))('%s', (_, state) => {
  test.each(METHOD_NAMES)('%s', (method) => {
    const gate = mayDo(state.facts, method, { layers: [state.layer] });
    // What disturbs is shut exactly while a material is shut or positive; what does not disturb is always open.
    expect(gate.allowed).toBe(!(state.closes && METHODS[method].disturbs));
    expect(gate.allowed).toBe(gate.stops.length === 0);
    for (const stop of gate.stops) expect(stop.decides).not.toBe('');
  });
});

test('tests that disturb are shut as strip-out is: probe, carbide, dish, scratch, pins', () => {
  for (const method of [
    'probe-hole',
    'carbide-sample',
    'grind-for-dish',
    'scratch',
    'pin-meter',
    'hard-tap',
  ] as Method[])
    expect(mayDo(facts(), method, { layers: [layer()] }).allowed).toBe(false);
});

test('a positive layer may be covered while it lies sound, and not once it is broken', () => {
  const positive = facts({ samples: [sample({ result: 'positive' })] });
  expect(mayDo(positive, 'cover-floating', { layers: [layer()] }).allowed).toBe(true);
  expect(mayDo(positive, 'screw', { layers: [layer()] }).allowed).toBe(false);
  expect(mayDo(positive, 'prime', { layers: [layer()] }).allowed).toBe(false);
  expect(mayDo(positive, 'cover-floating', { layers: [layer({ condition: 'broken' })] }).allowed).toBe(false);
});

test('a negative opens only the area it was taken from', () => {
  const left: Side[] = [{ lineId: 'line-1', side: 'left' }];
  const taken = negative.map((s) => ({ ...s, where: left }));
  expect(gateOf(facts({ samples: taken }), layer()).open).toBe(false);
  expect(gateOf(facts({ samples: taken }), layer({ where: left })).open).toBe(true);
});

const ALL: readonly Sample['analyte'][] = ['asbestos', 'coal-tar', 'lead', 'other'];
const shutOf = (of: Layer, samples: Sample[]) =>
  materialsOf(of, samples, facts().job)
    .filter((m) => m.state === 'shut' || m.state === 'positive')
    .map((m) => `${m.part} ${m.hazard} ${m.state}`);

describe.each(ALL)('a negative for %s', (analyte) => {
  test.each(LAYER_KINDS)('opens nothing else in %s', (kind) => {
    const of = layer({ kind, fixing: 'glued' });
    const before = shutOf(of, []);
    const taken = LAYERS[kind].suspect.map(({ part }) => sample({ part, analyte }));
    expect(shutOf(of, taken)).toEqual(before.filter((m) => m.split(' ')[1] !== analyte));
  });
});

test('black adhesive is open once it was found free of both, not of one', () => {
  const of = layer({ kind: 'adhesive-residue' });
  const free = (analyte: Sample['analyte']) => sample({ id: analyte, part: 'adhesive', analyte });
  expect(gateOf(facts({ samples: [free('asbestos')] }), of).open).toBe(false);
  expect(gateOf(facts({ samples: [free('coal-tar')] }), of).open).toBe(false);
  expect(gateOf(facts({ samples: [free('asbestos'), free('coal-tar')] }), of).open).toBe(true);
});

test('a record that does not say what it was analysed for opens only what can be meant by one thing', () => {
  const unstated = (part: Sample['part'], result: Sample['result'] = 'negative') =>
    sample({ part, result, analyte: 'unstated' });
  expect(shutOf(layer({ kind: 'resilient-tile' }), [unstated('covering'), unstated('adhesive')])).toEqual([]);
  expect(shutOf(layer({ kind: 'adhesive-residue' }), [unstated('adhesive')])).toHaveLength(2);
  expect(shutOf(layer({ kind: 'adhesive-residue' }), [unstated('adhesive', 'positive')])).toEqual([
    'adhesive asbestos positive',
    'adhesive coal-tar positive',
  ]);
});

test.each(ALL)('%s found where nobody looked for it shuts the layer all the same', (analyte) => {
  const foam = layer({ kind: 'foam', fixing: 'loose' });
  const found = facts({ samples: [sample({ part: 'underlay', analyte, result: 'positive' })] });
  expect(gateOf(found, foam).positive).toBe(true);
  expect(mayDo(found, analyte === 'lead' ? 'sand' : 'scrape', { layers: [foam] }).allowed).toBe(false);
});

test('glue that nobody thought was there, and was found positive, is positive', () => {
  const carpet = layer({ kind: 'carpet', fixing: 'tacked' });
  expect(shutOf(carpet, [sample({ part: 'adhesive', result: 'positive' })])).toEqual(['adhesive asbestos positive']);
});

test('paint on trim is opened by a result for lead only', () => {
  const trim = (analyte: Sample['analyte'], result: Sample['result'] = 'negative') =>
    facts({ samples: [sample({ layerId: 'trim', part: 'finish', analyte, result })] });
  const sanded = (given: HazardFacts) => mayDo(given, 'sand', { layers: [], trim: true }).allowed;
  expect([sanded(trim('lead')), sanded(trim('unstated')), sanded(trim('asbestos')), sanded(trim('other'))]).toEqual([
    true,
    true,
    false,
    false,
  ]);
  expect(mayDo(trim('asbestos', 'positive'), 'scrape', { layers: [], trim: true }).allowed).toBe(false);
});

test('a result for one layer opens no other', () => {
  expect(gateOf(facts({ samples: negative }), layer({ id: 'layer-2' })).open).toBe(false);
});

test('the job’s own cut-off year wins over the table’s, and coal tar is never let go by year', () => {
  const job = { country: 'GB', asbestosFrom: 2011, leadFrom: null };
  expect(releasedFrom(job, 'asbestos')).toBe(2011);
  expect(releasedFrom(job, 'coal-tar')).toBeNull();
  const block = materialsOf(layer({ kind: 'glued-wood', year: 2015, yearOf: 'layer' }), [], job);
  expect(block.map((m) => [m.hazard, m.state])).toEqual([
    ['asbestos', 'released'],
    ['coal-tar', 'shut'],
    ['lead', 'released'],
  ]);
});

test('glue that is not there is not suspect; fixing unknown counts as glued', () => {
  const parts = (fixing: Layer['fixing']) => materialsOf(layer({ kind: 'carpet', fixing }), [], facts().job).length;
  expect([parts('tacked'), parts('glued'), parts('unknown')]).toEqual([0, 1, 1]);
});

describe('before drilling and fixing', () => {
  const base = { layers: [], base: true };
  const concrete = (value: string | null) =>
    facts({
      baseKind: 'suspended-concrete',
      answers: value === null ? [] : [{ id: 'a', question: 'site/tension', answer: value, note: '' }],
    });
  test.each([
    [null, false],
    ['unknown', false],
    ['post-tensioned', false],
    ['none', true],
  ])('suspended concrete, tension %s', (value, allowed) => {
    for (const method of METHOD_NAMES)
      expect(mayDo(concrete(value), method, base).allowed).toBe(allowed || !(METHODS[method] as MethodSpec).pierces);
  });

  test.each([
    ['none', null, true],
    ['unknown', null, false],
    ['water', null, false],
    ['electric', 'no', false],
    ['water', 'yes', true],
  ] as const)('heating %s, located %s', (heating, located, allowed) => {
    const given = facts({
      base: { ...UNKNOWN_BASE, heating },
      answers: located ? [{ id: 'a', question: 'site/heating-located', answer: located, note: '' }] : [],
    });
    for (const method of ['drill', 'staple', 'carbide-sample', 'chisel', 'chase'] as const)
      expect(mayDo(given, method, base).allowed).toBe(allowed);
    // How deep it lies nobody has said: marked out is not enough for wearing the floor down over it.
    expect(mayDo(given, 'grind', base).allowed).toBe(heating === 'none');
    const deep = { ...given, base: { ...given.base, heatingDepthMm: 60 } };
    expect(mayDo(deep, 'grind', base).allowed).toBe(true);
  });
});

test('a second base is asked as the first is: an extension of suspended concrete shuts drilling in the room', () => {
  const extension = { ...UNKNOWN_BASE, kind: 'suspended-concrete' as const, heating: 'none' as const };
  const base = { layers: [], base: true };
  expect(mayDo(facts(), 'drill', base).allowed).toBe(true);
  expect(mayDo(facts({ second: extension }), 'drill', base).stops.map((s) => s.hazard)).toEqual(['tension']);
  expect(
    mayDo(facts({ second: { ...extension, kind: 'cement-screed', heating: 'unknown' } }), 'screw', base).stops.map(
      (s) => s.hazard,
    ),
  ).toEqual(['heating']);
});

describe.each(Object.keys(SITE_HAZARDS))('%s', (question) => {
  const seen = (value: string) => facts({ answers: [{ id: 'a', question, answer: value, note: '' }] });
  test('seen, it closes the room to all but looking; made safe, it opens', () => {
    for (const method of METHOD_NAMES) {
      expect(mayDo(seen('seen'), method, { layers: [] }).allowed).toBe(method === 'look');
      expect(mayDo(seen('made-safe'), method, { layers: [] }).allowed).toBe(true);
    }
  });
});

test('painted trim of unknown year: levered with a caution, never sanded or heated', () => {
  const trim = { layers: [], trim: true };
  const lever = mayDo(facts(), 'lever-trim', trim);
  expect([lever.allowed, lever.cautions.map((c) => c.id)]).toEqual([true, ['lead']]);
  for (const method of ['sand', 'heat', 'flame'] as Method[]) expect(mayDo(facts(), method, trim).allowed).toBe(false);
  const late = facts({ answers: [{ id: 'a', question: 'trim/year', answer: 2005, note: '' }] });
  expect(mayDo(late, 'sand', trim).allowed).toBe(true);
});

test('silica is cautioned by what is done: grinding glue off concrete raises it, off boards it does not', () => {
  const residue = layer({ kind: 'adhesive-residue' });
  const cautions = (baseKind: HazardFacts['baseKind'], method: Method) =>
    mayDo(facts({ baseKind }), method, { layers: [residue], base: true }).cautions.map((c) => c.id);
  expect(cautions('cement-screed', 'grind')).toContain('silica');
  expect(cautions('cement-screed', 'drill')).toContain('silica');
  expect(cautions('cement-screed', 'scrape')).not.toContain('silica');
  expect(cautions('floorboards-on-joists', 'sand')).not.toContain('silica');
});

test('silica is cautioned wherever mineral dust is raised', () => {
  const tile = layer({ kind: 'tile-thin-bed', fixing: 'bedded' });
  const open = facts({ samples: [sample({ part: 'bed' }), sample({ part: 'grout' })] });
  expect(mayDo(open, 'break', { layers: [tile] }).cautions.map((c) => c.id)).toContain('silica');
  expect(mayDo(open, 'look', { layers: [tile] }).cautions).toEqual([]);
});
