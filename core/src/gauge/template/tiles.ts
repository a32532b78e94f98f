import { extentOf } from './drawing';
import type { TemplateSheet } from './sizerGeometry';

/** A paper, mm. */
export interface Paper {
  widthMm: number;
  heightMm: number;
}

/** ISO 216 and ANSI/ASME Y14.1. */
export const PAPERS = {
  a4: { widthMm: 210, heightMm: 297 },
  letter: { widthMm: 215.9, heightMm: 279.4 },
} as const satisfies Record<string, Paper>;
export type PaperName = keyof typeof PAPERS;

/** What printers leave white, mm, and how far neighbours overlap so that they can be laid mark on mark. */
export const PAPER_MARGIN_MM = 12;
const OVERLAP_MM = 10;

/** One page of a sheet that is larger than the paper. */
export interface Tile {
  /** Of which sheet, and where on it: column and row from 0. */
  sheet: number;
  column: number;
  row: number;
  /** The part of the sheet that it shows, mm. */
  xMm: number;
  yMm: number;
  widthMm: number;
  heightMm: number;
  /** Register marks on it, in the sheet's axes; a mark lies at one place on every page that shows it. */
  marks: readonly (readonly [number, number])[];
}

/** Cuts sheets into pages at true size, neighbours overlapping; pages with nothing on them are left out. */
export function tilesOf(sheets: readonly TemplateSheet[], paper: Paper): Tile[] {
  const viewWidth = paper.widthMm - 2 * PAPER_MARGIN_MM;
  const viewHeight = paper.heightMm - 2 * PAPER_MARGIN_MM;
  return sheets.flatMap((sheet, index) => {
    const extents = sheet.shapes.map(extentOf);
    const columns = countFor(sheet.widthMm, viewWidth);
    const rows = countFor(sheet.heightMm, viewHeight);
    const marks = crossings(columns, viewWidth).flatMap((x) =>
      crossings(rows, viewHeight).map((y): [number, number] => [x, y]),
    );
    return Array.from({ length: columns * rows }, (_, place): Tile => {
      const column = place % columns;
      const row = Math.floor(place / columns);
      const xMm = column * (viewWidth - OVERLAP_MM);
      const yMm = row * (viewHeight - OVERLAP_MM);
      const shown = marks.filter(([x, y]) => x >= xMm && x <= xMm + viewWidth && y >= yMm && y <= yMm + viewHeight);
      return { sheet: index, column, row, xMm, yMm, widthMm: viewWidth, heightMm: viewHeight, marks: shown };
    }).filter(({ xMm, yMm }) =>
      extents.some(
        (extent) =>
          extent.rightMm >= xMm &&
          extent.leftMm <= xMm + viewWidth &&
          extent.bottomMm >= yMm &&
          extent.topMm <= yMm + viewHeight,
      ),
    );
  });
}

function countFor(length: number, view: number): number {
  return length <= view ? 1 : Math.ceil((length - OVERLAP_MM) / (view - OVERLAP_MM));
}

/** The middles of the overlaps, and the outer ends where a row of marks would else be missing. */
function crossings(count: number, view: number): number[] {
  const step = view - OVERLAP_MM;
  return Array.from({ length: count + 1 }, (_, i) => i * step + OVERLAP_MM / 2);
}
