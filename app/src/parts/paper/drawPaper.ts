import type { PDFImage, PDFPage } from 'pdf-lib';

import { sideBySide, type Paper, type PaperBlock, type PaperDot, type PaperRow, type PaperThing } from './paper';
import { EDGE, INK, inked, newPage, pageFor, QUIET, rule, takePen, type PaperOptions, type Pen } from './pen';
import { linesOf, widthOf, writeOn } from './typeface';

/** Points. */
const DOT_PT_PER_MM = 0.075;
const LINE = 13;
const ROW_HIGH = 190;
const THING = 110;
const SWATCH = 5;

/** Draws a sheet on paper, on as many pages as it takes. Gives the bytes of a PDF. */
export async function drawPaper({
  paper: sheet,
  ...options
}: { paper: Paper } & { on: PaperOptions }): Promise<Uint8Array> {
  const pen = await takePen(options.on);
  const pictures = await embedded(pen, sheet);
  const page = newPage(pen);
  for (const line of linesOf(sheet.title, pen.title, 22, spanOf(pen))) {
    writeOn(page, line, { x: EDGE, y: pen.y - 24, size: 22, type: pen.title, color: INK });
    pen.y -= 26;
  }
  pen.y -= 4;
  drawWords(pen, sheet.subtitle, 'quiet');
  for (const block of sheet.blocks) drawBlock(pen, block, pictures);
  return pen.document.save();
}

type Pictures = ReadonlyMap<string, PDFImage>;

async function embedded(pen: Pen, { blocks }: Paper): Promise<Pictures> {
  const things = blocks.flatMap((block) =>
    block.kind === 'row' ? block.things : block.kind === 'thing' ? [block.thing] : [],
  );
  const pictures = new Map<string, PDFImage>();
  for (const { picture } of things)
    if (!pictures.has(picture)) pictures.set(picture, await pen.document.embedPng(picture));
  return pictures;
}

function drawBlock(pen: Pen, block: PaperBlock, pictures: Pictures): void {
  switch (block.kind) {
    case 'heading': {
      // Never the last of a page.
      const page = pageFor(pen, 70);
      writeOn(page, block.text, { x: EDGE, y: pen.y - 26, size: 14, type: pen.title, color: INK });
      pen.y -= 36;
      return;
    }
    case 'words':
      return drawWords(pen, block.text, block.look);
    case 'ticks':
      for (const line of block.lines) drawTick(pen, line);
      return;
    case 'rows':
      for (const row of block.rows) drawRow(pen, row);
      pen.y -= 8;
      return;
    case 'row':
      return drawSideBySide(pen, block.things, pictures);
    case 'thing':
      return drawThing(pen, block, pictures);
  }
}

const spanOf = ({ size }: Pen) => size[0] - 2 * EDGE;

function drawWords(pen: Pen, text: string, look: 'strong' | 'body' | 'quiet'): void {
  const type = look === 'strong' ? pen.title : pen.text;
  const lines = linesOf(text, type, 10, spanOf(pen));
  const page = pageFor(pen, lines.length * LINE + 4);
  for (const line of lines) {
    writeOn(page, line, { x: EDGE, y: pen.y - 11, size: 10, type, color: look === 'quiet' ? QUIET : INK });
    pen.y -= LINE;
  }
  pen.y -= 4;
}

function drawTick(pen: Pen, text: string): void {
  const lines = linesOf(text, pen.text, 10, spanOf(pen) - 20);
  const page = pageFor(pen, lines.length * LINE + 6);
  page.drawRectangle({ x: EDGE, y: pen.y - 13, width: 10, height: 10, borderColor: QUIET, borderWidth: 0.8 });
  for (const line of lines) {
    writeOn(page, line, { x: EDGE + 20, y: pen.y - 12, size: 10, type: pen.text, color: INK });
    pen.y -= LINE;
  }
  pen.y -= 4;
}

/** Where words of a row begin, and its figure ends. */
const WORDS_AT = 92;
const FIGURE_WIDE = 110;

