import type { PDFPage } from 'pdf-lib';

import {
  EDGE,
  INK,
  inked,
  newPage,
  pageFor,
  QUIET,
  rule,
  takePen,
  type PaperFonts,
  type PaperSize,
  type Pen,
} from '@/parts/paper/pen';
import { writeOn } from '@/parts/paper/typeface';

import type { Sheet, SheetRow } from './sheetOf';

export interface PdfOptions {
  sheets: readonly Sheet[];
  /** Whose sheets they are; stands at the head of every page. */
  studio: string;
  paper: PaperSize;
  fonts: PaperFonts;
}

/** Points. */
const ROW = 42;
const HEAD = 62;
const NOTE = 13;

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
  const pen = await takePen({ name: 'Target sheets', head: studio, paper, fonts });
  for (const sheet of sheets) drawSheet(pen, sheet);
  if (sheets.length === 0) newPage(pen);
  return pen.document.save();
}

function drawSheet(pen: Pen, sheet: Sheet): void {
  const tall = HEAD + sheet.rows.length * ROW + sheet.notes.length * NOTE + 24;
  const page = pageFor(pen, tall);
  const span = pen.size[0] - 2 * EDGE;
  const at = (share: number) => EDGE + share * span;
  writeOn(page, sheet.title, { x: EDGE, y: pen.y - 22, size: 18, type: pen.title, color: INK });
  writeOn(page, sheet.subtitle, { x: EDGE, y: pen.y - 36, size: 9, type: pen.text, color: QUIET });
  for (const { at: share, title } of COLUMNS) {
    writeOn(page, title, { x: at(share), y: pen.y - 54, size: 8, type: pen.text, color: QUIET });
  }
  pen.y -= HEAD;
  for (const row of sheet.rows) {
    rule(page, pen);
    drawBalloon(page, { x: at(0.028), y: pen.y - ROW / 2, share: row.share, hex: sheet.colourHex });
    for (const { at: share, of } of COLUMNS) {
      const [figure = '', ...notes] = of(row);
      writeOn(page, figure, { x: at(share), y: pen.y - 15, size: 12, type: pen.title, color: INK });
      notes.forEach((note, i) => {
        writeOn(page, note, { x: at(share), y: pen.y - 26 - 10 * i, size: 8, type: pen.text, color: QUIET });
      });
    }
    pen.y -= ROW;
  }
  rule(page, pen);
  for (const note of sheet.notes) {
    pen.y -= NOTE;
    writeOn(page, note, { x: EDGE, y: pen.y, size: 8.5, type: pen.text, color: QUIET });
  }
  pen.y -= 24;
}

/** The balloon in the outline of its nominal size, to one scale down the sheet. */
function drawBalloon(page: PDFPage, { x, y, share, hex }: { x: number; y: number; share: number; hex: string }): void {
  const nominal = 13;
  page.drawCircle({ x, y, size: nominal * share, color: inked(hex), borderColor: QUIET, borderWidth: 0.4 });
  page.drawCircle({ x, y, size: nominal, borderColor: QUIET, borderWidth: 0.5, borderDashArray: [2, 2] });
}
