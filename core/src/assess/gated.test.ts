import fc from 'fast-check';
import { readOut } from '@maquette/words';
import { assessRoom, roomSet } from '../index.ts';
import { SHIPPED_CARDS } from '../coverings/index.ts';
import { dampOf } from '../damp/invented-damp.ts';
import { judgeDamp, METHOD_SPECS } from '../damp/index.ts';
import { figuresOf } from '../figures/index.ts';
import { mayDo, mayDoAll, METHOD_NAMES, METHODS, type Method, type MethodSpec } from '../hazards/index.ts';
import { LAYER_KINDS, newLayer, type Sample } from '../layers/index.ts';
import { BASE_KINDS, BLANK_SHAPE, planOf, rectangleWalls, UNKNOWN_BASE, type RoomFacts } from '../room/index.ts';
import { KEEP_OFF_KINDS, MARK_KINDS, newMark, SEVERITIES, treatmentOf, WALK_DOES, walkOf } from '../soundness/index.ts';
import { usualTreatment } from '../soundness/usual-treatment.ts';
import { underfootOf, NO_STRIP_FACTS, type StripFacts } from '../stripout/index.ts';
import { removalOf } from '../stripout/removal.ts';
import { markTick } from '../verdict/index.ts';

/*
 * The hazard gate guards every stage. Whatever a stage offers to do to a floor says by which methods, and each is asked of the one
 * predicate: here in every state the gate can be in, for everything that is offered.
 */

const AT = '2026-05-04T12:00:00.000Z';
const figure = figuresOf([]);
const card = SHIPPED_CARDS.find(({ id }) => id === 'shipped-click-vinyl')!;

const answer = (question: string, value: string) => ({ id: question, question, answer: value, note: '' });
const sample = (part: Sample['part'], result: Sample['result']): Sample => ({
  id: `s-${part}`,
  layerId: 'l',
  part,
  analyte: 'asbestos',
  where: [],
  sampleNo: '1',
  laboratory: 'invented',
  resultOn: '2026-05-01',
  result,
  note: '',
});

const heating = fc.record({
  heating: fc.constantFrom('none', 'unknown', 'water', 'electric'),
  heatingDepthMm: fc.constantFrom(null, 5, 60),
});
/** A floor in some state of the gate: what lies there, what a laboratory said, what was answered, what lies in the base. */
const floor = fc
  .record({
    baseKind: fc.constantFrom(...BASE_KINDS),
    base: heating,
    layer: fc.option(fc.constantFrom(...LAYER_KINDS)),
    year: fc.constantFrom(null, 1960, 2015),
    tested: fc.constantFrom(null, 'negative', 'positive'),
    answers: fc.subarray([
      answer('site/tension', 'none'),
      answer('site/heating-located', 'yes'),
      answer('site/mould', 'seen'),
    ]),
  })
  .map(({ baseKind, base, layer, year, tested, answers }) => {
    const room: RoomFacts = {
      id: 'room-1',
      jobId: 'job-1',
      name: 'Test',
      rank: 0,
      ...BLANK_SHAPE,
      walls: rectangleWalls(4000, 3000),
      baseKind,
      base: { ...UNKNOWN_BASE, ...base } as RoomFacts['base'],
      cardId: card.id,
      units: 'metric',
      spacingMm: null,
      contactsOnly: false,
    };
    const facts: StripFacts = {
      ...NO_STRIP_FACTS,
      country: { country: 'GB', asbestosFrom: null, leadFrom: null },
      layers: layer ? [newLayer('l', layer, { year, yearOf: year === null ? 'unknown' : 'layer' })] : [],
      samples:
        tested === null
          ? []
          : (['covering', 'backing', 'adhesive', 'bed', 'grout', 'compound'] as const).map((p) => sample(p, tested)),
      answers,
    };
    return { room, facts, under: underfootOf(room, facts) };
  });
const damage = fc.record({
  kind: fc.constantFrom(...MARK_KINDS),
  severity: fc.constantFrom(...SEVERITIES),
  sizeMm: fc.constantFrom(null, 0.3, 4),
  moving: fc.boolean(),
});

test('no treatment of damage is advised, priced or told done while any of what it does is closed', () => {
  fc.assert(
    fc.property(floor, damage, ({ room, facts, under }, part) => {
      const mark = newMark('m', part.kind, { xMm: 2000, yMm: 1500 }, part);
      const { does } = usualTreatment(mark, room, figure);
      const open = does.every((method) => mayDo(under.hazards, method, { layers: under.layers, base: true }).allowed);
      const treatment = treatmentOf(mark, room, figure, under);
      expect(treatment.closedBy.length === 0).toBe(open);
      if (open) return;
      expect([treatment.verdict, treatment.quantities]).toEqual(['stop', []]);
      if (KEEP_OFF_KINDS.includes(part.kind)) return;
      const ticks = [{ id: 't', key: markTick('m'), doneAt: AT, note: '' }];
      const set = roomSet(room, card, { ...facts, marks: [mark], ticks });
      const { criteria } = assessRoom(set, AT, { parts: ['sound'] });
      expect(criteria.find(({ id }) => id === 'sound-marks')?.verdict).toBe('stop');
    }),
    { numRuns: 400 },
  );
});

