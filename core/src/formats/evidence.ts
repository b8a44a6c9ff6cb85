import Papa from 'papaparse';
import { METHOD_SPECS, type DampContext, type DampResult } from '../damp/index.ts';
import type { Scan } from '../scan/index.ts';
import { edgeLengthMm, worstUnder, type EdgeWalk, type LevellingWork } from '../flat/index.ts';
import { MARK_WORDS, type SoundFacts } from '../soundness/index.ts';
import { formatReach } from '../units/index.ts';
import { safeText } from './safe-text.ts';

/** One line of a room's evidence: what was measured or seen, when, where and how it stands. */
export interface EvidenceLine {
  kind: string;
  /** Id of the fact, and its version: over 1 means it was corrected, and what it replaced is kept. */
  id: string;
  version: number;
  at: string;
  what: string;
  value: string;
  xMm: number | null;
  yMm: number | null;
  /** Conditions and instrument, as recorded. */
  conditions: string;
  instrument: string;
  who: string;
  /** Whether it counts, and if not why. */
  standing: string;
  photographs: number;
  note: string;
}

interface EvidenceFacts {
  damp: DampContext;
  results: readonly DampResult[];
  sound: SoundFacts;
  works?: readonly LevellingWork[];
  edgeWalks?: readonly EdgeWalk[];
  scans?: readonly Scan[];
  photos: readonly {
    id: string;
    about: string;
    aboutId: string;
    takenAt: string;
    note: string;
    xMm: number | null;
    yMm: number | null;
  }[];
  /** Version of each fact by id. */
  versions: ReadonlyMap<string, number>;
}

