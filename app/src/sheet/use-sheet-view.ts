import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState, type RefObject } from 'react';
import type { View } from 'react-native';
import type { Polygon } from '@maquette/core/room';
import { fitView, panned, toMmPoint, zoomed, type SheetView } from './view.ts';

/** Something taken hold of on the sheet: told of every move in plan mm, and once of its end. */
export interface Grip {
  move: (xMm: number, yMm: number) => void;
  end: () => void;
  cancel: () => void;
}

interface Held {
  view: SheetView;
  setView: (view: SheetView) => void;
  fit: SheetView;
  onTap: (xPx: number, yPx: number) => void;
  grip: (xPx: number, yPx: number) => Grip | null;
}

/** Views the user has moved, by room: they stay from stage to stage. */
const views = new Map<string, SheetView>();

const TAP_PX = 8;
const DOUBLE_MS = 300;
const DOUBLE_PX = 24;

/**
 * Pan with one finger, pinch with two, wheel to zoom, double tap to fit, tap to choose. Follows the fitted view until the
 * user moves it.
 */
export function useSheetView(
  ref: RefObject<View | null>,
  corners: Polygon,
  size: { width: number; height: number },
  onTap: (view: SheetView, xPx: number, yPx: number) => void,
  onGrip: (view: SheetView, xPx: number, yPx: number) => Grip | null,
  /** What the view is kept under: the same room is seen the same way on every stage. */
  memory: string,
) {
  const { width, height } = size;
  const fit = useMemo(() => fitView(corners, width, height), [corners, width, height]);
  const [own, setView] = useState<SheetView | null>(() => views.get(memory) ?? null);
  const setOwn = useCallback(
    (next: SheetView | null) => {
      if (next) views.set(memory, next);
      else views.delete(memory);
      setView(next);
    },
    [memory],
  );
  const view = useMemo(() => (own ? { ...own, widthPx: width, heightPx: height } : fit), [own, fit, width, height]);
  const held = useRef<Held>({ view, setView: setOwn, fit, onTap: () => undefined, grip: () => null });
  useLayoutEffect(() => {
    held.current = {
      view,
      setView: setOwn,
      fit,
      onTap: (x, y) => onTap(view, x, y),
      grip: (x, y) => onGrip(view, x, y),
    };
  }, [view, fit, onTap, onGrip, setOwn]);

  useEffect(() => {
    const node = ref.current as unknown as HTMLElement | null;
    if (!node?.addEventListener) return;
    const fingers = new Map<number, [number, number]>();
    let moved = 0;
    let grip: Grip | null = null;
    let tapped = { at: 0, x: 0, y: 0 };
    // Where the sheet stands is asked once per touch: asking on every move would have the page laid out twice a frame.
    let box = node.getBoundingClientRect();
    const at = (event: PointerEvent | WheelEvent): [number, number] => [
      event.clientX - box.left,
      event.clientY - box.top,
    ];
    const down = (event: PointerEvent) => {
      node.setPointerCapture(event.pointerId);
      box = node.getBoundingClientRect();
      fingers.set(event.pointerId, at(event));
      if (fingers.size === 1) {
        moved = 0;
        grip = held.current.grip(...at(event));
      } else {
        // A second finger means looking about, not pulling.
        grip?.cancel();
        grip = null;
      }
    };
    const move = (event: PointerEvent) => {
      const before = fingers.get(event.pointerId);
      if (!before) return;
      const now = at(event);
      const { view: current, setView, fit: whole } = held.current;
      const other = [...fingers.entries()].find(([id]) => id !== event.pointerId)?.[1];
      moved += Math.hypot(now[0] - before[0], now[1] - before[1]);
      fingers.set(event.pointerId, now);
      if (grip) {
        if (moved > TAP_PX) grip.move(...toMmPoint(current, ...now));
      } else if (other) {
        const was = Math.hypot(before[0] - other[0], before[1] - other[1]);
        const is = Math.hypot(now[0] - other[0], now[1] - other[1]);
        if (was > 0) setView(zoomed(current, is / was, (now[0] + other[0]) / 2, (now[1] + other[1]) / 2, whole));
      } else if (moved > TAP_PX) setView(panned(current, now[0] - before[0], now[1] - before[1]));
    };
    const up = (event: PointerEvent) => {
      const was = fingers.delete(event.pointerId);
      const pulled = grip && moved > TAP_PX;
      if (event.type === 'pointercancel' || !pulled) grip?.cancel();
      else grip?.end();
      grip = null;
      if (!was || event.type === 'pointercancel' || fingers.size > 0 || moved > TAP_PX) return;
      const [x, y] = at(event);
      const near = Math.hypot(x - tapped.x, y - tapped.y) < DOUBLE_PX;
      if (near && event.timeStamp - tapped.at < DOUBLE_MS) setOwn(null);
      else held.current.onTap(x, y);
      tapped = { at: event.timeStamp, x, y };
    };
    const wheel = (event: WheelEvent) => {
      event.preventDefault();
      box = node.getBoundingClientRect();
      const { view: current, setView, fit: whole } = held.current;
      setView(zoomed(current, Math.exp(-event.deltaY / 400), ...at(event), whole));
    };
    node.style.touchAction = 'none';
    node.addEventListener('pointerdown', down);
    node.addEventListener('pointermove', move);
    node.addEventListener('pointerup', up);
    node.addEventListener('pointercancel', up);
    node.addEventListener('wheel', wheel, { passive: false });
    return () => {
      node.removeEventListener('pointerdown', down);
      node.removeEventListener('pointermove', move);
      node.removeEventListener('pointerup', up);
      node.removeEventListener('pointercancel', up);
      node.removeEventListener('wheel', wheel);
    };
  }, [ref, setOwn]);

  return {
    view,
    moved: own !== null,
    refit: () => setOwn(null),
    zoomBy: (factor: number) => setOwn(zoomed(view, factor, size.width / 2, size.height / 2, fit)),
  };
}
