import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { inWords } from '@maquette/words';
import '@maquette/words/planning';
import '@maquette/words/report';
import { READ_AT } from '../assess/invented-cottage.ts';
import type { Block, Paper } from '../paper/index.ts';
import type { Sayable } from '../said/index.ts';
import type { UnitSystem } from '../units/index.ts';
import { claimRows, clientPage, EDITION, handOverPaper, packsOf, reportOf } from './index.ts';
import { inventedApproval, inventedReport, lowRoom, REPORT_AT } from './invented-report.ts';
import { samePlace } from './same-place.ts';

const said = (units: UnitSystem) => (what: Sayable) => inWords(what, units, 'Europe/London');

/** Everything a block says, drawings among it. */
function wordsOf(block: Block, say: (what: Sayable) => string): string[] {
  switch (block.is) {
    case 'verdicts':
      return block.rows.flatMap(({ name, figure, under }) => [say(name), say(figure), say(under)]);
    case 'table':
      return [...block.columns.map(({ title }) => say(title)), ...block.rows.flat().map(say)];
    case 'pairs':
      return block.rows.flatMap(([label, lines]) => [say(label), ...lines.map(say)]);
    case 'list':
      return block.items.map(say);
    case 'figures':
      return block.figures.flatMap(({ title, figure, alt, drawing }) => [
        say(title),
        say(alt),
        ...(figure ? [say(figure)] : []),
        ...drawing.marks.flatMap((mark) => ('text' in mark ? [say(mark.text)] : [])),
      ]);
    case 'photographs':
      return block.photographs.map(({ words }) => say(words));
    case 'rules':
      return [say(block.label)];
    case 'signature':
      return [say(block.name)];
    case 'heading':
    case 'lead':
    case 'text':
      return [say(block.text), ...('bold' in block && block.bold ? [say(block.bold)] : [])];
  }
}
const textOf = ({ pages }: Pick<Paper, 'pages'>, say: (what: Sayable) => string): string =>
  pages.flatMap(({ blocks }) => blocks.flatMap((block) => wordsOf(block, say))).join('\n');

const photo = { xMm: null, yMm: null, takenAt: READ_AT, note: '', originalSha256: '' };
const SETS = [
  lowRoom('Parlour', 7),
  lowRoom('Hall', 0.4),
  lowRoom('Kitchen', 3.4, { photos: [{ ...photo, id: 'p-1', about: 'edge', aboutId: 'Kitchen' }] }),
];
const REPORT = inventedReport(SETS, { chain: { digest: '9f31c07a'.repeat(8), facts: 12 } });

test.each(['metric', 'imperial'] as const)(
  'in %s units every figure of the two plain pages stands again behind them, to the same digit',
  (units) => {
    const paper = reportOf(REPORT);
    const say = said(units);
    const plain = textOf({ pages: paper.pages.slice(0, 2) }, say);
    const annex = textOf(
      { pages: paper.pages.filter(({ id }) => id.startsWith('annex') || id.startsWith('levels')) },
      say,
    );
    const measured = plain.match(/\d+(?:[.,]\d+)? (?:mm|in|%RH|%|m|ft)\b|\d+\/\d+ in/g) ?? [];
    expect(measured.length).toBeGreaterThan(5);
    for (const figure of measured) expect(annex).toContain(figure);
  },
);

test('a profile says its figure with its unit', () => {
  const figures = reportOf(REPORT).pages.flatMap(({ blocks }) =>
    blocks.flatMap((block) => (block.is === 'figures' ? block.figures.flatMap(({ figure }) => figure ?? []) : [])),
  );
  expect(figures.length).toBeGreaterThan(2);
  for (const figure of figures) {
    expect(said('metric')(figure)).toMatch(/^\d+(\.\d)? mm$/);
    expect(said('imperial')(figure)).toMatch(/^[\d/ ]+ in$/);
  }
});

test('no length is told in the other units', () => {
  const paper = reportOf(REPORT);
  expect(textOf(paper, said('imperial'))).not.toMatch(/\d (?:mm|m|kg|l)\b/);
  expect(textOf(paper, said('metric'))).not.toMatch(/\d (?:in|ft|lb)\b/);
});

