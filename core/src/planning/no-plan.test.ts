import { courseOf } from './course-of-job.ts';
import { AT, FACTS, house } from './invented-job.ts';
import { noPlanSaid } from './no-plan.ts';

const NOTHING_UNDER = { panels: [], rolls: [] };
const ROOMS = house();
const furniture = (ofRoomId: string, toRoomId: string | null) => ({
  ...{ id: `f-${ofRoomId}`, jobId: 'j', ofRoomId, goes: 'room' as const, toRoomId, hours: 1, note: '' },
});

test('furniture of two rooms each in the other: one room is finished before the other gives its own away', () => {
  const furnishings = [furniture('parlour', 'hall'), furniture('hall', 'parlour')];
  const { days } = courseOf(ROOMS, { ...FACTS, furnishings }, NOTHING_UNDER, AT);
  const at = (key: string) => days.tasks.find((task) => task.key === key)!;
  const [parlour, hall] = ['parlour', 'hall'].map((id) => [
    at(`${id}/strip/furniture`).from,
    at(`${id}/end/furniture`).to,
  ]);
  expect(parlour![1]! <= hall![0]! || hall![1]! <= parlour![0]!).toBe(true);
});

test('whatever a reason is of, it is said in words and not by a key', () => {
  expect(noPlanSaid({ why: 'never', key: 'room/parlour' }, [])).toEqual({
    code: 'planning.neverFits',
    values: { one: { code: 'planning.someWork', values: {} } },
  });
});

test.each([['parlour'], ['a room that is gone'], [null]])(
  'furniture that goes to %s leaves the rest of the job planned',
  (to) => {
    const { days } = courseOf(ROOMS, { ...FACTS, furnishings: [furniture('parlour', to)] }, NOTHING_UNDER, AT);
    expect(days.none).toBeNull();
    expect(days.laying).not.toBeNull();
  },
);

test('facts of rooms that are gone, and holds of tasks that are none, change nothing', () => {
  const strange = {
    ...FACTS,
    taskHolds: [{ id: 'h', jobId: 'j', key: 'attic/lay/planks', notBefore: '2027-01-01T08:00:00.000Z', note: '' }],
    furnishings: [furniture('attic', 'hall')],
    packCounts: [
      {
        ...{ id: 'c', jobId: 'j', productId: 'nothing', boughtOn: '', bought: 3, opened: 9, planned: 0 },
        ...{ batch: '', useBy: '', note: '' },
      },
    ],
  };
  const [plain, odd] = [FACTS, strange].map((facts) => courseOf(ROOMS, facts, NOTHING_UNDER, AT));
  expect(odd!.days.laying).toEqual(plain!.days.laying);
  expect(odd!.bill.total).toEqual(plain!.bill.total);
});
