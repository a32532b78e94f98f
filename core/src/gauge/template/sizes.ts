/** A hole to make: its width and what is engraved beside it. */
export interface TemplateSize {
  label: string;
  widthMm: number;
}

/** What every form is made with. */
export interface Material {
  /** Width that the cutter burns or saws away, mm; 0 for a pattern to be cut by hand. */
  kerfMm: number;
  /** Least material between two holes, mm. */
  bridgeMm: number;
  /** Largest piece that a sheet takes, mm. */
  sheetWidthMm: number;
  sheetHeightMm: number;
}

/** Material outside the outermost hole, mm: enough to hold a plate by. */
export const EDGE_MM = 14;
export const LEAST_BRIDGE_MM = 3;

/** Height of the labels that a bridge has room for, mm. */
export function labelHeight(bridgeMm: number): number {
  return Math.min(5, Math.max(2, bridgeMm - 3));
}
