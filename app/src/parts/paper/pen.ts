import fontkit from '@pdf-lib/fontkit';
import { PDFDocument, rgb, type PDFPage } from 'pdf-lib';

import { typeface, widthOf, writeOn, type Typeface } from './typeface';

/** Points. */
const PAPER = { a4: [595.28, 841.89], letter: [612, 792] } as const;
export type PaperSize = keyof typeof PAPER;
export const EDGE = 42;
export const INK = rgb(0.13, 0.125, 0.11);
export const QUIET = rgb(0.4, 0.37, 0.34);
const LINE = rgb(0.89, 0.87, 0.83);
const HEAD = 48;
const FOOT_NOTE = 'Estimates, not engineering approval. Local rules come first.';

export interface PaperFonts {
  title: ArrayBuffer;
  text: ArrayBuffer;
}

/** A document that is being drawn, and how far down its page the pen is. */
export interface Pen {
  document: PDFDocument;
  title: Typeface;
  text: Typeface;
  size: readonly [number, number];
  /** Stands at the head of every page. */
  head: string;
  page: PDFPage | null;
  y: number;
}

export interface PaperOptions {
  name: string;
  head: string;
  paper: PaperSize;
  fonts: PaperFonts;
}

/** A pen over a new document. */
export async function takePen({ name, head, paper, fonts }: PaperOptions): Promise<Pen> {
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit);
  document.setTitle(name);
  document.setCreator('Leggero');
  return {
    document,
    title: typeface(await document.embedFont(fonts.title, { subset: true })),
    text: typeface(await document.embedFont(fonts.text, { subset: true })),
    size: PAPER[paper],
    head,
    page: null,
    y: 0,
  };
}

/** A new page with its head and foot, the pen at its top. */
export function newPage(pen: Pen): PDFPage {
  const [width, height] = pen.size;
  const page = pen.document.addPage([width, height]);
  writeOn(page, pen.head, { x: EDGE, y: height - 30, size: 9, type: pen.text, color: QUIET });
  writeOn(page, FOOT_NOTE, { x: EDGE, y: 24, size: 8, type: pen.text, color: QUIET });
  const number = String(pen.document.getPageCount());
  const at = width - EDGE - widthOf(pen.text, number, 8);
  writeOn(page, number, { x: at, y: 24, size: 8, type: pen.text, color: QUIET });
  pen.page = page;
  pen.y = height - HEAD;
  return page;
}

/** The page for something so tall: this one where it fits, else a new one. */
export function pageFor(pen: Pen, tall: number): PDFPage {
  return pen.page && pen.y - tall > EDGE ? pen.page : newPage(pen);
}

/** A hairline across, where the pen is. */
export function rule(page: PDFPage, { y, size }: Pick<Pen, 'y' | 'size'>): void {
  page.drawLine({ start: { x: EDGE, y }, end: { x: size[0] - EDGE, y }, thickness: 0.6, color: LINE });
}

/** A colour of the app as paper takes it. */
export function inked(hex: string) {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16) / 255);
  return rgb(r, g, b);
}
