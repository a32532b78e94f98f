import fontkit from '@pdf-lib/fontkit';
import { PDFDocument, rgb, type PDFFont, type PDFPage } from 'pdf-lib';

import type { Sheet, SheetRow } from './sheetOf';

export interface PdfOptions {
  sheets: readonly Sheet[];
  /** Whose sheets they are; stands at the head of every page. */
  studio: string;
  paper: 'a4' | 'letter';
  fonts: { title: ArrayBuffer; text: ArrayBuffer };
}

/** Points. */
const PAPER = { a4: [595.28, 841.89], letter: [612, 792] } as const;
const EDGE = 42;
const ROW = 42;
const HEAD = 62;
const NOTE = 13;
const INK = rgb(0.13, 0.125, 0.11);
const QUIET = rgb(0.4, 0.37, 0.34);
const LINE = rgb(0.89, 0.87, 0.83);

/** Where each column begins, as a share of the width between the edges. */
const COLUMNS: readonly { at: number; title: string; of: (row: SheetRow) => string[] }[] = [
  { at: 0.07, title: 'Tier', of: ({ tier, purpose, feel }) => [tier, purpose, feel] },
  { at: 0.4, title: 'Width', of: ({ width, tolerance }) => [width, tolerance] },
  { at: 0.54, title: 'Hole', of: ({ hole }) => [hole] },
  { at: 0.69, title: 'Dose', of: ({ dose, origin }) => [dose, origin] },
  { at: 0.85, title: 'Tape around', of: ({ tape }) => [tape] },
];

/** Draws target sheets on paper, as many on a page as fit. Gives the bytes of a PDF. */
export async function drawSheets({ sheets, studio, paper, fonts }: PdfOptions): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit);
  document.setTitle('Target sheets');
  document.setCreator('Leggero');
  const pen: Pen = {
    document,
    title: await document.embedFont(fonts.title, { subset: true }),
    text: await document.embedFont(fonts.text, { subset: true }),
    size: PAPER[paper],
    studio,
    page: null,
    y: 0,
  };
  for (const sheet of sheets) drawSheet(pen, sheet);
  if (sheets.length === 0) newPage(pen);
  return document.save();
}

interface Pen {
  document: PDFDocument;
  title: PDFFont;
  text: PDFFont;
  size: readonly [number, number];
  studio: string;
  page: PDFPage | null;
  y: number;
}

function newPage(pen: Pen): PDFPage {
  const [width, height] = pen.size;
  const page = pen.document.addPage([width, height]);
  const note = 'Estimates, not engineering approval. Local rules come first.';
  page.drawText(pen.studio, { x: EDGE, y: height - 30, size: 9, font: pen.text, color: QUIET });
  page.drawText(note, { x: EDGE, y: 24, size: 8, font: pen.text, color: QUIET });
  pen.page = page;
  pen.y = height - 48;
  return page;
}

function drawSheet(pen: Pen, sheet: Sheet): void {
  const tall = HEAD + sheet.rows.length * ROW + sheet.notes.length * NOTE + 24;
  const page = pen.page && pen.y - tall > EDGE ? pen.page : newPage(pen);
  const span = pen.size[0] - 2 * EDGE;
  const at = (share: number) => EDGE + share * span;
  page.drawText(sheet.title, { x: EDGE, y: pen.y - 22, size: 18, font: pen.title, color: INK });
  page.drawText(sheet.subtitle, { x: EDGE, y: pen.y - 36, size: 9, font: pen.text, color: QUIET });
  for (const { at: share, title } of COLUMNS) {
    page.drawText(title, { x: at(share), y: pen.y - 54, size: 8, font: pen.text, color: QUIET });
  }
  pen.y -= HEAD;
  for (const row of sheet.rows) {
    rule(page, pen);
    drawBalloon(page, { x: at(0.028), y: pen.y - ROW / 2, share: row.share, hex: sheet.colourHex });
    for (const { at: share, of } of COLUMNS) {
      const [figure = '', ...notes] = of(row);
      page.drawText(figure, { x: at(share), y: pen.y - 15, size: 12, font: pen.title, color: INK });
      notes.forEach((note, i) => {
        page.drawText(note, { x: at(share), y: pen.y - 26 - 10 * i, size: 8, font: pen.text, color: QUIET });
      });
    }
    pen.y -= ROW;
  }
  rule(page, pen);
  for (const note of sheet.notes) {
    pen.y -= NOTE;
    page.drawText(note, { x: EDGE, y: pen.y, size: 8.5, font: pen.text, color: QUIET });
  }
  pen.y -= 24;
}

function rule(page: PDFPage, { y, size }: Pen): void {
  page.drawLine({ start: { x: EDGE, y }, end: { x: size[0] - EDGE, y }, thickness: 0.6, color: LINE });
}

/** The balloon in the outline of its nominal size, to one scale down the sheet. */
function drawBalloon(page: PDFPage, { x, y, share, hex }: { x: number; y: number; share: number; hex: string }): void {
  const nominal = 13;
  const parts = [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16) / 255);
  const [r = 0, g = 0, b = 0] = parts;
  page.drawCircle({ x, y, size: nominal * share, color: rgb(r, g, b), borderColor: QUIET, borderWidth: 0.4 });
  page.drawCircle({ x, y, size: nominal, borderColor: QUIET, borderWidth: 0.5, borderDashArray: [2, 2] });
}
