import { allOf, decimals, gap, listed, lower, reach, say, type Said, type Sayable } from '../said/index.ts';
import { testName, type DampContext, type DampResult } from '../damp/index.ts';
import type { Scan } from '../scan/index.ts';
import { edgeLengthMm, worstUnder, type EdgeWalk, type LevellingWork } from '../flat/index.ts';
import { MARK_WORDS, type SoundFacts } from '../soundness/index.ts';

/** One line of a room's evidence: what was measured or seen, when, where and how it stands. */
export interface EvidenceLine {
  kind: string;
  /** Id of the fact, and its version: over 1 means it was corrected, and what it replaced is kept. */
  id: string;
  version: number;
  at: string;
  what: Sayable;
  value: Sayable;
  xMm: number | null;
  yMm: number | null;
  /** Conditions and instrument, as recorded. */
  conditions: Sayable;
  instrument: Sayable;
  who: string;
  /** Whether it counts, and if not why. */
  standing: Sayable;
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
        what: say('formats.air'),
        value: say('formats.cRh', { tempC: decimals(a.tempC, 1), rhPercent: decimals(a.rhPercent, 1) }),
        conditions: a.surfaceC === null ? '' : say('formats.surfaceC', { surfaceC: decimals(a.surfaceC, 1) }),
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
        what: say('formats.loggerFile', { name: l.name }),
        value: say('formats.samplesTo', { samplesCount: l.samples.length, at: l.samples[l.samples.length - 1]!.at }),
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
          what: say('formats.set', { test: testName(t) }),
          value: t.depthMm === null ? '' : say('formats.deep', { depthMm: reach(t.depthMm) }),
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
        what: testName(r.test),
        value: r.valueText,
        xMm: r.test.xMm,
        yMm: r.test.yMm,
        conditions: r.reading.tempC === null ? '' : say('formats.c', { tempC: decimals(r.reading.tempC, 1) }),
        instrument: instrumentOf(r.test),
        who: r.reading.who,
        standing: r.valid ? say('formats.counts') : say('formats.doesNotCount', { faults: listed(r.faults, '; ') }),
        photographs: pictures(r.test.id),
        note: r.reading.note,
      }),
    ),
    ...sound.checks.map((c) =>
      line({
        kind: 'walk',
        id: c.id,
        at: c.takenAt,
        what: say('formats.goneOver', { key: c.key }),
        value: c.found ? say('formats.somethingFound') : say('formats.nothingFound'),
        note: c.note,
      }),
    ),
    ...edgeWalks.map((walk) => {
      const worst = worstUnder(walk);
      return line({
        kind: 'edge',
        id: walk.id,
        at: walk.takenAt,
        what: say('formats.ofLaid', {
          edge: walk.tool === 'plank' ? say('formats.sparePlank') : say('formats.straightedge'),
          edgeLengthMm: reach(edgeLengthMm(walk)),
        }),
        value: say(worst.rocks ? 'formats.rocksBy' : 'formats.largestGap', { gapMm: reach(worst.gapMm) }),
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
        what: say('formats.scanLaidOnTheRoom', { fileName: scan.fileName }),
        value: say('formats.pointsOnTheFloor', { points: scan.points }),
        xMm: scan.xMm,
        yMm: scan.yMm,
        conditions: say('formats.noiseOfACell', { noiseMm: gap(scan.noiseMm) }),
        note: scan.note,
      }),
    ),
    ...works.map((w) =>
      line({
        kind: 'levelling',
        id: w.id,
        at: w.doneAt,
        what: say('formats.levelled', {
          what: together([w.product, w.batch && say('formats.batch', { batch: w.batch })]) || w.way,
        }),
        value:
          w.bagsUsed === null
            ? ''
            : say('formats.bagsUsedPlanned', { bagsUsed: w.bagsUsed, bagsPlanned: w.bagsPlanned }),
        conditions: together([
          w.tempC !== null && say('formats.c', { tempC: decimals(w.tempC, 1) }),
          w.rhPercent !== null && say('formats.rh', { rhPercent: w.rhPercent }),
        ]),
        note: w.note,
      }),
    ),
    ...photos.map((p) =>
      line({
        kind: 'photo',
        id: p.id,
        at: p.takenAt,
        what: photographOf(p, sound),
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
  together([t.instrument, t.checkedOn && say('formats.checked', { checkedOn: t.checkedOn })]);

/** What there is of some parts, or nothing. */
function together(parts: readonly (Sayable | false)[]): Sayable {
  const there = parts.filter((part) => part !== false && part !== '') as Sayable[];
  return there.length > 0 ? allOf(there) : '';
}

function photographOf({ about, aboutId }: { about: string; aboutId: string }, { marks }: SoundFacts): Said {
  const mark = marks.find((m) => m.id === aboutId);
  return mark
    ? say('formats.photographOfMark', { about, mark: lower(MARK_WORDS[mark.kind]) })
    : say('formats.photographOf', { about });
}