test('nothing of the walk is asked for while the floor is closed to it', () => {
  fc.assert(
    fc.property(floor, ({ room, under }) => {
      for (const step of walkOf(room, planOf(room), [], 600, under)) {
        const gate = mayDo(under.hazards, WALK_DOES[step.kind], { layers: under.layers, base: true });
        expect(step.closedBy.length === 0).toBe(gate.allowed);
      }
    }),
  );
});

test('no damp test is given a place or asked for while the floor is closed to it', () => {
  fc.assert(
    fc.property(floor, ({ room, under }) => {
      const ctx = { ...dampOf({}, {}, room), hazards: under.hazards, layers: under.layers };
      for (const { method, gate, places } of judgeDamp(ctx).methods) {
        const asked = mayDo(under.hazards, METHOD_SPECS[method].gate, { layers: under.layers, base: true });
        expect(gate).toEqual(asked);
        if (!asked.allowed) expect(places).toEqual([]);
      }
    }),
  );
});

test('no layer is taken up, and no floor ground or primed, while what that does is closed', () => {
  fc.assert(
    fc.property(floor, ({ room, facts, under }) => {
      const layerChoices = facts.layers.map(({ id }) => ({ id, layerId: id, choice: 'remove' as const, note: '' }));
      const { strip, surfaceGates } = assessRoom(roomSet(room, card, { ...facts, layerChoices }), AT);
      for (const layer of facts.layers) {
        const gate = mayDoAll(under.hazards, removalOf(layer).methods, { layers: [layer], base: true });
        const steps = strip.steps.filter(({ group, layerIds }) => group === 'layer' && layerIds.includes(layer.id));
        // A step may be stopped for more: a saw over heating, for one.
        if (!gate.allowed) for (const step of steps) expect(step.stops).not.toEqual([]);
        if (!gate.allowed) expect(strip.packs.every(({ cut }) => cut === null)).toBe(true);
      }
      if (facts.layers.length > 0) return;
      for (const method of ['grind', 'prime'] as const)
        expect(surfaceGates[method].allowed).toBe(mayDo(under.hazards, method, { layers: [], base: true }).allowed);
    }),
  );
});

test('what closes a treatment is told with whoever decides, and a result opens it', () => {
  const room = { baseKind: 'panels-on-joists' } as RoomFacts;
  const vinyl = newLayer('l', 'glued-vinyl', {});
  const under = (samples: Sample[]) => ({
    hazards: {
      job: { country: 'GB', asbestosFrom: null, leadFrom: null },
      samples,
      answers: [],
      baseKind: room.baseKind,
      base: { ...UNKNOWN_BASE, heating: 'none' as const },
    },
    layers: [vinyl],
  });
  const shown = { ...BLANK_SHAPE, ...room, walls: rectangleWalls(4000, 3000), base: UNKNOWN_BASE } as RoomFacts;
  const squeak = newMark('m', 'squeak', { xMm: 500, yMm: 500 });
  expect(readOut(treatmentOf(squeak, shown, figure, under([])).words)).toMatch(/suspect for asbestos.*laboratory/);
  const clean = [sample('covering', 'negative'), sample('adhesive', 'negative')];
  expect(treatmentOf(squeak, shown, figure, under(clean))).toMatchObject({ verdict: 'work', closedBy: [] });
});

test('what goes into a floor needs its heating located, whatever it is called', () => {
  const into: Method[] = METHOD_NAMES.filter((method) => {
    const { pierces, strikes }: MethodSpec = METHODS[method];
    return pierces ?? strikes;
  });
  expect(into).toEqual(
    expect.arrayContaining(['drill', 'screw', 'staple', 'probe-hole', 'carbide-sample', 'chisel', 'break', 'chase']),
  );
  for (const method of into)
    for (const heatingOf of ['unknown', 'water', 'electric'] as const) {
      const hazards = {
        job: { country: 'GB', asbestosFrom: null, leadFrom: null },
        samples: [],
        answers: [],
        baseKind: 'cement-screed' as const,
        base: { ...UNKNOWN_BASE, heating: heatingOf },
      };
      expect(mayDo(hazards, method, { layers: [], base: true }).allowed).toBe(false);
      const located = { ...hazards, answers: [answer('site/heating-located', 'yes')] };
      expect(mayDo(located, method, { layers: [], base: true }).allowed).toBe(true);
    }
});
