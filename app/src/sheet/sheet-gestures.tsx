import { useEffect, useRef, type RefObject } from 'react';
import { useDrag, useGesture } from '@use-gesture/react';
import { useLatest } from '../ui/use-latest.ts';
import type { Grip, SheetHands } from './use-sheet-view.ts';

const TAP_PX = 8;
const DOUBLE_MS = 300;
const DOUBLE_PX = 24;

type Px = readonly [number, number];

/** What two fingers did up to the last move: how far apart they are beside where they began, and their middle. */
interface Spread {
  scale: number;
  middle: Px;
}

interface Props {
  sheet: RefObject<HTMLElement | null>;
  hands: SheetHands;
  /** Told once fingers are heard. */
  onReady: () => void;
}

/**
 * Fingers, mouse and wheel on the sheet, told to whoever holds its view: pan with one finger, pinch with two, wheel to zoom,
 * double tap to fit, tap to choose, pull what can be taken hold of. Draws nothing.
 */
export function SheetGestures({ sheet, hands, onReady }: Props) {
  const now = useLatest(hands);
  const grip = useRef<Grip | null>(null);
  const lastTap = useRef({ at: -Infinity, x: 0, y: 0 });
  // Where the sheet stands is asked once per touch: asking on every move would have the page laid out twice a frame.
  const corner = useRef({ left: 0, top: 0 });
  const ask = () => (corner.current = sheet.current!.getBoundingClientRect());
  const onSheet = ([x, y]: Px): [number, number] => [x - corner.current.left, y - corner.current.top];
  const letGo = (how: 'end' | 'cancel') => {
    grip.current?.[how]();
    grip.current = null;
  };
  const tapped = (x: number, y: number, at: number) => {
    const before = lastTap.current;
    lastTap.current = { at, x, y };
    if (at - before.at < DOUBLE_MS && Math.hypot(x - before.x, y - before.y) < DOUBLE_PX) now.current.fit();
    else now.current.tap(x, y);
  };
  useGesture(
    {
      onDrag: ({ first, last, tap, canceled, pinching, cancel, initial, xy, delta, event }) => {
        if (first || tap) ask();
        const at = onSheet(xy);
        if (tap) return event.type === 'pointercancel' ? undefined : tapped(...at, event.timeStamp);
        // A second finger means looking about, not pulling.
        if (pinching && !canceled) return cancel();
        if (first) grip.current = now.current.grip(...onSheet(initial));
        if (canceled || event.type === 'pointercancel') return letGo('cancel');
        if (grip.current) now.current.pull(grip.current, ...at);
        else now.current.pan(...delta);
        return last ? letGo('end') : undefined;
      },
      onPinch: ({ first, origin, movement: [scale], memo }): Spread => {
        if (first) ask();
        const middle = onSheet(origin);
        const before = (memo as Spread | undefined) ?? { scale: 1, middle };
        now.current.pan(middle[0] - before.middle[0], middle[1] - before.middle[1]);
        now.current.zoom(scale / before.scale, ...middle);
        return { scale, middle };
      },
      onWheel: ({ event, delta: [, down] }) => {
        event.preventDefault();
        ask();
        now.current.zoom(Math.exp(-down / 400), ...onSheet([event.clientX, event.clientY]));
      },
    },
    {
      target: sheet,
      eventOptions: { passive: false },
      drag: { filterTaps: true, tapsThreshold: TAP_PX, pointer: { keys: false } },
      pinch: { pinchOnWheel: false },
    },
  );
  useEffect(onReady, [onReady]);
  return null;
}

interface PullProps {
  of: RefObject<HTMLElement | null>;
  onTap: (x: number, y: number) => void;
  /** A pull that began at a place, so far across; the last one lets go. */
  onPull: (x: number, y: number, byX: number, isLast: boolean) => void;
  /** Told once fingers are heard. */
  onReady: () => void;
}

/** Taps and sideways pulls on something that is drawn, in its own px. Draws nothing. */
export function PullGestures({ of, onTap, onPull, onReady }: PullProps) {
  const now = useLatest({ onTap, onPull });
  useDrag(
    ({ initial, xy, movement: [byX], tap, last, canceled }) => {
      const { left, top } = of.current!.getBoundingClientRect();
      if (tap) return now.current.onTap(xy[0] - left, xy[1] - top);
      // What the page takes for scrolling is no pull.
      return now.current.onPull(initial[0] - left, initial[1] - top, canceled ? 0 : byX, last || canceled);
    },
    { target: of, filterTaps: true, tapsThreshold: TAP_PX, pointer: { keys: false }, preventScroll: 250 },
  );
  useEffect(onReady, [onReady]);
  return null;
}
