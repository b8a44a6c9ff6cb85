import type { Block, Drawing, Paper, PaperSize } from '@maquette/core/paper';
import type { UnitSystem } from '@maquette/core/units';
import { inWords } from '@maquette/words';
import '@maquette/words/figure-names';
import '@maquette/words/planning';
import '@maquette/words/report';
import '@maquette/words/rest';
import { figuresHeight, putBlock, type PictureOf } from './blocks.ts';
import { drawIn } from './draw-figure.ts';
import { CODE, MARGIN, SheetFlow, type SheetOptions } from './sheet-flow.ts';
import { INK, SIZE } from './typeface.ts';

export interface PdfOptions {
  size: PaperSize;
  units: UnitSystem;
  /** IANA zone by whose clock times are told. */
  zone: string;
  /** Time the paper is of: it stands in the file as the time it was made. */
  atUtc: string;
  pictureOf?: PictureOf;
  /** Told how much of it is laid out, 0 to 1. */
  tell?: (share: number) => void;
}

/** Room a heading wants beneath it: what it heads, as far as its first figures. */
function aheadOf(flow: SheetFlow, blocks: readonly Block[]): number {
  let height = 30;
  for (const block of blocks) {
    if (block.is === 'heading') return height;
    if (block.is === 'figures') return height + figuresHeight(flow, block) + 30;
    height += 20;
  }
  return height;
}

/** Lays a paper out, page by page. */
function laidOut(paper: Paper, options: SheetOptions, pictureOf: PictureOf, tell: (share: number) => void): SheetFlow {
  const flow = new SheetFlow(paper, options);
  paper.pages.forEach((page, k) => {
    tell(k / paper.pages.length);
    if (page.flows && k > 0 && flow.y < flow.bottom * 0.6) flow.y += 24;
    else flow.newSheet();
    flow.mark(page.id);
    flow.mark(page.id.split('/')[0]!);
    const title = flow.words(page.title);
    const height = flow.heightOf(title, flow.width, { face: 'bold', size: SIZE.title });
    flow.tag('H1', () => flow.put(title, MARGIN, flow.y, flow.width, { face: 'bold', size: SIZE.title }));
    flow.y += height + 4;
    flow.artifact(() =>
      flow.doc
        .moveTo(MARGIN, flow.y)
        .lineTo(MARGIN + flow.width, flow.y)
        .lineWidth(1.6)
        .strokeColor(INK.ink)
        .stroke(),
    );
    flow.y += 8;
    page.blocks.forEach((block, n) => {
      if (block.is === 'heading') flow.need(aheadOf(flow, page.blocks.slice(n + 1, n + 4)));
      if (n === 0 && flow.sheet === 1 && paper.code) withCode(flow, paper.code, () => putBlock(flow, block, pictureOf));
      else putBlock(flow, block, pictureOf);
    });
  });
  return flow;
}

/** The first words of a paper, with the code that leads to it on screen at their right. */
function withCode(flow: SheetFlow, code: Drawing, words: () => void): void {
  const top = flow.y;
  flow.beside(CODE + 14, top + CODE + 6, words);
  flow.tag('Figure', () => drawIn(flow, code, MARGIN + flow.width - CODE, top, CODE, CODE), undefined, {
    alt: flow.words(flow.paper.mark),
  });
}

/** A paper as PDF/A-3b: tagged, its fonts in it, the same bytes for the same paper. */
export async function paperPdf(
  paper: Paper,
  { size, units, zone, atUtc, pictureOf = () => null, tell = () => undefined }: PdfOptions,
): Promise<Buffer> {
  const options: SheetOptions = { size, say: (what) => inWords(what, units, zone), madeAt: new Date(atUtc) };
  return laidOut(paper, options, pictureOf, tell).end();
}