test('the same facts at the same time make the same paper', () => {
  const again = inventedReport(SETS, { chain: REPORT.chain });
  expect(JSON.stringify(reportOf(again))).toBe(JSON.stringify(reportOf(REPORT)));
});

test('each sentence of the first page leads to a page that is there, and the chain’s digest is on it', () => {
  const paper = reportOf(REPORT);
  const verdicts = paper.pages[0]!.blocks.find((block) => block.is === 'verdicts')!;
  const there = new Set(
    paper.pages.flatMap(({ id, blocks }) => [
      id,
      ...blocks.flatMap((block) => (block.is === 'heading' ? [block.id] : [])),
    ]),
  );
  const rows = verdicts.is === 'verdicts' ? verdicts.rows : [];
  expect(rows).toHaveLength(3);
  for (const { page } of rows) expect(there).toContain(page);
  expect(said('metric')(paper.mark)).toBe('chain 9f31c07a');
  expect(textOf({ pages: paper.pages.filter(({ id }) => id === 'verify') }, said('metric'))).toContain(
    '9f31c07a'.repeat(8),
  );
});

test('a levelled floor is shown before and after in one scale; before is judged by what was read before', () => {
  const set = lowRoom('Parlour', 6);
  const doneAt = '2026-05-05T08:00:00.000Z';
  const work = {
    ...{ id: 'w', way: 'fill' as const, doneAt, product: 'Compound', batch: 'L 2207', bagsPlanned: 2, bagsUsed: 2 },
    ...{ tempC: 18, rhPercent: 55, note: '', predicted: [] },
  };
  const flat = set.readings.map((one) => ({
    ...one,
    id: `${one.id}-after`,
    rodMm: 1000,
    takenAt: '2026-05-06T08:00:00.000Z',
  }));
  const room = inventedReport([{ ...set, works: [work], readings: [...set.readings, ...flat] }]).rooms[0]!;
  expect(room.before!.rules[0]!.worstMm).toBeGreaterThan(4);
  expect(room.picture.rules[0]!.worstMm).toBeLessThan(0.5);
  // The very place of the worst edge is laid over again: the same line, the floor of now.
  const { then, now } = samePlace(room)!;
  expect(now.shown.placement).toEqual(then.shown.placement);
  expect(then.rule.overMm).toBeGreaterThan(0);
  expect(now.rule.overMm + now.rule.rule.gapMm).toBeLessThan(0.5);
  expect(samePlace(REPORT.rooms[0]!)).toBeNull();
  const text = textOf(reportOf(inventedReport([room.set])), said('metric'));
  expect(text).toMatch(/Compound/);
  expect(text).toContain('L 2207');
  expect(inventedReport([set]).rooms[0]!.before).toBeNull();
});

test('a floor inside its rules carries what certifies it, no milder than the judgement; one that is not carries none', () => {
  const [parlour, hall] = REPORT.rooms;
  expect(parlour!.certificates).toEqual([]);
  expect(hall!.certificates).toHaveLength(hall!.picture.rules.length);
  for (const [k, one] of hall!.certificates.entries()) {
    expect(one.directions).toBeGreaterThan(16);
    expect(Math.max(one.worstGapMm, one.worstCrownMm)).toBeGreaterThanOrEqual(hall!.picture.rules[k]!.worstMm - 1e-9);
    expect(one.holds).toBe(true);
  }
  const shown = textOf(reportOf(REPORT), said('metric'));
  expect(shown.match(/Certificate: .* in 36 directions .* It holds\./g)).toHaveLength(
    REPORT.rooms.flatMap(({ certificates }) => certificates).length,
  );
});

test('a room without a card is named and counted: the others do not make all of them free', () => {
  const whole = inventedReport([lowRoom('Hall', 0.4)]);
  const lead = (report: typeof whole) => textOf({ pages: reportOf(report).pages.slice(0, 1) }, said('metric'));
  const left = lead({ ...whole, unjudged: ['Kitchen'] });
  expect(left).toMatch(/Nothing is said of Kitchen: the card of its covering was removed/);
  expect(left).not.toMatch(/The room may be laid now|All 2 rooms/);
  expect(left).toMatch(/of 2 rooms may be laid now|No room may be laid yet/);
  expect(lead(whole)).not.toMatch(/Nothing is said of/);
});

