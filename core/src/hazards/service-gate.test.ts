import fc from 'fast-check';
import { readOut } from '@maquette/words';
import { SERVICE_FOUND, SERVICE_KINDS, serviceSideMm, sideDistanceMm, type Service } from '../room/index.ts';
import { UNKNOWN_BASE } from '../room/index.ts';
import { mayDo, METHOD_NAMES, METHODS, type HazardFacts, type MethodSpec } from './index.ts';

const facts = (services: Service[]): HazardFacts => ({
  job: { country: 'GB', asbestosFrom: null, leadFrom: null },
  samples: [],
  answers: [],
  baseKind: 'slab-on-ground',
  base: { ...UNKNOWN_BASE, heating: 'none' },
  services,
});
const line = (part: Partial<Service> = {}): Service => ({
  id: 's',
  kind: 'drain',
  points: [
    { xMm: 0, yMm: 1000 },
    { xMm: 4000, yMm: 1000 },
  ],
  found: 'located',
  depthMm: null,
  note: '',
  ...part,
});
const spot = (yMm: number) => ({ points: [{ xMm: 2000, yMm }] });
const stops = (service: Service, method: Parameters<typeof mayDo>[1], yMm: number, deepMm?: number) =>
  mayDo(facts([service]), method, { layers: [], base: true, at: spot(yMm), ...(deepMm ? { deepMm } : {}) }).stops;

// A located line keeps 150 mm to its side, one that is only supposed 300; 30 mm stay over a depth that is known.
test.each([
  ['right over a drain of unknown depth', line(), 'probe-hole', 1000, undefined, 'how deep is not known'],
  ['beside it within its margin', line(), 'grind', 1150, undefined, '150 mm beside it'],
  ['beside it outside its margin', line(), 'grind', 1151, undefined, null],
  [
    'beside one that is only supposed',
    line({ found: 'supposed', depthMm: 400 }),
    'grind',
    1300,
    undefined,
    'nobody has located it',
  ],
  ['over one that lies deep enough', line({ depthMm: 78 }), 'probe-hole', 1000, 48, null],
  [
    'over one a millimetre too high',
    line({ depthMm: 77 }),
    'probe-hole',
    1000,
    48,
    'at 77 mm: work stays 30 mm over it',
  ],
  [
    'grinding over a tendon that is located deep',
    line({ kind: 'tendon', depthMm: 90 }),
    'grind',
    1000,
    undefined,
    null,
  ],
  [
    'drilling over a tendon however deep',
    line({ kind: 'tendon', depthMm: 300 }),
    'drill',
    1000,
    50,
    'A tendon lies right under it',
  ],
  ['looking at it', line(), 'look', 1000, undefined, null],
] as const)('%s', (_, service, method, yMm, deepMm, words) => {
  const found = stops(service, method, yMm, deepMm).filter(({ hazard }) => hazard.startsWith('service/'));
  if (words === null) expect(found).toEqual([]);
  else expect(readOut(found[0]!.words)).toContain(words);
});

test('whoever decides is the trade of the line', () => {
  const decides = SERVICE_KINDS.map((kind) => readOut(stops(line({ kind }), 'drill', 1000)[0]!.decides));
  expect(decides).toEqual([
    'the plumber',
    'the plumber',
    'the licensed gas trade',
    'the electrician',
    'the heating or electrical trade',
    'a structural engineer',
    'whoever laid it, or a survey',
  ]);
});

const place = fc.record({ xMm: fc.integer({ min: -500, max: 4500 }), yMm: fc.integer({ min: -500, max: 2500 }) });
const drawn = fc.record({
  kind: fc.constantFrom(...SERVICE_KINDS),
  found: fc.constantFrom(...SERVICE_FOUND),
  depthMm: fc.option(fc.integer({ min: 0, max: 300 })),
  points: fc.array(place, { minLength: 2, maxLength: 4 }),
});

test('every method that goes into a base is held against every line near it whose depth does not clear it; nothing else is', () => {
  fc.assert(
    fc.property(
      drawn,
      fc.constantFrom(...METHOD_NAMES),
      fc.array(place, { minLength: 1, maxLength: 4 }),
      (part, method, points) => {
        const service = line(part);
        const at = { points, area: points.length > 2 };
        const spec: MethodSpec = METHODS[method];
        const gate = mayDo(facts([service]), method, { layers: [], base: true, at });
        const stopped = gate.stops.some(({ hazard }) => hazard === 'service/s');
        const goesIn = Boolean(spec.pierces ?? spec.strikes ?? spec.abrades);
        const near = sideDistanceMm(service, at) <= serviceSideMm(service);
        // A line that nobody has located or measured is never worked over; one that is known may be, by what its depth leaves.
        if (goesIn && near && (service.found === 'supposed' || service.depthMm === null)) expect(stopped).toBe(true);
        if (!near || (!goesIn && method !== 'grind-for-dish')) expect(stopped).toBe(false);
        // Without a place it is not passed over: it is cautioned.
        const anywhere = mayDo(facts([service]), method, { layers: [], base: true });
        if (goesIn && (service.found === 'supposed' || service.depthMm === null))
          expect(anywhere.cautions.map(({ id }) => id)).toContain('services');
      },
    ),
    { numRuns: 600 },
  );
});
