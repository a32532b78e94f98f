/** A balloon as it is drawn on paper, to one scale with the others of a sheet. */
export interface PaperDot {
  widthMm: number;
  hex: string;
}

/** One line of a list on paper. */
export interface PaperRow {
  key: string;
  dots: readonly PaperDot[];
  /** What is written on a bag; '' where nothing is. */
  mark: string;
  title: string;
  notes: readonly string[];
  /** What matters most of it, at the right. */
  figure: string;
}

/** A piece as it stands among others. */
export interface PaperThing {
  key: string;
  name: string;
  /** A square picture in whose middle it lies, as an address of data. */
  picture: string;
  wideMm: number;
  highMm: number;
  footMm: number;
}

/** What a sheet is put together of, from its top down. */
export type PaperBlock =
  | { kind: 'heading'; text: string }
  | { kind: 'words'; text: string; look: 'strong' | 'body' | 'quiet' }
  /** Things to tick off. */
  | { kind: 'ticks'; lines: readonly string[] }
  | { kind: 'rows'; rows: readonly PaperRow[] }
  /** Pieces side by side, to one scale. */
  | { kind: 'row'; things: readonly PaperThing[] }
  /** One piece by itself, with words beside it. */
  | { kind: 'thing'; thing: PaperThing; lines: readonly string[]; colours: readonly { hex: string; name: string }[] };

/** A sheet, in words: as it is shown, and as it is drawn on paper. */
export interface Paper {
  title: string;
  subtitle: string;
  blocks: readonly PaperBlock[];
}

/** Between pieces that stand side by side, mm. */
const APART_MM = 200;

/** Pieces side by side: how wide and high they are in all, mm, and where each begins. */
export function sideBySide(things: readonly PaperThing[]): { wideMm: number; highMm: number; lefts: number[] } {
  const lefts: number[] = [];
  let wideMm = 0;
  for (const { wideMm: wide } of things) {
    lefts.push(wideMm);
    wideMm += wide + APART_MM;
  }
  return {
    wideMm: Math.max(1, wideMm - APART_MM),
    highMm: Math.max(1, ...things.map(({ footMm, highMm }) => footMm + highMm)),
    lefts,
  };
}
