import '@maquette/words/rest';
import { readOut } from '@maquette/words';
import { assessRoom } from '../index.ts';
import { figuresOf } from '../figures/index.ts';
import { planOf } from '../room/index.ts';
import { CRAWL, MEMBRANE_STEP, NO_UNDER_CARDS, SHIPPED_UNDER, USUAL_SCHOOLS } from '../under/index.ts';
import { PLAIN_ROOM } from '../under/invented-under-room.ts';
import type { DampJudged } from './judged.ts';
import { underOf as judged } from './under-of.ts';
import { roomOver, underSet } from './invented-under.ts';
import type { RoomSet } from './room-set.ts';

const AT = '2026-05-04T12:00:00.000Z';
const underOf = (set: RoomSet) => assessRoom(set, AT, { parts: ['under'] }).under!;
const criteria = (set: RoomSet) =>
  Object.fromEntries(
    assessRoom(set, AT, { parts: ['under'] })
      .criteria.filter(({ part }) => part === 'under')
      .map(({ id, verdict, margin, next }) => [id, `${verdict}: ${readOut(margin)} ${readOut(next)}`]),
  );

const boards = roomOver('store', 'floorboards-on-joists', { beneath: 'crawl-space', joistDeg: 0, joistSpacingMm: 400 });
const slab = roomOver('parlour', 'slab-on-ground', { beneath: 'ground', slabMm: 120 });

test('what speaks against every option alike is told once; options are ranked by what is their own', () => {
  const { options, roomBreaks } = underOf(underSet(slab, null));
  // Nothing of the floor is measured: damp and flatness hold up all of them.
  expect(roomBreaks.map(({ rule, word }) => [rule, word])).toEqual([
    ['B0', 'measure'],
    ['B16', 'measure'],
  ]);
  const free = options.filter(({ merit }) => merit === 'free');
  // On a slab each that is free has a film, of its own or beneath it.
  for (const { offered } of free) expect(offered.film?.sdM ?? offered.underlay?.filmSdM).toBeGreaterThanOrEqual(75);
  expect(free.map(({ score }) => score)).toEqual([...free.map(({ score }) => score)].sort((a, b) => b - a));
  expect(options.map(({ merit }) => merit)).toEqual(
    [...options]
      .sort((a, b) => ['free', 'open', 'refused'].indexOf(a.merit) - ['free', 'open', 'refused'].indexOf(b.merit))
      .map(({ merit }) => merit),
  );
});

test('one more card on offer changes nothing that is said of the others', () => {
  const before = underOf(underSet(slab, null)).options;
  const set = underSet(slab, null);
  const own = { ...SHIPPED_UNDER.underlays[0]!, id: 'own', kPa: 5, costM2: 0, name: 'Soft and free' };
  const after = underOf({ ...set, underCards: { ...NO_UNDER_CARDS, underlays: [own] } }).options;
  const said = (options: typeof before) =>
    new Map(
      options.map(({ offered, breaks, ownBreaks, score, merit }) => [offered.id, { breaks, ownBreaks, score, merit }]),
    );
  const [was, is] = [said(before), said(after)];
  expect(is.size).toBeGreaterThan(was.size);
  for (const [id, one] of was) expect(is.get(id)).toEqual(one);
});

test('over timber a film shuts boards in whatever the year says; ground cover cures what the crawl space does', () => {
  const film = underSet(boards, { underlayId: 'shipped-foam', filmId: 'shipped-film' }, [[CRAWL, 'open']]);
  const { chosen, year } = underOf(film);
  expect(chosen!.merit).toBe('refused');
  expect(chosen!.ownBreaks.map(({ rule }) => rule)).toContain('B7');
  expect(year.verdict.word).toBe('work');
  const cure = (id: string) => year.cures.find((one) => one.id === id)!.verdict;
  expect(cure('cover-ground').word).toBe('open');
  // Without the film the boards are as damp, and have their way back.
  expect(cure('no-film').wood!.rh).toBeCloseTo(year.verdict.wood!.rh, 0);
  expect(cure('no-film').reserve!.aboveG).toBeGreaterThan(3 * year.verdict.reserve!.aboveG);
  expect(criteria(film)['under-year']).toMatch(/^work: .*Cover the ground/);
  expect(criteria(underSet(boards, { underlayId: 'shipped-foam' }, [[CRAWL, 'covered']]))['under-year']).toMatch(
    /^lay: /,
  );
});

