import type { SceneTube, Vec } from '../space/scene';

/** A slat of a sign as it is drawn, mm. */
const SLAT_MM = 40;
const SIGN_HEX = '#d9c7a3';

/** A sign as a board of slats around a place, seen from the front. */
export function boardTubes({ wideMm, highMm }: { wideMm: number; highMm: number }, [x, y, z]: Vec): SceneTube[] {
  const slats = Math.max(2, Math.round(highMm / SLAT_MM));
  return Array.from({ length: slats }, (_, i): SceneTube => {
    const up = z + ((i + 0.5) / slats - 0.5) * highMm;
    const line: Vec[] = [
      [x - wideMm / 2, y, up],
      [x + wideMm / 2, y, up],
    ];
    return { line, widthMm: (1.15 * highMm) / slats, hex: SIGN_HEX };
  });
}
