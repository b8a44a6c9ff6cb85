import { boundsMm, type Polygon } from '@maquette/core/room';

/** How the plan lies on the screen: plan mm to px, y up on the plan and down on the screen. */
export interface SheetView {
  pxPerMm: number;
  /** Plan point in the middle of the sheet. */
  cxMm: number;
  cyMm: number;
  widthPx: number;
  heightPx: number;
}

/** Room kept free round the plan for dimensions, px. */
const MARGIN_PX = 46;
const ZOOM = { in: 12, out: 0.5 } as const;

/** The view that shows the whole room with its dimensions. */
export function fitView(corners: Polygon, widthPx: number, heightPx: number): SheetView {
  const b = boundsMm(
    corners.length > 0
      ? corners
      : [
          { xMm: 0, yMm: 0 },
          { xMm: 4000, yMm: 3000 },
        ],
  );
  const [w, h] = [Math.max(100, b.maxX - b.minX), Math.max(100, b.maxY - b.minY)];
  const pxPerMm = Math.max(0.001, Math.min((widthPx - 2 * MARGIN_PX) / w, (heightPx - 2 * MARGIN_PX) / h));
  return { pxPerMm, cxMm: (b.minX + b.maxX) / 2, cyMm: (b.minY + b.maxY) / 2, widthPx, heightPx };
}

export function toPx(view: SheetView, xMm: number, yMm: number): [number, number] {
  return [(xMm - view.cxMm) * view.pxPerMm + view.widthPx / 2, (view.cyMm - yMm) * view.pxPerMm + view.heightPx / 2];
}

export function toMmPoint(view: SheetView, xPx: number, yPx: number): [number, number] {
  return [(xPx - view.widthPx / 2) / view.pxPerMm + view.cxMm, view.cyMm - (yPx - view.heightPx / 2) / view.pxPerMm];
}

export function panned(view: SheetView, dxPx: number, dyPx: number): SheetView {
  return { ...view, cxMm: view.cxMm - dxPx / view.pxPerMm, cyMm: view.cyMm + dyPx / view.pxPerMm };
}

/** Zoom about a point on the screen, within the bounds of the fitted view. */
export function zoomed(view: SheetView, factor: number, xPx: number, yPx: number, fit: SheetView): SheetView {
  const pxPerMm = Math.min(fit.pxPerMm * ZOOM.in, Math.max(fit.pxPerMm * ZOOM.out, view.pxPerMm * factor));
  const [xMm, yMm] = toMmPoint(view, xPx, yPx);
  const next = { ...view, pxPerMm };
  const [x, y] = toPx(next, xMm, yMm);
  return panned(next, xPx - x, yPx - y);
}

/** SVG path of rings in plan mm; drawn inside a group that carries the view. */
export function ringsPath(rings: readonly (readonly (readonly [number, number])[])[]): string {
  return rings.map((ring) => `M${ring.map(([x, y]) => `${Math.round(x)} ${Math.round(y)}`).join('L')}Z`).join('');
}

/** Transform of that group. */
export function planTransform(view: SheetView): string {
  const k = view.pxPerMm;
  return `matrix(${k} 0 0 ${-k} ${view.widthPx / 2 - view.cxMm * k} ${view.heightPx / 2 + view.cyMm * k})`;
}

/** The same scale with the plan's origin in the corner: what is drawn in it is only shifted when the sheet is moved. */
export function atOrigin(pxPerMm: number): SheetView {
  return { pxPerMm, cxMm: 0, cyMm: 0, widthPx: 0, heightPx: 0 };
}

/** The shift that puts what was drawn `atOrigin` where the sheet shows it. */
export function originTransform(view: SheetView): string {
  const [x, y] = toPx(view, 0, 0);
  return `translate(${x} ${y})`;
}

/** A round length for the scale bar that takes between 50 and 140 px, with its unit in words. */
export function scaleBar(view: SheetView, units: 'metric' | 'imperial'): { px: number; words: string } {
  const choices =
    units === 'metric'
      ? [100, 200, 500, 1000, 2000, 5000].map((mm) => ({ mm, words: mm < 1000 ? `${mm} mm` : `${mm / 1000} m` }))
      : [0.5, 1, 2, 3, 6, 10, 20].map((ft) => ({ mm: ft * 304.8, words: ft < 1 ? '6 in' : `${ft} ft` }));
  const found = choices.find(({ mm }) => mm * view.pxPerMm >= 50) ?? choices[choices.length - 1]!;
  return { px: found.mm * view.pxPerMm, words: found.words };
}
