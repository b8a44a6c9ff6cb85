import { dampContext } from '../assess/damp-context.ts';
import { forecastProbe, METHOD_SPECS, probeSeries, testName, usualPlan, waitRefused } from '../damp/index.ts';
import type { Block, PaperPage } from '../paper/index.ts';
import { celsius, decimals, listed, moment, say, sentence, type Sayable } from '../said/index.ts';
import { dampFigure, seriesFigure } from './damp-figure.ts';
import type { ReportRoom } from './report-job.ts';

function testsTable({ assessment, set }: ReportRoom): Block {
  const photos = (testId: string) => set.photos.filter(({ aboutId }) => aboutId === testId).length;
  return {
    is: 'table',
    columns: [
      { title: say('report.test'), share: 3 },
      { title: say('report.read'), share: 3 },
      { title: say('report.value'), share: 2, isFigure: true },
      { title: say('report.instrument'), share: 3 },
      { title: say('report.counts'), share: 4 },
      { title: say('report.photographs'), share: 2, isFigure: true },
    ],
    rows: (assessment.damp?.results ?? []).map(({ test, reading, valueText, valid, faults }) => [
      testName(test),
      say('said.asItIs', { what: moment(reading.takenAt) }),
      valueText,
      instrumentWords(test),
      valid ? say('formats.counts') : say('formats.doesNotCount', { faults: listed(faults, '; ') }),
      String(photos(test.id)),
    ]),
  };
}

export const instrumentWords = ({ instrument, checkedOn }: { instrument: string; checkedOn: string }): Sayable =>
  instrument === ''
    ? say('report.notNamed')
    : checkedOn === ''
      ? say('report.instrumentUnchecked', { instrument })
      : say('report.instrumentChecked', { instrument, on: checkedOn });

function limitsOf({ assessment }: ReportRoom): Block[] {
  return (assessment.damp?.methods ?? [])
    .filter(({ limit, governing }) => limit !== null && governing !== null)
    .map(({ method, limit, governing, passes }) => ({
      is: 'text',
      text: say(passes ? 'report.dampKept' : 'report.dampOver', {
        method: METHOD_SPECS[method].words,
        value: governing!.valueText,
        limit: decimals(limit!.value, 1),
        source: limit!.source,
      }),
    }));
}

/** The series of the wettest probe with the days on which it will most likely be dry, where that can be told. */
function seriesOf({ set, assessment }: ReportRoom, atUtc: string): Block[] {
  const limit = assessment.damp?.methods.find(({ method }) => method === 'probe')?.limit?.value;
  if (!assessment.damp || limit === undefined) return [];
  const ctx = dampContext(set, atUtc);
  const probe = probeSeries(ctx, assessment.damp.results)[0];
  if (!probe) return [];
  const over = assessment.damp.over?.method === 'probe' && !waitRefused(ctx);
  const band = over ? forecastProbe(probe, limit, usualPlan(ctx, probe)) : null;
  return [
    {
      is: 'figures',
      figures: [
        seriesFigure(say('report.seriesTitle', { name: probe.name }), {
          values: probe.values,
          limitPercent: limit,
          band,
        }),
      ],
    },
    ...(band?.earlyUtc && band.lateUtc
      ? [
          {
            is: 'text' as const,
            text: say('report.dryBetween', { from: moment(band.earlyUtc), to: moment(band.lateUtc) }),
          },
        ]
      : []),
  ];
}

function airOf({ set }: ReportRoom): Block[] {
  const { airReadings, card } = set;
  const band = sentence(
    say('report.airAsked', {
      minC: celsius(card.airMinC, 0),
      maxC: celsius(card.airMaxC, 0),
      minRh: card.airMinRh,
      maxRh: card.airMaxRh,
    }),
  );
  if (airReadings.length === 0) return [{ is: 'text', text: band }];
  const temps = airReadings.map(({ tempC }) => tempC);
  const humid = airReadings.map(({ rhPercent }) => rhPercent);
  return [
    { is: 'text', text: band },
    {
      is: 'text',
      text: say('report.airFound', {
        count: airReadings.length,
        lowC: celsius(Math.min(...temps)),
        highC: celsius(Math.max(...temps)),
        lowRh: decimals(Math.min(...humid), 0),
        highRh: decimals(Math.max(...humid), 0),
      }),
    },
  ];
}

function roomBlocks(room: ReportRoom, atUtc: string): Block[] {
  const results = room.assessment.damp?.results ?? [];
  return [
    { is: 'heading', text: room.set.room.name, id: `damp/${room.set.room.id}` },
    ...(results.length === 0
      ? [{ is: 'text' as const, text: say('report.dampNotTested') }]
      : [
          {
            is: 'figures' as const,
            figures: [dampFigure(say('report.testsOnPlan'), room.set.room, room.assessment.plan, results)],
          },
          ...limitsOf(room),
          testsTable(room),
          ...seriesOf(room, atUtc),
        ]),
    ...airOf(room),
  ];
}

/** Tests on the plan, every reading and whether it counts, the series with its band, and the air. */
export const dampPage = (rooms: readonly ReportRoom[], atUtc: string): PaperPage => ({
  id: 'damp',
  title: say('report.damp'),
  under: '',
  blocks: rooms.flatMap((room) => roomBlocks(room, atUtc)),
});
