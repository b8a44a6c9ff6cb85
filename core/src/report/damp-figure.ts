import type { DampResult } from '../damp/index.ts';
import { pathOf, type PaperFigure, type PathMark, type TextMark } from '../paper/index.ts';
import { distanceMm, type Plan, type RoomFacts } from '../room/index.ts';
import { say, type Sayable } from '../said/index.ts';
import { planSheet } from './drawn-plan.ts';

/** Where damp was tested, each test by its name; those that do not count are left open. */
export function dampFigure(title: Sayable, room: RoomFacts, plan: Plan, results: readonly DampResult[]): PaperFigure {
  const sheet = planSheet(plan, room);
  const newest = [...new Map(results.map((one) => [one.test.id, one])).values()];
  const ring = sheet.letter * 0.45;
  const marks = newest.flatMap(({ test, valid }, k): (PathMark | TextMark)[] => {
    // Beside another one its name stands on the other side.
    const isBeside = newest.slice(0, k).some((other) => distanceMm(other.test, test) < sheet.letter * 3);
    const [x, y] = sheet.place(test.xMm, test.yMm);
    const round = Array.from({ length: 16 }, (_, k) => {
      const angle = (k * Math.PI) / 8;
      return [x + ring * Math.cos(angle), y + ring * Math.sin(angle)] as const;
    });
    return [
      { path: pathOf(round, true), stroke: 'low', fill: valid ? 'low' : 'none', width: sheet.letter / 8 },
      {
        text: test.name,
        x: x + ring * (isBeside ? -1.6 : 1.6),
        y: y + sheet.letter / 3,
        size: sheet.letter,
        ink: 'ink',
        anchor: isBeside ? 'end' : 'start',
      },
    ];
  });
  return {
    title,
    drawing: sheet.drawing([...sheet.walls, ...marks]),
    alt: say('report.dampAlt', { room: room.name, count: newest.length }),
  };
}

const [WIDTH, HEIGHT, LEFT, BOTTOM] = [200, 90, 14, 12];
const DAY_MS = 86_400_000;

interface SeriesFacts {
  values: readonly { at: string; rhPercent: number }[];
  limitPercent: number;
  /** When it is dry in one of ten, half and nine of ten draws; null where it is not. */
  band: { earlyUtc: string | null; middleUtc: string | null; lateUtc: string | null } | null;
}

/** Readings of a probe over the days, its limit, and the days between which it will most likely be dry. */
export function seriesFigure(title: Sayable, { values, limitPercent, band }: SeriesFacts): PaperFigure {
  const first = Date.parse(values[0]!.at);
  const dayOf = (utc: string) => (Date.parse(utc) - first) / DAY_MS;
  const last = Math.max(dayOf(values.at(-1)!.at), band?.lateUtc ? dayOf(band.lateUtc) : 0, 7);
  const top = Math.ceil(Math.max(limitPercent, ...values.map(({ rhPercent }) => rhPercent)) / 5 + 0.5) * 5;
  const low = Math.floor(Math.min(limitPercent, ...values.map(({ rhPercent }) => rhPercent)) / 5 - 0.5) * 5;
  const x = (day: number) => LEFT + (day / last) * (WIDTH - LEFT - 4);
  const y = (percent: number) => 4 + ((top - percent) / (top - low)) * (HEIGHT - 4 - BOTTOM);
  const label = (text: string, at: readonly [number, number], anchor: TextMark['anchor']): TextMark => ({
    text,
    x: at[0],
    y: at[1],
    size: 6,
    ink: 'quiet',
    anchor,
  });
  const marks: (PathMark | TextMark)[] = [
    {
      path: pathOf([
        [LEFT, 4],
        [LEFT, HEIGHT - BOTTOM],
        [WIDTH - 4, HEIGHT - BOTTOM],
      ]),
      stroke: 'rule',
      width: 0.6,
    },
    {
      path: pathOf([
        [LEFT, y(limitPercent)],
        [WIDTH - 4, y(limitPercent)],
      ]),
      stroke: 'high',
      width: 0.8,
      dash: [4, 2],
    },
    {
      path: pathOf(values.map(({ at, rhPercent }) => [x(dayOf(at)), y(rhPercent)] as const)),
      stroke: 'low',
      width: 1.2,
    },
    label(String(top), [LEFT - 2, 8], 'end'),
    label(String(limitPercent), [LEFT - 2, y(limitPercent) + 2], 'end'),
    label(String(low), [LEFT - 2, HEIGHT - BOTTOM], 'end'),
    label('0', [LEFT, HEIGHT - 4], 'start'),
    label(String(Math.round(last)), [WIDTH - 4, HEIGHT - 4], 'end'),
  ];
  if (band?.earlyUtc && band.lateUtc)
    marks.push({
      path: pathOf([
        [x(dayOf(band.earlyUtc)), y(limitPercent)],
        [x(dayOf(band.lateUtc)), y(limitPercent)],
      ]),
      stroke: 'low',
      width: 4,
    });
  return {
    title,
    drawing: { width: WIDTH, height: HEIGHT, marks },
    alt: say('report.seriesAlt', {
      count: values.length,
      from: values[0]!.rhPercent,
      to: values.at(-1)!.rhPercent,
      limit: limitPercent,
    }),
  };
}
