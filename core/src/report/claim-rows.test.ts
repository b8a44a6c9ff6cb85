import { inWords } from '@maquette/words';
import '@maquette/words/report';
import type { AirLog, AirReading } from '../air/facts.ts';
import { DAMP_AIR, type Criterion } from '../verdict/index.ts';
import { dampOf, NOW, readingOf, testOf } from '../damp/invented-damp.ts';
import { readRoom } from '../assess/invented-cottage.ts';
import { roomSet, type RoomSet } from '../assess/room-set.ts';
import { SHIPPED_CARDS, type CoveringCard } from '../coverings/index.ts';
import type { Photograph } from '../record/index.ts';
import type { LaidRow } from '../setout/facts.ts';
import { newMark } from '../soundness/index.ts';
import { say, type Sayable } from '../said/index.ts';
import { claimRows } from './claim-rows.ts';
import { REPORT_AT } from './invented-report.ts';
import { reportRoom } from './report-job.ts';

const said = (what: Sayable | null) => (what === null ? null : inWords(what, 'metric', 'Europe/London'));
const glued = SHIPPED_CARDS.find(({ stepMm }) => stepMm !== null)!;
/** A flat floor, judged once: what the clauses are read from is laid over it. */
const HALL = reportRoom(
  readRoom('Hall', () => 0, { cardId: glued.id }),
  REPORT_AT,
);
const flat = (facts: Partial<RoomSet> = {}, card: CoveringCard = glued, criteria = HALL.assessment.criteria) =>
  claimRows({ ...HALL, set: { ...HALL.set, ...facts, card }, assessment: { ...HALL.assessment, criteria } });
/** The step between parts of the base, judged so. */
const lips = (verdict: Criterion['verdict']): Criterion[] => [
  { ...HALL.assessment.criteria[0]!, id: 'lips', verdict, margin: say('verdict.noLip', { allowed: '1 mm' }) },
];
const rowOf = (rows: ReturnType<typeof flat>, clause: RegExp) => rows.find((row) => clause.test(said(row.clause)!))!;
const photo = (about: Photograph['about'], aboutId: string): Photograph => ({
  ...{
    id: `${about}-${aboutId}`,
    about,
    aboutId,
    xMm: null,
    yMm: null,
    takenAt: REPORT_AT,
    note: '',
    originalSha256: '',
  },
});
const lip = (id: string, stepMm: number) => newMark(id, 'lippage', { xMm: 1800, yMm: 900 }, { stepMm });
const laid = (row: number, startMm: number, endMm: number, part: Partial<LaidRow> = {}): LaidRow =>
  ({
    ...{ id: `row-${row}`, startWall: 0, hand: 'right', firstMm: 150, row, strip: 1, startMm, wholes: 2, endMm },
    ...{ isLaid: true, laidAt: `2026-05-0${row}T09:00:00.000Z`, batch: '', note: '' },
    ...part,
  }) as LaidRow;

test('every clause a card names stands in the table, and none that it leaves open', () => {
  const clauses = (card: CoveringCard) => flat({}, card).map(({ clause }) => said(clause)!);
  const all = clauses({ ...glued, stepMm: 1, acclimatiseH: 48, longestRunM: 8 });
  const fewest = clauses({ ...glued, stepMm: null, acclimatiseH: 0, longestRunM: null });
  // A step between parts of the base, rest in the room, and the longest run are what a card may leave open.
  expect(all).toHaveLength(fewest.length + 3);
  expect(all).toEqual(expect.arrayContaining(fewest));
  // Two rules of flatness are two clauses.
  expect(clauses({ ...glued, rules: [...glued.rules, ...glued.rules] })).toHaveLength(
    clauses(glued).length + glued.rules.length,
  );
});

test('each photograph stands with the clause it is of: marks that are lips with the step, boxes with their rest, edges with flatness', () => {
  const crack = newMark('crack-1', 'crack', { xMm: 600, yMm: 600 }, { stepMm: 0 });
  const rows = flat(
    {
      marks: [lip('lip-1', 2), crack],
      photos: [
        photo('mark', 'lip-1'),
        photo('mark', 'crack-1'),
        photo('box', 'b'),
        photo('box', 'c'),
        photo('edge', ''),
      ],
    },
    { ...glued, stepMm: 1, acclimatiseH: 48 },
    lips('work'),
  );
  const step = rows.find(({ page, clause }) => page === 'layers/Hall' && said(clause) !== '')!;
  expect(step.photographs).toBe(1);
  expect(rows[0]!.photographs).toBe(1);
  const resting = rows.filter(({ page }) => page === 'materials').reduce((n, { photographs }) => n + photographs, 0);
  // Nothing is known of any boxes: their pictures alone show no rest.
  expect(resting).toBe(0);
});

test('a step that was felt for is shown, kept or not; one nobody felt for is not', () => {
  const step = (criteria: Criterion[]) =>
    flat({}, { ...glued, stepMm: 1 }, criteria).find(({ page }) => page === 'layers/Hall')!;
  expect(step(lips('measure')).shown).toBeNull();
  expect(step([]).shown).toBeNull();
  expect(said(step(lips('lay')).shown)).toMatch(/1 mm/);
  expect(said(step(lips('lay')).margin)).toBe('kept');
  expect(said(step(lips('work')).margin)).toBe('not kept');
});

