/** One size of a piece as the bench makes it. */
export interface WorkSize {
  key: string;
  /** Which balloon of the shelf; what it looks like where it is not chosen. */
  balloon: string;
  /** What it is filled to where it is made, mm. */
  fillMm: number;
  /** Either way, mm. */
  toleranceMm: number;
  count: number;
}

/** Balloons that are tied to each other before the build: their sizes by key, and how many such bundles. */
export interface WorkBundle {
  sizes: readonly string[];
  count: number;
}

/** What is taken beside balloons. */
export const TAKEN = [
  ...(['pole', 'plate', 'frame', 'hoop', 'stand', 'ballast', 'line', 'strip', 'modelling', 'band'] as const),
  ...(['hook', 'tape', 'fixing', 'glueDot', 'figure', 'flower', 'leaf', 'sign'] as const),
] as const;
export type TakenKind = (typeof TAKEN)[number];

/** What of it is used again, and so is counted when a piece comes down (common practice). */
export const COMES_BACK: readonly TakenKind[] = ['pole', 'plate', 'frame', 'hoop', 'stand', 'ballast', 'strip', 'sign'];

/** A thing that a piece takes: so many, each of a length or a weight where that matters. */
export interface Taken {
  kind: TakenKind;
  count: number;
  /** Of each, mm; of line and strip in all. */
  lengthMm: number | null;
  /** Of each, or what each carries, kg. */
  kg: number | null;
  /** Of a modelling balloon: which of the shelf; null where none is chosen. */
  balloon: string | null;
}

/** How long a piece is that is sold by its length, mm. */
export interface WorkLength {
  alongMm: number;
  /** Clusters that fill it counted as length too, as many price it. */
  filledMm: number;
}

/** All that is to do for a piece. */
export interface PieceWork {
  piece: string;
  /** How many of it are made. */
  copies: number;
  sizes: readonly WorkSize[];
  bundles: readonly WorkBundle[];
  /** Knots that tie its balloons to each other. */
  knots: number;
  /** Clusters, layers or rings that are put on. */
  clusters: number;
  takes: readonly Taken[];
  /** Null of one that is not sold by its length. */
  length: WorkLength | null;
}
