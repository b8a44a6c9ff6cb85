import { useCallback, useMemo, useRef, useState } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import Svg, { Defs, G, Line, Path, Pattern, Rect, Text as SvgText } from 'react-native-svg';
import type { ShownDays, ShownTask } from '@maquette/core/planning';
import { nowUtc } from '../../data/ids.ts';
import { FACE, SPACE, usePalette, WIDE_PX } from '../../theme/theme.tsx';
import { Tabs, tabParts } from '../../ui/tabs.tsx';
import { Words } from '../../ui/text.tsx';
import { fetched } from '../../ui/fetched.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { shortDay, weekdayOf } from '../day-words.ts';
import { barChart, type Bar, type Zoom } from './bar-places.ts';

/** What hears fingers comes with that of the sheet. */
const PullGestures = fetched(() => import('../../sheet/sheet-gestures.tsx').then((part) => part.PullGestures));

const LANE_PX = 30;
const BAR_PX = 18;
const NAME_PX = 20;
const HEAD_PX = 26;
const LETTER_PX = 6.6;
const SUNDAY = 0;
const MONDAY = 1;

interface Props {
  days: ShownDays;
  chosen: string | null;
  onChoose: (key: string) => void;
  /** A task was pulled along: it is to begin no earlier than here. */
  onHold: (key: string, notBefore: string) => void;
}

const ZOOMS = [
  { tab: 'days', label: 'Days' },
  { tab: 'weeks', label: 'Weeks' },
  { tab: 'all', label: 'All of it' },
] as const;

/** The plan as bars by room: work as boxes, waits dashed, rooms that nobody may enter hatched, and the line of now. */
export function Bars({ days, chosen, onChoose, onHold }: Props) {
  const say = useSay();
  const palette = usePalette();
  const { width } = useWindowDimensions();
  const room = Math.min(width, width >= WIDE_PX ? 940 : width) - 2 * SPACE.edge;
  const isLong = (days.days.length > 40 && days.handOver !== null) || days.days.length > 90;
  const [zoom, setZoom] = useState<Zoom>(isLong ? 'weeks' : 'days');
  const chart = useMemo(
    () => barChart(days, zoom, room, nowUtc(), (task: ShownTask) => say(task.words)),
    [days, zoom, room, say],
  );
  const tops: number[] = [];
  let height = HEAD_PX;
  for (const { lanes } of chart.rows) {
    tops.push(height);
    height += NAME_PX + lanes * LANE_PX;
  }
  const [pulled, setPulled] = useState<{ key: string; byPx: number } | null>(null);
  const drawn = useRef<HTMLDivElement>(null);
  const [hears, setHears] = useState(false);
  const onReady = useCallback(() => setHears(true), []);
  const at = (x: number, y: number): Bar | null => {
    const row = tops.findLastIndex((top) => y >= top);
    const bars = chart.rows[row]?.bars ?? [];
    const lane = Math.floor((y - (tops[row] ?? 0) - NAME_PX) / LANE_PX);
    const away = ({ x: from, width: wide, lane: own }: Bar) =>
      Math.max(0, from - x, x - from - wide) + Math.abs(own - lane) * LANE_PX;
    const near = bars.reduce<Bar | null>((best, bar) => (!best || away(bar) < away(best) ? bar : best), null);
    return near && away(near) <= REACH_PX ? near : null;
  };
  const pull = (x: number, y: number, byX: number, isLast: boolean) => {
    const held = at(x, y);
    const isWork = held?.kind === 'work' && !held.isDone;
    if (!held || !isWork) return setPulled(null);
    if (!isLast) return setPulled({ key: held.key, byPx: byX });
    setPulled(null);
    if (Math.abs(byX) > PULLED_PX) onHold(held.key, chart.momentAt(beginOf(held) + byX));
  };
  const beginOf = ({ key }: Bar) => chart.rows.flatMap(({ bars }) => bars).find((one) => one.key === key)!.x;
  const wide = Math.max(chart.width, room);
  return (
    <View style={[styles.box, { borderColor: palette.ink }]}>
      <Tabs label="How close the days stand" tabs={tabParts(ZOOMS, zoom, setZoom)} />
      <ScrollView
        horizontal
        tabIndex={0}
        accessibilityLabel="Bars of the plan, day by day"
        contentContainerStyle={styles.slide}
      >
        <div
          ref={drawn}
          style={{ width: wide, height, touchAction: 'pan-x pan-y' }}
          data-testid="bars"
          aria-busy={!hears}
        >
          <PullGestures
            of={drawn}
            onTap={(x, y) => {
              const bar = at(x, y);
              if (bar) onChoose(bar.key);
            }}
            onPull={pull}
            onReady={onReady}
          />
          <Svg
            width={wide}
            height={height}
            accessibilityLabel={`Bars of ${chart.rows.length} rows. The same stands below as a table.`}
          >
            <Defs>
              <Pattern id="shut" width={8} height={8} patternUnits="userSpaceOnUse">
                <Path d="M-2 2L2 -2M0 8L8 0M6 10L10 6" stroke={palette.verdict.wait} strokeWidth={1.6} />
              </Pattern>
            </Defs>
            {chart.days.map(({ day, x, width: dayPx, isFree }) => (
              <G key={day}>
                {isFree ? (
                  <Rect x={x} y={HEAD_PX} width={dayPx} height={height - HEAD_PX} fill={palette.plank} opacity={0.5} />
                ) : null}
                {zoom === 'days' || weekdayOf(day) === MONDAY ? (
                  <Line x1={x} x2={x} y1={HEAD_PX - 6} y2={height} stroke={palette.rule} strokeWidth={1} />
                ) : null}
                {zoom === 'days' || (weekdayOf(day) === MONDAY && (zoom === 'weeks' || isMonthly(day, dayPx))) ? (
                  <SvgText
                    x={x + 4}
                    y={16}
                    fontSize={14}
                    fontFamily={FACE.figure}
                    fill={day === days.today ? palette.chalk : palette.quiet}
                  >
                    {zoom === 'days' ? shortDay(day) : `${day.slice(8)}/${day.slice(5, 7)}`}
                  </SvgText>
                ) : null}
              </G>
            ))}
            {chart.rows.map(({ roomId, name, bars }, row) => (
              <G key={roomId ?? 'orders'}>
                <SvgText x={4} y={tops[row]! + 15} fontSize={14} fontFamily={FACE.textBold} fill={palette.ink}>
                  {name}
                </SvgText>
                {bars.map((bar, k) => (
                  <BarShape
                    key={`${bar.key}/${bar.kind}/${k}`}
                    bar={bar}
                    room={roomFor(bar, bars, k)}
                    top={tops[row]! + NAME_PX + bar.lane * LANE_PX}
                    byPx={pulled?.key === bar.key ? pulled.byPx : 0}
                    chosen={bar.key === chosen}
                  />
                ))}
              </G>
            ))}
            {chart.nowX === null ? null : (
              <Line x1={chart.nowX} x2={chart.nowX} y1={4} y2={height} stroke={palette.chalk} strokeWidth={3} />
            )}
          </Svg>
        </div>
      </ScrollView>
      <Words size="small" quiet style={styles.key}>
        Box: work, thick where it decides the date, filled where planks go down. Dashed: waiting. Hatched: nobody in.
        Blue line: now. Tap a bar to see why it lies there; hold and pull it to begin later.
      </Words>
    </View>
  );
}