test('a clause that no reading shows is told as not shown, never as kept, and a floor read in part shows nothing', () => {
  const [first] = claimRows(REPORT.rooms[1]!);
  expect(first!.shown).not.toBeNull();
  const damp = claimRows(REPORT.rooms[1]!).find(({ page }) => page === 'damp/Hall')!;
  expect(damp.shown).toBeNull();
  const half = { ...SETS[1]!, readings: SETS[1]!.readings.slice(0, 6) };
  expect(claimRows(inventedReport([half]).rooms[0]!)[0]!.shown).toBeNull();
  const open = { ...SETS[1]!, setups: SETS[1]!.setups.map((one) => ({ ...one, closeRodMm: null })) };
  expect(claimRows(inventedReport([open]).rooms[0]!)[0]!.shown).toBeNull();
  expect(textOf(reportOf(inventedReport([open])), said('metric'))).toContain('not shown');
});

test('what is put to the client holds no cost, no note and no key; a price that went up is asked again', () => {
  const approval = inventedApproval({ cents: 100_000, promisedDay: '2027-01-20', note: 'key under the pot' });
  const job = inventedReport(SETS, { approvals: [approval] });
  const decision = {
    about: 'plan',
    what: 'The job',
    cents: 120_000,
    promisedDay: '2027-01-25',
    isBegun: false,
    leaves: [],
  };
  const text = textOf(clientPage(job, [decision]), said('metric'));
  expect(text).toContain('£200.00');
  expect(text).toMatch(/5 days/);
  expect(text).not.toMatch(/under the pot/);
  const same = textOf(clientPage(job, [{ ...decision, cents: 100_000, promisedDay: '2027-01-20' }]), said('metric'));
  expect(same).toContain('Approved by A. Client');
  expect(same).toContain('You are asked again if the price goes up, or the day moves back.');
});

test('packs stand by the names of their products and as they were last counted', () => {
  const count = (id: string, productId: string, opened: number) => ({
    ...{ id, jobId: 'j', productId, boughtOn: '2026-05-01', bought: 9, opened, planned: 8 },
    ...{ batch: 'L 2207', useBy: '', note: '' },
  });
  const covering = `card/${SETS[0]!.card.id}`;
  const packCounts = [
    count('a', covering, 1),
    count('b', 'primer', 2),
    count('c', 'film/gone', 3),
    count('d', covering, 7),
  ];
  const packs = packsOf(inventedReport(SETS, { packCounts })).map(({ what, opened }) => [said('metric')(what), opened]);
  expect(packs).toEqual([
    [said('metric')(SETS[0]!.card.name), 7],
    ['Primer', 2],
    ['A product whose card was removed (film/gone)', 3],
  ]);
  const text = textOf(reportOf(inventedReport(SETS, { packCounts })), said('metric'));
  expect(text).toContain('Primer');
  expect(text).not.toContain(covering);
});

test('what was agreed to go up unasked stands with the answer, and nothing where nothing was', () => {
  const of = (agreed: object) =>
    textOf(reportOf(inventedReport(SETS, { approvals: [inventedApproval(agreed)] })), said('metric'));
  expect(of({ unaskedCents: 20_000, unaskedDays: 1 })).toContain('The job; unasked up to £200.00 more and 1 day later');
  expect(of({})).not.toContain('unasked');
});

test('the hand-over sheet leaves room to sign until somebody has', () => {
  expect(textOf(handOverPaper(inventedReport(SETS)), said('metric'))).toContain('Name, day and signature');
  const taken = {
    ...{ id: 'h', jobId: 'j', handedAt: REPORT_AT, by: 'A. Client', signature: 'M1 1L9 9', sparePlanks: 4 },
    ...{ batch: 'R 4417', furnitureFrom: '2026-12-14', note: '' },
  };
  const text = textOf(handOverPaper(inventedReport(SETS, { handOvers: [taken] })), said('metric'));
  expect(text).toMatch(/A\. Client/);
  expect(text).toMatch(/4 spare planks.*R 4417/);
});

test('the edition a report names is the one of the product', () => {
  const { version } = JSON.parse(readFileSync(join(__dirname, '../../../package.json'), 'utf8')) as { version: string };
  expect(EDITION).toBe(version);
});
