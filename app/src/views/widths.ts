/** Widths nearer than this are one, mm: they were asked for alike. */
const ALIKE_MM = 0.05;

/** Whether two widths are the same to whoever fills to them. */
export const sameWidth = (aMm: number, bMm: number): boolean => Math.abs(aMm - bMm) < ALIKE_MM;
