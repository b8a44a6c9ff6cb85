import '@maquette/words/rest';
import { readOut } from '@maquette/words';
import { OUTER_WALLS, SOURCE, WAY_OUT } from '../damp/index.ts';
import { assessRoom } from '../index.ts';
import { CRAWL, MEMBRANE_STEP, NO_UNDER_CARDS, SHIPPED_UNDER } from '../under/index.ts';
import { readRoom } from './invented-cottage.ts';
import { roomOver, underSet } from './invented-under.ts';
import { planRoom } from './level-room.ts';
import { roomRunner } from './assess-room.ts';
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

const probe = (name: string, xMm: number) => ({
  id: name,
  method: 'probe' as const,
  name,
  xMm,
  yMm: 500,
  startedAt: '2026-04-20T08:00:00.000Z',
  depthMm: 48,
  startG: null,
  areaM2: null,
  of: 'base' as const,
  offsetPercent: 0,
  compensates: false,
  instrument: 'Probe 1',
  checkedOn: '2026-03-01',
  note: '',
});

/** A slab of 120 mm read at three places by probes, no outer wall, no water arriving: its damp is wholly known. */
const readAt = (rh: number, choice: Parameters<typeof underSet>[1], ticked: readonly string[], cardId?: string) => {
  const tests = [probe('one', 400), probe('two', 2400), probe('three', 4400)];
  const set = underSet(slab, choice, [
    [SOURCE, 'no'],
    [OUTER_WALLS, []],
    [WAY_OUT, 'membrane'],
  ]);
  return {
    ...set,
    ...(cardId ? { card: { ...set.card, filmCures: true } } : {}),
    dampTests: tests,
    dampReadings: tests.map(({ id }) => ({
      id: `read-${id}`,
      testId: id,
      takenAt: '2026-05-04T10:00:00.000Z',
      value: rh,
      sampleG: null,
      tempC: 18,
      who: '',
      note: '',
    })),
    ticks: ticked.map((key) => ({ id: key, key, doneAt: AT, note: '' })),
  };
};
const dampSaid = (set: RoomSet) =>
  assessRoom(set, AT, { parts: ['under'] }).criteria.find(({ id }) => id === 'damp-probe')!;

test('a membrane lifts damp, in Damp and under the planks alike, once every step of it is ticked, and never over its limit', () => {
  const steps = ['ground', 'primer', 'mix', 'coat-1', 'coat-2', 'pin-holes', 'over'];
  const id = 'shipped-membrane-dispersion';
  const said = (rh: number, done: readonly string[]) => {
    const set = readAt(
      rh,
      { membraneId: id },
      done.map((step) => `${MEMBRANE_STEP}${id}/${step}`),
    );
    const { room } = underOf(set);
    return [dampSaid(set).verdict, room.damp, room.hasMembrane];
  };
  expect(said(84, steps)).toEqual(['lay', 'lay', true]);
  for (const left of steps)
    expect(
      said(
        84,
        steps.filter((one) => one !== left),
      ).slice(0, 2),
    ).toEqual(['work', 'work']);
  expect(said(86, steps).slice(0, 2)).toEqual(['work', 'work']);
  // A place that is not read yet may be damper than the membrane takes.
  const set = readAt(
    84,
    { membraneId: id },
    steps.map((step) => `${MEMBRANE_STEP}${id}/${step}`),
  );
  expect(dampSaid({ ...set, dampTests: set.dampTests.slice(1) }).verdict).toBe('measure');
});

test('a film that the sheet takes as a cure answers for damp where it is chosen, and for no other choice', () => {
  const film = { filmId: 'shipped-film', underlayId: 'shipped-foam' };
  const cured = readAt(84, film, [], 'own');
  expect(dampSaid(cured).verdict).toBe('lay');
  expect(readOut(dampSaid(cured).next)).toMatch(/sheet of the covering takes this reading/);
  const { room, chosen, options } = underOf(cured);
  expect(room.damp).toBe('work');
  expect(chosen!.breaks.map(({ rule }) => rule)).not.toContain('B0');
  // Another layer leaves the base as damp as it is.
  const bare = options.find(({ offered: { underlay, film: over } }) => underlay?.id === 'shipped-foam' && !over)!;
  expect(bare.breaks.map(({ rule }) => rule)).toContain('B0');
  expect(dampSaid(readAt(84, film, [])).verdict).toBe('work');
  expect(dampSaid(readAt(84, { underlayId: 'shipped-foam' }, [], 'own')).verdict).toBe('work');
});

test('a membrane whose card is gone asks for another choice', () => {
  const set = underSet(slab, { membraneId: 'gone', filmId: 'shipped-film' });
  expect(criteria(set)['under-choice']).toMatch(/^measure: The card/);
});

test('Level reckons panels by the card that is chosen, and keeps the other ways as they were', () => {
  const set = readRoom('a', (x) => x, { room: { baseKind: 'panels-on-joists' } });
  const chosen = (panelId: string | null) => ({ ...set, underChoices: underSet(slab, { panelId }).underChoices });
  const runner = roomRunner();
  const [none, thin, thick] = [null, 'shipped-hardboard-6', 'shipped-plywood-9-long'].map((id) =>
    planRoom(chosen(id), AT, { runner })!,
  );
  expect([none!, thin!, thick!].map(({ panel }) => panel!.riseMm)).toEqual([6, 6, 9]);
  // Sheets of 1220 x 610 at 6 and of 2440 x 1220 at 36, by the square metre; the work is the same.
  expect(thick!.panel!.cost - thin!.panel!.cost).toBeCloseTo(12 * (36 / (2.44 * 1.22) - 6 / (1.22 * 0.61)), 1);
  expect(thick!.fill).toBe(none!.fill);
});

test('over a slab the year asks for a tighter film only where one helps; where the cool slab is the cause, for a reading', () => {
  const year = (limit: number, swingK: number) => {
    const set = underSet(slab, { filmId: 'shipped-film' });
    const figures = [{ name: 'outside-swing-k', value: swingK, source: 'the place' }];
    return criteria({ ...set, figures, card: { ...set.card, cementLimitRh: limit } })['under-year'];
  };
  // 10 °C all year, the room at 50 %RH: by hand (R 0.07 over a slab of 120 mm, 12.9 °C) 79.3 % under a film of 100 m, 78.7 under foil.
  expect(year(79, 0)).toMatch(/^work: .*Choose a tighter film/);
  expect(year(75, 7.5)).toMatch(/^measure: .*No film changes that/);
  expect(year(95, 7.5)).toMatch(/^lay: /);
});
