import { joinedRooms, nearWrites, type Near } from './joined-rooms.ts';
import { listsOf, ROOM_FACT_KINDS } from './kinds.ts';

const room = (id: string, shared: (string | null)[], jobId = 'j') =>
  ({ id, jobId, openings: shared.map((sharedId, k) => ({ id: `${id}-${k}`, sharedId })) }) as never as Parameters<
    typeof joinedRooms
  >[0];

test('rooms hang together however many lie between, within their own job', () => {
  const rooms = [
    room('a', ['ab']),
    room('b', ['ab', 'bc']),
    room('c', ['bc']),
    room('d', [null]),
    room('e', ['ab'], 'other'),
  ];
  expect(joinedRooms(rooms[0]!, rooms).map(({ id }) => id)).toEqual(['b', 'c']);
  expect(joinedRooms(rooms[3]!, rooms)).toEqual([]);
});

test('an opening that was named as the partner’s own id is found too', () => {
  const far = { id: 'b', jobId: 'j', openings: [{ id: 'b-0', sharedId: 'b-0' }] } as never as Parameters<
    typeof joinedRooms
  >[0];
  expect(joinedRooms(room('a', ['b-0']), [far]).map(({ id }) => id)).toEqual(['b']);
});

test('of joined rooms the writes count that a floor and its heights are known by, and no others', () => {
  const lists = listsOf(ROOM_FACT_KINDS, (kind) => [{ writeId: `w-${kind}` }]) as never as Near['lists'];
  const writes = nearWrites([{ room: { writeId: 'w-room' } as Near['room'], lists }]);
  expect(writes).toContain('w-room');
  expect(writes).toContain('w-levels');
  expect(writes).toContain('w-readings');
  expect(writes).not.toContain('w-photos');
  expect(writes).not.toContain('w-airReadings');
});
