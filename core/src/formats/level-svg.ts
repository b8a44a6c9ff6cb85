import { boundsMm } from '../room/index.ts';
import { certificateLine, type LevelSheet, type Written } from './level-sheet.ts';

type Ring = readonly (readonly [number, number])[];

/** Free space about the room, mm on the floor. */
const MARGIN_MM = 400;

/** The level map and the work on it as a drawing of its own: one unit a millimetre, the first wall at the bottom. */
export function levelSvg(sheet: LevelSheet, written: Written): string {
  const { minX, minY, maxX, maxY } = boundsMm(sheet.plan.corners);
  const notes = [sheet.title, ...sheet.certificates.map((one) => written(certificateLine(one)))];
  const lineMm = 160;
  const width = maxX - minX + 2 * MARGIN_MM;
  const height = maxY - minY + 2 * MARGIN_MM + notes.length * lineMm;
  // The plan's y points up, a drawing's down.
  const place = (x: number, y: number) => `${round(x - minX + MARGIN_MM)} ${round(maxY - y + MARGIN_MM)}`;
  const path = (rings: readonly Ring[]) =>
    rings.map((ring) => `M${ring.map(([x, y]) => place(x, y)).join('L')}Z`).join('');
  const shape = (rings: readonly Ring[], style: string) =>
    rings.length === 0 ? '' : `<path d="${path(rings)}" fill-rule="evenodd" ${style}/>`;
  const words = (x: number, y: number, text: string, fill: string) => {
    const [px, py] = place(x, y).split(' ');
    return `<text x="${px}" y="${py}" fill="${fill}" font-family="sans-serif" font-size="110">${escaped(text)}</text>`;
  };
  const line = (color: string, widthMm: number, more = '') =>
    `fill="none" stroke="${color}" stroke-width="${widthMm}"${more}`;
  const contours = [...(sheet.map?.highs ?? []), ...(sheet.map?.lows ?? [])].map((band) =>
    shape(band.rings, line(band.levelMm > 0 ? '#A8452E' : '#1D6E78', 8)),
  );
  const bottom = maxY - minY + 2 * MARGIN_MM;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${round(width)}mm" height="${round(height)}mm" viewBox="0 0 ${round(width)} ${round(height)}">`,
    `<title>${escaped(sheet.title)}</title>`,
    ...contours,
    shape(sheet.map?.zero ?? [], line('#59636A', 14)),
    ...sheet.fills.map((area) =>
      shape(area.outlines, 'fill="#1D6E78" fill-opacity="0.15" stroke="#1D6E78" stroke-width="20"'),
    ),
    ...sheet.grinding.map((area) =>
      shape(
        area.outlines,
        'fill="#A8452E" fill-opacity="0.15" stroke="#A8452E" stroke-width="20" stroke-dasharray="90 40"',
      ),
    ),
    ...sheet.bays.map((bay) => shape(bay.region.flat(), line('#1D6E78', 16, ' stroke-dasharray="120 60"'))),
    ...sheet.fills.map((area) => words(...area.deepestAt, `${area.label} ${area.deepestMm.toFixed(1)}`, '#1D6E78')),
    ...sheet.grinding.map((area) => words(...area.deepestAt, `${area.label} ${area.deepestMm.toFixed(1)}`, '#A8452E')),
    shape(
      [sheet.plan.corners, ...sheet.plan.islands].map((outline) => outline.map((p) => [p.xMm, p.yMm] as const)),
      line('#1E2428', 40),
    ),
    ...notes.map(
      (text, i) =>
        `<text x="${MARGIN_MM}" y="${round(bottom + i * lineMm)}" fill="#1E2428" font-family="sans-serif" font-size="110">${escaped(text)}</text>`,
    ),
    '</svg>',
    '',
  ]
    .filter((part, i, all) => part !== '' || i === all.length - 1)
    .join('\n');
}

const round = (mm: number) => Math.round(mm * 10) / 10;
const escaped = (text: string) =>
  text.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c]!);
