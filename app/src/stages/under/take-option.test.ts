import { findCard } from '@maquette/core/coverings';
import { allUnder, NO_UNDER_CARDS } from '@maquette/core/under';
import type { ShownRoom } from '../../data/use-facts.ts';
import { takeChoice } from './take-option.ts';

const cards = allUnder(NO_UNDER_CARDS);
const shownWith = (underChoices: object[], buildUps: object[]): ShownRoom =>
  ({
    room: { id: 'parlour' },
    card: findCard([], 'shipped-laminate'),
    underChoices,
    buildUps,
    plain: { underChoices, buildUps },
  }) as unknown as ShownRoom;
const LAID = {
  id: 'b',
  panelMm: 0,
  filmMm: 0.2,
  underlayMm: 5,
  kPaAtHalfMm: 90,
  setShare: 0.1,
  coveringMm: 9,
  coveringKgM2: 8.5,
  note: 'mine',
};

test('a choice and the build-up Heights counts are written as one step', () => {
  const changes = takeChoice(shownWith([], []), cards, {
    underlayId: 'shipped-rubber',
    filmId: 'shipped-film',
    isLayerChosen: true,
  });
  expect(changes).toMatchObject([
    { kind: 'underChoices', body: { underlayId: 'shipped-rubber', filmId: 'shipped-film', panelId: null } },
    { kind: 'buildUps', body: { underlayMm: 3, filmMm: 0.2, kPaAtHalfMm: 150, setShare: 0, coveringKgM2: 7 } },
  ]);
});

test('panels alone leave underlay and film as they were counted, and what was stated of the planks stays', () => {
  const [, build] = takeChoice(shownWith([], [LAID]), cards, { panelId: 'shipped-plywood-6' });
  expect(build).toMatchObject({
    id: 'b',
    body: { panelMm: 6, underlayMm: 5, filmMm: 0.2, coveringMm: 9, note: 'mine' },
  });
});

test('nothing under the planks is a choice as well; what was chosen before of panels stays', () => {
  const held = {
    id: 'c',
    underlayId: 'shipped-foam',
    filmId: null,
    membraneId: null,
    panelId: 'shipped-plywood-6',
    isLayerChosen: true,
    note: 'n',
  };
  const [choice, build] = takeChoice(shownWith([held], [LAID]), cards, {
    underlayId: null,
    filmId: null,
    isLayerChosen: true,
  });
  expect(choice).toMatchObject({ id: 'c', body: { underlayId: null, panelId: 'shipped-plywood-6', note: 'n' } });
  expect(build).toMatchObject({ body: { underlayMm: null, filmMm: 0, panelMm: 6 } });
  expect(choice!.body).not.toHaveProperty('id');
});
