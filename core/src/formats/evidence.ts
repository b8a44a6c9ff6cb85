import { listed, lower, reach, say, type Sayable } from '../said/index.ts';
import { together, type Kind, type LoggedLine } from '../fields/index.ts';
import { testName, type DampResult } from '../damp/index.ts';
import { worstUnder } from '../flat/index.ts';
import { STATED, type RoomFactLists } from '../kinds/index.ts';
import { MARK_WORDS } from '../soundness/index.ts';

/** One line of a room's evidence: what was measured or seen, when, where and how it stands. */
export interface EvidenceLine {
  /** The kind of fact, by the name it is stated under, and by the word that stands in the log. */
  fact: keyof RoomFactLists;
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

type Facts = Partial<RoomFactLists>;
type AnyFact = {
  id: string;
  note?: string;
  who?: string;
  instrument?: string;
  xMm?: number | null;
  yMm?: number | null;
};

interface EvidenceFacts {
  facts: Facts;
  /** What the judge of damp made of the readings. */
  results: readonly DampResult[];
  /** Version of each fact by id. */
  versions: ReadonlyMap<string, number>;
}

/** Kinds that are evidence, with how each is logged. */
const LOGGED = Object.entries(STATED as Record<string, unknown>).flatMap(([fact, stated]) => {
  const { logged } = stated as Partial<Kind>;
  return logged ? [{ fact: fact as keyof RoomFactLists, logged }] : [];
});

/** Everything measured and seen in a room, oldest first: what each kind states of itself, with what was worked out from it. */
export function evidenceOf({ facts, results, versions }: EvidenceFacts): EvidenceLine[] {
  const pictures = new Map<string, number>();
  for (const { aboutId } of facts.photos ?? []) pictures.set(aboutId, (pictures.get(aboutId) ?? 0) + 1);
  const more = workedOut(facts, results, pictures);
  const lines = LOGGED.flatMap(({ fact, logged }) =>
    ((facts[fact] ?? []) as AnyFact[]).flatMap((one): EvidenceLine[] => {
      const line: LoggedLine | null = logged.line(one as never);
      if (!line) return [];
      const { id, note = '', who = '', instrument = '', xMm = null, yMm = null } = one;
      const own = { fact, kind: logged.as, id, version: versions.get(id) ?? 1, note, who, instrument, xMm, yMm };
      const photographs = pictures.get(id) ?? 0;
      return [{ value: '', conditions: '', standing: '', photographs, ...own, ...line, ...more.get(id) }];
    }),
  );
  return lines.sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1));
}

/** What a line says that its fact alone does not: it was judged, or stands for another. By the fact's id. */
function workedOut(
  { dampTests = [], edgeWalks = [], photos = [], marks = [] }: Facts,
  results: readonly DampResult[],
  pictures: ReadonlyMap<string, number>,
): Map<string, Partial<EvidenceLine>> {
  const more = new Map<string, Partial<EvidenceLine>>();
  for (const test of dampTests) more.set(test.id, { what: say('formats.set', { test: testName(test) }) });
  for (const { test, reading, valueText, valid, faults } of results)
    more.set(reading.id, {
      what: testName(test),
      value: valueText,
      xMm: test.xMm,
      yMm: test.yMm,
      instrument: together([test.instrument, test.checkedOn && say('formats.checked', { checkedOn: test.checkedOn })]),
      standing: valid ? say('formats.counts') : say('formats.doesNotCount', { faults: listed(faults, '; ') }),
      photographs: pictures.get(test.id) ?? 0,
    });
  for (const walk of edgeWalks) {
    const { rocks, gapMm } = worstUnder(walk);
    more.set(walk.id, { value: say(rocks ? 'formats.rocksBy' : 'formats.largestGap', { gapMm: reach(gapMm) }) });
  }
  for (const { id, about, aboutId } of photos) {
    const mark = marks.find((m) => m.id === aboutId);
    more.set(id, {
      photographs: 1,
      ...(mark ? { what: say('formats.photographOfMark', { about, mark: lower(MARK_WORDS[mark.kind]) }) } : {}),
    });
  }
  return more;
}
