/** What a tape reads around the widest place, mm: pi times the width. Source: circumference of a circle. */
export function circumferenceMm({ widthMm }: { widthMm: number }): number {
  return Math.PI * widthMm;
}

/** The width (mm) of a balloon whose widest place a tape reads as `circumferenceMm`. */
export function widthFromCircumferenceMm({ circumferenceMm }: { circumferenceMm: number }): number {
  return circumferenceMm / Math.PI;
}
