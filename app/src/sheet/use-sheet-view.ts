import { useCallback, useLayoutEffect, useMemo, useRef, useState } from 'react';
import type { Polygon } from '@maquette/core/room';
import { fitView, panned, toMmPoint, zoomed, type SheetView } from './view.ts';

/** Something taken hold of on the sheet: told of every move in plan mm, and once of its end. */
export interface Grip {
  move: (xMm: number, yMm: number) => void;
  end: () => void;
  cancel: () => void;
}

/** What fingers do on the sheet, in px from its corner. */
export interface SheetHands {
  pan: (dxPx: number, dyPx: number) => void;
  zoom: (factor: number, xPx: number, yPx: number) => void;
  fit: () => void;
  tap: (xPx: number, yPx: number) => void;
  /** Takes hold of what lies there, or of nothing. */
  grip: (xPx: number, yPx: number) => Grip | null;
  pull: (grip: Grip, xPx: number, yPx: number) => void;
}

/** Views the user has moved, by room: they stay from stage to stage. */
const views = new Map<string, SheetView>();

/** What the sheet shows of the room. Follows the fitted view until the user moves it. */
export function useSheetView(
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
  const view = useMemo(() => (own ? { ...own, widthPx: width, heightPx: height } : fit), [own, fit, width, height]);
  // Two moves can come within one drawing: the second goes on from the first, not from what is still on the screen.
  const seen = useRef(view);
  useLayoutEffect(() => {
    seen.current = view;
  }, [view]);
  const setOwn = useCallback(
    (next: SheetView | null) => {
      if (next) views.set(memory, next);
      else views.delete(memory);
      if (next) seen.current = next;
      setView(next);
    },
    [memory],
  );
  const hands: SheetHands = {
    pan: (dx, dy) => setOwn(panned(seen.current, dx, dy)),
    zoom: (factor, x, y) => setOwn(zoomed(seen.current, factor, x, y, fit)),
    fit: () => setOwn(null),
    tap: (x, y) => onTap(seen.current, x, y),
    grip: (x, y) => onGrip(seen.current, x, y),
    pull: (grip, x, y) => grip.move(...toMmPoint(seen.current, x, y)),
  };
  return { view, moved: own !== null, hands };
}
