import type { RoomSet } from '../assess/room-set.ts';
import { testName } from '../damp/index.ts';
import { heightsOf } from '../flat/index.ts';
import { evidenceOf } from '../formats/evidence.ts';
import { layerName } from '../layers/index.ts';
import type { Block, PaperColumn, PaperPage } from '../paper/index.ts';
import { dayNumber, type Photograph } from '../record/index.ts';
import { MARK_WORDS } from '../soundness/index.ts';
import { gap, moment, say, type Sayable } from '../said/index.ts';
import { instrumentWords } from './page-damp.ts';
import { ownFigures } from './own-figures.ts';
import type { ReportJob, ReportRoom } from './report-job.ts';

const at = (utc: string): Sayable => say('said.asItIs', { what: moment(utc) });

/** Every staff reading of a room with the height it gives; those that count no more have none. */
function readingsTable({ set }: ReportRoom): Block[] {
  if (set.readings.length === 0) return [];
  const heights = new Map(heightsOf(set).heights.map((one) => [one.readingId, one.heightMm]));
  const setup = (id: string) => set.setups.find((one) => one.id === id)?.name ?? '';
  return [
    {
      is: 'table',
      columns: [
        { title: say('report.when'), share: 4 },
        { title: say('report.setUp'), share: 2 },
        { title: say('report.station'), share: 3 },
        { title: say('report.staff'), share: 2, isFigure: true },
        { title: say('report.height'), share: 2, isFigure: true },
        { title: say('report.counts'), share: 3 },
      ],
      rows: set.readings.map(({ id, takenAt, setupId, stationKey, rodMm }): Sayable[] => {
        const height = heights.get(id);
        return [
          at(takenAt),
          setup(setupId),
          stationKey,
          say('said.asItIs', { what: gap(rodMm) }),
          height === undefined ? '' : say('said.asItIs', { what: gap(height) }),
          height === undefined ? say('report.readAgainSince') : say('formats.counts'),
        ];
      }),
    },
  ];
}

const EVIDENCE: readonly PaperColumn[] = [
  { title: say('report.when'), share: 4 },
  { title: say('report.what'), share: 5 },
  { title: say('report.value'), share: 4 },
  { title: say('report.conditions'), share: 3 },
  { title: say('report.counts'), share: 4 },
  { title: say('report.photographs'), share: 2, isFigure: true },
];

/** A: every reading, those too that do not count, and why. */
const readings = ({ rooms, versions }: ReportJob): PaperPage => ({
  id: 'annex-a',
  title: say('report.annexA'),
  under: '',
  blocks: rooms.flatMap((room): Block[] => [
    { is: 'heading', text: room.set.room.name },
    ...readingsTable(room),
    {
      is: 'table',
      columns: EVIDENCE,
      rows: evidenceOf({ facts: room.set, results: room.assessment.damp?.results ?? [], versions }).map(
        (line): Sayable[] => [
          at(line.at),
          line.what,
          line.value,
          line.conditions,
          line.standing,
          String(line.photographs),
        ],
      ),
    },
  ]),
});

/** How long before the report an instrument was checked; of a check that is still to come nothing is known. */
function checkAge(on: string, atUtc: string): Sayable {
  const days = dayNumber(atUtc.slice(0, on.length)) - dayNumber(on);
  // East of Greenwich the day on site may have begun when by UTC it is still the day before.
  return days >= -1 ? say('report.daysAgo', { count: Math.max(0, days) }) : say('report.notKnown');
}

/** B: instruments, their last checks, and clocks that were off. */
function instruments({ rooms, skewed, atUtc }: ReportJob): PaperPage {
  const used = rooms.flatMap(({ set }) => [
    ...set.dampTests,
    ...[...set.airReadings, ...set.airLogs].flatMap(({ instrument }) =>
      instrument === '' ? [] : [{ instrument, checkedOn: '' }],
    ),
  ]);
  const named = [...new Map(used.map((one) => [`${one.instrument} ${one.checkedOn}`, one])).values()];
  const setups = rooms.flatMap(({ set, picture }) =>
    picture.setups.map((one): Sayable[] => [
      set.room.name,
      one.setup.name,
      one.closingMm === null ? say('report.notClosed') : say('said.asItIs', { what: gap(one.closingMm) }),
      one.closingMm === null ? say('report.notKnown') : one.suspect ? say('report.doesNotClose') : say('report.holds'),
    ]),
  );
  return {
    id: 'annex-b',
    title: say('report.annexB'),
    under: '',
    flows: true,
    blocks: [
      {
        is: 'table',
        columns: [
          { title: say('report.instrument'), share: 6 },
          { title: say('report.checkAge'), share: 4 },
        ],
        rows: named.map((one): Sayable[] => [instrumentWords(one), checkAge(one.checkedOn, atUtc)]),
      },
      {
        is: 'table',
        columns: [
          { title: say('report.room'), share: 3 },
          { title: say('report.setUp'), share: 3 },
          { title: say('report.closing'), share: 3, isFigure: true },
          { title: say('report.standing'), share: 4 },
        ],
        rows: setups,
      },
      ...skewed.map(({ device, skewMs, writes }): Block => ({
        is: 'text',
        text: say('report.clockOff', { device, minutes: Math.round(skewMs / 60_000), count: writes }),
      })),
    ],
  };
}

