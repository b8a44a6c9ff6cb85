import { act, renderHook } from '@testing-library/react';
import { roomSet } from '@maquette/core';
import { SHIPPED_CARDS } from '@maquette/core/coverings';
import type { ProgrammeAsk } from './messages.ts';
import { MockWorker } from './mock-worker.ts';
import { usePlanned } from './use-planned.ts';
import { INVENTED_ROOM as room } from '../data/invented-room.ts';

jest.mock('./start-worker.ts', () => ({ startWorker: () => new MockWorker() }));

const setOf = (name: string) => roomSet({ ...room, name }, SHIPPED_CARDS[0]!);
/** What the first answer says: what is still to be worked out follows from it. */
const plan = (part: object = {}) => ({ nothingToDo: false, fill: { holds: true }, targets: [], ...part });
const made = (way: string, pace: string, linearCost: number, holds = true) => ({
  id: way,
  pace,
  linearCost,
  boundCost: linearCost / 1.05,
  way: { id: way, holds, cost: linearCost },
});

const asks = () => MockWorker.made[0]!.asked;
const last = () => asks().at(-1) as ProgrammeAsk;
const answer = (value: unknown) => act(() => MockWorker.made.at(-1)!.answer(value));
const plannedOf = (asked = true) =>
  renderHook(({ set }) => usePlanned(set, asked), { initialProps: { set: setOf('Room') } });

beforeEach(() => (MockWorker.made = []));

test('ways are worked out one after the other, live: a threshold first, filling only where the plain fill leaves an edge rocking', () => {
  const { result } = plannedOf();
  expect(asks().map(({ kind }) => kind)).toEqual(['plan']);
  answer(plan({ fill: { holds: false }, targets: [{ name: 'Door' }] }));
  const ways: string[] = [];
  while (result.current.working) {
    ways.push(last().way);
    expect(last().pace).toBe('live');
    answer(made(last().way, 'live', 50));
  }
  expect(ways).toEqual(['ramp', 'mixed', 'grind', 'fill']);
  expect(Object.keys(result.current.programmes)).toEqual(ways);
});

test('nothing is worked out that is not wanted, and nothing before the stage asks', () => {
  plannedOf(false);
  expect(MockWorker.made).toEqual([]);
  const { result } = plannedOf();
  answer(plan({ nothingToDo: true }));
  expect([asks().length, result.current.working]).toEqual([1, null]);
});

test.each([
  ['cheaper: it is shown', made('mixed', 'tighter', 47), 47],
  ['dearer: the live one stays, with the truer bound', made('mixed', 'tighter', 52), 50],
  ['stopped before it held: the live one stays', made('mixed', 'tighter', 40, false), 50],
])('a tighter plan that is %s', (_, tighter, shown) => {
  const { result } = plannedOf();
  answer(plan());
  answer(made('mixed', 'live', 50));
  answer(made('grind', 'live', 90));
  expect(result.current.tight).toBe(false);
  act(() => result.current.tighten());
  expect([last().way, last().pace, result.current.working]).toEqual(['mixed', 'tighter', 'mixed']);
  answer(tighter);
  expect(result.current.tight).toBe(true);
  expect(result.current.programmes.mixed).toMatchObject({
    linearCost: shown,
    boundCost: tighter.boundCost,
    way: { cost: shown },
  });
});

test('a floor that changed is worked out anew, and what was said of the old one is not shown', () => {
  const { result, rerender } = plannedOf();
  answer(plan());
  answer(made('mixed', 'live', 50));
  rerender({ set: setOf('Another') });
  // What it was busy with ended at once.
  expect(MockWorker.made[0]!.ended).toBe(true);
  expect([result.current.plan, result.current.programmes]).toEqual([null, {}]);
  expect(MockWorker.made[1]!.asked.map(({ kind }) => kind)).toEqual(['plan']);
});

test('stopped, it says so and keeps what it has; what fails says why', () => {
  const { result } = plannedOf();
  answer(plan());
  answer(made('mixed', 'live', 50));
  act(() => result.current.stop());
  expect(result.current.working).toBeNull();
  expect(result.current.failed).toContain('Stopped');
  expect(result.current.programmes.mixed).toMatchObject({ linearCost: 50 });
  act(() => result.current.tighten());
  act(() =>
    MockWorker.made.at(-1)!.onmessage!({
      data: { id: MockWorker.made.at(-1)!.asked.at(-1)!.id, ok: false, reason: 'out of memory', tookMs: 1 } as never,
    }),
  );
  expect(result.current.failed).toBe('out of memory');
  expect(result.current.programmes.mixed).toMatchObject({ linearCost: 50 });
});
