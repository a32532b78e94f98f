import { ok, problem, type Result } from '../../result';
import { line, type PathShape } from './drawing';
import { strokeText } from './strokeText';

/** Length of the bar drawn on every sheet and page, mm. */
export const BAR_MM = 100;
const TICK_MM = 5;

/** A bar of 100 mm with ticks at its ends, from (x, y) along x, or down y, and its length beside it. */
export function scaleBar({ xMm, yMm, along }: { xMm: number; yMm: number; along: 'x' | 'y' }): PathShape[] {
  const to = (a: number, across: number): readonly [number, number] =>
    along === 'x' ? [xMm + a, yMm + across] : [xMm + across, yMm + a];
  const half = TICK_MM / 2;
  const [textX, textY] = to(BAR_MM / 2, along === 'x' ? -3.4 : 3.4);
  return [
    line('engrave', to(0, 0), to(BAR_MM, 0)),
    line('engrave', to(0, -half), to(0, half)),
    line('engrave', to(BAR_MM, -half), to(BAR_MM, half)),
    ...strokeText({
      text: '100 mm',
      xMm: textX,
      yMm: textY,
      heightMm: 2.6,
      angle: along === 'x' ? 0 : -Math.PI / 2,
    }),
  ];
}

/** Printers are off by a few in a hundred at most, or "fit to page" shrinks by a tenth; more is a slip of unit or finger. */
const LEAST_BAR_MM = 70;
const MOST_BAR_MM = 140;

/** How large a print came out, as shares of what was drawn. */
export interface PrintedScale {
  across: number;
  down: number;
}

/**
 * The scale of a print from its measured bar, and from the upright one where that was measured too.
 *
 * Problems: `bar-out-of-reach`, with the field and the lengths a bar can have.
 */
export function printedScale({
  acrossMm,
  downMm,
}: {
  acrossMm: number;
  downMm?: number | undefined;
}): Result<PrintedScale, 'bar-out-of-reach'> {
  const detail = { leastMm: LEAST_BAR_MM, mostMm: MOST_BAR_MM };
  const possible = (mm: number) => mm >= LEAST_BAR_MM && mm <= MOST_BAR_MM;
  if (!possible(acrossMm)) return problem('bar-out-of-reach', { field: 'acrossMm', detail });
  if (downMm !== undefined && !possible(downMm)) {
    return problem('bar-out-of-reach', { field: 'downMm', detail });
  }
  return ok({ across: acrossMm / BAR_MM, down: (downMm ?? acrossMm) / BAR_MM });
}
