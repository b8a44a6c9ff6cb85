import { inWords } from '@maquette/words';
import '@maquette/words/planning';
import { readRoom } from '../assess/invented-cottage.ts';
import { underPlanOf } from '../assess/under-plan.ts';
import { SHIPPED_UNDER } from '../under/index.ts';
import { courseOf } from './course-of-job.ts';
import { AT, FACTS, house, low } from './invented-job.ts';
import { productNames } from './product-names.ts';

const count = (productId: string) => ({
  ...{ id: `c-${productId}`, jobId: 'j', productId, boughtOn: '2026-05-01', bought: 3, opened: 1, planned: 4 },
  ...{ batch: 'R 12', useBy: '', note: '' },
});
const course = (productIds: readonly string[] = []) => {
  const rooms = house();
  const under = underPlanOf(
    rooms.map(({ set }) => set),
    () => undefined,
  );
  return courseOf(rooms, { ...FACTS, packCounts: productIds.map(count) }, under, AT);
};

test('every line of a bill that is bought in packs has its product’s name under its id', () => {
  const nameOf = productNames(house().map(({ set }) => set));
  const inPacks = course().bill.lines.filter(({ packs }) => packs !== null);
  expect(inPacks.length).toBeGreaterThan(2);
  for (const { id, what } of inPacks) expect([id, nameOf(id)]).toEqual([id, what]);
});

test('what was bought for another choice goes back by its name, and one without a card says that it has none', () => {
  const roll = SHIPPED_UNDER.underlays.find(({ id }) => !course().bill.lines.some((line) => line.id.endsWith(id)))!;
  const { counted } = course([`underlay/${roll.id}`, 'panel/gone']).bill;
  const words = counted.map(({ what }) => inWords(what, 'metric'));
  expect(words).toEqual([inWords(roll.name, 'metric'), 'A product whose card was removed (panel/gone)']);
  expect(counted.map(({ back }) => back)).toEqual([2, 2]);
});

test('a card of the job’s own is named before one that ships, whichever room it is in', () => {
  const own = { ...SHIPPED_UNDER.underlays[0]!, name: 'Felt of the mill' };
  const underCards = { underlays: [own], films: [], membranes: [], panels: [] };
  const sets = [readRoom('hall', low), readRoom('den', low)].map((set) => ({ ...set, underCards }));
  expect(productNames(sets)(`underlay/${own.id}`)).toBe('Felt of the mill');
  expect(productNames([readRoom('hall', low)])(`underlay/${own.id}`)).not.toBe('Felt of the mill');
});
