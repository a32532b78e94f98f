import { BAR_MM, MM_PER } from '@leggero/core';
import {
  arcOf,
  extentOf,
  PAPER_MARGIN_MM,
  PAPERS,
  scaleBar,
  tilesOf,
  type Arc,
  type PaperName,
  type TemplateShape,
  type TemplateSheet,
  type Tile,
} from '@leggero/core/template';
import {
  appendBezierCurve,
  clip,
  closePath,
  concatTransformationMatrix,
  endPath,
  lineTo,
  moveTo,
  PDFDocument,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  rgb,
  setLineWidth,
  setStrokingRgbColor,
  StandardFonts,
  stroke,
  type PDFFont,
  type PDFOperator,
  type PDFPage,
} from 'pdf-lib';

const POINTS = 72 / MM_PER.in;
/** Arcs are drawn in pieces of an eighth turn: the error is below a hundredth of a millimetre for the largest hole. */
const PIECE = Math.PI / 4;
const HAIR_MM = 0.2;
const MARK_MM = 4;

export interface PdfFileOptions {
  sheets: readonly TemplateSheet[];
  paper: PaperName;
  title: string;
}

/**
 * Sheets at true size on paper, tiled where they are larger than it: neighbours overlap and share register marks;
 * every page has a scale bar of its own and says where it belongs.
 */
export async function pdfFile({ sheets, paper, title }: PdfFileOptions): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.setTitle(title);
  document.setCreator('Leggero');
  const font = await document.embedFont(StandardFonts.Helvetica);
  const tiles = tilesOf(sheets, PAPERS[paper]);
  tiles.forEach((tile, i) => {
    const page = document.addPage([PAPERS[paper].widthMm * POINTS, PAPERS[paper].heightMm * POINTS]);
    drawTile(page, tile, sheets[tile.sheet]!);
    const place = tiles.length === 1 ? '' : `, sheet ${tile.sheet + 1}, column ${tile.column + 1}, row ${tile.row + 1}`;
    drawFoot(page, font, `${title}: page ${i + 1} of ${tiles.length}${place}. Print at 100 %, then measure the bar.`);
  });
  return document.save();
}

function drawTile(page: PDFPage, tile: Tile, sheet: TemplateSheet): void {
  const { height } = page.getSize();
  const shown = sheet.shapes.filter((shape) => touches(shape, tile));
  page.pushOperators(
    pushGraphicsState(),
    // Millimetres with y down, the tile's corner at the margin.
    concatTransformationMatrix(POINTS, 0, 0, -POINTS, PAPER_MARGIN_MM * POINTS, height - PAPER_MARGIN_MM * POINTS),
    setLineWidth(HAIR_MM),
    rectangle(0, 0, tile.widthMm, tile.heightMm),
    clip(),
    endPath(),
    concatTransformationMatrix(1, 0, 0, 1, -tile.xMm, -tile.yMm),
    ...(['engrave', 'cut'] as const).flatMap((layer) => [
      layer === 'cut' ? setStrokingRgbColor(0, 0, 0) : setStrokingRgbColor(0.35, 0.35, 0.35),
      ...shown.filter((shape) => shape.layer === layer).flatMap(shapeOperators),
    ]),
    setStrokingRgbColor(0.5, 0.5, 0.5),
    ...tile.marks.flatMap(([x, y]) => crossOperators(x, y)),
    popGraphicsState(),
  );
}

function touches(shape: TemplateShape, { xMm, yMm, widthMm, heightMm }: Tile): boolean {
  const { leftMm, topMm, rightMm, bottomMm } = extentOf(shape);
  return rightMm >= xMm && leftMm <= xMm + widthMm && bottomMm >= yMm && topMm <= yMm + heightMm;
}

function shapeOperators(shape: TemplateShape): PDFOperator[] {
  if (shape.kind === 'circle') {
    const { xMm, yMm, radiusMm } = shape;
    const arc = { xMm, yMm, radiusMm, from: 0, to: 2 * Math.PI };
    return [moveTo(xMm + radiusMm, yMm), ...arcOperators(arc), closePath(), stroke()];
  }
  const { corners, closed } = shape;
  const [first] = corners;
  if (!first) return [];
  const count = closed ? corners.length : corners.length - 1;
  const ways = Array.from({ length: count }, (_, i): PDFOperator[] => {
    const to = corners[(i + 1) % corners.length]!;
    const arc = arcOf(corners[i]!, to);
    return arc ? arcOperators(arc) : [lineTo(to.xMm, to.yMm)];
  });
  return [moveTo(first.xMm, first.yMm), ...ways.flat(), ...(closed ? [closePath()] : []), stroke()];
}

/** A circle's arc as cubic curves: handles of 4/3 tan(angle / 4) radii. Source: any handbook of computer graphics. */
function arcOperators({ xMm, yMm, radiusMm, from, to }: Arc): PDFOperator[] {
  const pieces = Math.max(1, Math.ceil(Math.abs(to - from) / PIECE));
  const step = (to - from) / pieces;
  const handle = (4 / 3) * Math.tan(step / 4) * radiusMm;
  return Array.from({ length: pieces }, (_, i) => {
    const [a, b] = [from + i * step, from + (i + 1) * step];
    return appendBezierCurve(
      xMm + radiusMm * Math.cos(a) - handle * Math.sin(a),
      yMm + radiusMm * Math.sin(a) + handle * Math.cos(a),
      xMm + radiusMm * Math.cos(b) + handle * Math.sin(b),
      yMm + radiusMm * Math.sin(b) - handle * Math.cos(b),
      xMm + radiusMm * Math.cos(b),
      yMm + radiusMm * Math.sin(b),
    );
  });
}

function crossOperators(x: number, y: number): PDFOperator[] {
  return [
    moveTo(x - MARK_MM, y),
    lineTo(x + MARK_MM, y),
    stroke(),
    moveTo(x, y - MARK_MM),
    lineTo(x, y + MARK_MM),
    stroke(),
  ];
}

/** The page's own bar in the lower margin, and where the page belongs. */
function drawFoot(page: PDFPage, font: PDFFont, text: string): void {
  const { height } = page.getSize();
  const yMm = height / POINTS - 5;
  const bar = scaleBar({ xMm: PAPER_MARGIN_MM, yMm, along: 'x' });
  page.pushOperators(
    pushGraphicsState(),
    concatTransformationMatrix(POINTS, 0, 0, -POINTS, 0, height),
    setLineWidth(HAIR_MM),
    setStrokingRgbColor(0, 0, 0),
    ...bar.flatMap(shapeOperators),
    popGraphicsState(),
  );
  const x = (PAPER_MARGIN_MM + BAR_MM + 4) * POINTS;
  const room = page.getSize().width - x - PAPER_MARGIN_MM * POINTS;
  page.drawText(text, {
    x,
    y: 5 * POINTS,
    size: 6.5,
    lineHeight: 8,
    font,
    maxWidth: room,
    color: rgb(0.35, 0.35, 0.35),
  });
}
