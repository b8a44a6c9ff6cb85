import { scaleLinear, scaleUtc } from 'd3-scale';

/** Room around what a chart draws, px: figures stand on the left of it, days below. */
const AROUND = { left: 40, right: 8, top: 10, bottom: 24 } as const;

/** What lies along a chart: moments in UTC, ms, where a clock on site is so far ahead at each, or figures such as lengths. */
export type Along = { kind: 'time'; aheadMs: (at: number) => number } | { kind: 'figure' };

/** Where values stand on a chart. */
export interface ChartScale {
  x: (at: number) => number;
  y: (value: number) => number;
  /** The place along the chart that lies at so many px. */
  at: (px: number) => number;
  /** Round places along the chart and round values, few enough to be told apart. */
  ticks: readonly number[];
  values: readonly number[];
  /** Box that is drawn in, px. */
  box: { left: number; right: number; top: number; floor: number };
}

const TICK_PX = 84;
const VALUE_PX = 30;

/** Lays out a chart so wide and high, from one place to another and from a low to a high value. */
export function chartScale(
  { width, height, named = true }: { width: number; height: number; named?: boolean },
  along: Along,
  [from, to]: readonly [number, number],
  [low, high]: readonly [number, number],
): ChartScale {
  const box = {
    left: AROUND.left,
    right: Math.max(AROUND.left + 1, width - AROUND.right),
    top: AROUND.top,
    floor: height - (named ? AROUND.bottom : AROUND.top),
  };
  const far = to > from ? to : from + 1;
  const across = scaleLinear<number, number>().domain([from, far]).range([box.left, box.right]);
  const up = scaleLinear()
    .domain([low, high > low ? high : low + 1])
    .range([box.floor, box.top]);
  const many = Math.max(2, Math.floor((box.right - box.left) / TICK_PX));
  return {
    x: across,
    y: up,
    at: (px) => across.invert(px),
    ticks: along.kind === 'time' ? ticksByClock(from, far, along.aheadMs, many) : across.ticks(many),
    values: up.ticks(Math.max(2, Math.floor((box.floor - box.top) / VALUE_PX))),
    box,
  };
}

/** Days begin at midnight on site, also after its clock has been changed on the way. */
function ticksByClock(from: number, to: number, aheadMs: (at: number) => number, many: number): number[] {
  const shown = scaleUtc().domain([from + aheadMs(from), to + aheadMs(to)]);
  const moments = shown.ticks(many).map((tick) => {
    const near = Number(tick) - aheadMs(Number(tick));
    return Number(tick) - aheadMs(near);
  });
  // An hour that the clock shows twice is named once.
  return [...new Set(moments)].filter((at) => at >= from && at <= to);
}
