import { ok, problem, type Result } from '../result';

/** Length of the bar drawn on every sheet and page of a template, mm. */
export const BAR_MM = 100;

/**
 * Printers are off by a few in a hundred at most, or "fit to page" shrinks by a tenth; more is a slip of unit or
 * finger.
 */
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