/** C: every rule that was asked, its margin and what comes of it, as it was judged. */
const rules = ({ rooms, figures, edition }: ReportJob): PaperPage => ({
  id: 'annex-c',
  title: say('report.annexC'),
  under: '',
  blocks: [
    ...rooms.flatMap(({ set, assessment }): Block[] => [
      { is: 'heading', text: set.room.name },
      {
        is: 'table',
        columns: [
          { title: say('report.judged'), share: 3 },
          { title: say('report.margin'), share: 7 },
          { title: say('report.next'), share: 6 },
        ],
        rows: assessment.criteria.map(({ title, margin, next }): Sayable[] => [title, margin, next]),
      },
    ]),
    ...ownFigures(figures),
    { is: 'text', text: say('report.edition', { edition }) },
  ],
});

/** What a photograph is of: its test, layer or mark by name, what was covered, the bag whose batch counts. */
function subjectOf({ about, aboutId }: Photograph, { dampTests, layers, marks }: RoomSet): Sayable {
  switch (about) {
    case 'damp': {
      const test = dampTests.find(({ id }) => id === aboutId);
      return test ? testName(test) : about;
    }
    case 'layer': {
      const layer = layers.find(({ id }) => id === aboutId);
      return layer ? layerName(layer) : about;
    }
    case 'mark': {
      const mark = marks.find(({ id }) => id === aboutId);
      return mark ? MARK_WORDS[mark.kind] : about;
    }
    case 'edge':
      return say('report.photoEdge');
    case 'work':
      return say('report.photoWork');
    case 'cover':
      return say('report.photoCover');
    default:
      return about;
  }
}

/** D: photographs, each with what it is of, and those that have not arrived. */
function photographs({ rooms, photographs: held }: ReportJob): PaperPage {
  const digest = new Map(held.map(({ id, sha256 }) => [id, sha256]));
  const all = rooms.flatMap(({ set }) =>
    set.photos.map((photo) => ({ photo, room: set.room.name, about: subjectOf(photo, set) })),
  );
  const shown = all.flatMap(({ photo, room, about }) => {
    const sha256 = digest.get(photo.id);
    return sha256 ? [{ sha256, words: say('report.photoOf', { room, about, at: moment(photo.takenAt) }) }] : [];
  });
  return {
    id: 'annex-d',
    title: say('report.annexD'),
    under: '',
    flows: true,
    blocks: [
      { is: 'text', text: say('report.photosHeld', { count: shown.length, away: all.length - shown.length }) },
      { is: 'photographs', photographs: shown },
      ...(all.length > 0
        ? [
            {
              is: 'table' as const,
              columns: [
                { title: say('report.when'), share: 3 },
                { title: say('report.what'), share: 4 },
                { title: say('report.original'), share: 9 },
              ],
              rows: all.map(({ photo, room, about }): Sayable[] => [
                at(photo.takenAt),
                say('report.photoIn', { room, about }),
                photo.originalSha256 || say('report.notKnown'),
              ]),
            },
          ]
        : []),
    ],
  };
}

/** E: facts that were corrected or removed: what stood, what stands, when and by whom. */
const corrections = ({ corrected }: ReportJob): PaperPage => ({
  id: 'annex-e',
  title: say('report.annexE'),
  under: '',
  flows: true,
  blocks:
    corrected.length === 0
      ? [{ is: 'text', text: say('report.nothingCorrected') }]
      : [
          {
            is: 'table',
            columns: [
              { title: say('report.fact'), share: 4 },
              { title: say('report.was'), share: 4 },
              { title: say('report.is'), share: 4 },
              { title: say('report.byAndWhen'), share: 4 },
            ],
            rows: corrected.flatMap(({ kind, id, fields, isRemoved, at: when, by }): Sayable[][] => {
              const who = say('report.byAt', { by: by || say('report.notNamed'), at: moment(when) });
              return isRemoved
                ? [[`${kind} ${id}`, '', say('report.removed'), who]]
                : fields.map(({ field, was, is }) => [`${kind} ${id}: ${field}`, was, is, who]);
            }),
          },
        ],
});

/** Annexes A to E. */
export const annexes = (job: ReportJob): PaperPage[] => [
  readings(job),
  instruments(job),
  rules(job),
  photographs(job),
  corrections(job),
];
