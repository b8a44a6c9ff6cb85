import { VERDICT_MARKS, verdictWords, type Block, type PaperFigure } from '@maquette/core/paper';
import { drawIn, heightIn } from './draw-figure.ts';
import { MARGIN, type SheetFlow, type TextStyle } from './sheet-flow.ts';
import { drawTable } from './draw-table.ts';
import { INK, SIZE } from './typeface.ts';

type Of<K extends Block['is']> = Extract<Block, { is: K }>;

/** Pictures of photographs by their digest. */
export type PictureOf = (sha256: string) => Buffer | null;

/** A paragraph over the whole width; a heading keeps what follows it on its sheet. */
function paragraph(flow: SheetFlow, tag: string, text: string, style: TextStyle, before: number, keep = 0): void {
  if (text === '') return;
  const height = flow.heightOf(text, flow.width, style);
  flow.need(before + height + keep);
  flow.y += before;
  flow.tag(tag, () => flow.put(text, MARGIN, flow.y, flow.width, style));
  flow.y += height;
}

function verdicts(flow: SheetFlow, { rows }: Of<'verdicts'>): void {
  const table = flow.tag('Table', null);
  for (const { verdict, name, figure, under, page } of rows) {
    const [nameX, textX, pageWidth] = [MARGIN + 54, MARGIN + 150, 30];
    const textWidth = flow.width - 150 - pageWidth - 8;
    const [first, second] = [flow.words(figure), flow.words(under)];
    const bold: TextStyle = { face: 'figureBold', size: SIZE.text + 1 };
    const quiet: TextStyle = { size: SIZE.table + 0.5, ink: 'quiet' };
    const called: TextStyle = { face: 'bold', size: SIZE.text + 1.5 };
    const height = Math.max(
      flow.heightOf(first, textWidth, bold) + flow.heightOf(second, textWidth, quiet) + 2,
      flow.heightOf(flow.words(name), 92, called),
      26,
    );
    flow.need(height + 11);
    flow.y += 5.5;
    const { y } = flow;
    const row = flow.tag('TR', null, table);
    const mark = VERDICT_MARKS[verdict];
    // Read out the room comes first, then how it stands; the mark says the same to the eye.
    const head = flow.tag('TH', null, row);
    flow.artifact(() => {
      flow.doc.save().translate(MARGIN, y + 2);
      const line = flow.doc.path(mark.path).lineWidth(1.2);
      if (mark.isFilled) line.fill(mark.color);
      else line.stroke(mark.color);
      if (mark.more) flow.doc.path(mark.more).lineWidth(1.2).stroke(mark.color);
      flow.doc.restore();
    });
    const stands: TextStyle = { size: SIZE.small, ink: 'quiet' };
    flow.tag('P', () => flow.put(flow.words(name), nameX, y, 92, called), head);
    flow.tag('P', () => flow.put(flow.words(verdictWords(verdict)), MARGIN, y + 15, 52, stands), head);
    const cell = flow.tag('TD', null, row);
    flow.tag('P', () => flow.put(first, textX, y, textWidth, bold), cell);
    flow.tag('P', () => flow.put(second, textX, y + flow.heightOf(first, textWidth, bold) + 2, textWidth, quiet), cell);
    flow.reference(page, MARGIN + flow.width - pageWidth, y, pageWidth, flow.tag('TD', null, row));
    flow.y += height + 5.5;
    flow.artifact(() =>
      flow.doc
        .moveTo(MARGIN, flow.y)
        .lineTo(MARGIN + flow.width, flow.y)
        .lineWidth(0.5)
        .strokeColor(INK.rule)
        .stroke(),
    );
  }
}

function pairs(flow: SheetFlow, { rows }: Of<'pairs'>): void {
  const left = 54;
  for (const [label, lines] of rows) {
    const texts = lines.map((line) => flow.words(line));
    const heights = texts.map((text) => flow.heightOf(text, flow.width - left) + 1.5);
    flow.need(heights.reduce((sum, height) => sum + height, 4));
    flow.y += 4;
    texts.forEach((text, k) => {
      flow.tag('P', () => {
        if (k === 0) flow.put(flow.words(label), MARGIN, flow.y, left - 6, { face: 'bold', ink: 'quiet' });
        flow.put(text, MARGIN + left, flow.y, flow.width - left);
      });
      flow.y += heights[k]!;
    });
  }
}

function list(flow: SheetFlow, { items }: Of<'list'>): void {
  const tree = flow.tag('L', null);
  for (const item of items) {
    const text = flow.words(item);
    const height = flow.heightOf(text, flow.width - 12);
    flow.need(height + 4);
    flow.y += 3;
    const one = flow.tag('LI', null, tree);
    flow.tag(
      'LBody',
      () => {
        flow.doc.rect(MARGIN, flow.y + 5, 4, 1).fill(INK.quiet);
        flow.put(text, MARGIN + 12, flow.y, flow.width - 12);
      },
      one,
    );
    one.end();
    flow.y += height + 1;
  }
  tree.end();
}

const GAP = 16;
/** A plan may take so much of a sheet, a section less. */
const FIGURE_MOST = 300;