test('nothing chosen is an open question; a card that is gone asks for another choice', () => {
  expect(criteria(underSet(slab, null))).toEqual({
    'under-choice': expect.stringMatching(/^measure: Nothing is chosen yet/),
  });
  expect(criteria(underSet(slab, { underlayId: 'gone' }))['under-choice']).toMatch(/^measure: The card/);
});

test('a choice that Heights does not count is told', () => {
  const { heightsDiffer } = underOf(underSet(slab, { underlayId: 'shipped-rubber', filmId: 'shipped-film' }));
  expect(heightsDiffer).toBe(true);
  const set = underSet(slab, { underlayId: 'shipped-rubber', filmId: 'shipped-film' });
  const counted = {
    id: 'b',
    panelMm: 0,
    filmMm: 0.2,
    underlayMm: 3,
    kPaAtHalfMm: 150,
    setShare: 0,
    coveringMm: null,
    coveringKgM2: 7,
    note: '',
  };
  expect(underOf({ ...set, buildUps: [counted] }).heightsDiffer).toBe(false);
});

test('panels are refused while the gate is shut, and on a base they are not fixed to', () => {
  expect(criteria(underSet(slab, { panelId: 'shipped-plywood-6' }))['under-panel']).toMatch(/^(work|stop): /);
  // Boards that nobody has measured: nothing is planned over them.
  expect(criteria(underSet(boards, { panelId: 'shipped-plywood-6' }))['under-panel']).toMatch(
    /^measure: Panels shut in/,
  );
  expect(underOf(underSet(boards, { panelId: 'shipped-plywood-6' })).panelStops).toHaveLength(1);
});

test('heat: the sum of what lies over it, against what lets it through', () => {
  const heated = roomOver('hall', 'cement-screed', { beneath: 'ground', heating: 'water', heatingDepthMm: 30 });
  const choice = { underlayId: 'shipped-composite', filmId: 'shipped-film' };
  const { heat } = underOf(underSet(heated, choice, [], 'shipped-engineered'));
  expect(heat).toMatchObject({ by: 'water', floor: { sumR: 0.12, holds: true } });
  expect(heat!.ramp!.slice(0, 3)).toEqual([18, 18, 23]);
  const thick = criteria(
    underSet(heated, { underlayId: 'shipped-foam', filmId: 'shipped-film' }, [], 'shipped-engineered'),
  );
  expect(thick['under-heat']).toMatch(/^work: .*0\.185/);
  const electric = roomOver('bath', 'cement-screed', { heating: 'electric' });
  expect(criteria(underSet(electric, choice))['under-heat']).toMatch(/^measure: /);
});

test('a membrane lifts damp only once every step of it is ticked, and never over its limit', () => {
  const steps = ['ground', 'primer', 'mix', 'coat-1', 'coat-2', 'pin-holes', 'over'];
  const id = 'shipped-membrane-dispersion';
  const damp = (rh: number, done: readonly string[]) => {
    const set = {
      ...underSet(slab, { membraneId: id }),
      ticks: done.map((step) => ({ id: step, key: `${MEMBRANE_STEP}${id}/${step}`, doneAt: AT, note: '' })),
    };
    const read = { state: { methods: [{ method: 'probe', governing: { value: rh } }] } } as unknown as DampJudged;
    return judged(set, { ...PLAIN_ROOM, damp: 'work' }, USUAL_SCHOOLS, {
      damp: read,
      heights: null,
      plan: planOf(slab),
      figure: figuresOf([]),
      fix: { allowed: true, stops: [], cautions: [] },
    }).room.damp;
  };
  expect(damp(84, steps)).toBe('lay');
  for (const left of steps)
    expect(
      damp(
        84,
        steps.filter((one) => one !== left),
      ),
    ).toBe('work');
  expect(damp(86, steps)).toBe('work');
});

test('a membrane whose card is gone asks for another choice', () => {
  const set = underSet(slab, { membraneId: 'gone', filmId: 'shipped-film' });
  expect(criteria(set)['under-choice']).toMatch(/^measure: The card/);
});
