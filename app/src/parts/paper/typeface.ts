import { degrees, drawText, PDFHexString, type Color, type PDFFont, type PDFName, type PDFPage } from 'pdf-lib';

/** A run of letters as its font has it. */
interface Run {
  hex: string;
  /** At a size of 1. */
  width: number;
}

/** A font that is written with: what each run of letters takes of it is worked out once for all pages. */
export interface Typeface {
  font: PDFFont;
  runs: Map<string, Run>;
  /** What it is called on a page. */
  names: WeakMap<PDFPage, PDFName>;
}

export function typeface(font: PDFFont): Typeface {
  return { font, runs: new Map(), names: new WeakMap() };
}

/** Letters stay together, since a font may join them; figures, signs and spaces stand by themselves. */
const RUNS = /\p{L}+|[^\p{L}]/gu;

/** Laying out a string with its font takes longer than all else of a page; most runs come again and again. */
function runsOf({ font, runs }: Typeface, text: string): Run[] {
  return (text.match(RUNS) ?? []).map((letters) => {
    const known = runs.get(letters);
    if (known) return known;
    const run = { hex: font.encodeText(letters).asString(), width: font.widthOfTextAtSize(letters, 1) };
    runs.set(letters, run);
    return run;
  });
}

/** How wide words are, points. */
export function widthOf(type: Typeface, text: string, size: number): number {
  return size * runsOf(type, text).reduce((sum, { width }) => sum + width, 0);
}

interface Written {
  x: number;
  y: number;
  size: number;
  type: Typeface;
  color: Color;
}

/** Writes words on a page, from a point on their base line. */
export function writeOn(page: PDFPage, text: string, { x, y, size, type, color }: Written): void {
  const straight = degrees(0);
  const line = PDFHexString.of(
    runsOf(type, text)
      .map(({ hex }) => hex)
      .join(''),
  );
  const font = nameOn(page, type);
  page.pushOperators(
    ...drawText(line, { color, font, size, x, y, rotate: straight, xSkew: straight, ySkew: straight }),
  );
}

function nameOn(page: PDFPage, { font, names }: Typeface): PDFName {
  const known = names.get(page);
  if (known) return known;
  const name = page.node.newFontDictionary(font.name, font.ref);
  names.set(page, name);
  return name;
}

/** Words in lines that are no wider than that; a word that is wider by itself stands alone. */
export function linesOf(text: string, type: Typeface, size: number, width: number): string[] {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const last = lines.at(-1);
    const longer = last === undefined ? word : `${last} ${word}`;
    if (last !== undefined && widthOf(type, longer, size) > width) lines.push(word);
    else lines[Math.max(0, lines.length - 1)] = longer;
  }
  return lines;
}