/** Everything measured and seen in a room, oldest first. Logger samples are one line a file: their samples are in the job file. */
export function evidenceOf({
  damp,
  results,
  sound,
  works = [],
  edgeWalks = [],
  scans = [],
  photos,
  versions,
}: EvidenceFacts): EvidenceLine[] {
  const line = (
    part: Partial<EvidenceLine> & Pick<EvidenceLine, 'kind' | 'id' | 'at' | 'what' | 'value'>,
  ): EvidenceLine => ({
    version: versions.get(part.id) ?? 1,
    xMm: null,
    yMm: null,
    conditions: '',
    instrument: '',
    who: '',
    standing: '',
    photographs: 0,
    note: '',
    ...part,
  });
  const pictures = (id: string) => photos.filter((p) => p.aboutId === id).length;
  const { airReadings, airLogs, dampTests } = damp.facts;
  const lines: EvidenceLine[] = [
    ...airReadings.map((a) =>
      line({
        kind: 'air',
        id: a.id,
        at: a.takenAt,
        what: 'Air',
        value: `${a.tempC.toFixed(1)} °C, ${a.rhPercent.toFixed(1)} %RH`,
        conditions: a.surfaceC === null ? '' : `surface ${a.surfaceC.toFixed(1)} °C`,
        instrument: a.instrument,
        who: a.who,
        note: a.note,
        photographs: pictures(a.id),
      }),
    ),
    ...airLogs.map((l) =>
      line({
        kind: 'logger',
        id: l.id,
        at: l.samples[0]!.at,
        what: `Logger file ${l.name}`,
        value: `${l.samples.length} samples to ${l.samples[l.samples.length - 1]!.at}`,
        instrument: l.instrument,
        note: l.note,
      }),
    ),
    ...dampTests
      .filter((t) => t.startedAt !== null)
      .map((t) =>
        line({
          kind: 'test',
          id: t.id,
          at: t.startedAt!,
          what: `${METHOD_SPECS[t.method].words} ${t.name} set`,
          value: t.depthMm === null ? '' : `${formatReach(t.depthMm, damp.room.units)} deep`,
          xMm: t.xMm,
          yMm: t.yMm,
          instrument: instrumentOf(t),
          photographs: pictures(t.id),
          note: t.note,
        }),
      ),
    ...results.map((r) =>
      line({
        kind: 'damp',
        id: r.reading.id,
        at: r.reading.takenAt,
        what: `${METHOD_SPECS[r.test.method].words} ${r.test.name}`,
        value: r.valueText,
        xMm: r.test.xMm,
        yMm: r.test.yMm,
        conditions: r.reading.tempC === null ? '' : `${r.reading.tempC.toFixed(1)} °C`,
        instrument: instrumentOf(r.test),
        who: r.reading.who,
        standing: r.valid ? 'counts' : `does not count: ${r.faults.join('; ')}`,
        photographs: pictures(r.test.id),
        note: r.reading.note,
      }),
    ),
    ...sound.checks.map((c) =>
      line({
        kind: 'walk',
        id: c.id,
        at: c.takenAt,
        what: `Gone over: ${c.key}`,
        value: c.found ? 'something found' : 'nothing found',
        note: c.note,
      }),
    ),
    ...edgeWalks.map((walk) => {
      const worst = worstUnder(walk);
      return line({
        kind: 'edge',
        id: walk.id,
        at: walk.takenAt,
        what: `${walk.tool === 'plank' ? 'Spare plank' : 'Straightedge'} of ${formatReach(edgeLengthMm(walk), damp.room.units)} laid`,
        value: `${worst.rocks ? 'rocks by' : 'largest gap'} ${formatReach(worst.gapMm, damp.room.units)}`,
        xMm: walk.fromXMm,
        yMm: walk.fromYMm,
        note: walk.note,
      });
    }),
    ...scans.map((scan) =>
      line({
        kind: 'scan',
        id: scan.id,
        at: scan.takenAt,
        what: `Scan laid on the room: ${scan.fileName}`,
        value: `${scan.points} points on the floor`,
        xMm: scan.xMm,
        yMm: scan.yMm,
        conditions: `noise of a cell ${scan.noiseMm.toFixed(2)} mm`,
        note: scan.note,
      }),
    ),
    ...works.map((w) =>
      line({
        kind: 'levelling',
        id: w.id,
        at: w.doneAt,
        what: `Levelled: ${[w.product, w.batch && `batch ${w.batch}`].filter(Boolean).join(', ') || w.way}`,
        value: w.bagsUsed === null ? '' : `${w.bagsUsed} bags used, ${w.bagsPlanned} planned`,
        conditions: [
          w.tempC === null ? '' : `${w.tempC.toFixed(1)} °C`,
          w.rhPercent === null ? '' : `${w.rhPercent} %RH`,
        ]
          .filter(Boolean)
          .join(', '),
        note: w.note,
      }),
    ),
    ...photos.map((p) =>
      line({
        kind: 'photo',
        id: p.id,
        at: p.takenAt,
        what: `Photograph of ${p.about}${markOf(sound, p.aboutId)}`,
        value: '',
        xMm: p.xMm,
        yMm: p.yMm,
        note: p.note,
        photographs: 1,
      }),
    ),
  ];
  return lines.sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1));
}

const instrumentOf = (t: { instrument: string; checkedOn: string }) =>
  [t.instrument, t.checkedOn && `checked ${t.checkedOn}`].filter(Boolean).join(', ');

function markOf(sound: SoundFacts, id: string): string {
  const mark = sound.marks.find((m) => m.id === id);
  return mark ? `: ${MARK_WORDS[mark.kind].toLowerCase()}` : '';
}

const COLUMNS = [
  'at_utc',
  'kind',
  'what',
  'value',
  'standing',
  'x_mm',
  'y_mm',
  'conditions',
  'instrument',
  'who',
  'photographs',
  'version',
  'note',
  'id',
] as const;

/** The evidence as CSV: comma, decimal point, UTF-8. */
export function evidenceCsv(lines: readonly EvidenceLine[]): string {
  const rows = lines.map((l) => [
    l.at,
    l.kind,
    safeText(l.what),
    safeText(l.value),
    safeText(l.standing),
    l.xMm ?? '',
    l.yMm ?? '',
    safeText(l.conditions),
    safeText(l.instrument),
    safeText(l.who),
    l.photographs,
    l.version,
    safeText(l.note),
    l.id,
  ]);
  return `${Papa.unparse([[...COLUMNS], ...rows], { newline: '\r\n' })}\r\n`;
}
