import type { Drawing } from '@maquette/core/paper';
import type { SheetFlow } from './sheet-flow.ts';
import { INK } from './typeface.ts';

/** Letters of a drawing are at least this large on paper, points. */
const LETTER_LEAST = 5.5;

/** Draws a drawing as large as a box takes it, keeping its shape. */
export function drawIn(flow: SheetFlow, drawing: Drawing, x: number, y: number, width: number, height: number): void {
  const { doc } = flow;
  const scale = Math.min(width / drawing.width, height / drawing.height);
  doc.save();
  doc.translate(x, y).scale(scale);
  for (const mark of drawing.marks) {
    if ('text' in mark) continue;
    const { path, stroke, fill, fillShare = 1, width: line, dash, clip } = mark;
    if (clip) doc.save().path(clip).clip('even-odd');
    if (fill) {
      doc.path(path).fillColor(INK[fill], fillShare).fill('even-odd');
      doc.fillOpacity(1);
    }
    if (stroke !== 'none' && line > 0) {
      doc.path(path).lineWidth(line).lineJoin('round').strokeColor(INK[stroke]);
      if (dash) doc.dash(dash[0]!, { space: dash[1] ?? dash[0]! });
      doc.stroke();
      if (dash) doc.undash();
    }
    if (clip) doc.restore();
  }
  doc.restore();
  for (const mark of drawing.marks) {
    if (!('text' in mark)) continue;
    const text = flow.words(mark.text);
    const size = Math.max(LETTER_LEAST, mark.size * scale);
    flow.style({ face: mark.bold ? 'figureBold' : 'figure', size, ink: mark.ink });
    const wide = doc.widthOfString(text);
    const left = x + mark.x * scale - (mark.anchor === 'end' ? wide : mark.anchor === 'middle' ? wide / 2 : 0);
    doc.text(text, left, y + mark.y * scale - size * 0.8, { lineBreak: false });
  }
}

/** Height a drawing takes in a width, at most so much. */
export const heightIn = (drawing: Drawing, width: number, most: number): number =>
  Math.min(most, (drawing.height * width) / drawing.width);
