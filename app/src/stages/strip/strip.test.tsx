import '@testing-library/jest-dom';
import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { newLayer, type LayerKind } from '@maquette/core/layers';
import { SHIPPED_CARDS } from '@maquette/core/coverings';
import { BLANK_SHAPE, newOpening, rectangleWalls, UNKNOWN_BASE, type RoomFacts } from '@maquette/core/room';
import { NO_STRIP_FACTS, planStripOut, stripContext, type StripFacts } from '@maquette/core/stripout';
import type { ShownRoom } from '../../data/use-facts.ts';
import { ChooseTab } from './choose-tab.tsx';
import { Section } from './section.tsx';
import { Steps } from './steps.tsx';
import { tapChange } from './tap-change.ts';
import { shownIn } from '../../ui/invented-units.tsx';

const mockWrite = jest.fn((_words: string, _changes: unknown[]) => Promise.resolve({ ok: true }));
jest.mock('../../data/write.ts', () => ({ write: (words: string, changes: unknown[]) => mockWrite(words, changes) }));
jest.mock('../../data/photos.ts', () => ({ keepPhotos: jest.fn(), pictureUrl: () => new Promise(() => undefined) }));
jest.mock('../../data/use-facts.ts', () => ({}));

const layer = (kind: LayerKind) => newLayer(`layer-${kind}`, kind);

const room: RoomFacts = {
  id: 'room-1',
  jobId: 'job-1',
  name: 'Room',
  rank: 0,
  ...BLANK_SHAPE,
  walls: rectangleWalls(4000, 3000),
  openings: [newOpening('d', 0, 100, 800)],
  baseKind: 'panels-on-joists',
  base: { ...UNKNOWN_BASE, heating: 'none' },
  cardId: 'shipped-laminate',
  units: 'metric',
  spacingMm: null,
  contactsOnly: false,
};

function standing(facts: Partial<StripFacts>) {
  const lyingMm = (facts.layers ?? []).reduce((sum, { thicknessMm }) => sum + thicknessMm, 0);
  const level = { of: 'beyond', aboutId: 'd', overMm: -4, lyingMm } as StripFacts['levels'][number];
  const strip = {
    ...NO_STRIP_FACTS,
    levels: [level],
    country: { country: 'GB', asbestosFrom: null, leadFrom: null },
    ...facts,
  };
  const plan = planStripOut(
    stripContext(
      room,
      SHIPPED_CARDS.find((c) => c.id === 'shipped-laminate')!,
      strip,
    ),
  );
  const shown = {
    room: { ...room, version: 1 },
    job: { currency: '£' },
    plain: strip,
    layers: strip.layers,
    ticks: strip.ticks,
    taps: strip.taps,
    photos: [],
  } as unknown as ShownRoom;
  return { plan, shown };
}

beforeEach(() => mockWrite.mockClear());

test('three ways side by side: level, step at the door, and taking up suspect vinyl shut with its reason', async () => {
  const { plan, shown } = standing({ layers: [layer('sheet-resilient')] });
  render(<ChooseTab shown={shown} room={room} plan={plan} />, shownIn('metric'));
  const table = screen.getByRole('table', { name: 'Side by side' });
  const cells = (label: string) =>
    within(within(table).getByText(label).closest('[role=row]') as HTMLElement)
      .getAllByRole('cell')
      .map((c) => c.textContent);
  expect(cells('May it be?')).toEqual(['yes', 'gate shut', 'gate shut']);
  // Laminate 8 mm: over the vinyl +8; skimmed 1.5 more; the vinyl's 2 mm less when it goes. The door lies 4 mm lower.
  expect(cells('New level, mm')).toEqual(['+8', '+9.5', '+6']);
  expect(cells('Step, door in W1')).toEqual(['+12', '+13.5', '+10']);
  expect(screen.getByTestId('option-remove')).toHaveTextContent(
    /suspect for asbestos.*That is for a licensed contractor/,
  );
  expect(within(screen.getByTestId('option-remove')).getByRole('button')).toHaveAttribute('aria-disabled', 'true');
  await userEvent.click(within(screen.getByTestId('option-keep')).getByRole('button'));
  expect(mockWrite).toHaveBeenCalledWith('Sheet vinyl or lino: keep and cover', [
    expect.objectContaining({
      kind: 'layerChoices',
      body: { layerId: 'layer-sheet-resilient', choice: 'keep', note: '' },
    }),
  ]);
});

test('a stopped step cannot be ticked and says who decides; an open one is ticked with its time', async () => {
  const layerChoices = [{ id: 'a', layerId: 'layer-resilient-tile', choice: 'remove' as const, note: '' }];
  const { plan, shown } = standing({ layers: [layer('resilient-tile')], layerChoices });
  render(<Steps shown={shown} plan={plan} />, shownIn('metric'));
  expect(screen.getByRole('checkbox', { name: /Take up the resilient tile, stopped/ })).toHaveAttribute(
    'aria-disabled',
    'true',
  );
  expect(screen.queryByText(/Warm a few tiles/)).toBeNull();
  await userEvent.click(screen.getByRole('checkbox', { name: 'Close and tape the door in W1' }));
  expect(mockWrite).toHaveBeenCalledWith('Done: Close and tape the door in W1', [
    expect.objectContaining({ kind: 'ticks', body: expect.objectContaining({ key: 'dust/opening/d' }) }),
  ]);
});

test('a section names its layers from the top down, for those who do not see it', () => {
  const layers = [layer('carpet'), layer('overlay-panel')];
  const stack = { where: [], region: [], label: 'A', areaM2: 12, layers, thicknessMm: 18 };
  render(<Section stack={stack} baseKind="panels-on-joists" units="metric" />, shownIn('metric'));
  expect(screen.getByRole('img')).toHaveAccessibleName(
    'Section: Carpet and pad 12 mm, Overlay panel 6 mm, over Panels on joists',
  );
});

test('a point of the tapping grid goes from nothing to full to hollow and back', () => {
  const at = { xMm: 250, yMm: 750 };
  const given = (sound: 'sound' | 'hollow' | null) =>
    standing({
      layers: [layer('tile-thin-bed')],
      taps: sound === null ? [] : [{ id: 't', layerId: 'layer-tile-thin-bed', ...at, sound }],
    }).shown;
  const change = (sound: 'sound' | 'hollow' | null) => tapChange(given(sound), 'layer-tile-thin-bed', at);
  expect(change(null).body).toMatchObject({ sound: 'sound' });
  expect(change('sound').body).toMatchObject({ sound: 'hollow' });
  expect(change('hollow').deleted).toBe(true);
});
