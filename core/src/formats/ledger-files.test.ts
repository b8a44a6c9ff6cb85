import Papa from 'papaparse';
import type { LedgerRow } from '../heights/index.ts';
import { ledgerCsv } from './ledger-csv.ts';
import { sectionsDxf } from './sections-dxf.ts';

const row: LedgerRow = {
  roomId: 'a',
  openingId: 'd',
  otherRoomId: null,
  widthMm: 900,
  stepMm: [3, 4.2],
  bar: 'tilted',
  packingMm: [
    [3.87, 5.13],
    [6.22, 7.98],
  ],
  rampMm: null,
  leaf: 'trim',
  cut: { hingeMm: 2.75, latchMm: 2.75 },
  sawMm: [14.7, 14.9],
  provisional: false,
};

test('the ledger as CSV comes back figure for figure, and no cell is taken for a formula', () => {
  const text = ledgerCsv([
    { row, room: '=Parlour', otherRoom: 'Hall, east', opening: 'door in W1' },
    {
      row: { ...row, stepMm: null, bar: 'measure', packingMm: [], cut: null, leaf: 'none', provisional: true },
      room: 'b',
      otherRoom: '',
      opening: 'x',
    },
  ]);
  const [first, second] = Papa.parse<Record<string, string>>(text.trim(), { header: true }).data;
  expect(first).toMatchObject({
    other_room: 'Hall, east',
    step_least_mm: '3',
    step_most_mm: '4.2',
    bar: 'tilted',
    packing_start_thin_mm: '3.87',
    packing_end_thick_mm: '7.98',
    leaf_cut_hinge_mm: '2.75',
    saw_over_what_lies_mm: '14.7 14.9',
    provisional: 'no',
  });
  expect(first!['room']!.startsWith('=')).toBe(false);
  expect(second).toMatchObject({ step_least_mm: '', bar: 'measure', leaf_cut_hinge_mm: '', provisional: 'yes' });
});

test('sections are drawn at true height, side by side, each with its lines on layers of their own', () => {
  const section = (title: string) => ({
    title,
    widthMm: 900,
    here: [
      { alongMm: 0, levelMm: 12 },
      { alongMm: 900, levelMm: 13.5 },
    ],
    buildUpMm: 5,
    beyond: [
      { alongMm: 0, levelMm: 8 },
      { alongMm: 900, levelMm: 11 },
    ],
    leaf: [],
    notes: ['T on a wedge'],
  });
  const text = sectionsDxf([section('one'), section('two')]);
  const pairs = text.split(/\r?\n/).map((line) => line.trim());
  /** Corners of the polylines of a layer, in the order they are drawn. */
  const corners = (layer: string) => {
    const found: number[][] = [];
    for (let i = 0; i < pairs.length; i++) {
      if (pairs[i] !== 'LWPOLYLINE') continue;
      const end = pairs.findIndex(
        (word, k) => k > i && (word === 'LWPOLYLINE' || word === 'TEXT' || word === 'ENDSEC'),
      );
      const part = pairs.slice(i, end);
      if (part[part.indexOf('8') + 1] !== layer) continue;
      for (let k = 0; k < part.length; k++)
        if (part[k] === '10' && part[k + 2] === '20') found.push([Number(part[k + 1]), Number(part[k + 3])]);
    }
    return found;
  };
  // The second stands 400 mm beyond the first.
  expect(corners('FLOOR')).toEqual([
    [0, 12],
    [900, 13.5],
    [1300, 12],
    [2200, 13.5],
  ]);
  expect(corners('BASE').slice(0, 2)).toEqual([
    [0, 7],
    [900, 8.5],
  ]);
  expect(corners('BEYOND')).toHaveLength(4);
  expect(corners('LEAF')).toEqual([]);
  expect(text).toContain('T on a wedge');
});