/** A finger is this wide. */
const REACH_PX = 26;
/** Less than this is no pull. */
const PULLED_PX = 8;
/** Weeks that are written where days stand close. */
const isMonthly = (day: string, dayPx: number) =>
  Number(day.slice(8)) <= 7 * Math.max(1, Math.ceil(40 / (dayPx * 28))) && weekdayOf(day) !== SUNDAY;

/** Room for the words of a bar, up to the next one in its lane. */
function roomFor(bar: Bar, bars: readonly Bar[], k: number): number {
  const next = bars.find((other, i) => i > k && other.lane === bar.lane && other.x > bar.x && other.label !== '');
  return (next ? next.x : Infinity) - bar.x;
}

function BarShape({
  bar,
  room,
  top,
  byPx,
  chosen,
}: {
  bar: Bar;
  room: number;
  top: number;
  byPx: number;
  chosen: boolean;
}) {
  const palette = usePalette();
  const { kind, x, width, label, isDone, decides, isLaying } = bar;
  const letters = Math.floor((room - 4) / LETTER_PX);
  const text = label.length <= letters ? label : letters >= 5 ? `${label.slice(0, letters - 1)}…` : '';
  return (
    <G x={byPx} opacity={isDone ? 0.55 : 1}>
      <Rect
        x={x}
        y={top + 11}
        width={width}
        height={BAR_PX}
        fill={kind === 'shut' ? 'url(#shut)' : kind === 'wait' ? 'none' : isLaying ? palette.ink : palette.plank}
        stroke={chosen ? palette.chalk : kind === 'shut' ? palette.verdict.wait : palette.ink}
        strokeWidth={chosen ? 3.5 : kind === 'work' && decides ? 2.6 : kind === 'work' ? 1.4 : 1}
        strokeDasharray={kind === 'wait' ? '4 3' : undefined}
      />
      {text ? (
        <SvgText x={x + 1} y={top + 9} fontSize={12} fontFamily={FACE.figure} fill={palette.ink}>
          {text}
        </SvgText>
      ) : null}
    </G>
  );
}

const styles = StyleSheet.create({
  box: { borderBottomWidth: 2, paddingBottom: SPACE.gap, gap: SPACE.gap },
  slide: { paddingHorizontal: SPACE.edge },
  key: { paddingHorizontal: SPACE.edge },
});
