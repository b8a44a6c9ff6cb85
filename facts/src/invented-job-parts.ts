/** What the makers of parts of an invented job have to make them with: chance, and the list that they are put in. */
interface Tools {
  often: (share: number) => boolean;
  between: (low: number, high: number) => number;
  put: (kind: string, body: Record<string, unknown>) => string;
  /** A moment so many hours after the job began. */
  at: (hours: number) => string;
}

/** Questions as version 3 asked them, by topic, with what may have been answered. */
export const oldAnswers = (seed: number, at: Tools['at']): [topic: string, values: readonly string[]][] => [
  ['site/mould', ['seen', 'none']],
  ['site/tension', ['none', 'unknown', 'post-tensioned']],
  ['site/heating-located', ['yes', 'no']],
  ['trim/year', ['1970', '2015']],
  ['trim/W1-a', ['discard', 'refit']],
  ['school/tile', ['cover', 'lift']],
  ['school/vinyl', ['skim', 'remove']],
  ['school/staples', ['pull', 'sink']],
  ['school/skirting', ['off', 'bead']],
  ['damp/source', ['no', 'suspected', 'leak', 'efflorescence']],
  ['damp/membrane', ['unknown', 'recorded', 'none', 'bridged']],
  ['damp/wait', ['24', '72']],
  ['damp/faces', ['1', '2']],
  ['damp/surface', ['open', 'dense']],
  ['damp/outer-walls', ['', '0', '0,1']],
  ['damp/weathertight', ['2026-03-01']],
  ['damp/changed', ['2026-04-20']],
  ['damp/method', ['probe', 'hood', 'carbide']],
  ['damp/way-out', ['wait', 'membrane']],
  ['lay/date', ['2026-06-20', '2026-09-01']],
  ['acclimatise/from', [at(2)]],
  ['levelling/way', ['mixed', 'fill']],
  ['levelling/plane', ['1']],
  [`levelling/rise/door-${seed}`, ['6', '3.5', '']],
];

/** The air of a room: readings by hand, and at times a logger's file. */
export function putAir({ often, between, put, at }: Tools): void {
  if (!often(0.5)) return;
  for (let n = 0; n < 12; n++)
    put('airReadings', {
      takenAt: at(-12 * n),
      tempC: between(12, 26),
      rhPercent: between(35, 80),
      surfaceC: often(0.3) ? between(10, 24) : null,
      instrument: 'meter',
      who: '',
      note: '',
    });
  if (often(0.4))
    put('airLogs', {
      name: 'Logger',
      instrument: '',
      samples: Array.from({ length: 60 }, (_, n) => ({
        at: at(-60 + n),
        tempC: between(17, 22),
        rhPercent: between(45, 62),
      })),
      note: '',
    });
}
