import { useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Circle, Line } from 'react-native-svg';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { Words } from '../ui/text.tsx';
import { AlongAxis, ValueAxis } from './axes.tsx';
import { chartScale, type Along, type ChartScale } from './chart-scale.ts';
import { nearest } from './nearest.ts';
import type { Point } from './marks.tsx';

/** A value that can be read off a chart, with what is said of it. */
export interface Reading extends Point {
  words: string;
}

interface Props {
  /** What the chart shows, and what it comes to: its equivalent for those who do not see it. */
  label: string;
  summary: string;
  height: number;
  along: Along;
  domain: readonly [from: number, to: number];
  values: readonly [low: number, high: number];
  /** Values written on the left in any case. */
  marked?: readonly number[];
  /** What stands under the chart at a place along it; null where another chart under it says so. */
  alongWords: ((at: number) => string) | null;
  /** What can be read off it, in order along the chart: under the finger, the pointer or by the arrow keys. */
  readings: readonly Reading[];
  children: (scale: ChartScale) => ReactNode;
}

/** A chart: its axes, what is drawn in it, and one reading told in words where somebody points. */
export function Chart({
  label,
  summary,
  height,
  along,
  domain,
  values,
  marked = [],
  alongWords,
  readings,
  children,
}: Props) {
  const palette = usePalette();
  const [width, setWidth] = useState(340);
  const [read, setRead] = useState<number | null>(null);
  const scale = chartScale({ width, height, named: alongWords !== null }, along, domain, values);
  const shown = read === null ? null : (readings[read] ?? null);
  const last = readings.length - 1;
  const readAt = (px: number) => setRead(nearest(readings, scale.at(px)));
  /** Goes along the readings by key; false where a key does nothing here. */
  const step = (key: string): boolean => {
    const from = read ?? (key === 'ArrowLeft' ? last + 1 : -1);
    const to = { ArrowRight: Math.min(last, from + 1), ArrowLeft: Math.max(0, from - 1), Home: 0, End: last }[key];
    if (to === undefined) return false;
    setRead(to);
    return true;
  };
  return (
    <View style={styles.box} onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}>
      <Words size="small" figure quiet={!shown} style={styles.line} aria-live="polite">
        {shown ? shown.words : label}
      </Words>
      <View
        {...heard({ onRead: readAt, onLeave: () => setRead(null), onKey: step })}
        role="slider"
        tabIndex={0}
        aria-label={`${label}. ${summary}`}
        aria-valuemin={0}
        aria-valuemax={Math.max(0, last)}
        aria-valuenow={read ?? 0}
        aria-valuetext={shown?.words ?? summary}
        onBlur={() => setRead(null)}
        style={SWIPES_SCROLL}
      >
        <Svg width={width} height={height} pointerEvents="none">
          <ValueAxis scale={scale} marked={marked} />
          {children(scale)}
          {alongWords ? <AlongAxis scale={scale} words={alongWords} /> : null}
          {shown ? (
            <>
              <Line
                x1={scale.x(shown.at)}
                x2={scale.x(shown.at)}
                y1={scale.box.top}
                y2={scale.box.floor}
                stroke={palette.chalk}
              />
              <Circle cx={scale.x(shown.at)} cy={scale.y(shown.value)} r={5} fill={palette.chalk} />
            </>
          ) : null}
        </Svg>
      </View>
    </View>
  );
}

/** A finger that goes along the chart reads it; one that goes up or down scrolls. */
const SWIPES_SCROLL = { touchAction: 'pan-y' } as object;

interface Heard {
  onRead: (px: number) => void;
  onLeave: () => void;
  onKey: (key: string) => boolean;
}
interface Pointed {
  nativeEvent: { offsetX: number; pointerType?: string };
}
interface Keyed {
  nativeEvent: { key: string };
  preventDefault: () => void;
  stopPropagation: () => void;
}

/** A finger on the chart, or a pointer over it, reads it; a finger that is lifted leaves its reading to be read. The arrow keys go along it. */
const heard = ({ onRead, onLeave, onKey }: Heard) =>
  ({
    onPointerDown: ({ nativeEvent }: Pointed) => onRead(nativeEvent.offsetX),
    onPointerMove: ({ nativeEvent }: Pointed) => onRead(nativeEvent.offsetX),
    onPointerLeave: ({ nativeEvent }: Pointed) => {
      if (nativeEvent.pointerType === 'mouse') onLeave();
    },
    onKeyDown: (event: Keyed) => {
      if (!onKey(event.nativeEvent.key)) return;
      event.preventDefault();
      event.stopPropagation();
    },
  }) as object;

const styles = StyleSheet.create({
  box: { gap: SPACE.near },
  line: { minHeight: 20 },
});
