import { renamed } from './index.ts';

const ids = new Map([
  ['layer', 'new-layer'],
  ['old-a', 'new-a'],
  ['old-b', 'new-b'],
]);

test('ids inside a key are followed; what says which kind of key it is stays, whatever else bears that name', () => {
  const tick = (key: string) => renamed('ticks', { key, doneAt: 't', note: 'layer/old-a' }, ids);
  expect(tick('layer/old-a+old-b')).toEqual({ key: 'layer/new-a+new-b', doneAt: 't', note: 'layer/old-a' });
  expect(tick('edges/gripper/old-a')['key']).toBe('edges/gripper/new-a');
  expect(tick('clean/vacuum')['key']).toBe('clean/vacuum');
});

test('a station read by its own id follows it; a proposed one is named by its place and stays', () => {
  const at = (stationKey: string) => renamed('readings', { setupId: 'old-b', stationKey }, ids);
  expect(at('old-a')).toEqual({ setupId: 'new-b', stationKey: 'new-a' });
  expect(at('p100:100')['stationKey']).toBe('p100:100');
});

test('what refers to nothing that is copied keeps its name: shipped cards, paint on trim', () => {
  expect(renamed('samples', { layerId: 'trim', where: [{ lineId: 'old-a', side: 'left' }] }, ids)).toEqual({
    layerId: 'trim',
    where: [{ lineId: 'new-a', side: 'left' }],
  });
  expect(renamed('rooms', { cardId: 'shipped-laminate', openings: [{ id: 'old-a', sharedId: 'old-a' }] }, ids)).toEqual(
    {
      cardId: 'shipped-laminate',
      openings: [{ id: 'new-a', sharedId: 'new-a' }],
    },
  );
});