/** Width of each: one by itself keeps to a part of the sheet’s, a plan over all of it says no more. */
const figureWidth = (flow: SheetFlow, count: number) =>
  count > 1 ? (flow.width - GAP) / 2 : Math.min(flow.width, 330);

/** Height that drawings side by side take, without what stands over them. */
export const figuresHeight = (flow: SheetFlow, { figures: all }: Of<'figures'>): number =>
  Math.max(0, ...all.map(({ drawing }) => heightIn(drawing, figureWidth(flow, all.length), FIGURE_MOST)));

function figures(flow: SheetFlow, { figures: all }: Of<'figures'>): void {
  if (all.length === 0) return;
  const width = figureWidth(flow, all.length);
  const titles = all.map((one) => flow.words(one.title));
  const style: TextStyle = { size: SIZE.table, ink: 'quiet' };
  const title = Math.max(...titles.map((text) => flow.heightOf(text, width - 46, style)));
  const height = figuresHeight(flow, { is: 'figures', figures: all });
  flow.need(title + height + 16);
  flow.y += 8;
  all.forEach((one: PaperFigure, k) => {
    const x = MARGIN + k * (width + GAP);
    const figure = one.figure ? flow.words(one.figure) : '';
    const large: TextStyle = { face: 'figureBold', size: SIZE.figure, align: 'right' };
    flow.tag('P', () => flow.put(titles[k]!, x, flow.y, width - 46, style));
    if (figure !== '') flow.tag('P', () => flow.put(figure, x, flow.y - 3, width, large));
    flow.tag('Figure', () => drawIn(flow, one.drawing, x, flow.y + title + 4, width, height), undefined, {
      alt: flow.words(one.alt),
    });
  });
  flow.y += title + height + 8;
}

const PER_ROW = 3;

function photographs(flow: SheetFlow, { photographs: all }: Of<'photographs'>, pictureOf: PictureOf): void {
  const width = (flow.width - (PER_ROW - 1) * 10) / PER_ROW;
  const height = width * 0.75;
  for (let k = 0; k < all.length; k += PER_ROW) {
    flow.need(height + 34);
    flow.y += 6;
    all.slice(k, k + PER_ROW).forEach(({ sha256, words }, n) => {
      const x = MARGIN + n * (width + 10);
      const picture = pictureOf(sha256);
      flow.tag(
        'Figure',
        () => {
          if (picture) flow.doc.image(picture, x, flow.y, { fit: [width, height], align: 'center', valign: 'center' });
          flow.put(flow.words(words), x, flow.y + height + 3, width, { size: SIZE.small });
        },
        undefined,
        { alt: flow.words(words) },
      );
    });
    flow.y += height + 28;
  }
}

function rules(flow: SheetFlow, { count, label }: Of<'rules'>): void {
  for (let k = 0; k < count; k++) {
    flow.need(26);
    flow.y += 24;
    flow.artifact(() =>
      flow.doc
        .moveTo(MARGIN, flow.y)
        .lineTo(MARGIN + flow.width, flow.y)
        .lineWidth(0.6)
        .strokeColor(INK.quiet)
        .stroke(),
    );
  }
  paragraph(flow, 'P', flow.words(label), { size: SIZE.small, ink: 'quiet' }, 3);
}

function signature(flow: SheetFlow, { path, width, height, name }: Of<'signature'>): void {
  const [boxWidth, boxHeight] = [220, 80];
  flow.need(boxHeight + 24);
  flow.y += 6;
  flow.tag(
    'Figure',
    () =>
      drawIn(
        flow,
        { width, height, marks: [{ path, stroke: 'ink', width: width / 150 }] },
        MARGIN,
        flow.y,
        boxWidth,
        boxHeight,
      ),
    undefined,
    { alt: flow.words(name) },
  );
  flow.y += boxHeight;
  paragraph(flow, 'P', flow.words(name), {}, 2);
}

/** Puts a block on the sheets. */
export function putBlock(flow: SheetFlow, block: Block, pictureOf: PictureOf): void {
  switch (block.is) {
    case 'lead':
      paragraph(flow, 'P', flow.words(block.text), { size: SIZE.lead }, 6);
      flow.y += 8;
      return;
    case 'heading':
      paragraph(flow, 'H2', flow.words(block.text), { face: 'bold', size: SIZE.heading }, 16, 36);
      if (block.id) flow.mark(block.id);
      return;
    case 'text': {
      const bold = block.bold ? `${flow.words(block.bold)}: ` : '';
      return paragraph(
        flow,
        'P',
        bold + flow.words(block.text),
        block.quiet ? { size: SIZE.table + 0.5, ink: 'quiet' } : {},
        5,
      );
    }
    case 'list':
      return list(flow, block);
    case 'verdicts':
      return verdicts(flow, block);
    case 'table':
      return drawTable(flow, block);
    case 'pairs':
      return pairs(flow, block);
    case 'figures':
      return figures(flow, block);
    case 'photographs':
      return photographs(flow, block, pictureOf);
    case 'rules':
      return rules(flow, block);
    case 'signature':
      return signature(flow, block);
  }
}
