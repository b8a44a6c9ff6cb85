import { inWords } from '@maquette/words';
import '@maquette/words/report';
import { roomSet, type RoomSet } from '../assess/room-set.ts';
import { SHIPPED_CARDS } from '../coverings/index.ts';
import { contextOf, layerOf } from '../stripout/invented-strip.ts';
import type { RoomFacts } from '../room/index.ts';
import type { Block } from '../paper/index.ts';
import type { Sayable } from '../said/index.ts';
import { handOverPaper } from './hand-over-page.ts';
import { inventedReport } from './invented-report.ts';
import { careOf, leftPage } from './page-left.ts';

const said = (what: Sayable) => inWords(what, 'metric', 'Europe/London');
const setOf = (id: string, facts: Partial<RoomSet> = {}, shape: Partial<RoomFacts> = {}, cardId?: string): RoomSet => {
  const { room, card } = contextOf({}, shape, cardId);
  return roomSet({ ...room, id, name: id }, card, facts);
};
const reportOf = (...sets: RoomSet[]) => inventedReport(sets);
const care = (...sets: RoomSet[]) => careOf(reportOf(...sets).rooms).map(said);
/** Items of the list under each heading of some blocks; what stands there instead where there is none. */
function under(blocks: readonly Block[], heading: RegExp): string[] {
  const at = blocks.findIndex((block) => block.is === 'heading' && heading.test(said(block.text)));
  const next = blocks[at + 1]!;
  return next.is === 'list' ? next.items.map(said) : next.is === 'text' ? [said(next.text)] : [];
}
const HEATED = { base: { ...contextOf({}).room.base, heating: 'water' as const } };

test('what has wood in it is never told to be wiped damp; vinyl is', () => {
  for (const { id, kind } of SHIPPED_CARDS) {
    const lines = care(setOf('Hall', {}, {}, id)).join('\n');
    expect([id, /Wipe it damp/.test(lines)]).toEqual([id, kind.endsWith('vinyl')]);
    expect([id, /standing water swells/.test(lines)]).toEqual([id, !kind.endsWith('vinyl')]);
  }
});

test('how warm a heated floor may get is the figure of the job; a floor without heating is told nothing of it', () => {
  const figures = [{ name: 'heat-surface-c' as const, value: 25, source: 'Sheet of the covering' }];
  const warmest = (lines: string[]) => lines.filter((line) => /heated floor/.test(line));
  expect(warmest(care(setOf('Hall')))).toEqual([]);
  expect(warmest(care(setOf('Hall', {}, HEATED)))).toEqual([expect.stringContaining('27 °C')]);
  expect(warmest(care(setOf('Hall', { figures }, HEATED)))).toEqual([expect.stringContaining('25 °C')]);
});

test('rooms under one covering are told its care once, each other covering its own air', () => {
  const one = care(setOf('Hall'));
  expect(care(setOf('Hall'), setOf('Landing'))).toEqual(one);
  const two = care(setOf('Hall'), setOf('Parlour', {}, {}, 'shipped-click-vinyl'));
  expect(two.filter((line) => /%RH/.test(line))).toHaveLength(2);
});

test('every harmful material left beneath stands with its room, in the report and on the page for the next trade', () => {
  const old = layerOf('resilient-tile', { year: 1965 });
  const kept = [{ id: 'c', layerId: old.id, choice: 'keep' as const, note: '' }];
  const job = reportOf(setOf('Hall', { layers: [old], layerChoices: kept }), setOf('Landing'));
  const [hall] = job.rooms;
  const left = hall!.assessment.strip.leftInPlace.map(said);
  expect(left.length).toBeGreaterThan(0);
  const told = left.map((what) => expect.stringMatching(new RegExp(`^Hall.*${what.slice(0, 12)}`)));
  expect(under(leftPage(job).blocks, /beneath/)).toEqual(told);
  const next = handOverPaper(job).pages.find(({ id }) => id === 'next-trade')!;
  expect(under(next.blocks, /beneath/)).toEqual(told);
  expect(under(handOverPaper(reportOf(setOf('Landing'))).pages[1]!.blocks, /beneath/)).toEqual([
    'Nothing that is known or suspected to harm was left beneath.',
  ]);
});

test('what is not settled of a room is told as undone, and nothing that may be laid over', () => {
  const job = reportOf(setOf('Hall'));
  const open = job.rooms[0]!.assessment.criteria.filter(({ verdict }) => verdict !== 'lay');
  const undone = under(leftPage(job).blocks, /undone/);
  expect(undone).toHaveLength(open.length);
  open.forEach(({ title, next }, k) => {
    expect(undone[k]).toContain(said(title));
    expect(undone[k]!.toLowerCase()).toContain(said(next).slice(1, 20).toLowerCase());
  });
});
