import type { Block } from '@maquette/core/paper';
import { MARGIN, type SheetFlow, type TextStyle } from './sheet-flow.ts';
import { INK, SIZE } from './typeface.ts';

const GAP = 10;
const HEAD: TextStyle = { face: 'bold', size: SIZE.small, ink: 'quiet' };

/** A table: rows stay whole, and where it goes over to another sheet its heads stand there again. */
export function drawTable(flow: SheetFlow, { columns, rows }: Extract<Block, { is: 'table' }>): void {
  if (rows.length === 0) return;
  const shares = columns.reduce((sum, { share }) => sum + share, 0);
  const free = flow.width - GAP * (columns.length - 1);
  const widths = columns.map(({ share }) => (free * share) / shares);
  const lefts = widths.map((_, k) => MARGIN + widths.slice(0, k).reduce((sum, width) => sum + width + GAP, 0));
  const styles = columns.map(({ isFigure }): TextStyle => ({
    face: isFigure ? 'figure' : 'text',
    size: SIZE.table,
    align: isFigure ? 'right' : 'left',
  }));
  const heads = columns.map(({ title }) => flow.words(title));
  const headHeight = Math.max(...heads.map((text, k) => flow.heightOf(text, widths[k]!, HEAD)));
  const table = flow.tag('Table', null);

  const rule = (ink: keyof typeof INK) =>
    flow.artifact(() =>
      flow.doc
        .moveTo(MARGIN, flow.y)
        .lineTo(MARGIN + flow.width, flow.y)
        .lineWidth(0.5)
        .strokeColor(INK[ink])
        .stroke(),
    );
  const head = () => {
    const row = flow.tag('TR', null, table);
    heads.forEach((text, k) =>
      flow.tag(
        'TH',
        () => flow.put(text, lefts[k]!, flow.y, widths[k]!, { ...HEAD, align: styles[k]!.align ?? 'left' }),
        row,
      ),
    );
    row.end();
    flow.y += headHeight + 2;
    rule('quiet');
    flow.y += 3;
  };

  const heightOf = (cells: readonly string[]) =>
    Math.max(...cells.map((text, k) => flow.heightOf(text, widths[k]!, styles[k]!)));
  const first = heightOf(rows[0]!.map((cell) => flow.words(cell)));
  flow.need(headHeight + first + 18);
  flow.y += 8;
  head();
  for (const cells of rows) {
    const texts = cells.map((cell) => flow.words(cell));
    const height = heightOf(texts);
    if (flow.y + height + 5 > flow.bottom) {
      flow.newSheet();
      head();
    }
    const row = flow.tag('TR', null, table);
    texts.forEach((text, k) =>
      flow.tag('TD', () => (text === '' ? undefined : flow.put(text, lefts[k]!, flow.y, widths[k]!, styles[k]!)), row),
    );
    row.end();
    flow.y += height + 2.5;
    rule('rule');
    flow.y += 2.5;
  }
  table.end();
}