function drawRow(pen: Pen, { dots, mark, title, notes, figure }: PaperRow): void {
  const width = spanOf(pen) - WORDS_AT - FIGURE_WIDE;
  const heads = linesOf(title, pen.title, 11, width);
  const more = notes.flatMap((note) => linesOf(note, pen.text, 8.5, width));
  const most = Math.max(0, ...dots.map(({ widthMm }) => widthMm * DOT_PT_PER_MM));
  const tall = Math.max(heads.length * LINE + more.length * 11 + 10, most + 10);
  const page = pageFor(pen, tall);
  rule(page, pen);
  const top = pen.y;
  drawDots(page, dots, { x: EDGE + 24, y: top - tall / 2, wide: WORDS_AT - 30 });
  writeOn(page, mark, { x: EDGE, y: top - tall / 2 - 5, size: 13, type: pen.title, color: INK });
  let y = top - 15;
  for (const head of heads) {
    writeOn(page, head, { x: EDGE + WORDS_AT, y, size: 11, type: pen.title, color: INK });
    y -= LINE;
  }
  for (const line of more) {
    writeOn(page, line, { x: EDGE + WORDS_AT, y: y + 2, size: 8.5, type: pen.text, color: QUIET });
    y -= 11;
  }
  const at = pen.size[0] - EDGE - widthOf(pen.title, figure, 13);
  writeOn(page, figure, { x: at, y: top - 17, size: 13, type: pen.title, color: INK });
  pen.y = top - tall;
}

/** Balloons side by side from the left, on a line through their middles; smaller where they would be too wide. */
function drawDots(
  page: PDFPage,
  dots: readonly PaperDot[],
  { x, y, wide }: { x: number; y: number; wide: number },
): void {
  const natural = dots.reduce((sum, { widthMm }) => sum + widthMm * DOT_PT_PER_MM, 0);
  const scale = DOT_PT_PER_MM * Math.min(1, wide / Math.max(1, natural));
  let left = x;
  for (const { widthMm, hex } of dots) {
    const radius = (widthMm * scale) / 2;
    page.drawCircle({ x: left + radius, y, size: radius, color: inked(hex), borderColor: QUIET, borderWidth: 0.4 });
    left += 2 * radius;
  }
}

function drawSideBySide(pen: Pen, things: readonly PaperThing[], pictures: Pictures): void {
  const { wideMm, highMm, lefts } = sideBySide(things);
  const span = spanOf(pen);
  const scale = Math.min(span / wideMm, ROW_HIGH / highMm);
  const tall = highMm * scale + 14;
  const page = pageFor(pen, tall);
  const floor = pen.y - highMm * scale;
  const left = EDGE + (span - wideMm * scale) / 2;
  things.forEach((thing, i) =>
    drawAt(page, pictures.get(thing.picture)!, thing, { left: left + lefts[i]! * scale, floor, scale }),
  );
  page.drawLine({ start: { x: EDGE, y: floor }, end: { x: EDGE + span, y: floor }, thickness: 0.8, color: QUIET });
  pen.y -= tall;
}

/** A piece on the floor, to scale: its picture is a square in whose middle it lies. */
function drawAt(
  page: PDFPage,
  image: PDFImage,
  { wideMm, highMm, footMm }: PaperThing,
  { left, floor, scale }: { left: number; floor: number; scale: number },
): void {
  const side = Math.max(wideMm, highMm) * scale;
  page.drawImage(image, {
    x: left + (wideMm * scale) / 2 - side / 2,
    y: floor + (footMm + highMm / 2) * scale - side / 2,
    width: side,
    height: side,
  });
}

function drawThing(
  pen: Pen,
  { thing, lines, colours }: Extract<PaperBlock, { kind: 'thing' }>,
  pictures: Pictures,
): void {
  const width = spanOf(pen) - THING - 20;
  const words = lines.flatMap((line) => linesOf(line, pen.text, 10, width));
  const tall = Math.max(THING + 16, 34 + words.length * LINE + colours.length * LINE);
  const page = pageFor(pen, tall);
  rule(page, pen);
  const image = pictures.get(thing.picture)!;
  page.drawImage(image, { x: EDGE, y: pen.y - THING - 8, width: THING, height: THING });
  const x = EDGE + THING + 20;
  writeOn(page, thing.name, { x, y: pen.y - 22, size: 13, type: pen.title, color: INK });
  let y = pen.y - 38;
  for (const word of words) {
    writeOn(page, word, { x, y, size: 10, type: pen.text, color: INK });
    y -= LINE;
  }
  for (const { hex, name } of colours) {
    page.drawCircle({ x: x + SWATCH, y: y + 3, size: SWATCH, color: inked(hex), borderColor: QUIET, borderWidth: 0.4 });
    writeOn(page, name, { x: x + 18, y, size: 10, type: pen.text, color: INK });
    y -= LINE;
  }
  pen.y -= tall;
}