test('a floor over its rule is shown over it, however little of it was read', () => {
  const low = readRoom('Hall', (x, y) => -9 * Math.exp(-((x - 2) ** 2 + (y - 1.5) ** 2) / 0.5), { cardId: glued.id });
  const part = { ...low, readings: low.readings.slice(0, Math.ceil(0.7 * low.readings.length)) };
  expect(said(claimRows(reportRoom(part, REPORT_AT))[0]!.margin)).toMatch(/over/);
});

test('of rows that were laid the shortest end piece is shown with its day; rows only planned show nothing', () => {
  const end = (laidRows: LaidRow[]) => rowOf(flat({ laidRows }), /end/i);
  const shown = end([laid(1, 420, 310), laid(2, 250, 480)]);
  expect(said(shown.shown)).toBe('250 mm');
  expect(said(shown.margin)).toMatch(new RegExp(`${250 - glued.endPieceMm} mm`));
  expect(shown.at).toBe('2026-05-02T09:00:00.000Z');
  // A piece from wall to wall has no other end.
  expect(said(end([laid(1, 900, 0, { wholes: 0 })]).shown)).toBe('900 mm');
  expect(end([laid(1, 100, 100, { isLaid: false })]).shown).toBeNull();
  expect(end([]).shown).toBeNull();
});

test('a run longer than the card allows asks for a joint; the longest way through the room decides', () => {
  const run = (longestRunM: number) => flat({}, { ...glued, longestRunM }).at(-1)!;
  // The room is 4 by 3 m.
  expect(said(run(4).shown)).toMatch(/^4(\.0+)? m$|^4,?000 mm$/);
  expect(said(run(4).margin)).not.toBe(said(run(3.9).margin));
  expect(run(4).photographs).toBe(0);
});

test('damp read by another method than the card speaks of stands by its own limit; the card’s clause stays not shown', () => {
  const { room, card } = dampOf({});
  const tests = [
    [1500, 1500],
    [4500, 3500],
    [1500, 3500],
  ].map(([x, y], k) => testOf('carbide', `C${k + 1}`, [x!, y!], { instrument: 'Flask 2', checkedOn: '2026-02-01' }));
  const damp = (worst: number) =>
    claimRows(
      reportRoom(
        roomSet(room, card, {
          dampTests: tests,
          dampReadings: tests.map((test, k) => readingOf(test, 1, k === 0 ? worst : 1.2, { sampleG: 100 })),
          photos: [photo('damp', tests[0]!.id)],
        }),
        NOW,
      ),
    ).filter(({ page }) => page === 'damp/room-1');
  const [byCard, byCarbide] = damp(2.31);
  expect(said(byCard!.asked)).toBe('75.0 %RH at most, in the slab');
  expect([byCard!.shown, byCard!.photographs]).toEqual([null, 0]);
  // The usual limit of a cement screed without heating, CM-%.
  expect(said(byCarbide!.asked)).toMatch(/^2\.00 CM-% at most, by the figures of this job/);
  expect([said(byCarbide!.margin), byCarbide!.photographs]).toEqual(['0.31 over', 1]);
  expect(said(byCarbide!.instrument)).toMatch(/Flask 2.*2026-02-01/);
  expect(said(damp(1.7)[1]!.margin)).toBe('0.30 inside');
});

test('air stands with when it was last read and by what: by hand, or by a logger whose file names itself where no instrument is named', () => {
  const sample = (at: string) => ({ at, tempC: 20, rhPercent: 50 });
  const hand = { id: 'hand', takenAt: '2026-05-04T12:00:00.000Z', tempC: 20, rhPercent: 50, instrument: 'Dial 1' };
  const log = (part: object) => ({ id: 'log', name: 'site.csv', instrument: '', note: '', ...part });
  const air = (airReadings: object[], airLogs: object[]) => {
    const criteria = [{ ...lips('lay')[0]!, id: DAMP_AIR }];
    const row = rowOf(
      flat({ airReadings: airReadings as AirReading[], airLogs: airLogs as AirLog[] }, glued, criteria),
      /^Air/,
    );
    return [row.at, said(row.instrument)];
  };
  const early = log({ samples: [sample('2026-05-04T08:00:00.000Z'), sample('2026-05-04T09:00:00.000Z')] });
  const late = log({ samples: [sample('2026-05-05T09:00:00.000Z')], instrument: 'Logger 7' });
  expect(air([hand], [early])).toEqual(['2026-05-04T12:00:00.000Z', 'Dial 1']);
  expect(air([hand], [late])).toEqual(['2026-05-05T09:00:00.000Z', 'Logger 7']);
  expect(air([], [early])).toEqual(['2026-05-04T09:00:00.000Z', 'site.csv']);
  expect(air([], [])).toEqual([null, 'not named']);
});
