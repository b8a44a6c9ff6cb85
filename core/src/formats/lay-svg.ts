import { boundsMm, type PointMm, type Polygon } from '../room/index.ts';
import { middleOf, type LaySheet } from './lay-sheet.ts';

const MARGIN_MM = 250;
const round = (mm: number) => Math.round(mm * 10) / 10;
const escaped = (text: string) =>
  text.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c]!);

/** The planks as a drawing of their own, black on white: one unit a millimetre, the first wall at the bottom. */
export function laySvg({ title, corners, pieces, chalk, notes }: LaySheet): string {
  const { minX, minY, maxX, maxY } = boundsMm([...corners, ...pieces.flatMap(({ outline }) => outline)]);
  const [width, drawn] = [maxX - minX + 2 * MARGIN_MM, maxY - minY + 2 * MARGIN_MM];
  const lineMm = 150;
  const height = drawn + notes.length * lineMm;
  // The plan's y points up, a drawing's down.
  const place = ({ xMm, yMm }: PointMm): [number, number] => [
    round(xMm - minX + MARGIN_MM),
    round(maxY - yMm + MARGIN_MM),
  ];
  const path = (outline: Polygon) => `M${outline.map((at) => place(at).join(' ')).join('L')}Z`;
  const number = ({ number: text, outline }: LaySheet['pieces'][number]) => {
    const [x, y] = place(middleOf(outline));
    return `<text x="${x}" y="${y + 30}" text-anchor="middle" font-family="sans-serif" font-size="80">${text}</text>`;
  };
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${round(width)}mm" height="${round(height)}mm" viewBox="0 0 ${round(width)} ${round(height)}">`,
    `<title>${escaped(title)}</title>`,
    ...pieces.map(
      ({ outline, isLaid }) =>
        `<path d="${path(outline)}" fill="${isLaid ? '#D9D4C8' : '#FFFFFF'}" stroke="#59636A" stroke-width="6"/>`,
    ),
    ...pieces.map(number),
    ...chalk.map(([from, to]) => {
      const [[x1, y1], [x2, y2]] = [place(from), place(to)];
      return `<line x1="${x1}" y1="${y1}" x2="${x2}" y2="${y2}" stroke="#22558C" stroke-width="16" stroke-dasharray="90 50"/>`;
    }),
    `<path d="${path(corners)}" fill="none" stroke="#1E2428" stroke-width="36"/>`,
    ...notes.map(
      (text, k) =>
        `<text x="${MARGIN_MM}" y="${round(drawn + k * lineMm)}" font-family="sans-serif" font-size="100">${escaped(text)}</text>`,
    ),
    '</svg>',
    '',
  ].join('\n');
}
