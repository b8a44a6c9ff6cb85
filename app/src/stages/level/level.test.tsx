import '@testing-library/jest-dom';
import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { planRoom, roomSet } from '@maquette/core';
import { SHIPPED_CARDS } from '@maquette/core/coverings';
import type { Patch, Programmed } from '@maquette/core/levelling';
import type { RoomFacts } from '@maquette/core/room';
import type { ShownRoom } from '../../data/use-facts.ts';
import type { Planned } from '../../worker/use-planned.ts';
import { areasOf } from './areas.ts';
import { isSoFar, shownWays } from './shown-ways.ts';
import { Spots } from './spots.tsx';
import { WorkTab } from './work-tab.tsx';
import { INVENTED_ROOM as slab, inventedDip } from '../../data/invented-room.ts';
import { say } from '@maquette/core/said';
import { shownIn } from '../../ui/invented-units.tsx';

const AT = '2026-05-04T12:00:00.000Z';
const timber: RoomFacts = { ...slab, baseKind: 'panels-on-joists' };

/** A room with a dip of 9 mm in its middle, planned. */
function planned(room: RoomFacts, part: Partial<Planned> = {}): Planned {
  const facts = roomSet(room, SHIPPED_CARDS[0]!, inventedDip(9));
  return {
    plan: planRoom(facts, AT),
    programmes: {},
    working: 'mixed',
    progress: null,
    failed: null,
    tight: false,
    ...part,
  } as Planned;
}

const programmed = (part: Partial<Programmed>): Programmed => ({
  id: 'mixed',
  way: null,
  refusal: null,
  linearCost: 0,
  boundCost: 0,
  nodesMm: 150,
  pace: 'live',
  rounds: 1,
  rows: 1,
  settled: true,
  ...part,
});

test('what holds comes first, what is still worked out next, what cannot be gone last with its limit, figure and place', () => {
  const grind = programmed({
    id: 'grind',
    refusal: {
      limit: 'grind',
      words: 'the depth that may be ground',
      takesMm: 4.7,
      allowedMm: 3,
      at: [1500, 1200],
    } as never,
  });
  const ways = shownWays(slab, planned(slab, { programmes: { grind } }), 0);
  expect(ways[0]).toMatchObject({ id: 'fill', holds: true, refused: null });
  expect(ways[0]!.bags).toBeGreaterThan(0);
  expect(ways.find(({ id }) => id === 'mixed')).toMatchObject({ cost: null, working: true });
  const last = ways.at(-1)!;
  expect(last.id).toBe('grind');
  expect(last.refused).toMatch(/^held back by the depth that may be ground: it would take 4\.7 mm .+, 3 allowed$/);
});

test('of ways that hold the cheaper leads; where a height is asked for, the way that meets it does, whatever it costs', () => {
  const base = planned(slab);
  const fill = base.plan!.fill;
  const at = (id: 'mixed' | 'ramp', cost: number) => programmed({ id, way: { ...fill, id, cost } });
  const cheap = shownWays(slab, { ...base, programmes: { mixed: at('mixed', fill.cost / 2) } }, 0);
  expect(cheap.slice(0, 2).map(({ id }) => id)).toEqual(['mixed', 'fill']);
  const plan = { ...base.plan!, targets: [{ name: say('room.openingWordsDoor'), riseMm: 4 }] };
  const ramped = shownWays(slab, { ...base, plan, programmes: { ramp: at('ramp', fill.cost * 9) } }, 0);
  expect(ramped[0]!.id).toBe('ramp');
});

test('the cheapest is so only so far while another is not worked out, also where that was stopped', () => {
  const base = planned(slab);
  const way = { ...base.plan!.fill, cost: 1 };
  const none = { limit: 'grind', words: say('room.openingWordsDoor'), takesMm: 5, allowedMm: 3, at: [0, 0] } as never;
  const all = { mixed: programmed({ way }), grind: programmed({ id: 'grind', refusal: none }) };
  const of = (part: Partial<Planned>) => isSoFar(shownWays(slab, { ...base, ...part }, 0));
  expect(of({})).toBe(true);
  expect(of({ working: null })).toBe(true);
  expect(of({ programmes: all, working: null })).toBe(false);
});

test('timber may be panelled over and makes wood dust; a slab may not and makes silica', () => {
  const dust = (room: RoomFacts, id: string) => shownWays(room, planned(room), 0).find((way) => way.id === id)?.dust;
  expect([dust(timber, 'panel'), dust(timber, 'mixed')]).toEqual(['wood dust', 'wood dust']);
  expect([dust(slab, 'panel'), dust(slab, 'mixed')]).toEqual([undefined, 'silica dust, class M']);
});

test('the work says what to buy first, and of each place how deep, how much and where; a place is chosen by its row', async () => {
  const way = shownWays(slab, planned(slab), 0)[0]!;
  const onChoose = jest.fn();
  const shown = { plain: { figures: [] } } as unknown as ShownRoom;
  render(
    <WorkTab
      shown={shown}
      room={slab}
      timber={false}
      caution={null}
      way={way}
      chosen={null}
      onChoose={onChoose}
      onPanels={jest.fn()}
    />,
    shownIn('metric'),
  );
  expect(screen.getByText(`Fill only: buy ${way.bags} bag${way.bags === 1 ? '' : 's'}`)).toBeVisible();
  const [patch] = way.way!.patches;
  const row = screen.getByRole('button', { name: 'Patch A' });
  expect(row).toHaveTextContent(new RegExp(`Fill up to ${patch!.deepestMm.toFixed(1).replace('.0', '')} mm`));
  expect(row).toHaveTextContent(/m², [\d.]+ l, [\d.]+ kg\s*Deepest .+ from/);
  expect(within(screen.getByRole('list', { name: 'Bags by product' })).getAllByRole('listitem').length).toBeGreaterThan(
    1,
  );
  await userEvent.click(row);
  expect(onChoose).toHaveBeenCalledWith('A');
});

test('spots are told together, by depth and place, in the units of the room; none: nothing is told', () => {
  const spot = (label: string, deepestMm: number) =>
    ({ label, deepestMm, areaM2: 0.01, deepestAt: [600, 400] }) as Patch;
  const spots = [
    { area: spot('C', 0.4), what: 'fill' as const },
    { area: spot('G2', 1), what: 'grind' as const },
  ];
  const { rerender } = render(<Spots room={slab} spots={spots} />, shownIn('metric'));
  expect(screen.getByTestId('spots')).toHaveTextContent('Spots, each smaller than a trowel');
  expect(screen.getByText(/^C · skim 0\.4 mm · .+ from/)).toBeVisible();
  expect(screen.getByText(/^G2 · rub down 1 mm · .+ from/)).toBeVisible();
  rerender(<Spots room={{ ...slab, units: 'imperial' }} spots={spots.slice(0, 1)} />);
  expect(screen.getByTestId('spots')).toHaveTextContent('One spot, smaller than a trowel');
  expect(screen.getByText(/^C · skim .+ in · .+ from/)).toBeVisible();
  rerender(<Spots room={slab} spots={[]} />);
  expect(screen.queryByTestId('spots')).toBeNull();
});

test('places of a way are its fills and then its grinding; a pour has none', () => {
  const way = shownWays(slab, planned(slab), 0)[0]!;
  const both = { ...way, way: { ...way.way!, grinding: [{ ...way.way!.patches[0]!, label: 'G1' }] } };
  expect(areasOf(both).map(({ what }) => what)).toEqual([...way.way!.patches.map(() => 'fill'), 'grind']);
  expect(areasOf({ ...way, way: null })).toEqual([]);
});
