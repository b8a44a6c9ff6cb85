import PDFDocument from 'pdfkit';
import type { Paper, PaperSize } from '@maquette/core/paper';
import { SHEET_PT, sheetWords } from '@maquette/core/paper';
import type { Sayable } from '@maquette/core/said';
import { FACES, faceOf, INK, SIZE, type Face } from './typeface.ts';

type Doc = PDFKit.PDFDocument;
type Element = PDFKit.PDFStructureElement;

export const MARGIN = 46;
const FOOT = 64;
const HEAD = 62;
/** Side of the square code beside the first words. */
export const CODE = 74;

/** How a piece of text stands on the sheet. */
export interface TextStyle {
  face?: Face;
  size?: number;
  ink?: keyof typeof INK;
  align?: 'left' | 'right' | 'center';
}

/** What every sheet of a paper is made with. */
export interface SheetOptions {
  size: PaperSize;
  say: (what: Sayable) => string;
  madeAt: Date;
}

/** Text where it may be put: NUL and other signs without a shape are left out, as every reader would. */
const shaped = (text: string) =>
  text
    .replace(/[\u0000-\u0008\u000b-\u001f\u007f]/g, '')
    // The faces have no thin space.
    .replace(/\u2009/g, '\u00a0');

/** Sheets of a tagged PDF/A being filled from the top: what does not fit goes to the next one. */
export class SheetFlow {
  readonly doc: Doc;
  /** How wide what is put now may be. */
  width: number;
  /** Sheet on which each page and heading begins. */
  private readonly found = new Map<string, number>();
  /** What can be written only once every sheet is known: of each the sheet it stands on. */
  private readonly after: { sheet: number; write: () => void }[] = [];
  y = 0;
  sheet = 0;
  private readonly root: Element;

  constructor(
    readonly paper: Paper,
    readonly options: SheetOptions,
  ) {
    const [width, height] = SHEET_PT[options.size];
    this.doc = new PDFDocument({
      size: [width, height],
      margins: { top: 0, bottom: 0, left: MARGIN, right: MARGIN },
      autoFirstPage: false,
      // Sheets are gone back to when it is known how many there are.
      bufferPages: true,
      tagged: true,
      displayTitle: true,
      lang: 'en-GB',
      subset: 'PDF/A-3b',
      pdfVersion: '1.7',
      info: {
        Title: options.say(paper.title),
        Author: 'Maquette',
        Creator: 'Maquette',
        Producer: 'Maquette',
        // The time it was made for, not the time it was drawn at: the same facts make the same bytes.
        CreationDate: options.madeAt,
        ModDate: options.madeAt,
      },
    });
    this.width = width - 2 * MARGIN;
    for (const face of FACES) this.doc.registerFont(face, faceOf(face));
    this.root = this.doc.struct('Document');
    this.doc.addStructure(this.root);
  }

  /** Lowest place on a sheet that may be written on. */
  get bottom(): number {
    return this.doc.page.height - FOOT;
  }

  words(what: Sayable): string {
    return shaped(this.options.say(what));
  }

  /** A sheet of its own, with what stands at head and foot of every one. */
  newSheet(): void {
    this.doc.addPage();
    this.sheet += 1;
    this.furniture();
    this.y = HEAD;
  }

  /** Puts something that leaves room at its right, and goes on no higher than `leastY`. */
  beside(roomPt: number, leastY: number, put: () => void): void {
    this.width -= roomPt;
    put();
    this.width += roomPt;
    this.y = Math.max(this.y, leastY);
  }

  /** Makes sure that so much fits, on the next sheet where it does not on this one. */
  need(height: number): void {
    if (this.y + height > this.bottom) this.newSheet();
  }

  /** Remembers where something begins, so that others can lead to it. */
  mark(id: string): void {
    if (this.found.has(id)) return;
    this.found.set(id, this.sheet);
    // A zoom of nothing keeps the reader’s own.
    this.doc.addNamedDestination(id, 'XYZ', 0, Math.max(0, this.y - 20), 0);
  }

  /** Writes a sheet’s number that leads there, once it is known: empty where nothing begins by that id. */
  reference(id: string, x: number, y: number, width: number, parent: Element): void {
    this.later(() => {
      const sheet = this.found.get(id);
      if (sheet === undefined) return;
      const link: Element = this.doc.struct('Link');
      parent.add(link);
      const style: PDFKit.Mixins.TextOptions & { structParent: Element } = {
        width,
        align: 'right',
        goTo: id,
        structParent: link,
      };
      link.add(() => this.style({ face: 'figure', ink: 'low' }).text(String(sheet), x, y, style));
    });
  }

  private later(write: () => void): void {
    this.after.push({ sheet: this.sheet, write });
  }

  style({ face = 'text', size = SIZE.text, ink = 'ink' }: TextStyle = {}): Doc {
    return this.doc.font(face).fontSize(size).fillColor(INK[ink]);
  }

  heightOf(text: string, width: number, style: TextStyle = {}): number {
    return text === '' ? 0 : this.style(style).heightOfString(text, { width });
  }

  /** Writes text at a place without moving on. */
  put(text: string, x: number, y: number, width: number, style: TextStyle = {}): void {
    this.style(style).text(text, x, y, { width, align: style.align ?? 'left' });
  }

  /** An element of the paper’s structure, drawn at once; a reader of screens goes through them in this order. */
  tag(type: string, draw: (() => void) | null, parent: Element = this.root, options: object = {}): Element {
    const element = draw ? this.doc.struct(type, options, [draw]) : this.doc.struct(type, options);
    parent.add(element);
    if (draw) element.end();
    return element;
  }

  /** What is drawn for the eye alone. */
  artifact(draw: () => void, type: 'Layout' | 'Pagination' = 'Layout'): void {
    this.doc.markContent('Artifact', { type });
    draw();
    this.doc.endMarkedContent();
  }

  end(): Promise<Buffer> {
    const parts: Buffer[] = [];
    for (const { sheet, write } of this.after) {
      this.doc.switchToPage(sheet - 1);
      write();
    }
    this.root.end();
    return new Promise((resolve, reject) => {
      this.doc.on('data', (part: Buffer) => parts.push(part));
      this.doc.on('end', () => resolve(Buffer.concat(parts)));
      this.doc.on('error', reject);
      this.doc.end();
    });
  }

  private furniture(): void {
    const { doc, paper } = this;
    const own = this.sheet;
    this.artifact(() => {
      const style: TextStyle = { face: 'figure', size: SIZE.small, ink: 'quiet' };
      this.put(this.words(paper.about), MARGIN, 28, this.width * 0.7, style);
      const mark = this.words(paper.mark);
      if (mark !== '') this.put(mark, MARGIN, 39, this.width, { ...style, align: 'right' });
      doc
        .moveTo(MARGIN, doc.page.height - 48)
        .lineTo(MARGIN + this.width, doc.page.height - 48)
        .lineWidth(0.5)
        .strokeColor(INK.rule)
        .stroke();
      this.put(this.words(paper.foot), MARGIN, doc.page.height - 40, this.width * 0.8, {
        size: SIZE.small,
        ink: 'quiet',
      });
    }, 'Pagination');
    this.later(() =>
      this.artifact(
        () =>
          this.put(this.words(sheetWords(own, this.sheet)), MARGIN, 28, this.width, {
            face: 'figure',
            size: SIZE.small,
            ink: 'quiet',
            align: 'right',
          }),
        'Pagination',
      ),
    );
  }
}
